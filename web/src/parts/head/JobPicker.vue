<script setup lang="ts">
/** Which job is open. The device's own list: on a phone that is the one a thumb knows. */
import { ChevronDown } from 'lucide-vue-next';
import { useJob, useJobs } from '../../live/use-jobs.ts';

const jobs = useJobs();
const job = useJob();
const emit = defineEmits<{ choose: [jobId: string] }>();

function choose(event: Event): void {
  emit('choose', (event.target as HTMLSelectElement).value);
}
</script>

<template>
  <div class="picker">
    <!-- The list lies unseen over the title, which may take two lines as a list's own face cannot. -->
    <span class="title" aria-hidden="true">{{ job.head?.title ?? 'no job open' }}</span>
    <ChevronDown class="sign" :size="16" aria-hidden="true" />
    <select aria-label="Job" :value="job.head?.id ?? ''" data-test="job" @change="choose">
      <option v-if="job.head === undefined" value="" disabled>no job open</option>
      <option v-for="one in jobs.list" :key="one.id" :value="one.id">{{ one.title }}</option>
    </select>
  </div>
</template>

<style scoped>
.picker {
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: var(--touch);
  padding: 0 8px;
  border-bottom: 1px solid var(--groove);
  font-weight: 600;
}
.picker:has(:focus-visible) {
  outline: 3px solid var(--chalk);
  outline-offset: 1px;
}
.title {
  flex: 1;
  min-width: 0;
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  line-height: 1.15;
  overflow-wrap: anywhere;
}
.sign {
  flex: none;
}
select {
  position: absolute;
  inset: 0;
  width: 100%;
  border: 0;
  background: var(--ground);
  color: inherit;
  opacity: 0;
  cursor: pointer;
}
@media (max-width: 760px) {
  .picker {
    padding: 0;
    font-size: 12px;
  }
  .sign {
    display: none;
  }
}
</style>
