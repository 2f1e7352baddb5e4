import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useKept } from '../../live/use-kept.ts';
import type { JigDraft } from './draft.ts';

interface KeptDraft {
  readonly key: string;
  readonly draft: JigDraft;
}

/**
 * Jigs that are being written. They are kept on this device until they are saved or cancelled: who looks at another jig, leaves the
 * room or closes the page finds them as they were.
 */
export function useDrafts() {
  const kept = useKept<{ readonly drafts: readonly KeptDraft[] }>('jig-drafts', { drafts: [] });
  /** The one that is written in now. */
  const key = ref<string>();
  const open = computed({
    get: () => kept.value.drafts.find((one) => one.key === key.value)?.draft,
    set: (draft: JigDraft | undefined) => {
      const at = key.value;
      if (at === undefined) return;
      const isKnown = kept.value.drafts.some((one) => one.key === at);
      const all = isKnown ? kept.value.drafts : [...kept.value.drafts, { key: at, draft }];
      const now = all.map((one) => (one.key === at ? { key: at, draft } : one));
      kept.value = { drafts: now.flatMap((one) => (one.draft ? [{ key: one.key, draft: one.draft }] : [])) };
    },
  });
  /** Begins one, or goes on with what was begun of the same jig. */
  function begin(draft: JigDraft): void {
    const begun = kept.value.drafts.find((one) => draft.id !== undefined && one.draft.id === draft.id);
    key.value = begun?.key ?? uuidv7();
    if (begun === undefined) open.value = draft;
  }
  /** It was saved, or is not wanted. */
  function end(): void {
    open.value = undefined;
    key.value = undefined;
  }
  return {
    key,
    all: computed(() => kept.value.drafts),
    open,
    begin,
    end,
    goOn: (wanted: string) => (key.value = wanted),
    /** Another jig is looked at. */
    putAside: () => (key.value = undefined),
  };
}
