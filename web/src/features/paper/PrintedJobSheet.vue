<script setup lang="ts">
/** The job sheet while the browser prints by its own command. */
import PrintedPages from '../../ui/drawing/PrintedPages.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useJobSheet } from './use-job-sheet.ts';

const job = useJob();
const { drawings } = useJobSheet();
</script>

<template>
  <PrintedPages :drawings :title="`${job.head?.title ?? ''} job sheet`" />
</template>
