import {
  THING_KINDS,
  thingResult,
  type Change,
  type ChangeResult,
  type JobWire,
  type LineWire,
  type ScaleWire,
  type SetOutWire,
  type ThingKind,
  type ThingWire,
} from '@sprell/contract';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type {
  Batch,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Things,
} from './local-store.ts';
import { adopted, adoptedHead, changeSubject, makes, refusalsOf, resultSubject, settled, thingsOf } from './settled.ts';

/** A change on its way. `version` is of the shape it was written in, so that a later Sprell can still send it. */
interface OutboxRow {
  readonly place: number;
  readonly jobId: string;
  readonly subject: string;
  readonly version: number;
  readonly change: Change;
}
type LineRow = LineWire & { readonly jobId: string };
type ScaleRow = ScaleWire & { readonly jobId: string };
type SetOutRow = SetOutWire & { readonly jobId: string };
type ThingRow = ThingWire & { readonly jobId: string };

/** The shape in which changes are written down now. */
const CHANGE_VERSION = 1;

class Tables extends Dexie {
  declare readonly jobs: EntityTable<JobHead, 'id'>;
  declare readonly lines: EntityTable<LineRow, 'id'>;
  declare readonly scales: EntityTable<ScaleRow, 'id'>;
  declare readonly setOuts: EntityTable<SetOutRow, 'id'>;
  declare readonly outbox: EntityTable<OutboxRow, 'place'>;
  declare readonly conflicts: EntityTable<KeptConflict, 'lineId'>;
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
  }

  /** The things of a kind. */
  things(kind: ThingKind): EntityTable<ThingRow, 'id'> {
    const tables = { scale: this.scales, setout: this.setOuts };
    return tables[kind] as unknown as EntityTable<ThingRow, 'id'>;
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

  heads(): Promise<readonly JobHead[]> {
    return this.#tables.jobs.toArray();
  }

  open(jobId: string): Promise<LocalJob | undefined> {
    const { jobs, lines, scales, setOuts, outbox, conflicts, refusals } = this.#tables;
    return this.#tables.transaction('r', [jobs, lines, scales, setOuts, outbox, conflicts, refusals], async () => {
      const head = await jobs.get(jobId);
      if (head === undefined) return undefined;
      const [lineRows, things, waiting, kept, refused] = await Promise.all([
        lines.where({ jobId }).toArray(),
        this.#thingsOf(jobId),
        outbox.where({ jobId }).sortBy('place'),
        conflicts.where({ jobId }).toArray(),
        refusals.where({ jobId }).toArray(),
      ]);
      return {
        head,
        lines: lineRows.map(withoutJob),
        things,
        waiting: waiting.map(({ change }) => change),
        conflicts: kept,
        refusals: refused,
      };
    });
  }

  async #thingsOf(jobId: string): Promise<Things> {
    const lists = THING_KINDS.map(async (kind) => {
      const rows = await this.#tables.things(kind).where({ jobId }).toArray();
      return [kind, rows.map(withoutJob)] as const;
    });
    return Object.fromEntries(await Promise.all(lists)) as unknown as Things;
  }

  write(jobId: string, { change, head, line, thing }: LocalWrite): Promise<void> {
    const { jobs, lines, scales, setOuts, outbox } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, setOuts, outbox], async () => {
      await outbox.add({ jobId, subject: changeSubject(change), version: CHANGE_VERSION, change } as OutboxRow);
      if (head) await jobs.put(head);
      if (line) await lines.put({ ...line, jobId });
      if (thing) await this.#tables.things(thing.kind).put({ ...thing.thing, jobId });
    });
  }

  async #subjects(jobId: string): Promise<ReadonlySet<string>> {
    return new Set((await this.#tables.outbox.where({ jobId }).toArray()).map(({ subject }) => subject));
  }

  adopt(job: JobWire, extent: 'all' | 'changes'): Promise<void> {
    const { jobs, lines, scales, setOuts, outbox } = this.#tables;
    const jobId = job.id;
    return this.#tables.transaction('rw', [jobs, lines, scales, setOuts, outbox], async () => {
      const waiting = await this.#subjects(jobId);
      await jobs.put(adoptedHead(await jobs.get(jobId), job, waiting));
      // What is told as changes is put beside what is here; only what is told whole can say what has gone.
      const adopt = async <Row extends LineRow | ThingRow>(table: EntityTable<Row, 'id'>, told: readonly Row[]) => {
        const here =
          extent === 'all'
            ? await table.where({ jobId }).toArray()
            : (await table.bulkGet(told.map(({ id }) => id) as never)).flatMap((row) => row ?? []);
        const rows = adopted(here, told, waiting, { extent, revision: job.revision });
        if (extent === 'all') await table.where({ jobId }).delete();
        await table.bulkPut([...rows]);
      };
      await adopt(
        lines,
        job.lines.map((line) => ({ ...line, jobId })),
      );
      for (const kind of THING_KINDS)
        await adopt(
          this.#tables.things(kind),
          thingsOf(job)[kind].map((thing) => ({ ...thing, jobId })),
        );
    });
  }

  async batch(limit: number, held: ReadonlySet<string>): Promise<Batch | undefined> {
    const { outbox } = this.#tables;
    const first = await outbox
      .orderBy('place')
      .and(({ jobId }) => !held.has(jobId))
      .first();
    if (first === undefined) return undefined;
    const { jobId } = first;
    const rows = (await outbox.where({ jobId }).sortBy('place')).slice(0, limit);
    return { jobId, places: rows.map(({ place }) => place), changes: rows.map(({ change }) => change) };
  }

  settle({ jobId, places, changes: sent }: Batch, results: readonly ChangeResult[]): Promise<void> {
    const { jobs, lines, scales, setOuts, outbox, conflicts, refusals } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, setOuts, outbox, conflicts, refusals], async () => {
      await outbox.bulkDelete([...places]);
      await refusals.bulkPut(refusalsOf(jobId, sent, results));
      for (const result of results) {
        const subject = resultSubject(result);
        if (subject === undefined) continue;
        const made = settled(jobId, result, {
          head: await jobs.get(jobId),
          line: await lines.get(subject),
          thing: await this.#thingOf(result, subject),
          conflict: await conflicts.get(subject),
          isOvertaken: (await outbox.where({ jobId, subject }).count()) > 0,
          sent,
        });
        if (made.head) await jobs.put(made.head);
        if (made.line) await lines.put({ ...made.line, jobId });
        if (made.thing) await this.#tables.things(made.thing.kind).put({ ...made.thing.thing, jobId });
        if (made.conflict) await conflicts.put(made.conflict);
        if (made.beside) await this.write(jobId, made.beside);
      }
    });
  }

  async #thingOf(result: ChangeResult, id: string): Promise<ThingWire | undefined> {
    const told = thingResult(result);
    const row = told && (await this.#tables.things(told.kind).get(id));
    return row && (withoutJob(row) as ThingWire);
  }

  countWaiting(): Promise<number> {
    return this.#tables.outbox.count();
  }

  async keepConflict(conflict: KeptConflict): Promise<void> {
    await this.#tables.conflicts.put(conflict);
  }

  async dropConflict(lineId: string): Promise<void> {
    await this.#tables.conflicts.delete(lineId);
  }

  dropRefusal({ id, change }: KeptRefusal): Promise<void> {
    const { lines, scales, setOuts, refusals } = this.#tables;
    return this.#tables.transaction('rw', [lines, scales, setOuts, refusals], async () => {
      await refusals.delete(id);
      if (makes(change)) for (const table of [lines, scales, setOuts]) await table.delete(changeSubject(change));
    });
  }

  forget(jobId: string): Promise<void> {
    const { jobs, lines, scales, setOuts, outbox } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, setOuts, outbox], async () => {
      if ((await outbox.where({ jobId }).count()) > 0) return;
      await jobs.delete(jobId);
      await lines.where({ jobId }).delete();
      await scales.where({ jobId }).delete();
      await setOuts.where({ jobId }).delete();
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

function withoutJob<Row extends { readonly jobId: string }>({ jobId: _, ...rest }: Row): Omit<Row, 'jobId'> {
  return rest;
}
