import { readQuantity, Slate, type SlateLine } from '@sprell/core';
import { describe, expect, it, vi } from 'vitest';
import { SlateKeeper, type Recalculator } from './slate-keeper.ts';
import type { SlateChange } from './slate-worker.ts';

const aLine = (number: number, source: string): SlateLine => ({
  id: `line-${number}`,
  number,
  position: `a${`${number}`.padStart(5, '0')}`,
  source,
});
/** Each line divides by another prime-like number: the denominators grow to hundreds of bits. */
const heavy = Array.from({ length: 400 }, (_, index) =>
  aLine(index + 1, index === 0 ? `1'` : `#${index} / ${2 * index + 3} + 1"`),
);

/** A worker without a thread: it answers a turn later, with copies, as a real one does. */
function workerBeside() {
  const slate = new Slate();
  const results = (ids: readonly string[]) =>
    Promise.resolve(
      ids
        .map((id) => [id, structuredClone(slate.line(id)?.result)] as const)
        .filter(([, result]) => result !== undefined) as never,
    );
  return {
    load: vi.fn((lines: readonly SlateLine[]) => {
      slate.load(lines);
      return results(lines.map(({ id }) => id));
    }),
    change: vi.fn((changes: readonly SlateChange[]) =>
      results([...new Set(changes.flatMap((one) => ('put' in one ? slate.put(one.put) : slate.remove(one.remove))))]),
    ),
    dispose: vi.fn(),
  } as unknown as Recalculator;
}

const reading = (keeper: SlateKeeper, number: number) => {
  const result = keeper.slate.lineNumbered(number)?.result;
  return result?.ok && result.outcome.kind === 'quantity' ? readQuantity(result.outcome.quantity).text : undefined;
};

describe('the keeper of the slate', () => {
  it('works a light slate out at once, and asks no worker', () => {
    const makeWorker = vi.fn(() => workerBeside());
    const keeper = new SlateKeeper({ decimalComma: false }, () => undefined, makeWorker);
    keeper.load([aLine(1, `5'`), aLine(2, '#1 * 2')]);
    keeper.put(aLine(1, `6'`));
    expect(reading(keeper, 2)).toBe('12′');
    expect(makeWorker).not.toHaveBeenCalled();
  });

  it('hands a heavy slate to the worker; old results stand until the new ones come', async () => {
    const changed: string[] = [];
    const keeper = new SlateKeeper({ decimalComma: false }, (ids) => changed.push(...ids), workerBeside);
    keeper.load(heavy);
    expect(reading(keeper, 2)).toBe('3 3⁄8″');
    keeper.put(aLine(1, `2'`));
    expect(reading(keeper, 2)).toBe('3 3⁄8″');
    await Promise.resolve().then(() => undefined);
    await vi.waitFor(() => expect(reading(keeper, 2)).toBe('5 13⁄16″'));
    expect(changed).toHaveLength(400);
    const fresh = new Slate();
    fresh.load([aLine(1, `2'`), ...heavy.slice(1)]);
    expect(keeper.slate.lineNumbered(400)?.result).toEqual(fresh.lineNumbered(400)?.result);
  });

  it('works out at once what the worker is still at, where a value is to be written down', async () => {
    const keeper = new SlateKeeper({ decimalComma: false }, () => undefined, workerBeside);
    keeper.load(heavy);
    keeper.put(aLine(1, `2'`));
    keeper.put(aLine(1, `3'`));
    keeper.catchUp();
    expect(reading(keeper, 2)).toBe('8 3⁄16″');
    const fresh = new Slate();
    fresh.load([aLine(1, `3'`), ...heavy.slice(1)]);
    expect(keeper.slate.lineNumbered(400)?.result).toEqual(fresh.lineNumbered(400)?.result);
    // The worker's answer comes after that, and says the same.
    await vi.waitFor(() => expect(reading(keeper, 2)).toBe('8 3⁄16″'));
    expect(keeper.slate.lineNumbered(400)?.result).toEqual(fresh.lineNumbered(400)?.result);
  });

  it('asks the worker once for all that changes while it is busy, however many lines that are', async () => {
    const worker = workerBeside();
    const changed = vi.fn();
    const keeper = new SlateKeeper({ decimalComma: false }, changed, () => worker);
    keeper.load(heavy);
    for (const number of [1, 2, 3]) keeper.put(aLine(number, `${number}'`));
    keeper.remove('line-400');
    await vi.waitFor(() => expect(reading(keeper, 3)).toBe('3′'));
    expect(worker.change).toHaveBeenCalledOnce();
    keeper.put(aLine(3, `7'`));
    await Promise.resolve();
    // It is at this one while three more come.
    for (const feet of [8, 9, 10]) keeper.put(aLine(3, `${feet}'`));
    await vi.waitFor(() => expect(reading(keeper, 3)).toBe('10′'));
    expect(worker.change).toHaveBeenCalledTimes(3);
    expect(changed).toHaveBeenCalledTimes(3);
  });

  it('goes on by itself where the worker fails, with nothing left out, and asks no other', async () => {
    const worker = workerBeside();
    const makeWorker = vi.fn(() => worker);
    const changed: string[] = [];
    const keeper = new SlateKeeper({ decimalComma: false }, (ids) => changed.push(...ids), makeWorker);
    keeper.load(heavy);
    vi.mocked(worker.change).mockRejectedValue(new Error('The thread failed.'));
    keeper.put(aLine(1, `2'`));
    keeper.put(aLine(2, `4'`));
    await vi.waitFor(() => expect(reading(keeper, 2)).toBe('4′'));
    expect(worker.dispose).toHaveBeenCalledOnce();
    expect(changed).toContain('line-400');
    keeper.put(aLine(2, `5'`));
    expect(reading(keeper, 2)).toBe('5′');
    expect(makeWorker).toHaveBeenCalledOnce();
  });

  it('ends its worker when it is over, and hears nothing more of it', async () => {
    const worker = workerBeside();
    const changed = vi.fn();
    const keeper = new SlateKeeper({ decimalComma: false }, changed, () => worker);
    keeper.load(heavy);
    keeper.put(aLine(1, `2'`));
    keeper.dispose();
    await new Promise((resolve) => setTimeout(resolve, 10));
    expect(worker.dispose).toHaveBeenCalledOnce();
    expect(changed).not.toHaveBeenCalled();
  });

  it('works a long slate out in the worker from the start', async () => {
    const worker = workerBeside();
    const keeper = new SlateKeeper(
      { decimalComma: false },
      () => undefined,
      () => worker,
    );
    keeper.load(Array.from({ length: 2500 }, (_, index) => aLine(index + 1, `${index}"`)));
    // What is seen first has its results at once.
    expect([reading(keeper, 2000), reading(keeper, 2500)]).toEqual([undefined, '208′ 3″']);
    await vi.waitFor(() => expect(reading(keeper, 2000)).toBe('166′ 7″'));
    keeper.remove('line-1');
    await vi.waitFor(() => expect(keeper.slate.lines()).toHaveLength(2499));
  });
});
