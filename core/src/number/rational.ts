import { absBig, bitLength, gcdBig, gcdNumber, restOf } from '../base/bigint.ts';
import { invariant } from '../base/invariant.ts';

/**
 * Exact rational numbers, the numbers that results are computed with.
 *
 * Invariant, made in this file and nowhere else: den > 0, lowest terms, zero is 0/1; both parts are
 * doubles when both are at most 2^53 - 1 in size, and both are big integers otherwise. Equal values
 * therefore have equal fields. Not frozen: freezing costs more than the whole addition (see
 * docs/decisions/0001-exact-rationals.md); the type says readonly.
 */
export interface Rational {
  readonly kind: 'rational';
  readonly num: number | bigint;
  readonly den: number | bigint;
}

const MAX = Number.MAX_SAFE_INTEGER;
const MAX_BIG = BigInt(MAX);

function raw(num: number | bigint, den: number | bigint): Rational {
  return { kind: 'rational', num, den };
}

export const ZERO: Rational = raw(0, 1);
export const ONE: Rational = raw(1, 1);
export const TWO: Rational = raw(2, 1);
export const HALF: Rational = raw(1, 2);

/** num/den in lowest terms from whole doubles up to 2^53 - 1 in size, den over 0, without a check. */
export function reduceNumbers(num: number, den: number): Rational {
  if (num === 0) return ZERO;
  const divisor = num < 0 ? gcdNumber(-num, den) : gcdNumber(num, den);
  return divisor === 1 ? raw(num, den) : raw(num / divisor, den / divisor);
}

/** num/den in lowest terms from big integers, den > 0n; as doubles when they fit. */
function fromBigs(num: bigint, den: bigint): Rational {
  if (num === 0n) return ZERO;
  const divisor = gcdBig(num, den);
  const n = num / divisor;
  const d = den / divisor;
  if (d <= MAX_BIG && n <= MAX_BIG && n >= -MAX_BIG) return raw(Number(n), Number(d));
  return raw(n, d);
}

/**
 * num/den in lowest terms.
 * @throws {InvariantError} when den is zero or a double is not a whole number up to 2^53 - 1: our mistake, never a user's.
 * @example makeRational(6, -8).num // => -3
 */
export function makeRational(num: number | bigint, den: number | bigint = 1): Rational {
  if (typeof num === 'number' && typeof den === 'number') {
    invariant(Number.isSafeInteger(num) && Number.isSafeInteger(den) && den !== 0, 'whole parts, den not 0');
    return den < 0 ? reduceNumbers(num === 0 ? 0 : -num, -den) : reduceNumbers(num, den);
  }
  const n = BigInt(num);
  const d = BigInt(den);
  invariant(d !== 0n, 'den not 0');
  return d < 0n ? fromBigs(-n, -d) : fromBigs(n, d);
}

/** num/den known to be in lowest terms, den over 0, from whole doubles up to 2^53 - 1 in size, without a check. */
export function inLowestTerms(num: number, den: number): Rational {
  return raw(num, den);
}

/** A whole number known to be at most 2^53 - 1 in size, without a check. */
export function wholeNumber(n: number): Rational {
  return raw(n, 1);
}

export function addRational(a: Rational, b: Rational): Rational {
  const { num: an, den: ad } = a;
  const { num: bn, den: bd } = b;
  if (typeof an === 'number' && typeof ad === 'number' && typeof bn === 'number' && typeof bd === 'number') {
    if (ad === bd) {
      const sum = an + bn;
      if (sum <= MAX && sum >= -MAX) return ad === 1 ? (sum === 0 ? ZERO : raw(sum, 1)) : reduceNumbers(sum, ad);
    } else if (ad > bd && restOf(ad, bd) === 0) {
      // One denominator goes into the other, as those of one tape do.
      const right = bn * (ad / bd);
      const sum = an + right;
      if (right <= MAX && right >= -MAX && sum <= MAX && sum >= -MAX) return reduceNumbers(sum, ad);
    } else if (bd > ad && restOf(bd, ad) === 0) {
      const left = an * (bd / ad);
      const sum = left + bn;
      if (left <= MAX && left >= -MAX && sum <= MAX && sum >= -MAX) return reduceNumbers(sum, bd);
    } else {
      const left = an * bd;
      const right = bn * ad;
      const sum = left + right;
      const den = ad * bd;
      // Each product is checked by itself: two that are rounded could add to a sum that looks small.
      if (den <= MAX && left <= MAX && left >= -MAX && right <= MAX && right >= -MAX && sum <= MAX && sum >= -MAX)
        return reduceNumbers(sum, den);
    }
  }
  const d1 = BigInt(ad);
  const d2 = BigInt(bd);
  return fromBigs(BigInt(an) * d2 + BigInt(bn) * d1, d1 * d2);
}

export function negateRational(a: Rational): Rational {
  return a.num === 0 ? ZERO : raw(-a.num, a.den);
}

export function subtractRational(a: Rational, b: Rational): Rational {
  return addRational(a, negateRational(b));
}

export function multiplyRational(a: Rational, b: Rational): Rational {
  const { num: an, den: ad } = a;
  const { num: bn, den: bd } = b;
  if (typeof an === 'number' && typeof ad === 'number' && typeof bn === 'number' && typeof bd === 'number') {
    const num = an * bn;
    const den = ad * bd;
    if (num <= MAX && num >= -MAX && den <= MAX)
      return den === 1 ? (num === 0 ? ZERO : raw(num, 1)) : reduceNumbers(num, den);
  }
  return fromBigs(BigInt(an) * BigInt(bn), BigInt(ad) * BigInt(bd));
}

/** @throws {InvariantError} when `a` is zero. */
export function invertRational(a: Rational): Rational {
  invariant(a.num !== 0, 'no inverse of zero');
  return a.num < 0 ? raw(-a.den, -a.num) : raw(a.den, a.num);
}

/** @throws {InvariantError} when `b` is zero; callers that take a person's entry check first. */
export function divideRational(a: Rational, b: Rational): Rational {
  const { num: an, den: ad } = a;
  const { num: bn, den: bd } = b;
  if (
    typeof an === 'number' &&
    typeof ad === 'number' &&
    typeof bn === 'number' &&
    typeof bd === 'number' &&
    bn !== 0
  ) {
    const num = bn < 0 ? -an * bd : an * bd;
    const den = bn < 0 ? ad * -bn : ad * bn;
    if (num <= MAX && num >= -MAX && den <= MAX) return reduceNumbers(num, den);
  }
  return multiplyRational(a, invertRational(b));
}

export function signOfRational(a: Rational): -1 | 0 | 1 {
  return a.num === 0 ? 0 : a.num > 0 ? 1 : -1;
}

export function absRational(a: Rational): Rational {
  return a.num < 0 ? raw(-a.num, a.den) : a;
}

export function compareRational(a: Rational, b: Rational): -1 | 0 | 1 {
  const { num: an, den: ad } = a;
  const { num: bn, den: bd } = b;
  if (typeof an === 'number' && typeof ad === 'number' && typeof bn === 'number' && typeof bd === 'number') {
    if (ad === bd) return an === bn ? 0 : an < bn ? -1 : 1;
    const left = an * bd;
    const right = bn * ad;
    if (left <= MAX && left >= -MAX && right <= MAX && right >= -MAX) return left === right ? 0 : left < right ? -1 : 1;
  }
  const left = BigInt(an) * BigInt(bd);
  const right = BigInt(bn) * BigInt(ad);
  return left === right ? 0 : left < right ? -1 : 1;
}

export function equalRational(a: Rational, b: Rational): boolean {
  return a.num === b.num && a.den === b.den;
}

export function isWhole(a: Rational): boolean {
  return a.den === 1 || a.den === 1n;
}

/** a to a whole power. @throws {InvariantError} for zero to a negative power. */
export function powerRational(a: Rational, exponent: number): Rational {
  const base = exponent < 0 ? invertRational(a) : a;
  const times = BigInt(Math.abs(exponent));
  return fromBigs(BigInt(base.num) ** times, BigInt(base.den) ** times);
}

/** The larger bit length of numerator and denominator: what the limit on the size of values is measured by. */
export function bitsOfRational(a: Rational): number {
  if (typeof a.num === 'number') return 53;
  return Math.max(bitLength(a.num), bitLength(BigInt(a.den)));
}

/** Largest whole number at most a. */
export function floorRational(a: Rational): bigint {
  const num = BigInt(a.num);
  const den = BigInt(a.den);
  const quotient = num / den;
  return num < 0n && quotient * den !== num ? quotient - 1n : quotient;
}

/** The nearest double, a tie to the even one; infinities never come out (the extremes saturate). */
export function rationalToNumber(a: Rational): number {
  if (typeof a.num === 'number') return a.num / Number(a.den);
  const num = absBig(a.num);
  const den = BigInt(a.den);
  // 64 significant bits of the quotient, then one correctly rounded conversion and a scaling by a power of two. What is
  // cut off is marked in the last bit, so that a quotient next to the middle of two doubles does not look like a tie.
  const shift = 64 - (bitLength(num) - bitLength(den));
  const top = shift >= 0 ? num << BigInt(shift) : num;
  const bottom = shift >= 0 ? den : den << BigInt(-shift);
  const quotient = top / bottom;
  const marked = quotient * bottom === top ? quotient : quotient | 1n;
  const magnitude = scaleByPowerOfTwo(Number(marked), -shift);
  return a.num < 0n ? -magnitude : magnitude;
}

/** x · 2^exponent without passing through an infinity or a premature zero. */
function scaleByPowerOfTwo(x: number, exponent: number): number {
  let result = x;
  let rest = exponent;
  while (rest > 1000) {
    result *= 2 ** 1000;
    rest -= 1000;
  }
  while (rest < -1000) {
    result *= 2 ** -1000;
    rest += 1000;
  }
  result *= 2 ** rest;
  return Math.min(result, Number.MAX_VALUE);
}

/** "3/8", "-12"; `parseRational` reads it back to an equal value. */
export function rationalToText(a: Rational): string {
  return isWhole(a) ? `${a.num}` : `${a.num}/${a.den}`;
}

const RATIONAL_TEXT = /^([+-]?\d+)(?:\/(\d+)|\.(\d+))?$/;

/** Reads "12", "-0.375" or "3/8" exactly; anything else, "1/0" and the empty text too, gives undefined. */
export function parseRational(text: string): Rational | undefined {
  const match = RATIONAL_TEXT.exec(text);
  if (!match) return undefined;
  const [, whole, den, decimals] = match;
  if (decimals !== undefined) return makeRational(BigInt(`${whole}${decimals}`), 10n ** BigInt(decimals.length));
  if (den === undefined) return makeRational(BigInt(whole as string));
  return /^0+$/.test(den) ? undefined : makeRational(BigInt(whole as string), BigInt(den));
}
