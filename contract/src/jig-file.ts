/**
 * The jig file: a jig with all that it uses, as JSON. What a jig is saved as in a job, what is given to others, and what
 * `bin/reckon --jig` runs. Its JSON Schema stands in docs/jig-file.schema.json.
 */
import { INPUT_KINDS, JIG_LIMITS, type Jig, type JigSet } from '@sprell/core/jig';
import { z } from 'zod';
import { readFile, type FileRead } from './file-door.ts';
import { JIG_FORMAT } from './jig-file-text.ts';
import { isOneLine, isText } from './text.ts';

/** Characters of a jig file: 500 steps with notes go in. */
export const JIG_FILE_LIMIT = 400_000;

const line = (most: number) => z.string().max(most).refine(isOneLine, 'Control characters are not text.');
const name = z.string().regex(/^\p{L}[\p{L}\p{N}_]{0,39}$/u);
const entry = line(500);

const inputWire = z.strictObject({
  name,
  title: line(JIG_LIMITS.title),
  kind: z.enum(INPUT_KINDS),
  unit: line(40),
  usual: entry,
  metric: entry,
  whole: z.boolean(),
  least: entry,
  most: entry,
  hint: line(JIG_LIMITS.title),
});

const stepWire = z.strictObject({
  name,
  title: line(JIG_LIMITS.title),
  note: line(JIG_LIMITS.note),
  entry,
  isAnswer: z.boolean(),
  repeat: z
    .strictObject({ counter: name, from: entry, to: entry, take: z.enum(['sum', 'largest', 'smallest', 'list']) })
    .nullable(),
});

const checkWire = z.strictObject({
  title: line(JIG_LIMITS.title),
  inputs: z.array(entry).max(JIG_LIMITS.inputs),
  answer: name,
  comesTo: entry,
  within: entry,
});

const oneJigWire = z.strictObject({
  id: z.uuid(),
  version: z.int().min(1).max(100_000),
  name,
  title: line(JIG_LIMITS.title).min(1),
  about: z.string().max(JIG_LIMITS.about).refine(isText, 'Control characters are not text.'),
  decimalComma: z.boolean(),
  inputs: z.array(inputWire).max(JIG_LIMITS.inputs),
  steps: z.array(stepWire).max(JIG_LIMITS.steps),
  checks: z.array(checkWire).max(JIG_LIMITS.checks),
});

/** What a jig file holds. */
export const jigFileWire = z.strictObject({
  sprell: z.literal('jig'),
  format: z.int().min(1),
  jig: oneJigWire,
  uses: z.array(oneJigWire).max(JIG_LIMITS.uses),
});

/** Reads a jig file. Never throws, whatever the text. Whether the jig can run is for `readJig` of the core to say. */
export function jigSetOf(text: string): FileRead<JigSet> {
  const read = readFile(text, { what: 'jig', limit: JIG_FILE_LIMIT, format: JIG_FORMAT, wire: jigFileWire });
  return read.ok ? { ok: true, value: { jig: read.value.jig as Jig, uses: read.value.uses as Jig[] } } : read;
}
