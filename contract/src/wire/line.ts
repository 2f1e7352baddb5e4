import { LIMITS } from '@sprell/core';
import { z } from 'zod';
import { positionWire } from './position.ts';

/** A reference is stored as the id of its line, which takes more room than the #n a person types. */
const STORED_REFERENCE = 40;
const storedSource = z
  .string()
  .max(LIMITS.characters * STORED_REFERENCE)
  .refine(isOneLine, 'Control characters are not text.');

export const labelWire = z.string().trim().min(1).max(120).refine(isOneLine, 'Control characters are not text.');
export const noteWire = z.string().max(2000).refine(hasNoNull, 'A null character is not text.');
export const revisionWire = z.int().min(0);

/** Half of a character that takes two: no text, and nothing that UTF-8 can hold. */
const LONE_SURROGATE = /\p{Surrogate}/u;

// PostgreSQL stores no null character, and the others have no business in one line.
export function isOneLine(text: string): boolean {
  // eslint-disable-next-line no-control-regex -- control characters are what is looked for
  return !/[\u0000-\u0008\u000a-\u001f]/.test(text) && !LONE_SURROGATE.test(text);
}

function hasNoNull(text: string): boolean {
  return !text.includes('\u0000') && !LONE_SURROGATE.test(text);
}

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
