<script setup lang="ts">
/** The one question at a first start: everything else has a sound answer until somebody says otherwise. */
import QuestionDialog from '../../ui/QuestionDialog.vue';
import PlainButton from '../../ui/PlainButton.vue';
import FirstStepsLink from '../../parts/head/FirstStepsLink.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';

const jobs = useJobs();
const job = useJob();
function answer(length: 'ft-in' | 'mm' | undefined): void {
  if (length !== undefined) job.reading.set({ length });
  // On a metric drawing 2400 is millimetres.
  if (length === 'mm' && job.head) void jobs.set(job.head.id, { bareNumbers: 'mm' });
  jobs.begun();
}
</script>

<template>
  <QuestionDialog title="How do you measure?" @leave="answer(undefined)">
    <p>Sizes are read this way. You can write them either way, and change this at any time.</p>
    <p><FirstStepsLink /></p>
    <template #answers>
      <PlainButton class="answer" data-test="measure-ft-in" @click="answer('ft-in')">Feet and inches</PlainButton>
      <PlainButton class="answer" data-test="measure-mm" @click="answer('mm')">Metric</PlainButton>
    </template>
  </QuestionDialog>
</template>

<style scoped>
.answer {
  flex: 1;
  min-height: 64px;
  font-size: 19px;
  font-weight: 600;
}
</style>
