/** Writing a job file takes no validator: pages do it before they have one. */
import type { LineWire } from '../wire/line.ts';
import type { JobFields } from '../wire/job-fields.ts';
import type { ReadingWire } from '../wire/reading.ts';
import type { Content, Kind, Thing } from '../kinds/kind.ts';
import { eachText } from '../kinds/each-text.ts';
import { KINDS } from '../kinds/registry.ts';
import { contentOf, type Things } from '../kinds/thing.ts';
import type { ThingLists } from '../kinds/wires.ts';
import { storedIds } from '@sprell/core';
import { Keys } from './keys.ts';
import { withKeys } from './references.ts';

/** The format that this version writes, and the latest that it reads. */
export const JOB_FORMAT = 1;

/** What a job says of itself, as far as it goes along in a file: not who sees it, and where it stands in a list. */
export type FileFields = Omit<JobFields, 'archived' | 'deleted' | 'holds'>;

/** A job, as far as it goes into a file. */
export interface JobInside {
  readonly fields: FileFields;
  readonly reading: ReadingWire;
  readonly lines: readonly LineWire[];
  readonly things: Things;
}

/** A line of the slate as a file has it. */
export interface FileLine {
  readonly kind: LineWire['kind'];
  /** Of a line that is worked out. */
  readonly number?: number;
  readonly label: string | null;
  readonly entry?: string;
  readonly note: string;
  /** It is gone, and entries name it still. */
  readonly deleted?: true;
}
/** A thing as a file has it: what it says, under a key of its own. */
export type FileThing = Content & { readonly key: string };

/** A job file as JSON. */
export type FileJob = FileFields & {
  readonly sprell: 'job';
  readonly format: number;
  readonly reading: ReadingWire;
  readonly slate: readonly FileLine[];
} & { readonly [List in keyof ThingLists]?: readonly FileThing[] };

/** A job as what stands in its file. */
export function fileJobOf({ fields, reading, lines, things }: JobInside): FileJob {
  const standing = lines.filter(({ deleted }) => !deleted);
  const used = new Set([...standing.map(({ source }) => source), ...entriesOf(things)].flatMap(storedIds));
  const kept = lines
    .filter(({ id, deleted }) => !deleted || used.has(id))
    .sort((a, b) => (a.position < b.position ? -1 : Number(a.position > b.position)) || (a.id < b.id ? -1 : 1));
  const keys = new Keys(kept, things);
  const named = (stored: string) => withKeys(stored, (id, sign) => keys.inEntry(id, sign));
  const slate = kept.map((line) => fileLine(line, named));
  const { title, tags, thousands, decimalComma, currency, bareNumbers, moneyRounded } = fields;
  const { length, finest, metricStep, rounding, fractions } = reading;
  return {
    ...{ sprell: 'job', format: JOB_FORMAT, title, tags },
    reading: { length, finest, metricStep, rounding, fractions },
    ...{ thousands, decimalComma, currency, bareNumbers, moneyRounded, slate },
    ...Object.fromEntries(
      KINDS.map((kind) => [
        kind.list,
        (keys.things.get(kind.name) ?? []).map(({ key, thing }) => ({ key, ...said(kind, thing, keys, named) })),
      ]),
    ),
  } as FileJob;
}

/** A job as a file. The same job gives the same bytes, and so does a job that was made of the file. */
export const jobFileOf = (job: JobInside): string => `${JSON.stringify(fileJobOf(job), null, 1)}\n`;

/** Every entry of the things of a job. */
const entriesOf = (things: Things): readonly string[] =>
  KINDS.flatMap(({ name, entries }) =>
    (things[name] ?? [])
      .filter(({ deleted }) => !deleted)
      .flatMap((thing) => entries.flatMap((field) => texts(thing[field]))),
  );
const texts = (value: unknown): readonly string[] =>
  typeof value === 'string' ? [value] : Array.isArray(value) ? value.flatMap(texts) : [];

function fileLine({ kind, number, label, source, note, deleted }: LineWire, named: (text: string) => string): FileLine {
  return {
    kind,
    ...(number === null ? { label } : { number, label, entry: named(source) }),
    note,
    ...(deleted ? { deleted: true } : {}),
  };
}

/** In front of the other fields, which follow by their names. */
const FIRST = ['name', 'title', 'called'];

function said({ entries, refers = [] }: Kind, thing: Thing, keys: Keys, named: (text: string) => string): Content {
  const { position: _position, ...content } = contentOf(thing);
  const names = Object.keys(content).sort((a, b) => place(a) - place(b) || (a < b ? -1 : 1));
  return Object.fromEntries(
    names.map((name) => {
      if (entries.includes(name)) return [name, eachText(content[name], named)];
      return [name, refers.includes(name) ? eachText(content[name], (id) => keys.ofThing(id) ?? '') : content[name]];
    }),
  );
}
const place = (name: string) => (FIRST.includes(name) ? FIRST.indexOf(name) : FIRST.length);
