import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';

/**
 * A value a moment late: it follows when the frame that shows what is wanted first has been painted. Values that come
 * faster than frames are passed over. What is drawn from it never holds up a key.
 */
export function afterPaint<T>(now: () => T): Readonly<Ref<T>> {
  const late = shallowRef(now()) as Ref<T>;
  let frame: number | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(now, () => {
    if (frame !== undefined) return;
    frame = requestAnimationFrame(() => {
      // Behind the frame, not in it.
      timer = setTimeout(() => {
        frame = undefined;
        late.value = now();
      });
    });
  });
  onBeforeUnmount(() => {
    if (frame !== undefined) cancelAnimationFrame(frame);
    clearTimeout(timer);
  });
  return late;
}
