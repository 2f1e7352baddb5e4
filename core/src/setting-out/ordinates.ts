import { makeRational } from '../number/rational.ts';
import {
  addValue,
  compareValue,
  multiplyValue,
  signOfValue,
  sqrtValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Answer } from './solver.ts';

/** How high the arc stands over its chord, so far along from its left end. */
export interface Ordinate {
  readonly along: Quantity;
  readonly height: Quantity;
}

/** More would be a curve and no marks. */
const MOST = 500;

/**
 * Heights of an arc over its chord at equal steps from the left end, to mark a curve by without a long trammel. Source:
 * height = √(radius² − (along − chord/2)²) − (radius − rise), the circle about its middle. Of an arc larger than half a
 * circle, whose sides hang out over the chord, the part over the chord.
 * @param step more than nothing; the right end is added where the steps do not meet it
 */
export function ordinates({ known }: Answer, step: Value): readonly Ordinate[] {
  const [chord, radius, rise] = ['chord', 'radius', 'rise'].map((id) => known[id]?.quantity.value);
  if (chord === undefined || radius === undefined || rise === undefined || signOfValue(step) <= 0) return [];
  const half = multiplyValue(chord, makeRational(1, 2));
  const sunk = subtractValue(radius, rise);
  const square = multiplyValue(radius, radius);
  const heightAt = (along: Value): Value => {
    const aside = subtractValue(along, half);
    const under = subtractValue(square, multiplyValue(aside, aside));
    return subtractValue(signOfValue(under) <= 0 ? makeRational(0) : sqrtValue(under), sunk);
  };
  const length = (value: Value): Quantity => ({ value, dimension: LENGTH });
  const found: Ordinate[] = [];
  for (let along: Value = makeRational(0); found.length < MOST; along = addValue(along, step)) {
    const end = compareValue(along, chord) >= 0;
    const at = end ? chord : along;
    found.push({ along: length(at), height: length(end || found.length === 0 ? makeRational(0) : heightAt(at)) });
    if (end) break;
  }
  return found;
}
