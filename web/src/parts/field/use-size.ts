import { reckon, type Issue, type Quantity, type Reckoned } from '@sprell/core';
import { mended } from '@sprell/core/mend';
import { computed, type ComputedRef, type Ref } from 'vue';
import { useJob } from '../../live/use-jobs.ts';

/** What stands in a field, worked out in the open job as it is now. */
export interface Size {
  /** Undefined while the field is empty. */
  readonly reckoned: ComputedRef<Reckoned | undefined>;
  /** What is in the way, with what mends it. */
  readonly issue: ComputedRef<Issue | undefined>;
  /** Undefined while it does not come to a quantity. */
  readonly quantity: ComputedRef<Quantity | undefined>;
}

export function useSize(text: Readonly<Ref<string>>): Size {
  const job = useJob();
  const options = () => ({ scope: job.slate.scope(), style: job.style });
  const reckoned = computed(() => {
    return text.value.trim() === '' ? undefined : reckon(text.value, options());
  });
  const issue = computed(() => reckoned.value && mended(reckoned.value, options()));
  const quantity = computed(() => {
    const outcome = reckoned.value?.issue === undefined ? reckoned.value?.outcome : undefined;
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  });
  return { reckoned, issue, quantity };
}
