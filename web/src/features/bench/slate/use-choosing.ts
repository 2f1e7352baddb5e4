/** Lines that are chosen on the slate, and where they are taken together. */
import { computed, ref, watch } from 'vue';
import type { SlateRow } from '../../../job/index.ts';

interface Choosing {
  /** All lines of the slate, and those that are shown. */
  readonly rows: () => readonly SlateRow[];
  readonly shown: () => readonly SlateRow[];
  /** Lines go together above another, or to the foot; under a heading where words are given. */
  readonly gather: (lineIds: ReadonlySet<string>, beforeId: string | undefined, heading?: string) => void;
}

export function useChoosing({ rows, shown, gather }: Choosing) {
  /** Undefined while nothing is being chosen. */
  const chosen = ref<ReadonlySet<string>>();
  /** The line that the chosen ones go above is touched next. */
  const isPlacing = ref(false);
  watch(chosen, (now) => {
    if (now === undefined) isPlacing.value = false;
  });
  const chosenRows = computed(() => rows().filter((row) => chosen.value?.has(row.line.id) === true));

  function toggle({ line: { id } }: SlateRow): void {
    const next = new Set(chosen.value);
    if (!next.delete(id)) next.add(id);
    chosen.value = next;
  }
  function all(): void {
    chosen.value = new Set(shown().map(({ line }) => line.id));
  }
  function begin(): void {
    chosen.value = chosen.value === undefined ? new Set() : undefined;
  }
  /** What is done with them ends the choosing. @returns those that were chosen */
  function end(): ReadonlySet<string> {
    const now = chosen.value ?? new Set<string>();
    chosen.value = undefined;
    return now;
  }
  function place(beforeId: string | undefined): void {
    gather(end(), beforeId);
  }
  /** The first of them stays where it is, the others come to it. */
  function head(words: string): void {
    const first = chosenRows.value[0]?.line.id;
    gather(end(), first, words);
  }
  return { chosen, chosenRows, isPlacing, toggle, all, begin, end, place, head };
}
