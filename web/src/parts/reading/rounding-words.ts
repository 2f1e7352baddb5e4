import { isQuietCost, kindOf, roundingCost, valueToNumber, type Kind, type Quantity, type Reading } from '@sprell/core';

/** Full and shy are words for sizes on a tape; anything else is rounded. */
export function roundingWord(kind: Kind, reading: Reading): string | undefined {
  if (reading.rounding === 'exact') return undefined;
  return kind === 'length' ? reading.rounding : 'rounded';
}

/**
 * "full by 0.017″ (0.4 mm)" for a length, "by 0.4 mm" in a metric job; "rounded" for other kinds; undefined when the reading is
 * the true size.
 */
export function roundingWords(quantity: Quantity, reading: Reading, isMetricJob: boolean): string | undefined {
  if (reading.rounding === 'exact') return undefined;
  if (kindOf(quantity.dimension) !== 'length') return roundingWord('number', reading);
  const cost = roundingCost(quantity, reading);
  if (isQuietCost(cost)) return `${reading.rounding} by less than 0.1 mm`;
  const metres = Math.abs(valueToNumber(cost));
  if (isMetricJob) return `${reading.rounding} by ${(metres * 1000).toFixed(1)} mm`;
  return `${reading.rounding} by ${(metres / 0.0254).toFixed(3)}″ (${(metres * 1000).toFixed(1)} mm)`;
}
