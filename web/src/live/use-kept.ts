import { useLocalStorage } from '@vueuse/core';
import { toValue, type MaybeRefOrGetter, type Ref } from 'vue';

/**
 * A value that this device keeps under a key; other pages of the browser follow it.
 * @param usual what it is as long as nothing else was chosen; fields that a kept object lacks are taken from it
 */
export function useKept<T>(key: MaybeRefOrGetter<string>, usual: T): Ref<T> {
  return useLocalStorage<T>(() => `sprell.${toValue(key)}`, structuredClone(usual), {
    mergeDefaults: true,
    writeDefaults: false,
    serializer: { read: (text) => JSON.parse(text) as T, write: (value) => JSON.stringify(value) },
    // A full or forbidden store: the page goes on without.
    onError: () => undefined,
  });
}
