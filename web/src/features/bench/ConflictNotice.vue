<script setup lang="ts">
/** Two versions of one line, shown until somebody chooses. */
import PlainButton from '../../ui/PlainButton.vue';
import type { Conflict } from '../job/conflict.ts';

defineProps<{ conflict: Conflict }>();
const emit = defineEmits<{ choose: [keep: 'mine' | 'theirs'] }>();
</script>

<template>
  <div class="notice" role="alert">
    <p>
      Line #{{ conflict.line.number }} was changed elsewhere too.
      <template v-if="conflict.mineSays"
        >Yours: <b>{{ conflict.mineSays }}</b></template
      >
      <template v-else>You took it off the slate.</template>
      <template v-if="conflict.theirsSays">
        Now it says <b>{{ conflict.theirsSays }}</b></template
      >
      <template v-else> Now it is off the slate.</template>
    </p>
    <PlainButton v-if="conflict.mine" @click="emit('choose', 'mine')">Use mine</PlainButton>
    <PlainButton @click="emit('choose', 'theirs')">Leave it</PlainButton>
  </div>
</template>

<style scoped>
.notice {
  grid-area: notices;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  padding: 8px 24px;
  background: var(--pencil-wash);
}
p {
  margin: 0;
  flex: 1;
}
</style>
