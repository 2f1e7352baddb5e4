<script setup lang="ts">
/** Conversion tables: any value in its whole family of units, and tables to read, touch, save and print. */
import { computed, defineAsyncComponent, onMounted, ref, useTemplateRef } from 'vue';
import { reckonTyped, type Quantity } from '@sprell/core';
import { conversionTable, degreesStep, MOST_VALUES, UNIT_FAMILIES, type CellText } from '@sprell/core/tables';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import AppHead from '../../parts/head/AppHead.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import AnyValue from './AnyValue.vue';
import { presets, type Preset } from './presets.ts';
import TableActs from './TableActs.vue';

const TimberTable = defineAsyncComponent(() => import('./TimberTable.vue'));
/** A person's own, beside those that are worked out. */
const TIMBER = 'timber';
const jobs = useJobs();
const job = useJob();
onMounted(async () => {
  if (job.head === undefined) await jobs.start();
});

interface Asked {
  readonly table: string;
  readonly from: string;
  readonly to: string;
  readonly step: string;
  readonly columns: readonly string[];
  readonly decimals: number;
}
const asked = useKept<Asked>('tables', { table: '', from: '', to: '', step: '', columns: [], decimals: -1 });
const any = useKept('any-value', '');
const all = computed(() => presets(job.style));
const preset = computed(() => all.value.find(({ id }) => id === asked.value.table) ?? (all.value[0] as Preset));
const table = computed({
  get: () => (asked.value.table === TIMBER ? TIMBER : preset.value.id),
  set: (id: string) => (asked.value = { ...asked.value, table: id, from: '', to: '', step: '', columns: [] }),
});
const field = (name: 'from' | 'to' | 'step') =>
  computed({ get: () => asked.value[name], set: (text: string) => (asked.value = { ...asked.value, [name]: text }) });
const [from, to, step] = [field('from'), field('to'), field('step')];
const decimals = computed({
  get: () => asked.value.decimals,
  set: (count: number) => (asked.value = { ...asked.value, decimals: count }),
});
const members = computed(() => UNIT_FAMILIES[preset.value.kind]);
const columns = computed({
  get: () => {
    const known = asked.value.columns.filter((id) => members.value.some((member) => member.id === id));
    return known.length > 0 ? known : [...preset.value.columns];
  },
  set: (ids: readonly string[]) => {
    // In the order of the family, whatever was touched first; of the usual ones, in theirs.
    const order = members.value.map(({ id }) => id);
    asked.value = { ...asked.value, columns: [...ids].sort((a, b) => order.indexOf(a) - order.indexOf(b)) };
  },
});

function quantity(text: string, otherwise: string): Quantity | undefined {
  const { issue, outcome } = reckonTyped(text.trim() === '' ? otherwise : text, {
    scope: job.slate.scope(),
    style: job.style,
    bare: job.reading.bare,
  });
  return issue === undefined && outcome?.kind === 'quantity' ? outcome.quantity : undefined;
}
const shown = computed(() => {
  const first = quantity(from.value, preset.value.from);
  const last = quantity(to.value, preset.value.to);
  const asStep = quantity(step.value, preset.value.step);
  if (!first || !last || !asStep) return undefined;
  const isDegrees = preset.value.kind === 'temperature';
  const scale = /f/i.test(step.value.trim() === '' ? preset.value.step : step.value) ? 'fahrenheit' : 'celsius';
  const by = isDegrees ? degreesStep(asStep, scale) : asStep;
  const places = decimals.value < 0 ? undefined : decimals.value;
  return conversionTable({ from: first, to: last, step: by, columns: columns.value, decimals: places }, job.style);
});

const FIRST = 240;
const isAll = ref(false);
const rows = computed(() => (isAll.value ? shown.value?.rows : shown.value?.rows.slice(0, FIRST)) ?? []);
const anyValue = useTemplateRef('anyValue');
function look({ plain }: CellText): void {
  any.value = plain;
  anyValue.value?.focus();
}
</script>

<template>
  <main class="view">
    <AppHead title="Tables" />
    <div class="body">
      <AnyValue ref="anyValue" v-model="any" v-model:decimals="decimals" class="left" />
      <section class="table" aria-label="A table">
        <div class="asked">
          <PickList
            v-model="table"
            label="Table"
            :choices="[
              ...all.map(({ id, title }) => [id, title] as const),
              [TIMBER, 'Timber: as sold, as it measures'],
            ]"
            data-test="table"
          />
          <template v-if="table !== TIMBER">
            <SizeField v-model="from" label="From" :placeholder="preset.from" data-field="from" />
            <SizeField v-model="to" label="To" :placeholder="preset.to" data-field="to" />
            <SizeField v-model="step" label="In steps of" :placeholder="preset.step" data-field="step" />
          </template>
        </div>
        <TimberTable v-if="table === TIMBER" @look="look" />
        <template v-else>
          <el-checkbox-group v-model="columns" class="columns" aria-label="Columns">
            <el-checkbox v-for="member in members" :key="member.id" :value="member.id" :label="member.title" />
          </el-checkbox-group>
          <div class="acts">
            <TableActs :table="shown" :title="preset.title" />
            <span class="hint">A touch on a figure shows it in every unit.</span>
          </div>
          <p v-if="!shown" class="none">
            Give a first value, a last one that is not smaller, and a step, all of one kind:
            {{ MOST_VALUES.toLocaleString('en') }} rows at most.
          </p>
          <div v-else class="scrolls">
            <table data-test="conversion-table">
              <thead>
                <tr>
                  <th v-for="column in shown.columns" :key="column.id" scope="col" :title="column.source">
                    {{ column.title }}
                  </th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(row, at) in rows" :key="at">
                  <td v-for="(cell, n) in row.cells" :key="n">
                    <button v-if="cell" type="button" @click="look(cell)"><SizeText :text="cell.text" /></button>
                  </td>
                </tr>
              </tbody>
            </table>
            <PlainButton v-if="rows.length < shown.rows.length" @click="isAll = true">
              All {{ shown.rows.length }} rows
            </PlainButton>
          </div>
        </template>
      </section>
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped src="./table.css"></style>
<style scoped>
.body {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 7fr);
}
.left {
  border-right: 1px solid var(--groove);
}
.table {
  min-width: 0;
}
.asked {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 1fr;
  gap: 4px 12px;
  padding: 12px 16px 0;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  padding: 0 16px;
}
@media (max-width: 900px) {
  .body {
    display: block;
  }
  .left {
    border-right: 0;
  }
  .asked {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  .asked > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
