import type { Change, ChangeResult, JobWire, LineWire, ScaleWire } from '@sprell/contract';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Batch, JobHead, KeptConflict, LocalJob, LocalStore, LocalWrite } from './local-store.ts';
import { adopted, adoptedHead, changeSubject, resultSubject, settled } from './settled.ts';

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

/** The shape in which changes are written down now. */
const CHANGE_VERSION = 1;

class Tables extends Dexie {
  declare readonly jobs: EntityTable<JobHead, 'id'>;
  declare readonly lines: EntityTable<LineRow, 'id'>;
  declare readonly scales: EntityTable<ScaleRow, 'id'>;
  declare readonly outbox: EntityTable<OutboxRow, 'place'>;
  declare readonly conflicts: EntityTable<KeptConflict, 'lineId'>;
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
  }
}

/** The jobs in the browser's own database. */
export class DexieStore implements LocalStore {
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
    const { jobs, lines, scales, outbox, conflicts } = this.#tables;
    return this.#tables.transaction('r', [jobs, lines, scales, outbox, conflicts], async () => {
      const head = await jobs.get(jobId);
      if (head === undefined) return undefined;
      const [lineRows, scaleRows, waiting, kept] = await Promise.all([
        lines.where({ jobId }).toArray(),
        scales.where({ jobId }).toArray(),
        outbox.where({ jobId }).sortBy('place'),
        conflicts.where({ jobId }).toArray(),
      ]);
      return {
        head,
        lines: lineRows.map(withoutJob),
        scales: scaleRows.map(withoutJob),
        waiting: waiting.map(({ change }) => change),
        conflicts: kept,
      };
    });
  }

  write(jobId: string, { change, head, line, scale }: LocalWrite): Promise<void> {
    const { jobs, lines, scales, outbox } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, outbox], async () => {
      await outbox.add({ jobId, subject: changeSubject(change), version: CHANGE_VERSION, change } as OutboxRow);
      if (head) await jobs.put(head);
      if (line) await lines.put({ ...line, jobId });
      if (scale) await scales.put({ ...scale, jobId });
    });
  }

  async #subjects(jobId: string): Promise<ReadonlySet<string>> {
    return new Set((await this.#tables.outbox.where({ jobId }).toArray()).map(({ subject }) => subject));
  }

  adopt(job: JobWire, extent: 'all' | 'changes'): Promise<void> {
    const { jobs, lines, scales, outbox } = this.#tables;
    const jobId = job.id;
    return this.#tables.transaction('rw', [jobs, lines, scales, outbox], async () => {
      const waiting = await this.#subjects(jobId);
      const head = adoptedHead(await jobs.get(jobId), job, waiting);
      const told = { extent, revision: job.revision };
      // What is told as changes is put beside what is here; only what is told whole can say what has gone.
      const here = async <Row extends LineRow | ScaleRow>(
        table: EntityTable<Row, 'id'>,
        speaksOf: readonly { id: string }[],
      ) =>
        extent === 'all'
          ? await table.where({ jobId }).toArray()
          : (await table.bulkGet(speaksOf.map(({ id }) => id) as never)).flatMap((row) => row ?? []);
      const lineRows = adopted<LineWire>(await here(lines, job.lines), job.lines, waiting, told);
      const scaleRows = adopted<ScaleWire>(await here(scales, job.scales), job.scales, waiting, told);
      if (extent === 'all') {
        await lines.where({ jobId }).delete();
        await scales.where({ jobId }).delete();
      }
      await jobs.put(head);
      await lines.bulkPut(lineRows.map((line) => ({ ...line, jobId })));
      await scales.bulkPut(scaleRows.map((scale) => ({ ...scale, jobId })));
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
    const { jobs, lines, scales, outbox, conflicts } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, outbox, conflicts], async () => {
      await outbox.bulkDelete([...places]);
      for (const result of results) {
        const subject = resultSubject(result);
        if (subject === undefined) continue;
        const made = settled(jobId, result, {
          head: await jobs.get(jobId),
          line: await lines.get(subject),
          scale: await scales.get(subject),
          conflict: await conflicts.get(subject),
          isOvertaken: (await outbox.where({ jobId, subject }).count()) > 0,
          sent,
        });
        if (made.head) await jobs.put(made.head);
        if (made.line) await lines.put({ ...made.line, jobId });
        if (made.scale) await scales.put({ ...made.scale, jobId });
        if (made.conflict) await conflicts.put(made.conflict);
        if (made.beside) await this.write(jobId, made.beside);
      }
    });
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

  forget(jobId: string): Promise<void> {
    const { jobs, lines, scales, outbox } = this.#tables;
    return this.#tables.transaction('rw', [jobs, lines, scales, outbox], async () => {
      if ((await outbox.where({ jobId }).count()) > 0) return;
      await jobs.delete(jobId);
      await lines.where({ jobId }).delete();
      await scales.where({ jobId }).delete();
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
