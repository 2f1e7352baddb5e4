<script setup lang="ts">
/** One size that was found: what it reads, what that cost, and where it can go. */
import { computed } from 'vue';
import { exactText, isMetric, kindOf, type Field, type Quantity, type Reading } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { roundingWord, roundingWords } from '../../parts/reading/rounding-words.ts';
import ResultUses from '../../parts/result/ResultUses.vue';

const props = defineProps<{
  field: Field;
  found: { readonly quantity: Quantity; readonly reading: Reading };
  isLarge: boolean;
  active: boolean;
  /** The entry that finds it, for a line of the slate and for a mark. */
  entry: () => string | undefined;
  mark: () => string | undefined;
}>();
const emit = defineEmits<{ look: [] }>();
const job = useJob();

const rounding = computed(() => {
  const { quantity, reading } = props.found;
  return kindOf(quantity.dimension) === 'length' ? roundingWord('length', reading) : undefined;
});
/** Longest exact form that says more than it hides. */
const SHORT_FORM = 40;
/** The true size, where the reading is not it and it is short enough to be read. */
const exactForm = computed(() => {
  if (props.found.reading.rounding === 'exact') return undefined;
  const form = exactText(props.found.quantity, job.style)?.text;
  return form !== undefined && form.length <= SHORT_FORM ? form : undefined;
});
const cost = computed(() => roundingWords(props.found.quantity, props.found.reading, isMetric(job.style.length)));
</script>

<template>
  <li class="answer" :class="{ large: isLarge, active }" :data-answer="field.id" @click="emit('look')">
    <span class="name">{{ field.title }}</span>
    <span class="reading">
      <SizeText class="size" :text="found.reading.text" :title="cost" />
      <span v-if="rounding" class="rounding">{{ rounding }}</span>
    </span>
    <ResultUses :name="field.title" :entry :mark :plain="found.reading.plain" />
    <p v-if="active && cost" class="true" data-test="true-size">
      <SizeText :text="cost" /><template v-if="exactForm">; exactly <SizeText :text="exactForm" /></template>
    </p>
  </li>
</template>

<style scoped>
.answer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 132px;
  align-items: center;
  gap: 0 8px;
  min-height: 46px;
  padding: 0 4px 0 12px;
  border-bottom: 1px solid var(--groove);
  cursor: pointer;
}
.active {
  background: var(--chalk-wash);
}
.name {
  line-height: 1.15;
}
.reading {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  line-height: 1.1;
}
.size {
  font-family: var(--figures);
  font-size: 21px;
  font-weight: 600;
  white-space: nowrap;
}
.large .size {
  font-size: 30px;
  color: var(--chalk);
}
.large {
  min-height: 58px;
}
.rounding {
  font-size: 14px;
  color: var(--ink-soft);
}
.true {
  grid-column: 1 / 4;
  margin: 0 0 6px;
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
