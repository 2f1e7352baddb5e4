import { useEventListener, watchDebounced } from '@vueuse/core';
import { ref, watch } from 'vue';
import { writeDown as writeDownEntry, writtenDown, writtenDownLater } from '../../parts/entry/written-down.ts';

/** Behind the frame that shows a key, and soon enough that nothing is lost. */
const WRITTEN_DOWN_AFTER = 50;

/**
 * The text of the bench's own entry: an unfinished one outlives a reload, a cleared one can be restored, and earlier entries
 * can be recalled (history recall).
 */
export function useBenchEntry(earlier: () => readonly string[]) {
  const entry = ref(writtenDown());
  const cleared = ref<string>();
  /** Where among the earlier entries one stands, and what was being written before. */
  let recalled: { readonly at: number; readonly draft: string } | undefined;

  const writeDown = () => writeDownEntry(entry.value);
  useEventListener(window, 'pagehide', writeDown);
  useEventListener(document, 'visibilitychange', writeDown);
  watch(entry, (text) => {
    if (text !== '') cleared.value = undefined;
  });
  watchDebounced(entry, writeDown, { debounce: WRITTEN_DOWN_AFTER });

  // After a browser that was killed: nothing that was typed since is written over.
  void writtenDownLater()
    .then((later) => {
      if (later !== undefined && entry.value === '') entry.value = later;
    })
    .catch(() => undefined);

  /** The one before or behind; below the last stands what was being written. */
  function recall(by: -1 | 1): void {
    const entries = earlier();
    const at = (recalled?.at ?? entries.length) + by;
    if (at < 0 || (recalled === undefined && by === 1)) return;
    const draft = recalled?.draft ?? entry.value;
    recalled = at >= entries.length ? undefined : { at, draft };
    entry.value = recalled === undefined ? draft : (entries[at] as string);
  }

  /** It has landed: the next one begins. */
  function begin(): void {
    entry.value = '';
    recalled = undefined;
  }

  function clear(): void {
    cleared.value = entry.value;
    begin();
  }

  function bringBack(): void {
    entry.value = cleared.value ?? '';
    cleared.value = undefined;
  }

  return { entry, cleared, recall, begin, clear, bringBack };
}
