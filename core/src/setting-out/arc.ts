import {
  addApproximate,
  approximateRational,
  multiplyApproximate,
  negateApproximate,
  type Approximation,
} from '../number/approximation.ts';
import { cosApproximate, sinApproximate } from '../number/elementary.ts';
import { makeRational } from '../number/rational.ts';
import { approximate, divideValue, valueToNumber, type Value } from '../number/value.ts';
import { ANGLE } from '../units/dimension.ts';
import { bisect, refineRoot } from './root-search.ts';
import { along, angle, path, size, type Point } from './figure.ts';
import type { Solver } from './solver.ts';

/** The angle as the plain number of radians, which makes lengths of it. */
const RADIANS = '({angle} / 1 rad)';

/** From so many chords on the centre is far, and so much of a chord is drawn of the way to it. */
const [FAR, SHOWN] = [1, 0.3];

const ANGLE_FOUND = { dimension: ANGLE, unit: ' rad', none: 'arc.length' } as const;
const ONE = approximateRational(makeRational(1));
const minus = (a: Approximation, b: Approximation) => addApproximate(a, negateApproximate(b));
const twice = (a: Approximation) => addApproximate(a, a);

/** Half of the angle, x, from chord / arc = sin x / x: there is one, where the chord is the shorter. */
function byChord(chord: Value, arc: Value) {
  const share = approximate(divideValue(chord, arc));
  const k = valueToNumber(share);
  if (k >= 1) return [];
  const guess = bisect((x) => Math.sin(x) - k * x, 1e-9, Math.PI);
  const half = refineRoot(
    (x) => minus(sinApproximate(x), multiplyApproximate(share, x)),
    (x) => minus(cosApproximate(x), share),
    guess,
  );
  return [{ title: '', root: twice(half) }];
}

/** Where (1 − cos x) / 2x is largest; its root by tan(x/2) = x. */
const STEEPEST = 2.331122370414423;

/** Half of the angle, x, from rise / arc = (1 − cos x) / 2x, which grows and then falls again: there can be two. */
function byRise(rise: Value, arc: Value) {
  const share = approximate(divideValue(rise, arc));
  const k = valueToNumber(share);
  const over = (x: number) => 1 - Math.cos(x) - 2 * k * x;
  const refined = (guess: number) =>
    twice(
      refineRoot(
        (x) => minus(minus(ONE, cosApproximate(x)), multiplyApproximate(twice(share), x)),
        (x) => minus(sinApproximate(x), twice(share)),
        guess,
      ),
    );
  if (over(STEEPEST) <= 0) return [];
  const flat = { title: 'the flat arc', root: refined(bisect(over, 1e-9, STEEPEST)) };
  if (over(Math.PI) > 0) return [{ ...flat, title: '' }];
  return [flat, { title: 'the large arc', root: refined(bisect(over, STEEPEST, Math.PI)) }];
}

/**
 * An arc of a circle over a chord. Sources: Euclid, Elements III.35 (half the chord squared is the rise times the rest of
 * the diameter), from which radius = (chord²/4 + rise²) / (2 rise); an arc is its angle in radians times the radius.
 */
export const ARC: Solver = {
  id: 'arc',
  title: 'Arc',
  source: 'Euclid, Elements III.35; an arc is its angle in radians times the radius.',
  fields: [
    { id: 'chord', title: 'Chord', kind: 'length', given: true },
    { id: 'rise', title: 'Rise', kind: 'length', given: true },
    { id: 'radius', title: 'Radius', kind: 'length', given: true },
    { id: 'diameter', title: 'Diameter', kind: 'length', given: true },
    { id: 'angle', title: 'Angle', kind: 'angle', given: true, reads: 'degrees' },
    { id: 'arc', title: 'Length of the arc', kind: 'length', given: true },
    { id: 'segment', title: 'Area under the arc', kind: 'area', given: false },
    { id: 'sector', title: 'Area to the centre', kind: 'area', given: false },
  ],
  rules: [
    { gives: 'radius', from: ['diameter'], entry: '{diameter} / 2' },
    { gives: 'diameter', from: ['radius'], entry: '2 * {radius}' },
    { gives: 'radius', from: ['chord', 'rise'], entry: '({chord}^2 / 4 + {rise}^2) / (2 * {rise})' },
    { gives: 'chord', from: ['radius', 'rise'], entry: '2 * sqrt({rise} * (2 * {radius} - {rise}))' },
    { gives: 'angle', from: ['radius', 'rise'], entry: '2 * acos(1 - {rise} / {radius})' },
    { gives: 'rise', from: ['radius', 'angle'], entry: '{radius} * (1 - cos({angle} / 2))' },
    { gives: 'radius', from: ['rise', 'angle'], entry: '{rise} / (1 - cos({angle} / 2))' },
    { gives: 'radius', from: ['chord', 'angle'], entry: '{chord} / (2 * sin({angle} / 2))' },
    { gives: 'arc', from: ['radius', 'angle'], entry: `{radius} * ${RADIANS}` },
    { gives: 'angle', from: ['radius', 'arc'], entry: '{arc} / {radius} * 1 rad' },
    { gives: 'radius', from: ['arc', 'angle'], entry: `{arc} / ${RADIANS}` },
    {
      gives: 'rise',
      from: ['radius', 'chord'],
      entry: [
        { title: 'the flat arc', entry: '{radius} - sqrt({radius}^2 - {chord}^2 / 4)' },
        { title: 'the large arc', entry: '{radius} + sqrt({radius}^2 - {chord}^2 / 4)' },
      ],
    },
    {
      gives: 'angle',
      from: ['chord', 'arc'],
      ...ANGLE_FOUND,
      search: (known: (field: string) => Value) => byChord(known('chord'), known('arc')),
    },
    {
      gives: 'angle',
      from: ['rise', 'arc'],
      ...ANGLE_FOUND,
      search: (known: (field: string) => Value) => byRise(known('rise'), known('arc')),
    },
    { gives: 'sector', from: ['radius', 'arc'], entry: '{radius} * {arc} / 2' },
    {
      gives: 'segment',
      from: ['sector', 'radius', 'rise', 'chord'],
      entry: '{sector} - {chord} * ({radius} - {rise}) / 2',
    },
  ],
  checks: [
    { from: ['chord', 'radius'], entry: '{chord} <= 2 * {radius}', code: 'arc.chord' },
    { from: ['rise', 'radius'], entry: '{rise} <= 2 * {radius}', code: 'arc.rise' },
    { from: ['angle'], entry: '{angle} <= 360°', code: 'arc.turn' },
    { from: ['chord', 'angle'], entry: '{angle} < 360°', code: 'arc.full' },
  ],
  draw: ({ chord, rise, radius, angle: turn }) => {
    if (chord === undefined || rise === undefined || radius === undefined || turn === undefined) return undefined;
    const centre = { x: chord / 2, y: rise - radius };
    const from = Math.PI / 2 - turn / 2;
    const to = Math.PI / 2 + turn / 2;
    const [left, right] = [along(centre, to, radius), along(centre, from, radius)];
    const [foot, top] = [
      { x: chord / 2, y: 0 },
      { x: chord / 2, y: rise },
    ];
    // The centre of a flat arc lies so far off that beside the way there nothing would be seen of the arc.
    const isFar = radius - rise > FAR * chord;
    const towards = (end: Point): Point => {
      const share = isFar ? (chord * SHOWN) / radius : 1;
      return { x: end.x + (centre.x - end.x) * share, y: end.y + (centre.y - end.y) * share };
    };
    return {
      parts: [
        { kind: 'arc', centre, radius, from, to, weight: 'body', field: 'arc' },
        path([left, right], { field: 'chord' }),
        path([left, towards(left)], { weight: 'dashed', field: 'radius' }),
        path([right, towards(right)], { weight: 'dashed', field: 'radius' }),
        path([foot, top], { weight: 'thin', field: 'rise' }),
        size(left, right, -1, 'chord'),
        size(foot, top, 0, 'rise'),
        size(towards(right), right, -1, 'radius'),
        ...(isFar ? [] : [angle(centre, from, to, 'angle')]),
      ],
    };
  },
};
