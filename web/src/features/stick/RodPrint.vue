<script setup lang="ts">
/** The rod on sheets: to scale on one, or full size in strips to cut out and join. */
import { computed, ref } from 'vue';
import { describeIssue, isMetric, readQuantity, rodOf, rodSheets, type SheetSize } from '@sprell/core';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { useJobStore } from '../job/job.store.ts';
import { isLain } from './lain-mark.ts';

const store = useJobStore();
const sheet = ref<SheetSize>('a4');
const size = ref<'to-scale' | 'full-size'>('to-scale');
const sheets = computed(() => {
  const printed = rodOf(
    store.marks.filter(isLain).map((mark) => ({ ...mark, text: readQuantity(mark.quantity, store.style).text })),
  );
  return rodSheets(printed, {
    sheet: sheet.value,
    size: size.value,
    metric: isMetric(store.style.length),
    title: store.job?.title ?? '',
  });
});
</script>

<template>
  <div class="print">
    <div class="ways">
      <fieldset>
        <legend>Sheets of</legend>
        <label><input v-model="sheet" type="radio" value="a4" /> A4</label>
        <label><input v-model="sheet" type="radio" value="letter" /> US Letter</label>
      </fieldset>
      <fieldset>
        <legend>The rod</legend>
        <label
          ><input v-model="size" type="radio" value="to-scale" data-test="to-scale" /> to scale, on one sheet</label
        >
        <label
          ><input v-model="size" type="radio" value="full-size" data-test="full-size" /> full size, in strips to cut and
          join</label
        >
      </fieldset>
    </div>
    <PrintDrawings
      v-if="sheets.ok"
      class="printing"
      :drawings="sheets.value"
      :title="`${store.job?.title ?? ''} story stick`"
    />
    <p v-else role="alert">{{ describeIssue(sheets.issue) }}</p>
  </div>
</template>

<style scoped>
.print {
  display: flex;
  flex-direction: column;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-bottom: 8px;
}
.printing {
  flex: 1;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
  padding: 4px 12px;
  border: 1px solid var(--groove);
}
label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 40px;
}
</style>
