import { ARC } from './arc.ts';
import { CIRCLE } from './circle.ts';
import { RIGHT_TRIANGLE } from './right-triangle.ts';
import type { Shape } from './shape.ts';
import { evenSpacing } from './spacing.ts';
import { TRIANGLE } from './triangle.ts';

/** The shapes that can be set out, in the order in which they are shown. */
export const SHAPES: readonly Shape[] = [
  RIGHT_TRIANGLE,
  TRIANGLE,
  ARC,
  CIRCLE,
  evenSpacing('gaps'),
  evenSpacing('members'),
];
