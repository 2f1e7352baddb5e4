import { makeIssue, type Issue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import { COUNT_WORDS } from '../notation/functions.ts';
import { parse } from '../notation/parser.ts';
import { referencesOf } from '../slate/references.ts';
import type { Quantity } from '../units/quantity.ts';

/**
 * What an entry that names nothing comes to: a usual value, a limit, what a check expects.
 * @param field what it is for, as it is named to a person
 */
export function fixedValue(text: string, decimalComma: boolean, field: string): Result<Quantity, Issue> {
  const { entry, issues } = parse(text, { decimalComma });
  const [issue] = issues;
  const nowhere = { start: 0, end: text.length };
  if (entry === undefined || issue !== undefined) return fail(issue ?? makeIssue('entry.empty', nowhere, {}));
  const { marks, lines, runs } = referencesOf(entry);
  if (lines.length + runs.length > 0 || marks.some((mark) => !COUNT_WORDS.has(mark)) || entry.assignment)
    return fail(makeIssue('jig.not_fixed', nowhere, { field }));
  const result = evaluate(entry);
  if (!result.ok) return result;
  return result.value.kind === 'quantity' ? ok(result.value.quantity) : fail(makeIssue('kind.answer', entry.expr, {}));
}
