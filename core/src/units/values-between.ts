import {
  addRational,
  compareRational,
  divideRational,
  makeRational,
  signOfRational,
  subtractRational,
  type Rational,
} from '../number/rational.ts';
import type { Quantity } from './quantity.ts';

/** So many values are gone through at once. */
export const MOST_VALUES = 1000;

/**
 * The values from one to another by a step, the last one among them where the steps end on it. Undefined where they would be
 * more than a thousand, go nowhere, or are not exact.
 * @example valuesBetween(plainNumber(1), plainNumber(2), plainNumber(1, 4))?.length // => 5
 */
export function valuesBetween(from: Quantity, to: Quantity, step: Quantity): readonly Quantity[] | undefined {
  const { dimension } = from;
  const [first, last, by] = [from.value, to.value, step.value];
  if (to.dimension !== dimension || step.dimension !== dimension) return undefined;
  if (first.kind !== 'rational' || last.kind !== 'rational' || by.kind !== 'rational') return undefined;
  if (signOfRational(by) <= 0 || compareRational(first, last) > 0) return undefined;
  const span = divideRational(subtractRational(last, first), by);
  if (compareRational(span, makeRational(MOST_VALUES - 1)) > 0) return undefined;
  const values: Quantity[] = [];
  for (let at: Rational = first; compareRational(at, last) <= 0; at = addRational(at, by))
    values.push({ value: at, dimension });
  return values;
}
