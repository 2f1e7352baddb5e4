/** Lines are dragged; what does it is loaded when the slate is first pointed at, on a touch screen behind the lines. */
import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';
import { behindLines } from '../../../ui/behind-lines.ts';

/**
 * @param moved gets the places of the dragged row, before and after, among all of the list
 * @returns `load`, for the first time the slate is pointed at or touched; whether rows can be dragged by now, and one is
 */
export function useDragging(items: Ref<HTMLElement | undefined>, moved: (from: number, to: number) => void) {
  const canDrag = ref(false);
  const isDragging = ref(false);
  let loading = false;
  let stop: (() => void) | undefined;
  let isGone = false;
  async function load(): Promise<void> {
    if (loading) return;
    loading = true;
    // With no signal it is asked for again the next time.
    const drag = await import('./drag-lines.ts').catch(() => undefined);
    loading = drag !== undefined;
    if (!drag || isGone || !items.value) return;
    stop = drag.dragLines(items.value, moved, (isHeld) => (isDragging.value = isHeld));
    canDrag.value = true;
  }
  // A finger does not point before it touches: by then it has to be there.
  onMounted(() => {
    if (matchMedia('(pointer: coarse)').matches) void behindLines(load);
  });
  onBeforeUnmount(() => {
    isGone = true;
    stop?.();
  });
  return { canDrag, isDragging, load };
}
