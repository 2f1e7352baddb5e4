import { tangent } from '../evaluate/angles.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { ANGLE, SLOPE } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Field, Known } from './solver.ts';

/** A size of a shape as a person reads it: a pitch as a slope, whatever it was given as; all else as the job reads. */
export function readField(
  field: Field,
  { quantity }: Known,
  style: ReadingStyle,
): { readonly quantity: Quantity; readonly reading: Reading } {
  const shown = field.kind === 'pitch' ? (asSlope(quantity) ?? quantity) : quantity;
  return { quantity: shown, reading: readQuantity(shown, style) };
}

function asSlope({ value, dimension }: Quantity): Quantity | undefined {
  const ratio = dimension === ANGLE ? tangent(value) : value;
  return ratio && { value: ratio, dimension: SLOPE };
}

/** The entry that puts a size on the slate, reading there as it reads here. */
export function slateEntry({ kind }: Field, { quantity, entry }: Known): string {
  if (kind !== 'pitch' || quantity.dimension === SLOPE) return entry;
  return quantity.dimension === ANGLE ? `${entry} to slope` : `atan(${entry}) to slope`;
}
