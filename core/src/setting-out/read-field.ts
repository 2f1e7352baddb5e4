import { tangent } from '../evaluate/angles.ts';
import { LIMITS } from '../notation/operators.ts';
import { makeRational } from '../number/rational.ts';
import { approximate, multiplyValue } from '../number/value.ts';
import { exactText } from '../reading/exact-text.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import type { ReadingForm, ReadingStyle } from '../reading/style.ts';
import { ANGLE, AREA, LENGTH, SLOPE, VOLUME } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { rootText } from './root-search.ts';
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
  if (field.kind === 'share') return { quantity, reading: readShare(quantity, style) };
  const shown = field.kind === 'pitch' ? (asSlope(quantity) ?? quantity) : quantity;
  return { quantity: shown, reading: readQuantity(shown, style, field.kind === 'volume' ? volumes : undefined) };
}

/** A share as percent, to a hundredth. */
function readShare({ value, dimension }: Quantity, style: ReadingStyle): Reading {
  const percent = { value: multiplyValue(value, makeRational(100)), dimension };
  const { text, plain, rounding, approximate, steps, step } = readQuantity(percent, style, { decimals: 2 });
  return { text: `${text}%`, plain: `${plain}%`, rounding, approximate, steps, step };
}

function asSlope({ value, dimension }: Quantity): Quantity | undefined {
  const ratio = dimension === ANGLE ? tangent(value) : value;
  return ratio && { value: ratio, dimension: SLOPE };
}

/** Signs of an entry that are left to a label and to what says how it reads. */
const ROOM = 140;

/**
 * The entry of a size over what was given; where that is longer than an entry can be, its value: exact where it is, or
 * else to 24 decimals.
 */
export function fieldEntry({ quantity, entry }: Known, style: ReadingStyle): string {
  if (entry.length <= LIMITS.characters - ROOM) return entry;
  const { value, dimension } = quantity;
  const exact = exactText(quantity, style)?.plain;
  if (exact !== undefined && exact.length <= LIMITS.characters - ROOM) return exact;
  const unit = { [LENGTH]: ' m', [AREA]: ' m2', [VOLUME]: ' m3', [ANGLE]: ' rad' }[dimension] ?? '';
  return `${rootText(approximate(value))}${unit}`;
}

/** The entry that puts a size on the slate, reading there as it reads here. @param volumes words of the volume's unit */
export function slateEntry({ kind }: Field, known: Known, style: ReadingStyle, volumes?: string): string {
  const entry = fieldEntry(known, style);
  const { dimension } = known.quantity;
  if (kind === 'volume' && volumes !== undefined) return `${entry} to ${volumes}`;
  if (kind !== 'pitch' || dimension === SLOPE) return entry;
  return dimension === ANGLE ? `${entry} to slope` : `atan(${entry}) to slope`;
}
