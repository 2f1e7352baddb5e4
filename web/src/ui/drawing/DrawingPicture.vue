<script setup lang="ts">
/** Drawings for paper as one picture, a sheet under the other. What it says stands in attributes, so that it can be saved as it is. */
import { computed } from 'vue';
import type { Drawing } from '@sprell/core';
import { CUT_DASHES, setPieces, WEIGHTS } from './setting.ts';

const props = defineProps<{
  drawings: readonly Drawing[];
  /** What the picture shows, in words. */
  title: string;
  /** Drawn at its size in millimetres, so far as the screen's own millimetre is true. */
  actualSize?: boolean;
}>();

/** Between sheets. */
const GAP = 6;

const sheets = computed(() => {
  let y = 0;
  return props.drawings.map((drawing) => {
    const sheet = { drawing, y };
    y += drawing.height + GAP;
    return sheet;
  });
});
const width = computed(() => Math.max(1, ...props.drawings.map((drawing) => drawing.width)));
const height = computed(() => {
  const last = sheets.value[sheets.value.length - 1];
  return last ? last.y + last.drawing.height : 1;
});
</script>

<template>
  <svg
    xmlns="http://www.w3.org/2000/svg"
    :viewBox="`0 0 ${width} ${height}`"
    :width="actualSize ? `${width}mm` : undefined"
    :height="actualSize ? `${height}mm` : undefined"
    role="img"
    :aria-label="title"
    font-family="Barlow, sans-serif"
    stroke="none"
    fill="black"
  >
    <g v-for="(sheet, at) in sheets" :key="at" :transform="`translate(0 ${sheet.y})`">
      <rect x="0" y="0" :width="sheet.drawing.width" :height="sheet.drawing.height" fill="white" />
      <template v-for="(shape, index) in sheet.drawing.shapes" :key="index">
        <line
          v-if="shape.kind === 'line'"
          :x1="shape.x1"
          :y1="shape.y1"
          :x2="shape.x2"
          :y2="shape.y2"
          stroke="black"
          :stroke-width="WEIGHTS[shape.weight]"
          :stroke-dasharray="shape.weight === 'cut' ? CUT_DASHES.join(' ') : undefined"
        />
        <rect
          v-else-if="shape.kind === 'box'"
          :x="shape.x"
          :y="shape.y"
          :width="shape.width"
          :height="shape.height"
          stroke="black"
          stroke-width="0.3"
          :fill="shape.filled ? 'black' : 'none'"
        />
        <text
          v-else
          :x="shape.x"
          :y="shape.y"
          :font-size="shape.size"
          :font-weight="shape.strong ? 600 : 500"
          :text-anchor="shape.anchor"
          :transform="shape.upright ? `rotate(-90 ${shape.x} ${shape.y})` : undefined"
          xml:space="preserve"
        >
          <tspan
            v-for="(piece, place) in setPieces(shape.text)"
            :key="place"
            :dx="piece.closer > 0 ? -piece.closer * shape.size : undefined"
            :style="piece.kind === 'fraction' ? 'font-variant-numeric: diagonal-fractions' : undefined"
          >
            {{ piece.text }}
          </tspan>
        </text>
      </template>
    </g>
  </svg>
</template>
