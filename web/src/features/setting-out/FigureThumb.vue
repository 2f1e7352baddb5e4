<script setup lang="ts">
/** A figure in small, without its sizes: to be chosen by. */
import { computed } from 'vue';
import type { Figure } from '@sprell/core';
import { layOut } from '../../parts/figure/figure-layout.ts';

const props = defineProps<{ figure: Figure | undefined; width: number; height: number }>();
const lines = computed(() =>
  props.figure ? layOut(props.figure, props.width, props.height, { bare: true }).lines : [],
);
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :width :height aria-hidden="true">
    <path v-for="(line, at) in lines" :key="at" :d="line.d" :class="line.look" />
  </svg>
</template>

<style scoped>
svg {
  flex: 0 0 auto;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
  stroke-linejoin: round;
}
.thin,
.dashed {
  stroke: var(--faint);
  stroke-width: 1;
}
.dashed {
  stroke-dasharray: 3 3;
}
</style>
