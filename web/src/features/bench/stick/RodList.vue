<script setup lang="ts">
/**
 * The marks of the job on a rod, in proportion, each joined to its row: one touch puts it in the entry, one takes it in
 * hand. Where they do not all have room, the rows are scrolled, and the rod shows which stretch of it is seen.
 */
import { computed, nextTick, ref, shallowRef, watchPostEffect } from 'vue';
import { useElementSize, useMediaQuery, useScroll } from '@vueuse/core';
import MarkRow from './MarkRow.vue';
import { useRodOrder, type ShownStick } from '../../../parts/marks/rod-order.ts';

const props = defineProps<ShownStick>();
const emit = defineEmits<{ use: [name: string]; hold: [name: string] }>();

const WIDTH = 44;
/** The rod itself, at the left of that; the rest is for the lines to the rows. */
const ROD = 16;
const FOOT = 6;

const rows = ref<HTMLElement>();
const { height, width } = useElementSize(rows);
const { y: scrolled } = useScroll(rows);

const { rod, shown, gapText, gapLabel } = useRodOrder(props);
const isPhone = useMediaQuery('(max-width: 760px)');
const isCoarse = useMediaQuery('(pointer: coarse)');
/** With a mouse many marks stand closer: more of their sizes are seen at a glance. */
const shape = computed(() => (isPhone.value ? 'chip' : props.marks.length > 11 && !isCoarse.value ? 'close' : 'wide'));

/** Where the rows stand, once they are drawn: measured, since they differ in height. */
const middles = shallowRef(new Map<string, number>());
watchPostEffect(() => {
  void [scrolled.value, width.value, height.value, shown.value, props.gaps];
  const list = rows.value;
  if (!list) return;
  const top = list.getBoundingClientRect().top;
  middles.value = new Map(
    [...list.querySelectorAll<HTMLElement>('[data-mark]')].map((row) => {
      const box = row.getBoundingClientRect();
      return [row.dataset['mark'] ?? '', box.top + box.height / 2 - top];
    }),
  );
});
const rodHeight = computed(() => Math.max(60, height.value));
const yOf = (place: number) => FOOT + (1 - place) * (rodHeight.value - 2 * FOOT);
const ticks = computed(() => rod.value.marks.map(({ mark, place }) => ({ name: mark.name, y: yOf(place) })));
/** Lines from marks to their rows, of the rows that are seen; only where both follow the same order. */
const leaders = computed(() =>
  props.order !== 'size'
    ? []
    : ticks.value.flatMap(({ name, y }) => {
        const row = middles.value.get(name);
        return row === undefined || row < 0 || row > height.value ? [] : [{ name, y, row }];
      }),
);
/** The stretch of the rod whose rows are seen, while not all are. */
const stretch = computed(() => {
  const seen = leaders.value;
  const [first, last] = [seen[0], seen[seen.length - 1]];
  if (!first || !last || seen.length === ticks.value.length) return undefined;
  return { top: last.y - 4, height: first.y - last.y + 8 };
});

/** A finger on the rod brings the rows of that stretch to it. */
function bring(event: PointerEvent): void {
  if (event.type === 'pointermove' && event.buttons === 0) return;
  const picture = event.currentTarget as Element;
  const at = event.clientY - picture.getBoundingClientRect().top;
  const nearest = ticks.value.reduce<{ name: string; y: number } | undefined>(
    (best, tick) => (best === undefined || Math.abs(tick.y - at) < Math.abs(best.y - at) ? tick : best),
    undefined,
  );
  if (nearest) void show(nearest.name);
}
async function show(name: string): Promise<void> {
  await nextTick();
  const row = rows.value?.querySelector<HTMLElement>(`[data-mark="${CSS.escape(name)}"]`);
  if (row && rows.value)
    rows.value.scrollTop +=
      row.getBoundingClientRect().top -
      rows.value.getBoundingClientRect().top -
      height.value / 2 +
      row.offsetHeight / 2;
}
defineExpose({ show });
</script>

<template>
  <div class="rod-list">
    <svg
      class="rod"
      :width="WIDTH"
      :height="rodHeight"
      :viewBox="`0 0 ${WIDTH} ${rodHeight}`"
      aria-hidden="true"
      @pointerdown.prevent="bring"
      @pointermove="bring"
    >
      <rect class="body" x="1" y="1" :width="ROD" :height="rodHeight - 2" />
      <rect v-if="stretch" class="stretch" x="1" :y="stretch.top" width="4" :height="stretch.height" />
      <path
        v-for="{ name, y, row } in leaders"
        :key="`to ${name}`"
        class="leader"
        :class="{ lit: name === inHand }"
        :d="`M${ROD} ${y.toFixed(1)}L${WIDTH - 8} ${row.toFixed(1)}H${WIDTH}`"
      />
      <line
        v-for="{ name, y } in ticks"
        :key="name"
        class="tick"
        :class="{ lit: name === inHand || used.has(name.toLowerCase()) }"
        x1="1"
        :x2="ROD + 1"
        :y1="y"
        :y2="y"
      />
    </svg>
    <ul ref="rows" class="marks">
      <MarkRow
        v-for="mark in shown"
        :key="mark.name"
        :class="shape"
        :mark
        :used="used.has(mark.name.toLowerCase())"
        :in-hand="mark.name === inHand"
        :gap="gapText(mark.name)"
        :gap-label="gapLabel(mark.name)"
        @use="emit('use', mark.name)"
        @hold="emit('hold', mark.name)"
      />
    </ul>
  </div>
</template>

<style scoped src="./rod.css" />
<style scoped>
.rod-list {
  display: flex;
  min-height: 0;
  isolation: isolate;
}
.rod {
  flex: none;
  touch-action: none;
  cursor: pointer;
}
.stretch {
  fill: var(--chalk);
}
.marks {
  flex: 1;
  min-width: 0;
  min-height: 0;
  overflow-y: auto;
  margin: 0;
  padding: 0;
  list-style: none;
}
@media (max-width: 760px) {
  .rod {
    display: none;
  }
  .marks {
    display: flex;
    overflow: auto hidden;
    border: 1px solid var(--ink);
    border-radius: 2px;
    background: var(--tape);
  }
}
</style>
