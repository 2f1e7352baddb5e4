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
    <PlainButton @click="emit('choose', 'mine')">{{ conflict.mineSays ? 'Use mine' : 'Take it off' }}</PlainButton>
    <PlainButton @click="emit('choose', 'theirs')">Leave it</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
