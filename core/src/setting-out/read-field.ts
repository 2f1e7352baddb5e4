import { tangent } from '../evaluate/angles.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import type { ReadingForm, ReadingStyle } from '../reading/style.ts';
import { ANGLE, SLOPE } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Field, Known } from './solver.ts';

/**
 * A size of a shape as a person reads it: a pitch as a slope, whatever it was given as; all else as the job reads.
 * @param volumes the units in which volumes are read, where not in those of the job
 */
export function readField(
  field: Field,
  { quantity }: Known,
  style: ReadingStyle,
  volumes?: ReadingForm,
): { readonly quantity: Quantity; readonly reading: Reading } {
  const shown = field.kind === 'pitch' ? (asSlope(quantity) ?? quantity) : quantity;
  return { quantity: shown, reading: readQuantity(shown, style, field.kind === 'volume' ? volumes : undefined) };
}

function asSlope({ value, dimension }: Quantity): Quantity | undefined {
  const ratio = dimension === ANGLE ? tangent(value) : value;
  return ratio && { value: ratio, dimension: SLOPE };
}

/** The entry that puts a size on the slate, reading there as it reads here. @param volumes words of the volume's unit */
export function slateEntry({ kind }: Field, { quantity, entry }: Known, volumes?: string): string {
  if (kind === 'volume' && volumes !== undefined) return `${entry} to ${volumes}`;
  if (kind !== 'pitch' || quantity.dimension === SLOPE) return entry;
  return quantity.dimension === ANGLE ? `${entry} to slope` : `atan(${entry}) to slope`;
}
