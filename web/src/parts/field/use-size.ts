import { reckonTyped, type BareUnit, type Issue, type Quantity, type Reckoned, type Scope } from '@sprell/core';
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
  /** The entry as it is kept: with the units that were not typed. */
  readonly written: () => string;
}

/** What differs in a field from what the job says. */
export interface OfField {
  /** What a number without a unit is. */
  readonly bare?: BareUnit | undefined;
  /** What its entry may name. */
  readonly scope?: (() => Scope) | undefined;
}

export function useSize(text: Readonly<Ref<string>>, ofField: () => OfField = () => ({})): Size {
  const job = useJob();
  const options = () => ({
    scope: (ofField().scope ?? (() => job.slate.scope()))(),
    style: job.style,
    bare: ofField().bare ?? job.reading.bare,
  });
  const reckoned = computed(() => {
    return text.value.trim() === '' ? undefined : reckonTyped(text.value, options());
  });
  const issue = computed(() => reckoned.value && mended(reckoned.value, options()));
  const quantity = computed(() => {
    const outcome = reckoned.value?.issue === undefined ? reckoned.value?.outcome : undefined;
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  });
  const written = () => reckonTyped(text.value, options()).written.trim();
  return { reckoned, issue, quantity, written };
}
