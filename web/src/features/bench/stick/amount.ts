import type { Quantity } from '@sprell/core';

/** What can be kept or posted: the entry in hand, or the last result. */
export interface Amount {
  /** An entry that comes to it. */
  readonly entry: string;
  /** The label of its line, to name a mark by. */
  readonly label: string | undefined;
  readonly reading: string;
  readonly quantity: Quantity;
}
