<script setup lang="ts">
/** The jobs of this device under the button that names the open one; it opens as soon as it is there. */
import type { DropdownInstance } from 'element-plus';
import { onKeyStroke } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { toldApart } from './told-apart.ts';

defineProps<{ anchor: HTMLElement }>();
const jobs = useJobs();
const job = useJob();
const menu = ref<DropdownInstance>();
onMounted(() => menu.value?.handleOpen());
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
// While it opens, the focus is still on the button.
onKeyStroke('Escape', () => menu.value?.handleClose());
</script>

<template>
  <el-dropdown
    ref="menu"
    trigger="click"
    virtual-triggering
    :virtual-ref="anchor"
    placement="bottom-start"
    max-height="70vh"
    @command="choose"
  >
    <template #dropdown>
      <el-dropdown-menu aria-label="Jobs">
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
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>

<style scoped>
.tells {
  margin-left: 8px;
  color: var(--ink-soft);
  font-weight: 400;
}
</style>
