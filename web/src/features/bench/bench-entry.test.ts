import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, type EffectScope } from 'vue';
import { newDevice } from '../../testing/fake-server.ts';
import { useBenchEntry } from './bench-entry.ts';

let scope: EffectScope;
function anEntry(earlier: readonly string[] = []) {
  scope = effectScope();
  return scope.run(() => useBenchEntry(() => earlier)) as ReturnType<typeof useBenchEntry>;
}
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  newDevice();
});
afterEach(() => {
  scope.stop();
  vi.useRealTimers();
});

describe('the bench’s own entry', () => {
  it('goes back through earlier entries and forward again, to what was being written', () => {
    const { entry, recall, begin } = anEntry(['one', 'two', 'three']);
    entry.value = 'draft';
    // There is nothing below what is being written.
    recall(1);
    expect(entry.value).toBe('draft');
    const back: string[] = [];
    for (let n = 0; n < 4; n += 1) {
      recall(-1);
      back.push(entry.value);
    }
    expect(back).toEqual(['three', 'two', 'one', 'one']);
    recall(1);
    expect(entry.value).toBe('two');
    recall(1);
    recall(1);
    expect(entry.value).toBe('draft');
    recall(-1);
    begin();
    expect(entry.value).toBe('');
    recall(-1);
    expect(entry.value).toBe('three');
  });

  it('comes back after it was cleared, until something else is written', async () => {
    const { entry, cleared, clear, bringBack } = anEntry();
    entry.value = `5' 3"`;
    clear();
    expect([entry.value, cleared.value]).toEqual(['', `5' 3"`]);
    bringBack();
    expect([entry.value, cleared.value]).toEqual([`5' 3"`, undefined]);
    clear();
    await nextTick();
    expect(cleared.value).toBe(`5' 3"`);
    entry.value = '6';
    await nextTick();
    expect(cleared.value).toBeUndefined();
  });

  it('outlives a reload while it is unfinished', async () => {
    anEntry().entry.value = '7 +';
    await vi.advanceTimersByTimeAsync(100);
    scope.stop();
    expect(anEntry().entry.value).toBe('7 +');
    // Left in the moment that it is typed, too.
    const { entry } = anEntry();
    entry.value = '7 + 8';
    window.dispatchEvent(new Event('pagehide'));
    expect(anEntry().entry.value).toBe('7 + 8');
  });
});
