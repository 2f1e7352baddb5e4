import { path, size } from './figure.ts';
import type { Solver } from './solver.ts';

/** How far out of square the frame is drawn at least, as a share of its height, where it is out at all: less is not seen. */
const SEEN = 0.04;

/**
 * A frame with two sides of each length, checked by its two diagonals. Opposite sides being equal, it is a parallelogram:
 * the squares of its diagonals differ by four times length × width × the cosine of the corner, and come to twice the
 * squares of both sides. So the diagonals show by how much the one long side is pushed along, and whether what was
 * measured fits together. Source: Euclid, Elements II.12 and 13 (the law of cosines, in both halves); the parallelogram
 * law is their sum.
 */
export const SQUARE_CHECK: Solver = {
  id: 'square-check',
  title: 'Square check',
  source: 'The law of cosines in both halves of the frame (Euclid, Elements II.12, II.13), and the sum of the two.',
  fields: [
    { id: 'length', title: 'Length', kind: 'length', given: true },
    { id: 'width', title: 'Width', kind: 'length', given: true },
    { id: 'rising', title: 'Diagonal rising to the right', kind: 'length', given: true },
    { id: 'falling', title: 'Diagonal falling to the right', kind: 'length', given: true },
    { id: 'both', title: 'Diagonals, when square', kind: 'length', given: false },
    { id: 'apart', title: 'Diagonals differ by', kind: 'length', mayBeZero: true, given: false },
    { id: 'push', title: 'Top corners to be pushed by', kind: 'length', mayBeZero: true, given: false },
    { id: 'corner', title: 'Bottom left corner', kind: 'angle', given: false, reads: 'degrees' },
  ],
  asks: [
    {
      id: 'tolerance',
      title: 'Diagonals may differ by',
      kind: 'length',
      mayBeZero: true,
      given: true,
      otherwise: { imperial: '1/8"', metric: '3 mm' },
    },
  ],
  rules: [
    { gives: 'both', from: ['length', 'width'], entry: 'hyp({length}; {width})' },
    { gives: 'apart', from: ['rising', 'falling'], entry: 'abs({rising} - {falling})' },
    {
      gives: 'push',
      from: ['rising', 'falling', 'length'],
      entry: 'abs({rising}^2 - {falling}^2) / (4 * {length})',
    },
    {
      gives: 'corner',
      from: ['rising', 'falling', 'length', 'width'],
      entry: 'acos(({rising}^2 - {falling}^2) / (4 * {length} * {width}))',
    },
  ],
  checks: [
    { from: ['rising', 'length', 'width'], entry: '{rising} < {length} + {width}', code: 'square.diagonal' },
    { from: ['falling', 'length', 'width'], entry: '{falling} < {length} + {width}', code: 'square.diagonal' },
    {
      from: ['rising', 'falling', 'length', 'width'],
      entry: 'abs({rising}^2 - {falling}^2) < 4 * {length} * {width}',
      code: 'square.diagonal',
    },
    {
      from: ['rising', 'falling', 'tolerance'],
      entry: '{rising} - {falling} <= {tolerance}',
      code: 'square.to_left',
      limit: true,
    },
    {
      from: ['rising', 'falling', 'tolerance'],
      entry: '{falling} - {rising} <= {tolerance}',
      code: 'square.to_right',
      limit: true,
    },
    // Twice the tolerance: each diagonal and each side is measured that well at best.
    {
      from: ['rising', 'falling', 'both', 'tolerance'],
      entry: 'abs(sqrt(({rising}^2 + {falling}^2) / 2) - {both}) <= 2 * {tolerance}',
      code: 'square.sides',
      limit: true,
    },
  ],
  draw: ({ length, width, rising, falling, corner }) => {
    if (length === undefined || width === undefined) return undefined;
    const lean = corner === undefined ? 0 : width * Math.cos(corner);
    const seen = Math.abs(lean) < 1e-9 ? 0 : Math.sign(lean) * Math.max(Math.abs(lean), width * SEEN);
    const height = corner === undefined ? width : width * Math.sin(corner);
    const [bottomLeft, bottomRight] = [
      { x: 0, y: 0 },
      { x: length, y: 0 },
    ];
    const [topLeft, topRight] = [
      { x: seen, y: height },
      { x: length + seen, y: height },
    ];
    const [squareLeft, squareRight] = [
      { x: 0, y: height },
      { x: length, y: height },
    ];
    return {
      parts: [
        ...(seen === 0
          ? []
          : [path([bottomLeft, squareLeft, squareRight, bottomRight], { weight: 'dashed', field: 'push' })]),
        path([bottomLeft, bottomRight, topRight, topLeft], { closed: true }),
        path([bottomLeft, topRight], { weight: 'thin', field: 'rising' }),
        path([topLeft, bottomRight], { weight: 'thin', field: 'falling' }),
        size(bottomLeft, bottomRight, -1, 'length'),
        size(bottomLeft, topLeft, 1, 'width'),
        ...(rising === undefined ? [] : [size(along(bottomLeft, topRight, 0.5), topRight, 0, 'rising')]),
        ...(falling === undefined ? [] : [size(along(bottomRight, topLeft, 0.5), topLeft, 0, 'falling')]),
        ...(seen === 0 ? [] : [size(squareRight, topRight, seen > 0 ? 1 : -1, 'push')]),
      ],
    };
  },
};

const along = (from: { x: number; y: number }, to: { x: number; y: number }, share: number) => ({
  x: from.x + (to.x - from.x) * share,
  y: from.y + (to.y - from.y) * share,
});
