import { along, angle, path, size } from './figure.ts';
import { ENDS, NOTCH, NOTCH_KEPT, ROOF, ROOF_RULES, SLOPED } from './rafter.ts';
import type { Field, Solver } from './solver.ts';

/** The corner of the plates in plan, halved by the hip. */
export const CORNER: Field = {
  id: 'corner',
  title: 'Corner of the plates, in plan',
  kind: 'angle',
  given: true,
  otherwise: { imperial: '90°', metric: '90°' },
};
export const CORNER_CHECK = { from: ['corner'], entry: '{corner} < 180°', code: 'rafter.corner' } as const;

const HALF = '({corner} / 2)';
const ALONG_HIP = 'sqrt(1 + {hipPitch.ratio}^2)';

/**
 * A hip or valley rafter between two roofs of one pitch, over a corner of any angle in plan, which it halves. In plan it
 * runs run / sin(corner / 2); all that is measured square to the plates (ridge, overhang) is measured so much longer along
 * it. The backing that planes its top edge into both roofs, and the drop that brings its edges down to them instead, follow
 * from the normals of the two roofs: tan backing = sin(hip's plumb cut) / tan(corner / 2); drop = half its thickness ×
 * slope × cos(corner / 2). Sources: the half corner in plan and the right triangle over it; the plane of each roof, z = slope
 * × distance from its plate, cut square to the hip and plumb at its edge.
 */
export const HIP: Solver = {
  id: 'hip',
  title: 'Hip or valley rafter',
  short: 'Hip or valley',
  source: 'The half corner in plan, the right triangle over it, and the planes of both roofs cut square to the hip.',
  fields: [
    ...ROOF,
    { id: 'hipRun', title: 'Run of the hip, in plan', kind: 'length', given: false },
    { id: 'hipPitch', title: 'Slope of the hip', kind: 'pitch', given: false, reads: 'slope' },
    { id: 'length', title: 'Along the hip, to the middle', kind: 'length', given: false },
    { id: 'off', title: 'Off for half the ridge', kind: 'length', mayBeZero: true, given: false },
    { id: 'cut', title: 'Plate to ridge, cut', kind: 'length', given: false },
    { id: 'tail', title: 'Tail, along the hip', kind: 'length', mayBeZero: true, given: false },
    { id: 'whole', title: 'Tip to ridge, cut', kind: 'length', given: false },
    { id: 'plumb', title: 'Plumb cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'level', title: 'Level cut, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'side', title: 'Side cut on the top edge, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'tilt', title: 'Saw tilted for it, from square', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'backing', title: 'Backing, each side of the top', kind: 'angle', given: false, reads: 'degrees' },
    { id: 'drop', title: 'Drop, where it is not backed', kind: 'length', given: false, besides: true },
    { id: 'heel', title: 'Heel of the notch, backed', kind: 'length', given: false, besides: true },
    { id: 'heelDropped', title: 'Heel of the notch, dropped', kind: 'length', given: false, besides: true },
    { id: 'seat', title: 'Seat of the notch, backed', kind: 'length', given: false, besides: true },
    { id: 'seatDropped', title: 'Seat of the notch, dropped', kind: 'length', given: false, besides: true },
    { id: 'notch', title: 'Deeper notch, square to the hip', kind: 'length', given: false, besides: true },
  ],
  asks: [
    CORNER,
    ...ENDS,
    { id: 'thick', title: 'Thickness of the hip', kind: 'length', given: true },
    { id: 'depth', title: 'Depth of the hip', kind: 'length', given: true },
    { id: 'stand', title: 'Height of the commons over the plate', kind: 'length', given: true },
    NOTCH,
  ],
  rules: [
    ...ROOF_RULES,
    { gives: 'hipRun', from: ['run', 'corner'], entry: `{run} / sin${HALF}` },
    { gives: 'hipPitch', from: ['rise', 'hipRun'], entry: '{rise} / {hipRun}' },
    { gives: 'length', from: ['rise', 'hipRun'], entry: 'hyp({rise}; {hipRun})' },
    { gives: 'off', from: ['ridge', 'corner', 'hipPitch'], entry: `{ridge} / 2 / sin${HALF} * ${ALONG_HIP}` },
    { gives: 'cut', from: ['length', 'off'], entry: '{length} - {off}' },
    { gives: 'tail', from: ['overhang', 'corner', 'hipPitch'], entry: `{overhang} / sin${HALF} * ${ALONG_HIP}` },
    { gives: 'whole', from: ['cut', 'tail'], entry: '{cut} + {tail}' },
    { gives: 'plumb', from: ['hipPitch'], entry: '{hipPitch.angle}' },
    { gives: 'level', from: ['hipPitch'], entry: '90° - {hipPitch.angle}' },
    { gives: 'side', from: ['corner', 'hipPitch'], entry: `atan(${ALONG_HIP} / tan${HALF})` },
    { gives: 'tilt', from: ['corner'], entry: `90° - {corner} / 2` },
    { gives: 'backing', from: ['plumb', 'corner'], entry: `atan(sin({plumb}) / tan${HALF})` },
    { gives: 'drop', from: ['thick', 'pitch', 'corner'], entry: `{thick} / 2 * {pitch.ratio} * cos${HALF}` },
    { gives: 'heel', from: ['depth', 'hipPitch', 'stand'], entry: `{depth} * ${ALONG_HIP} - {stand}` },
    { gives: 'heelDropped', from: ['heel', 'drop'], entry: '{heel} + {drop}' },
    { gives: 'seat', from: ['heel', 'hipPitch'], entry: '{heel} / {hipPitch.ratio}' },
    { gives: 'seatDropped', from: ['heelDropped', 'hipPitch'], entry: '{heelDropped} / {hipPitch.ratio}' },
    { gives: 'notch', from: ['heelDropped', 'hipPitch'], entry: `{heelDropped} / ${ALONG_HIP}` },
  ],
  checks: [
    SLOPED,
    CORNER_CHECK,
    { from: ['ridge', 'run'], entry: '{ridge} < 2 * {run}', code: 'rafter.ridge' },
    {
      from: ['depth', 'hipPitch', 'stand'],
      entry: `{stand} < {depth} * ${ALONG_HIP}`,
      code: 'rafter.stand',
    },
    { ...NOTCH_KEPT, code: 'hip.notch' },
  ],
  draw: ({ run, rise, hipRun, corner, overhang = 0 }) => {
    if (run === undefined || rise === undefined || hipRun === undefined || corner === undefined) return undefined;
    const half = corner / 2;
    // In plan, the hip lying along; beside it seen from the side.
    const foot = { x: 0, y: 0 };
    const top = { x: hipRun, y: 0 };
    const plate = run / Math.tan(half);
    const side = (turn: number) => [along(foot, turn, plate), along(foot, turn, plate * 1.25)] as const;
    const [left, right] = [side(half), side(-half)];
    const tip = overhang / Math.sin(half);
    const beside = hipRun * 1.35 + tip;
    const lift = (x: number, y: number) => ({ x: beside + x, y: y - rise / 2 });
    return {
      parts: [
        path([left[1], foot, right[1]], { weight: 'thin', field: 'corner' }),
        path([left[0], top, right[0]], { weight: 'dashed', field: 'run' }),
        path([{ x: -tip, y: 0 }, top], { field: 'hipRun' }),
        size(left[0], top, 1, 'run'),
        size(lift(0, 0), lift(hipRun, 0), -1, 'hipRun'),
        angle(foot, -half, half, 'corner', 0.78),
        path([lift(-tip, (-tip * rise) / hipRun), lift(0, 0), lift(hipRun, rise)], { field: 'length' }),
        path([lift(0, 0), lift(hipRun, 0), lift(hipRun, rise)], { weight: 'dashed' }),
        size(lift(0, 0), lift(hipRun, rise), 1, 'length'),
        size(lift(hipRun, 0), lift(hipRun, rise), -1, 'rise'),
        angle(lift(0, 0), 0, Math.atan2(rise, hipRun), 'plumb'),
      ],
    };
  },
};
