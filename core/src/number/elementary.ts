import { absBig, bitLength, floorDiv, isqrt } from '../base/bigint.ts';
import { fromFixed, radius, toFixed, type Approximation } from './approximation.ts';
import { floorRational, makeRational, multiplyRational } from './rational.ts';

/**
 * π, exponential, logarithm and circular functions in fixed point: a number x is the whole number x·2^bits. Every
 * series stops when its next term vanishes at that scale; each truncated step is off by less than one unit, and the
 * guard below is wider than the number of steps.
 */
const FIXED_BITS = 224;
/** Wider than all truncations of one function together, in units of 2^-FIXED_BITS. */
const GUARD = 4096n;

const piCache = new Map<number, bigint>();

/**
 * π·2^bits, off by less than 2 units. Machin's formula (1706): π/4 = 4 atan(1/5) − atan(1/239). Each term of the series
 * is cut off, so the error grows with their number: 32 bits more than asked for take it in.
 */
export function piFixed(bits: number): bigint {
  let pi = piCache.get(bits);
  if (pi === undefined) {
    const work = bits + PI_GUARD_BITS;
    pi = (4n * (4n * atanOfInverse(5n, work) - atanOfInverse(239n, work))) >> BigInt(PI_GUARD_BITS);
    piCache.set(bits, pi);
  }
  return pi;
}

const PI_GUARD_BITS = 32;

/** atan(1/n)·2^bits by its series. */
function atanOfInverse(n: bigint, bits: number): bigint {
  let term = (1n << BigInt(bits)) / n;
  let sum = 0n;
  for (let k = 1n; term !== 0n; k += 2n) {
    sum += k % 4n === 1n ? term / k : -(term / k);
    term /= n * n;
  }
  return sum;
}

/** ln 2·2^bits: 2 atanh(1/3). */
function ln2Fixed(bits: number): bigint {
  return 2n * atanhSeries((1n << BigInt(bits)) / 3n, bits);
}

function atanhSeries(y: bigint, bits: number): bigint {
  const shift = BigInt(bits);
  const square = (y * y) >> shift;
  let power = y;
  let sum = 0n;
  for (let k = 1n; power !== 0n && power !== -1n; k += 2n) {
    sum += power / k;
    power = (power * square) >> shift;
  }
  return sum;
}

/** sin and cos of x, both ·2^bits, of a fixed-point x in radians of any size. */
function sinCosFixed(x: bigint, bits: number): { readonly sin: bigint; readonly cos: bigint } {
  const extra = Math.max(0, bitLength(x) - bits) + 8;
  const halfPi = piFixed(bits + extra) >> 1n;
  const scaled = x << BigInt(extra);
  // To the nearest quarter turn, so that the rest is within π/4.
  const quarters = floorDiv(scaled + (halfPi >> 1n), halfPi);
  const rest = (scaled - quarters * halfPi) >> BigInt(extra);
  const { sin, cos } = sinCosSeries(rest, bits);
  const turn = ((quarters % 4n) + 4n) % 4n;
  if (turn === 0n) return { sin, cos };
  if (turn === 1n) return { sin: cos, cos: -sin };
  if (turn === 2n) return { sin: -sin, cos: -cos };
  return { sin: -cos, cos: sin };
}

function sinCosSeries(x: bigint, bits: number): { readonly sin: bigint; readonly cos: bigint } {
  const shift = BigInt(bits);
  const one = 1n << shift;
  let term = one;
  let sin = 0n;
  let cos = 0n;
  for (let k = 0n; absBig(term) > 0n && k < 400n; k += 1n) {
    const step = k % 4n;
    if (step === 0n) cos += term;
    else if (step === 1n) sin += term;
    else if (step === 2n) cos -= term;
    else sin -= term;
    term = (term * x) / ((k + 1n) << shift);
  }
  return { sin, cos };
}

/** atan(x)·2^bits: three halvings of the angle, then the series. */
function atanFixed(x: bigint, bits: number): bigint {
  const shift = BigInt(bits);
  const one = 1n << shift;
  if (absBig(x) > one) {
    const right = piFixed(bits) >> 1n;
    const rest = atanFixed((one << shift) / absBig(x), bits);
    return x < 0n ? rest - right : right - rest;
  }
  let y = x;
  for (let halving = 0; halving < 3; halving += 1) y = (y << shift) / (one + isqrt((one << shift) + y * y));
  const square = (y * y) >> shift;
  let power = y;
  let sum = 0n;
  for (let k = 1n; power !== 0n && power !== -1n; k += 2n) {
    sum += k % 4n === 1n ? power / k : -(power / k);
    power = (power * square) >> shift;
  }
  return sum * 8n;
}

/** An upper bound of the error of `a` in units of 2^-FIXED_BITS. */
function errorUnits(a: Approximation): bigint {
  return floorRational(multiplyRational(radius(a), makeRational(1n << BigInt(FIXED_BITS)))) + 1n;
}

/** Sine of radians; its slope is at most 1, so the error passes through. */
export function sinApproximate(a: Approximation): Approximation {
  return fromFixed(sinCosFixed(toFixed(a, FIXED_BITS), FIXED_BITS).sin, errorUnits(a) + GUARD, FIXED_BITS);
}

export function cosApproximate(a: Approximation): Approximation {
  return fromFixed(sinCosFixed(toFixed(a, FIXED_BITS), FIXED_BITS).cos, errorUnits(a) + GUARD, FIXED_BITS);
}

/** Inverse tangent in radians; its slope is at most 1. */
export function atanApproximate(a: Approximation): Approximation {
  return fromFixed(atanFixed(toFixed(a, FIXED_BITS), FIXED_BITS), errorUnits(a) + GUARD, FIXED_BITS);
}

/** π with the working precision. */
export function piApproximate(): Approximation {
  return fromFixed(piFixed(FIXED_BITS), GUARD, FIXED_BITS);
}

/** e^a. Undefined when the result would pass the limit on the size of values (about 2^16384). */
export function expApproximate(a: Approximation): Approximation | undefined {
  const x = toFixed(a, FIXED_BITS);
  const shift = BigInt(FIXED_BITS);
  const whole = x >> shift;
  if (whole > 11356n || whole < -11356n) return undefined;
  const wideBits = FIXED_BITS + 16;
  const ln2 = ln2Fixed(wideBits);
  const wide = x << 16n;
  const twos = floorDiv(wide, ln2);
  const rest = (wide - twos * ln2) >> 16n;
  let term = 1n << shift;
  let sum = 0n;
  for (let k = 1n; term > 0n; k += 1n) {
    sum += term;
    term = (term * rest) / (k << shift);
  }
  // e^x (e^d − 1) <= 2 e^x d for a small d.
  const error = ((sum * errorUnits(a) * 2n) >> shift) + GUARD;
  return fromFixed(sum, error, FIXED_BITS - Number(twos));
}

/** Natural logarithm of a number that is surely positive. */
export function lnApproximate(a: Approximation): Approximation {
  const twos = bitLength(a.mid) - 1;
  const shift = BigInt(FIXED_BITS);
  // mid = m·2^twos with 1 <= m < 2, and a = mid·2^-scale.
  const m = FIXED_BITS >= twos ? a.mid << BigInt(FIXED_BITS - twos) : a.mid >> BigInt(twos - FIXED_BITS);
  const one = 1n << shift;
  const y = ((m - one) << shift) / (m + one);
  const log = 2n * atanhSeries(y, FIXED_BITS) + BigInt(twos - a.scale) * ln2Fixed(FIXED_BITS);
  // |ln(m±r) − ln m| <= r/(m − r).
  const error = (a.rad << shift) / (a.mid - a.rad) + GUARD + BigInt(Math.abs(twos - a.scale)) * 64n;
  return fromFixed(log, error, FIXED_BITS);
}
