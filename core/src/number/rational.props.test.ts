import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plain, plainAdd, plainDivide, plainMultiply, plainSubtract, type Plain } from '../testing/plain-rational.ts';
import {
  addRational,
  compareRational,
  divideRational,
  floorRational,
  makeRational,
  multiplyRational,
  negateRational,
  parseRational,
  powerRational,
  rationalToNumber,
  rationalToText,
  subtractRational,
  type Rational,
} from './rational.ts';
import { roundRational, roundToMultiple } from './rounding.ts';

const MAX = Number.MAX_SAFE_INTEGER;

/** Sizes of all kinds: small, at the boundary of exact doubles, and far past it. */
const whole: fc.Arbitrary<bigint> = fc.oneof(
  fc.integer({ min: -5000, max: 5000 }).map(BigInt),
  fc.integer({ min: MAX - 3, max: MAX }).map(BigInt),
  fc.integer({ min: -3, max: 3 }).map((n) => BigInt(MAX) + BigInt(n)),
  fc.integer({ min: -3, max: 3 }).map((n) => (1n << 31n) + BigInt(n)),
  fc.integer({ min: -3, max: 3 }).map((n) => -(BigInt(MAX) + BigInt(n))),
  fc.bigInt({ min: -(1n << 90n), max: 1n << 90n }),
);
const pair = fc.tuple(
  whole,
  whole.filter((n) => n !== 0n),
);
const both = pair.map(([n, d]) => ({ ours: makeRational(n, d), oracle: plain(n, d) }));

/** Same value, in the one form that a value may have. */
function expectSame(ours: Rational, oracle: Plain): void {
  expect([BigInt(ours.num), BigInt(ours.den)]).toEqual([oracle.n, oracle.d]);
  const small = [oracle.n < 0n ? -oracle.n : oracle.n, oracle.d].every((n) => n <= BigInt(MAX));
  expect([typeof ours.num, typeof ours.den]).toEqual(small ? ['number', 'number'] : ['bigint', 'bigint']);
  expect(Object.is(ours.num, -0)).toBe(false);
}

describe('exact rationals against the plain oracle', () => {
  it('add, subtract, multiply, divide and compare alike', () => {
    fc.assert(
      fc.property(both, both, (a, b) => {
        expectSame(addRational(a.ours, b.ours), plainAdd(a.oracle, b.oracle));
        expectSame(subtractRational(a.ours, b.ours), plainSubtract(a.oracle, b.oracle));
        expectSame(multiplyRational(a.ours, b.ours), plainMultiply(a.oracle, b.oracle));
        if (b.oracle.n !== 0n) expectSame(divideRational(a.ours, b.ours), plainDivide(a.oracle, b.oracle));
        const difference = plainSubtract(a.oracle, b.oracle).n;
        expect(compareRational(a.ours, b.ours)).toBe(difference === 0n ? 0 : difference > 0n ? 1 : -1);
      }),
      { numRuns: 5000 },
    );
  });

  it('keep the laws of algebra', () => {
    fc.assert(
      fc.property(both, both, both, ({ ours: a }, { ours: b }, { ours: c }) => {
        expect(addRational(a, b)).toEqual(addRational(b, a));
        expect(addRational(addRational(a, b), c)).toEqual(addRational(a, addRational(b, c)));
        expect(multiplyRational(a, addRational(b, c))).toEqual(
          addRational(multiplyRational(a, b), multiplyRational(a, c)),
        );
        expect(subtractRational(addRational(a, b), b)).toEqual(a);
        expect(addRational(a, negateRational(a))).toEqual(makeRational(0));
      }),
      { numRuns: 2000 },
    );
  });

  it('read back from their text, and as the nearest double', () => {
    fc.assert(
      fc.property(both, ({ ours }) => {
        expect(parseRational(rationalToText(ours))).toEqual(ours);
        const near = rationalToNumber(ours);
        if (near === 0 || Math.abs(near) < 1e-290) return;
        // The double itself is a rational; it is off by no more than one part in 2^52.
        const back = makeRational(...exactDouble(near));
        const error = subtractRational(back, ours);
        expect(
          compareRational(
            multiplyRational(error, makeRational(error.num < 0 ? -1 : 1)),
            multiplyRational(makeRational(ours.num < 0 ? -1 : 1), divideRational(ours, makeRational(2n ** 52n))),
          ),
        ).toBeLessThanOrEqual(0);
      }),
    );
  });
});

function exactDouble(x: number): readonly [bigint, bigint] {
  let den = 1n;
  let value = x;
  while (!Number.isInteger(value)) {
    value *= 2;
    den *= 2n;
  }
  return [BigInt(value), den];
}

describe('rounding', () => {
  it('lands within half a step, or on the right side of it, and says which side the true size is', () => {
    fc.assert(
      fc.property(both, fc.constantFrom('nearest', 'up', 'down'), ({ ours, oracle }, direction) => {
        const { whole: rounded, side } = roundRational(ours, direction);
        const size = oracle.n < 0n ? -oracle.n : oracle.n;
        const magnitude = BigInt(rounded) < 0n ? -BigInt(rounded) : BigInt(rounded);
        const over = size - magnitude * oracle.d;
        expect(side).toBe(over === 0n ? 0 : over > 0n ? 1 : -1);
        if (direction === 'nearest') expect(2n * (over < 0n ? -over : over) <= oracle.d).toBe(true);
        if (direction === 'nearest' && 2n * over === oracle.d) expect.unreachable('a tie goes away from zero');
        if (direction === 'up') expect(over <= 0n && -over < oracle.d).toBe(true);
        if (direction === 'down') expect(over >= 0n && over < oracle.d).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });

  it('is monotone and changes nothing the second time', () => {
    fc.assert(
      fc.property(
        both,
        both,
        fc.integer({ min: 1, max: 64 }),
        fc.constantFrom('nearest', 'up', 'down'),
        (a, b, n, direction) => {
          const step = makeRational(1, n);
          const [low, high] = compareRational(a.ours, b.ours) <= 0 ? [a.ours, b.ours] : [b.ours, a.ours];
          const rounded = roundToMultiple(low, step, direction);
          expect(compareRational(rounded, roundToMultiple(high, step, direction))).toBeLessThanOrEqual(0);
          expect(roundToMultiple(rounded, step, direction)).toEqual(rounded);
        },
      ),
    );
  });

  it('takes the floor towards minus infinity', () => {
    expect([7n, -7n].map((n) => floorRational(makeRational(n, 2)))).toEqual([3n, -4n]);
  });
});

describe('powers and texts', () => {
  it('of whole exponents are exact both ways', () => {
    expect(rationalToText(powerRational(makeRational(2, 3), -3))).toBe('27/8');
    expect(rationalToText(powerRational(makeRational(2), 100))).toBe((2n ** 100n).toString());
  });

  it.each(['', '1/0', '1/', 'x', '1.', '0x10', ' 1'])('parseRational refuses "%s"', (text) => {
    expect(parseRational(text)).toBeUndefined();
  });
});
