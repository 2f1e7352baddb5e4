<script setup lang="ts">
/** The rod on sheets: to scale on one, or full size in strips to cut out and join. */
import { computed, ref } from 'vue';
import { describeIssue, isMetric, readQuantity, rodOf, rodSheets, type SheetSize } from '@sprell/core';
import PaperWays, { type PaperSize } from '../../ui/drawing/PaperWays.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { useJobStore } from '../job/job.store.ts';
import { isLain } from './lain-mark.ts';

const store = useJobStore();
const sheet = ref<SheetSize>('a4');
const size = ref<PaperSize>('to-scale');
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
    <PaperWays
      v-model:sheet="sheet"
      v-model:size="size"
      what="The rod"
      to-scale="to scale, on one sheet"
      full-size="full size, in strips to cut and join"
    />
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
.printing {
  flex: 1;
}
</style>
