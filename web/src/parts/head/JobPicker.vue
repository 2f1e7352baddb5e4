<script setup lang="ts">
/** Which job is open, and the way to another. */
import { defineAsyncComponent, ref } from 'vue';
import { ChevronDown } from 'lucide-vue-next';
import { useJob } from '../../live/use-jobs.ts';

// The list comes when it is first asked for; from then on it opens by its button.
const JobMenu = defineAsyncComponent(() => import('./JobMenu.vue'));

const job = useJob();
const button = ref<HTMLButtonElement>();
const isWanted = ref(false);
</script>

<template>
  <div class="place">
    <button
      ref="button"
      type="button"
      class="picker"
      aria-haspopup="menu"
      data-test="job"
      :data-job="job.head?.id"
      @click="isWanted = true"
    >
      <span class="title"><span class="sr-only">Job: </span>{{ job.head?.title ?? 'no job open' }}</span>
      <ChevronDown class="sign" :size="16" aria-hidden="true" />
    </button>
    <JobMenu v-if="isWanted && button" :anchor="button" />
  </div>
</template>

<style scoped>
.place {
  min-width: 0;
}
/* The list lies over the page; what anchors it takes no room. */
.place > :deep(.el-dropdown) {
  display: none;
}
.picker {
  display: flex;
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: var(--touch);
  padding: 0 8px;
  border: 0;
  border-bottom: 1px solid var(--groove);
  background: none;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
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
