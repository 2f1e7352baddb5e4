import { along, angle, path, size } from './figure.ts';
import type { Solver } from './solver.ts';

const HALF_TURN = '(180° / {sides})';

/**
 * A regular polygon: so many equal sides. The ring of plates over its sides is mitred at both ends; where the sides lean
 * from upright, the saw is turned and tilted. Sources: the tangent and the sine in the right triangle of middle, flat and
 * corner; for leaning sides the usual compound mitre: mitre = atan(sin lean × tan 180°/n), bevel = asin(cos lean × sin
 * 180°/n), which follow from the normals of two neighbouring sides.
 */
export const POLYGON: Solver = {
  id: 'polygon',
  title: 'Regular polygon',
  source: 'Middle, flat and corner make a right triangle with 180°/n at the middle; normals of two leaning sides.',
  fields: [
    { id: 'sides', title: 'Number of sides', kind: 'count', given: true },
    { id: 'side', title: 'Side', kind: 'length', given: true },
    { id: 'flats', title: 'Across the flats', kind: 'length', given: true },
    { id: 'corners', title: 'Across the corners', kind: 'length', given: true },
    { id: 'mitre', title: 'Mitre at each end', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'corner', title: 'Angle at a corner', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'around', title: 'All sides', kind: 'length', given: false },
    { id: 'area', title: 'Area', kind: 'area', given: false },
    { id: 'short', title: 'Short side of a plate', kind: 'length', given: false, besides: true },
    {
      id: 'turn',
      title: 'Saw turned by',
      kind: 'angle',
      mayBeZero: true,
      given: false,
      reads: 'degrees',
      besides: true,
    },
    { id: 'tilt', title: 'Blade tilted by', kind: 'angle', given: false, reads: 'degrees', besides: true },
  ],
  asks: [
    { id: 'plate', title: 'Width of a plate', kind: 'length', given: true },
    { id: 'lean', title: 'Lean of the sides', kind: 'angle', mayBeZero: true, given: true },
  ],
  rules: [
    { gives: 'side', from: ['sides', 'flats'], entry: `{flats} * tan${HALF_TURN}` },
    { gives: 'side', from: ['sides', 'corners'], entry: `{corners} * sin${HALF_TURN}` },
    { gives: 'flats', from: ['sides', 'side'], entry: `{side} / tan${HALF_TURN}` },
    { gives: 'corners', from: ['sides', 'side'], entry: `{side} / sin${HALF_TURN}` },
    { gives: 'mitre', from: ['sides'], entry: '180° / {sides}' },
    { gives: 'corner', from: ['sides'], entry: '180° - 360° / {sides}' },
    { gives: 'around', from: ['sides', 'side'], entry: '{sides} * {side}' },
    { gives: 'area', from: ['sides', 'side', 'flats'], entry: '{sides} * {side} * {flats} / 4' },
    { gives: 'short', from: ['sides', 'side', 'plate'], entry: `{side} - 2 * {plate} * tan${HALF_TURN}` },
    // Upright sides need no sine to be taken back.
    { gives: 'turn', from: ['lean'], entry: '{lean}', when: '{lean} == 0°' },
    { gives: 'tilt', from: ['sides', 'lean'], entry: '180° / {sides}', when: '{lean} == 0°' },
    { gives: 'turn', from: ['sides', 'lean'], entry: `atan(sin({lean}) * tan${HALF_TURN})` },
    { gives: 'tilt', from: ['sides', 'lean'], entry: `asin(cos({lean}) * sin${HALF_TURN})` },
  ],
  checks: [
    { from: ['sides'], entry: '{sides} >= 3', code: 'polygon.sides' },
    { from: ['sides'], entry: '{sides} <= 1000', code: 'polygon.many' },
    { from: ['flats', 'plate'], entry: '2 * {plate} < {flats}', code: 'polygon.plate' },
    { from: ['lean'], entry: '{lean} < 90°', code: 'polygon.lean' },
  ],
  draw: ({ sides, side, flats, corners, plate, mitre }) => {
    if (sides === undefined || side === undefined || flats === undefined || corners === undefined) return undefined;
    const middle = { x: 0, y: 0 };
    // A side lies at the foot.
    const at = (n: number, radius: number) => along(middle, -Math.PI / 2 + ((2 * n + 1) * Math.PI) / sides, radius);
    const ring = (radius: number) => Array.from({ length: sides }, (_, n) => at(n, radius));
    const outer = ring(corners / 2);
    const [left, right] = [at(sides - 1, corners / 2), at(0, corners / 2)];
    const inner = plate === undefined ? undefined : (flats / 2 - plate) / Math.cos(Math.PI / sides);
    const [foot, head] = [
      { x: 0, y: -flats / 2 },
      { x: 0, y: flats / 2 },
    ];
    const across = at(Math.floor(sides / 2), corners / 2);
    return {
      parts: [
        path(outer, { closed: true }),
        path([left, right], { field: 'side' }),
        ...(inner === undefined
          ? []
          : [
              path(ring(inner), { closed: true, weight: 'thin', field: 'plate' }),
              ...outer.map((corner, n) => path([corner, at(n, inner)], { weight: 'thin' })),
            ]),
        path([foot, head], { weight: 'dashed', field: 'flats' }),
        path([right, across], { weight: 'dashed', field: 'corners' }),
        size(left, right, -1, 'side'),
        size({ x: corners / 2, y: -flats / 2 }, { x: corners / 2, y: flats / 2 }, -1, 'flats'),
        ...(mitre === undefined ? [] : [angle(middle, -Math.PI / 2, -Math.PI / 2 + mitre, 'mitre')]),
      ],
    };
  },
};
