<script setup lang="ts">
/** Several runs measured on the paper, totalled, and turned into the size on site; put on the slate as ordinary lines. */
import { computed, nextTick, ref } from 'vue';
import { Pencil, X } from 'lucide-vue-next';
import {
  describeIssue,
  measuredIssue,
  readSide,
  reckon,
  turn,
  turnedEntry,
  type DrawingScale,
  type Quantity,
} from '@sprell/core';
import { say } from '../../ui/say.ts';
import IconButton from '../../ui/IconButton.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import type { JobScale } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import ResultUses from '../../parts/result/ResultUses.vue';
import { turnedLabel } from './side-words.ts';

const props = defineProps<{ scale: JobScale & { readonly scale: DrawingScale } }>();

const job = useJob();
const runs = useKept<string[]>(() => `runs.${job.head?.id}`, []);

const typed = ref('');
const { quantity, written } = useSize(typed);
/** A run without a unit would be no size on site; a unit is offered. */
const misfit = computed(() => quantity.value && measuredIssue(typed.value, quantity.value, job.style));
/** The run that is being edited, in the field where runs are typed. */
const edited = ref<number>();
const field = ref<InstanceType<typeof SizeField>>();
function keep(): void {
  if (quantity.value === undefined || misfit.value !== undefined) return;
  runs.value.splice(edited.value ?? runs.value.length, 1, written());
  leave();
}
function edit(at: number): void {
  edited.value = at;
  typed.value = runs.value[at] ?? '';
  void nextTick(() => field.value?.focus());
}
function leave(): void {
  edited.value = undefined;
  typed.value = '';
}
function drop(at: number): void {
  leave();
  runs.value.splice(at, 1);
}

const quantities = computed(() =>
  runs.value.map((run) => {
    const { outcome } = reckon(run, { scope: job.slate.scope(), style: job.style });
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  }),
);
const readings = computed(() =>
  quantities.value.map((one) => {
    const there = one && turn(one, props.scale.scale, 'paper');
    return {
      paper: one ? readSide(one, 'paper', job.style).text : 'needs mending',
      site: there?.ok === true ? readSide(there.value, 'site', job.style).text : '',
    };
  }),
);
/** The sum of the runs, as an entry would add them up. */
const total = computed(() => {
  if (runs.value.length === 0) return undefined;
  const { outcome, issue } = reckon(runs.value.map((run) => `(${run})`).join(' + '), {
    scope: job.slate.scope(),
    style: job.style,
  });
  return { quantity: outcome?.kind === 'quantity' && !issue ? outcome.quantity : undefined, issue };
});
const sum = computed<Quantity | undefined>(() => total.value?.quantity);
const onSite = computed(() => sum.value && turn(sum.value, props.scale.scale, 'paper'));
const problem = computed(() => {
  const issue = total.value?.issue ?? (onSite.value?.ok === false ? onSite.value.issue : undefined);
  return issue && describeIssue(issue);
});

const onSiteName = computed(() => turnedLabel(props.scale, 'site'));
/** All runs together, on site, as one entry. */
function totalEntry(): string | undefined {
  const together = `(${runs.value.map((run) => `(${run})`).join(' + ')})`;
  return sum.value && turnedEntry(together, sum.value.dimension, props.scale.scale, 'paper', job.style);
}

/** The runs, their total and what that is on site, each a line of the slate. */
function putOnSlate(): void {
  if (sum.value === undefined || onSite.value?.ok !== true) return;
  const { dimension } = sum.value;
  const turned = (number: number | undefined) =>
    turnedEntry(`#${number}`, dimension, props.scale.scale, 'paper', job.style) ?? '';
  const single = runs.value.length === 1;
  job.lines.landAll(
    [
      ...runs.value.map((run, at) => () => `on paper, run ${at + 1}: ${run}`),
      ...(single
        ? []
        : [(landed: readonly number[]) => `on paper, all: sum(#${landed[0]}..#${landed[landed.length - 1]})`]),
      (landed) => `${onSiteName.value}: ${turned(landed[landed.length - 1])}`,
    ],
    `Remove the ${runs.value.length} runs from the slate`,
  );
  void say(`${runs.value.length} ${single ? 'run is' : 'runs are'} on the slate`);
  startAgain();
}
function startAgain(): void {
  leave();
  runs.value = [];
}
</script>

<template>
  <section class="runs" aria-label="Runs on the paper">
    <h2>Measure runs on the paper</h2>
    <form class="add" @submit.prevent="keep" @keydown.esc="leave">
      <SizeField
        ref="field"
        v-model="typed"
        :label="edited === undefined ? 'A run, as measured on the paper' : `Run ${edited + 1}, on the paper`"
        placeholder='2 5/8"'
        side="paper"
        :issue="misfit"
        data-test="run"
        @enter="keep"
      />
      <PlainButton type="submit" :disabled="!quantity || misfit !== undefined" data-test="add-run">{{
        edited === undefined ? 'Add' : 'Save'
      }}</PlainButton>
    </form>
    <table v-if="runs.length > 0">
      <thead>
        <tr>
          <th scope="col">run</th>
          <th scope="col">on paper</th>
          <th scope="col">on site</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(run, at) in runs" :key="at" :class="{ edited: edited === at }">
          <th scope="row">{{ at + 1 }}</th>
          <td class="figure" :title="run"><SizeText :text="readings[at]?.paper ?? ''" /></td>
          <td class="figure"><SizeText :text="readings[at]?.site ?? ''" /></td>
          <td>
            <IconButton :name="`Edit run ${at + 1}`" data-test="edit-run" @click="edit(at)"
              ><Pencil :size="16" aria-hidden="true"
            /></IconButton>
            <IconButton :name="`Delete run ${at + 1}`" data-test="delete-run" @click="drop(at)"
              ><X :size="16" aria-hidden="true"
            /></IconButton>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">all</th>
          <td class="figure" data-test="runs-paper">
            <SizeText v-if="sum" :text="readSide(sum, 'paper', job.style).text" />
          </td>
          <td class="figure site" data-test="runs-site">
            <SizeText v-if="onSite?.ok" :text="readSide(onSite.value, 'site', job.style).text" />
          </td>
          <td></td>
        </tr>
      </tfoot>
    </table>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ResultUses
      v-if="onSite?.ok"
      :name="onSiteName"
      :entry="totalEntry"
      :plain="readSide(onSite.value, 'site', job.style).plain"
    />
    <div v-if="runs.length > 0" class="actions">
      <PlainButton leading :disabled="onSite?.ok !== true" data-test="runs-to-slate" @click="putOnSlate"
        >Put on the slate</PlainButton
      >
      <PlainButton @click="startAgain">Start again</PlainButton>
    </div>
  </section>
</template>

<style scoped>
.runs {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
h2 {
  margin: 0;
  font-size: 18px;
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.add {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: start;
  gap: 8px;
}
.add :deep(.button) {
  margin-top: 25px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--ink-soft);
}
td,
th {
  padding: 2px 8px 2px 0;
  border-bottom: 1px solid var(--groove);
}
.figure {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 19px;
  white-space: nowrap;
}
tfoot th,
tfoot td {
  border-bottom: 0;
  border-top: 2px solid var(--ink);
}
tfoot .figure {
  font-size: 24px;
}
.site {
  color: var(--chalk);
}
.edited {
  background: var(--chalk-wash);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.problem {
  margin: 0;
  color: var(--pencil);
}
</style>
