import type { Remote } from 'comlink';

/** The thread failed, or it was ended: what was asked of it has no answer. */
export class HeavyWorkEnded extends Error {}

/**
 * A thread for work that takes longer than a frame. It starts with the first thing that is asked of it; when it fails, what was
 * asked is rejected and the next thing that is asked starts another one.
 */
export interface HeavyWork<Api> {
  /** @throws {HeavyWorkEnded} where the thread fails before it has answered, or `dispose` is called */
  ask<T>(what: (api: Remote<Api>) => Promise<T>): Promise<T>;
  /** Ends the thread, and what it is at. Nothing can be asked after that. */
  dispose(): void;
}

/** @param start makes the thread: a module worker that exposes `Api` by comlink */
export function heavyWork<Api>(start: () => Worker): HeavyWork<Api> {
  interface Running {
    readonly worker: Worker;
    readonly api: Promise<Remote<Api>>;
    readonly failed: Promise<never>;
  }
  let running: Running | undefined;
  let isDisposed = false;
  const reject = new WeakMap<Worker, (error: Error) => void>();

  function end(worker: Worker, why: string): void {
    reject.get(worker)?.(new HeavyWorkEnded(why));
    worker.terminate();
    if (running?.worker === worker) running = undefined;
  }

  function begin(): Running {
    const worker = start();
    const failed = new Promise<never>((_, fail) => reject.set(worker, fail));
    // Whoever asked hears of it; where nobody did, nobody has to.
    failed.catch(() => undefined);
    for (const event of ['error', 'messageerror'] as const)
      worker.addEventListener(event, () => {
        end(worker, 'The thread failed.');
      });
    // What speaks to it comes with the first heavy work; until then calls wait, in their order.
    const api = import('comlink').then(({ wrap }) => wrap<Api>(worker));
    return { worker, api, failed };
  }

  return {
    ask: async (what) => {
      if (isDisposed) throw new HeavyWorkEnded('The thread was ended.');
      running ??= begin();
      const { api, failed } = running;
      return Promise.race([api.then(what), failed]);
    },
    dispose: () => {
      isDisposed = true;
      if (running) end(running.worker, 'The thread was ended.');
    },
  };
}
