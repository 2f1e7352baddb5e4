import { describe, expect, it } from 'vitest';
import { valueToNumber } from '../number/value.ts';
import type { Figure } from './figure.ts';
import { solve, type Givens } from './solve.ts';
import type { Answer } from './solver.ts';
import { SOLVERS } from './solvers.ts';

/** Each shape as it is given here, its fields that may be given, and those that are answers alone. */
const SHAPES: readonly (readonly [id: string, givens: string, given: string, answers: string])[] = [
  ['right-triangle', `rise=6' run=9'`, 'rise run diagonal pitch', 'foot head area'],
  ['triangle', `a=7' b=6' c=9'`, 'a b c A B C', 'height area'],
  [
    'square-check',
    `length=8' width=6' rising=10.3' falling=9.6'`,
    'length width rising falling',
    'both apart push corner',
  ],
  [
    'rafter',
    `run=9' pitch=8:12 overhang=2' depth=14" seat=8"`,
    'span run rise pitch length',
    'off cut tail whole plumb level heel notch',
  ],
  [
    'hip',
    `run=9' pitch=8:12`,
    'run rise pitch',
    'hipRun hipPitch length off cut tail whole plumb level side tilt backing drop heel heelDropped seat seatDropped notch',
  ],
  ['jacks', `run=9' pitch=8:12 centres=2'`, 'run rise pitch centres', 'common step off plumb level side tilt firstCut'],
  ['arc', `chord=8' rise=2'`, 'chord rise radius diameter angle arc', 'segment sector'],
  ['circle', `diameter=4'`, 'diameter radius around area', ''],
  ['ellipse', `long=6' short=4'`, 'long short pins string area', 'end around'],
  ['ring', `outer=4' inner=2.5'`, 'outer inner width', 'outside inside area'],
  ['polygon', `sides=8 flats=12' plate=1'`, 'sides side flats corners', 'mitre corner around area short turn tilt'],
  ['spacing-gaps', `length=40" width=2" count=6`, 'length width count gap centres', ''],
  ['spacing-members', `length=40" width=2" count=7`, 'length width count gap centres', ''],
  ['spacing-centres', `length=40" width=2" centres=8"`, 'length width centres ends count', 'gap'],
  [
    'steps',
    `total=4' count=6 going=10"`,
    'total count rise going run',
    'treads pitch slope line string pace bottom opening',
  ],
  ['slab', `length=8' width=5' depth=1'`, 'length width depth volume', 'order bags'],
  ['wall', `length=8' height=5' thick=1'`, 'length height thick volume', 'face order bags'],
  ['holes', `diameter=1' depth=3' count=3`, 'diameter depth count volume', 'order bags'],
  [
    'footing',
    `footLength=5' footWidth=4' topLength=2' topWidth=2' height=3'`,
    'footLength footWidth topLength topWidth height volume',
    'order bags',
  ],
];
/** A jack is drawn as it lies in plan, and is cut as long as it is on the slope. */
const IN_PLAN = ['jacks firstCut', 'jacks step', 'jacks common'];
/** Drawn going back, at a slant and at half its size; the diagonals of what is out of square as far as the middle. */
const AT_HALF = [
  'slab width',
  'wall thick',
  'footing footWidth',
  'footing topWidth',
  'square-check rising',
  'square-check falling',
];

const solverOf = (id: string) => SOLVERS.find((one) => one.id === id);

function drawn(id: string, givens: string): { readonly answer: Answer; readonly figure: Figure } {
  const solver = solverOf(id);
  const all = givens.split(' ').map((one) => one.split('=') as [string, string]) as Givens;
  const [answer] = solver ? solve(solver, all).answers : [];
  if (!answer?.figure) throw new Error(`${id} is not drawn`);
  return { answer, figure: answer.figure };
}
const numberOf = (answer: Answer, field: string) => {
  const known = answer.known[field];
  return known && valueToNumber(known.quantity.value);
};
const fieldOf = (id: string, field: string) => solverOf(id)?.fields.find((one) => one.id === field);

describe('every shape', () => {
  it('is among these', () => {
    expect(SOLVERS.map(({ id }) => id).sort()).toEqual(SHAPES.map(([id]) => id).sort());
  });

  it.each(SHAPES)('%s takes what can be given, and says the rest', (id, _, given, answers) => {
    const fields = solverOf(id)?.fields ?? [];
    const of = (wanted: boolean) => fields.filter((one) => one.given === wanted).map((one) => one.id);
    expect([of(true).join(' '), of(false).join(' ')]).toEqual([given, answers]);
  });

  it.each(SHAPES)('%s is drawn as large as it is: every size and angle is the one that it says', (id, givens) => {
    const { answer, figure } = drawn(id, givens);
    const measured: string[] = [];
    for (const part of figure.parts) {
      if (part.kind === 'size') {
        const said = numberOf(answer, part.field);
        const kind = fieldOf(id, part.field)?.kind;
        if (said === undefined || kind !== 'length') continue;
        const long = Math.hypot(part.to.x - part.from.x, part.to.y - part.from.y);
        if (AT_HALF.includes(`${id} ${part.field}`)) expect(long / said).toBeCloseTo(0.5, 1);
        else expect([part.field, long.toFixed(6)]).toEqual([part.field, said.toFixed(6)]);
        measured.push(part.field);
      } else if (part.kind === 'angle') {
        const said = numberOf(answer, part.field);
        if (said === undefined || fieldOf(id, part.field)?.kind !== 'angle') continue;
        const turned = Math.abs(part.to - part.from);
        expect([part.field, turned.toFixed(6)]).toEqual([part.field, said.toFixed(6)]);
        measured.push(part.field);
      }
    }
    expect(measured.length).toBeGreaterThan(0);
  });

  it.each(SHAPES)('%s has lines as long as the sizes that they are the picture of', (id, givens) => {
    const { answer, figure } = drawn(id, givens);
    for (const part of figure.parts) {
      if (part.kind !== 'path' || part.closed || part.points.length !== 2 || part.field === undefined) continue;
      const said = numberOf(answer, part.field);
      if (said === undefined || fieldOf(id, part.field)?.kind !== 'length') continue;
      const [from, to] = part.points as [{ x: number; y: number }, { x: number; y: number }];
      const long = Math.hypot(to.x - from.x, to.y - from.y);
      if (![...AT_HALF, ...IN_PLAN].includes(`${id} ${part.field}`))
        expect([part.field, long.toFixed(6)]).toEqual([part.field, said.toFixed(6)]);
    }
  });

  it('shows the openings of a wall in its middle, as large as they are together', () => {
    const { figure } = drawn('wall', `length=8' height=5' thick=1' openings=10sq.ft`.replace('10sq.ft', '10ft²'));
    const openings = figure.parts.find((part) => part.kind === 'path' && part.field === 'openings');
    const points = openings?.kind === 'path' ? openings.points : [];
    const feet = (of: 'x' | 'y') => points.map((point) => point[of] / 0.3048);
    const [[left, right], [foot, head]] = [feet('x'), feet('y')].map((all) => [Math.min(...all), Math.max(...all)]) as [
      [number, number],
      [number, number],
    ];
    expect((right - left) * (head - foot)).toBeCloseTo(10, 9);
    expect([(left + right) / 2, (foot + head) / 2]).toEqual([expect.closeTo(4, 9), expect.closeTo(2.5, 9)]);
  });

  it('draws every member, jack and plate that there is', () => {
    const count = (id: string, givens: string, field: string) =>
      drawn(id, givens).figure.parts.filter((part) => part.kind === 'path' && part.field === field).length;
    for (const [id, givens, field, wanted] of [
      ['spacing-gaps', `length=40" width=2" count=6`, 'width', 6],
      ['spacing-members', `length=40" width=2" count=7`, 'width', 7],
      // 40 inches hold four centres of 8, and the ends are even.
      ['spacing-centres', `length=40" width=2" centres=8"`, 'width', 5],
      ['polygon', `sides=8 flats=12' plate=1'`, 'plate', 1],
      ['polygon', `sides=8 flats=12'`, 'plate', 0],
    ] as const)
      expect([id, count(id, givens, field)]).toEqual([id, wanted]);
    // Two members have centres to measure between, one has none.
    const sizes = (id: string, givens: string) =>
      drawn(id, givens).figure.parts.filter((part) => part.kind === 'size' && part.field === 'centres').length;
    expect(sizes('spacing-members', `length=40" width=2" count=2`)).toBe(1);
    expect(sizes('spacing-gaps', `length=40" width=2" count=1`)).toBe(0);
    // The plate of a polygon is as wide as it says, measured across the flats.
    const { figure } = drawn('polygon', `sides=8 flats=12' plate=1'`);
    const ring = figure.parts.find((part) => part.kind === 'path' && part.field === 'plate');
    const ys = ring?.kind === 'path' ? ring.points.map(({ y }) => y) : [];
    expect((Math.max(...ys) - Math.min(...ys)) / 0.3048).toBeCloseTo(10, 9);
  });
});
