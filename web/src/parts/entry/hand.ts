import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { EntryText } from './edits.ts';

/** What a key can do to an entry. */
export interface EntryHandle {
  /** Changes the text, and puts the cursor where the change says. */
  apply(change: (entry: EntryText) => EntryText): void;
  /** Lands the entry, or keeps the line being edited. */
  enter(): void;
  /** Takes the last change of the text back. @returns whether there was one */
  undo(): boolean;
  focus(): void;
}

/** The entry that the keys write to: the one that was touched last, and the bench's own when that one goes. */
export const useHand = defineStore('hand', () => {
  const own = shallowRef<EntryHandle>();
  const active = shallowRef<EntryHandle>();

  function take(handle: EntryHandle, isBenchs: boolean): void {
    if (isBenchs) own.value = handle;
    active.value = handle;
  }

  function drop(handle: EntryHandle): void {
    if (own.value === handle) own.value = undefined;
    if (active.value === handle) active.value = own.value;
  }

  function apply(change: (entry: EntryText) => EntryText): void {
    active.value?.apply(change);
  }

  return { active, take, drop, apply };
});
