<script setup lang="ts">
/** Two versions of one line, shown until somebody chooses. */
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import type { Conflict } from '../../job/index.ts';

defineProps<{
  conflict: Conflict;
  /** Words as they were understood. */
  read: (words: string) => string;
}>();
const emit = defineEmits<{ choose: [keep: 'mine' | 'theirs'] }>();
</script>

<template>
  <div class="notice" role="alert">
    <p>
      <template v-if="conflict.line.number !== null">Line #{{ conflict.line.number }}</template>
      <template v-else>This {{ conflict.line.kind }}</template> was changed elsewhere too.
      <template v-if="conflict.mineSays">Yours: <SizeText class="words" :text="read(conflict.mineSays)" /></template>
      <template v-else>You took it off the slate.</template>
      <template v-if="conflict.theirsSays">
        Now it says <SizeText class="words" :text="read(conflict.theirsSays)"
      /></template>
      <template v-else> Now it is off the slate.</template>
    </p>
    <PlainButton @click="emit('choose', 'mine')">{{ conflict.mineSays ? 'Use mine' : 'Delete it' }}</PlainButton>
    <PlainButton @click="emit('choose', 'theirs')">Leave it</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
<style scoped>
.words {
  font-weight: 600;
  overflow-wrap: anywhere;
}
</style>
