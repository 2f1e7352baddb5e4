import type { Kind, Quantity } from '@sprell/core';

/** What can be kept or posted: the entry in hand, or the last result. */
export interface Amount {
  /** An entry that comes to it. */
  readonly entry: string;
  /** The label of its line, to name a mark by. */
  readonly label: string | undefined;
  readonly reading: string;
  readonly quantity: Quantity;
}

/** Why an amount was not posted: its kind and that of the mark do not add up. */
export interface Refusal {
  readonly operator: 'add' | 'subtract';
  readonly mark: string;
  readonly kinds: readonly [mark: Kind, amount: Kind];
  readonly reading: string;
}
