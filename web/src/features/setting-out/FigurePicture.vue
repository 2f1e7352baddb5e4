<script setup lang="ts">
/** A shape to scale with its sizes. The field that is being written is drawn strong; a touch on a size goes to its field. */
import { useElementSize } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { Maximize, Minus, Plus } from 'lucide-vue-next';
import type { Figure } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { layOut, reachOf, WHOLE, wordsWithRoom, type LaidWords, type Look } from '../../parts/figure/figure-layout.ts';

const props = defineProps<{
  figure: Figure;
  title: string;
  /** What each size is called, and reads, by its field. */
  names: Readonly<Record<string, string>>;
  readings: Readonly<Record<string, string | undefined>>;
  active: string | undefined;
}>();
const emit = defineEmits<{ pick: [field: string] }>();

const box = ref<HTMLElement>();
const { width, height } = useElementSize(box);
const look = ref<Look>(WHOLE);
watch(
  () => props.title,
  () => (look.value = WHOLE),
);

/** Pixels of half a letter of a name, and of half a reading. */
const [HALF_LETTER, HALF_READING] = [3.4, 36];
const TYPE = 18;
/** Between a name and its reading. */
const NAME_GAP = 5;
/** An angle has no room for its name between its sides, unless it is the one that is looked at. */
function nameOf({ field, isAngle, isTight }: LaidWords): string {
  const isNamed = !isAngle || field === props.active || (!isTight && props.readings[field ?? ''] === undefined);
  return isNamed ? (props.names[field ?? ''] ?? '') : '';
}
const readingOf = ({ text, field }: LaidWords) => text ?? props.readings[field ?? ''] ?? '';
const textOf = (one: LaidWords) => [nameOf(one), readingOf(one)].filter((piece) => piece !== '').join(' ');
const longOf = (one: LaidWords) => nameOf(one).length * 2 * HALF_LETTER + readingOf(one).length * (TYPE / 2) + NAME_GAP;
/** Moved, and drawn smaller, where words would reach past a side. */
const laid = computed(() => {
  const [wide, high] = [Math.max(width.value, 200), Math.max(height.value, 160)];
  const ways = {
    look: look.value,
    halfWords: (field: string) =>
      props.readings[field] === undefined ? (props.names[field] ?? '').length * HALF_LETTER : HALF_READING,
  };
  const first = layOut(props.figure, wide, high, ways);
  if (look.value.zoom !== 1) return first;
  const [left, right] = reachOf(first, longOf);
  if (left >= 0 && right <= wide) return first;
  const aside = Math.max(0, right - left - wide) / 2;
  return layOut(props.figure, wide, high, { ...ways, aside, look: { ...WHOLE, dx: (wide - left - right) / 2 } });
});
const words = computed(() => wordsWithRoom(laid.value.words, textOf, TYPE, props.active));

const ZOOM_STEP = 1.4;
const MOST = 40;
/** Closer or further, the place at the pointer staying where it is. */
function zoomBy(factor: number, x = width.value / 2, y = height.value / 2): void {
  const { zoom, dx, dy } = look.value;
  const next = Math.min(MOST, Math.max(1, zoom * factor));
  const [cx, cy] = [x - width.value / 2, y - height.value / 2];
  const times = next / zoom;
  look.value = next === 1 ? WHOLE : { zoom: next, dx: cx - (cx - dx) * times, dy: cy - (cy - dy) * times };
}
function turnWheel(event: WheelEvent): void {
  const frame = box.value?.getBoundingClientRect();
  zoomBy(event.deltaY < 0 ? 1.15 : 1 / 1.15, event.clientX - (frame?.left ?? 0), event.clientY - (frame?.top ?? 0));
}
/** Fingers or the mouse on the picture, by their ids. */
const held = new Map<number, { x: number; y: number }>();
function press(event: PointerEvent): void {
  if (look.value.zoom === 1 && event.pointerType === 'mouse') return;
  held.set(event.pointerId, { x: event.clientX, y: event.clientY });
}
function move(event: PointerEvent): void {
  const before = held.get(event.pointerId);
  if (before === undefined) return;
  const now = { x: event.clientX, y: event.clientY };
  const other = [...held].find(([id]) => id !== event.pointerId)?.[1];
  held.set(event.pointerId, now);
  if (other) {
    const frame = box.value?.getBoundingClientRect();
    const apart = (one: { x: number; y: number }) => Math.hypot(one.x - other.x, one.y - other.y) || 1;
    zoomBy(
      apart(now) / apart(before),
      (now.x + other.x) / 2 - (frame?.left ?? 0),
      (now.y + other.y) / 2 - (frame?.top ?? 0),
    );
  } else if (look.value.zoom > 1)
    look.value = { ...look.value, dx: look.value.dx + now.x - before.x, dy: look.value.dy + now.y - before.y };
}
function release(event: PointerEvent): void {
  held.delete(event.pointerId);
}
</script>

<template>
  <div class="picture">
    <div
      ref="box"
      class="box"
      @wheel.prevent="turnWheel"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="release"
      @pointercancel="release"
      @pointerleave="release"
    >
      <svg :width="Math.max(width, 200)" :height="Math.max(height, 160)" role="img" :aria-label="title">
        <path
          v-for="(line, at) in laid.lines"
          :key="at"
          :d="line.d"
          :class="[line.look, { active: line.field !== undefined && line.field === active }]"
        />
      </svg>
      <button
        v-for="(one, at) in words"
        :key="at"
        type="button"
        class="words"
        :class="[one.anchor, { active: one.field !== undefined && one.field === active }]"
        :style="{ left: `${one.x}px`, top: `${one.y}px` }"
        tabindex="-1"
        @click="one.field !== undefined && emit('pick', one.field)"
      >
        <span v-if="nameOf(one)" class="name">{{ nameOf(one) }}</span>
        <SizeText v-if="readingOf(one)" :text="readingOf(one)" />
      </button>
    </div>
    <div class="zoom" :class="{ whole: look.zoom === 1 }">
      <button type="button" aria-label="Closer" title="Closer" @click="zoomBy(ZOOM_STEP)"><Plus :size="18" /></button>
      <button
        type="button"
        aria-label="Further"
        title="Further"
        :disabled="look.zoom === 1"
        @click="zoomBy(1 / ZOOM_STEP)"
      >
        <Minus :size="18" />
      </button>
      <button type="button" aria-label="All of it" title="All of it" :disabled="look.zoom === 1" @click="look = WHOLE">
        <Maximize :size="18" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  min-height: 220px;
}
.box {
  position: absolute;
  inset: 0;
  overflow: hidden;
  touch-action: none;
}
svg {
  display: block;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.thin {
  stroke-width: 1.2;
}
.dashed {
  stroke-width: 1.4;
  stroke-dasharray: 6 5;
  stroke: var(--faint);
}
.size {
  stroke-width: 1.2;
  stroke: var(--faint);
}
path.active {
  stroke: var(--chalk);
  stroke-width: 4;
}
path.size.active {
  stroke-width: 2;
}
.words {
  position: absolute;
  padding: 2px 4px;
  border: 0;
  background: none;
  color: var(--ink);
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 600;
  line-height: 1;
  white-space: nowrap;
  text-shadow:
    0 0 3px var(--board),
    0 0 3px var(--board),
    0 0 3px var(--board);
  cursor: pointer;
}
.name {
  margin-right: 0.35em;
  color: var(--ink-soft);
  font-size: 14px;
  font-weight: 500;
}
.words.active .name {
  color: inherit;
}
.words.middle {
  transform: translate(-50%, -85%);
}
.words.end {
  transform: translate(-100%, -85%);
}
.words.start {
  transform: translate(0, -85%);
}
.words.active {
  color: var(--chalk);
}
.zoom {
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  gap: 4px;
}
.zoom button {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 40px;
  height: 40px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  cursor: pointer;
}
.zoom button:disabled {
  color: var(--faint);
  opacity: 0.5;
}
/* Fingers do it there, and the sizes need the room. */
@media (max-width: 820px) {
  .zoom {
    top: 8px;
    bottom: auto;
  }
  .zoom.whole,
  .zoom button:not(:last-child) {
    display: none;
  }
}
</style>
