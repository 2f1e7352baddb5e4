import { addValue, compareValue, divideValue, multiplyValue, roundValue, subtractValue } from '../number/value.ts';
import { makeRational } from '../number/rational.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { unitById } from '../units/unit-table.ts';

/** A mark of a tape near a size. */
export interface TapeNeighbour {
  readonly quantity: Quantity;
  readonly text: string;
  /** The size less the mark: over zero where the mark lies below it. */
  readonly off: Quantity;
  readonly isNearest: boolean;
}

/**
 * The marks of an inch tape around a size, by its finest division, from the lowest: what 238 mm feels like on it. Empty for what is
 * no length.
 * @param each so many on either side of the nearest
 */
export function tapeNeighbours(size: Quantity, style: ReadingStyle, each = 2): readonly TapeNeighbour[] {
  if (size.dimension !== LENGTH) return [];
  const division = multiplyValue(unitById('in').factor, makeRational(1, style.finest));
  const { whole } = roundValue(divideValue(size.value, division), 'nearest');
  return Array.from({ length: 2 * each + 1 }, (_, n) => {
    const value = multiplyValue(division, addValue(makeRational(whole), makeRational(n - each)));
    const quantity = { value, dimension: LENGTH };
    const off = { value: subtractValue(size.value, value), dimension: LENGTH };
    return { quantity, text: readQuantity(quantity, { ...style, length: 'in' }).text, off, isNearest: n === each };
  }).filter(({ quantity }) => compareValue(quantity.value, makeRational(0)) >= 0);
}
