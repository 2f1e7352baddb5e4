<script setup lang="ts">
/** The jobs of this device, under the button that names the open one. */
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import HeadMenu from './HeadMenu.vue';
import { toldApart } from './told-apart.ts';

defineProps<{ anchor: HTMLElement }>();
const jobs = useJobs();
const job = useJob();
/** As many as a hand takes in at a glance; the others are in the jobs room. */
const MOST = 8;
const [ALL, NEW] = ['all', 'new'];
const router = useRouter();
const near = computed(() => toldApart(jobs.current.slice(0, MOST)));
function choose(what: string): void {
  if (what === ALL) void router.push('/jobs');
  else if (what === NEW) void router.push({ path: '/jobs', hash: '#new' });
  else void jobs.openJob(what);
}
</script>

<template>
  <HeadMenu :anchor label="Jobs" @choose="choose">
    <el-dropdown-item
      v-for="one in near"
      :key="one.id"
      :command="one.id"
      :aria-current="one.id === job.head?.id"
      :data-job="one.id"
      >{{ one.title }}<small v-if="one.tells" class="tells">{{ one.tells }}</small></el-dropdown-item
    >
    <el-dropdown-item :command="ALL" divided data-test="all-jobs">All jobs …</el-dropdown-item>
    <el-dropdown-item :command="NEW" data-test="new-job">New job</el-dropdown-item>
  </HeadMenu>
</template>

<style scoped>
.tells {
  margin-left: 8px;
  color: var(--ink-soft);
  font-weight: 400;
}
</style>
