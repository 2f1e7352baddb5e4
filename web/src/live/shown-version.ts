import { computed } from 'vue';
import type { Quantities } from '../job/quantities.ts';
import { useJob } from './use-jobs.ts';
import { useKept } from './use-kept.ts';

/** Which version of the take-off is looked at, and so counted and printed: rows that belong to others alone are not. */
export function useShownVersion(list: Quantities) {
  const job = useJob();
  const version = useKept<string>(() => `quantities.version.${job.head?.id}`, '');
  return {
    versions: computed(() => list.versions.map(({ id, name }) => [id, name] as const)),
    versionNow: computed({
      get: () => (list.versions.find(({ id }) => id === version.value) ?? list.versions[0])?.id,
      set: (id: string | undefined) => (version.value = id ?? ''),
    }),
  };
}
