<script setup lang="ts">
/** First steps: the bench itself, on a job for practice, with the step that comes next at its head. */
import { onMounted, provide, ref } from 'vue';
import { useTitle } from '@vueuse/core';
import { isMetric } from '@sprell/core';
import { BENCH_HEAD } from '../../parts/head/bench-head.ts';
import { useComfort } from '../../live/comfort.store.ts';
import { useJobs } from '../../live/use-jobs.ts';
import { BenchView } from '../bench/index.ts';
import StepsHead from './StepsHead.vue';
import { makePractice } from './practice-job.ts';

provide(BENCH_HEAD, StepsHead);
useTitle('First steps · Sprell');
// The looks that were chosen on this device hold here too.
useComfort();
const jobs = useJobs();
const isThere = ref(false);
onMounted(async () => {
  await jobs.look();
  const [job] = jobs.current;
  const metric = new URLSearchParams(location.search).get('in');
  // Somebody who measures otherwise now begins with the other shelf.
  const isOther = job !== undefined && metric !== null && isMetric(job.reading.length) !== (metric === 'metres');
  if (job === undefined || isOther) await makePractice(jobs, metric ?? undefined);
  else await jobs.openJob(job.id);
  isThere.value = true;
});
</script>

<template>
  <BenchView v-if="isThere" />
</template>
