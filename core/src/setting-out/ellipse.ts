import {
  addApproximate,
  approximateRational,
  invertApproximate,
  mayBeZero,
  multiplyApproximate,
  negateApproximate,
  sqrtApproximate,
  type Approximation,
} from '../number/approximation.ts';
import { PI } from '../number/radical.ts';
import { makeRational } from '../number/rational.ts';
import { approximate, valueToNumber, type Value } from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import { path, size } from './figure.ts';
import { bisect, refineRoot } from './root-search.ts';
import type { Solver } from './solver.ts';

const HALF = approximateRational(makeRational(1, 2));
const half = (a: Approximation) => multiplyApproximate(a, HALF);
const square = (a: Approximation) => multiplyApproximate(a, a);
const minus = (a: Approximation, b: Approximation) => addApproximate(a, negateApproximate(b));

/** Each step doubles the digits that are right; the flattest ellipse that a tape can distinguish from a line takes fifteen. */
const MOST_STEPS = 40;

/**
 * The way round an ellipse, which no formula ends: with the mean m of both half axes that the arithmetic and the geometric
 * mean close in on, 2π/m × (a² − Σ 2ⁿ⁻¹ cₙ²), c₀² = a² − b², cₙ₊₁ the half difference at each step. Good to 30 digits and
 * more. Source: Gauss, Werke III (the arithmetic-geometric mean); Abramowitz and Stegun 17.6.3, 17.6.4.
 * @param long @param short both axes, whole, more than nothing, in one unit
 */
export function aroundEllipse(long: Value, short: Value): Approximation {
  let [a, b] = [half(approximate(long)), half(approximate(short))];
  const squared = square(a);
  let c2 = minus(squared, square(b));
  let times = HALF;
  let taken = multiplyApproximate(times, c2);
  for (let step = 0; step < MOST_STEPS && !mayBeZero(c2); step += 1) {
    const c = half(minus(a, b));
    [a, b] = [half(addApproximate(a, b)), sqrtApproximate(multiplyApproximate(a, b))];
    c2 = square(c);
    times = addApproximate(times, times);
    taken = addApproximate(taken, multiplyApproximate(times, c2));
  }
  const pi = approximate(PI);
  return multiplyApproximate(multiplyApproximate(addApproximate(pi, pi), invertApproximate(a)), minus(squared, taken));
}

/**
 * The long axis L from the area and the string s: with k = 4 area / π the short axis is k/L, and pins = s − L, so that
 * 2sL³ − s²L² = k². Over s/2 the left side only grows.
 */
function byString(area: Value, string: Value) {
  const s = approximate(string);
  const k = multiplyApproximate(
    multiplyApproximate(approximate(area), approximateRational(makeRational(4))),
    invertApproximate(approximate(PI)),
  );
  const [length, product] = [valueToNumber(string), valueToNumber(k)];
  const over = (x: number) => 2 * length * x ** 3 - length ** 2 * x ** 2 - product ** 2;
  // A long axis as long as the string is the longest there is.
  if (over(length) <= 0) return [];
  const times = (n: number, a: Approximation) => multiplyApproximate(approximateRational(makeRational(n)), a);
  const root = refineRoot(
    (x) => minus(multiplyApproximate(square(x), minus(multiplyApproximate(times(2, s), x), square(s))), square(k)),
    (x) => multiplyApproximate(multiplyApproximate(times(2, s), x), minus(times(3, x), s)),
    bisect(over, length / 2, length),
  );
  return [{ title: '', root }];
}

/** Corners of the outline: of an ellipse a metre long the curve stands off them by two hundredths of a millimetre. */
const CORNERS = 360;

/**
 * An ellipse, drawn by a string around two pins. The pins stand as far from the middle as half of √(long² − short²); the
 * string that runs around both pins and the pencil is as long as the long axis and the way between the pins. Sources:
 * Apollonius, Conics III.52 (both ways from the pins come to the long axis); Archimedes, On Conoids and Spheroids 4 (area).
 */
export const ELLIPSE: Solver = {
  id: 'ellipse',
  title: 'Ellipse by string and pins',
  short: 'Ellipse',
  source: 'Apollonius, Conics III.52; Archimedes, On Conoids 4; around it: Gauss, by the arithmetic-geometric mean.',
  fields: [
    { id: 'long', title: 'Long axis', kind: 'length', given: true },
    { id: 'short', title: 'Short axis', kind: 'length', given: true },
    { id: 'pins', title: 'From pin to pin', kind: 'length', given: true },
    { id: 'string', title: 'String, around both pins', kind: 'length', given: true },
    { id: 'area', title: 'Area', kind: 'area', given: true },
    { id: 'end', title: 'From an end to its pin', kind: 'length', given: false },
    { id: 'around', title: 'All the way round', kind: 'length', given: false },
  ],
  rules: [
    { gives: 'pins', from: ['long', 'short'], entry: 'leg({long}; {short})' },
    { gives: 'short', from: ['long', 'pins'], entry: 'leg({long}; {pins})' },
    { gives: 'long', from: ['short', 'pins'], entry: 'hyp({short}; {pins})' },
    { gives: 'string', from: ['long', 'pins'], entry: '{long} + {pins}' },
    { gives: 'long', from: ['string', 'pins'], entry: '{string} - {pins}' },
    { gives: 'pins', from: ['string', 'long'], entry: '{string} - {long}' },
    { gives: 'long', from: ['string', 'short'], entry: '({string}^2 + {short}^2) / (2 * {string})' },
    { gives: 'area', from: ['long', 'short'], entry: 'pi * {long} * {short} / 4' },
    { gives: 'short', from: ['area', 'long'], entry: '4 * {area} / (pi * {long})' },
    { gives: 'long', from: ['area', 'short'], entry: '4 * {area} / (pi * {short})' },
    // The product of both axes, 4 area / π, and the difference of their squares, pins², are a quadratic in long².
    { gives: 'long', from: ['area', 'pins'], entry: 'sqrt(({pins}^2 + sqrt({pins}^4 + (8 * {area} / pi)^2)) / 2)' },
    {
      gives: 'long',
      from: ['area', 'string'],
      search: (known) => byString(known('area'), known('string')),
      none: 'ellipse.area',
      dimension: LENGTH,
      unit: ' m',
    },
    { gives: 'end', from: ['long', 'pins'], entry: '({long} - {pins}) / 2' },
    {
      gives: 'around',
      from: ['long', 'short'],
      search: (known) => [{ title: '', root: aroundEllipse(known('long'), known('short')) }],
      none: 'ellipse.axes',
      dimension: LENGTH,
      unit: ' m',
    },
  ],
  checks: [
    { from: ['long', 'short'], entry: '{short} < {long}', code: 'ellipse.axes' },
    { from: ['long', 'pins'], entry: '{pins} < {long}', code: 'ellipse.pins' },
    { from: ['string', 'long'], entry: '{long} < {string}', code: 'ellipse.string' },
    { from: ['string', 'long'], entry: '{string} < 2 * {long}', code: 'ellipse.string' },
    { from: ['string', 'pins'], entry: '2 * {pins} < {string}', code: 'ellipse.string' },
    { from: ['string', 'short'], entry: '{short} < {string}', code: 'ellipse.string' },
  ],
  draw: ({ long, short, pins }) => {
    if (long === undefined || short === undefined || pins === undefined) return undefined;
    const on = (turn: number) => ({ x: (long / 2) * Math.cos(turn), y: (short / 2) * Math.sin(turn) });
    const [left, right] = [
      { x: -pins / 2, y: 0 },
      { x: pins / 2, y: 0 },
    ];
    const pin = ({ x, y }: { x: number; y: number }) =>
      ({
        kind: 'arc',
        centre: { x, y },
        radius: long / 90,
        from: 0,
        to: 2 * Math.PI,
        weight: 'body',
        field: 'pins',
      }) as const;
    return {
      parts: [
        path(
          Array.from({ length: CORNERS }, (_, n) => on((2 * Math.PI * n) / CORNERS)),
          { closed: true, field: 'around' },
        ),
        path([on(Math.PI), on(0)], { weight: 'dashed', field: 'long' }),
        path([on(-Math.PI / 2), on(Math.PI / 2)], { weight: 'dashed', field: 'short' }),
        path([left, on(1.1), right], { closed: true, weight: 'thin', field: 'string' }),
        pin(left),
        pin(right),
        size({ x: -long / 2, y: -short / 2 }, { x: long / 2, y: -short / 2 }, -1, 'long'),
        size({ x: long / 2, y: -short / 2 }, { x: long / 2, y: short / 2 }, -1, 'short'),
        size(left, right, 0, 'pins'),
      ],
    };
  },
};
