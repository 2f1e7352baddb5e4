import { z } from 'zod';

/** Why a text is no file of a kind: a sentence, and where in the file, as `slate.3.entry`. */
export interface FileProblem {
  readonly place: string;
  readonly sentence: string;
}
export type FileRead<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problem: FileProblem };

/** A kind of file that is read. */
export interface FileKind<Wire extends z.ZodType> {
  /** What its first field says it is. */
  readonly what: 'job' | 'jig';
  /** Most characters. */
  readonly limit: number;
  /** The latest format that this version reads. */
  readonly format: number;
  readonly wire: Wire;
}

/** Where files of each kind are opened, for somebody who opens one elsewhere. */
const ROOMS = { job: 'Jobs', jig: 'Jigs' } as const;

/** Reads a file of a kind: its size, that it is JSON, what it is, its format, then its schema. Never throws, whatever the text. */
export function readFile<Wire extends z.ZodType>(
  text: string,
  { what, limit, format, wire }: FileKind<Wire>,
): FileRead<z.output<Wire>> {
  if (text.length > limit)
    return refused('', `A ${what} file has ${limit} characters at most, and this one has ${text.length}.`);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(
      '',
      `This is no ${what} file: it is not JSON. A file that another program saved, or that was sent in part, may be damaged.`,
    );
  }
  const head = z.object({ sprell: z.string(), format: z.number() }).safeParse(json);
  const is = head.data?.sprell;
  if (is === undefined || is !== what)
    return refused(
      'sprell',
      is === 'job' || is === 'jig'
        ? `This is a ${is} file: open it in the room “${ROOMS[is]}”.`
        : `This is JSON, and no ${what} file of Sprell.`,
    );
  if ((head.data?.format ?? 0) > format)
    return refused(
      'format',
      `This ${what} was saved by a newer Sprell than this one. Update this one, or ask for it in the older form.`,
    );
  const read = wire.safeParse(json);
  if (read.success) return { ok: true, value: read.data };
  const [issue] = read.error.issues;
  return refused(issue?.path.map(String).join('.') ?? '', sentenceOf(issue, what));
}

const refused = (place: string, sentence: string) => ({ ok: false, problem: { place, sentence } }) as const;

function sentenceOf(issue: z.core.$ZodIssue | undefined, what: string): string {
  switch (issue?.code) {
    case 'too_big':
      return issue.origin === 'array'
        ? `There are more than ${issue.maximum} of these; a ${what} has no room for so many.`
        : `This is too large for a ${what}.`;
    case 'unrecognized_keys':
      return `A ${what} file has no “${issue.keys[0] ?? ''}” here.`;
    case 'invalid_type':
      return `Here stands something else than ${issue.expected === 'string' ? 'text' : `a value of the type ${issue.expected}`}.`;
    default:
      return `What stands here is not what a ${what} file has in this place.`;
  }
}
