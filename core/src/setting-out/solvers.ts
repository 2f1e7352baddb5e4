import { ARC } from './arc.ts';
import { CIRCLE } from './circle.ts';
import { POLYGON } from './polygon.ts';
import { HOLES, SLAB } from './pour.ts';
import { RIGHT_TRIANGLE } from './right-triangle.ts';
import { RING } from './ring.ts';
import type { Solver } from './solver.ts';
import { evenSpacing } from './spacing.ts';
import { STEPS } from './steps.ts';
import { TRIANGLE } from './triangle.ts';

/** The shapes that can be set out, in the order in which they are shown. */
export const SOLVERS: readonly Solver[] = [
  RIGHT_TRIANGLE,
  TRIANGLE,
  ARC,
  CIRCLE,
  RING,
  evenSpacing('gaps'),
  evenSpacing('members'),
  POLYGON,
  STEPS,
  SLAB,
  HOLES,
];
