import type { ChangeResult, JobWire, KeptThing } from '@sprell/contract';
import type {
  Batch,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Settlement,
  Written,
} from './local-store.ts';
import { changeSubject, toldOf } from './settled.ts';

/** What one page of a browser tells the others that it did to what they share. */
export interface Told {
  readonly jobId: string;
  /** Lines and things that are otherwise now; undefined for a job that was taken over as a whole. */
  readonly ids: readonly string[] | undefined;
  /** Things that were changed elsewhere too. */
  readonly apart: readonly KeptThing[];
}

/** The jobs of this device, for one of several pages: what it writes is told to the others once it is written. */
export class TellingStore implements LocalStore {
  readonly #store: LocalStore;
  readonly #tell: (told: Told) => void;

  constructor(store: LocalStore, tell: (told: Told) => void) {
    this.#store = store;
    this.#tell = tell;
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
    this.#tell({ jobId, ids: written.flatMap(({ change, apart }) => [changeSubject(change), ...apart]), apart: [] });
    return written;
  }

  async adopt(job: JobWire, extent: 'all' | 'changes', asked?: JobHead): Promise<boolean> {
    if (!(await this.#store.adopt(job, extent, asked))) return false;
    const ids = toldOf(job).map(({ id }) => id);
    this.#tell({ jobId: job.id, ids: extent === 'all' ? undefined : ids, apart: [] });
    return true;
  }

  async sendAgain(jobId: string): Promise<void> {
    await this.#store.sendAgain(jobId);
    this.#tell({ jobId, ids: undefined, apart: [] });
  }

  async refuse(jobId: string, code: KeptRefusal['code']): Promise<void> {
    await this.#store.refuse(jobId, code);
    this.#tell({ jobId, ids: undefined, apart: [] });
  }

  batch(held: ReadonlySet<string>): Promise<Batch | undefined> {
    return this.#store.batch(held);
  }

  async settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    const settlement = await this.#store.settle(batch, results);
    this.#tell({ jobId: batch.jobId, ...settlement });
    return settlement;
  }

  countWaiting(): Promise<number> {
    return this.#store.countWaiting();
  }

  async keepConflict(conflict: KeptConflict): Promise<void> {
    await this.#store.keepConflict(conflict);
    this.#tell({ jobId: conflict.jobId, ids: [], apart: [] });
  }

  async dropConflict(conflict: KeptConflict): Promise<void> {
    await this.#store.dropConflict(conflict);
    this.#tell({ jobId: conflict.jobId, ids: [], apart: [] });
  }

  async dropRefusal(refusal: KeptRefusal): Promise<void> {
    await this.#store.dropRefusal(refusal);
    this.#tell({ jobId: refusal.jobId, ids: [changeSubject(refusal.change)], apart: [] });
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
