<script setup lang="ts">
/** One input over a list of values: what every answer comes to for each, in a table and as a curve. */
import { computed, ref, watch } from 'vue';
import { describeIssue, readQuantity, type Quantity } from '@sprell/core';
import { runOver, valuesBetween, MOST_VALUES, type StepOutcome } from '@sprell/core/jig';
import PickList from '../../ui/PickList.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import type { JigRunning } from './use-jig-run.ts';
import { outcomeText } from './outcome-text.ts';
import { proposedRange } from './proposed-range.ts';
import WhatIfCurve from './WhatIfCurve.vue';

const props = defineProps<{ running: JigRunning; jigId: string }>();
const job = useJob();

const choices = computed(() => props.running.inputs.value.map(({ input }) => [input.name, input.title] as const));
interface Asked {
  readonly over: string;
  readonly from: string;
  readonly to: string;
  readonly step: string;
}
const kept = useKept<Partial<Asked>>(() => `jig-over.${job.head?.id}.${props.jigId}`, {});
const over = computed({
  get: () => choices.value.find(([name]) => name === kept.value.over)?.[0] ?? choices.value[0]?.[0] ?? '',
  set: (name: string) => (kept.value = { over: name }),
});
const place = computed(() => props.running.inputs.value.findIndex(({ input }) => input.name === over.value));
const given = computed(() => props.running.inputs.value[place.value]);

const field = (name: 'from' | 'to' | 'step') =>
  computed({
    get: () => kept.value[name] ?? '',
    set: (text: string) => (kept.value = { ...kept.value, over: over.value, [name]: text }),
  });
const [from, to, step] = [field('from'), field('to'), field('step')];

/** From half of the value that is there now to twice as much, in steps that a person would take. */
const offered = computed(() => {
  const { quantity, input } = given.value ?? {};
  return quantity && input && proposedRange(quantity, input.whole, job.style);
});

function quantityIn(text: string, otherwise: string | undefined): Quantity | undefined {
  const input = given.value?.input;
  const words = text.trim() === '' ? (otherwise ?? '') : text;
  return input === undefined || words === '' ? undefined : props.running.quantityOf(input, words);
}
const values = computed(() => {
  const bounds = [
    quantityIn(from.value, offered.value?.from),
    quantityIn(to.value, offered.value?.to),
    quantityIn(step.value, offered.value?.step),
  ] as const;
  const [first, last, by] = bounds;
  return first && last && by && valuesBetween(first, last, by);
});
const answers = computed(() => {
  const { program } = props.running.read.value;
  return program ? program.answers.map((at) => program.steps[at]) : [];
});
const shown = ref('');
watch(
  answers,
  (all) => {
    if (!all.some((one) => one?.name === shown.value)) shown.value = all[0]?.name ?? '';
  },
  { immediate: true },
);
const rows = computed(() => {
  const { program } = props.running.read.value;
  if (program === undefined || values.value === undefined) return [];
  return runOver(program, props.running.quantitiesFor(props.running.typed.value), place.value, values.value);
});
const text = (outcome: StepOutcome | undefined) => (outcome ? outcomeText(outcome, job.style) : '');
const shownAt = computed(() => answers.value.findIndex((one) => one?.name === shown.value));
const curve = computed(() =>
  rows.value.flatMap(({ value, answers: came }) => {
    const outcome = came[shownAt.value];
    return outcome?.kind === 'quantity' ? [{ x: value, y: outcome.quantity }] : [];
  }),
);
const now = computed(() => {
  const outcome = props.running.steps.value.find(({ name }) => name === shown.value)?.outcome;
  const x = given.value?.quantity;
  return x && outcome?.kind === 'quantity' ? { x, y: outcome.quantity } : undefined;
});
const FIRST = 200;
const isAll = ref(false);
const listed = computed(() => (isAll.value ? rows.value : rows.value.slice(0, FIRST)));
</script>

<template>
  <div class="what-if">
    <div class="asked">
      <PickList v-model="over" label="What changes" :choices="choices" data-test="over" />
      <SizeField v-model="from" label="From" :placeholder="offered?.from" data-field="from" />
      <SizeField v-model="to" label="To" :placeholder="offered?.to" data-field="to" />
      <SizeField v-model="step" label="In steps of" :placeholder="offered?.step" data-field="step" />
      <PickList
        v-if="answers.length > 1"
        v-model="shown"
        label="On the curve"
        :choices="answers.flatMap((one) => (one ? [[one.name, one.title] as const] : []))"
      />
    </div>
    <p v-if="values === undefined" class="none">
      Give a first value, a last one that is not smaller, and a step: {{ MOST_VALUES.toLocaleString('en') }} values at
      most.
    </p>
    <template v-else>
      <WhatIfCurve
        v-if="curve.length > 1"
        :curve
        :now
        :x-title="given?.input.title ?? ''"
        :y-title="answers[shownAt]?.title ?? ''"
      />
      <div class="scrolls">
        <table data-test="what-if">
          <thead>
            <tr>
              <th scope="col">{{ given?.input.title }}</th>
              <th v-for="one in answers" :key="one?.name" scope="col">{{ one?.title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, at) in listed" :key="at">
              <th scope="row"><SizeText :text="readQuantity(row.value, job.style).text" /></th>
              <td v-if="row.issue && row.answers.length === 0" :colspan="answers.length" class="wrong">
                {{ describeIssue(row.issue) }}
              </td>
              <template v-else>
                <td v-for="(outcome, n) in row.answers" :key="n"><SizeText :text="text(outcome)" /></td>
              </template>
            </tr>
          </tbody>
        </table>
      </div>
      <button v-if="rows.length > listed.length" type="button" class="more" @click="isAll = true">
        All {{ rows.length }} values
      </button>
    </template>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 12px;
  padding: 10px 16px;
}
.none {
  margin: 0;
  padding: 6px 16px 14px;
  color: var(--ink-soft);
}
.scrolls {
  overflow-x: auto;
  padding: 0 16px 16px;
}
table {
  border-collapse: collapse;
  min-width: 100%;
  font-size: 17px;
}
th,
td {
  padding: 5px 12px;
  border-bottom: 1px solid var(--groove);
  text-align: right;
  white-space: nowrap;
  font-family: var(--figures);
}
thead th {
  color: var(--ink-soft);
  font: 500 15px/1.25 var(--text, inherit);
  white-space: normal;
}
th:first-child {
  text-align: left;
}
thead th {
  min-width: 92px;
}
.wrong {
  color: var(--pencil);
  text-align: left;
  white-space: normal;
}
.more {
  min-height: 44px;
  margin: 0 16px 12px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  cursor: pointer;
}
</style>
