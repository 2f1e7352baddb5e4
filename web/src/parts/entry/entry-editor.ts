import { markRaw, shallowRef } from 'vue';
import type { Span } from '@sprell/core';
import type EntryEditor from './EntryEditor.vue';
import type { NamedMark } from './suggestions.ts';

/** What the line being written is given, by whatever it is written in. */
export interface EntryEditorProps {
  label: string;
  hint: string;
  /** Marks that may be named. */
  marks: readonly NamedMark[];
  /** There is a result for an operator in an empty entry to go on from. */
  hasLast: boolean;
  /** Id of the element that says what is wrong, while something is. */
  describedBy: string | undefined;
  wrong: Span | undefined;
  ghost: string;
  /** The bench's own entry, which the keys fall back to. */
  isBenchs: boolean;
  /** The bench's keys are on the screen, and the device's own need not come up. */
  ownKeys: boolean;
}

/** Where somebody is in what they have written. */
export interface WrittenSoFar {
  readonly from: number;
  readonly to: number;
  readonly isFocused: boolean;
}

const there = shallowRef<typeof EntryEditor>();
let loading: Promise<void> | undefined;

/** The editor of entries, once it has come. */
export const editorThere = (): typeof EntryEditor | undefined => there.value;

/** Loads the editor, once for all entries of the page. */
export function loadEditor(): Promise<void> {
  loading ??= import('./EntryEditor.vue').then(
    (loaded) => {
      there.value = markRaw(loaded.default);
    },
    () => {
      // What is written goes on in the plain field, and the next entry tries again.
      loading = undefined;
    },
  );
  return loading;
}
