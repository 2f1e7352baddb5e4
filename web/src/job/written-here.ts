import type { LineWire } from '@sprell/contract';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalWrite } from '../adapters/local/local-store.ts';
import { changeSubject } from '../adapters/local/settled.ts';
import { arrived, leaveBehind, LEFT, takeUp, type Loose } from './left-behind.ts';
import type { Outbox } from './outbox.ts';

/** Until a device that had no room is tried again. */
const TRY_AGAIN_AFTER = 5000;

/** What changes are written down from. */
interface PageThatWrites {
  readonly device: Device;
  readonly outbox: Outbox;
  /** The head of the open job, with the number that its next line gets. */
  head(): JobHead | undefined;
  /** Shows lines and things of the open job as this device has them. */
  lookAt(jobId: string, ids: readonly string[]): Promise<void>;
  /** A line was given another number as it was written down. */
  renumber(jobId: string, line: LineWire): void;
}

/**
 * Writes what is changed on this page down on the device, in order and as often as it takes. Until it is there it is on this
 * page alone: leaving asks first, and what was on its way goes on from where it was left.
 */
export class WrittenHere {
  readonly #page: PageThatWrites;
  /** Changes that are on this page alone, in order: being written down, or waiting for the device to take them. */
  readonly #loose: Loose[] = [];
  #edits = 0;
  #writing: Promise<unknown> = Promise.resolve();
  #isDue = false;
  #hasLeft = false;
  #nextTry: ReturnType<typeof setTimeout> | undefined;
  #nextLook: ReturnType<typeof setTimeout> | undefined;

  /** @param signal ends it with its page */
  constructor(page: PageThatWrites, signal: AbortSignal) {
    this.#page = page;
    const { memory } = page.device;
    window.addEventListener(
      'beforeunload',
      (event) => {
        if (page.outbox.state.kind === 'page') event.preventDefault();
      },
      { signal },
    );
    window.addEventListener(
      'pagehide',
      () => {
        this.#hasLeft ||= this.#loose.length > 0;
        leaveBehind(memory, this.#loose);
      },
      { signal },
    );
    // Another page was left in the middle of something.
    memory.follow((key) => {
      if (key === LEFT) void this.takeUpLeft();
    });
  }

  /** How many changes were made on this page: another number means that what was read before is not the latest. */
  get edits(): number {
    return this.#edits;
  }
  /** Resolves when the last of them is written down. */
  get done(): Promise<unknown> {
    // What was changed a moment ago is begun to be written when what is done together is over.
    return this.#isDue ? Promise.resolve().then(() => this.#writing) : this.#writing;
  }
  /** Ids of lines and things of a job that are on this page alone. */
  looseOf(jobId: string): ReadonlySet<string> {
    return new Set(this.#loose.filter((one) => one.jobId === jobId).map(({ what }) => changeSubject(what.change)));
  }

  /** Writes a change down with what it leaves behind; from there it is sent. @param head of its job, where it is not the open one */
  keep(what: LocalWrite, head = this.#page.head()): void {
    if (head === undefined) return;
    this.#edits += 1;
    this.#loose.push({ jobId: head.id, what: { ...what, head } });
    // Once for all that is done together.
    if (!this.#isDue)
      queueMicrotask(() => {
        this.#writeDown();
      });
    this.#isDue = true;
  }

  /** Tries again where the device took no more. */
  retry(): void {
    if (this.#loose.length > 0) this.#writeDown();
  }

  #writeDown(): void {
    clearTimeout(this.#nextTry);
    this.#isDue = false;
    const written = this.#writing.then(() => this.#writeAll());
    this.#writing = written;
    void this.#page.outbox.after(written);
  }

  /** @returns how many changes are on this page alone still */
  async #writeAll(): Promise<number> {
    const { device, lookAt, renumber } = this.#page;
    const local = await device.store();
    while (this.#loose.length > 0) {
      const { jobId } = this.#loose[0] as Loose;
      const end = this.#loose.findIndex((one) => one.jobId !== jobId);
      const together = this.#loose.slice(0, end < 0 ? undefined : end);
      try {
        const written = await local.write(jobId, ...together.map(({ what }) => what));
        const apart = written.flatMap((one) => one.apart);
        if (apart.length > 0) void lookAt(jobId, apart);
        written.forEach(({ line, apart: others }, nth) => {
          const was = together[nth]?.what.line?.number;
          if (others.length === 0 && line && line.number !== was) renumber(jobId, line);
        });
      } catch {
        this.#nextTry = setTimeout(() => {
          this.#writeDown();
        }, TRY_AGAIN_AFTER);
        return this.#loose.length;
      }
      this.#loose.splice(0, together.length);
      if (this.#hasLeft) for (const one of together) arrived(device.memory, one);
    }
    return 0;
  }

  /** What was left behind by a page that is gone; where the device takes no more, it is tried again. */
  async takeUpLeft(): Promise<void> {
    clearTimeout(this.#nextLook);
    const { device, outbox, lookAt } = this.#page;
    try {
      const left = await takeUp(device.memory, await device.store());
      if (left.length === 0) return;
      void outbox.retry();
      for (const { jobId, what } of left) await lookAt(jobId, [changeSubject(what.change)]);
    } catch {
      this.#nextLook = setTimeout(() => void this.takeUpLeft(), TRY_AGAIN_AFTER);
    }
  }
}
