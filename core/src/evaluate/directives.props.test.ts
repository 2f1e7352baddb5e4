import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeRational, multiplyRational, rationalToText, type Rational } from '../number/rational.ts';
import { roundToMultiple } from '../number/rounding.ts';
import { compareValue } from '../number/value.ts';
import { shownValue } from '../reading/reading.ts';
import { DEFAULT_STYLE, LENGTH_STYLES } from '../reading/style.ts';
import { unitById, type UnitId } from '../units/unit-table.ts';
import { reckon } from './reckon.ts';

const LENGTHS = ['in', 'ft', 'yd', 'mm', 'cm', 'm'] as const satisfies readonly UnitId[];
const OTHERS = ['kg', 'lb', 'h', 'gal', 'l', 'acre', 'money'] as const satisfies readonly UnitId[];

const amount = fc
  .tuple(fc.integer({ min: -4000, max: 4000 }), fc.constantFrom(1, 2, 3, 7, 8, 10, 16, 100))
  .map(([n, d]) => makeRational(n, d));
/** Steps of every kind: fractions with any numerator, decimals, whole numbers, very fine ones. */
const step = fc.oneof(
  fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 70 })).map(([n, d]) => makeRational(n, d)),
  fc.constantFrom(makeRational(1, 10), makeRational(1, 20), makeRational(5, 2)),
  fc.integer({ min: 1, max: 29 }).map((power) => makeRational(1, 10n ** BigInt(power))),
);
const style = fc.record({
  length: fc.constantFrom(...LENGTH_STYLES),
  finest: fc.constantFrom(2, 8, 16, 64),
  rounding: fc.constantFrom('nearest', 'up', 'down'),
  fractions: fc.constantFrom('lowest', 'held'),
});
const ways = fc.constantFrom(['to', undefined], ['up to', 'up'], ['down to', 'down'], ['to nearest', 'nearest']);

const written = (value: Rational, unit: UnitId | undefined) => {
  const text = `(${rationalToText(value).replace('/', ' / ')})`;
  return unit === undefined ? text : unit === 'money' ? `${text} $` : `${text} ${unitById(unit).words[0]}`;
};
const writtenStep = (value: Rational, unit: UnitId | undefined) =>
  unit === 'money' ? `$${rationalToText(value)}` : `${rationalToText(value)} ${unit ? unitById(unit).words[0] : ''}`;

describe('a step that a line asks for', () => {
  it('gives the multiple of it that lies that way, and pastes back as what it shows', () => {
    fc.assert(
      fc.property(
        amount,
        step,
        fc.oneof(
          fc.tuple(fc.constantFrom(...LENGTHS), fc.constantFrom(...LENGTHS)),
          fc.constantFrom(...OTHERS).map((unit) => [unit, unit] as const),
          fc.constant([undefined, undefined] as const),
        ),
        style,
        ways,
        (value, size, [unit, unitOfStep], how, [words, direction]) => {
          const given = { ...DEFAULT_STYLE, ...how };
          const entry = `${written(value, unit)} ${words} ${writtenStep(size, unitOfStep)}`;
          const { reading, issue, outcome } = reckon(entry, { style: given });
          expect(issue, entry).toBeUndefined();
          if (reading === undefined || outcome?.kind !== 'quantity') return expect.unreachable(entry);
          const inBase = unitOfStep === undefined ? size : multiplyRational(size, unitById(unitOfStep).factor);
          const exact = outcome.quantity.value as Rational;
          const expected = roundToMultiple(exact, inBase, direction ?? how.rounding);
          expect(compareValue(shownValue(reading), expected), `${entry} reads ${reading.text}`).toBe(0);
          for (const text of [reading.plain, reading.text]) {
            const back = reckon(text, { style: given }).outcome;
            if (back?.kind !== 'quantity') return expect.unreachable(`${entry} reads ${text}`);
            expect(compareValue(back.quantity.value, expected), `${entry} reads ${text}`).toBe(0);
          }
          const isExact = compareValue(exact, expected) === 0;
          expect(reading.rounding === 'exact', entry).toBe(isExact);
        },
      ),
      { numRuns: 6000 },
    );
  });

  it.each([
    ['ft', `20' up to 16"`, '20 ft'],
    ['ft', `10' to 5"`, '10 ft'],
    ['ft', `10' to 7"`, '9 11⁄12 ft'],
    ['yd', `20' to 5"`, '6 2⁄3 yd'],
    ['yd', `10' down to 19.2"`, '3 1⁄5 yd'],
    ['mm', `9' 7 5/32" to 1/4`, '9′ 7 1⁄4″'],
    ['mm', `9' 7 5/32" to 1/2`, '9′ 7″'],
    ['mm', `9' 7 5/32" to 1"`, '9′ 7″'],
    ['cm', `9' 7 5/32" to 1/4`, '9′ 7 1⁄4″'],
    ['ft', `9' 7 5/32" to 1/4`, '9′ 7 1⁄4″'],
    ['yd', `9' 7 5/32" to 1/4`, '9′ 7 1⁄4″'],
    ['ft-in', `9' 7.26" to 0.1"`, '115.3 in'],
    ['ft-in', `10" to 5/3"`, '5⁄6 ft'],
    ['in-dec', `9' 7 5/32" to 1/4`, '115 1⁄4″'],
    ['in', `9' 7 5/32" to 1/4`, '115 1⁄4″'],
    ['mm', `9' 7" to 5 cm`, '290 cm'],
    ['mm', `9' 7" to fraction`, '9′ 7″'],
  ] as const)('in %s: %s reads %s', (length, entry, reading) => {
    expect(reckon(entry, { style: { ...DEFAULT_STYLE, length } }).reading?.text).toBe(reading);
  });
});
