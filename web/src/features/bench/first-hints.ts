import { computed, type ComputedRef } from 'vue';
import { useComfort } from '../../live/comfort.store.ts';
import type { Reckoning } from './reckoning.ts';
import type { Amount } from './stick/amount.ts';

/** Hints for the first day, in the order in which they help. */
export type Hint = 'fraction' | 'use' | 'finest' | 'keep' | 'edit';

export const HINTS: readonly { readonly key: Hint; readonly says: string }[] = [
  { key: 'fraction', says: 'Touch or drag on the drawn inch to put a fraction in.' },
  { key: 'use', says: 'Touch the figure of a line to use it in the entry.' },
  { key: 'finest', says: 'Under the reading: to which mark it is rounded. Touch to change it.' },
  { key: 'keep', says: 'store puts a result on the story stick, by a short name.' },
  { key: 'edit', says: 'Touch the words of a line to edit it; all that uses it follows.' },
];

/** What the hints can speak of now; what was done by itself needs none. */
export function useHintsThere(
  { metric, workedRows, inHand }: Pick<Reckoning, 'metric' | 'workedRows' | 'inHand'>,
  amount: ComputedRef<Amount | undefined>,
): ComputedRef<ReadonlySet<Hint>> {
  const { comfort } = useComfort();
  return computed(() => {
    const there = new Set<Hint>();
    if (comfort.showKeys && !metric.value) there.add('fraction');
    if (workedRows.value.length > 0) there.add('use').add('edit');
    if (inHand.value?.reading?.steps !== undefined) there.add('finest');
    if (comfort.showStick && amount.value !== undefined) there.add('keep');
    return there;
  });
}
