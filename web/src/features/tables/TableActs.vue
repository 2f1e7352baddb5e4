<script setup lang="ts">
/** What can be done with a whole table: kept as CSV, printed as cards for a pocket. */
import { defineAsyncComponent, ref } from 'vue';
import { FileText, Printer } from 'lucide-vue-next';
import type { TableText } from '@sprell/core/tables';
import PlainButton from '../../ui/PlainButton.vue';
import { fileName, saveFile } from '../../ui/drawing/save-file.ts';
import { useJob } from '../../live/use-jobs.ts';

const PocketCard = defineAsyncComponent(() => import('./PocketCard.vue'));
const props = defineProps<{ /** Undefined while there is none. */ table: TableText | undefined; title: string }>();
const job = useJob();
async function saveCsv(): Promise<void> {
  const { table, title } = props;
  const { tableCsv } = await import('./table-csv.ts');
  if (table) saveFile(fileName(title, 'csv'), tableCsv(table, job.style.decimalComma), 'text/csv;charset=utf-8');
}
const isOnPaper = ref(false);
</script>

<template>
  <PlainButton :disabled="!table" data-test="save-csv" @click="saveCsv"
    ><FileText :size="18" aria-hidden="true" />Save as CSV</PlainButton
  >
  <PlainButton :disabled="!table" data-test="pocket-card" @click="isOnPaper = true"
    ><Printer :size="18" aria-hidden="true" />Pocket card</PlainButton
  >
  <PocketCard v-if="isOnPaper && table" :table :title @close="isOnPaper = false" />
</template>
