import { expose } from 'comlink';
import { describe, expect, it, vi } from 'vitest';
import { HeavyWorkCancelled, HeavyWorkEnded, heavyWork, type Progress } from './heavy-work.ts';

interface Doubler {
  double(value: number): number;
}

/** A thread that answers as comlink's does, or not at all. */
class Thread extends EventTarget {
  static made: Thread[] = [];
  isMute = false;
  readonly terminate = vi.fn();

  constructor() {
    super();
    Thread.made.push(this);
  }

  postMessage({ id, argumentList }: { id: string; argumentList?: { value: number }[] }): void {
    const value = (argumentList?.[0]?.value ?? 0) * 2;
    if (!this.isMute)
      queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: { id, type: 'RAW', value } })));
  }
  start(): void {
    // It has begun.
  }
}
const start = () => new Thread() as unknown as Worker;

describe('heavy work', () => {
  it('starts its thread with the first thing that is asked, and has one', async () => {
    Thread.made = [];
    const work = heavyWork<Doubler>(start);
    expect(Thread.made).toHaveLength(0);
    expect(await Promise.all([work.ask((api) => api.double(2)), work.ask((api) => api.double(3))])).toEqual([4, 6]);
    expect(Thread.made).toHaveLength(1);
    work.dispose();
    expect(Thread.made[0]?.terminate).toHaveBeenCalledOnce();
    await expect(work.ask((api) => api.double(2))).rejects.toThrow(HeavyWorkEnded);
  });

  it('says so when the thread fails, and starts another for what is asked next', async () => {
    Thread.made = [];
    const work = heavyWork<Doubler>(start);
    await work.ask((api) => api.double(1));
    const [first] = Thread.made as [Thread];
    first.isMute = true;
    const unanswered = work.ask((api) => api.double(2));
    first.dispatchEvent(new Event('error'));
    await expect(unanswered).rejects.toThrow(HeavyWorkEnded);
    expect(first.terminate).toHaveBeenCalledOnce();
    expect(await work.ask((api) => api.double(5))).toBe(10);
    expect(Thread.made).toHaveLength(2);
  });

  it('rejects what is under way when it is ended', async () => {
    Thread.made = [];
    const work = heavyWork<Doubler>(start);
    await work.ask((api) => api.double(1));
    (Thread.made[0] as Thread).isMute = true;
    const unanswered = work.ask((api) => api.double(2));
    work.dispose();
    await expect(unanswered).rejects.toThrow(HeavyWorkEnded);
  });

  it('is cancelled with its thread; what others asked is asked again of the next one', async () => {
    Thread.made = [];
    const work = heavyWork<Doubler>(start);
    await work.ask((api) => api.double(1));
    (Thread.made[0] as Thread).isMute = true;
    const cancel = new AbortController();
    const mine = work.ask((api) => api.double(2), cancel);
    const theirs = work.ask((api) => api.double(3));
    cancel.abort();
    await expect(mine).rejects.toThrow(HeavyWorkCancelled);
    expect(await theirs).toBe(6);
    expect(Thread.made[0]?.terminate).toHaveBeenCalledOnce();
    expect(Thread.made).toHaveLength(2);
    // Cancelled before it begins, it starts nothing.
    await expect(work.ask((api) => api.double(2), cancel)).rejects.toThrow(HeavyWorkCancelled);
    expect(Thread.made).toHaveLength(2);
  });

  it('reports its progress', async () => {
    const { port1, port2 } = new MessageChannel();
    const counter = {
      count: async (to: number, progress: Progress) => {
        for (let n = 1; n <= to; n += 1) await Promise.resolve(progress(n / to));
        return to;
      },
    };
    expose(counter, port1);
    const thread = Object.assign(port2, { terminate: () => port2.close() });
    const work = heavyWork<typeof counter>(() => thread as unknown as Worker);
    const shares: number[] = [];
    const counted = work.ask((api, progress) => api.count(4, progress), { onProgress: (share) => shares.push(share) });
    expect(await counted).toBe(4);
    expect(shares).toEqual([0.25, 0.5, 0.75, 1]);
    work.dispose();
    port1.close();
  });
});
