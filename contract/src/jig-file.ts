/**
 * The jig file: a jig with all that it uses, as JSON. What a jig is saved as in a job, what is given to others, and what
 * `bin/reckon --jig` runs. Its JSON Schema stands in docs/jig-file.schema.json.
 */
import { INPUT_KINDS, JIG_LIMITS, type Jig, type JigSet } from '@sprell/core/jig';
import { z } from 'zod';
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

/** Why a text is no jig file: a sentence, and where in the file, as `jig.steps.3.entry`. */
export interface JigFileProblem {
  readonly place: string;
  readonly sentence: string;
}
export type JigFileRead =
  { readonly ok: true; readonly value: JigSet } | { readonly ok: false; readonly problem: JigFileProblem };

const refused = (place: string, sentence: string): JigFileRead => ({ ok: false, problem: { place, sentence } });

/** Reads a jig file. Never throws, whatever the text. Whether the jig can run is for `readJig` of the core to say. */
export function jigSetOf(text: string): JigFileRead {
  if (text.length > JIG_FILE_LIMIT)
    return refused('', `A jig file has ${JIG_FILE_LIMIT} characters at most, and this one has ${text.length}.`);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(
      '',
      'This is no jig file: it is not JSON. A file that was opened and saved by another program may be damaged.',
    );
  }
  const head = z.object({ sprell: z.string(), format: z.number() }).safeParse(json);
  if (!head.success || head.data.sprell !== 'jig') return refused('sprell', 'This is JSON, and no jig file of Sprell.');
  if (head.data.format > JIG_FORMAT)
    return refused(
      'format',
      'This jig was saved by a newer Sprell than this one. Update this one, or ask for it in the older form.',
    );
  const read = jigFileWire.safeParse(json);
  if (read.success) return { ok: true, value: { jig: read.data.jig as Jig, uses: read.data.uses as Jig[] } };
  const [issue] = read.error.issues;
  return refused(issue?.path.join('.') ?? '', sentenceOf(issue));
}

function sentenceOf(issue: z.core.$ZodIssue | undefined): string {
  switch (issue?.code) {
    case 'too_big':
      return issue.origin === 'array'
        ? `There are more than ${issue.maximum} of these; a jig has no room for so many.`
        : 'This is too large for a jig.';
    case 'unrecognized_keys':
      return `A jig file has no “${issue.keys[0] ?? ''}” here.`;
    case 'invalid_type':
      return `Here stands something else than ${issue.expected === 'string' ? 'text' : `a value of the type ${issue.expected}`}.`;
    default:
      return 'What stands here is not what a jig file has in this place.';
  }
}
