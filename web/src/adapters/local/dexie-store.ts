import {
  batchSize,
  thingsBy,
  thingsOf,
  todaysForm,
  type Change,
  type ChangeResult,
  type JobWire,
  type KeptThing,
  type LineWire,
  type Thing,
} from '@sprell/contract';
import Dexie, { type EntityTable, type Table } from 'dexie';
import { JobPart } from './job-part.ts';
import { isOfAnotherHistory, isOtherHistory, NOTHING_SETTLED, rejoined } from './rejoined.ts';
import type {
  Batch,
  JobCounts,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Own,
  Settlement,
  Written,
} from './local-store.ts';
import {
  adopted,
  adoptedHead,
  answered,
  cameAlong,
  countedBy,
  changeSubject,
  makes,
  NOTHING,
  ownStill,
  readUpTo,
  refusalOf,
  refusalsOf,
  spokenOf,
  asHead,
} from './settled.ts';

/** A change on its way. `version` is of the shape it was written in, so that a later Sprell can still send it. */
interface OutboxRow {
  readonly place: number;
  readonly jobId: string;
  readonly subject: string;
  readonly version: number;
  readonly change: Change;
  /** It came along with another. */
  readonly along?: 1;
}
/** What is kept here beside what the server holds. */
interface Ours {
  readonly jobId: string;
  readonly own?: Own | undefined;
}
type LineRow = LineWire & Ours & { readonly loose?: 1 };
/** A thing of any kind, whole: what it says may have fields of any name. */
interface ThingRow extends Ours {
  readonly id: string;
  readonly revision: number;
  /** The name of its kind. */
  readonly of: string;
  readonly thing: Thing;
}
const thingRow = ({ kind: of, thing }: KeptThing, ours: Ours): ThingRow => {
  const { id, revision } = thing;
  return { id, revision, of, thing, ...ours };
};
/** All of them, kind by kind, as rows of a job. */
const thingRows = (job: JobWire): readonly ThingRow[] =>
  Object.entries(thingsOf(job)).flatMap(([kind, things]) =>
    things.map((thing) => thingRow({ kind, thing }, { jobId: job.id })),
  );

/**
 * The lines of a long job in one text: reading twenty thousand single rows takes more than half a second, and this in a
 * tenth of it. Rows that were written after it are marked as loose; where a row went, there is no pack until the next opening.
 */
interface Pack {
  readonly jobId: string;
  /** `LineRow`s as JSON. */
  readonly text: string;
}
/** Lines from which on a job has a pack, and loose ones at which it is made again. */
const PACKED_FROM = 2000;
const MOST_LOOSE = 500;

/** Subjects up to which the outbox is asked for each. */
const SOUGHT = 40;
/** The shape in which changes are written down now: one form for things of every kind. */
const CHANGE_VERSION = 2;

/** A change as it is put in the outbox, which gives it its place. */
const outboxRow = (jobId: string, change: Change): OutboxRow =>
  ({
    jobId,
    subject: changeSubject(change),
    version: CHANGE_VERSION,
    change,
    ...(cameAlong(change) ? { along: 1 } : {}),
  }) as OutboxRow;

class Tables extends Dexie {
  declare readonly jobs: EntityTable<JobHead, 'id'>;
  declare readonly lines: EntityTable<LineRow, 'id'>;
  declare readonly things: EntityTable<ThingRow, 'id'>;
  declare readonly packs: EntityTable<Pack, 'jobId'>;
  declare readonly outbox: EntityTable<OutboxRow, 'place'>;
  declare readonly versions: EntityTable<KeptConflict, 'id'>;
  declare readonly refusals: EntityTable<KeptRefusal, 'id'>;
  declare readonly notes: Table<{ readonly key: string; readonly value: unknown }, string>;

  constructor(name: string) {
    // Written through to the disk before it counts as written: a power cut takes nothing.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      jobs: 'id',
      lines: 'id, jobId',
      scales: 'id, jobId',
      outbox: '++place, jobId, [jobId+subject]',
      conflicts: 'lineId, jobId',
      notes: 'key',
    });
    this.version(2).stores({ setOuts: 'id, jobId' });
    this.version(3).stores({ refusals: 'id, jobId' });
    // A line may have several versions that wait; each was one of a line before.
    this.version(4)
      .stores({ versions: 'id, jobId, lineId' })
      .upgrade(async (tables) => {
        interface Before {
          readonly jobId: string;
          readonly mine?: LineWire;
          readonly theirs: LineWire;
        }
        const kept = await tables.table<Before>('conflicts').toArray();
        const versions = kept.map(({ jobId, mine, theirs }): KeptConflict => {
          return { id: theirs.id, jobId, lineId: theirs.id, mine: mine ?? { ...theirs, deleted: true }, changes: [] };
        });
        await tables.table('versions').bulkAdd(versions);
      });
    this.version(5).stores({ conflicts: null });
    // Things of every kind in one table, and changes of them in one form.
    this.version(6)
      .stores({ things: 'id, jobId' })
      .upgrade(async (tables) => {
        for (const [table, of] of [
          ['scales', 'scale'],
          ['setOuts', 'setout'],
        ] as const) {
          const rows = await tables.table<Thing & Ours>(table).toArray();
          const kept = rows.map(({ jobId, own, ...thing }) => thingRow({ kind: of, thing }, { jobId, own }));
          await tables.table<ThingRow>('things').bulkAdd(kept);
        }
        for (const table of ['outbox', 'refusals'])
          await tables
            .table<{ change: Change; version?: number }>(table)
            .toCollection()
            .modify((row) => {
              row.change = todaysForm(row.change);
              if (row.version !== undefined) row.version = CHANGE_VERSION;
            });
      });
    this.version(7).stores({ scales: null, setOuts: null, lines: 'id, jobId, [jobId+loose]', packs: 'jobId' });
    this.version(8).stores({ outbox: '++place, jobId, [jobId+subject], along' });
  }

  /** Tables of what stands in jobs. */
  get held(): readonly Table<LineRow | ThingRow>[] {
    return [this.lines, this.things] as unknown as Table<LineRow | ThingRow>[];
  }
}

/** The jobs in the browser's own database. */
export class DexieStore implements LocalStore {
  readonly lasts = true;
  readonly #tables: Tables;

  constructor(name = 'sprell') {
    this.#tables = new Tables(name);
  }

  /** Opens the database. @throws where the browser has none, or forbids it */
  async ready(): Promise<this> {
    await this.#tables.open();
    return this;
  }

  async heads(): Promise<readonly JobHead[]> {
    return (await this.#tables.jobs.toArray()).map(asHead);
  }

  async count(counts: readonly (JobCounts & { readonly id: string })[]): Promise<void> {
    const { jobs } = this.#tables;
    await this.#tables.transaction('rw', [jobs], async () => {
      for (const { id, ...counted } of counts) await jobs.update(id, counted);
    });
  }

  open(jobId: string, only?: readonly string[]): Promise<LocalJob | undefined> {
    const { jobs, lines, things, packs, outbox, versions, refusals } = this.#tables;
    // A pack may be made on the way.
    return this.#tables.transaction(
      only ? 'r' : 'rw',
      [jobs, lines, things, packs, outbox, versions, refusals],
      async () => {
        const head = await jobs.get(jobId);
        if (head === undefined) return undefined;
        const [lineRows, heldThings, waiting, conflicts, refused] = await Promise.all([
          only ? this.#rows(lines, jobId, only) : this.#allLines(jobId),
          this.#rows(things, jobId, only),
          this.#waiting(jobId, only),
          versions.where({ jobId }).toArray(),
          refusals.where({ jobId }).toArray(),
        ]);
        const rows: readonly (LineRow | ThingRow)[] = [...lineRows, ...heldThings];
        return {
          head: asHead(head),
          lines: lineRows.map(withoutOwn),
          things: thingsBy((kind) => heldThings.flatMap(({ of, thing }) => (of === kind ? [thing] : []))),
          waiting: waiting.map(({ change }) => change),
          conflicts,
          refusals: refused,
          own: new Map(rows.flatMap(({ id, own }) => (own === undefined ? [] : [[id, own] as const]))),
        };
      },
    );
  }

  async #allLines(jobId: string): Promise<readonly LineRow[]> {
    const { lines, packs } = this.#tables;
    const [pack, loose] = await Promise.all([packs.get(jobId), lines.where({ jobId, loose: 1 }).toArray()]);
    const later = new Set(loose.map(({ id }) => id));
    const packed = pack && (JSON.parse(pack.text) as LineRow[]).filter(({ id }) => !later.has(id));
    const rows = packed ? [...packed, ...loose] : await lines.where({ jobId }).toArray();
    if (rows.length < PACKED_FROM || (packed && loose.length <= MOST_LOOSE)) return rows;
    const tied = rows.map(({ loose: _, ...row }) => row);
    await packs.put({ jobId, text: JSON.stringify(tied) });
    await lines.bulkPut(tied.filter(({ id }) => later.has(id)));
    return rows;
  }

  /** What is written from now on is kept apart from what is in a pack. */
  async #looseNow(jobId: string): Promise<{ readonly loose?: 1 }> {
    return (await this.#tables.packs.where({ jobId }).count()) > 0 ? { loose: 1 } : {};
  }

  async #rows<Row extends LineRow | ThingRow>(
    table: EntityTable<Row, 'id'>,
    jobId: string,
    only: readonly string[] | undefined,
  ): Promise<Row[]> {
    if (only === undefined) return table.where({ jobId }).toArray();
    return (await table.bulkGet([...only] as never)).flatMap((row) => (row?.jobId === jobId ? [row] : []));
  }

  async #waiting(jobId: string, only: readonly string[] | undefined): Promise<OutboxRow[]> {
    const { outbox } = this.#tables;
    if (only === undefined) return outbox.where({ jobId }).sortBy('place');
    // Each subject is sought by itself; of many all of them are read.
    if (only.length > SOUGHT) {
      const asked = new Set(only);
      return (await outbox.where({ jobId }).sortBy('place')).filter(({ subject }) => asked.has(subject));
    }
    return outbox
      .where('[jobId+subject]')
      .anyOf(only.map((subject) => [jobId, subject]))
      .sortBy('place');
  }

  write(jobId: string, ...whats: readonly LocalWrite[]): Promise<readonly Written[]> {
    return this.#transaction(async () => {
      const part = await this.#partOf(jobId, whats.flatMap(spokenOf));
      const written = part.write(whats);
      await this.#keep(jobId, part);
      return written;
    });
  }

  #transaction<T>(work: () => Promise<T>): Promise<T> {
    const { jobs, lines, things, packs, outbox, versions, refusals } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, things, packs, outbox, versions, refusals], work);
  }

  async #partOf(jobId: string, ids: readonly string[]): Promise<JobPart> {
    const here = await this.open(jobId, ids);
    return new JobPart(jobId, here?.head, here ?? NOTHING);
  }

  async #keep(jobId: string, { touched }: JobPart): Promise<void> {
    const { jobs, lines, packs, outbox, versions } = this.#tables;
    const { head, things, removed, own, added, absorbed, conflicts } = touched;
    const ours = (id: string): Ours => ({ jobId, own: own.get(id) });
    if (absorbed.size > 0)
      await outbox
        .where({ jobId })
        .and(({ change }) => absorbed.has(change.id))
        .delete();
    const waits = added.filter(({ id }) => !absorbed.has(id));
    await outbox.bulkAdd(waits.map((change) => outboxRow(jobId, change)));
    if (head) await jobs.put(head);
    for (const table of this.#tables.held) await table.bulkDelete([...removed]);
    if (removed.length > 0) await packs.delete(jobId);
    const loose = await this.#looseNow(jobId);
    await lines.bulkPut(touched.lines.map((line) => ({ ...line, ...ours(line.id), ...loose })));
    await this.#tables.things.bulkPut(things.map((kept) => thingRow(kept, ours(kept.thing.id))));
    await versions.bulkPut([...conflicts.values()].flatMap((one) => one ?? []));
    await versions.bulkDelete([...conflicts].flatMap(([id, one]) => (one ? [] : [id])));
  }

  /**
   * Ids are each job's own on the server, and one table's here. What comes under the id of another job's row was given that
   * by hand, and does not take its place.
   */
  async #notOfAnother<Row extends LineRow | ThingRow>(
    table: EntityTable<Row, 'id'>,
    jobId: string,
    received: readonly Row[],
  ): Promise<readonly Row[]> {
    const here = await table.bulkGet(received.map(({ id }) => id) as never);
    return received.filter((_, n) => (here[n]?.jobId ?? jobId) === jobId);
  }

  async #subjects(jobId: string): Promise<ReadonlySet<string>> {
    return new Set((await this.#tables.outbox.where({ jobId }).toArray()).map(({ subject }) => subject));
  }

  adopt(job: JobWire, extent: 'all' | 'changes', asked?: JobHead): Promise<boolean> {
    const { jobs, lines, things, packs, outbox, versions, refusals } = this.#tables;
    const jobId = job.id;
    return this.#tables.transaction('rw', [jobs, lines, things, packs, outbox, versions, refusals], async () => {
      const head = await jobs.get(jobId);
      if (extent === 'changes' && asked && asked.history !== job.history) return false;
      if (head && isOtherHistory(head, job, asked)) {
        if (extent === 'all') await this.#rejoin(jobId, job);
        return extent === 'all';
      }
      const waiting = await this.#subjects(jobId);
      if (extent === 'all') await packs.delete(jobId);
      const loose = await this.#looseNow(jobId);
      const ours: (LineRow | ThingRow)[] = [];
      // What comes as changes is added to what is here; only a whole job can say what has gone.
      const adopt = async <Row extends LineRow | ThingRow>(table: EntityTable<Row, 'id'>, all: readonly Row[]) => {
        const received = await this.#notOfAnother(table, jobId, all);
        const here = await this.#rows(table, jobId, extent === 'all' ? undefined : received.map(({ id }) => id));
        ours.push(...here);
        const rows = ownStill(here, adopted(here, received, waiting, { extent, revision: job.revision }));
        if (extent === 'all') await table.where({ jobId }).delete();
        await table.bulkPut([...rows]);
      };
      await adopt(
        lines,
        job.lines.map((line) => ({ ...line, jobId, ...loose })),
      );
      await adopt(things, thingRows(job));
      const upTo = readUpTo(job, ours, waiting, { head, asked: extent === 'changes' ? asked : undefined });
      await jobs.put(adoptedHead(head, job, waiting, upTo));
      return true;
    });
  }

  sendAgain(jobId: string): Promise<void> {
    const { jobs, lines, things, packs, outbox, versions, refusals } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, things, packs, outbox, versions, refusals], () =>
      this.#rejoin(jobId, undefined),
    );
  }

  async #rejoin(jobId: string, received: JobWire | undefined): Promise<void> {
    const { jobs, lines, things, packs, outbox, versions, refusals } = this.#tables;
    const ours = await this.open(jobId);
    if (ours === undefined) return;
    const { head, lines: all, things: held, waiting, conflicts, refusals: refused, own } = rejoined(ours, received);
    await jobs.put(head);
    await packs.delete(jobId);
    await lines.where({ jobId }).delete();
    await lines.bulkPut(all.map((line) => ({ ...line, jobId, own: own.get(line.id) })));
    await things.where({ jobId }).delete();
    for (const [kind, list] of Object.entries(held))
      await things.bulkPut(list.map((thing) => thingRow({ kind, thing }, { jobId, own: own.get(thing.id) })));
    await outbox.where({ jobId }).delete();
    for (const change of waiting) await outbox.add(outboxRow(jobId, change));
    await versions.bulkPut(conflicts);
    await refusals.bulkPut(refused);
  }

  refuse(jobId: string, code: KeptRefusal['code']): Promise<void> {
    const { jobs, lines, things, packs, outbox, refusals } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, things, packs, outbox, refusals], async () => {
      await packs.delete(jobId);
      const waiting = await this.#waiting(jobId, undefined);
      // What the server never had goes; what it has is read again, all of it.
      for (const table of this.#tables.held)
        await table
          .where({ jobId })
          .and(({ revision }) => revision === 0)
          .delete();
      await jobs.update(jobId, { revision: 0 });
      await refusals.bulkPut(waiting.map(({ change }) => refusalOf(jobId, change, code)));
      await outbox.where({ jobId }).delete();
    });
  }

  async batch(held: ReadonlySet<string>): Promise<Batch | undefined> {
    const { outbox } = this.#tables;
    const first = await outbox
      .orderBy('place')
      .and(({ jobId }) => !held.has(jobId))
      .first();
    if (first === undefined) return undefined;
    const { jobId } = first;
    const waiting = await outbox.where({ jobId }).sortBy('place');
    const rows = waiting.slice(0, batchSize(waiting.map(({ change }) => change)));
    return {
      jobId,
      places: rows.map(({ place }) => place),
      changes: rows.map(({ change }) => change),
      history: (await this.#tables.jobs.get(jobId))?.history,
    };
  }

  settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    const { jobId, places, changes: sent } = batch;
    const { jobs, outbox, refusals } = this.#tables;
    return this.#transaction(async () => {
      if (isOfAnotherHistory(batch, await jobs.get(jobId))) return NOTHING_SETTLED;
      await outbox.bulkDelete([...places]);
      await refusals.bulkPut(refusalsOf(jobId, sent, results));
      const part = await this.#partOf(jobId, answered(sent, results));
      const made = part.settle(sent, results);
      await this.#keep(jobId, part);
      return made;
    });
  }

  async waitingByJob(): Promise<ReadonlyMap<string, number>> {
    const waiting = await this.#tables.outbox.toArray();
    return countedBy(waiting.filter(({ change }) => !cameAlong(change)).map(({ jobId }) => jobId));
  }

  async countWaiting(): Promise<number> {
    const { outbox } = this.#tables;
    return (await outbox.count()) - (await outbox.where({ along: 1 }).count());
  }

  async keepConflict(conflict: KeptConflict): Promise<void> {
    await this.#tables.versions.put(conflict);
  }

  async dropConflict({ id }: KeptConflict): Promise<void> {
    await this.#tables.versions.delete(id);
  }

  dropRefusal({ id, jobId, change }: KeptRefusal): Promise<void> {
    const { lines, things, packs, refusals } = this.#tables;
    return this.#tables.transaction('rw', [lines, things, packs, refusals], async () => {
      await refusals.delete(id);
      if (makes(change)) await packs.delete(jobId);
      if (makes(change)) for (const table of this.#tables.held) await table.delete(changeSubject(change));
    });
  }

  forget(jobId: string): Promise<void> {
    const { jobs, lines, things, packs, outbox } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, things, packs, outbox], async () => {
      if ((await outbox.where({ jobId }).count()) > 0) return;
      await jobs.delete(jobId);
      await packs.delete(jobId);
      for (const table of this.#tables.held) await table.where({ jobId }).delete();
    });
  }

  async note(key: string): Promise<unknown> {
    return (await this.#tables.notes.get(key))?.value;
  }

  async setNote(key: string, value: unknown): Promise<void> {
    if (value === undefined) await this.#tables.notes.delete(key);
    else await this.#tables.notes.put({ key, value });
  }

  clear(): Promise<void> {
    return this.#tables.transaction('rw', this.#tables.tables, async () => {
      for (const table of this.#tables.tables) await table.clear();
    });
  }
}

/** A line without what is this device's own of it. */
function withoutOwn({ jobId: _, own: _own, loose: _loose, ...line }: LineRow): LineWire {
  return line;
}
