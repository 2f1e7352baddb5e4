import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gcdBig, gcdNumber, isqrt, restOf } from './bigint.ts';

const MAX = Number.MAX_SAFE_INTEGER;
/** Whole numbers of every length that doubles hold exactly, and those next to the end. */
const whole = fc.oneof(
  fc.integer({ min: 0, max: 53 }).chain((bits) => fc.maxSafeNat().map((n) => n % 2 ** bits)),
  fc.integer({ min: 0, max: 40 }).map((n) => MAX - n),
);
const divisor = whole.filter((n) => n > 0);

describe('whole numbers in doubles', () => {
  it('leave the same rest as big integers', () => {
    fc.assert(
      fc.property(whole, divisor, (x, y) => {
        expect(BigInt(restOf(x, y))).toBe(BigInt(x) % BigInt(y));
      }),
      { numRuns: 20_000 },
    );
  });

  it('leave the right rest next to a multiple, where a rounded quotient would show', () => {
    fc.assert(
      fc.property(divisor, fc.double({ min: 0, max: 1, noNaN: true }), fc.constantFrom(-1, 0, 1), (y, share, by) => {
        const x = Math.floor((share * MAX) / y) * y + by;
        fc.pre(x >= 0 && x <= MAX);
        expect(BigInt(restOf(x, y))).toBe(BigInt(x) % BigInt(y));
      }),
      { numRuns: 20_000 },
    );
  });

  it('have the greatest common divisor that big integers have', () => {
    fc.assert(
      fc.property(whole, whole, (a, b) => {
        expect(BigInt(gcdNumber(a, b))).toBe(gcdBig(BigInt(a) << 64n, BigInt(b) << 64n) >> 64n);
      }),
    );
  });
});

it('the whole part of a square root is the largest whose square is no more', () => {
  fc.assert(
    fc.property(fc.bigInt({ min: 0n, max: 1n << 200n }), (n) => {
      const root = isqrt(n);
      expect(root * root <= n && (root + 1n) ** 2n > n).toBe(true);
    }),
  );
});
