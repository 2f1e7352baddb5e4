import {
  copyOfJob,
  listsOf,
  NEW_JOB,
  type Change,
  type JobFields,
  type JobWire,
  type LineWire,
  type ReadingWire,
} from '@sprell/contract';
import { storedIds, storedMade } from '@sprell/core';
import { v7 as uuidv7 } from 'uuid';
import type { JobPart } from './job-parts.ts';
import type { JobHead, LocalJob, LocalWrite } from '../adapters/local/local-store.ts';

/** What is asked for a new job. */
export interface JobPlan {
  readonly title: string;
  readonly reading: ReadingWire;
  readonly fields?: Partial<Omit<JobFields, 'title'>>;
  /** What comes along from another job. */
  readonly from?: { readonly job: Pick<LocalJob, 'lines' | 'things'>; readonly parts: ReadonlySet<JobPart> };
}

/** Kinds of things that can be asked for by themselves; the others come with all lines. */
const OWN_PART: Readonly<Record<string, JobPart>> = {
  scale: 'scales',
  setout: 'setOuts',
  item: 'takeOff',
  section: 'takeOff',
  version: 'takeOff',
  tax: 'takeOff',
};

/** A new job of one's own, as what is to be written down for it, in order. */
export interface MadeJob {
  readonly head: JobHead;
  readonly whats: readonly LocalWrite[];
}

/** A job of one's own: here at once, on the server with its first change. */
export function newJob({ title, reading, fields = {}, from }: JobPlan): MadeJob {
  const said = { ...NEW_JOB, ...fields, archived: false, deleted: false };
  const [add, ...others] = copyOfJob(wireOf({ ...said, title, reading }, from), title, uuidv7);
  const whats = [add, ...others].flatMap((change) => (change ? [{ change, ...leftBy(change) }] : []));
  const numbers = whats.map(({ line }) => line?.number ?? 0);
  const head: JobHead = {
    ...said,
    ...{ id: uuidv7(), title, reading, revision: 0, role: 'own' },
    nextNumber: Math.max(0, ...numbers) + 1,
    lineCount: 0,
    people: 1,
    changedAt: new Date().toISOString(),
  };
  return { head, whats };
}

/** The parts that are wanted of another job, as a job that says what the new one is to say. */
function wireOf(said: JobFields & { readonly reading: ReadingWire }, from: JobPlan['from']): JobWire {
  const parts = from?.parts ?? new Set<JobPart>();
  const lines = from?.job.lines ?? [];
  const things = Object.entries(from?.job.things ?? {}).map(([kind, list]) => {
    // A jig comes with whatever may use it.
    const isWanted =
      parts.has(OWN_PART[kind] ?? 'lines') ||
      (kind === 'mark' && parts.has('marks')) ||
      (kind === 'jig' && parts.size > 0);
    return [kind, isWanted ? list : []] as const;
  });
  const wanted = parts.has('lines') ? lines : parts.has('marks') ? linesOfMarks(lines) : [];
  // A mark without the lines that it comes from has no value; in a whole job it may get one again.
  const kept =
    wanted.length === 0 && !parts.has('lines')
      ? things.map(([kind, list]) => [kind, kind === 'mark' ? [] : list] as const)
      : things;
  return { ...said, lines: [...wanted], ...listsOf(Object.fromEntries(kept)) } as JobWire;
}

/** The lines that store marks or post to them, with all that these refer to. */
export function linesOfMarks(lines: readonly LineWire[]): readonly LineWire[] {
  const standing = new Map(lines.filter(({ deleted }) => !deleted).map((line) => [line.id, line]));
  const wanted = new Set(
    [...standing.values()].filter(({ source }) => storedMade(source) !== undefined).map(({ id }) => id),
  );
  for (const id of wanted) for (const used of storedIds(standing.get(id)?.source ?? '')) wanted.add(used);
  return lines.filter(({ id }) => wanted.has(id) && standing.has(id));
}

/** What a change that makes something leaves on the device. */
function leftBy(change: Change): Pick<LocalWrite, 'line' | 'thing' | 'isNumbered'> {
  if (change.kind === 'line.add' || change.kind === 'line.words') {
    const { lineId: id, position, source, label, note } = change;
    const made =
      change.kind === 'line.add'
        ? { kind: 'worked' as const, number: change.number }
        : { kind: change.words, number: null };
    return { line: { id, ...made, position, source, label, note, revision: 0, deleted: false }, isNumbered: true };
  }
  if (change.kind !== 'thing.add') return {};
  return { thing: { kind: change.of, thing: { id: change.thingId, ...change.content, revision: 0, deleted: false } } };
}
