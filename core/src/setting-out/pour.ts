import { path, size, type Figure, type FigurePart, type Point } from './figure.ts';
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
    kind: 'share',
    mayBeZero: true,
    given: true,
    otherwise: { imperial: '5%', metric: '5%' },
  },
  { id: 'yield', title: 'One bag makes', kind: 'volume', given: true },
];
const ORDERED: readonly Rule[] = [
  { gives: 'order', from: ['volume', 'waste'], entry: '{volume} * (1 + {waste})' },
  { gives: 'bags', from: ['order', 'yield'], entry: 'up({order} / {yield}; 1)' },
];

/** Foot and top, twice each, and both mixed: the three sections of the prismatoid, six times their mean. */
const SIX_SECTIONS =
  '(2 * {footLength} * {footWidth} + 2 * {topLength} * {topWidth} + {footLength} * {topWidth} + {topLength} * {footWidth})';

/** So many alike; one where nobody says. */
const COUNT: Field = {
  id: 'count',
  title: 'How many alike',
  kind: 'count',
  given: true,
  otherwise: { imperial: '1', metric: '1' },
};

/**
 * A slab, a strip or pads: length, width and depth make a volume, and any three of the four give the last, so that it
 * says as well how far a volume goes. Source: Euclid, Elements XI.32 (solids of one height are as their bases).
 */
export const SLAB: Solver = {
  id: 'slab',
  title: 'Pour: slab, strip or pads',
  short: 'Slab, strip, pads',
  source: 'Length, width and depth multiplied (Euclid, Elements XI.32).',
  fields: [
    { id: 'length', title: 'Length', kind: 'length', given: true },
    { id: 'width', title: 'Width', kind: 'length', given: true },
    { id: 'depth', title: 'Depth', kind: 'length', given: true },
    ...POURED,
  ],
  asks: [COUNT, ...ASKED],
  rules: [
    { gives: 'volume', from: ['length', 'width', 'depth', 'count'], entry: '{length} * {width} * {depth} * {count}' },
    { gives: 'length', from: ['volume', 'width', 'depth', 'count'], entry: '{volume} / ({width} * {depth} * {count})' },
    {
      gives: 'width',
      from: ['volume', 'length', 'depth', 'count'],
      entry: '{volume} / ({length} * {depth} * {count})',
    },
    {
      gives: 'depth',
      from: ['volume', 'length', 'width', 'count'],
      entry: '{volume} / ({length} * {width} * {count})',
    },
    ...ORDERED,
  ],
  checks: [],
  draw: ({ length, width, depth }) =>
    length && width && depth ? drawBlock(length, depth, width, ['length', 'depth', 'width']) : undefined,
};

/** A wall, less its openings. Source: Euclid, Elements XI.32. */
export const WALL: Solver = {
  id: 'wall',
  title: 'Pour: wall with openings',
  short: 'Wall, openings',
  source: 'Length times height, less the openings, times the thickness (Euclid, Elements XI.32).',
  fields: [
    { id: 'length', title: 'Length', kind: 'length', given: true },
    { id: 'height', title: 'Height', kind: 'length', given: true },
    { id: 'thick', title: 'Thickness', kind: 'length', given: true },
    { id: 'face', title: 'Face, less the openings', kind: 'area', given: false },
    ...POURED,
  ],
  asks: [
    {
      id: 'openings',
      title: 'Openings, all together',
      kind: 'area',
      mayBeZero: true,
      given: true,
      otherwise: { imperial: '0 sq ft', metric: '0 m2' },
    },
    ...ASKED,
  ],
  rules: [
    { gives: 'face', from: ['length', 'height', 'openings'], entry: '{length} * {height} - {openings}' },
    { gives: 'volume', from: ['face', 'thick'], entry: '{face} * {thick}' },
    { gives: 'face', from: ['volume', 'thick'], entry: '{volume} / {thick}' },
    { gives: 'thick', from: ['volume', 'face'], entry: '{volume} / {face}' },
    { gives: 'length', from: ['face', 'height', 'openings'], entry: '({face} + {openings}) / {height}' },
    { gives: 'height', from: ['face', 'length', 'openings'], entry: '({face} + {openings}) / {length}' },
    ...ORDERED,
  ],
  checks: [
    { from: ['length', 'height', 'openings'], entry: '{openings} < {length} * {height}', code: 'wall.openings' },
  ],
  draw: ({ length, height, thick, openings = 0 }) => {
    if (length === undefined || height === undefined || thick === undefined) return undefined;
    const { parts } = drawBlock(length, height, thick, ['length', 'height', 'thick']);
    if (openings <= 0) return { parts };
    // All of the openings as one of the wall's own shape, in its middle.
    const share = Math.sqrt(openings / (length * height));
    const [x, y] = [(length * (1 - share)) / 2, (height * (1 - share)) / 2];
    const corners = [point(x, y), point(length - x, y), point(length - x, height - y), point(x, height - y)];
    return { parts: [...parts, path(corners, { closed: true, weight: 'dashed', field: 'openings' })] };
  },
};

/**
 * A footing that tapers from its foot to its top, each a rectangle over the middle of the other. Source: the prismatoid,
 * height / 6 × (foot + top + four times the section halfway), here height / 6 × (2 l w + 2 L W + l W + L w) (Heron, Metrica
 * II.8).
 */
export const FOOTING: Solver = {
  id: 'footing',
  title: 'Pour: tapered footing',
  short: 'Tapered footing',
  source: 'Foot, top and the section halfway (the prismatoid; Heron, Metrica II.8).',
  fields: [
    { id: 'footLength', title: 'Foot, length', kind: 'length', given: true },
    { id: 'footWidth', title: 'Foot, width', kind: 'length', given: true },
    { id: 'topLength', title: 'Top, length', kind: 'length', given: true },
    { id: 'topWidth', title: 'Top, width', kind: 'length', given: true },
    { id: 'height', title: 'Height', kind: 'length', given: true },
    ...POURED,
  ],
  asks: [COUNT, ...ASKED],
  rules: [
    {
      gives: 'volume',
      from: ['footLength', 'footWidth', 'topLength', 'topWidth', 'height', 'count'],
      entry: `{count} * {height} / 6 * ${SIX_SECTIONS}`,
    },
    {
      gives: 'height',
      from: ['footLength', 'footWidth', 'topLength', 'topWidth', 'volume', 'count'],
      entry: `6 * {volume} / ({count} * ${SIX_SECTIONS})`,
    },
    ...ORDERED,
  ],
  checks: [
    { from: ['footLength', 'topLength'], entry: '{topLength} <= {footLength}', code: 'footing.top' },
    { from: ['footWidth', 'topWidth'], entry: '{topWidth} <= {footWidth}', code: 'footing.top' },
  ],
  draw: ({ footLength, footWidth, topLength, topWidth, height }) => {
    if (!footLength || !footWidth || !topLength || !topWidth || !height) return undefined;
    const corners = (length: number, width: number, y: number) =>
      [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ].map(([along = 0, back = 0]) =>
        slanted((along * length) / 2, y, ((back + 1) * width) / 2 + (footWidth - width) / 2),
      );
    const foot = corners(footLength, footWidth, 0) as unknown as Corners;
    const top = corners(topLength, topWidth, height) as unknown as Corners;
    return {
      parts: [
        path([foot[0], foot[1], foot[2]], {}),
        path(top, { closed: true }),
        ...([0, 1, 2] as const).map((at) => path([foot[at], top[at]])),
        path([foot[2], foot[3], foot[0]], { weight: 'dashed' }),
        path([foot[3], top[3]], { weight: 'dashed' }),
        size(foot[0], foot[1], -1, 'footLength'),
        size(foot[1], foot[2], -1, 'footWidth'),
        size(top[3], top[2], 1, 'topLength'),
        size(top[1], top[2], -1, 'topWidth'),
        size(point(foot[0].x, 0), point(foot[0].x, height), 1, 'height'),
      ],
    };
  },
};

type Corners = readonly [Point, Point, Point, Point];

/** What goes back is drawn at a third of its size, slanting. */
const slanted = (x: number, y: number, back: number): Point => ({ x: x + back * 0.35, y: y + back * 0.35 });

/** A block, seen from the front and from above. @param fields what its length, its height and its way back are called */
function drawBlock(
  length: number,
  height: number,
  back: number,
  [ofLength, ofHeight, ofBack]: readonly [string, string, string],
): Figure {
  const shifted = ({ x, y }: Point) => slanted(x, y, back);
  const front = [point(0, 0), point(length, 0), point(length, height), point(0, height)] as const;
  const [left, right, corner, top] = front;
  return {
    parts: [
      path(front, { closed: true }),
      path([top, shifted(top), shifted(corner), corner], { field: ofBack }),
      path([shifted(corner), shifted(right), right], {}),
      size(left, right, -1, ofLength),
      size(left, top, 1, ofHeight),
      size(right, shifted(right), -1, ofBack),
    ],
  };
}

/** Round holes, filled: any of the sizes from the rest. Source: Euclid, Elements XII.11 (cylinders are as their bases). */
export const HOLES: Solver = {
  id: 'holes',
  title: 'Pour: round holes',
  short: 'Round holes',
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
    // As many whole holes as a volume fills, to a thousandth of one: it may have been read off somewhere.
    {
      gives: 'count',
      from: ['volume', 'diameter', 'depth'],
      entry: 'down({volume} / (pi * {diameter}^2 / 4 * {depth}) + 1/1000; 1)',
      ifOpen: true,
    },
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
