import { angle, path, size, type FigurePart, type Point } from './figure.ts';
import type { Check, Field, Solver } from './solver.ts';

/** How much longer what lies on the slope is than its way on the level. */
export const ALONG = 'sqrt(1 + {pitch.ratio}^2)';

const NOTHING = { imperial: '0"', metric: '0 mm' };

/** Rise, run and pitch of a roof: any two give the third. */
export const ROOF: readonly Field[] = [
  { id: 'run', title: 'Run, plate to middle of ridge', kind: 'length', given: true },
  { id: 'rise', title: 'Rise', kind: 'length', given: true },
  { id: 'pitch', title: 'Slope or angle', kind: 'pitch', given: true, reads: 'slope' },
];
export const ROOF_RULES = [
  { gives: 'rise', from: ['run', 'pitch'], entry: '{run} * {pitch.ratio}' },
  { gives: 'run', from: ['rise', 'pitch'], entry: '{rise} / {pitch.ratio}' },
  { gives: 'pitch', from: ['rise', 'run'], entry: '{rise} / {run}' },
] as const;

/** A roof is less steep than a wall. */
export const SLOPED: Check = { from: ['pitch'], entry: '{pitch.angle} < 90°', code: 'slope.plumb' };

/** The board at the ridge, and what hangs over the plate. */
export const ENDS: readonly Field[] = [
  { id: 'ridge', title: 'Thickness of the ridge', kind: 'length', mayBeZero: true, given: true, otherwise: NOTHING },
  { id: 'overhang', title: 'Overhang, on the level', kind: 'length', mayBeZero: true, given: true, otherwise: NOTHING },
];
/** How deep a notch may be cut: the user's own number. */
export const NOTCH: Field = {
  id: 'share',
  title: 'Notch at most, of the depth',
  kind: 'share',
  given: true,
  otherwise: { imperial: '1/3', metric: '1/3' },
};
export const NOTCH_KEPT: Check = {
  from: ['notch', 'depth', 'share'],
  entry: '{notch} <= {depth} * {share}',
  code: 'rafter.notch',
  limit: true,
};

/**
 * A common rafter, from the outer edge of the plate to the middle of the ridge. Half of the ridge's thickness is subtracted
 * on the level, so that along the slope it takes more. The notch over the plate (birdsmouth) is as deep, plumb, as its seat
 * is long times the slope; what stands over the plate is the plumb depth of the rafter less that. Sources: Euclid,
 * Elements I.47; rise over run is the tangent of the pitch; the right triangles of the seat and of the rafter's depth.
 */
export const RAFTER: Solver = {
  id: 'rafter',
  title: 'Common rafter',
  source: 'Euclid, Elements I.47; the right triangles of roof, seat and rafter depth, all of one angle.',
  fields: [
    { id: 'span', title: 'Span, plate to plate', kind: 'length', given: true },
    ...ROOF,
    { id: 'length', title: 'Along the slope, to the middle', kind: 'length', given: true },
    { id: 'off', title: 'Off for half the ridge', kind: 'length', mayBeZero: true, given: false },
    { id: 'cut', title: 'Plate to ridge, cut', kind: 'length', given: false },
    { id: 'tail', title: 'Tail, along the slope', kind: 'length', mayBeZero: true, given: false },
    { id: 'whole', title: 'Tip to ridge, cut', kind: 'length', given: false },
    { id: 'plumb', title: 'Plumb cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'level', title: 'Level cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'heel', title: 'Heel of the notch, plumb', kind: 'length', given: false, besides: true },
    { id: 'notch', title: 'Notch, square to the rafter', kind: 'length', given: false, besides: true },
  ],
  asks: [
    ...ENDS,
    { id: 'seat', title: 'Seat of the notch, level', kind: 'length', given: true },
    { id: 'depth', title: 'Depth of the rafter', kind: 'length', given: true },
    { id: 'stand', title: 'Height over the plate, plumb', kind: 'length', given: true },
    NOTCH,
  ],
  rules: [
    { gives: 'run', from: ['span'], entry: '{span} / 2' },
    { gives: 'span', from: ['run'], entry: '2 * {run}' },
    ...ROOF_RULES,
    { gives: 'length', from: ['rise', 'run'], entry: 'hyp({rise}; {run})' },
    { gives: 'rise', from: ['length', 'run'], entry: 'leg({length}; {run})' },
    { gives: 'run', from: ['length', 'rise'], entry: 'leg({length}; {rise})' },
    { gives: 'run', from: ['length', 'pitch'], entry: `{length} / ${ALONG}` },
    { gives: 'off', from: ['ridge', 'pitch'], entry: `{ridge} / 2 * ${ALONG}` },
    { gives: 'cut', from: ['length', 'off'], entry: '{length} - {off}' },
    { gives: 'tail', from: ['overhang', 'pitch'], entry: `{overhang} * ${ALONG}` },
    { gives: 'whole', from: ['cut', 'tail'], entry: '{cut} + {tail}' },
    { gives: 'plumb', from: ['pitch'], entry: '{pitch.angle}' },
    { gives: 'level', from: ['pitch'], entry: '90° - {pitch.angle}' },
    { gives: 'heel', from: ['seat', 'pitch'], entry: '{seat} * {pitch.ratio}' },
    { gives: 'notch', from: ['seat', 'pitch'], entry: `{seat} * {pitch.ratio} / ${ALONG}` },
    { gives: 'stand', from: ['depth', 'seat', 'pitch'], entry: `{depth} * ${ALONG} - {seat} * {pitch.ratio}` },
    { gives: 'seat', from: ['depth', 'stand', 'pitch'], entry: `({depth} * ${ALONG} - {stand}) / {pitch.ratio}` },
  ],
  checks: [
    SLOPED,
    { from: ['rise', 'length'], entry: '{rise} < {length}', code: 'rafter.length' },
    { from: ['run', 'length'], entry: '{run} < {length}', code: 'rafter.length' },
    { from: ['ridge', 'run'], entry: '{ridge} < 2 * {run}', code: 'rafter.ridge' },
    NOTCH_KEPT,
  ],
  draw: ({ run, rise, pitch, ridge = 0, overhang = 0, seat, depth, stand }) => {
    if (run === undefined || rise === undefined || pitch === undefined) return undefined;
    const slope = rise / run;
    const [end, corner] = [
      { x: run, y: rise },
      { x: 0, y: 0 },
    ];
    const isDrawn = seat !== undefined && depth !== undefined && stand !== undefined;
    const body: readonly FigurePart[] = isDrawn
      ? notchedRafter({ slope, top: run - ridge / 2, overhang, seat, stand, plumbDepth: depth * Math.hypot(1, slope) })
      : [path([{ x: -overhang, y: -overhang * slope }, corner, end])];
    return {
      parts: [
        ...body,
        path([corner, end], { weight: isDrawn ? 'dashed' : 'body', field: 'length' }),
        path([corner, { x: run, y: 0 }, end], { weight: 'dashed' }),
        ...(ridge > 0 ? [ridgeBoard(run, rise, ridge, depth ?? rise / 6)] : []),
        size(corner, { x: run, y: 0 }, -1, 'run'),
        size({ x: run + ridge / 2, y: 0 }, { x: run + ridge / 2, y: rise }, -1, 'rise'),
        size(corner, end, 1, 'length'),
        ...(overhang > 0 ? [size({ x: -overhang, y: 0 }, corner, -1, 'overhang')] : []),
        angle(corner, 0, Math.atan2(rise, run), 'plumb'),
      ],
    };
  },
};

/** The rafter itself, its plumb ends, its tail and the notch over the plate, whose outer edge is at nothing. */
function notchedRafter(of: {
  readonly slope: number;
  readonly top: number;
  readonly overhang: number;
  readonly seat: number;
  readonly stand: number;
  readonly plumbDepth: number;
}): readonly FigurePart[] {
  const { slope, top, overhang, seat, stand, plumbDepth } = of;
  const over = (x: number): Point => ({ x, y: stand + slope * x });
  const under = (x: number): Point => ({ x, y: stand - plumbDepth + slope * x });
  const outline = [
    over(-overhang),
    over(top),
    under(top),
    under(seat),
    { x: 0, y: 0 },
    ...(overhang > 0 ? [under(0), under(-overhang)] : []),
  ];
  const plate = [
    { x: 0, y: 0 },
    { x: Math.max(seat, plumbDepth / 2), y: 0 },
    { x: Math.max(seat, plumbDepth / 2), y: -plumbDepth / 3 },
    { x: 0, y: -plumbDepth / 3 },
  ];
  return [
    path(outline, { closed: true }),
    path(
      [
        { x: 0, y: 0 },
        { x: seat, y: 0 },
      ],
      { field: 'seat' },
    ),
    path(plate, { closed: true, weight: 'thin' }),
  ];
}

const ridgeBoard = (x: number, y: number, thick: number, deep: number): FigurePart =>
  path(
    [
      { x: x - thick / 2, y },
      { x: x + thick / 2, y },
      { x: x + thick / 2, y: y - deep },
      { x: x - thick / 2, y: y - deep },
    ],
    { closed: true, weight: 'thin', field: 'ridge' },
  );
