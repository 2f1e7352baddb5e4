<script setup lang="ts">
/** Where the changes are kept, in words. */
import { computed } from 'vue';
import { Check } from 'lucide-vue-next';
import type { KeepState } from '../job/outbox.ts';

const props = defineProps<{ state: KeepState }>();
const words = computed(() => {
  const { state } = props;
  if (state.kind === 'kept') return 'kept on the server';
  if (state.kind === 'opening') return '';
  if (state.kind === 'writing') return 'keeping …';
  if (state.reason === undefined) return 'kept here';
  return `${state.changes} ${state.changes === 1 ? 'change' : 'changes'} waiting`;
});
const reason = computed(() => (props.state.kind === 'here' ? props.state.reason : undefined));
</script>

<template>
  <span
    class="state"
    :class="{ kept: state.kind === 'kept', waiting: reason !== undefined }"
    role="status"
    :title="reason"
    data-test="keep-state"
    ><Check v-if="state.kind === 'kept'" class="sign" :size="18" aria-hidden="true" /><span class="words">{{
      words
    }}</span></span
  >
</template>

<style scoped>
.state {
  color: var(--ink-soft);
  white-space: nowrap;
}
.sign {
  display: none;
}
/* Where room is short a tick says that all is well; anything else is said in words. */
@media (max-width: 760px) {
  .sign {
    display: block;
  }
  .kept .words {
    position: absolute;
    clip-path: inset(50%);
  }
}
.waiting {
  color: var(--pencil);
  font-weight: 500;
}
</style>
