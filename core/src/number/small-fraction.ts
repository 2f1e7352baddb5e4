import { restOf } from '../base/bigint.ts';

/**
 * Arithmetic on fractions of doubles that are not reduced, for chains of operations whose middle results nobody sees.
 * Every product is checked before it is trusted: where one may not be exact the operation is refused, and the caller
 * goes the long way round, over `Rational`.
 */

export const ADD = 3;
export const SUBTRACT = 4;
export const MULTIPLY = 5;
export const DIVIDE = 6;

/** The result of the last operation that was not refused: num/den with den over 0. */
export const small = { num: 0, den: 1 };

const MAX = Number.MAX_SAFE_INTEGER;

/** Puts a/b (operation) c/d in `small`; false, and nothing put there, when it may not be exact or divides by nothing. */
export function combineSmall(operation: number, an: number, ad: number, bn: number, bd: number): boolean {
  let num: number;
  let den: number;
  if (operation === MULTIPLY) {
    num = an * bn;
    den = ad * bd;
  } else if (operation === DIVIDE) {
    if (bn === 0) return false;
    num = bn < 0 ? -an * bd : an * bd;
    den = bn < 0 ? ad * -bn : ad * bn;
  } else {
    let left = an;
    let right = operation === ADD ? bn : -bn;
    den = ad;
    if (ad !== bd) {
      // One denominator mostly goes into the other, as those of one tape do.
      if (ad > bd && restOf(ad, bd) === 0) right *= ad / bd;
      else if (restOf(bd, ad) === 0) {
        left *= bd / ad;
        den = bd;
      } else {
        left *= bd;
        right *= ad;
        den = ad * bd;
      }
      if (left > MAX || left < -MAX || right > MAX || right < -MAX) return false;
    }
    num = left + right;
  }
  if (num > MAX || num < -MAX || den > MAX) return false;
  small.num = num;
  small.den = den;
  return true;
}
