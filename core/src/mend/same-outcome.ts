import type { Outcome } from '../evaluate/evaluate.ts';
import { equalValue } from '../number/value.ts';

/** Whether two entries come to the same. */
export function sameOutcome(a: Outcome, b: Outcome): boolean {
  if (a.kind === 'answer' || b.kind === 'answer') return a.kind === b.kind;
  return a.quantity.dimension === b.quantity.dimension && equalValue(a.quantity.value, b.quantity.value);
}
