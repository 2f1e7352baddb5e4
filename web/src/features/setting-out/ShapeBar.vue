<script setup lang="ts">
/** The shape that is set out, and the ones saved in the job; all shapes are one touch away. */
import { SOLVERS, type Solver } from '@sprell/core';
import { ChevronDown, ChevronUp } from 'lucide-vue-next';
import { computed } from 'vue';
import type { SetOut } from '../../job/index.ts';
import FigureThumb from './FigureThumb.vue';
import KeptList from './KeptList.vue';
import { PICTURES } from './samples.ts';

const props = defineProps<{ solver: Solver; openId: string | undefined }>();
const emit = defineEmits<{ open: [setOut: SetOut] }>();
/** All of them are shown. */
const isOpen = defineModel<boolean>({ required: true });
const picture = computed(() => PICTURES[props.solver.id]);
</script>

<template>
  <div class="bar">
    <button
      type="button"
      class="shape"
      :aria-expanded="isOpen"
      data-test="shapes"
      :data-shape-now="solver.id"
      @click="isOpen = !isOpen"
    >
      <FigureThumb :figure="picture" :width="52" :height="38" />
      <span class="words">
        <b>{{ solver.title }}</b>
        <small>{{ isOpen ? 'choose one' : `all ${SOLVERS.length} shapes` }}</small>
      </span>
      <component :is="isOpen ? ChevronUp : ChevronDown" :size="20" aria-hidden="true" />
    </button>
    <KeptList class="saved" :open-id @open="(setOut) => emit('open', setOut)" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: stretch;
  border-bottom: 1px solid var(--groove);
  background: var(--board);
}
.shape {
  display: flex;
  flex: none;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  padding: 4px 16px;
  border: 0;
  border-right: 1px solid var(--groove);
  background: none;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
.shape:hover {
  color: var(--chalk);
}
.words {
  display: flex;
  flex-direction: column;
  line-height: 1.2;
}
b {
  font-size: 18px;
  font-weight: 600;
}
small {
  color: var(--ink-soft);
  font-size: 14px;
}
.saved {
  flex: 1;
  min-width: 0;
}
@media (max-width: 820px) {
  .bar {
    flex-direction: column;
  }
  .shape {
    border-right: 0;
  }
  .words {
    flex: 1;
  }
}
</style>
