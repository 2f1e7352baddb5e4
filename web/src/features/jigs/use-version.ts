import { computed, ref, watch } from 'vue';
import type { JigSet } from '@sprell/core/jig';
import type { KeptJig, ShelfJig } from '../../job/index.ts';

/** Which version of a jig is shown: the one that this job uses, else the latest; or an earlier one that is looked at. */
export function useVersion(chosen: () => ShelfJig | undefined, inJob: () => KeptJig | undefined) {
  const looked = ref<number>();
  watch(
    () => chosen()?.id,
    () => (looked.value = undefined),
  );
  const own = computed(() => inJob()?.set ?? chosen()?.set);
  /** All that there are, the latest first. */
  const all = computed((): readonly JigSet[] => {
    const byVersion = new Map(
      [own.value, chosen()?.set, ...(chosen()?.earlier ?? [])].flatMap((set) => (set ? [[set.jig.version, set]] : [])),
    );
    return [...byVersion.values()].sort((a, b) => b.jig.version - a.jig.version);
  });
  const set = computed(() => all.value.find(({ jig }) => jig.version === looked.value) ?? own.value);
  const version = computed({
    get: () => set.value?.jig.version ?? 0,
    set: (wanted: number) => (looked.value = wanted),
  });
  /** Its answers go nowhere: an entry of this job would come to what the job's own version says. */
  const isOnlyLookedAt = computed(() => set.value !== undefined && set.value.jig.version !== own.value?.jig.version);
  return { all, set, version, own, isOnlyLookedAt };
}
