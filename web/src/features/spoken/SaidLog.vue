<script setup lang="ts">
/** What was said before, and what was answered: nothing that was heard is lost, understood or not. */
import { computed } from 'vue';
import type { Exchange } from '@sprell/core/conversation';
import SizeText from '../../ui/SizeText.vue';

const props = defineProps<{ log: readonly Exchange[] }>();
/** The latest first: it is looked for most. */
const latest = computed(() => [...props.log].reverse());
</script>

<template>
  <details data-test="said-log">
    <summary>What was said before</summary>
    <ol>
      <li v-for="({ heard, says }, n) in latest" :key="log.length - n">
        <span class="heard">“{{ heard }}”</span> <SizeText v-if="says" :text="says" />
      </li>
    </ol>
  </details>
</template>

<style scoped>
summary {
  line-height: var(--target);
  color: var(--ink-soft);
  cursor: pointer;
}
ol {
  display: grid;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.heard {
  margin-right: 8px;
  color: var(--ink-soft);
}
</style>
