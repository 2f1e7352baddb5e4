<script setup lang="ts">
/** A column of marks beside the stretch of the rod that they lie on, drawn as large as the column is high. */
import { computed } from 'vue';

const props = defineProps<{
  /** Places on the rod of the lengths of this column, from its top row down, so falling. */
  places: readonly number[];
  /** Which of them light up. */
  lit: readonly boolean[];
  rowHeight: number;
  width: number;
  /** Draws all of the rod, and not only the stretch from the first of them to the last. */
  whole: boolean;
}>();

const ROD = 10;
const INSET = 5;

const height = computed(() => props.places.length * props.rowHeight);
const lines = computed(() => {
  const [first = 1, last = first] = [props.places[0], props.places[props.places.length - 1]];
  const [top, bottom] = props.whole ? [1, 0] : [first, last];
  return props.places.map((place, row) => ({
    y: INSET + (top === bottom ? 0.5 : (top - place) / (top - bottom)) * (height.value - 2 * INSET),
    row: (row + 0.5) * props.rowHeight,
    lit: props.lit[row] === true,
  }));
});
</script>

<template>
  <svg class="rod" :width :height aria-hidden="true">
    <rect class="body" x="0.5" y="0.5" :width="ROD" :height="Math.max(0, height - 1)" />
    <template v-for="({ y, row, lit: isLit }, at) in lines" :key="at">
      <path
        class="leader"
        :class="{ lit: isLit }"
        :d="`M${ROD} ${y.toFixed(1)}L${width - 5} ${row.toFixed(1)}H${width}`"
      />
      <line class="tick" :class="{ lit: isLit }" x1="0.5" :x2="ROD + 0.5" :y1="y" :y2="y" />
    </template>
  </svg>
</template>

<style scoped src="./rod.css" />
<style scoped>
.rod {
  flex: none;
}
</style>
