<script setup lang="ts">
/** A list of a room out of it: as text for a message, as CSV for another program. */
import { useClipboard } from '@vueuse/core';
import { Copy, FileText } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import { fileName, saveFile } from '../../ui/drawing/save-file.ts';
import { say } from '../../ui/say.ts';
import { useJob } from '../../live/use-jobs.ts';

const props = defineProps<{
  /** Of the file. */
  title: string;
  /** Headings first; made when it is wanted. */
  rows: () => readonly (readonly (string | number)[])[];
  /** One line for each; made when it is wanted. */
  lines: () => readonly string[];
}>();
const job = useJob();
const clipboard = useClipboard({ legacy: true });

async function copy(): Promise<void> {
  await clipboard.copy(props.lines().join('\n'));
  void say('Copied the list');
}
async function save(): Promise<void> {
  const rows = props.rows();
  const { csvText } = await import('../../ui/csv.ts');
  saveFile(fileName(props.title, 'csv'), csvText(rows, job.style.decimalComma), 'text/csv;charset=utf-8');
}
</script>

<template>
  <PlainButton data-test="copy-list" @click="copy"><Copy :size="18" aria-hidden="true" />Copy the list</PlainButton>
  <PlainButton data-test="save-list" @click="save"><FileText :size="18" aria-hidden="true" />Save as CSV</PlainButton>
</template>
