import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { midpoint, radius } from './approximation.ts';
import { piFixed } from './elementary.ts';
import { PI, squareFree, termsOf } from './radical.ts';
import { compareRational, makeRational, subtractRational, type Rational } from './rational.ts';
import {
  addValue,
  approximate,
  compareValue,
  divideValue,
  equalValue,
  isExact,
  isZero,
  multiplyValue,
  negateValue,
  roundValue,
  signOfValue,
  sqrtValue,
  subtractValue,
  valueToNumber,
  type Value,
} from './value.ts';

const rational = fc
  .tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: 1, max: 24 }))
  .map(([n, d]): Value => makeRational(n, d));
const root = fc.integer({ min: 2, max: 30 }).map((n): Value => sqrtValue(makeRational(n)));

/** Sums of up to two terms, with roots and π: every operation on them stays exact or says that it does not. */
const exact: fc.Arbitrary<Value> = fc.oneof(
  rational,
  fc.tuple(rational, root).map(([a, b]) => multiplyValue(a, b)),
  fc.tuple(rational, rational, root).map(([a, b, c]) => addValue(a, multiplyValue(b, c))),
  fc.tuple(rational, rational).map(([a, b]) => addValue(a, multiplyValue(b, PI))),
);

describe('a sum of roots next to a whole number or a half', () => {
  /** p² − 2q² is 1 or −1 by turns: p − q√2 comes as close to nothing as one likes, from above and below. */
  function pell(steps: number): { readonly near: Value; readonly isAbove: boolean } {
    let [p, q] = [1n, 0n];
    for (let step = 0; step < steps; step += 1) [p, q] = [p + 2n * q, p + q];
    const near = subtractValue(makeRational(p), multiplyValue(makeRational(q), sqrtValue(makeRational(2))));
    return { near, isAbove: steps % 2 === 0 };
  }

  it.each([20, 21, 60, 61, 120, 121, 250, 251])('is rounded to the right side, however close it is: %i', (steps) => {
    const { near, isAbove } = pell(steps);
    const wholes = (value: Value) =>
      (['down', 'nearest', 'up'] as const).map((one) => Number(roundValue(value, one).whole));
    expect(wholes(addValue(near, makeRational(7)))).toEqual(isAbove ? [7, 7, 8] : [6, 7, 7]);
    expect(wholes(addValue(near, makeRational(15, 2)))[1]).toBe(isAbove ? 8 : 7);
  });
});

describe('exact values', () => {
  it('keep the laws of algebra', () => {
    fc.assert(
      fc.property(exact, exact, exact, (a, b, c) => {
        const same = (x: Value, y: Value) => {
          if (isExact(x) && isExact(y)) expect(equalValue(x, y)).toBe(true);
          else expect(compareValue(x, y)).toBe(0);
        };
        same(addValue(a, b), addValue(b, a));
        same(addValue(addValue(a, b), c), addValue(a, addValue(b, c)));
        same(multiplyValue(a, b), multiplyValue(b, a));
        same(multiplyValue(a, addValue(b, c)), addValue(multiplyValue(a, b), multiplyValue(a, c)));
        same(subtractValue(addValue(a, b), b), a);
        expect(isZero(addValue(a, negateValue(a)))).toBe(true);
        if (!isZero(b)) same(multiplyValue(divideValue(a, b), b), a);
      }),
      { numRuns: 1500 },
    );
  });

  it('divide exactly by one term and by a + b√n, and then multiply back to the same', () => {
    fc.assert(
      fc.property(exact, rational, rational, root, (a, p, q, r) => {
        const divisor = addValue(p, multiplyValue(q, r));
        if (isZero(divisor)) return;
        const quotient = divideValue(a, divisor);
        expect(isExact(quotient)).toBe(true);
        expect(equalValue(multiplyValue(quotient, divisor), a)).toBe(true);
      }),
    );
  });

  it('are ordered as their doubles are, wherever those differ', () => {
    fc.assert(
      fc.property(exact, exact, (a, b) => {
        const [x, y] = [valueToNumber(a), valueToNumber(b)];
        if (Math.abs(x - y) > 1e-9) expect(compareValue(a, b)).toBe(x > y ? 1 : -1);
        else if (equalValue(a, b)) expect(compareValue(a, b)).toBe(0);
        expect(signOfValue(subtractValue(a, b))).toBe(compareValue(a, b));
      }),
      { numRuns: 1000 },
    );
  });

  it('have the square that they are the root of', () => {
    fc.assert(
      fc.property(fc.nat({ max: 100_000 }), fc.integer({ min: 1, max: 100_000 }), (n, d) => {
        const value = makeRational(n, d);
        const side = sqrtValue(value);
        expect(equalValue(multiplyValue(side, side), value)).toBe(true);
        if (side.kind === 'radical')
          for (const { radicand } of termsOf(side))
            expect(squareFree(radicand)).toEqual({ square: 1n, free: radicand });
      }),
    );
  });

  it('round the same as their digits far out, whatever the direction', () => {
    fc.assert(
      fc.property(exact, fc.constantFrom('nearest', 'up', 'down'), (a, direction) => {
        const { whole, side } = roundValue(a, direction);
        const near = valueToNumber(a);
        const gap = near - Number(whole);
        if (Math.abs(gap) > 1e-9) expect(side).toBe(Math.sign(gap) === Math.sign(near) ? 1 : -1);
        if (direction === 'nearest') expect(Math.abs(gap)).toBeLessThanOrEqual(0.5 + 1e-9);
        else expect(Math.abs(gap)).toBeLessThan(1 + 1e-9);
      }),
      { numRuns: 1000 },
    );
  });
});

describe('sums past eight terms', () => {
  it('become approximations, and an equal sum of another shape compares as equal', () => {
    const roots = [2, 3, 5, 6, 7, 10, 11, 13, 14].map((n): Value => sqrtValue(makeRational(n)));
    const forward = roots.reduce(addValue);
    const backward = [...roots].reverse().reduce(addValue);
    expect([forward.kind, backward.kind]).toEqual(['approximate', 'approximate']);
    expect(compareValue(forward, backward)).toBe(0);
  });

  it('distinguish what differs in the thirtieth digit', () => {
    const near = addValue(sqrtValue(makeRational(2)), makeRational(1n, 10n ** 30n));
    expect(compareValue(near, sqrtValue(makeRational(2)))).toBe(1);
    // Two convergents of π that hem it in.
    expect(compareValue(PI, makeRational(355, 113))).toBe(-1);
    expect(compareValue(PI, makeRational(103993, 33102))).toBe(1);
  });
});

describe('approximations', () => {
  it('hold the true value between their bounds, with digits to spare', () => {
    fc.assert(
      fc.property(exact, (a) => {
        const near = approximate(a);
        const finer = a.kind === 'rational' ? a : midpoint(approximate(a, 400));
        const error = subtractRational(midpoint(near), finer);
        const size: Rational = error.num < 0 ? subtractRational(makeRational(0), error) : error;
        expect(compareRational(size, radius(near))).toBeLessThanOrEqual(0);
      }),
    );
  });

  it('of π are its digits', () => {
    // OEIS A000796.
    const digits = 31415926535897932384626433832795028841971693993751n;
    expect((piFixed(400) * 10n ** 49n) >> 400n).toBe(digits);
  });
});

describe('what lies very close', () => {
  const power = (base: Value, times: number): Value => {
    let product: Value = makeRational(1);
    for (let n = 0; n < times; n += 1) product = multiplyValue(product, base);
    return product;
  };
  const root = (n: number) => sqrtValue(makeRational(n));
  const big = (text: string) => makeRational(BigInt(text));

  it.each([
    // (2 − √3)^64 = 2.4851749e-37 and so on: each is conjugate to a whole number less a huge one.
    [multiplyValue(power(subtractValue(makeRational(2), root(3)), 64), big(`1${'0'.repeat(38)}`)), 24.851749],
    [multiplyValue(power(subtractValue(makeRational(2), root(3)), 60), big(`1${'0'.repeat(40)}`)), 482111.119],
    [power(subtractValue(root(2), makeRational(1)), 50), 7.26e-20],
  ])('keeps its digits when its terms cancel', (value, near) => {
    expect(Math.abs(valueToNumber(value) / near - 1)).toBeLessThan(1e-3);
    expect(signOfValue(value)).toBe(1);
    expect(roundValue(multiplyValue(value, makeRational(-1)), 'down').side).toBe(1);
  });

  it('has the nearest of all doubles', () => {
    // 150° × 68835 in radians, by 60 digits of π: 180209.60859154453 lies nearer than its neighbour …5445.
    expect(valueToNumber(multiplyValue(PI, makeRational(150 * 68835, 180)))).toBe(180209.60859154453);
    const half = makeRational((1n << 53n) * 2n + 1n, 2n);
    // Half way between two doubles goes to the even one; a hair past the middle does not.
    expect(valueToNumber(half)).toBe(2 ** 53);
    expect(valueToNumber(addValue(makeRational((1n << 54n) + 2n, 2n), makeRational(1n, 10n ** 40n)))).toBe(2 ** 53 + 2);
  });

  it('lies on the side of a tie that π puts it on, however near', () => {
    const near = subtractValue(
      multiplyValue(PI, big('11172147870603328003785515113410076065369446559948437578218257088')),
      big('35098337675106267207228392594393109430612729228729087405175492565'),
    );
    expect(roundValue(divideValue(near, makeRational(2)), 'down')).toMatchObject({ side: 1 });
    for (const bits of [64, 128, 416, 1024, 6272]) {
      const fine = piFixed(bits + 64) >> 64n;
      const off = piFixed(bits) - fine;
      expect(off >= -2n && off <= 2n, `${bits} bits`).toBe(true);
    }
  });
});
