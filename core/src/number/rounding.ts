import { absBig, restOf } from '../base/bigint.ts';
import { multiplyRational, makeRational, type Rational } from './rational.ts';

/**
 * How a magnitude between two marks is settled, by magnitude and never by sign: `nearest` sends a tie away from
 * zero, `up` goes away from zero, `down` towards it.
 */
export type RoundingDirection = 'nearest' | 'up' | 'down';

/** Whether the mark further from zero is taken, given which side of the middle the rest lies on; a rest of nothing never asks. */
export function takesOuter(direction: RoundingDirection, comparedWithHalf: -1 | 0 | 1): boolean {
  return direction === 'up' || (direction === 'nearest' && comparedWithHalf >= 0);
}

/** The whole number that `direction` picks for `value`, and which side of it the true value lies on, by magnitude. */
export interface RoundedWhole {
  readonly whole: bigint | number;
  /** 1: the true size is a little over; -1: a little under; 0: on it. */
  readonly side: -1 | 0 | 1;
}

/** num/den to a whole number, in doubles: den > 0, both whole and at most 2^53 - 1 in size; not necessarily in lowest terms. */
function roundNumbers(num: number, den: number, direction: RoundingDirection): RoundedWhole {
  const magnitude = num < 0 ? -num : num;
  const rest = restOf(magnitude, den);
  if (rest === 0) return { whole: num === 0 ? 0 : num / den, side: 0 };
  const inner = (magnitude - rest) / den;
  // den <= 2^53 - 1, so the comparison with half is made without doubling.
  const middle = rest > den - rest ? 1 : rest === den - rest ? 0 : -1;
  const outer = takesOuter(direction, middle);
  const whole = outer ? inner + 1 : inner;
  return { whole: num < 0 && whole !== 0 ? -whole : whole, side: outer ? -1 : 1 };
}

/** Rounds the product of two rationals to a whole number, exactly; the product need not be made in lowest terms for that. */
export function roundProduct(a: Rational, b: Rational, direction: RoundingDirection): RoundedWhole {
  if (
    typeof a.num === 'number' &&
    typeof a.den === 'number' &&
    typeof b.num === 'number' &&
    typeof b.den === 'number'
  ) {
    const num = a.num * b.num;
    const den = a.den * b.den;
    if (num <= Number.MAX_SAFE_INTEGER && num >= -Number.MAX_SAFE_INTEGER && den <= Number.MAX_SAFE_INTEGER)
      return roundNumbers(num, den, direction);
  }
  return roundRational(multiplyRational(a, b), direction);
}

/** Rounds a rational to a whole number; exact for any size. */
export function roundRational(value: Rational, direction: RoundingDirection): RoundedWhole {
  const { num, den } = value;
  if (typeof num === 'number' && typeof den === 'number') return roundNumbers(num, den, direction);
  const bigDen = BigInt(den);
  const magnitude = absBig(BigInt(num));
  const inner = magnitude / bigDen;
  const rest = magnitude - inner * bigDen;
  if (rest === 0n) return { whole: BigInt(num), side: 0 };
  const twice = 2n * rest;
  const outer = takesOuter(direction, twice > bigDen ? 1 : twice === bigDen ? 0 : -1);
  const whole = outer ? inner + 1n : inner;
  return { whole: num < 0 ? -whole : whole, side: outer ? -1 : 1 };
}

/** The multiple of `step` (> 0) that `direction` picks. 10/3 to sixteenths, nearest, is 53/16. */
export function roundToMultiple(value: Rational, step: Rational, direction: RoundingDirection): Rational {
  const times = multiplyRational(value, makeRational(step.den, step.num));
  return multiplyRational(makeRational(roundRational(times, direction).whole), step);
}
