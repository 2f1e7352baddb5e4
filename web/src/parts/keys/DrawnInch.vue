<script setup lang="ts">
/**
 * An inch drawn large, to pick a fraction on: touch it or drag along it, and it snaps to the finest division. What is
 * under the finger is shown above it. Arrow keys move it too, and Enter puts the fraction in.
 */
import { computed, ref } from 'vue';
import { useComfort } from '../../live/comfort.store.ts';
import SizeText from '../../ui/SizeText.vue';

const props = defineProps<{ /** Divisions in the inch: 16 for sixteenths. */ finest: number }>();
const emit = defineEmits<{ pick: [num: number, den: number] }>();

const board = ref<SVGSVGElement>();
/** The division under the finger or chosen by arrow keys, from 1 to one before the whole inch. */
const at = ref<number>();
const isDragging = ref(false);

const WIDTH = 1000;
const HEIGHT = 150;
const EDGE = 26;

function lowest(divisions: number): readonly [num: number, den: number] {
  let [num, den] = [divisions, props.finest];
  while (num % 2 === 0 && den % 2 === 0) [num, den] = [num / 2, den / 2];
  return [num, den];
}

/** What of the inch is drawn: all of it, or for a gloved thumb the half of it around the place that is touched. */
const shown = ref({ from: 0, to: 1 });
const { comfort } = useComfort();
const x = (divisions: number) => {
  const { from, to } = shown.value;
  return EDGE + ((divisions / props.finest - from) / (to - from)) * (WIDTH - 2 * EDGE);
};
/** Twice as large, what is under the finger staying where it is. */
function magnify(event: PointerEvent): void {
  const { left, width } = (board.value as SVGSVGElement).getBoundingClientRect();
  const share = Math.min(1, Math.max(0, (((event.clientX - left) / width) * WIDTH - EDGE) / (WIDTH - 2 * EDGE)));
  shown.value = { from: share / 2, to: share / 2 + 1 / 2 };
}
/** Marks as a tape has them: the coarser the division, the longer. */
const ticks = computed(() =>
  Array.from({ length: props.finest + 1 }, (_, divisions) => {
    const [num, den] = divisions === 0 || divisions === props.finest ? [1, 1] : lowest(divisions);
    const length = { 1: 104, 2: 84, 4: 66, 8: 48, 16: 34, 32: 24 }[den] ?? 16;
    return { divisions, x: x(divisions), length, face: den > 1 && den <= 8 ? `${num}⁄${den}` : '', den };
  }),
);
const picked = computed(() => (at.value === undefined ? undefined : lowest(at.value)));
const face = computed(() => picked.value && `${picked.value[0]}⁄${picked.value[1]}″`);

function divisionUnder(event: PointerEvent): number {
  const { left, width } = (board.value as SVGSVGElement).getBoundingClientRect();
  const share = ((event.clientX - left) / width) * WIDTH;
  const { from, to } = shown.value;
  const divisions = Math.round((from + ((share - EDGE) / (WIDTH - 2 * EDGE)) * (to - from)) * props.finest);
  return Math.min(props.finest - 1, Math.max(1, divisions));
}

function down(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  isDragging.value = true;
  if (comfort.gloves) magnify(event);
  at.value = divisionUnder(event);
}
function move(event: PointerEvent): void {
  if (isDragging.value) at.value = divisionUnder(event);
}
function up(event: PointerEvent): void {
  if (!isDragging.value) return;
  at.value = divisionUnder(event);
  isDragging.value = false;
  shown.value = { from: 0, to: 1 };
  choose();
}
function cancel(): void {
  isDragging.value = false;
  shown.value = { from: 0, to: 1 };
  at.value = undefined;
}

function choose(): void {
  if (picked.value) emit('pick', ...picked.value);
}

function byKey(event: KeyboardEvent): void {
  const step = {
    ArrowLeft: -1,
    ArrowDown: -1,
    ArrowRight: 1,
    ArrowUp: 1,
    PageDown: -props.finest / 4,
    PageUp: props.finest / 4,
  }[event.key];
  if (step !== undefined)
    at.value = Math.min(props.finest - 1, Math.max(1, (at.value ?? (step > 0 ? 0 : props.finest)) + step));
  else if (event.key === 'Home') at.value = 1;
  else if (event.key === 'End') at.value = props.finest - 1;
  else if (event.key === 'Enter' || event.key === ' ') choose();
  else return;
  event.preventDefault();
}
</script>

<template>
  <div
    class="inch"
    role="slider"
    tabindex="0"
    aria-label="Fraction of an inch"
    :aria-valuemin="1"
    :aria-valuemax="finest - 1"
    :aria-valuenow="at ?? 0"
    :aria-valuetext="picked ? `${picked[0]}/${picked[1]} inch` : 'none'"
    data-test="inch"
    @pointerdown.prevent="down"
    @pointermove="move"
    @pointerup="up"
    @pointercancel="cancel"
    @keydown="byKey"
    @blur="at = undefined"
  >
    <svg ref="board" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true">
      <line
        v-for="tick in ticks"
        :key="tick.divisions"
        :x1="tick.x"
        :x2="tick.x"
        y1="0"
        :y2="tick.length"
        class="tick"
        :class="{ coarse: tick.den <= 4, here: tick.divisions === at }"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <span
      v-for="tick in ticks.filter(({ face: words, x: place }) => words !== '' && place >= 0 && place <= WIDTH)"
      :key="tick.divisions"
      class="figure"
      :class="`den-${tick.den}`"
      :style="{ left: `${tick.x / 10}%` }"
      aria-hidden="true"
      ><SizeText :text="tick.face"
    /></span>
    <span
      v-if="at !== undefined && isDragging && face"
      class="glass"
      :style="{ left: `${Math.min(88, Math.max(12, x(at) / 10))}%` }"
      aria-hidden="true"
      ><SizeText :text="face"
    /></span>
  </div>
</template>

<style scoped>
.inch {
  position: relative;
  height: 76px;
  background: var(--tape);
  border: 1px solid var(--ink);
  border-radius: 3px;
  touch-action: none;
  cursor: pointer;
  user-select: none;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.tick {
  stroke: var(--ink);
  stroke-width: 1px;
}
.coarse {
  stroke-width: 2px;
}
.here {
  stroke: var(--pencil);
  stroke-width: 3px;
}
.figure {
  position: absolute;
  bottom: 2px;
  transform: translateX(-50%);
  font-family: var(--figures);
  font-weight: 600;
  font-size: 15px;
  pointer-events: none;
}
.den-2 {
  font-size: 22px;
}
.den-4 {
  font-size: 19px;
}
.glass {
  position: absolute;
  bottom: calc(100% + 10px);
  transform: translateX(-50%);
  z-index: 5;
  padding: 2px 16px;
  background: var(--ink);
  color: var(--ground);
  border-radius: 3px;
  font-family: var(--figures);
  font-weight: 600;
  font-size: 44px;
  pointer-events: none;
}
@media (max-height: 740px) {
  .inch {
    height: 58px;
  }
}
@media (max-height: 600px) {
  .inch {
    height: 48px;
  }
}
</style>
