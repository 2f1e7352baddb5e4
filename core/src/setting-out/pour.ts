import { path, size, type FigurePart, type Point } from './figure.ts';
import type { Field, Rule, Solver } from './solver.ts';

/** What is poured, with something over for waste, and in bags of what the user says one makes. */
const POURED: readonly Field[] = [
  { id: 'volume', title: 'Volume', kind: 'volume', given: true },
  { id: 'order', title: 'With the waste', kind: 'volume', given: false },
  { id: 'bags', title: 'Bags', kind: 'count', given: false, besides: true },
];
const ASKED: readonly Field[] = [
  {
    id: 'waste',
    title: 'Waste',
    kind: 'number',
    orNothing: true,
    given: true,
    otherwise: { imperial: '5%', metric: '5%' },
  },
  { id: 'yield', title: 'One bag makes', kind: 'volume', given: true },
];
const ORDERED: readonly Rule[] = [
  { gives: 'order', from: ['volume', 'waste'], entry: '{volume} * (1 + {waste})' },
  { gives: 'bags', from: ['order', 'yield'], entry: 'up({order} / {yield}; 1)' },
];

/**
 * A slab, a wall or a strip: length, width and depth make a volume, and any three of the four give the last, so that it
 * says as well how far a volume goes. Source: Euclid, Elements XI.32 (solids of one height are as their bases).
 */
export const SLAB: Solver = {
  id: 'slab',
  title: 'Pour: slab, wall or strip',
  source: 'Length, width and depth multiplied (Euclid, Elements XI.32).',
  fields: [
    { id: 'length', title: 'Length', kind: 'length', given: true },
    { id: 'width', title: 'Width', kind: 'length', given: true },
    { id: 'depth', title: 'Depth', kind: 'length', given: true },
    ...POURED,
  ],
  asks: ASKED,
  rules: [
    { gives: 'volume', from: ['length', 'width', 'depth'], entry: '{length} * {width} * {depth}' },
    { gives: 'length', from: ['volume', 'width', 'depth'], entry: '{volume} / ({width} * {depth})' },
    { gives: 'width', from: ['volume', 'length', 'depth'], entry: '{volume} / ({length} * {depth})' },
    { gives: 'depth', from: ['volume', 'length', 'width'], entry: '{volume} / ({length} * {width})' },
    ...ORDERED,
  ],
  checks: [],
  draw: ({ length, width, depth }) => {
    if (length === undefined || width === undefined || depth === undefined) return undefined;
    // Seen from one side and from above: what goes back is drawn at half its size, slanting.
    const back = { x: width * 0.35, y: width * 0.35 };
    const shifted = ({ x, y }: Point): Point => ({ x: x + back.x, y: y + back.y });
    const front = [
      { x: 0, y: 0 },
      { x: length, y: 0 },
      { x: length, y: depth },
      { x: 0, y: depth },
    ] as const;
    const [, right, corner, left] = front;
    return {
      parts: [
        path(front, { closed: true }),
        path([left, shifted(left), shifted(corner), corner], { field: 'width' }),
        path([shifted(corner), shifted(right), right], {}),
        size(front[0], right, -1, 'length'),
        size(front[0], left, 1, 'depth'),
        size(right, shifted(right), -1, 'width'),
      ],
    };
  },
};

/** Round holes, filled: any of the sizes from the rest. Source: Euclid, Elements XII.11 (cylinders are as their bases). */
export const HOLES: Solver = {
  id: 'holes',
  title: 'Pour: round holes',
  source: 'The circle times the depth (Euclid, Elements XII.11).',
  fields: [
    { id: 'diameter', title: 'Diameter', kind: 'length', given: true },
    { id: 'depth', title: 'Depth', kind: 'length', given: true },
    { id: 'count', title: 'Holes', kind: 'count', given: true },
    ...POURED,
  ],
  asks: ASKED,
  rules: [
    { gives: 'volume', from: ['diameter', 'depth', 'count'], entry: 'pi * {diameter}^2 / 4 * {depth} * {count}' },
    { gives: 'depth', from: ['volume', 'diameter', 'count'], entry: '{volume} / (pi * {diameter}^2 / 4 * {count})' },
    { gives: 'diameter', from: ['volume', 'depth', 'count'], entry: 'sqrt(4 * {volume} / (pi * {depth} * {count}))' },
    ...ORDERED,
  ],
  checks: [],
  draw: ({ diameter, depth, count }) => {
    if (diameter === undefined || depth === undefined || count === undefined) return undefined;
    const parts: FigurePart[] = [];
    const apart = diameter * 1.8;
    const drawn = Math.min(count, 12);
    parts.push(path([point(-apart / 2, 0), point((drawn - 0.5) * apart + diameter / 2, 0)], { weight: 'thin' }));
    for (let n = 0; n < drawn; n += 1) {
      const left = n * apart;
      parts.push(
        path([point(left, 0), point(left, -depth), point(left + diameter, -depth), point(left + diameter, 0)]),
      );
    }
    parts.push(size(point(0, 0), point(diameter, 0), 1, 'diameter'));
    parts.push(size(point(0, 0), point(0, -depth), -1, 'depth'));
    return { parts };
  },
};

const point = (x: number, y: number): Point => ({ x, y });
