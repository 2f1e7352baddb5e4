import Sortable from 'sortablejs';

/** Milliseconds that a finger holds a line before it comes along: what moves at once scrolls. */
const HELD = 280;
/** Pixels that a finger may stray meanwhile. */
const STRAYS = 6;

/** A mouse drags a line by its grip; a finger that holds it, by any part of it. A line that is edited stays. */
function isNoHandle(event: Event): boolean {
  const target = event.target as HTMLElement;
  if (target.closest('.editing, .rest, input') !== null) return true;
  const isMouse = !('pointerType' in event) || event.pointerType === 'mouse';
  return isMouse && target.closest('.grip') === null;
}

/** Pixels from the edge of the list at which it scrolls, and by how much: on a phone it is not much higher than two lines. */
const [EDGE, STEP] = [14, 5];

const placeOf = (element: Element | null | undefined): number | undefined => {
  const index = (element as HTMLElement | null | undefined)?.dataset['index'];
  return index === undefined ? undefined : Number(index);
};

/**
 * Lets lines be dragged. The slate is drawn from its own order, so what was dragged is put back where it was taken from,
 * and only the places are reported: from which to which, among all lines of the list.
 * @param holding gets whether one is held
 * @returns what ends it
 */
export function dragLines(
  items: HTMLElement,
  moved: (from: number, to: number) => void,
  holding: (isHeld: boolean) => void,
): () => void {
  const sortable = Sortable.create(items, {
    filter: isNoHandle,
    preventOnFilter: false,
    animation: 120,
    forceFallback: true,
    delay: HELD,
    delayOnTouchOnly: true,
    touchStartThreshold: STRAYS,
    scrollSensitivity: EDGE,
    scrollSpeed: STEP,
    onStart: () => holding(true),
    onEnd: ({ item, from: list }) => {
      holding(false);
      const from = placeOf(item);
      const next = placeOf(item.nextElementSibling);
      const to = next === undefined ? placeOf(item.previousElementSibling) : next > (from ?? 0) ? next - 1 : next;
      list.insertBefore(
        item,
        [...list.children].find((one) => one !== item && placeOf(one) === (from ?? 0) + 1) ?? null,
      );
      if (from !== undefined && to !== undefined && from !== to) moved(from, to);
    },
  });
  return () => {
    sortable.destroy();
  };
}
