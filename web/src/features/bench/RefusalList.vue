<script setup lang="ts">
/** Many changes that the server did not do, shown together until somebody has seen to them. */
import { computed } from 'vue';
import { useClipboard } from '@vueuse/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import type { Refusal } from '../../job/index.ts';

const props = defineProps<{
  refusals: readonly Refusal[];
  /** Words as they were understood. */
  read: (words: string) => string;
}>();
const emit = defineEmits<{ drop: [] }>();
const clipboard = useClipboard({ legacy: true, copiedDuring: 4000 });

const reasons = computed(() => [...new Set(props.refusals.map(({ why }) => why))].join('; '));
const said = computed(() => props.refusals.flatMap(({ says }) => says ?? []));
</script>

<template>
  <div class="notice" role="alert" data-test="refusals">
    <p>The server did not keep {{ refusals.length }} changes: {{ reasons }}.</p>
    <details v-if="said.length > 0">
      <summary>What they say</summary>
      <ul>
        <li v-for="(words, nth) in said" :key="nth"><SizeText :text="read(words)" /></li>
      </ul>
    </details>
    <PlainButton v-if="said.length > 0" data-test="copy-refused" @click="clipboard.copy(said.join('\n'))">{{
      clipboard.copied.value ? 'Copied' : 'Copy all'
    }}</PlainButton>
    <PlainButton data-test="drop-refused" @click="emit('drop')">Delete all</PlainButton>
  </div>
</template>

<style scoped src="./notice.css"></style>
<style scoped>
summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  text-decoration: underline;
  cursor: pointer;
}
ul {
  max-height: 30vh;
  margin: 0 0 8px;
  overflow: auto;
}
</style>
