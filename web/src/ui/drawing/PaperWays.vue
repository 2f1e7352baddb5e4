<script setup lang="ts">
/** How something is put on paper: on which sheets, to scale or full size. */
import { computed } from 'vue';
import type { SheetSize } from '@sprell/core';
import ChoiceBar from '../ChoiceBar.vue';

export type PaperSize = 'to-scale' | 'full-size';

const props = defineProps<{
  sheets: readonly (readonly [SheetSize, string])[];
  /** What is printed: the rod. */
  what: string;
  toScale: string;
  fullSize: string;
}>();
const sheet = defineModel<SheetSize>('sheet', { required: true });
const size = defineModel<PaperSize>('size', { required: true });

const sizes = computed(
  () =>
    [
      ['to-scale', props.toScale],
      ['full-size', props.fullSize],
    ] as const,
);
</script>

<template>
  <div class="ways">
    <ChoiceBar v-model="sheet" label="Sheets of" :choices="sheets" test="sheet" />
    <ChoiceBar v-model="size" :label="what" :choices="sizes" test="paper" />
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  padding-bottom: 8px;
}
</style>
