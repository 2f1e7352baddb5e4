<script setup lang="ts">
/** The way to the first steps, which are a page of their own. */
import { computed } from 'vue';
import { isMetric } from '@sprell/core';
import { Footprints } from 'lucide-vue-next';
import { useJob } from '../../live/use-jobs.ts';

const job = useJob();
const address = computed(() => `/first-steps?in=${isMetric(job.style.length) ? 'metres' : 'feet'}`);
</script>

<template>
  <a :href="address" data-test="first-steps"
    ><Footprints :size="20" aria-hidden="true" /><span
      >First steps: five sums in five minutes, on a bench where nothing counts</span
    ></a
  >
</template>

<style scoped>
a {
  display: inline-flex;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  padding: 4px 14px;
  border: 1px solid var(--chalk);
  border-radius: 3px;
  color: var(--chalk);
  font-weight: 600;
  text-decoration: none;
}
</style>
