import type { Quantity } from '../units/quantity.ts';
import { posted } from './posting.ts';
import { readOutcome, type Reckoned, type ReckonOptions } from './reckon.ts';
import { EMPTY_SCOPE } from './scope.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';

/**
 * An entry that posts to a mark, read as what the mark comes to by it; any other as it is.
 * @param after what the mark comes to, where that is known: of a line that has landed
 * With a rail of 10′, `rail += 2"` reads 10′ 2″.
 */
export function afterPosting(
  now: Reckoned,
  { scope = EMPTY_SCOPE, style = DEFAULT_STYLE }: ReckonOptions,
  after?: Quantity,
): Reckoned {
  const { entry } = now.parsed;
  const { assignment } = entry ?? {};
  if (!entry || !assignment || assignment.operator === 'keep' || now.outcome?.kind !== 'quantity') return now;
  const before = scope.mark(assignment.name.toLowerCase());
  const sum = posted(assignment, entry.expr, before?.ok === true ? before.quantity : undefined, now.outcome.quantity);
  const quantity = after ?? (sum.ok ? sum.quantity : undefined);
  if (quantity === undefined) return now;
  return { ...now, outcome: { kind: 'quantity', quantity }, reading: readOutcome(entry, quantity, style).reading };
}
