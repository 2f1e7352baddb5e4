<script setup lang="ts">
/** The rod on sheets: to scale on one, or full size in strips to cut out and join. */
import { computed, ref } from 'vue';
import { describeIssue, isMetric, readQuantity, rodOf, rodSheets } from '@sprell/core';
import PaperWays, { type PaperSize } from '../../ui/drawing/PaperWays.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useSheet } from '../../live/use-sheet.ts';
import { isOnRod } from '../../parts/marks/mark-on-rod.ts';

const job = useJob();
const { sheet, sheets: papers } = useSheet();
const size = ref<PaperSize>('to-scale');
const sheets = computed(() => {
  const printed = rodOf(
    job.marks.list.filter(isOnRod).map((mark) => ({ ...mark, text: readQuantity(mark.quantity, job.style).text })),
  );
  return rodSheets(printed, {
    sheet: sheet.value,
    size: size.value,
    metric: isMetric(job.style.length),
    title: job.head?.title ?? '',
  });
});
async function dxf(): Promise<string> {
  const { rodDxf } = await import('@sprell/core/dxf');
  return rodDxf(rodOf(job.marks.list.filter(isOnRod)), job.style);
}
</script>

<template>
  <div class="print">
    <PaperWays
      v-model:sheet="sheet"
      v-model:size="size"
      :sheets="papers"
      what="The rod"
      to-scale="to scale, on one sheet"
      full-size="full size, in strips to cut and join"
    />
    <PrintDrawings
      v-if="sheets.ok"
      class="printing"
      :drawings="sheets.value"
      :title="`${job.head?.title ?? ''} story stick`"
      :dxf
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
