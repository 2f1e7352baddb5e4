<script setup lang="ts">
/** The drawing on paper: to scale with all its sizes on one sheet, or full size over several to cut out by. */
import { computed, ref } from 'vue';
import { describeShapeIssue, isMetric, templateSheets, type Figure } from '@sprell/core';
import PaperWays, { type PaperSize } from '../../ui/drawing/PaperWays.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useSheet } from '../../live/use-sheet.ts';
import { figureSheet } from '../../parts/figure/figure-sheet.ts';

const props = defineProps<{
  figure: Figure;
  title: string;
  readings: Readonly<Record<string, string | undefined>>;
  sizes: readonly (readonly [title: string, reading: string])[];
}>();
const job = useJob();

const { sheet, sheets: papers } = useSheet();
const size = ref<PaperSize>('to-scale');
const head = computed(() => `${job.head?.title ?? ''}: ${props.title}`);
const full = computed(() => templateSheets(props.figure, { sheet: sheet.value, title: head.value }));
const drawings = computed(() => {
  if (size.value === 'full-size') return full.value.ok ? full.value.value : undefined;
  const { readings, sizes } = props;
  const metric = isMetric(job.style.length);
  return [figureSheet(props.figure, { sheet: sheet.value, metric, title: head.value, readings, sizes })];
});
async function dxf(): Promise<string> {
  const { figureDxf } = await import('@sprell/core/dxf');
  return figureDxf(props.figure);
}
</script>

<template>
  <section class="paper" aria-label="On paper">
    <PaperWays
      v-model:sheet="sheet"
      v-model:size="size"
      :sheets="papers"
      what="The drawing"
      to-scale="to scale, with its sizes"
      full-size="full size, to cut out and join"
    />
    <PrintDrawings v-if="drawings" :drawings :title="head" :dxf />
    <p v-else-if="!full.ok" class="says" role="alert">{{ describeShapeIssue(full.issue) }}</p>
  </section>
</template>

<style scoped>
.paper {
  padding: 12px 16px;
}
</style>
