import { path, size, type FigurePart, type Point } from './figure.ts';
import type { Solver } from './solver.ts';

/** More would be no stair in one flight that anybody draws. */
const MOST_DRAWN = 200;

/**
 * A straight flight of steps from finished floor to finished floor: one riser more than there are goings, since the floor
 * above is the last step. The limits are the user's own; what stands for them until then are round numbers of comfort and
 * no rule of any place. Sources: rise and going by division; the line along the nosings by Euclid, Elements I.47; twice
 * the rise and the going is about a pace (Blondel, Cours d'architecture, 1675).
 */
export const STEPS: Solver = {
  id: 'steps',
  title: 'Steps',
  source:
    "Equal risers and goings; Euclid, Elements I.47; a pace is two rises and a going (Blondel, Cours d'architecture).",
  fields: [
    { id: 'total', title: 'Floor to floor, finished', kind: 'length', given: true },
    { id: 'count', title: 'Risers', kind: 'count', given: true },
    { id: 'rise', title: 'Rise', kind: 'length', given: true },
    { id: 'going', title: 'Going', kind: 'length', given: true },
    { id: 'run', title: 'All goings', kind: 'length', given: true },
    { id: 'treads', title: 'Goings', kind: 'count', given: false },
    { id: 'pitch', title: 'Slope', kind: 'pitch', given: false, reads: 'slope' },
    { id: 'slope', title: 'Angle', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'line', title: 'Along the nosings', kind: 'length', given: false },
    { id: 'string', title: 'String, floor to floor', kind: 'length', given: false },
    { id: 'pace', title: 'Pace: two rises, a going', kind: 'length', given: false },
    { id: 'bottom', title: 'Bottom riser, less the tread', kind: 'length', given: false, besides: true },
    { id: 'opening', title: 'Opening above, from the top riser', kind: 'length', given: false, besides: true },
  ],
  asks: [
    { id: 'structure', title: 'Between the bare floors', kind: 'length', given: true },
    { id: 'above', title: 'Build-up above', kind: 'length', mayBeZero: true, given: true },
    { id: 'below', title: 'Build-up below', kind: 'length', mayBeZero: true, given: true },
    { id: 'tread', title: 'Thickness of a tread', kind: 'length', given: true },
    { id: 'floor', title: 'Floor above, all of its thickness', kind: 'length', given: true },
    {
      id: 'headroom',
      title: 'Headroom, plumb over the nosings',
      kind: 'length',
      given: true,
      otherwise: { imperial: `6' 8"`, metric: '2 m' },
    },
    {
      id: 'steepest',
      title: 'Rise at most',
      kind: 'length',
      given: true,
      otherwise: { imperial: '7 1/2"', metric: '190 mm' },
    },
    {
      id: 'shallowest',
      title: 'Going at least',
      kind: 'length',
      given: true,
      otherwise: { imperial: '10"', metric: '250 mm' },
    },
    {
      id: 'longest',
      title: 'Pace at most',
      kind: 'length',
      given: true,
      otherwise: { imperial: '26"', metric: '660 mm' },
    },
    {
      id: 'shortest',
      title: 'Pace at least',
      kind: 'length',
      given: true,
      otherwise: { imperial: '23"', metric: '580 mm' },
    },
    {
      id: 'steepestSlope',
      title: 'Slope at most',
      kind: 'angle',
      given: true,
      otherwise: { imperial: '42°', metric: '42°' },
    },
  ],
  rules: [
    // Bare floors are the finished ones where nobody says what comes on them.
    { gives: 'above', from: ['structure'], entry: '0 * {structure}', ifOpen: true },
    { gives: 'below', from: ['structure'], entry: '0 * {structure}', ifOpen: true },
    { gives: 'total', from: ['structure', 'above', 'below'], entry: '{structure} + {above} - {below}' },
    { gives: 'count', from: ['total', 'steepest'], entry: 'up({total} / {steepest}; 1)', ifOpen: true },
    { gives: 'rise', from: ['total', 'count'], entry: '{total} / {count}' },
    { gives: 'total', from: ['rise', 'count'], entry: '{rise} * {count}' },
    { gives: 'count', from: ['total', 'rise'], entry: '{total} / {rise}' },
    { gives: 'treads', from: ['count'], entry: '{count} - 1' },
    { gives: 'run', from: ['going', 'treads'], entry: '{going} * {treads}' },
    { gives: 'going', from: ['run', 'treads'], entry: '{run} / {treads}' },
    { gives: 'pitch', from: ['rise', 'going'], entry: '{rise} / {going}' },
    { gives: 'slope', from: ['pitch'], entry: '{pitch.angle}' },
    { gives: 'line', from: ['rise', 'going', 'treads'], entry: '{treads} * hyp({rise}; {going})' },
    { gives: 'string', from: ['rise', 'going', 'count'], entry: '{count} * hyp({rise}; {going})' },
    // Plumb from the edge of the opening to the line of the nosings, which comes up to the floor above at the top riser.
    {
      gives: 'opening',
      from: ['floor', 'headroom', 'rise', 'going'],
      entry: '({floor} + {headroom}) * {going} / {rise}',
    },
    { gives: 'pace', from: ['rise', 'going'], entry: '2 * {rise} + {going}' },
    { gives: 'bottom', from: ['rise', 'tread'], entry: '{rise} - {tread}' },
  ],
  checks: [
    { from: ['count'], entry: '{count} >= 2', code: 'steps.count' },
    { from: ['count'], entry: 'mod({count}; 1) == 0', code: 'steps.whole' },
    { from: ['rise', 'tread'], entry: '{tread} < {rise}', code: 'steps.tread' },
    { from: ['rise', 'steepest'], entry: '{rise} <= {steepest}', code: 'steps.steep', limit: true },
    { from: ['going', 'shallowest'], entry: '{going} >= {shallowest}', code: 'steps.shallow', limit: true },
    { from: ['pace', 'longest'], entry: '{pace} <= {longest}', code: 'steps.long', limit: true },
    { from: ['pace', 'shortest'], entry: '{pace} >= {shortest}', code: 'steps.short', limit: true },
    { from: ['slope', 'steepestSlope'], entry: '{slope} <= {steepestSlope}', code: 'steps.slope', limit: true },
    {
      from: ['floor', 'headroom', 'total'],
      entry: '{floor} + {headroom} <= {total}',
      code: 'steps.headroom',
      limit: true,
    },
  ],
  draw: ({ count, rise, going, floor, headroom, opening }) => {
    if (count === undefined || rise === undefined || going === undefined) return undefined;
    const steps = Math.min(count, MOST_DRAWN);
    const outline: Point[] = [{ x: 0, y: 0 }];
    for (let n = 0; n < steps; n += 1) {
      outline.push({ x: n * going, y: (n + 1) * rise });
      outline.push({ x: (n + 1) * going, y: (n + 1) * rise });
    }
    const top = steps * rise;
    const [first, last] = [
      { x: 0, y: rise },
      { x: (steps - 1) * going, y: top },
    ];
    const end = { x: steps * going, y: top };
    const above: FigurePart[] = [];
    if (floor !== undefined && headroom !== undefined && opening !== undefined && floor + headroom <= top) {
      const edge = last.x - opening;
      const under = { x: edge, y: top - floor };
      const nosing = { x: edge, y: under.y - headroom };
      const back = edge - Math.max(going, opening / 4);
      above.push(
        path([{ x: back, y: top }, { x: edge, y: top }, under, { x: back, y: under.y }], { field: 'floor' }),
        path([under, nosing], { weight: 'dashed', field: 'headroom' }),
        size(nosing, under, -1, 'headroom'),
        size({ x: edge, y: top }, { x: last.x, y: top }, 2, 'opening'),
        size({ x: back, y: under.y }, { x: back, y: top }, 1, 'floor'),
      );
    }
    return {
      parts: [
        ...above,
        path([{ x: -going, y: 0 }, ...outline], { field: 'rise' }),
        path([first, last], { weight: 'dashed', field: 'line' }),
        size({ x: 0, y: 0 }, { x: last.x, y: 0 }, -1, 'run'),
        size({ x: end.x, y: 0 }, end, -1, 'total'),
        size(last, end, 1, 'going'),
        size({ x: -going, y: 0 }, { x: -going, y: rise }, 0, 'rise'),
        size(first, last, 1, 'line'),
      ],
    };
  },
};
