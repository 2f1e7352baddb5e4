<script setup lang="ts">
/** Where the changes are kept, in words, and the way to what can be done about it. */
import { computed } from 'vue';
import { Check } from 'lucide-vue-next';
import { RouterLink } from 'vue-router';
import type { KeepState } from '../../job/index.ts';

const props = defineProps<{
  state: KeepState;
  /** The job can be read here, not changed. */
  isReader?: boolean;
}>();
const words = computed(() => {
  const { state } = props;
  if (state.kind === 'kept') return props.isReader ? 'read only' : 'saved';
  if (state.kind === 'opening') return '';
  if (state.kind === 'writing') return 'saving …';
  if (state.kind === 'page') return `${state.changes} on this page only`;
  if (state.reason === undefined) return 'saved here';
  return `${state.changes} ${state.changes === 1 ? 'change' : 'changes'} waiting`;
});
/** Changes that wait for the server, where that is what is to be said. */
const waiting = computed(() =>
  props.state.kind === 'here' && props.state.reason !== undefined ? props.state.changes : 0,
);
const reason = computed(() => ('reason' in props.state ? props.state.reason : undefined));
</script>

<template>
  <RouterLink
    to="/account"
    class="state"
    :class="{ kept: state.kind === 'kept' && !isReader, waiting: reason !== undefined }"
    :title="reason ?? 'Devices and people'"
    data-test="keep-state"
    :aria-label="words === '' ? 'Devices and people' : `${words}. Devices and people`"
    ><Check v-if="state.kind === 'kept' && !isReader" class="sign" :size="18" aria-hidden="true" /><span
      class="words"
      role="status"
      ><template v-if="waiting"
        >{{ waiting }} <span class="noun">{{ waiting === 1 ? 'change ' : 'changes ' }}</span>waiting</template
      ><template v-else>{{ words }}</template></span
    ></RouterLink
  >
</template>

<style scoped>
.state {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 36px;
  min-height: var(--touch);
  color: var(--ink-soft);
  text-decoration: none;
  white-space: nowrap;
}
.state:hover {
  color: var(--chalk);
}
.sign {
  display: none;
}
/* Where room is short a tick says that all is well; anything else is said in words. */
@media (max-width: 760px) {
  .sign {
    display: block;
  }
  .words {
    line-height: 1.15;
    white-space: normal;
    text-align: right;
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
