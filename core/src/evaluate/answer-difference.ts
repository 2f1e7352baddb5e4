import { absValue, isZero } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import { DEFAULT_STYLE, type ReadingForm, type ReadingStyle } from '../reading/style.ts';
import { LENGTH, TEMPERATURE } from '../units/dimension.ts';
import type { Outcome } from './evaluate.ts';

/**
 * By how much the two sides of a comparison differ, without a sign. Undefined where they are equal, and for temperatures:
 * a difference between two is no temperature.
 */
export function answerDifference(outcome: Outcome, style: ReadingStyle = DEFAULT_STYLE): Reading | undefined {
  if (outcome.kind !== 'answer' || outcome.difference.dimension === TEMPERATURE) return undefined;
  const { value, dimension } = outcome.difference;
  if (isZero(value)) return undefined;
  const difference = { value: absValue(value), dimension };
  const reading = readQuantity(difference, style);
  const isTooFine = dimension === LENGTH && (reading.steps === 0 || reading.steps === 0n);
  return isTooFine ? readQuantity(difference, style, IN_MILLIMETRES) : reading;
}

/** What is less than the tape shows is said in millimetres. */
const IN_MILLIMETRES: ReadingForm = { units: [{ unit: 'mm', power: 1 }], decimals: 3 };
