import { defineStore } from 'pinia';
import { ref } from 'vue';
import { useKept } from './use-kept.ts';

/** A size that a measuring tool sent. */
export interface Measured {
  /** As an entry. */
  readonly size: string;
  /** In milliseconds since 1970. */
  readonly at: number;
}
const MOST = 10;

/** The last ten sizes that a measuring tool sent to this device, the newest first. */
export const useMeter = defineStore('meter', () => {
  const held = useKept<{ readonly list: readonly Measured[] }>('measured', { list: [] });
  /** One that no field took: what is to be done with it is asked. */
  const loose = ref<Measured>();
  const open = ref(false);
  /** The simulated one lies over the screen. */
  const isSimulated = ref(false);

  function hold(size: string, isLoose: boolean): void {
    const one = { size, at: Date.now() };
    held.value = { list: [one, ...held.value.list].slice(0, MOST) };
    loose.value = isLoose ? one : undefined;
  }
  function drop(one: Measured): void {
    held.value = { list: held.value.list.filter(({ at, size }) => at !== one.at || size !== one.size) };
  }
  function clear(): void {
    held.value = { list: [] };
  }
  return { held, loose, open, isSimulated, hold, drop, clear };
});
