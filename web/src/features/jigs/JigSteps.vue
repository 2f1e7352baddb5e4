<script setup lang="ts">
/** How a jig goes: every step with what it means, its figures, and what it comes to. */
import { describeIssue } from '@sprell/core';
import type { JigStep, WrittenStep } from '@sprell/core/jig';
import SizeText from '../../ui/SizeText.vue';

defineProps<{ steps: readonly WrittenStep[]; told: readonly JigStep[] }>();
const outcomeOf = ({ outcome, readings }: WrittenStep): string => {
  if (outcome?.kind === 'answer') return outcome.yes ? 'yes' : 'no';
  return readings.map(({ text }) => text).join(', ');
};
</script>

<template>
  <ol class="steps">
    <li v-for="(step, at) in steps" :key="step.name" :class="{ answer: step.isAnswer }" :data-step="step.name">
      <p class="what">
        <strong>{{ step.title }}</strong>
        <span v-if="step.isAnswer" class="kind">answer</span>
      </p>
      <p class="sum"><SizeText :text="step.readBack" /></p>
      <p v-if="step.figures !== step.readBack" class="sum figures"><SizeText :text="step.figures" /></p>
      <p v-if="step.repeats" class="sum">for <SizeText :text="step.repeats" /></p>
      <p v-if="step.issue" class="wrong">{{ describeIssue(step.issue) }}</p>
      <p v-else class="comes"><SizeText :text="outcomeOf(step)" /></p>
      <p v-if="told[at]?.note" class="note">{{ told[at]?.note }}</p>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  margin: 0;
  padding: 0;
  list-style: none;
  counter-reset: step;
}
li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 0 8px;
  padding: 8px 16px 8px 8px;
  border-bottom: 1px solid var(--groove);
  counter-increment: step;
}
li::before {
  content: counter(step);
  grid-row: 1 / span 4;
  justify-self: end;
  color: var(--ink-soft);
  font: 500 16px/1.6 var(--figures);
}
p {
  margin: 0;
  grid-column: 2;
}
.what {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.kind {
  color: var(--ink-soft);
  font-size: 14px;
}
.sum {
  font-size: 16px;
  overflow-wrap: anywhere;
}
.figures {
  color: var(--ink-soft);
}
.comes {
  grid-row: 1 / span 3;
  grid-column: 3;
  align-self: center;
  max-width: 300px;
  font: 600 19px/1.3 var(--figures);
  text-align: right;
}
.note {
  color: var(--ink-soft);
  font-size: 15px;
}
.wrong {
  color: var(--pencil);
}
@media (max-width: 820px) {
  .comes {
    grid-row: auto;
    grid-column: 2;
    text-align: left;
  }
}
</style>
