import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { behindPaint } from './behind-paint.ts';
import type { Drawn } from './drawn.ts';

/**
 * A value a moment late: it follows when the frame that shows what is wanted first has been painted. Values that come
 * faster than frames are passed over. What is drawn from it never holds up a key, and no action may read it.
 * @param firstAtOnce the first value where there was none is not late: what makes room for itself on the screen does so
 *   in the frame that shows the rest, and nothing moves under a thumb
 */
export function afterPaint<T>(now: () => T, { firstAtOnce = false } = {}): Readonly<Ref<Drawn<T>>> {
  const late = shallowRef(now()) as Ref<T>;
  let waitsForFirst = firstAtOnce && late.value === undefined;
  let isGone = false;
  const follow = (): void => {
    if (!isGone) late.value = now();
  };
  watch(now, (value) => {
    if (waitsForFirst && value !== undefined) {
      waitsForFirst = false;
      late.value = value;
    }
    behindPaint(follow);
  });
  onBeforeUnmount(() => (isGone = true));
  return late as unknown as Readonly<Ref<Drawn<T>>>;
}
