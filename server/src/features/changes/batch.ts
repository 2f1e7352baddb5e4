import { createHash } from 'node:crypto';
import {
  asThingResult,
  THING_KINDS,
  thingStep,
  type Change,
  type ChangeResult,
  type LineChange,
  type ThingKind,
  type ThingStep,
  type ThingWires,
} from '@sprell/contract';
import type { JsonRow } from '../../db/json-rows.ts';
import {
  lineToWire,
  readingColumns,
  readingToWire,
  scaleToWire,
  setOutToWire,
  type ChangeRow,
  type JobRow,
  type LineRow,
  type ScaleRow,
  type SetOutRow,
} from '../jobs/jobs.repository.ts';

export type KnownChange = JsonRow<ChangeRow>;
export type KnownLine = Omit<JsonRow<LineRow>, 'createdAt'>;
/** A thing of each kind, as it stands. */
export interface KnownThings {
  readonly scale: Omit<JsonRow<ScaleRow>, 'createdAt'>;
  readonly setout: Omit<JsonRow<SetOutRow>, 'createdAt'>;
}
type KnownThing = KnownThings[ThingKind];
type ThingLists = { readonly [Kind in ThingKind]: readonly KnownThings[Kind][] };

const TO_WIRE: { readonly [Kind in ThingKind]: (row: KnownThings[Kind]) => ThingWires[Kind] } = {
  scale: scaleToWire,
  setout: setOutToWire,
};

/** What a batch is about, as it stands: lines and things of the job by the ids that the batch names. */
export interface Known {
  readonly job: JobRow;
  readonly changes: readonly KnownChange[];
  readonly lines: readonly KnownLine[];
  /** Those of the batch's numbers that a line of the job has. */
  readonly numbers: readonly number[];
  readonly things: ThingLists;
}

/** What is to be kept of a batch. */
export interface Written {
  readonly job: JobRow;
  readonly lines: readonly KnownLine[];
  readonly things: ThingLists;
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
  readonly #things: Readonly<Record<ThingKind, Map<string, KnownThing>>>;
  readonly #touched = {
    lines: new Set<string>(),
    things: { scale: new Set<string>(), setout: new Set<string>() },
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
    this.#things = { scale: byId<KnownThing>(known.things.scale), setout: byId<KnownThing>(known.things.setout) };
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
      things: Object.fromEntries(
        THING_KINDS.map((kind) => [kind, of(this.#things[kind], this.#touched.things[kind])]),
      ) as unknown as ThingLists,
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
    const step = thingStep(change);
    if (step) return this.#applyToThing(change, step);
    if ('lineId' in change) return this.#applyToLine(change);
    this.#next();
    // A job that is added was made with the batch, or stood already: either way it reads as it does.
    if (change.kind === 'job.reading') this.#job = { ...this.#job, ...readingColumns(change.reading) };
    return { id: change.id, status: 'reads', reading: readingToWire(this.#job) };
  }

  /** The answer to a change that was done before: what it was done to, as it is by now. */
  #asItStands(id: string, { lineId, scaleId, setOutId }: Omit<KnownChange, 'createdAt'>): ChangeResult {
    const named: Readonly<Record<ThingKind, string | null>> = { scale: scaleId, setout: setOutId };
    for (const kind of THING_KINDS) {
      const thing = this.#things[kind].get(named[kind] ?? '');
      if (thing) return thingResultOf(id, kind, thing, false);
    }
    const line = lineId === null ? undefined : this.#lines.get(lineId);
    if (line) return { id, status: 'applied', line: lineToWire(line) };
    return { id, status: 'reads', reading: readingToWire(this.#job) };
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
      scaleId: 'scaleId' in change ? change.scaleId : null,
      setOutId: 'setOutId' in change ? change.setOutId : null,
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

  #applyToThing(change: Change, { kind, id, step, base, content }: ThingStep): ChangeResult {
    const thing = this.#things[kind].get(id);
    if (step === 'add') {
      if (thing) {
        const said = Object.entries(content ?? {});
        const isSame = said.every(
          ([key, value]) => JSON.stringify(thing[key as keyof KnownThing]) === JSON.stringify(value),
        );
        return thingResultOf(change.id, kind, thing, !isSame || thing.deletedAt !== null);
      }
      const made = { id, jobId: this.#job.id, ...content, revision: 0, deletedAt: null } as KnownThing;
      return this.#putThing(change, kind, made);
    }
    if (!thing) return refused(change, `${kind}.not_found`);
    if (thing.revision !== this.#baseRevision(base as number | string))
      return thingResultOf(change.id, kind, thing, true);
    const said = step === 'edit' ? content : { deletedAt: step === 'delete' ? now() : null };
    return this.#putThing(change, kind, { ...thing, ...said } as KnownThing);
  }

  #putThing({ id }: Change, kind: ThingKind, thing: KnownThing): ChangeResult {
    const put = { ...thing, revision: this.#next() };
    this.#things[kind].set(thing.id, put);
    this.#touched.things[kind].add(thing.id);
    return thingResultOf(id, kind, put, false);
  }
}

/** What counts as done and is remembered; a conflict or a refusal may be sent again. */
const DONE: ReadonlySet<ChangeResult['status']> = new Set(['applied', 'reads', ...THING_KINDS]);

function thingResultOf(id: string, kind: ThingKind, thing: KnownThing, isConflict: boolean): ChangeResult {
  return asThingResult(id, { kind, thing: TO_WIRE[kind](thing as never) }, isConflict);
}

const now = () => new Date().toISOString();
const refused = ({ id }: Change, code: Refusal): ChangeResult => ({ id, status: 'refused', code });

function lineValues(change: Exclude<LineChange, { kind: 'line.add' | 'line.words' }>): Partial<KnownLine> {
  if (change.kind !== 'line.edit') return { deletedAt: change.kind === 'line.delete' ? now() : null };
  const { position, source, label, note } = change;
  return { position, source, label, note };
}

/** The order of keys does not matter to what a change says. */
function payloadHash(change: Change): string {
  const text = JSON.stringify(Object.entries(change).sort(([a], [b]) => (a < b ? -1 : 1)));
  return createHash('sha256').update(text).digest('hex');
}
