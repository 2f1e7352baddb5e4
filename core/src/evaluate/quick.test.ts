import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parse } from '../notation/parser.ts';
import { lengthText } from '../testing/arbitrary-entry.ts';
import { quickQuantity } from './quick.ts';
import { reckon } from './reckon.ts';

/** What an entry comes to, or the code of what is wrong with it. */
function outcome(entry: string): unknown {
  const { outcome: found, issue } = reckon(entry);
  if (issue) return issue.code;
  return found?.kind === 'quantity'
    ? [
        found.quantity.dimension,
        JSON.stringify(found.quantity.value, (_, part) => (typeof part === 'bigint' ? `${part}n` : (part as unknown))),
      ]
    : undefined;
}

const isQuick = (entry: string): boolean => {
  const tree = parse(entry).entry;
  return tree !== undefined && quickQuantity(tree.expr) !== undefined;
};

const amount = fc.oneof(
  fc.nat({ max: 500 }).map(String),
  fc.tuple(fc.nat({ max: 99 }), fc.integer({ min: 1, max: 9999 })).map(([whole, part]) => `${whole}.${part}`),
  fc.tuple(fc.nat({ max: 40 }), fc.integer({ min: 2, max: 64 })).map(([num, den]) => `${num}/${den}`),
);
const ofUnits = (...units: readonly string[]) =>
  fc.tuple(amount, fc.constantFrom(...units)).map(([n, unit]) => `${n} ${unit}`);
/** Sizes of one kind each, by its units. */
const KINDS = [
  lengthText,
  ofUnits('in', 'ft', 'yd', 'mi', 'mm', 'cm', 'm', 'km', 'thou'),
  ofUnits('kg', 'g', 'lb', 'oz'),
  ofUnits('h', 'min', 's'),
  ofUnits('l', 'ml', 'gal', 'bf'),
  amount,
];
const sum = fc.oneof(...KINDS.map((size) => fc.array(size, { minLength: 1, maxLength: 4 }))).chain((sizes) =>
  fc
    .array(fc.tuple(fc.constantFrom('+', '-'), fc.constantFrom('', '* 3 ', '/ 7 ', '* 2.5 ', '/ 0 ')), {
      minLength: sizes.length,
      maxLength: sizes.length,
    })
    .map((steps) => sizes.map((size, n) => `${n === 0 ? '' : `${steps[n]?.[0]} `}(${size}) ${steps[n]?.[1]}`).join('')),
);

describe('the quick way', () => {
  it('comes to what the long way comes to, which the arguments of a function always go', () => {
    let quick = 0;
    fc.assert(
      fc.property(sum, (entry) => {
        if (isQuick(entry)) quick += 1;
        expect(outcome(entry)).toEqual(outcome(`max(${entry}; ${entry})`));
      }),
      { numRuns: 2000 },
    );
    expect(quick).toBeGreaterThan(500);
  });

  it.each([
    ['a size on a tape', `9' 7 1/4" + 3/8"`, true],
    ['metric sizes', '2400 mm - 3 * 45 mm', true],
    ['a pound, whose factor is no small number', '3 lb', false],
    ['an angle', '30° 15′', false],
    ['a temperature', '20 °C', false],
    ['a mark', 'rail + 3"', false],
    ['a root', 'sqrt(2) * 4"', false],
    ['a length added to a number', `5' + 3`, false],
    ['a division by nothing', `5' / 0`, false],
    ['more digits than a double holds', '99999999999999999 mm', false],
    ['a product that a double does not hold', `999999999' * 999999999`, false],
  ])('leads to %s, %s: %s', (_, entry, leads) => {
    expect(isQuick(entry)).toBe(leads);
  });
});
