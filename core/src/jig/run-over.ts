import type { Issue } from '../base/issue.ts';
import { runJig } from '../evaluate/evaluate.ts';
import type { StepOutcome } from '../evaluate/run-program.ts';
import type { JigProgram } from '../notation/ast.ts';
import type { Quantity } from '../units/quantity.ts';
import { MOST_VALUES } from '../units/values-between.ts';

/** What the answers come to for one of the values: in the order of the jig's answers, or what is in the way. */
export interface OverValue {
  readonly value: Quantity;
  readonly answers: readonly (StepOutcome | undefined)[];
  readonly issue: Issue | undefined;
}

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
