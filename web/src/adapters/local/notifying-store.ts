import type { ChangeResult, JobWire, KeptThing } from '@sprell/contract';
import type {
  Batch,
  JobCounts,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Settlement,
  Written,
} from './local-store.ts';
import { changeSubject, receivedRows } from './settled.ts';

/** What one page of a browser notifies the others of. */
export interface PageNotice {
  readonly jobId: string;
  /** Lines and things that are otherwise now; undefined for a job that was taken over as a whole. */
  readonly ids: readonly string[] | undefined;
  /** Things that were changed elsewhere too. */
  readonly apart: readonly KeptThing[];
}

/** The jobs of this device, for one of several pages: the others are notified of what it writes, once it is written. */
export class NotifyingStore implements LocalStore {
  readonly #store: LocalStore;
  readonly #notify: (notice: PageNotice) => void;

  constructor(store: LocalStore, notify: (notice: PageNotice) => void) {
    this.#store = store;
    this.#notify = notify;
  }

  get lasts(): boolean {
    return this.#store.lasts;
  }
  heads(): Promise<readonly JobHead[]> {
    return this.#store.heads();
  }
  open(jobId: string, only?: readonly string[]): Promise<LocalJob | undefined> {
    return this.#store.open(jobId, only);
  }

  async write(jobId: string, ...whats: readonly LocalWrite[]): Promise<readonly Written[]> {
    const written = await this.#store.write(jobId, ...whats);
    this.#notify({ jobId, ids: written.flatMap(({ change, apart }) => [changeSubject(change), ...apart]), apart: [] });
    return written;
  }

  async adopt(job: JobWire, extent: 'all' | 'changes', asked?: JobHead): Promise<boolean> {
    if (!(await this.#store.adopt(job, extent, asked))) return false;
    const ids = receivedRows(job).map(({ id }) => id);
    this.#notify({ jobId: job.id, ids: extent === 'all' ? undefined : ids, apart: [] });
    return true;
  }

  async sendAgain(jobId: string): Promise<void> {
    await this.#store.sendAgain(jobId);
    this.#notify({ jobId, ids: undefined, apart: [] });
  }

  async refuse(jobId: string, code: KeptRefusal['code']): Promise<void> {
    await this.#store.refuse(jobId, code);
    this.#notify({ jobId, ids: undefined, apart: [] });
  }

  batch(held: ReadonlySet<string>): Promise<Batch | undefined> {
    return this.#store.batch(held);
  }

  async settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    const settlement = await this.#store.settle(batch, results);
    this.#notify({ jobId: batch.jobId, ...settlement });
    return settlement;
  }

  count(counts: readonly (JobCounts & { readonly id: string })[]): Promise<void> {
    return this.#store.count(counts);
  }
  waitingByJob(): Promise<ReadonlyMap<string, number>> {
    return this.#store.waitingByJob();
  }
  countWaiting(): Promise<number> {
    return this.#store.countWaiting();
  }

  async keepConflict(conflict: KeptConflict): Promise<void> {
    await this.#store.keepConflict(conflict);
    this.#notify({ jobId: conflict.jobId, ids: [], apart: [] });
  }

  async dropConflict(conflict: KeptConflict): Promise<void> {
    await this.#store.dropConflict(conflict);
    this.#notify({ jobId: conflict.jobId, ids: [], apart: [] });
  }

  async dropRefusal(refusal: KeptRefusal): Promise<void> {
    await this.#store.dropRefusal(refusal);
    this.#notify({ jobId: refusal.jobId, ids: [changeSubject(refusal.change)], apart: [] });
  }

  forget(jobId: string): Promise<void> {
    return this.#store.forget(jobId);
  }
  note(key: string): Promise<unknown> {
    return this.#store.note(key);
  }
  setNote(key: string, value: unknown): Promise<void> {
    return this.#store.setNote(key, value);
  }
  clear(): Promise<void> {
    return this.#store.clear();
  }
}
