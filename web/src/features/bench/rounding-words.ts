import { isQuietCost, kindOf, roundingCost, valueToNumber, type Quantity, type Reading } from '@sprell/core';

/** "full by 0.017″ (0.4 mm)" for a length; "full" for other kinds; undefined when the reading is the true size. */
export function roundingWords(quantity: Quantity, reading: Reading): string | undefined {
  if (reading.rounding === 'exact') return undefined;
  if (kindOf(quantity.dimension) !== 'length') return reading.rounding;
  const cost = roundingCost(quantity, reading);
  if (isQuietCost(cost)) return `${reading.rounding} by less than 0.1 mm`;
  const metres = Math.abs(valueToNumber(cost));
  return `${reading.rounding} by ${(metres / 0.0254).toFixed(3)}″ (${(metres * 1000).toFixed(1)} mm)`;
}
