<script setup lang="ts">
/** One cell of a row with its name above it. What is written is kept when it is left. */
import { computed, ref, watch } from 'vue';
import { ABOUT_MEASURES, cellName, readRate, type CellName } from '@sprell/core/quantities';
import { useJob } from '../../live/use-jobs.ts';
import SizeField from '../../parts/field/SizeField.vue';
import type { NamedMark } from '../../parts/entry/suggestions.ts';
import { goToInput } from '../../parts/field/size-inputs.ts';
import type { JobRow, Quantities } from '../../job/quantities.ts';

const props = defineProps<{
  row: JobRow;
  cell: CellName;
  list: Quantities;
  names: readonly NamedMark[];
  placeholder?: string;
}>();
const job = useJob();
const text = ref(props.row.cells[props.cell]);
watch(
  () => props.row.cells[props.cell],
  (now) => (text.value = now),
);
const label = computed(() => {
  const name = cellName(props.cell, props.row.item.measure);
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}`;
});
const isAsKept = computed(() => text.value.trim() === props.row.cells[props.cell]);
/** What the row has against it, once it is kept. */
const issue = computed(() => (isAsKept.value ? props.row.worked.issues[props.cell] : undefined));
const reads = computed(() => {
  const { waste } = props.row.worked;
  if (props.cell !== 'waste' || waste === undefined || !isAsKept.value) return undefined;
  return readRate(waste.value, job.style);
});
const hint = computed(() =>
  props.cell === 'apiece' && ABOUT_MEASURES[props.row.item.measure].form ? '7 h 30 min' : props.placeholder,
);
const keep = () => props.list.writeCell(props.row.id, props.cell, text.value);
function goOn(): void {
  keep();
  goToInput(1);
}
</script>

<template>
  <SizeField
    v-model="text"
    :label
    :placeholder="hint"
    :issue
    :reads
    :bare="list.bareIn(row.item.measure, cell)"
    :scope="() => list.scope(row.id)"
    :names
    :data-test="`cell-${cell}`"
    @leave="keep"
    @enter="goOn"
  />
</template>
