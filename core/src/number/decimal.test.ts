import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitLength, gcdBig, gcdNumber, isqrt } from '../base/bigint.ts';
import { exactDecimal, groupThousands, placePoint } from './decimal.ts';
import { wholeRoot } from './radical.ts';
import { makeRational, parseRational } from './rational.ts';

describe('decimals', () => {
  it.each([
    [1, 8, '0.125'],
    [-3, 2, '-1.5'],
    [5, 1, '5'],
    [0, 1, '0'],
    [1, 3, undefined],
    [7, 1_000_000, '0.000007'],
  ])('%d/%d is %s', (num, den, text) => {
    expect(exactDecimal(makeRational(num, den), '.')).toBe(text);
  });

  it('of any value that ends are read back exactly', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }), fc.nat({ max: 12 }), (n, decimals) => {
        const value = makeRational(n, 10n ** BigInt(decimals));
        const text = exactDecimal(value, '.') as string;
        if (!text.includes('e')) expect(parseRational(text)).toEqual(value);
        expect(exactDecimal(value, ',')).toBe(text.replace('.', ','));
      }),
    );
  });

  it('take an exponent only where plain digits stop being readable', () => {
    expect(placePoint(123n, 2, '.')).toBe('1.23');
    expect(placePoint(10n ** 30n, 0, '.')).toBe(`1${'0'.repeat(30)}`);
    expect(placePoint(10n ** 50n, 0, '.')).toBe('1e50');
    expect(placePoint(25n, 12, '.')).toBe('2.5e-11');
    expect(placePoint(25n * 10n ** 60n, 0, ',')).toBe('2,5e61');
  });

  it.each([
    ['1250', '1,250'],
    ['125', '125'],
    ['1234567.25', '1,234,567.25'],
    ['2.5e30', '2.5e30'],
  ])('%s is grouped as %s', (plain, grouped) => {
    expect(groupThousands(plain, '.')).toBe(grouped);
    expect(groupThousands(plain.replace('.', ','), ',')).toBe(grouped.replaceAll(',', '\u202f').replace('.', ','));
  });
});

describe('whole numbers', () => {
  const big = fc.bigInt({ min: 0n, max: 1n << 200n });

  it('have the root that squares to no more than them', () => {
    fc.assert(
      fc.property(fc.oneof(big, fc.maxSafeNat().map(BigInt)), (n) => {
        const root = isqrt(n);
        expect(root * root <= n && (root + 1n) * (root + 1n) > n).toBe(true);
      }),
      { numRuns: 500 },
    );
  });

  it('have one common divisor, by doubles and by big integers', () => {
    fc.assert(
      fc.property(fc.maxSafeNat(), fc.maxSafeNat(), (a, b) => {
        const divisor = gcdBig(BigInt(a), BigInt(b));
        expect(BigInt(gcdNumber(a, b))).toBe(divisor);
        if (divisor === 0n) return;
        expect([BigInt(a) % divisor, BigInt(b) % divisor]).toEqual([0n, 0n]);
        expect(gcdBig(BigInt(a) / divisor, BigInt(b) / divisor)).toBe(1n);
      }),
      { numRuns: 2000 },
    );
  });

  it('are as many bits as their binary digits', () => {
    fc.assert(
      fc.property(big, (n) => {
        expect(bitLength(n)).toBe(n === 0n ? 0 : n.toString(2).length);
      }),
    );
  });

  it('have a whole root only when it is one', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 9n }), fc.integer({ min: 2, max: 9 }), (n, root) => {
        expect(wholeRoot(n ** BigInt(root), root)).toBe(n);
        if (n > 1n) expect(wholeRoot(n ** BigInt(root) + 1n, root)).toBeUndefined();
      }),
    );
  });
});
