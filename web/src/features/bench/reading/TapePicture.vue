<script setup lang="ts">
/** The piece of tape around a length: where the true size lies, and which mark the reading shows for it. */
import { computed } from 'vue';
import { readQuantity, shownValue, valueToNumber, type Quantity, type Reading, type ReadingStyle } from '@sprell/core';

const props = defineProps<{ quantity: Quantity; reading: Reading; style: ReadingStyle }>();

const WIDTH = 640;
const HEIGHT = 96;
/** How much of the tape is seen, in its own small unit: inches or millimetres. */
const SEEN_INCHES = 2.25;
const SEEN_MILLIMETRES = 60;

/** A picture only: drawn in doubles, and never read from. */
const tape = computed(() => {
  const metric = ['m', 'cm', 'mm'].includes(props.style.length);
  const unit = metric ? 0.001 : 0.0254;
  const seen = metric ? SEEN_MILLIMETRES : SEEN_INCHES;
  const trueSize = Math.abs(valueToNumber(props.quantity.value)) / unit;
  const shownSize = Math.abs(valueToNumber(shownValue(props.reading))) / unit;
  const from = Math.max(0, trueSize - seen / 2);
  const x = (size: number) => ((size - from) / seen) * WIDTH;
  const division = metric ? 1 : 1 / Math.min(props.style.finest, 32);
  const first = Math.ceil(from / division);
  const last = Math.floor((from + seen) / division);
  const ticks = Array.from({ length: Math.max(0, last - first + 1) }, (_, n) => {
    const count = first + n;
    return { x: x(count * division), length: lengthOf(count, metric), face: faceOf(count, metric) };
  });
  return {
    // One path: a picture that changes with every key is one thing to change.
    marks: ticks.map((tick) => `M${tick.x.toFixed(1)} 1V${tick.length}`).join(''),
    faces: ticks.filter(({ face }) => face !== ''),
    trueX: x(trueSize),
    shownX: x(shownSize),
  };
});

/** The coarser the division, the longer its mark. */
function lengthOf(count: number, metric: boolean): number {
  if (metric) return count % 10 === 0 ? 44 : count % 5 === 0 ? 32 : 20;
  const inch = Math.min(props.style.finest, 32);
  if (count % inch === 0) return 52;
  let part = inch;
  let length = 14;
  while (part > 1 && count % (inch / (part / 2)) !== 0) part /= 2;
  for (let step = part; step < 32 && length < 40; step *= 2) length += 7;
  return length;
}

/** Figures stand at whole inches and centimetres; feet are written at every foot. */
function faceOf(count: number, metric: boolean): string {
  if (metric) return count % 10 === 0 ? `${count / 10}` : '';
  const inch = Math.min(props.style.finest, 32);
  if (count % inch !== 0) return '';
  const inches = count / inch;
  return inches % 12 === 0 && inches > 0 ? `${inches / 12}′` : `${inches % 12}`;
}

const words = computed(() => {
  const { rounding } = props.reading;
  const shown = readQuantity(props.quantity, props.style).text;
  return rounding === 'exact'
    ? `on the mark at ${shown}`
    : `a little ${rounding === 'full' ? 'past' : 'before'} the mark at ${shown}`;
});
</script>

<template>
  <svg class="tape" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`On the tape: ${words}`">
    <rect class="blade" x="-2" y="1" :width="WIDTH + 4" height="72" />
    <path class="tick" :d="tape.marks" />
    <text v-for="(tick, at) in tape.faces" :key="at" class="figure" :x="tick.x + 5" y="66">{{ tick.face }}</text>
    <path class="shown" :d="`M${tape.shownX} 74 l-9 18 h18 z`" />
    <line class="true" :x1="tape.trueX" :x2="tape.trueX" y1="1" y2="82" />
  </svg>
</template>

<style scoped>
.tape {
  display: block;
  width: 100%;
  max-height: 96px;
}
.blade {
  fill: var(--tape);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.tick {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.figure {
  font-family: var(--figures);
  font-size: 22px;
  font-weight: 600;
  fill: var(--ink);
}
.shown {
  fill: var(--chalk);
}
.true {
  stroke: var(--pencil);
  stroke-width: 2.5;
}
</style>
