import { makeRational } from '../number/rational.ts';
import { addValue, compareValue, multiplyValue, signOfValue, type Value } from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { path, size, type FigurePart } from './figure.ts';
import { CORNER, CORNER_CHECK } from './hip.ts';
import { ALONG, ROOF, ROOF_RULES, SLOPED } from './rafter.ts';
import type { Answer, Solver } from './solver.ts';

const HALF = '({corner} / 2)';

/** More are drawn by no picture that anybody could read. */
const MOST_DRAWN = 100;

/**
 * Jack rafters, square to the plate, from the plate up to a hip (or from the ridge down to a valley, measured from the
 * valley's upper end along the ridge). At so far along from the corner a jack runs that times tan(corner / 2) on the level,
 * so that each is longer than the one before by one and the same. Half of the hip's thickness, measured in plan along the
 * jack, is subtracted: half the thickness / cos(corner / 2). The side cut on its top edge leans as tan(corner / 2) does, drawn
 * out along the slope. Sources: the half corner in plan, and Euclid, Elements I.47, for what lies on the slope.
 */
export const JACKS: Solver = {
  id: 'jacks',
  title: 'Jack rafters',
  source: 'The half corner in plan; what lies on the slope by Euclid, Elements I.47.',
  fields: [
    ...ROOF,
    { id: 'centres', title: 'Centre to centre, on the plate', kind: 'length', given: true },
    { id: 'common', title: 'Common rafter, to the middle', kind: 'length', given: false },
    { id: 'step', title: 'Each longer by', kind: 'length', given: false },
    { id: 'off', title: 'Off for half the hip', kind: 'length', mayBeZero: true, given: false },
    { id: 'plumb', title: 'Plumb cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'level', title: 'Level cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'side', title: 'Side cut on the top edge, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'tilt', title: 'Saw tilted for it, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'firstCut', title: 'First jack, cut', kind: 'length', given: false, besides: true },
  ],
  asks: [
    CORNER,
    {
      id: 'thick',
      title: 'Thickness of the hip',
      kind: 'length',
      mayBeZero: true,
      given: true,
      otherwise: { imperial: '0"', metric: '0 mm' },
    },
    { id: 'first', title: 'First jack, from the corner', kind: 'length', given: true },
  ],
  rules: [
    ...ROOF_RULES,
    { gives: 'common', from: ['rise', 'run'], entry: 'hyp({rise}; {run})' },
    { gives: 'step', from: ['centres', 'corner', 'pitch'], entry: `{centres} * tan${HALF} * ${ALONG}` },
    { gives: 'centres', from: ['step', 'corner', 'pitch'], entry: `{step} / (tan${HALF} * ${ALONG})` },
    { gives: 'off', from: ['thick', 'corner', 'pitch'], entry: `{thick} / 2 / cos${HALF} * ${ALONG}` },
    { gives: 'plumb', from: ['pitch'], entry: '{pitch.angle}' },
    { gives: 'level', from: ['pitch'], entry: '90° - {pitch.angle}' },
    { gives: 'side', from: ['corner', 'pitch'], entry: `atan(tan${HALF} * ${ALONG})` },
    { gives: 'tilt', from: ['corner'], entry: '{corner} / 2' },
    // The first one stands one step from the corner where nobody says.
    { gives: 'first', from: ['centres'], entry: '{centres}', ifOpen: true },
    { gives: 'firstCut', from: ['first', 'off', 'corner', 'pitch'], entry: `{first} * tan${HALF} * ${ALONG} - {off}` },
  ],
  checks: [
    SLOPED,
    CORNER_CHECK,
    { from: ['first', 'corner', 'run'], entry: `{first} * tan${HALF} < {run}`, code: 'jacks.beyond' },
    {
      from: ['first', 'thick', 'corner'],
      entry: `{thick} / 2 / cos${HALF} < {first} * tan${HALF}`,
      code: 'jacks.first',
    },
  ],
  draw: ({ run, corner, centres, first }) => {
    if (run === undefined || corner === undefined || centres === undefined || first === undefined) return undefined;
    const slant = Math.tan(corner / 2);
    const reach = run / slant;
    const parts: FigurePart[] = [
      path(
        [
          { x: 0, y: 0 },
          { x: reach, y: run },
        ],
        { field: 'hip' },
      ),
      path(
        [
          { x: 0, y: 0 },
          { x: reach * 1.15, y: 0 },
        ],
        { weight: 'thin' },
      ),
      path(
        [
          { x: 0, y: 0 },
          { x: Math.cos(corner) * reach * 0.6, y: Math.sin(corner) * reach * 0.6 },
        ],
        { weight: 'thin', field: 'corner' },
      ),
      path(
        [
          { x: reach, y: 0 },
          { x: reach, y: run },
        ],
        { weight: 'dashed', field: 'run' },
      ),
      size({ x: reach, y: 0 }, { x: reach, y: run }, -1, 'run'),
      size({ x: 0, y: 0 }, { x: first, y: 0 }, -1, 'first'),
    ];
    for (let n = 0; n < MOST_DRAWN && first + n * centres < reach; n += 1) {
      const x = first + n * centres;
      parts.push(
        path(
          [
            { x, y: 0 },
            { x, y: x * slant },
          ],
          { field: n === 0 ? 'firstCut' : 'step' },
        ),
      );
    }
    if (first + centres < reach) parts.push(size({ x: first, y: 0 }, { x: first + centres, y: 0 }, -2, 'centres'));
    return { parts };
  },
};

/** A jack, as it is cut: its place on the plate from the corner, and its length along the slope, hip subtracted. */
export interface Jack {
  readonly number: number;
  readonly at: Quantity;
  readonly length: Quantity;
}

const MOST_LISTED = 500;

/** The jacks from the corner to the common rafter, the shortest first. */
export function jackLengths({ known }: Answer): readonly Jack[] {
  const [first, centres, firstCut, step, common] = ['first', 'centres', 'firstCut', 'step', 'common'].map(
    (id) => known[id]?.quantity.value,
  );
  if (!first || !centres || !firstCut || !step || !common || signOfValue(step) <= 0) return [];
  const jacks: Jack[] = [];
  const times = (value: Value, n: number) => multiplyValue(value, makeRational(n));
  const off = known['off']?.quantity.value ?? makeRational(0);
  for (let n = 0; n < MOST_LISTED; n += 1) {
    const length = addValue(firstCut, times(step, n));
    if (compareValue(addValue(length, off), common) >= 0) break;
    const at = addValue(first, times(centres, n));
    jacks.push({
      number: n + 1,
      at: { value: at, dimension: LENGTH },
      length: { value: length, dimension: LENGTH },
    });
  }
  return jacks;
}
