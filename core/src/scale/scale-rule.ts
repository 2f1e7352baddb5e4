import { box, line, words, type Drawing, type Shape } from '../drawing/drawing.ts';
import { makeRational, multiplyRational, type Rational } from '../number/rational.ts';
import { valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { isMetric, type ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import { unitValue } from '../units/quantity.ts';
import { unitById } from '../units/unit-table.ts';
import type { DrawingScale } from './drawing-scale.ts';

/** Divisions that a rule may have, each a multiple of the one before: in inches and in millimetres. */
const LADDERS = {
  in: [
    makeRational(1, 16),
    makeRational(1, 8),
    makeRational(1, 4),
    makeRational(1, 2),
    ...[1, 3, 6, 12, 60, 120, 600, 1200, 6000, 12000, 60000].map((inches) => makeRational(inches)),
  ],
  mm: [
    makeRational(1, 10),
    makeRational(1, 2),
    ...[1, 5, 10, 50, 100, 500, 1000, 5000, 10_000, 50_000, 100_000, 500_000].map((mm) => makeRational(mm)),
  ],
} as const;

/** A division of the site, and how far apart its marks stand on paper. */
export interface Division {
  readonly size: Rational;
  readonly unit: keyof typeof LADDERS;
  /** Millimetres on paper; a double, for a picture. */
  readonly onPaper: number;
}

/** The smallest division whose marks stand at least so many millimetres apart on paper; the largest where none does. */
export function divisionFor(scale: DrawingScale, apart: number, style: ReadingStyle): Division {
  const unit = isMetric(style.length) ? 'mm' : 'in';
  const factor = valueToNumber(scale.factor);
  const divisions = LADDERS[unit].map((size): Division => ({
    size,
    unit,
    onPaper: inMillimetres(size, unit) / factor,
  }));
  return divisions.find(({ onPaper }) => onPaper >= apart) ?? (divisions[divisions.length - 1] as Division);
}

function inMillimetres(size: Rational, unit: keyof typeof LADDERS): number {
  return (valueToNumber(size) * valueToNumber(unitValue(unitById(unit)))) / valueToNumber(unitValue(unitById('mm')));
}

/** A division so many times, as it reads. */
function readTimes({ size, unit }: Division, times: number, style: ReadingStyle): string {
  const amount = multiplyRational(size, makeRational(times));
  const value = multiplyRational(amount, unitValue(unitById(unit)) as Rational);
  return readQuantity({ value, dimension: LENGTH }, { ...style, finest: 16, metricStep: makeRational(1, 10) }).text;
}

/** Free at the left of a bar, for half of the figure that stands over its beginning; in millimetres. */
export const BAR_INSET = 4;
const BAR = 5;
const TYPE = 3;

/**
 * A scale bar: black and white divisions of the site, with the division at its left end split once more. In
 * millimetres on paper.
 * @param room how long it may be
 */
export function scaleBar(scale: DrawingScale, room: number, style: ReadingStyle): Drawing {
  const division = divisionFor(scale, 16, style);
  const count = Math.max(1, Math.min(8, Math.floor((room - 8) / division.onPaper)));
  const fine = divisionFor(scale, 3, style);
  const parts = Math.round(division.onPaper / fine.onPaper);
  const shapes: Shape[] = [];
  const top = TYPE + 3;
  const left = BAR_INSET;
  for (let n = 0; n < count; n += 1)
    if (n === 0 && parts > 1)
      for (let part = 0; part < parts; part += 1)
        shapes.push(box(left + part * fine.onPaper, top, fine.onPaper, BAR, part % 2 === 0));
    else shapes.push(box(left + n * division.onPaper, top, division.onPaper, BAR, n % 2 === 0));
  for (let n = 0; n <= count; n += 1)
    shapes.push(
      words(left + n * division.onPaper, top - 1.5, readTimes(division, n, style), TYPE, { anchor: 'middle' }),
    );
  return { width: left * 2 + count * division.onPaper + 8, height: top + BAR + 1, shapes };
}

const RULE = 22;

/**
 * A rule to lay on the drawing: what is measured on paper along one edge, what that is on site along the other. Full
 * size, in millimetres.
 */
export function scaleRule(scale: DrawingScale, long: number, style: ReadingStyle): Drawing {
  const unit = isMetric(style.length) ? 'mm' : 'in';
  const paper: DrawingScale = { factor: makeRational(1) };
  const shapes: Shape[] = [
    box(0, 0, long, RULE),
    words(1.5, RULE / 2 - 1, 'on site', 2.4),
    words(1.5, RULE / 2 + 2.8, 'on paper', 2.4),
  ];
  edge(shapes, scale, long, style, 0, 1);
  edge(shapes, paper, long, { ...style, length: unit === 'mm' ? 'mm' : 'in' }, RULE, -1);
  return { width: long, height: RULE, shapes };
}

/** Marks along an edge of a rule; `down` is 1 where they hang from it and -1 where they stand on it. */
function edge(shapes: Shape[], scale: DrawingScale, long: number, style: ReadingStyle, y: number, down: 1 | -1): void {
  const fine = divisionFor(scale, 1, style);
  const middle = divisionFor(scale, 4, style);
  const named = divisionFor(scale, 12, style);
  const every = (division: Division) => Math.max(1, Math.round(division.onPaper / fine.onPaper));
  const [perMiddle, perName] = [every(middle), every(named)];
  for (let n = 1; n * fine.onPaper < long; n += 1) {
    const x = n * fine.onPaper;
    const isNamed = n % perName === 0;
    const length = isNamed ? 5 : n % perMiddle === 0 ? 3.5 : 2;
    shapes.push(line(x, y, x, y + down * length, isNamed ? 'plain' : 'fine'));
    if (isNamed && x < long - 6)
      shapes.push(
        words(x, y + down * (down > 0 ? 8 : 6), readTimes(named, n / perName, style), 2.6, { anchor: 'middle' }),
      );
  }
}
