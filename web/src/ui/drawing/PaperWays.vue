<script setup lang="ts">
/** How something is put on paper: on which sheets, to scale or full size. */
import type { SheetSize } from '@sprell/core';

export type PaperSize = 'to-scale' | 'full-size';

defineProps<{
  /** What is printed: the rod. */
  what: string;
  toScale: string;
  fullSize: string;
}>();
const sheet = defineModel<SheetSize>('sheet', { required: true });
const size = defineModel<PaperSize>('size', { required: true });
</script>

<template>
  <div class="ways">
    <fieldset>
      <legend>Sheets of</legend>
      <label><input v-model="sheet" type="radio" value="a4" /> A4</label>
      <label><input v-model="sheet" type="radio" value="letter" /> US Letter</label>
    </fieldset>
    <fieldset>
      <legend>{{ what }}</legend>
      <label><input v-model="size" type="radio" value="to-scale" data-test="to-scale" /> {{ toScale }}</label>
      <label><input v-model="size" type="radio" value="full-size" data-test="full-size" /> {{ fullSize }}</label>
    </fieldset>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-bottom: 8px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
  padding: 4px 12px;
  border: 1px solid var(--groove);
}
label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 40px;
}
</style>
