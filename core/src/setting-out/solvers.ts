import { ARC } from './arc.ts';
import { CIRCLE } from './circle.ts';
import { ELLIPSE } from './ellipse.ts';
import { HIP } from './hip.ts';
import { JACKS } from './jacks.ts';
import { POLYGON } from './polygon.ts';
import { FOOTING, HOLES, SLAB, WALL } from './pour.ts';
import { RAFTER } from './rafter.ts';
import { RIGHT_TRIANGLE } from './right-triangle.ts';
import { RING } from './ring.ts';
import type { Solver } from './solver.ts';
import { evenSpacing, FIXED_CENTRES } from './spacing.ts';
import { SQUARE_CHECK } from './square-check.ts';
import { STEPS } from './steps.ts';
import { TRIANGLE } from './triangle.ts';

/** The shapes that can be set out, in the order in which they are shown. */
export const SOLVERS: readonly Solver[] = [
  RIGHT_TRIANGLE,
  TRIANGLE,
  SQUARE_CHECK,
  RAFTER,
  HIP,
  JACKS,
  ARC,
  CIRCLE,
  ELLIPSE,
  RING,
  POLYGON,
  evenSpacing('gaps'),
  evenSpacing('members'),
  FIXED_CENTRES,
  STEPS,
  SLAB,
  WALL,
  HOLES,
  FOOTING,
];
