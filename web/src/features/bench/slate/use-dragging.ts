/** Lines are dragged by their grips; what does it is loaded when the slate is first pointed at. */
import { onBeforeUnmount, ref, type Ref } from 'vue';

/**
 * @param moved gets the places of the dragged row, before and after, among those that are drawn
 * @returns `load`, for the first time the slate is pointed at or touched, and whether rows can be dragged by now
 */
export function useDragging(items: Ref<HTMLElement | undefined>, moved: (from: number, to: number) => void) {
  const canDrag = ref(false);
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
    stop = drag.dragLines(items.value, moved);
    canDrag.value = true;
  }
  onBeforeUnmount(() => {
    isGone = true;
    stop?.();
  });
  return { canDrag, load };
}
