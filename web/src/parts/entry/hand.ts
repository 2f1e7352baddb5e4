import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { EntryText } from './edits.ts';
import type { NamedMark } from './suggestions.ts';

/** What a key can do to an entry. */
export interface EntryHandle {
  /** What is written, and where the cursor is. */
  read(): EntryText;
  /** Changes the text, and puts the cursor where the change says. */
  apply(change: (entry: EntryText) => EntryText): void;
  /** Lands the entry, or keeps the line being edited. */
  enter(): void;
  /** Takes the last change of the text back. @returns whether there was one */
  undo(): boolean;
  focus(): void;
}

/** What a field of a room says of itself, for who sees the keys and not the field. */
export interface FieldWords {
  readonly label: string;
  /** What it comes to. */
  readonly reading: string | undefined;
  /** What is wrong with it. */
  readonly problem: string | undefined;
  /** What its entry may name beside marks. */
  readonly names?: readonly NamedMark[] | undefined;
  /** It may name nothing else: no mark, no line, nothing of the bench. */
  readonly isApart?: boolean;
}

/** A field of a room that takes a size. */
export interface FieldHandle extends EntryHandle {
  words(): FieldWords;
}

/** The entry that the keys write to: the one that was touched last, and the bench's own when that one goes. */
export const useHand = defineStore('hand', () => {
  const own = shallowRef<EntryHandle>();
  const active = shallowRef<EntryHandle>();
  /** The field of a room that was touched last. */
  const field = shallowRef<FieldHandle>();
  /** The cursor stands in that field. */
  const isInField = ref(false);
  /** Counts what the keys did: an entry does not say by itself that its cursor moved. */
  const touches = ref(0);

  function take(handle: EntryHandle, isBenchs: boolean): void {
    if (isBenchs) own.value = handle;
    active.value = handle;
  }

  function drop(handle: EntryHandle): void {
    if (own.value === handle) own.value = undefined;
    if (active.value === handle) active.value = own.value;
    if (field.value === handle) {
      field.value = undefined;
      isInField.value = false;
    }
  }

  function enterField(handle: FieldHandle): void {
    take(handle, false);
    field.value = handle;
    isInField.value = true;
  }

  function leaveField(handle: FieldHandle): void {
    if (field.value === handle) isInField.value = false;
  }

  function apply(change: (entry: EntryText) => EntryText): void {
    active.value?.apply(change);
    touches.value += 1;
  }

  /** What stands in the entry that the keys write to. */
  const entry = computed((): EntryText => {
    void touches.value;
    return active.value?.read() ?? { text: '', from: 0, to: 0 };
  });

  return { active, field, isInField, take, drop, enterField, leaveField, apply, entry };
});
