import { BATCH_LIMIT, type Change, type ChangeResult } from '@sprell/contract';
import { ref, type Ref } from 'vue';
import { jobServer } from '../../adapters/job-server-loader.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';

/** Where the changes stand: all kept on the server, on their way, or waiting for it. */
export type KeepState =
  | { readonly kind: 'kept' }
  | { readonly kind: 'sending' }
  | { readonly kind: 'waiting'; readonly changes: number; readonly reason: string };

const RETRY_AFTER = [1000, 2000, 5000, 10_000];

/** Sends changes in order, each batch until it is answered. A change that was sent twice is applied once: its id says so. */
export class Outbox {
  readonly state: Ref<KeepState> = ref({ kind: 'kept' });
  readonly #jobId: string;
  readonly #onResult: (result: ChangeResult) => void;
  #changes: Change[] = [];
  #running = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #tries = 0;

  constructor(jobId: string, onResult: (result: ChangeResult) => void) {
    this.#jobId = jobId;
    this.#onResult = onResult;
  }

  add(change: Change): void {
    this.#changes.push(change);
    void this.drain();
  }

  /** Everything that was added has been answered, but for the batch being answered now. */
  isEmpty(): boolean {
    return this.#changes.length === 0;
  }

  /** Sends what there is, unless that is under way. */
  async drain(): Promise<void> {
    if (this.#running || this.#changes.length === 0) return;
    this.#running = true;
    clearTimeout(this.#timer);
    this.state.value = { kind: 'sending' };
    try {
      while (this.#changes.length > 0) {
        const batch = this.#changes.slice(0, BATCH_LIMIT);
        const { results } = await (await jobServer()).send(this.#jobId, batch);
        this.#changes = this.#changes.slice(batch.length);
        this.#tries = 0;
        for (const result of results) this.#onResult(result);
      }
      this.state.value = { kind: 'kept' };
    } catch (error) {
      const reason = error instanceof RequestFailure ? error.message : 'Something failed while sending.';
      this.state.value = { kind: 'waiting', changes: this.#changes.length, reason };
      this.#timer = setTimeout(() => void this.drain(), RETRY_AFTER[Math.min(this.#tries, RETRY_AFTER.length - 1)]);
      this.#tries += 1;
    } finally {
      this.#running = false;
    }
  }
}
