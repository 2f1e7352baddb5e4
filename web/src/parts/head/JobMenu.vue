<script setup lang="ts">
/** The jobs of this device under the button that names the open one; it opens as soon as it is there. */
import type { DropdownInstance } from 'element-plus';
import { onKeyStroke } from '@vueuse/core';
import { onMounted, ref } from 'vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';

defineProps<{ anchor: HTMLElement }>();
const emit = defineEmits<{ choose: [jobId: string] }>();
const jobs = useJobs();
const job = useJob();
const menu = ref<DropdownInstance>();
onMounted(() => menu.value?.handleOpen());
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
    @command="(jobId: string) => emit('choose', jobId)"
  >
    <template #dropdown>
      <el-dropdown-menu aria-label="Jobs">
        <el-dropdown-item
          v-for="one in jobs.list"
          :key="one.id"
          :command="one.id"
          :aria-current="one.id === job.head?.id"
          :data-job="one.id"
          >{{ one.title }}</el-dropdown-item
        >
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
