/** A slate that shows its last lines goes on showing them when its room changes, until somebody scrolls up. */
import { useResizeObserver } from '@vueuse/core';
import { onMounted, watch, type Ref } from 'vue';

/** Pixels from the foot within which the list counts as being at it: rows are measured in parts of a pixel. */
const NEAR = 4;

interface Foot {
  readonly list: Ref<HTMLElement | undefined>;
  /** The id of the last line: lines are added after it, from here, from another device or from the server. */
  readonly lastLine: () => string | undefined;
  /** Brings the last line into view, once it is made and measured. */
  readonly show: () => Promise<void>;
  /** True while a line is being written: it stays where it is. */
  readonly isHeld: () => boolean;
}

/** @returns the listener for the list's scrolling */
export function useFoot({ list, lastLine, show, isHeld }: Foot): (event: Event) => void {
  let isAtFoot = true;
  let lastTop = 0;
  watch(lastLine, () => {
    if (isAtFoot && !isHeld()) void show();
  });
  // Lines may be there before the list is.
  onMounted(show);
  useResizeObserver(list, () => {
    if (isAtFoot && !isHeld()) list.value?.scrollTo(0, list.value.scrollHeight);
  });
  return ({ target }) => {
    const { scrollTop, clientHeight, scrollHeight } = target as HTMLElement;
    if (scrollTop + clientHeight >= scrollHeight - NEAR) isAtFoot = true;
    // Lines that came in below the last one drawn make the list longer: that is not scrolling.
    else if (scrollTop < lastTop) isAtFoot = false;
    lastTop = scrollTop;
  };
}
