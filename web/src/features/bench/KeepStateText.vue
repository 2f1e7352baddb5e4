<script setup lang="ts">
/** Where the changes are kept, in words. */
import { computed } from 'vue';
import type { KeepState } from '../job/outbox.ts';

const props = defineProps<{ state: KeepState }>();
const words = computed(() => {
  const { state } = props;
  if (state.kind === 'kept') return 'kept on the server';
  if (state.kind === 'sending') return 'keeping …';
  return `${state.changes} ${state.changes === 1 ? 'change' : 'changes'} waiting`;
});
</script>

<template>
  <span
    class="state"
    :class="state.kind"
    role="status"
    :title="state.kind === 'waiting' ? state.reason : undefined"
    data-test="keep-state"
    >{{ words }}</span
  >
</template>

<style scoped>
.state {
  color: var(--ink-soft);
  white-space: nowrap;
}
.waiting {
  color: var(--pencil);
  font-weight: 500;
}
</style>
