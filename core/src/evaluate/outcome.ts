import type { Quantity } from '../units/quantity.ts';

/** What an entry comes to: a quantity, or yes or no with the difference of the two sides. */
export type Outcome =
  | { readonly kind: 'quantity'; readonly quantity: Quantity }
  | { readonly kind: 'answer'; readonly yes: boolean; readonly difference: Quantity };
