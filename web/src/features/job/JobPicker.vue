<script setup lang="ts">
/** Which job is open. The device's own list: on a phone that is the one a thumb knows. */
import { useJobStore } from './job.store.ts';

const store = useJobStore();
const emit = defineEmits<{ choose: [jobId: string] }>();

function choose(event: Event): void {
  emit('choose', (event.target as HTMLSelectElement).value);
}
</script>

<template>
  <select class="jobs" aria-label="Job" :value="store.job?.id ?? ''" data-test="job" @change="choose">
    <option v-if="store.job === undefined" value="" disabled>no job open</option>
    <option v-for="job in store.jobs" :key="job.id" :value="job.id">{{ job.title }}</option>
  </select>
</template>

<style scoped>
.jobs {
  min-height: var(--touch);
  padding: 0 8px;
  border: 0;
  border-bottom: 1px solid var(--groove);
  border-radius: 0;
  background: var(--ground);
  font-weight: 600;
  text-overflow: ellipsis;
  cursor: pointer;
}
</style>
