import type { Issue } from '../base/issue.ts';
import { runJig } from '../evaluate/evaluate.ts';
import type { StepOutcome } from '../evaluate/run-program.ts';
import type { JigProgram } from '../notation/ast.ts';
import {
  addRational,
  compareRational,
  divideRational,
  makeRational,
  signOfRational,
  subtractRational,
  type Rational,
} from '../number/rational.ts';
import type { Quantity } from '../units/quantity.ts';

/** What the answers come to for one of the values: in the order of the jig's answers, or what is in the way. */
export interface OverValue {
  readonly value: Quantity;
  readonly answers: readonly (StepOutcome | undefined)[];
  readonly issue: Issue | undefined;
}

/** So many values are tried at once. */
export const MOST_VALUES = 1000;

/**
 * A jig over a list of values for one of its inputs, the others as they are: what if the boards were wider?
 * @param given by the places of the inputs; undefined for a usual value
 * @param place of the input that the values are for
 */
export function runOver(
  program: JigProgram,
  given: readonly (Quantity | undefined)[],
  place: number,
  values: readonly Quantity[],
): readonly OverValue[] {
  const inputs = [...given];
  return values.slice(0, MOST_VALUES).map((value) => {
    inputs[place] = value;
    const run = runJig(program, inputs, program.answers);
    if (!run.ok) return { value, answers: [], issue: run.issue };
    const { steps, issue } = run.value;
    return { value, answers: program.answers.map((step) => steps[step]), issue };
  });
}

/**
 * The values from one to another by a step, the last one among them where the steps end on it. Undefined where they would be
 * more than a thousand, go nowhere, or are not exact.
 * @example valuesBetween(plainNumber(1), plainNumber(2), plainNumber(1, 4))?.length // => 5
 */
export function valuesBetween(from: Quantity, to: Quantity, step: Quantity): readonly Quantity[] | undefined {
  const { dimension } = from;
  const [first, last, by] = [from.value, to.value, step.value];
  if (to.dimension !== dimension || step.dimension !== dimension) return undefined;
  if (first.kind !== 'rational' || last.kind !== 'rational' || by.kind !== 'rational') return undefined;
  if (signOfRational(by) <= 0 || compareRational(first, last) > 0) return undefined;
  const span = divideRational(subtractRational(last, first), by);
  if (compareRational(span, makeRational(MOST_VALUES - 1)) > 0) return undefined;
  const values: Quantity[] = [];
  for (let at: Rational = first; compareRational(at, last) <= 0; at = addRational(at, by))
    values.push({ value: at, dimension });
  return values;
}
