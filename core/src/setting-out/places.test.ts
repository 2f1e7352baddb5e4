import { describe, expect, it } from 'vitest';
import { makeRational } from '../number/rational.ts';
import { equalValue, valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { reckonLength, solved } from '../testing/solved.ts';
import type { Quantity } from '../units/quantity.ts';
import { driftOf } from './drift.ts';
import { ordinates } from './ordinates.ts';
import type { Answer } from './solver.ts';
import { runningMarks } from './spacing.ts';

describe('running marks', () => {
  const of = (given: Readonly<Record<string, string>>, edge: 'near' | 'centre' | 'far') =>
    runningMarks(solved('spacing-gaps', given).answers[0] as Answer, 'gaps', edge, { ...DEFAULT_STYLE, finest: 8 });
  const inches = ({ value }: Quantity) => valueToNumber(value) / 0.0254;

  it('stand where the members do, from one end', () => {
    const given = { length: '100"', width: '2"', count: '9' };
    const gap = (100 - 18) / 10;
    expect(of(given, 'near').map(({ at }) => inches(at))).toEqual(
      Array.from({ length: 9 }, (_, n) => expect.closeTo((n + 1) * gap + n * 2, 9) as number),
    );
    expect(inches(of(given, 'centre')[0]?.at as never)).toBeCloseTo(gap + 1, 9);
    expect(inches(of(given, 'far')[8]?.at as never)).toBeCloseTo(100 - gap, 9);
  });

  it('drift when the rounded gap is stepped off', () => {
    // The true gap is 8.2 inches; an eighth under it is 8 1/4.
    const marks = of({ length: '100"', width: '2"', count: '9' }, 'near');
    const ninth = marks[8] as (typeof marks)[number];
    expect(inches(ninth.steppedOff) - inches(ninth.at)).toBeCloseTo(9 * 0.05, 9);
    const drift = driftOf(marks, { ...DEFAULT_STYLE, finest: 8 });
    expect(drift.map(({ reading }) => reading)).toEqual([
      undefined,
      '1⁄8″',
      '1⁄8″',
      '1⁄4″',
      '1⁄4″',
      '1⁄4″',
      '3⁄8″',
      '3⁄8″',
      '1⁄2″',
    ]);
    expect(drift[8]?.out).toBeCloseTo(9 * 0.05 * 0.0254, 12);
    expect(equalValue(marks[0]?.steppedOff.value as never, reckonLength('8.25"'))).toBe(true);
  });

  it('begin with what is left at fixed centres', () => {
    const answer = solved('spacing-centres', { length: '100"', width: '2"', centres: '16"' }).answers[0] as Answer;
    const marks = runningMarks(answer, 'rest', 'centre', DEFAULT_STYLE);
    // Seven members from centre to centre are 96 long, and 98 over all: an inch is left at each end.
    expect(marks.map(({ at }) => inches(at))).toEqual(
      Array.from({ length: 7 }, (_, n) => expect.closeTo(2 + 16 * n, 9) as number),
    );
    expect(driftOf(marks, DEFAULT_STYLE).every(({ reading }) => reading === undefined)).toBe(true);
  });

  it('can be set back', () => {
    const answer = solved('spacing-gaps', { length: '100"', width: '2"', count: '9' }).answers[0] as Answer;
    const [plain, back] = [undefined, makeRational(254, 10000)].map(
      (by) => runningMarks(answer, 'gaps', 'near', DEFAULT_STYLE, by)[3],
    );
    expect(inches(plain?.at as never) - inches(back?.at as never)).toBeCloseTo(1, 9);
  });
});

describe('ordinates', () => {
  const answer = () => solved('arc', { chord: '8 m', radius: '5 m' }).answers[0] as Answer;
  const heights = (step: string) =>
    ordinates(answer(), reckonLength(step)).map(({ along, height }) =>
      [along, height].map(({ value }) => valueToNumber(value)),
    );

  it('stand where a circle by coordinates has them, from nothing to nothing', () => {
    // About (4, −3): the flat arc rises 2 over a chord of 8.
    expect(heights('1 m')).toEqual(
      Array.from({ length: 9 }, (_, x) => [x, expect.closeTo(Math.sqrt(25 - (x - 4) ** 2) - 3, 12)]),
    );
  });

  it('end at the end of the chord, whatever the step', () => {
    expect(heights('3 m').map(([along]) => along)).toEqual([0, 3, 6, 8]);
    expect(heights('9 m')).toEqual([
      [0, 0],
      [8, 0],
    ]);
    expect(ordinates(answer(), makeRational(0))).toEqual([]);
  });

  it('are exact where the arc is', () => {
    const middle = ordinates(answer(), reckonLength('4 m'))[1];
    expect(middle && readQuantity(middle.height, { ...DEFAULT_STYLE, length: 'm' }).text).toBe('2 m');
  });
});
