import { reckon, type Quantity, type Reckoned } from '@sprell/core';
import { computed, type ComputedRef, type Ref } from 'vue';
import { useJobStore } from '../job/job.store.ts';

/** What stands in a field, worked out in the open job as it is now. */
export interface Size {
  /** Undefined while the field is empty. */
  readonly reckoned: ComputedRef<Reckoned | undefined>;
  /** Undefined while it does not come to a quantity. */
  readonly quantity: ComputedRef<Quantity | undefined>;
}

export function useSize(text: Readonly<Ref<string>>): Size {
  const store = useJobStore();
  const reckoned = computed(() => {
    // The rows are what the scope was made from; a change to them is a change of scope.
    void store.rows;
    return text.value.trim() === '' ? undefined : reckon(text.value, { scope: store.scope(), style: store.style });
  });
  const quantity = computed(() => {
    const outcome = reckoned.value?.issue === undefined ? reckoned.value?.outcome : undefined;
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  });
  return { reckoned, quantity };
}
