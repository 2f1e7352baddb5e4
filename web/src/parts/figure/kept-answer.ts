import { readField, solve, SOLVERS, type Answer, type Solver } from '@sprell/core';
import type { OpenJob, SetOut } from '../../job/index.ts';
import { VOLUME_UNITS, VOLUMES_IN } from './volume-units.ts';

/** A setting-out of the job as it is worked out now. */
export interface KeptAnswer {
  readonly solver: Solver | undefined;
  /** The one that was chosen of several; undefined where the sizes give none. */
  readonly answer: Answer | undefined;
}

/** Works a kept setting-out out. */
export function keptAnswer({ shape, givens, answer }: SetOut, { slate, style }: OpenJob): KeptAnswer {
  const solver = SOLVERS.find(({ id }) => id === shape);
  const answers = solver ? solve(solver, givens, { scope: slate.scope(), style }).answers : [];
  return { solver, answer: answers.find(({ title }) => title === answer) ?? answers[0] };
}

/** All sizes of a kept setting-out that are given or found, in the order of its fields. */
export function keptSizes(
  setOut: SetOut,
  { solver, answer }: KeptAnswer,
  { style }: OpenJob,
): readonly { readonly id: string; readonly title: string; readonly reading: string }[] {
  const words = setOut.givens.find(([field]) => field === VOLUMES_IN)?.[1];
  const unit = VOLUME_UNITS.find((one) => one.words === words);
  return [...(solver?.fields ?? []), ...(solver?.asks ?? [])].flatMap((field) => {
    const known = answer?.known[field.id];
    if (!known) return [];
    return [{ id: field.id, title: field.title, reading: readField(field, known, style, unit?.form).reading.text }];
  });
}
