import { type Issue } from '../base/issue.ts';
import { runJig } from '../evaluate/evaluate.ts';
import type { StepOutcome } from '../evaluate/run-program.ts';
import type { JigProgram } from '../notation/ast.ts';
import { absValue, compareValue, subtractValue } from '../number/value.ts';
import { ZERO } from '../number/rational.ts';
import type { Quantity } from '../units/quantity.ts';
import { fixedValue } from './fixed-value.ts';
import type { Jig, JigCheck } from './jig.ts';

/** A check that was run. */
export interface CheckOutcome {
  readonly check: JigCheck;
  readonly holds: boolean;
  /** What the answer came to; undefined where it could not be worked out. */
  readonly got: StepOutcome | undefined;
  /** What was in the way. */
  readonly issue: Issue | undefined;
}

/** Runs the checks that are kept with a jig. Never throws. */
export function runChecks({ checks, steps, decimalComma }: Jig, program: JigProgram): readonly CheckOutcome[] {
  return checks.map((check) => {
    const refused = (issue: Issue): CheckOutcome => ({ check, holds: false, got: undefined, issue });
    const given: (Quantity | undefined)[] = [];
    for (const [place, text] of check.inputs.entries()) {
      if (text.trim() === '') continue;
      const value = fixedValue(text, decimalComma, program.inputs[place]?.title ?? '');
      if (!value.ok) return refused(value.issue);
      given[place] = value.value;
    }
    const run = runJig(program, given);
    if (!run.ok) return refused(run.issue);
    const got = run.value.steps[steps.findIndex(({ name }) => name === check.answer)];
    if (got === undefined) return { check, holds: false, got, issue: run.value.issue };
    return { check, got, ...compared(check, got, decimalComma) };
  });
}

function compared(
  { comesTo, within }: JigCheck,
  got: StepOutcome,
  decimalComma: boolean,
): Pick<CheckOutcome, 'holds' | 'issue'> {
  const words = comesTo.trim().toLowerCase();
  if (got.kind === 'answer') return { holds: words === (got.yes ? 'yes' : 'no'), issue: undefined };
  const wanted = fixedValue(comesTo, decimalComma, 'What it must come to');
  if (!wanted.ok) return { holds: false, issue: wanted.issue };
  const leeway = within.trim() === '' ? undefined : fixedValue(within, decimalComma, 'What it may be off by');
  if (leeway && !leeway.ok) return { holds: false, issue: leeway.issue };
  const { value, dimension } = wanted.value;
  if (got.kind === 'list' || got.quantity.dimension !== dimension) return { holds: false, issue: undefined };
  if (leeway && leeway.value.dimension !== dimension) return { holds: false, issue: undefined };
  const off = absValue(subtractValue(got.quantity.value, value));
  return { holds: compareValue(off, leeway?.value.value ?? ZERO) <= 0, issue: undefined };
}
