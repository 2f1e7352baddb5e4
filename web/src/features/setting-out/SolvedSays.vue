<script setup lang="ts">
/** What stands between what is given and a shape: what is missing, what contradicts, which limits it breaks. */
import { computed } from 'vue';
import { describeShapeIssue, readQuantity, type Answer, type Solved } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { wantedWords } from './wanted-words.ts';

const props = defineProps<{
  solved: Solved;
  answer: Answer | undefined;
  titleOf: (field: string) => string;
}>();
const emit = defineEmits<{ takeOut: [field: string] }>();
const job = useJob();

const wanted = computed(() => wantedWords(props.solved.wanted, props.titleOf));
const contradiction = computed(() => {
  const found = props.solved.contradiction;
  return found && { field: found.field, says: readQuantity(found.comesOutAt, job.style).text };
});
</script>

<template>
  <div>
    <p v-if="contradiction" class="says problem" role="status">
      <span
        >{{ titleOf(contradiction.field) }} comes out at <SizeText :text="contradiction.says" /> from the rest. Take one
        of them out.</span
      >
      <PlainButton data-test="take-out" @click="emit('takeOut', contradiction.field)"
        >Delete {{ titleOf(contradiction.field) }}</PlainButton
      >
    </p>
    <p v-else-if="solved.impossible" class="says problem" role="status">{{ describeShapeIssue(solved.impossible) }}</p>
    <p v-else-if="wanted" class="says" role="status" data-test="wanted">{{ wanted }}</p>
    <ul v-if="answer && answer.breaks.length > 0" class="says problem" role="status" data-test="breaks">
      <li v-for="one in answer.breaks" :key="one.code">{{ describeShapeIssue(one) }}</li>
    </ul>
    <p v-else-if="answer?.keeps" class="says" role="status" data-test="keeps">Within your limits.</p>
  </div>
</template>

<style scoped>
.says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 0;
  padding: 10px 16px;
  font-size: 17px;
  background: var(--chalk-wash);
}
.problem {
  background: var(--pencil-wash);
}
ul.says {
  flex-direction: column;
  align-items: flex-start;
  list-style: none;
}
</style>
