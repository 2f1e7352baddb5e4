import { LIMITS } from '@sprell/core';
import { z } from 'zod';
import { isOneLine } from '../text.ts';
import { revisionWire } from './line.ts';

/** How a scale was defined; what each kind means is told by `ScaleDefinition` of the core. */
export const scaleKindWire = z.enum(['sizes', 'ratio', 'copy']);

const side = z.string().trim().min(1).max(LIMITS.characters).refine(isOneLine, 'Control characters are not text.');
export const scaleContent = {
  kind: scaleKindWire,
  /** Entries as they were typed, without references to lines or marks: a drawing does not change with the job. */
  paper: side,
  site: side,
  /** What the drawing is called; null for one that is told by its scale alone. */
  name: z.string().trim().min(1).max(120).refine(isOneLine, 'Control characters are not text.').nullable(),
};

/** A drawing scale of a job. */
export const scaleWire = z.object({ id: z.uuid(), ...scaleContent, revision: revisionWire, deleted: z.boolean() });
export type ScaleWire = z.infer<typeof scaleWire>;
