import { effect, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';
import { behindPaint } from './behind-paint.ts';
import type { Drawn } from './drawn.ts';

/**
 * A value a moment late: it is computed when the frame that shows what is wanted first has been painted, and not before.
 * Values that come faster than frames are passed over. What is drawn from it never holds up a key, and no action may read it.
 * @param firstAtOnce the first value where there was none is not late: what makes room for itself on the screen does so
 *   in the frame that shows the rest, and nothing moves under a thumb
 */
export function afterPaint<T>(now: () => T, { firstAtOnce = false } = {}): Readonly<Ref<Drawn<T>>> {
  const late = shallowRef() as Ref<T>;
  let isGone = false;
  let current = undefined as T;
  // A watcher would compute the value in the frame of the key, only to see whether it is another.
  const compute = effect(() => (current = now()), { scheduler: () => behindPaint(follow) });
  const follow = (): void => {
    if (isGone) return;
    compute();
    late.value = current;
  };
  late.value = current;
  if (firstAtOnce && late.value === undefined) {
    const stop = watch(now, (value) => {
      if (value === undefined) return;
      late.value = value;
      stop();
    });
  }
  onBeforeUnmount(() => (isGone = true));
  return late as unknown as Readonly<Ref<Drawn<T>>>;
}
