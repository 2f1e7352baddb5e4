import type { ProblemCode } from '@sprell/contract';
import type { Device } from '../adapters/device.ts';
import type { Settlement } from '../adapters/local/local-store.ts';
import { RequestFailure } from '../adapters/request-failure.ts';
import type { Cell, Holder } from './holder.ts';

/**
 * Where the changes stand. `opening`: this device has not been looked at yet. `writing`: not yet safe on this device.
 * `page`: on this page alone, and gone with it. `here`: safe on this device, on their way or waiting to be; `reason` says
 * why they wait. `kept`: all on the server.
 */
export type KeepState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'kept' }
  | { readonly kind: 'writing' }
  | { readonly kind: 'page'; readonly changes: number; readonly reason: string }
  | { readonly kind: 'here'; readonly changes: number; readonly reason: string | undefined };

const RETRY_AFTER = [1000, 2000, 5000, 10_000, 30_000];

/**
 * Sends the changes that wait on this device, in order, each batch until it is answered. A change that was sent twice is
 * applied once: its id says so. What cannot be sent stays.
 */
export class Outbox {
  readonly #state: Cell<KeepState>;
  readonly #device: Device;
  readonly #onSettled: (jobId: string, settlement: Settlement) => void;
  readonly #onHeld: (jobId: string, code: ProblemCode) => void;
  /** Jobs whose changes the server does not take now, with its words. */
  readonly #held = new Map<string, string>();
  #writing = 0;
  #loose = 0;
  #running: Promise<void> | undefined;
  #again = false;
  #reason: string | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #tries = 0;

  /**
   * @param onSettled is called for what came of changes once this device has it
   * @param onHeld is called where a job is not taken for a reason that something can be done about here; it is tried
   *   again when that is done
   */
  constructor(
    device: Device,
    holder: Holder,
    onSettled: (jobId: string, settlement: Settlement) => void,
    onHeld: (jobId: string, code: ProblemCode) => void,
  ) {
    this.#device = device;
    this.#state = holder.cell<KeepState>({ kind: 'opening' });
    this.#onSettled = onSettled;
    this.#onHeld = onHeld;
    device.hear(() => void this.#show());
  }

  get state(): KeepState {
    return this.#state.value;
  }

  /**
   * Something is being written on this device, and is sent when it is.
   * @param written how many changes are on this page alone after it: more than none where the device takes no more
   */
  async after(written: Promise<number>): Promise<void> {
    this.#writing += 1;
    this.#state.value = { kind: 'writing' };
    try {
      this.#loose = await written;
    } finally {
      this.#writing -= 1;
    }
    await this.#show();
    void this.drain();
  }

  /** Sends what there is; what comes while that is under way goes with it. */
  drain(): Promise<void> {
    this.#again = true;
    this.#running ??= this.#drain().finally(() => (this.#running = undefined));
    return this.#running;
  }

  /** What was held back is tried again: somebody signed in, or was let in. */
  retry(): Promise<void> {
    this.#held.clear();
    this.#tries = 0;
    return this.drain();
  }

  async #drain(): Promise<void> {
    clearTimeout(this.#timer);
    while (this.#again) {
      this.#again = false;
      try {
        await this.#device.alone(() => this.#sendAll());
        this.#reason = undefined;
        this.#tries = 0;
      } catch (error) {
        this.#reason = error instanceof RequestFailure ? error.message : 'Something failed while sending.';
        this.#timer = setTimeout(() => void this.drain(), RETRY_AFTER[Math.min(this.#tries, RETRY_AFTER.length - 1)]);
        this.#tries += 1;
        this.#again = false;
      }
      // Requests that come meanwhile are noticed.
      await this.#show();
    }
  }

  async #sendAll(): Promise<void> {
    const local = await this.#device.store();
    for (;;) {
      const batch = await local.batch(new Set(this.#held.keys()));
      if (batch === undefined) return;
      const { jobId } = batch;
      try {
        const { results } = await (await this.#device.server()).send(jobId, [...batch.changes], batch.history);
        this.#onSettled(jobId, await local.settle(batch, results));
      } catch (error) {
        // This job is not taken: the others go on, and its changes stay.
        if (!(error instanceof RequestFailure) || !HOLDS.has(error.code)) throw error;
        this.#held.set(jobId, error.message);
        if (isSeenTo(error.code)) this.#onHeld(jobId, error.code);
      }
    }
  }

  async #show(): Promise<void> {
    const local = await this.#device.store();
    const changes = (await local.countWaiting()) + this.#loose;
    if (this.#writing > 0) return;
    const [held] = this.#held.values();
    const reason = this.#reason ?? held;
    if (changes === 0) this.#state.value = { kind: 'kept' };
    else if (this.#loose > 0) this.#state.value = { kind: 'page', changes: this.#loose, reason: NO_ROOM };
    else if (!local.lasts) this.#state.value = { kind: 'page', changes, reason: NO_DATABASE };
    else this.#state.value = { kind: 'here', changes, reason };
  }
}

const NO_ROOM = 'This device has no room for it, or its store is closed. Free some room; it is tried again.';
const NO_DATABASE = 'This browser keeps nothing for Sprell: what is not on the server yet goes with this page.';

/** Refusals of a job as a whole. */
const HOLDS: ReadonlySet<string> = new Set([
  'job.not_found',
  'job.read_only',
  'job.full',
  'job.restored',
  'account.full',
  'request.invalid',
  'request.too_large',
]);
/** Those that something can be done about on this device. */
const isSeenTo = (code: ProblemCode | 'offline'): code is ProblemCode =>
  code === 'job.restored' || code === 'job.read_only' || code === 'job.not_found';
