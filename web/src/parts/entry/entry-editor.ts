import { markRaw, shallowRef } from 'vue';
import type EntryEditor from './EntryEditor.vue';

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
