import { makeIssue, type Issue } from '../base/issue.ts';
import type { Assignment, Entry } from '../notation/ast.ts';
import { addValue, negateValue } from '../number/value.ts';
import { kindOf } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

/**
 * What a mark comes to by a posting: `rail += 2"` adds to it, `rail -= 2"` takes away.
 * @param before what the mark holds; undefined where nothing is kept under its name
 * @returns the new value, exact; `name.unknown` where there is nothing to post to, `kind.add` where the kinds differ
 */
export function posted(
  assignment: Assignment,
  expr: Entry['expr'],
  before: Quantity | undefined,
  amount: Quantity,
): { readonly ok: true; readonly quantity: Quantity } | { readonly ok: false; readonly issue: Issue } {
  if (before === undefined)
    return { ok: false, issue: makeIssue('name.unknown', assignment, { name: assignment.name }) };
  const { value, dimension } = before;
  if (dimension !== amount.dimension) {
    const names = { left: kindOf(dimension), right: kindOf(amount.dimension) };
    return { ok: false, issue: makeIssue('kind.add', expr, names) };
  }
  const change = assignment.operator === 'subtract' ? negateValue(amount.value) : amount.value;
  return { ok: true, quantity: { value: addValue(value, change), dimension } };
}
