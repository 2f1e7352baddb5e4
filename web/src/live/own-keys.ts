import { useMediaQuery } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { useComfort } from './comfort.store.ts';

/** The keys of this application are in the place of the device's own: on a touch screen, unless somebody put them away. */
export function useOwnKeys(): ComputedRef<boolean> {
  const { comfort } = useComfort();
  const isTouch = useMediaQuery('(pointer: coarse)');
  return computed(() => comfort.showKeys && isTouch.value);
}
