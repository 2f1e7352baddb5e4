import { Slate, type SlateLine } from '@sprell/core';
import { heavyWork } from '../adapters/heavy-work.ts';
import type { SlateChange, SlateOptions, SlateWorker, WorkedResults } from './slate-worker.ts';

/** Lines with values past small rationals at which a change may take longer than a frame. */
const HEAVY_LINES = 300;
/** From so many lines on, a job is worked out by the worker from the start. */
const LONG_SLATE = 2000;

/** Lines that are seen when a job is opened, and how many may be worked out for them before the worker has answered. */
const SEEN_FIRST = 40;
const MOST_AT_ONCE = 400;

/** What the keeper needs of a worker; tests bring their own. */
export type Recalculator = {
  [Call in keyof SlateWorker]: (...call: Parameters<SlateWorker[Call]>) => Promise<WorkedResults>;
} & { dispose(): void };

function startWorker(): Recalculator | undefined {
  if (typeof Worker === 'undefined') return undefined;
  const work = heavyWork<SlateWorker>(
    () => new Worker(new URL('./slate-worker.ts', import.meta.url), { type: 'module' }),
  );
  return {
    load: (...call) => work.ask((slate) => slate.load(...call)),
    change: (...call) => work.ask((slate) => slate.change(...call)),
    dispose: () => {
      work.dispose();
    },
  };
}

/**
 * The slate of the open job. Small values are worked out at once, on the page's thread: that takes less than passing
 * them on. A heavy slate is handed to a worker, and results come in when they are there; until then the old ones stand.
 */
export class SlateKeeper {
  readonly slate: Slate;
  readonly #options: SlateOptions;
  readonly #onChanged: (ids: readonly string[]) => void;
  readonly #makeWorker: () => Recalculator | undefined;
  #worker: Recalculator | undefined;
  /** Requests that the worker has not answered. */
  #unanswered = 0;
  /** Changes that go to the worker together, once it is idle: hundreds of lines from a server are one request. */
  #unsent: SlateChange[] = [];
  /** A worker failed on this slate: it is not asked again. */
  #isAlone = false;
  #isDisposed = false;

  constructor(
    options: SlateOptions,
    onChanged: (ids: readonly string[]) => void,
    makeWorker: () => Recalculator | undefined = startWorker,
  ) {
    this.slate = new Slate(options);
    this.#options = options;
    this.#onChanged = onChanged;
    this.#makeWorker = makeWorker;
  }

  load(lines: readonly SlateLine[]): void {
    if (this.#worker === undefined && lines.length >= LONG_SLATE && !this.#isAlone) this.#worker = this.#makeWorker();
    if (this.#worker === undefined) {
      this.slate.load(lines);
      this.#handOverIfHeavy();
      return;
    }
    this.slate.loadLater(lines);
    this.slate.workOutFoot(SEEN_FIRST, MOST_AT_ONCE);
    this.#unsent = [];
    this.#take(this.#worker.load(lines, this.#options));
  }

  put(line: SlateLine): void {
    if (this.#worker === undefined) {
      this.#onChanged(this.slate.put(line));
      this.#handOverIfHeavy();
      return;
    }
    this.slate.putLater(line);
    this.#queue({ put: line });
  }

  remove(id: string): void {
    if (this.#worker === undefined) {
      this.#onChanged(this.slate.remove(id));
      return;
    }
    this.slate.removeLater(id);
    this.#queue({ remove: id });
  }

  /** Works out here and now what the worker has not answered yet. Its answers still come, and say the same in the end. */
  catchUp(): void {
    if (this.#unanswered > 0 || this.#unsent.length > 0) this.slate.recalculateAll();
  }

  #queue(change: SlateChange): void {
    this.#unsent.push(change);
    // Everything that changes in this turn goes in one request.
    if (this.#unsent.length === 1) queueMicrotask(() => this.#sendIfIdle());
  }

  #sendIfIdle(): void {
    if (this.#unanswered > 0 || this.#unsent.length === 0 || this.#worker === undefined) return;
    const changes = this.#unsent;
    this.#unsent = [];
    this.#take(this.#worker.change(changes));
  }

  /** Results come in the order of the requests; a line that has been removed in the meantime is skipped. */
  #take(results: Promise<WorkedResults>): void {
    this.#unanswered += 1;
    const worker = this.#worker;
    void results
      .then(
        (worked) => {
          if (this.#isDisposed) return;
          this.slate.accept(worked);
          this.#onChanged(worked.map(([id]) => id));
        },
        () => {
          this.#goOnWithout(worker);
        },
      )
      .finally(() => {
        this.#unanswered -= 1;
        this.#sendIfIdle();
      });
  }

  /** The worker failed: what it had not answered is worked out here, and so is all that follows. */
  #goOnWithout(worker: Recalculator | undefined): void {
    if (worker !== this.#worker || this.#isDisposed) return;
    worker?.dispose();
    this.#worker = undefined;
    this.#unsent = [];
    this.#isAlone = true;
    this.slate.recalculateAll();
    this.#onChanged(this.slate.lines().map(({ line }) => line.id));
  }

  /** Ends its worker; what is on its way from there is passed over. */
  dispose(): void {
    this.#isDisposed = true;
    this.#worker?.dispose();
    this.#worker = undefined;
    this.#unsent = [];
  }

  #handOverIfHeavy(): void {
    if (this.#isAlone || this.slate.heavyLines() < HEAVY_LINES) return;
    const worker = (this.#worker = this.#makeWorker());
    const lines = this.slate.lines().map(({ line }) => line);
    // What it comes to stands here already.
    worker?.load(lines, this.#options).catch(() => {
      this.#goOnWithout(worker);
    });
  }
}
