import { computed } from 'vue';
import { isMetric, type SheetSize } from '@sprell/core';
import { useJob } from './use-jobs.ts';
import { useKept } from './use-kept.ts';

const WORDS: readonly (readonly [SheetSize, string])[] = [
  ['letter', 'US Letter'],
  ['a4', 'A4'],
];

/** The paper that this device prints on: the one chosen last, or the usual one of the job's units, which is named first. */
export function useSheet() {
  const job = useJob();
  const chosen = useKept<SheetSize | ''>('paper', '');
  const metric = computed(() => isMetric(job.style.length));
  return {
    sheets: computed(() => (metric.value ? [...WORDS].reverse() : WORDS)),
    sheet: computed({
      get: (): SheetSize => chosen.value || (metric.value ? 'a4' : 'letter'),
      set: (wanted) => (chosen.value = wanted),
    }),
  };
}
