import { absBig, bitLength, isqrt } from '../base/bigint.ts';
import { makeRational, type Rational } from './rational.ts';

/**
 * A number known to lie within mid ± rad, both counted in units of 2^-scale. It carries its own error, so that a
 * result within its error of a division or a tie can be taken as on it. About 38 good digits when made; `rad` says
 * how many are left.
 */
export interface Approximation {
  readonly kind: 'approximate';
  readonly mid: bigint;
  readonly rad: bigint;
  readonly scale: number;
}

/** Bits of a fresh approximation: 38 decimal digits, so that 15 are left after any site's worth of steps. */
export const WORKING_BITS = 128;

function make(mid: bigint, rad: bigint, scale: number): Approximation {
  return { kind: 'approximate', mid, rad, scale };
}

/** Cuts the midpoint back to about `bits` bits; what is cut off goes into the radius. */
function trim(mid: bigint, rad: bigint, scale: number, bits: number): Approximation {
  const excess = bitLength(mid) - bits;
  if (excess <= 0) return make(mid, rad, scale);
  const shift = BigInt(excess);
  return make(mid >> shift, (rad >> shift) + 2n, scale - excess);
}

export function approximateRational(value: Rational, bits = WORKING_BITS): Approximation {
  if (value.num === 0) return make(0n, 0n, bits);
  const num = BigInt(value.num);
  const den = BigInt(value.den);
  const scale = bits - (bitLength(num) - bitLength(den));
  const mid = scale >= 0 ? (num << BigInt(scale)) / den : num / (den << BigInt(-scale));
  return make(mid, 1n, scale);
}

/** The number at a finer or coarser scale. */
function atScale(a: Approximation, scale: number): Approximation {
  const shift = scale - a.scale;
  if (shift === 0) return a;
  if (shift > 0) return make(a.mid << BigInt(shift), a.rad << BigInt(shift), scale);
  return make(a.mid >> BigInt(-shift), (a.rad >> BigInt(-shift)) + 2n, scale);
}

export function addApproximate(a: Approximation, b: Approximation, bits = WORKING_BITS): Approximation {
  // Digits far below the coarser one's error would only be carried along.
  const scale = Math.min(Math.max(a.scale, b.scale), Math.min(a.scale, b.scale) + bits);
  const x = atScale(a, scale);
  const y = atScale(b, scale);
  return trim(x.mid + y.mid, x.rad + y.rad, scale, bits);
}

export function negateApproximate(a: Approximation): Approximation {
  return make(-a.mid, a.rad, a.scale);
}

export function multiplyApproximate(a: Approximation, b: Approximation, bits = WORKING_BITS): Approximation {
  const rad = absBig(a.mid) * b.rad + absBig(b.mid) * a.rad + a.rad * b.rad;
  return trim(a.mid * b.mid, rad, a.scale + b.scale, bits);
}

/** Whether zero lies within its error. */
export function mayBeZero(a: Approximation): boolean {
  return absBig(a.mid) <= a.rad;
}

/** 1/a; the caller has made sure that `a` may not be zero. */
export function invertApproximate(a: Approximation, bits = WORKING_BITS): Approximation {
  const scale = bits + bitLength(a.mid);
  const mid = (1n << BigInt(scale)) / a.mid;
  // |1/(m±r) − 1/m| <= r / (|m| (|m| − r)), in units of 2^-scale.
  const size = absBig(a.mid);
  const rad = (a.rad << BigInt(scale)) / (size * (size - a.rad)) + 2n;
  return trim(mid, rad, scale - a.scale, bits);
}

/** Square root of a number that is not negative; zero within its error gives an error as wide as its root. */
export function sqrtApproximate(a: Approximation, bits = WORKING_BITS): Approximation {
  const upper = a.mid + a.rad;
  if (upper <= 0n) return make(0n, 0n, bits);
  let shift = Math.max(0, 2 * bits - bitLength(upper));
  if ((a.scale + shift) % 2 !== 0) shift += 1;
  const scale = (a.scale + shift) / 2;
  const low = a.mid - a.rad > 0n ? isqrt((a.mid - a.rad) << BigInt(shift)) : 0n;
  const high = isqrt(upper << BigInt(shift)) + 1n;
  return trim((low + high) >> 1n, ((high - low) >> 1n) + 1n, scale, bits);
}

export function compareApproximate(a: Approximation, b: Approximation): -1 | 0 | 1 {
  const difference = addApproximate(a, negateApproximate(b));
  return mayBeZero(difference) ? 0 : difference.mid > 0n ? 1 : -1;
}

export function signOfApproximate(a: Approximation): -1 | 0 | 1 {
  return mayBeZero(a) ? 0 : a.mid > 0n ? 1 : -1;
}

/** The midpoint as an exact rational. */
export function midpoint(a: Approximation): Rational {
  return a.scale >= 0 ? makeRational(a.mid, 1n << BigInt(a.scale)) : makeRational(a.mid << BigInt(-a.scale));
}

/** The error as an exact rational. */
export function radius(a: Approximation): Rational {
  return a.scale >= 0 ? makeRational(a.rad, 1n << BigInt(a.scale)) : makeRational(a.rad << BigInt(-a.scale));
}

/** The least number within its error. */
export function lowerEnd(a: Approximation): Rational {
  return midpoint(make(a.mid - a.rad, 0n, a.scale));
}

/** The largest number within its error. */
export function upperEnd(a: Approximation): Rational {
  return midpoint(make(a.mid + a.rad, 0n, a.scale));
}

/** A number with the error of another added to its own. */
export function withErrorOf(source: Approximation, a: Approximation): Approximation {
  return addApproximate(a, make(0n, source.rad, source.scale));
}

/** The midpoint counted in whole units of 2^-bits. */
export function toFixed(a: Approximation, bits: number): bigint {
  const shift = bits - a.scale;
  return shift >= 0 ? a.mid << BigInt(shift) : a.mid >> BigInt(-shift);
}

/** A number from its value in units of 2^-bits, with an error in the same units. */
export function fromFixed(fixed: bigint, error: bigint, bits: number): Approximation {
  return trim(fixed, error, bits, WORKING_BITS);
}
