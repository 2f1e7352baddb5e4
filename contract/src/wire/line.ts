import { LIMITS } from '@sprell/core';
import { z } from 'zod';
import { isOneLine, isText, LABEL_LIMIT } from '../text.ts';
import { positionWire } from './position.ts';

/** A reference is stored as the id of its line, which takes more room than the #n a person types. */
const STORED_REFERENCE = 40;
const storedSource = z
  .string()
  .max(LIMITS.characters * STORED_REFERENCE)
  .refine(isOneLine, 'Control characters are not text.');

export const labelWire = z
  .string()
  .trim()
  .min(1)
  .max(LABEL_LIMIT)
  .refine(isOneLine, 'Control characters are not text.');
/** What something is called. */
export const titleWire = z.string().trim().min(1).max(120).refine(isOneLine, 'Control characters are not text.');
export const noteWire = z.string().max(2000).refine(isText, 'A null character is not text, nor is half of one.');
export const revisionWire = z.int().min(0);

/** A line is worked out, or it is words among the lines: a heading (its `label`) or a note (its `note`). */
export const lineKindWire = z.enum(['worked', 'heading', 'note']);
export type LineKind = z.infer<typeof lineKindWire>;

/**
 * A line of a slate. `source` holds references to other lines as #{id}; a line that was deleted says so. Words have no
 * number: nothing can refer to them.
 */
export const lineWire = z.object({
  id: z.uuid(),
  kind: lineKindWire,
  number: z.int().min(1).nullable(),
  position: positionWire,
  source: storedSource,
  label: labelWire.nullable(),
  note: noteWire,
  revision: revisionWire,
  deleted: z.boolean(),
});
export type LineWire = z.infer<typeof lineWire>;

export { storedSource as sourceWire };
