import type { Remote } from 'comlink';

/** The thread failed, or it was ended: what was asked of it has no answer. */
export class HeavyWorkEnded extends Error {}
/** The caller wants no answer any more. */
export class HeavyWorkCancelled extends Error {}

/** How far a piece of work has come, from 0 to 1. */
export type Progress = (share: number) => void;

/** How a piece of work is asked for. */
export interface Asked {
  /** Wants no answer any more: the thread does not go on with it. */
  readonly signal?: AbortSignal;
  readonly onProgress?: Progress;
}

/**
 * A thread for work that takes longer than a frame. It starts with the first thing that is asked of it; when it fails, what was
 * asked is rejected and the next thing that is asked starts another one.
 */
export interface HeavyWork<Api> {
  /**
   * @param what asks the thread; what it is given as `progress` goes to the thread as it is, which calls it on the way
   * @throws {HeavyWorkEnded} where the thread fails before it has answered, or `dispose` is called
   * @throws {HeavyWorkCancelled} where the signal says so. A thread cannot be interrupted: it is ended, and what else was
   *   asked of it is asked of the next one
   */
  ask<T>(what: (api: Remote<Api>, progress: Progress) => Promise<T>, asked?: Asked): Promise<T>;
  /** Ends the thread, and what it is at. Nothing can be asked after that. */
  dispose(): void;
}

interface Running<Api> {
  readonly worker: Worker;
  readonly api: Promise<Remote<Api>>;
  /** Rejects when the thread is ended. */
  readonly ended: Promise<never>;
  end(why: Error): void;
}

/** @param start makes the thread: a module worker that exposes `Api` by comlink */
export function heavyWork<Api>(start: () => Worker): HeavyWork<Api> {
  let running: Running<Api> | undefined;
  let isDisposed = false;

  function begin(): Running<Api> {
    const worker = start();
    let reject: (why: Error) => void = () => undefined;
    const ended = new Promise<never>((_, fail) => (reject = fail));
    // The caller gets the error; where nobody asked, nobody has to.
    ended.catch(() => undefined);
    const end = (why: Error) => {
      reject(why);
      worker.terminate();
      if (running?.worker === worker) running = undefined;
    };
    for (const event of ['error', 'messageerror'] as const)
      worker.addEventListener(event, () => {
        end(new HeavyWorkEnded('The thread failed.'));
      });
    // What speaks to it comes with the first heavy work; until then calls wait, in their order.
    const api = import('comlink').then(({ wrap }) => wrap<Api>(worker));
    return { worker, api, ended, end };
  }

  async function ask<T>(
    what: (api: Remote<Api>, progress: Progress) => Promise<T>,
    { signal, onProgress = () => undefined }: Asked = {},
  ): Promise<T> {
    for (;;) {
      if (isDisposed) throw new HeavyWorkEnded('The thread was ended.');
      if (signal?.aborted) throw new HeavyWorkCancelled('The work was cancelled.');
      const thread = (running ??= begin());
      const cancel = () => {
        thread.end(new HeavyWorkCancelled('The work was cancelled.'));
      };
      signal?.addEventListener('abort', cancel, { once: true });
      try {
        const { proxy } = await import('comlink');
        const answer = thread.api.then((api) => what(api, proxy(onProgress)));
        return await Promise.race([answer, thread.ended]);
      } catch (error) {
        // It was somebody else who wanted no answer: what was asked here is asked again.
        if (!(error instanceof HeavyWorkCancelled) || signal?.aborted) throw error;
      } finally {
        signal?.removeEventListener('abort', cancel);
      }
    }
  }

  return {
    ask,
    dispose: () => {
      isDisposed = true;
      running?.end(new HeavyWorkEnded('The thread was ended.'));
    },
  };
}
