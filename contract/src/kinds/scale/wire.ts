import { LIMITS } from '@sprell/core';
import { z } from 'zod';
import { isOneLine } from '../../text.ts';
import { titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { scaleKind } from './kind.ts';

/** How a scale was defined; see `ScaleDefinition` of the core. */
const scaleKindWire = z.enum(['sizes', 'ratio', 'copy']);

const side = z.string().trim().min(1).max(LIMITS.characters).refine(isOneLine, 'Control characters are not text.');

/** A drawing scale of a job. */
export const scaleWire = kindWire(scaleKind, {
  kind: scaleKindWire,
  /** Entries as they were typed, without references to lines or marks: a drawing does not change with the job. */
  paper: side,
  site: side,
  /** What the drawing is called; null for one that is known by its scale alone. */
  name: titleWire.nullable(),
});
