import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { makeRational, multiplyRational, rationalToText } from '../number/rational.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import {
  ANGLE,
  AREA,
  kindOf,
  LENGTH,
  MASS,
  MONEY,
  PLAIN,
  POWER_NAMES,
  powersOf,
  SLOPE,
  SPEED,
  TEMPERATURE,
  TIME,
  withinLimits,
} from './dimension.ts';
import { plainNumber, quantityIn, unitValue } from './quantity.ts';
import { ABOUT_UNITS } from './unit-about.ts';
import { RATE_WORDS, UNIT_WORDS, unitById, UNITS, type UnitId } from './unit-table.ts';

describe('dimensions', () => {
  const power = fc.integer({ min: -64, max: 64 });
  const pack = (l: number, m: number, t: number, c: number) => l * LENGTH + m * MASS + t * TIME + c * MONEY;

  it('unpack to the powers they were packed from, and add as powers do', () => {
    fc.assert(
      fc.property(power, power, power, power, fc.integer({ min: -60, max: 60 }), (l, m, t, c, other) => {
        const code = pack(l, m, t, c);
        expect(powersOf(code)).toEqual({ length: l, mass: m, time: t, money: c, angle: 0, slope: 0, temperature: 0 });
        expect(powersOf(code + other * LENGTH).length).toBe(l + other);
        expect(withinLimits(code)).toBe(true);
      }),
    );
  });

  it('are refused past sixty-four, and where an angle, slope or temperature does not stand alone', () => {
    for (const unit of [LENGTH, MASS, TIME, MONEY]) {
      expect(withinLimits(64 * unit)).toBe(true);
      expect(withinLimits(65 * unit)).toBe(false);
      expect(withinLimits(-65 * unit)).toBe(false);
    }
    for (const own of [ANGLE, SLOPE, TEMPERATURE]) {
      expect(withinLimits(own)).toBe(true);
      expect([2 * own, -own, own + LENGTH, own - TIME].map(withinLimits)).toEqual([false, false, false, false]);
    }
  });

  it('have the names people use, and one for the rest', () => {
    expect(
      [PLAIN, LENGTH, AREA, 3, MASS, TIME, MONEY, SPEED, ANGLE, SLOPE, TEMPERATURE, MASS - AREA, -LENGTH].map(kindOf),
    ).toEqual([
      'number',
      'length',
      'area',
      'volume',
      'mass',
      'time',
      'money',
      'speed',
      'angle',
      'slope',
      'temperature',
      'compound',
      'compound',
    ]);
    expect(POWER_NAMES).toHaveLength(7);
  });
});

describe('the unit table', () => {
  /** How each unit is defined by another, from the sources that the table names. */
  const definitions: readonly (readonly [UnitId, number, number, UnitId])[] = [
    ['ft', 12, 1, 'in'],
    ['yd', 3, 1, 'ft'],
    ['mi', 5280, 1, 'ft'],
    ['in', 254, 10, 'mm'],
    ['in', 1000, 1, 'thou'],
    ['m', 1000, 1, 'mm'],
    ['m', 100, 1, 'cm'],
    ['m', 10, 1, 'dm'],
    ['km', 1000, 1, 'm'],
    ['mm', 1000, 1, 'micron'],
    ['ha', 10_000, 1, 'm'],
    ['l', 1000, 1, 'ml'],
    ['gal', 4, 1, 'qt'],
    ['kg', 1000, 1, 'g'],
    ['t', 1000, 1, 'kg'],
    ['lb', 16, 1, 'oz'],
    ['lb', 45_359_237, 100_000_000, 'kg'],
    ['min', 60, 1, 's'],
    ['h', 60, 1, 'min'],
    ['day', 24, 1, 'h'],
    ['deg', 60, 1, 'arcmin'],
    ['arcmin', 60, 1, 'arcsec'],
  ];
  it.each(definitions)('%s is %d/%d %s', (unit, num, den, other) => {
    expect(rationalToText(unitById(unit).factor)).toBe(
      rationalToText(multiplyRational(unitById(other).factor, makeRational(num, den))),
    );
  });

  it.each([
    ['bf', '144 cu in'],
    ['gal', '231 cu in'],
    ['square', '100 sq ft'],
    ['acre', '4840 sq yd'],
    ['ton', '2000 lb'],
    ['ha', '10000 m2'],
    ['l', '1000 cm3'],
  ] as const)('one %s is %s', (unit, entry) => {
    const { outcome } = reckon(entry);
    expect(outcome).toEqual({ kind: 'quantity', quantity: quantityIn(makeRational(1), unitById(unit)) });
  });

  it('has ids and words that each mean one thing, and a line about every unit', () => {
    const ids = UNITS.map(({ id }) => id);
    const words = UNITS.flatMap((unit) => unit.words);
    expect(new Set(ids).size).toBe(ids.length);
    expect(new Set(words).size).toBe(words.length);
    expect(words.every((word) => word === word.toLowerCase())).toBe(true);
    for (const { id, symbol } of UNITS)
      expect([ABOUT_UNITS[id as UnitId], symbol].every((text) => text.trim() !== '')).toBe(true);
  });

  it('ranks the units of a family as their sizes do', () => {
    for (const a of UNITS)
      for (const b of UNITS)
        if (a.family !== undefined && a.family === b.family && a.rank > b.rank)
          expect(Number(a.factor.num) / Number(a.factor.den), `${a.id} over ${b.id}`).toBeGreaterThan(
            Number(b.factor.num) / Number(b.factor.den),
          );
  });

  it('holds its factor in small whole numbers where it has such, as shares of the smallest of its family', () => {
    for (const { id, factor, share, dimension, smallDimension, leastNum, leastDen } of UNITS) {
      if (leastDen === 0) {
        expect([smallDimension, leastNum], id).toEqual([0, 0]);
        continue;
      }
      expect(rationalToText(makeRational(share * leastNum, leastDen)), id).toBe(rationalToText(factor));
      expect(smallDimension, id).toBe(dimension);
      expect(Number.isSafeInteger(share), id).toBe(true);
    }
    const without = UNITS.filter(({ leastDen }) => leastDen === 0).map(({ id }) => id);
    expect(without).toEqual(expect.arrayContaining(['deg', 'rad', 'celsius', 'fahrenheit', 'lb']));
    expect(without).not.toContain('ft');
  });

  it('is read by every word it has, alone and in capitals, singular and plural', () => {
    for (const [word, unit] of UNIT_WORDS)
      for (const written of [`7 ${word}`, `7${word}`, `7 ${word.toUpperCase()}`]) {
        const { outcome, issue } = reckon(written);
        expect(issue, written).toBeUndefined();
        if (unit.id === 'celsius' || unit.id === 'fahrenheit') continue;
        expect(outcome, written).toEqual({ kind: 'quantity', quantity: quantityIn(makeRational(7), unit) });
      }
  });

  it('takes squares and cubes of the units that have them, in every way they are written', () => {
    for (const { words, powers, factor } of UNITS.filter((unit) => unit.powers)) {
      expect(powers).toBe(true);
      const square = multiplyRational(factor, factor);
      const [word = ''] = words;
      for (const written of [
        `3 sq ${word}`,
        `3 square ${word}`,
        `3 sq${word}`,
        `3 ${word}2`,
        `3 ${word}²`,
        `3 ${word}^2`,
        `3 sq. ${word}`,
      ])
        expect(reckon(written).outcome, written).toEqual({
          kind: 'quantity',
          quantity: { value: multiplyRational(square, makeRational(3)), dimension: AREA },
        });
      for (const written of [`3 cu ${word}`, `3 cubic ${word}`, `3 ${word}3`, `3 ${word}³`])
        expect(reckon(written).outcome, written).toMatchObject({ quantity: { dimension: 3 } });
    }
  });

  it('reads rates by their words as by their units', () => {
    for (const [word, [top, bottom]] of RATE_WORDS)
      expect(reckon(`60 ${word}`).outcome, word).toEqual(
        reckon(`60 ${unitById(top).words[0]}/${unitById(bottom).words[0]}`).outcome,
      );
  });
});

describe('quantities', () => {
  it('of a unit are its factor, π and all', () => {
    expect(quantityIn(makeRational(180), unitById('deg'))).toEqual({
      value: { kind: 'radical', terms: [{ coefficient: makeRational(1), radicand: 1n, piPower: 1 }] },
      dimension: ANGLE,
    });
    expect(unitValue(unitById('in'))).toEqual(makeRational(127, 5000));
    expect(plainNumber(6, 4)).toEqual({ value: makeRational(3, 2), dimension: PLAIN });
  });

  it.each([
    ['2 h', '2 h'],
    ['90 s', '1.5 min'],
    ['45 s', '45 s'],
    ['10 kg/m^2', '2.0482 lb/sq ft'],
    ['1 kg·m', '7.2330 lb·ft'.replace('7.2330 lb·ft', '7.233 ft·lb')],
    ['3 /ft', '3/ft'],
    ['$2/sq ft', '2 $/sq ft'],
    ['0 sq ft', '0 sq ft'],
    ['-2 cu yd', '−54 cu ft'],
  ])('%s reads %s', (entry, reading) => {
    const { outcome } = reckon(entry);
    expect(outcome?.kind === 'quantity' && readQuantity(outcome.quantity).text).toBe(reading);
  });
});
