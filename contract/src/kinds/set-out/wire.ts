import { z } from 'zod';
import { isOneLine } from '../../text.ts';
import { sourceWire, titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { setOutKind } from './kind.ts';

const MOST_FIELDS = 60;

/** A shape set out in a job under a name: which, and what was typed for it. What follows is worked out wherever it is read. */
export const setOutWire = kindWire(
  setOutKind,
  {
    name: titleWire,
    /** The shape's own name, as the core has it; one that this version does not know is kept as it is. */
    shape: z.string().regex(/^[a-z][a-z-]{0,39}$/),
    /** Which of several shapes that these sizes have, by its title; empty for the only one. */
    answer: z.string().max(120).refine(isOneLine, 'Control characters are not text.'),
    /** What was given, in the order in which it was given: each field with the entry in it, lines in it by their ids. */
    fields: z.array(z.string().regex(/^[A-Za-z]\w{0,31}$/)).max(MOST_FIELDS),
    entries: z.array(sourceWire).max(MOST_FIELDS),
  },
  (said) =>
    said
      .refine(({ fields, entries }) => fields.length === entries.length, 'Each field has one entry.')
      .refine(({ fields }) => new Set(fields).size === fields.length, 'No field is given twice.'),
);
