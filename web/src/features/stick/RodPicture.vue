<script setup lang="ts">
/**
 * The rod, standing: every mark in proportion with its name and size beside it, on both sides by turns, or a stretch of
 * it drawn larger. Touching a label chooses its mark.
 */
import { computed, ref } from 'vue';
import { useElementSize } from '@vueuse/core';
import { readQuantity, spreadLabels, type ReadingStyle, type Rod, type Stretch } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import type { MarkOnRod } from '../../parts/marks/mark-on-rod.ts';

const props = defineProps<{
  rod: Rod<MarkOnRod>;
  style: ReadingStyle;
  /** The part of the rod that is drawn: all of it where there is none. */
  stretch?: Stretch | undefined;
  /** The part that is drawn larger elsewhere, shown on this rod. */
  magnified?: Stretch | undefined;
  /** Labels on one side alone. */
  oneSided?: boolean;
  chosen: string | undefined;
  inHand: string | undefined;
  gaps: boolean;
  title: string;
}>();
const emit = defineEmits<{ choose: [name: string]; point: [place: number] }>();

/** Height of a label: as much as there is room for, within these. */
const [LEAST, MOST] = [18, 26];
const FOOT = 14;
const ROD = 40;
/** Between the rod and the labels, for the lines that join them. */
const JOIN = 26;

const box = ref<HTMLElement>();
const { width, height } = useElementSize(box);
const side = computed(() => (props.oneSided === true ? 0 : Math.max(0, (width.value - ROD) / 2)));

const seen = computed(() => {
  const { from, to } = props.stretch ?? { from: 0, to: 1 };
  const span = to - from || 1;
  const slack = 1e-9;
  return props.rod.marks
    .filter(({ place }) => place >= from - slack && place <= to + slack)
    .map((mark) => ({ ...mark, y: FOOT + (1 - (mark.place - from) / span) * (height.value - 2 * FOOT) }));
});
const perSide = computed(() => Math.ceil(seen.value.length / (props.oneSided === true ? 1 : 2)));
const label = computed(() => Math.min(MOST, Math.max(LEAST, height.value / Math.max(1, perSide.value))));
const isLeft = (index: number) => props.oneSided !== true && index % 2 === 1;
const labels = computed(() => {
  const sides = [false, true].map((left) => {
    // From the foot up, so counted from above they are falling.
    const here = seen.value.filter((_, index) => isLeft(index) === left).reverse();
    const spread = spreadLabels(
      here.map(({ y }) => y),
      label.value,
      label.value / 2,
      Math.max(label.value, height.value - label.value / 2),
    );
    return here.map((mark, at) => ({ ...mark, left, label: spread[at] as number }));
  });
  return sides.flat();
});
const text = ({ mark, gap }: Rod<MarkOnRod>['marks'][number]) =>
  props.gaps ? (gap === undefined ? '' : `+${readQuantity(gap, props.style).text}`) : mark.reading;

const bracket = computed(() => {
  const part = props.magnified;
  const y = (place: number) => FOOT + (1 - place) * (height.value - 2 * FOOT);
  return part && { top: y(part.to), height: Math.max(6, y(part.from) - y(part.to)) };
});
function point(event: PointerEvent): void {
  if (event.type === 'pointermove' && event.buttons === 0) return;
  const top = (event.currentTarget as Element).getBoundingClientRect().top;
  const place = 1 - (event.clientY - top - FOOT) / (height.value - 2 * FOOT);
  emit('point', Math.min(1, Math.max(0, place)));
}
</script>

<template>
  <div
    ref="box"
    class="picture"
    role="group"
    :aria-label="title"
    :class="{ tight: label < 20 }"
    :style="{ minHeight: `${Math.max(240, perSide * LEAST)}px` }"
  >
    <svg class="lines" :width="width" :height="height" aria-hidden="true">
      <path
        v-for="{ mark, y, left, label: at } in labels"
        :key="mark.name"
        class="leader"
        :class="{ chosen: mark.name === chosen }"
        :d="
          left
            ? `M${side} ${y.toFixed(1)}L${side - JOIN + 6} ${at.toFixed(1)}h-6`
            : `M${side + ROD} ${y.toFixed(1)}L${side + ROD + JOIN - 6} ${at.toFixed(1)}h6`
        "
      />
      <rect
        class="body"
        :x="side + 0.5"
        y="0.5"
        :width="ROD - 1"
        :height="Math.max(0, height - 1)"
        @pointerdown.prevent="point"
        @pointermove="point"
      />
      <rect v-if="bracket" class="bracket" :x="side + 2" :y="bracket.top" :width="ROD - 4" :height="bracket.height" />
      <line
        v-for="{ mark, y } in seen"
        :key="mark.name"
        class="tick"
        :class="{ chosen: mark.name === chosen, held: mark.name === inHand }"
        :x1="side + 1"
        :x2="side + ROD - 1"
        :y1="y"
        :y2="y"
      />
    </svg>
    <button
      v-for="one in labels"
      :key="one.mark.name"
      type="button"
      class="label"
      :class="{ left: one.left, chosen: one.mark.name === chosen, held: one.mark.name === inHand }"
      :style="
        one.left
          ? {
              height: `${label}px`,
              top: `${one.label - label / 2}px`,
              right: `${width - side + JOIN}px`,
              maxWidth: `${side - JOIN}px`,
            }
          : {
              height: `${label}px`,
              top: `${one.label - label / 2}px`,
              left: `${side + ROD + JOIN}px`,
              maxWidth: `${width - side - ROD - JOIN}px`,
            }
      "
      :aria-pressed="one.mark.name === chosen"
      :data-label="one.mark.name"
      @click="emit('choose', one.mark.name)"
    >
      <span class="name">{{ one.mark.name }}</span>&nbsp;<SizeText class="size" :text="text(one)" />
    </button>
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  min-width: 0;
}
.lines {
  position: absolute;
  inset: 0;
}
.body {
  fill: var(--tape);
  stroke: var(--ink);
  touch-action: none;
  cursor: pointer;
}
.bracket {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 3;
  pointer-events: none;
}
.tick {
  stroke: var(--ink);
  stroke-width: 1.4;
  pointer-events: none;
}
.tick.held,
.tick.chosen {
  stroke: var(--chalk);
  stroke-width: 3;
}
.leader {
  fill: none;
  stroke: var(--faint);
}
.leader.chosen {
  stroke: var(--chalk);
  stroke-width: 2;
}
.label {
  position: absolute;
  display: flex;
  align-items: baseline;
  padding: 0 6px;
  border: 0;
  border-radius: 3px;
  background: none;
  white-space: nowrap;
  cursor: pointer;
}
.tight {
  font-size: 15px;
  line-height: 1.1;
}
.label:hover {
  background: var(--raised);
}
.name {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
}
.label.held .name::before {
  content: '● ';
  font-size: 0.6em;
  vertical-align: 0.25em;
  color: var(--chalk);
}
.label.chosen {
  background: var(--chalk);
  color: var(--on-chalk);
}
.label.chosen .name::before {
  color: var(--on-chalk);
}
</style>
