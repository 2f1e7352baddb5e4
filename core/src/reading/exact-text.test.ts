import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { makeRational } from '../number/rational.ts';
import { absValue, addValue, compareValue, multiplyValue, sqrtValue, type Value } from '../number/value.ts';
import { PI } from '../number/radical.ts';
import { ANGLE, AREA, LENGTH, MONEY, PLAIN, SLOPE, SPEED, TEMPERATURE, TIME, VOLUME } from '../units/dimension.ts';
import { exactText } from './exact-text.ts';
import { DEFAULT_STYLE, type ReadingStyle } from './style.ts';

const METRIC: ReadingStyle = { ...DEFAULT_STYLE, length: 'mm' };

function exactOf(entry: string, style = DEFAULT_STYLE) {
  const { outcome } = reckon(entry);
  return outcome?.kind === 'quantity' ? exactText(outcome.quantity, style) : undefined;
}

describe('the exact form', () => {
  it.each([
    [`hyp(3'; 3')`, DEFAULT_STYLE, '(36√2)″', `(36 * sqrt(2))"`],
    [`(12' 3 5/8" - 2 * 3 1/2") / 7`, DEFAULT_STYLE, '20 5⁄56″', `20 5/56"`],
    [`1' / 3`, METRIC, '101.6 mm', '101.6 mm'],
    [`26' 4" * (sqrt(2) - 1)`, DEFAULT_STYLE, '(316√2 − 316)″', `(316 * sqrt(2) - 316)"`],
    ['cos 30', DEFAULT_STYLE, '√3 ÷ 2', 'sqrt(3) / 2'],
    ['tan 150', DEFAULT_STYLE, '−√3 ÷ 3', '-sqrt(3) / 3'],
    [`π * 3'`, DEFAULT_STYLE, '(36π)″', `(36 * pi)"`],
    ['1 / π', DEFAULT_STYLE, '1 ÷ π', '1 / pi'],
    ['30.25°', DEFAULT_STYLE, '30.25°', '30.25 deg'],
    ['32 sq ft / 3', DEFAULT_STYLE, '10 2⁄3 sq ft', '10 2/3 sq ft'],
    ['1/3', DEFAULT_STYLE, '1⁄3', '1/3'],
    ['5:7', DEFAULT_STYLE, '8 4⁄7:12', '8 4/7:12'],
  ])('of %s', (entry, style, text, plain) => {
    expect(exactOf(entry, style)).toEqual({ text, plain });
  });

  it('of an approximation does not exist', () => {
    expect(exactOf('ln 2')).toBeUndefined();
  });

  const rational = fc
    .tuple(fc.integer({ min: -9999, max: 9999 }), fc.integer({ min: 1, max: 999 }))
    .map(([n, d]): Value => makeRational(n, d));
  const value = fc
    .tuple(rational, rational, fc.integer({ min: 2, max: 60 }), rational, fc.integer({ min: -2, max: 2 }))
    .map(([a, b, n, c, k]) => {
      const pi = Array.from({ length: Math.abs(k) }).reduce(
        (power: Value) => multiplyValue(power, PI),
        makeRational(1),
      );
      return addValue(addValue(a, multiplyValue(b, sqrtValue(makeRational(n)))), multiplyValue(c, pi));
    });

  it('is an entry of exactly the true value', () => {
    fc.assert(
      fc.property(
        fc.oneof(value, rational),
        fc.constantFrom(LENGTH, AREA, VOLUME, PLAIN, MONEY, TIME, SPEED, ANGLE, SLOPE, TEMPERATURE, -LENGTH),
        fc.constantFrom(DEFAULT_STYLE, METRIC),
        (v, dimension, style) => {
          // Nothing is colder than 0 K.
          const size = dimension === TEMPERATURE ? absValue(v) : v;
          const exact = exactText({ value: size, dimension }, style);
          if (exact === undefined) return;
          for (const text of [exact.plain, exact.text]) {
            const { outcome, issue } = reckon(text, { style });
            expect(issue, text).toBeUndefined();
            if (outcome?.kind !== 'quantity') return expect.unreachable(text);
            expect(compareValue(outcome.quantity.value, size), text).toBe(0);
            if (v.kind === 'rational') expect(outcome.quantity.dimension, text).toBe(dimension);
          }
        },
      ),
      { numRuns: 3000 },
    );
  });
});
