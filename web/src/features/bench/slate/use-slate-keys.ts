/**
 * The slate by keyboard: one stop of the Tab key, from which arrows go from line to line and along the parts of one. The line
 * that was gone to is brought into view and drawn before it gets the focus.
 */
import { computed, nextTick, ref, watch, type ComputedRef, type Ref } from 'vue';

interface Keyed {
  readonly list: Ref<HTMLElement | undefined>;
  /** Ids of the lines, in order. */
  readonly ids: ComputedRef<readonly string[]>;
  /** Ids of those that are drawn. */
  readonly drawn: ComputedRef<readonly string[]>;
  readonly scrollTo: (index: number) => void;
  readonly remove: (id: string) => void;
}

/** The parts of a line that can be gone to, from left to right. */
const PARTS = '.tick input, .body, .result, .dots';
/** Lines by which a page goes on where none are measured. */
const PAGE = 5;

export function useSlateKeys({ list, ids, drawn, scrollTo, remove }: Keyed) {
  const current = ref<string>();
  /** The line where the Tab key stops: the one that was gone to last, or while that is out of view the last one drawn. */
  const stop = computed(() => {
    const here = current.value;
    return here !== undefined && drawn.value.includes(here) ? here : drawn.value[drawn.value.length - 1];
  });
  const rowOf = (id: string) => list.value?.querySelector<HTMLElement>(`[data-row="${id}"]`);

  /** Goes to a line; to the part of it that has the class, where it has one. */
  async function go(index: number, part = 'body'): Promise<void> {
    const id = ids.value[index];
    if (id === undefined) return;
    current.value = id;
    for (let tries = 0; tries < 10 && rowOf(id) === undefined; tries += 1) {
      scrollTo(index);
      await nextTick();
      await new Promise((resolve) => requestAnimationFrame(resolve));
    }
    scrollTo(index);
    const row = rowOf(id);
    (row?.querySelector<HTMLElement>(`.${part}`) ?? row?.querySelector<HTMLElement>('.body'))?.focus({
      preventScroll: true,
    });
  }

  function along(row: HTMLElement, target: Element, by: 1 | -1): void {
    const parts = [...row.querySelectorAll<HTMLElement>(PARTS)];
    parts[parts.indexOf(target as HTMLElement) + by]?.focus();
  }

  /** The key does something else inside a field, or with Alt, where it moves the line. */
  function isOthers({ altKey, ctrlKey, metaKey, target }: KeyboardEvent): boolean {
    return altKey || ctrlKey || metaKey || (target as Element).closest('.editing, .rest') !== null;
  }

  function byKey(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    const row = target.closest<HTMLElement>('[data-row]');
    const id = row?.dataset['row'];
    if (row === null || id === undefined || isOthers(event)) return;
    const at = ids.value.indexOf(id);
    const part = target.className.split(' ')[0];
    const last = ids.value.length - 1;
    const page = Math.max(1, Math.floor((list.value?.clientHeight ?? 0) / (row.offsetHeight || 1)) - 1) || PAGE;
    const to = {
      ArrowUp: at - 1,
      ArrowDown: at + 1,
      Home: 0,
      End: last,
      PageUp: at - page,
      PageDown: at + page,
    }[event.key];
    if (to !== undefined) void go(Math.min(last, Math.max(0, to)), part);
    else if (event.key === 'ArrowRight') along(row, target, 1);
    else if (event.key === 'ArrowLeft') along(row, target, -1);
    else if (event.key === 'Delete') {
      remove(id);
      // The line behind it has its place now.
      void nextTick(() => {
        if (!ids.value.includes(id)) void go(Math.min(at, ids.value.length - 1));
      });
    } else return;
    event.preventDefault();
  }

  function focused(event: FocusEvent): void {
    current.value = (event.target as Element).closest<HTMLElement>('[data-row]')?.dataset['row'] ?? current.value;
  }

  // A line that is scrolled out of view with the focus in it takes it along: the next one that is drawn gets it.
  let hadFocus = false;
  watch(drawn, () => (hadFocus = list.value?.contains(document.activeElement) === true), { flush: 'pre' });
  watch(
    drawn,
    () => {
      if (!hadFocus || document.activeElement !== document.body || stop.value === undefined) return;
      rowOf(stop.value)?.querySelector<HTMLElement>('.body')?.focus({ preventScroll: true });
    },
    { flush: 'post' },
  );

  return { stop, byKey, focused, go };
}
