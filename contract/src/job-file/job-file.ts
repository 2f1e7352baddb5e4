/**
 * The job file: a whole job as JSON, to be kept, given to others and read by other programs. Its JSON Schema stands in
 * docs/job-file.schema.json, and the server gives it out.
 */
import { storedIds } from '@sprell/core';
import { z } from 'zod';
import type { JobWire } from '../endpoints/jobs.ts';
import { readFile, type FileProblem } from '../file-door.ts';
import { NEW_JOB } from '../job-fields.ts';
import { jigSetOf } from '../jig-file.ts';
import type { Content, Kind, Thing } from '../kinds/kind.ts';
import { eachText } from '../kinds/each-text.ts';
import { KINDS } from '../kinds/registry.ts';
import { kindNamed, listsOf } from '../kinds/thing.ts';
import { KIND_WIRES } from '../kinds/wires.ts';
import { positionsBetween } from '../position.ts';
import { jobFieldsWire } from '../wire/job-fields.ts';
import { labelWire, noteWire, sourceWire, type LineWire } from '../wire/line.ts';
import { readingWire } from '../wire/reading.ts';
import { JOB_FORMAT, type FileJob } from './job-file-text.ts';
import { withIds, type Sign } from './references.ts';

/** Characters of a job file: fifty thousand lines and things go in. */
export const JOB_FILE_LIMIT = 30_000_000;
/** Most lines and things together, as the server keeps them in one job. */
const MOST_HELD = 50_000;

const { title, tags, thousands, decimalComma, currency, bareNumbers, moneyRounded } = jobFieldsWire.shape;
/** Entries of a file name things by keys, which are shorter than ids or longer by a little. */
const entry = sourceWire;
const workedLine = z.strictObject({
  kind: z.literal('worked'),
  number: z.int().min(1).max(2_000_000_000),
  label: labelWire.nullable(),
  entry,
  note: noteWire,
  deleted: z.literal(true).optional(),
});
const words = { label: labelWire.nullable(), note: noteWire };
const fileLineWire = z.discriminatedUnion('kind', [
  workedLine,
  z.strictObject({ kind: z.literal('heading'), ...words }),
  z.strictObject({ kind: z.literal('note'), ...words }),
]);
const keyWire = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[\p{L}\p{N}_]+$/u);

/** What a thing of a kind says in a file: its fields, with keys in place of ids and no place, since the list has an order. */
function fileThingWire({ name, fields }: (typeof KIND_WIRES)[number]) {
  const { refers = [], isOrdered } = kindNamed(name);
  const named = z.union([keyWire, z.literal('')]);
  const said = Object.entries(fields).flatMap(([field, wire]) => {
    if (isOrdered === true && field === 'position') return [];
    const isMany = wire instanceof z.ZodArray;
    return [[field, refers.includes(field) ? (isMany ? z.array(named) : named.nullable()) : wire] as const];
  });
  return z.strictObject({ key: keyWire, ...Object.fromEntries(said) });
}

/** What a job file holds. A file of an earlier Sprell may lack lists of kinds that it did not know. */
export const jobFileWire = z.strictObject({
  sprell: z.literal('job'),
  format: z.int().min(1),
  ...{ title, tags, reading: readingWire, thousands, decimalComma, currency, bareNumbers, moneyRounded },
  slate: z.array(fileLineWire).max(MOST_HELD),
  ...Object.fromEntries(
    KIND_WIRES.map((kind) => [kind.list, z.array(fileThingWire(kind)).max(kindNamed(kind.name).most).optional()]),
  ),
});

export type JobFileRead =
  | { readonly ok: true; readonly value: JobWire; /** As it stands in the file. */ readonly file: FileJob }
  | { readonly ok: false; readonly problem: FileProblem };

/** Refused at a place of the file. */
class Refused extends Error {
  readonly problem: FileProblem;
  constructor(place: readonly PropertyKey[] | string, sentence: string) {
    super(sentence);
    this.problem = { place: typeof place === 'string' ? place : place.map(String).join('.'), sentence };
  }
}

/**
 * Reads a job file. Never throws, whatever the text.
 * @param newId gives an id of version 7, a later one each time
 * @returns the job as the server would send it, at revision 0 and with ids of its own: what is in it names only what is in it
 */
export function jobOfFile(text: string, newId: () => string): JobFileRead {
  const read = readFile(text, { what: 'job', limit: JOB_FILE_LIMIT, format: JOB_FORMAT, wire: jobFileWire });
  if (!read.ok) return read;
  try {
    return { ok: true, value: new FileReader(read.value, newId).job(), file: read.value as FileJob };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, problem: error.problem };
    throw error;
  }
}

type Parsed = z.output<typeof jobFileWire>;

type FileThing = Readonly<Record<string, unknown>> & { readonly key: string };

class FileReader {
  readonly #file: Parsed;
  readonly #newId: () => string;
  readonly #lineIds = new Map<string, string>();
  /** By the list and the key. */
  readonly #thingIds = new Map<string, string>();

  constructor(file: Parsed, newId: () => string) {
    this.#file = file;
    this.#newId = newId;
  }

  job(): JobWire {
    this.#name();
    const things = Object.fromEntries(KINDS.map((kind) => [kind.name, this.#things(kind)]));
    const lines = this.#lines();
    refuseCircle(lines);
    const { title, tags, reading, thousands, decimalComma, currency, bareNumbers, moneyRounded } = this.#file;
    return {
      ...NEW_JOB,
      ...{ title, tags, reading, thousands, decimalComma, currency, bareNumbers, moneyRounded },
      ...{
        id: this.#newId(),
        revision: 0,
        history: this.#newId(),
        restoredFrom: null,
        restoredRevision: 0,
        role: 'own',
      },
      nextNumber: lines.reduce((most, { number }) => Math.max(most, number ?? 0), 0) + 1,
      lines: [...lines],
      ...listsOf(things),
    };
  }

  #list({ list }: Kind): readonly FileThing[] {
    return ((this.#file as Readonly<Record<string, unknown>>)[list] ?? []) as readonly FileThing[];
  }

  /** Gives everything an id, in the order of the file. */
  #name(): void {
    let held = this.#file.slate.length;
    for (const kind of KINDS)
      for (const [at, { key }] of this.#list(kind).entries()) {
        const name = `${kind.list}.${key}`;
        if (this.#thingIds.has(name))
          throw new Refused([kind.list, at, 'key'], `There are two of the key “${key}” here.`);
        this.#thingIds.set(name, this.#newId());
        held += 1;
      }
    if (held > MOST_HELD) throw new Refused('', `No more than ${MOST_HELD} lines and things are kept in one job.`);
    for (const [at, line] of this.#file.slate.entries()) {
      if (line.kind !== 'worked') continue;
      const number = `${line.number}`;
      if (this.#lineIds.has(number))
        throw new Refused(['slate', at, 'number'], `There are two lines of the number ${number}.`);
      this.#lineIds.set(number, this.#newId());
    }
  }

  /** An entry as it is stored. */
  #stored(text: string, place: readonly PropertyKey[]): string {
    const stored = withIds(text, (key, sign) => {
      if (key === '') return this.#newId();
      const id = this.#idOf(key, sign);
      if (id === undefined) throw new Refused(place, `“${sign}{${key}}” names something that is not in the file.`);
      return id;
    });
    if (sourceWire.safeParse(stored).success) return stored;
    throw new Refused(place, 'This is too large for a job.');
  }
  #idOf(key: string, sign: Sign): string | undefined {
    if (sign === '#') return this.#lineIds.get(key);
    return this.#thingIds.get(key.includes('.') ? key : `${sign === '@' ? 'marks' : 'jigs'}.${key}`);
  }

  #lines(): readonly LineWire[] {
    const { slate } = this.#file;
    const positions = positionsBetween(undefined, undefined, slate.length);
    return slate.map((line, at): LineWire => {
      const isWorked = line.kind === 'worked';
      return {
        id: (isWorked ? this.#lineIds.get(`${line.number}`) : undefined) ?? this.#newId(),
        kind: line.kind,
        number: isWorked ? line.number : null,
        position: positions[at] as string,
        source: isWorked ? this.#stored(line.entry, ['slate', at, 'entry']) : '',
        ...{ label: line.label, note: line.note, revision: 0 },
        deleted: isWorked && line.deleted === true,
      };
    });
  }

  #things(kind: Kind): readonly Thing[] {
    const { list, isOrdered, entries, refers = [] } = kind;
    const things = this.#list(kind);
    const positions = isOrdered === true ? positionsBetween(undefined, undefined, things.length) : [];
    const wire = KIND_WIRES.find(({ name }) => name === kind.name);
    return things.map(({ key, ...said }, at) => {
      const place = (field: string) => [list, at, field];
      const content: Record<string, unknown> = { ...said };
      for (const field of entries) content[field] = eachText(said[field], (text) => this.#stored(text, place(field)));
      for (const field of refers)
        content[field] = eachText(said[field], (name) => this.#referred(field, name, place(field)));
      if (isOrdered === true) content['position'] = positions[at];
      const fits = wire?.said.safeParse(content);
      if (fits?.success !== true)
        throw new Refused([list, at, ...(fits?.error.issues[0]?.path ?? [])], this.#whyNot(kind, content));
      const id = this.#thingIds.get(`${list}.${key}`) as string;
      return { ...(fits.data as Content), id, revision: 0, deleted: false };
    });
  }

  #referred(field: string, key: string, place: readonly PropertyKey[]): string {
    if (key === '') return this.#newId();
    const list = KINDS.find(({ name, list }) => field === name || field === list)?.list ?? '';
    const id = this.#thingIds.get(`${list}.${key}`);
    if (id === undefined) throw new Refused(place, `There is no “${key}” among the ${list} of the file.`);
    return id;
  }

  #whyNot({ name }: Kind, { file }: Content): string {
    if (name !== 'jig' || typeof file !== 'string') return 'What stands here is not what a job file has in this place.';
    const read = jigSetOf(file);
    if (read.ok) return 'The jig file that stands here is of another jig or of another version.';
    return `The jig file that stands here cannot be read, at ${read.problem.place}: ${read.problem.sentence}`;
  }
}

const NAMED = 6;
const listed = (names: readonly string[]): string =>
  names.length <= NAMED ? names.join(', ') : `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more`;

/** Lines that use each other in a circle come to nothing: no job is made with them. */
function refuseCircle(lines: readonly LineWire[]): void {
  const byId = new Map(lines.map((line) => [line.id, line]));
  const done = new Set<string>();
  for (const first of lines) {
    const path: { readonly id: string; readonly uses: string[] }[] = [];
    const on = new Set<string>();
    const enter = (id: string) => {
      path.push({ id, uses: [...storedIds(byId.get(id)?.source ?? '')] });
      on.add(id);
    };
    if (!done.has(first.id)) enter(first.id);
    for (let at = path.at(-1); at !== undefined; at = path.at(-1)) {
      const next = at.uses.pop();
      if (next === undefined) {
        path.pop();
        on.delete(at.id);
        done.add(at.id);
      } else if (on.has(next)) {
        const numbers = path.slice(path.findIndex(({ id }) => id === next)).map(({ id }) => `#${byId.get(id)?.number}`);
        const place = lines.findIndex(({ id }) => id === at.id);
        throw new Refused(
          ['slate', place, 'entry'],
          numbers.length === 1
            ? `Line ${numbers[0]} uses itself.`
            : `Lines ${listed(numbers)} use each other in a circle.`,
        );
      } else if (!done.has(next) && byId.has(next)) enter(next);
    }
  }
}
