import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { makeRational, multiplyRational, type Rational } from '../number/rational.ts';
import {
  absValue,
  addValue,
  compareValue,
  multiplyValue,
  sqrtValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { PI } from '../number/radical.ts';
import { AREA, LENGTH, MASS, MONEY, PLAIN, SPEED, TIME, VOLUME, type Dimension } from '../units/dimension.ts';
import { readQuantity } from './read-quantity.ts';
import { shownValue } from './reading.ts';
import { DEFAULT_STYLE, LENGTH_STYLES, type ReadingStyle } from './style.ts';

const metres = fc
  .tuple(
    fc.integer({ min: -2_000_000, max: 2_000_000 }),
    fc.constantFrom(127, 1, 381, 7),
    fc.constantFrom(80_000, 1000, 1250, 320_000, 999_983),
  )
  .map(([n, a, d]) => multiplyRational(makeRational(n), makeRational(a, d)));

/** Exact values of every step of the tower that are read exactly: rationals, roots and multiples of π. */
const value: fc.Arbitrary<Value> = fc.oneof(
  { weight: 3, arbitrary: metres as fc.Arbitrary<Value> },
  fc.tuple(metres, fc.integer({ min: 2, max: 50 })).map(([m, n]) => multiplyValue(m, sqrtValue(makeRational(n)))),
  fc.tuple(metres, metres).map(([a, b]) => addValue(a, multiplyValue(b, PI))),
);

const style: fc.Arbitrary<ReadingStyle> = fc.record({
  length: fc.constantFrom(...LENGTH_STYLES),
  finest: fc.constantFrom(2, 4, 8, 16, 32, 64),
  metricStep: fc.constantFrom<Rational>(
    makeRational(10),
    makeRational(5),
    makeRational(1),
    makeRational(1, 2),
    makeRational(1, 10),
  ),
  rounding: fc.constantFrom('nearest', 'up', 'down'),
  fractions: fc.constantFrom('lowest', 'held'),
  numbers: fc.oneof(
    fc.nat({ max: 9 }).map((count) => ({ kind: 'decimals', count }) as const),
    fc.constantFrom(8, 16, 64).map((denominator) => ({ kind: 'mixed', denominator }) as const),
  ),
  thousands: fc.boolean(),
  decimalComma: fc.boolean(),
  currency: fc.constantFrom('$', '€', '£'),
});

const dimension: fc.Arbitrary<Dimension> = fc.constantFrom(
  LENGTH,
  LENGTH,
  LENGTH,
  AREA,
  VOLUME,
  PLAIN,
  MASS,
  MONEY,
  TIME,
  SPEED,
  MONEY - LENGTH,
  MASS - AREA,
  -LENGTH,
);

describe('a reading of any value in any style', () => {
  it('pastes back as an entry of exactly the value shown, from the screen and from its plain twin', () => {
    fc.assert(
      fc.property(value, dimension, style, (v, d, s) => {
        const reading = readQuantity({ value: v, dimension: d }, s);
        for (const text of [reading.plain, reading.text]) {
          const { outcome, issue } = reckon(text, { style: s });
          expect(issue, text).toBeUndefined();
          if (outcome?.kind !== 'quantity') return expect.unreachable(text);
          expect(outcome.quantity.dimension, text).toBe(d);
          expect(compareValue(outcome.quantity.value, shownValue(reading)), `${text} in ${s.length}`).toBe(0);
        }
      }),
      { numRuns: 4000 },
    );
  });

  it('is within its step of the true size, on the side it says', () => {
    fc.assert(
      fc.property(value, dimension, style, (v, d, s) => {
        const reading = readQuantity({ value: v, dimension: d }, s);
        const cost = subtractValue(absValue(v), absValue(shownValue(reading)));
        const side = compareValue(cost, makeRational(0));
        expect(reading.rounding).toBe(side === 0 ? 'exact' : side > 0 ? 'full' : 'shy');
        const limit = s.rounding === 'nearest' ? multiplyValue(reading.step, makeRational(1, 2)) : reading.step;
        expect(compareValue(absValue(cost), limit)).toBeLessThanOrEqual(0);
        if (s.rounding === 'up') expect(side).toBeLessThanOrEqual(0);
        if (s.rounding === 'down') expect(side).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 2000 },
    );
  });

  it('never reads a larger value as less', () => {
    fc.assert(
      fc.property(value, value, style, (a, b, s) => {
        const [low, high] = compareValue(a, b) <= 0 ? [a, b] : [b, a];
        const shown = (v: Value) => shownValue(readQuantity({ value: v, dimension: LENGTH }, s));
        expect(compareValue(shown(low), shown(high))).toBeLessThanOrEqual(0);
      }),
      { numRuns: 2000 },
    );
  });

  it('reads what it shows as itself, and exact', () => {
    fc.assert(
      fc.property(value, style, (v, s) => {
        const once = readQuantity({ value: v, dimension: LENGTH }, s);
        const twice = readQuantity({ value: shownValue(once), dimension: LENGTH }, s);
        expect([twice.text, twice.rounding]).toEqual([once.text, 'exact']);
      }),
    );
  });
});

describe('readings', () => {
  const held: ReadingStyle = { ...DEFAULT_STYLE, finest: 32, fractions: 'held' };
  it.each([
    ['11 31/32"', DEFAULT_STYLE, '1′'],
    [`11' 11 31/32"`, DEFAULT_STYLE, '12′'],
    ['-11 31/32"', DEFAULT_STYLE, '−1′'],
    ['1/64"', DEFAULT_STYLE, '0″'],
    ['1/32"', DEFAULT_STYLE, '1⁄16″'],
    ['-1/32"', DEFAULT_STYLE, '−1⁄16″'],
    ['-1/64"', DEFAULT_STYLE, '0″'],
    ['3/16"', held, '6⁄32″'],
    [`5' 1/2"`, held, '5′ 16⁄32″'],
    ['1250000', { ...DEFAULT_STYLE, thousands: true }, '1,250,000'],
    ['1250.5', { ...DEFAULT_STYLE, decimalComma: true, thousands: true }, '1\u202f250,5'],
    ['2^64 * 2^64 * 2^64 * 2^8', DEFAULT_STYLE, '1.60693804425899e60'],
    ['2^64 * 2^64 * 2^64 * 2^8 / 3', DEFAULT_STYLE, '5.35646014752997e59'],
    ['1250,5', { ...DEFAULT_STYLE, decimalComma: true, thousands: true }, '1\u202f250,5'],
    ['2,5 m', { ...DEFAULT_STYLE, decimalComma: true, length: 'm' }, '2,5 m'],
    ['293/16', { ...DEFAULT_STYLE, numbers: { kind: 'mixed', denominator: 16 } }, '18 5⁄16'],
    ['10/3', { ...DEFAULT_STYLE, numbers: { kind: 'decimals', count: 2 } }, '3.33'],
    ['1/30000', DEFAULT_STYLE, '0.0000333333'],
    ['2^64', DEFAULT_STYLE, '18446744073709551616'],
    ['1e40', DEFAULT_STYLE, '1e40'],
    ['1e-12 * 1/3', DEFAULT_STYLE, '3.33333e-13'],
    ['2.5 m', { ...DEFAULT_STYLE, length: 'mm', metricStep: makeRational(10) }, '2500 mm'],
    ['2504 mm', { ...DEFAULT_STYLE, length: 'mm', metricStep: makeRational(5) }, '2505 mm'],
    ['2504 mm', { ...DEFAULT_STYLE, length: 'm' }, '2.504 m'],
    ['25.04 cm', { ...DEFAULT_STYLE, length: 'cm' }, '25 cm'],
  ] as const)('of %s', (entry, s, text) => {
    expect(reckon(entry, { style: s }).reading?.text).toBe(text);
  });
});
