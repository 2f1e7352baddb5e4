<script setup lang="ts">
/** One row with everything that it says, how it was worked out, and what a second look finds. */
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { ArrowDown, ArrowUp, Copy, Trash2, X } from 'lucide-vue-next';
import { equalValue, isMetric } from '@sprell/core';
import {
  ABOUT_MEASURES,
  countsIn,
  MEASURES,
  PRICE_UNITS,
  priceUnitsFor,
  readMoney,
  readRowQuantity,
  rowEntry,
  rowSays,
  type CellName,
} from '@sprell/core/quantities';
import IconButton from '../../ui/IconButton.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import TextField from '../../ui/TextField.vue';
import { useJob } from '../../live/use-jobs.ts';
import type { NamedMark } from '../../parts/entry/suggestions.ts';
import AtHand from '../../parts/field/AtHand.vue';
import { useAtHand } from '../../parts/field/use-at-hand.ts';
import { useOwnKeys } from '../../live/own-keys.ts';
import ResultUses from '../../parts/result/ResultUses.vue';
import type { JobRow, Quantities, RowFields } from '../../job/quantities.ts';
import CellField from './CellField.vue';

const props = defineProps<{
  row: JobRow;
  list: Quantities;
  names: readonly NamedMark[];
  /** It was made a moment ago: its first field takes the cursor. */
  isNew: boolean;
}>();
const emit = defineEmits<{ close: []; move: [by: -1 | 1]; duplicate: []; remove: [] }>();
const job = useJob();

const name = ref(props.row.item.name);
watch(
  () => [props.row.id, props.row.item.name] as const,
  ([, now]) => (name.value = now),
);
const write = (fields: RowFields) => props.list.write(props.row.id, fields);
function keepName(): void {
  if (name.value.trim() !== props.row.item.name) write({ name: name.value.trim() });
}
/** In the order in which a row is given on site: how many, how large, at what price; the rest when it is wanted. */
const FIRST: readonly CellName[] = ['count', 'length', 'width', 'depth', 'apiece', 'price'];
const REST: readonly CellName[] = ['less', 'waste', 'pack', 'other'];
const counting = (cells: readonly CellName[]) => cells.filter((cell) => countsIn(props.row.item.measure, cell));

const says = computed(() => rowSays(props.row.worked, job.style));
/** What can go to the slate, to the story stick and to other programs. */
const results = computed(() => {
  const { worked } = props.row;
  const { quantity, ordered, price } = worked;
  const amounts = [
    ['quantity', quantity],
    ['to order', ordered && quantity && equalValue(ordered.value, quantity.value) ? undefined : ordered],
  ] as const;
  return [
    ...amounts.flatMap(([title, amount]) => {
      if (amount === undefined) return [];
      const { text, plain } = readRowQuantity(worked, amount, job.style);
      return [{ title, reads: text, plain, entry: rowEntry(worked, amount, job.style) }];
    }),
    ...(price === undefined ? [] : [costResult(price)]),
  ];
});
function costResult({ billed }: NonNullable<JobRow['worked']['price']>) {
  const { text, plain } = readMoney(billed.cost, job.style);
  return { title: 'cost', reads: text, plain, entry: plain };
}
const hints = computed(() => props.list.hints(props.row));
const users = computed(() => props.list.usersOf(props.row.id));
const measures = MEASURES.map((measure) => [measure, ABOUT_MEASURES[measure].title] as const);
const pers = computed(() =>
  priceUnitsFor(props.row.item.measure, isMetric(job.style.length)).map(
    (unit) => [unit, PRICE_UNITS[unit].says.replace('/', 'for a ')] as const,
  ),
);
const NONE = '';
const sections = computed(() => [
  [NONE, 'no section'] as const,
  ...props.list.sections.flatMap(({ id, name: title }) => (id === undefined ? [] : [[id, title] as const])),
]);
const taxes = computed(() => props.list.taxes.map(({ id, name: title, typed }) => [id, `${title}, ${typed}`] as const));
const inVersions = computed({
  get: () => [...props.row.item.versions],
  set: (now: string[]) => write({ versions: now }),
});

const use = useAtHand();
/** They stand above the keys there. */
const ownKeys = useOwnKeys();

const panel = useTemplateRef<HTMLElement>('panel');
/** A new row is given its count first; what it is called can come with what it costs. */
async function begin(): Promise<void> {
  await nextTick();
  panel.value?.querySelector<HTMLInputElement>('input[data-size-input]')?.focus();
}
onMounted(() => {
  if (props.isNew) void begin();
});
watch(
  () => props.row.id,
  () => {
    if (props.isNew) void begin();
  },
);
</script>

<template>
  <aside ref="panel" class="panel" aria-label="The row" data-test="row-panel">
    <header>
      <TextField v-model="name" label="Item" data-test="row-name" @blur="keepName" @keydown.enter="keepName" />
      <IconButton name="Close the row" data-test="close-row" @click="emit('close')"
        ><X :size="22" aria-hidden="true"
      /></IconButton>
    </header>
    <div class="two">
      <PickList
        :model-value="row.item.measure"
        label="Measured by"
        :choices="measures"
        data-test="row-measure"
        @update:model-value="(measure) => measure && write({ measure })"
      />
      <PickList
        :model-value="row.item.per"
        label="Prices are"
        :choices="pers"
        data-test="row-per"
        @update:model-value="(per) => per && write({ per })"
      />
    </div>
    <div class="two">
      <CellField v-for="cell in counting(FIRST)" :key="`${row.id} ${cell}`" :row :cell :list :names />
    </div>

    <section v-if="says.length > 0" class="says" aria-label="How it was worked out" data-test="row-says">
      <p v-for="line in says" :key="line"><SizeText :text="line" /></p>
    </section>
    <ul v-if="results.length > 0" class="results" aria-label="What comes of it">
      <li v-for="one in results" :key="one.title" :data-result="one.title">
        <span class="what">{{ one.title }}</span>
        <SizeText class="reads" :text="one.reads" />
        <ResultUses :name="`${row.item.name || 'row'} ${one.title}`" :entry="() => one.entry" :plain="one.plain" />
      </li>
    </ul>
    <ul v-if="hints.length > 0" class="hints" aria-label="Worth a second look" data-test="row-hints">
      <li v-for="hint in hints" :key="hint.says">
        <SizeText :text="hint.says" />
        <PlainButton v-if="hint.entry" @click="list.writeCell(row.id, hint.cell, hint.entry)"
          >Write {{ hint.entry }}</PlainButton
        >
      </li>
    </ul>
    <p v-if="users.length > 0" class="users">Used by {{ users.join(', ') }}.</p>

    <AtHand v-if="!ownKeys" @use="use" />
    <div class="two">
      <CellField v-for="cell in counting(REST)" :key="`${row.id} ${cell}`" :row :cell :list :names />
    </div>
    <el-checkbox
      v-if="row.item.measure === 'run'"
      :model-value="row.item.cutWhole"
      @change="write({ cutWhole: $event === true })"
      >Pieces are cut whole from a stock length</el-checkbox
    >
    <div class="two">
      <TextField
        :model-value="row.item.supplier"
        label="Supplier"
        data-test="row-supplier"
        @change="(supplier: string) => write({ supplier: supplier.trim() })"
      />
      <PickList
        :model-value="row.item.section ?? NONE"
        label="Section"
        :choices="sections"
        data-test="row-section"
        @update:model-value="(section) => list.move([row.id], section || undefined, undefined)"
      />
    </div>
    <TextField
      :model-value="row.item.note"
      label="Note"
      data-test="row-note"
      @change="(note: string) => write({ note: note.trim() })"
    />
    <PickList
      v-if="taxes.length > 1"
      :model-value="row.item.tax ?? taxes[0]?.[0]"
      label="Tax"
      :choices="taxes"
      @update:model-value="(tax) => write({ tax: tax ?? null })"
    />
    <el-checkbox-group v-if="list.versions.length > 0" v-model="inVersions" aria-label="Only in these versions">
      <span class="only">Only in</span>
      <el-checkbox v-for="version in list.versions" :key="version.id" :value="version.id">{{
        version.name
      }}</el-checkbox>
    </el-checkbox-group>
    <el-checkbox :model-value="row.item.leftOut" data-test="row-left-out" @change="write({ leftOut: $event === true })"
      >Leave it out of the totals</el-checkbox
    >
    <div class="actions">
      <PlainButton title="Move the row up" aria-label="Move the row up" @click="emit('move', -1)"
        ><ArrowUp :size="18" aria-hidden="true"
      /></PlainButton>
      <PlainButton title="Move the row down" aria-label="Move the row down" @click="emit('move', 1)"
        ><ArrowDown :size="18" aria-hidden="true"
      /></PlainButton>
      <PlainButton data-test="duplicate-row" @click="emit('duplicate')"
        ><Copy :size="18" aria-hidden="true" />Duplicate</PlainButton
      >
      <PlainButton data-test="delete-row" @click="emit('remove')"
        ><Trash2 :size="18" aria-hidden="true" />Delete</PlainButton
      >
    </div>
  </aside>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px 16px 24px;
  overflow-y: auto;
}
header {
  display: flex;
  align-items: flex-end;
  gap: 8px;
}
header > :first-child {
  flex: 1;
}
.two {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 4px 10px;
  align-items: start;
}
.says {
  padding: 10px 12px;
  border-left: 4px solid var(--chalk);
  background: var(--board);
}
.says p {
  margin: 0;
  font: 500 18px/1.35 var(--figures);
}
.results {
  margin: 0;
  padding: 0;
  list-style: none;
}
.results li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-bottom: 1px solid var(--groove);
}
.what {
  flex: 1;
  color: var(--ink-soft);
}
.reads {
  font: 600 19px/1.2 var(--figures);
}
.hints {
  display: flex;
  flex-direction: column;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
  color: var(--ink-soft);
}
.hints li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
.users {
  margin: 0;
  color: var(--ink-soft);
}
.only {
  margin-right: 10px;
  color: var(--ink-soft);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
