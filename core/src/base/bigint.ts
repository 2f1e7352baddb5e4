/** Whole-number helpers on big integers. */

export function absBig(n: bigint): bigint {
  return n < 0n ? -n : n;
}

/** Greatest common divisor, never negative; gcdBig(0n, 0n) is 0n. */
export function gcdBig(a: bigint, b: bigint): bigint {
  let x = absBig(a);
  let y = absBig(b);
  while (y !== 0n) {
    // Once both fit a double's integers the native remainder is several times faster.
    if (x <= MAX_SAFE && y <= MAX_SAFE) return BigInt(gcdNumber(Number(x), Number(y)));
    const rest = x % y;
    x = y;
    y = rest;
  }
  return x;
}

const MAX_SAFE = BigInt(Number.MAX_SAFE_INTEGER);

/**
 * x mod y for whole numbers 0 <= x <= 2^53 - 1 and 0 < y <= 2^53 - 1, exactly. A quotient that lies below a whole number
 * k by e/y rounds up to it only if k·y, which is x + e, passes 2^53 by more than e; so the whole part is right, and its
 * product with y is at most x. The remainder of doubles, `%`, leaves compiled code and takes several times as long.
 */
export function restOf(x: number, y: number): number {
  return x - floor(x / y) * y;
}

const { floor } = Math;

/** Greatest common divisor of two whole numbers, 0 <= a, b <= 2^53 - 1. */
export function gcdNumber(a: number, b: number): number {
  let x = a;
  let y = b;
  // Two 31-bit integers stay in compiled code; the remainder of larger doubles calls out of it.
  while (y > 0x7fffffff || x > 0x7fffffff) {
    if (y === 0) return x;
    const rest = restOf(x, y);
    x = y;
    y = rest;
  }
  if (x === 0 || y === 0) return x + y;
  // Twos are shifted out, which leaves little to divide: the denominators of a tape are made of them.
  const twos = twosIn(x | y);
  let i = x >> twosIn(x);
  let j = y >> twosIn(y);
  while (j !== 0) {
    const rest = (i % j) | 0;
    i = j;
    j = rest;
  }
  return i << twos;
}

/** How often a 31-bit integer over 0 can be halved. */
function twosIn(n: number): number {
  return 31 - Math.clz32(n & -n);
}

/** Number of bits of |n|; 0n has none. */
export function bitLength(n: bigint): number {
  const magnitude = absBig(n);
  if (magnitude === 0n) return 0;
  const hex = magnitude.toString(16);
  return (hex.length - 1) * 4 + (32 - Math.clz32(parseInt(hex[0] as string, 16)));
}

/** How often `factor` (over 1n) goes into n (over 0n), and what is left: powers of it by squares of squares first. */
export function divideOut(n: bigint, factor: bigint): { readonly times: number; readonly rest: bigint } {
  if (n % factor !== 0n) return { times: 0, rest: n };
  const { times, rest } = divideOut(n / factor, factor * factor);
  return rest % factor === 0n ? { times: 2 * times + 2, rest: rest / factor } : { times: 2 * times + 1, rest };
}

/** Whole part of the square root of n >= 0n. */
export function isqrt(n: bigint): bigint {
  if (n < 2n) return n;
  if (n <= MAX_SAFE) {
    // A double's root of a number under 2^53 is off by less than one.
    let root = BigInt(Math.floor(Math.sqrt(Number(n))));
    if (root * root > n) root -= 1n;
    return root;
  }
  let x = 1n << BigInt((bitLength(n) + 1) >> 1);
  for (;;) {
    const next = (x + n / x) >> 1n;
    if (next >= x) return x;
    x = next;
  }
}

/** Division rounding towards minus infinity, d > 0n. */
export function floorDiv(n: bigint, d: bigint): bigint {
  const quotient = n / d;
  return n < 0n && quotient * d !== n ? quotient - 1n : quotient;
}
