<script setup lang="ts">
/** Several runs side by side: what was given, and what it came to. They are kept on this device for this job. */
import { computed } from 'vue';
import { X } from 'lucide-vue-next';
import { readQuantity } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import type { JigRunning, Typed } from './use-jig-run.ts';

const props = defineProps<{ running: JigRunning; jigId: string }>();
const job = useJob();
const MOST = 8;
const kept = useKept<{ readonly runs: readonly Typed[] }>(() => `jig-runs.${job.head?.id}.${props.jigId}`, {
  runs: [],
});

const columns = computed(() =>
  [...kept.value.runs, props.running.typed.value].map((texts) => ({
    texts,
    inputs: props.running
      .quantitiesFor(texts)
      .map((quantity) => (quantity ? readQuantity(quantity, job.style).text : '')),
    answers: props.running
      .stepsOf(texts)
      .filter(({ isAnswer }) => isAnswer)
      .map(({ outcome, readings }) =>
        outcome?.kind === 'answer' ? (outcome.yes ? 'yes' : 'no') : readings.map(({ text }) => text).join(', '),
      ),
  })),
);
const answers = computed(() => {
  const { program } = props.running.read.value;
  return program ? program.answers.map((at) => program.steps[at]?.title ?? '') : [];
});
function keep(): void {
  kept.value = { runs: [...kept.value.runs, { ...props.running.typed.value }].slice(-MOST) };
}
function remove(at: number): void {
  kept.value = { runs: kept.value.runs.filter((_, n) => n !== at) };
}
</script>

<template>
  <div class="side">
    <div class="scrolls">
      <table data-test="side-by-side">
        <thead>
          <tr>
            <td></td>
            <th v-for="(column, at) in columns" :key="at" scope="col">
              <template v-if="at < columns.length - 1">
                <button type="button" class="use" @click="running.replace(column.texts)">Run {{ at + 1 }}</button>
                <button type="button" class="remove" @click="remove(at)">
                  <X :size="16" aria-hidden="true" /><span class="sr-only">Remove run {{ at + 1 }}</span>
                </button>
              </template>
              <template v-else>now</template>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="({ input }, n) in running.inputs.value" :key="input.name">
            <th scope="row">{{ input.title }}</th>
            <td v-for="(column, at) in columns" :key="at"><SizeText :text="column.inputs[n] ?? ''" /></td>
          </tr>
          <tr v-for="(title, n) in answers" :key="title" class="answer">
            <th scope="row">{{ title }}</th>
            <td v-for="(column, at) in columns" :key="at"><SizeText :text="column.answers[n] ?? ''" /></td>
          </tr>
        </tbody>
      </table>
    </div>
    <PlainButton data-test="keep-run" @click="keep">Set this run beside the next</PlainButton>
  </div>
</template>

<style scoped>
.side {
  padding: 10px 16px 16px;
}
.scrolls {
  overflow-x: auto;
  margin-bottom: 12px;
}
table {
  border-collapse: collapse;
  font-size: 17px;
}
th,
td {
  padding: 6px 14px;
  border-bottom: 1px solid var(--groove);
  text-align: right;
  white-space: nowrap;
}
th[scope='row'] {
  padding-left: 0;
  font-weight: 500;
  text-align: left;
  white-space: normal;
}
thead th {
  color: var(--ink-soft);
  font-weight: 500;
}
.answer td {
  font: 600 18px/1.3 var(--figures);
}
.use,
.remove {
  min-height: 44px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.use {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.remove {
  min-width: 36px;
  vertical-align: middle;
}
</style>
