import { createHash } from 'node:crypto';
import {
  contentOf,
  changedThing,
  earlierForm,
  isSameContent,
  isSameValue,
  kindNamed,
  namedFields,
  THING_KINDS,
  type Change,
  type ChangeResult,
  type LineChange,
  type ThingChange,
} from '@sprell/contract';
import type { JsonRow } from '../../db/json-rows.ts';
import { thingToWire, type ThingRow } from '../../db/things.ts';
import {
  jobFieldsToWire,
  lineToWire,
  readingColumns,
  readingToWire,
  type ChangeRow,
  type JobRow,
  type LineRow,
} from '../jobs/index.ts';

export type KnownChange = JsonRow<ChangeRow>;
export type KnownLine = Omit<JsonRow<LineRow>, 'createdAt'>;
type ThingRows = Readonly<Record<string, readonly ThingRow[]>>;

/** What a batch is about, as it stands: lines and things of the job by the ids that the batch names. */
export interface Known {
  readonly job: JobRow;
  readonly changes: readonly KnownChange[];
  readonly lines: readonly KnownLine[];
  /** Those of the batch's numbers that a line of the job has. */
  readonly numbers: readonly number[];
  /** By the name of their kind. */
  readonly things: ThingRows;
  /** How many things there are of each kind to which some are to be added. */
  readonly counts: Readonly<Record<string, number>>;
}

/** What is to be kept of a batch. */
export interface Written {
  readonly job: JobRow;
  readonly lines: readonly KnownLine[];
  readonly things: ThingRows;
  readonly changes: readonly Omit<KnownChange, 'createdAt'>[];
}

/** A device that was away numbers its lines on from what it knew: more than that it does not write meanwhile. */
const MOST_AHEAD = 10_000;

type Refusal = Extract<ChangeResult, { status: 'refused' }>['code'];

/** The changes of a batch, done one after the other on what is known; nothing is stored before all of them are. */
export class Batch {
  readonly #accountId: string;
  readonly #changes: Map<string, Omit<KnownChange, 'createdAt'>>;
  readonly #lines: Map<string, KnownLine>;
  readonly #numbers: Set<number>;
  readonly #things: ReadonlyMap<string, Map<string, ThingRow>>;
  readonly #counts: Map<string, number>;
  readonly #touched = {
    lines: new Set<string>(),
    things: new Map(THING_KINDS.map((kind) => [kind, new Set<string>()])),
    changes: new Set<string>(),
  };
  #job: JobRow;

  constructor(accountId: string, known: Known) {
    const byId = <T extends { readonly id: string }>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));
    this.#accountId = accountId;
    this.#job = known.job;
    this.#changes = byId(known.changes);
    this.#lines = byId(known.lines);
    this.#numbers = new Set(known.numbers);
    this.#things = new Map(THING_KINDS.map((kind) => [kind, byId(known.things[kind] ?? [])]));
    this.#counts = new Map(Object.entries(known.counts));
  }

  get revision(): number {
    return this.#job.revision;
  }

  /** Undefined where nothing was changed. */
  written(): Written | undefined {
    if (this.#touched.changes.size === 0) return undefined;
    const of = <T>(rows: ReadonlyMap<string, T>, ids: ReadonlySet<string>) => [...ids].map((id) => rows.get(id) as T);
    return {
      job: this.#job,
      lines: of(this.#lines, this.#touched.lines),
      things: Object.fromEntries([...this.#touched.things].map(([kind, ids]) => [kind, of(this.#thingsOf(kind), ids)])),
      changes: of(this.#changes, this.#touched.changes),
    };
  }

  apply(change: Change): ChangeResult {
    const hash = payloadHash(change);
    const before = this.#changes.get(change.id);
    if (before !== undefined)
      return before.payloadHash === hash ? this.#asItStands(change.id, before) : refused(change, 'change.id_reused');
    const result = this.#applyNew(change);
    if (DONE.has(result.status)) this.#record(change, hash);
    return result;
  }

  #applyNew(change: Change): ChangeResult {
    if ('thingId' in change) return this.#applyToThing(change);
    if ('lineId' in change) return this.#applyToLine(change);
    if (change.kind === 'job.set') return this.#setFields(change);
    this.#next();
    // A job that is added was made with the batch, or stood already: either way it reads as it does.
    if (change.kind === 'job.reading') this.#job = { ...this.#job, ...readingColumns(change.reading) };
    return this.#jobResult(change.id, 'reads');
  }

  #setFields({ id, fields }: Extract<Change, { kind: 'job.set' }>): ChangeResult {
    const { deleted, ...rest } = namedFields(fields);
    if (deleted !== undefined && this.#job.ownerId !== this.#accountId)
      return { id, status: 'refused', code: 'job.not_yours' };
    this.#next();
    const deletedAt = deleted === undefined || deleted === (this.#job.deletedAt !== null) ? {} : deletion(deleted);
    this.#job = { ...this.#job, ...rest, ...deletedAt };
    return this.#jobResult(id, 'job');
  }

  #jobResult(id: string, status: 'reads' | 'job'): ChangeResult {
    return { id, status, reading: readingToWire(this.#job), job: jobFieldsToWire(this.#job) };
  }

  /** The answer to a change that was done before: what it was done to, as it is by now. */
  #asItStands(id: string, { kind, lineId, thingKind, thingId }: Omit<KnownChange, 'createdAt'>): ChangeResult {
    const thing = thingKind === null ? undefined : this.#thingsOf(thingKind).get(thingId ?? '');
    if (thingKind !== null && thing) return thingResult(id, thingKind, thing, false);
    const line = lineId === null ? undefined : this.#lines.get(lineId);
    if (line) return { id, status: 'applied', line: lineToWire(line) };
    return this.#jobResult(id, kind === 'job.set' ? 'job' : 'reads');
  }

  #thingsOf(kind: string): Map<string, ThingRow> {
    return this.#things.get(kind) ?? new Map<string, ThingRow>();
  }

  #next(): number {
    this.#job = { ...this.#job, revision: this.#job.revision + 1 };
    return this.#job.revision;
  }

  #record(change: Change, hash: string): void {
    this.#changes.set(change.id, {
      accountId: this.#accountId,
      id: change.id,
      jobId: this.#job.id,
      kind: change.kind,
      lineId: 'lineId' in change ? change.lineId : null,
      thingKind: 'thingId' in change ? change.of : null,
      thingId: 'thingId' in change ? change.thingId : null,
      payloadHash: hash,
      revision: this.#job.revision,
    });
    this.#touched.changes.add(change.id);
  }

  /** The revision that a change was made on; undefined when the change it follows was never applied. */
  #baseRevision(base: number | string): number | undefined {
    return typeof base === 'number' ? base : this.#changes.get(base)?.revision;
  }

  #applyToLine(change: LineChange): ChangeResult {
    if (change.kind === 'line.add' || change.kind === 'line.words') return this.#addLine(change);
    const line = this.#lines.get(change.lineId);
    if (!line) return refused(change, 'line.not_found');
    if (line.revision !== this.#baseRevision(change.base))
      return { id: change.id, status: 'conflict', line: lineToWire(line) };
    return this.#putLine(change, { ...line, ...lineValues(change) });
  }

  #addLine(change: Extract<Change, { kind: 'line.add' | 'line.words' }>): ChangeResult {
    const { position, source, label, note } = change;
    const before = this.#lines.get(change.lineId);
    if (before) {
      // After a job was put back from a backup, several devices may send one line again.
      const isSame = before.source === source && before.label === label && before.note === note && !before.deletedAt;
      return { id: change.id, status: isSame ? 'applied' : 'conflict', line: lineToWire(before) };
    }
    return this.#putLine(change, {
      id: change.lineId,
      jobId: this.#job.id,
      kind: change.kind === 'line.add' ? 'worked' : change.words,
      number: change.kind === 'line.add' ? this.#takeNumber(change.number) : null,
      position,
      source,
      label,
      note,
      revision: 0,
      deletedAt: null,
    });
  }

  /** Where another device took the number first, the later arrival is renumbered; so is one that is far ahead of all. */
  #takeNumber(wanted: number): number {
    const { nextNumber } = this.#job;
    const number = this.#numbers.has(wanted) || wanted > nextNumber + MOST_AHEAD ? nextNumber : wanted;
    this.#numbers.add(number);
    this.#job = { ...this.#job, nextNumber: Math.max(this.#job.nextNumber, number + 1) };
    return number;
  }

  #putLine({ id }: LineChange, line: KnownLine): ChangeResult {
    const put = { ...line, revision: this.#next() };
    this.#lines.set(line.id, put);
    this.#touched.lines.add(line.id);
    return { id, status: 'applied', line: lineToWire(put) };
  }

  #applyToThing(change: ThingChange): ChangeResult {
    const { of, thingId } = change;
    const row = this.#thingsOf(of).get(thingId);
    if (change.kind === 'thing.add') return this.#addThing(change, row);
    if (!row) return refused(change, 'thing.not_found');
    if (!this.#isBuiltOn(row, change)) return thingResult(change.id, of, row, true);
    return this.#putThing(change, row);
  }

  #addThing(change: Extract<ThingChange, { kind: 'thing.add' }>, before: ThingRow | undefined): ChangeResult {
    const { of, thingId: id, content } = change;
    if (before) {
      // After a job was put back from a backup, several devices may send one thing again.
      const isSame = isSameContent(contentOf(thingToWire(of, before)), content) && before.deletedAt === null;
      return thingResult(change.id, of, before, !isSame && kindNamed(of).together !== 'last');
    }
    const held = this.#counts.get(of) ?? 0;
    if (held >= kindNamed(of).most) return refused(change, 'thing.too_many');
    this.#counts.set(of, held + 1);
    return this.#putThing(change, { id, jobId: this.#job.id, ...content, revision: 0, deletedAt: null });
  }

  /** Nobody else has changed what a change is about since it was made. */
  #isBuiltOn(row: ThingRow, change: Exclude<ThingChange, { kind: 'thing.add' }>): boolean {
    const { together } = kindNamed(change.of);
    // Of two places the later is as good as the first.
    if (change.kind === 'thing.move' || together === 'last' || row.revision === this.#baseRevision(change.base))
      return true;
    if (change.kind !== 'thing.set' || together !== 'fields' || row.deletedAt !== null) return false;
    return Object.entries(change.fields).every(
      ([name, value]) => isSameValue(row[name], change.was[name]) || isSameValue(row[name], value),
    );
  }

  #putThing(change: ThingChange, row: ThingRow): ChangeResult {
    const { of, thingId } = change;
    const { deleted, ...thing } = changedThing({ ...row, deleted: row.deletedAt !== null }, change);
    const deletedAt = deleted ? (row.deletedAt ?? now()) : null;
    const put = { ...row, ...thing, deletedAt, revision: this.#next() };
    this.#thingsOf(of).set(thingId, put);
    this.#touched.things.get(of)?.add(thingId);
    return thingResult(change.id, of, put, false);
  }
}

/** What counts as done and is remembered; a conflict or a refusal may be sent again. */
const DONE: ReadonlySet<ChangeResult['status']> = new Set(['applied', 'reads', 'job', 'thing']);

const thingResult = (id: string, of: string, row: ThingRow, isConflict: boolean): ChangeResult => ({
  id,
  status: isConflict ? 'thing.conflict' : 'thing',
  of,
  thing: thingToWire(of, row),
});

const now = () => new Date().toISOString();
const deletion = (deleted: boolean) => ({ deletedAt: deleted ? new Date() : null });
const refused = ({ id }: Change, code: Refusal): ChangeResult => ({ id, status: 'refused', code });

function lineValues(change: Exclude<LineChange, { kind: 'line.add' | 'line.words' }>): Partial<KnownLine> {
  if (change.kind !== 'line.edit') return { deletedAt: change.kind === 'line.delete' ? now() : null };
  const { position, source, label, note } = change;
  return { position, source, label, note };
}

/**
 * The order of keys does not matter to what a change says. One that came in an earlier form is compared by that: it may have
 * been sent so, and be sent again in today's.
 */
function payloadHash(change: Change): string {
  const text = JSON.stringify(Object.entries(earlierForm(change) ?? change).sort(([a], [b]) => (a < b ? -1 : 1)));
  return createHash('sha256').update(text).digest('hex');
}
