<script setup lang="ts">
/** The sheets of the open job, as they were set up last, for the printer alone. */
import PrintedPages from '../../ui/drawing/PrintedPages.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useJobSheet } from './use-job-sheet.ts';

const job = useJob();
const { drawings } = useJobSheet();
</script>

<template>
  <PrintedPages :drawings :title="`${job.head?.title ?? ''} job sheet`" />
</template>
