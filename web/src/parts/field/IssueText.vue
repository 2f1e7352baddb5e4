<script setup lang="ts">
/** What is wrong, in words, and what mends it at a touch. */
import SizeText from '../../ui/SizeText.vue';
import { describeIssue, type Fix, type Issue } from '@sprell/core';

defineProps<{
  issue: Pick<Issue, 'fixes'> | Issue;
  /** The sentence for it, where it is not one of an entry. */
  says?: string;
}>();
const emit = defineEmits<{ mend: [fix: Fix] }>();
</script>

<template>
  <span class="issue">
    {{ says ?? describeIssue(issue as Issue) }}
    <span v-if="issue.fixes.length > 0" class="fixes">
      <button
        v-for="fix in issue.fixes"
        :key="fix.entry"
        type="button"
        class="fix"
        data-test="fix"
        @pointerdown.prevent
        @click="emit('mend', fix)"
      >
        <SizeText :text="fix.label" />
      </button>
    </span>
  </span>
</template>

<style scoped>
.issue {
  color: var(--pencil);
  font-weight: 400;
}
.fixes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin: 4px 0;
}
.fix {
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
}
</style>
