<script setup lang="ts">
/**
 * The marks of the job on a rod, in proportion, each joined to its row: one touch puts it in the entry, one takes it in
 * hand. Where they do not all have room, the rows are scrolled, and the rod shows which stretch of it is seen.
 */
import { computed, nextTick, ref, shallowRef, watchPostEffect } from 'vue';
import { useElementSize, useScroll } from '@vueuse/core';
import { Hand } from 'lucide-vue-next';
import { readQuantity, rodOf, type ReadingStyle } from '@sprell/core';
import SizeText from '../../../ui/SizeText.vue';
import type { JobMark } from '../../job/job-marks.ts';
import { isLain } from '../../stick/lain-mark.ts';
import { ordered, type MarkOrder } from './mark-order.ts';

const props = defineProps<{
  marks: readonly JobMark[];
  style: ReadingStyle;
  /** Names of marks that the entry uses, in lower case: they light up. */
  used: ReadonlySet<string>;
  inHand: string | undefined;
  order: MarkOrder;
  /** Shows what lies between a mark and the one below, in place of its size. */
  gaps: boolean;
}>();
const emit = defineEmits<{ use: [name: string]; hold: [name: string] }>();

const WIDTH = 44;
/** The rod itself, at the left of that; the rest is for the lines to the rows. */
const ROD = 16;
const FOOT = 6;

const rows = ref<HTMLElement>();
const { height, width } = useElementSize(rows);
const { y: scrolled } = useScroll(rows);

const rod = computed(() => rodOf(props.marks.filter(isLain)));
const places = computed(() => new Map(rod.value.marks.map(({ mark, place, gap }) => [mark.name, { place, gap }])));
/** The longest at the top, as a rod stands; what is no length below. */
const shown = computed(() => {
  const lengths = new Set(rod.value.marks.map(({ mark }) => mark.name));
  const others = props.marks.filter(({ name }) => !lengths.has(name));
  const standing = [...rod.value.marks].reverse().map(({ mark }): JobMark => mark);
  return [...ordered(standing, props.order), ...ordered(others, props.order)];
});
/** What a reader who does not see the rod is told of a gap. */
function gapLabel(name: string): string | undefined {
  const at = rod.value.marks.findIndex(({ mark }) => mark.name === name);
  const gap = gapText(name);
  return props.gaps && gap !== undefined ? `${name}: ${gap} over ${rod.value.marks[at - 1]?.mark.name}` : undefined;
}
function gapText(name: string): string | undefined {
  const gap = places.value.get(name)?.gap;
  return gap && readQuantity(gap, props.style).text;
}

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
        :class="{ held: name === inHand }"
        :d="`M${ROD} ${y.toFixed(1)}L${WIDTH - 8} ${row.toFixed(1)}H${WIDTH}`"
      />
      <line
        v-for="{ name, y } in ticks"
        :key="name"
        class="tick"
        :class="{ held: name === inHand, used: used.has(name.toLowerCase()) }"
        x1="1"
        :x2="ROD + 1"
        :y1="y"
        :y2="y"
      />
    </svg>
    <ul ref="rows" class="marks" :class="{ many: marks.length > 11 }">
      <li v-for="mark in shown" :key="mark.name" :class="{ held: mark.name === inHand }">
        <button
          type="button"
          class="mark"
          :class="{ used: used.has(mark.name.toLowerCase()), wrong: mark.problem !== undefined }"
          :data-mark="mark.name"
          :title="mark.problem"
          :aria-label="gapLabel(mark.name)"
          @pointerdown.prevent
          @click="emit('use', mark.name)"
        >
          <span class="name">{{ mark.name }}</span>{{ ' ' }}
          <span class="size">
            <template v-if="gaps && gapText(mark.name) !== undefined"
              ><span class="plus">+</span><SizeText :text="gapText(mark.name) ?? ''"
            /></template>
            <SizeText v-else :text="mark.reading" />
          </span>
        </button>
        <button
          type="button"
          class="hold"
          :aria-pressed="mark.name === inHand"
          :aria-label="`Take ${mark.name} in hand`"
          title="Take in hand: add-ons go to it"
          :data-hold="mark.name"
          @pointerdown.prevent
          @click="emit('hold', mark.name)"
        >
          <Hand :size="18" aria-hidden="true" />
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.rod-list {
  display: flex;
  min-height: 0;
}
.rod {
  flex: none;
  touch-action: none;
  cursor: pointer;
}
.body {
  fill: var(--tape);
  stroke: var(--ink);
}
.stretch {
  fill: var(--chalk);
}
.tick {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.tick.used,
.tick.held {
  stroke: var(--chalk);
  stroke-width: 3;
}
.leader {
  fill: none;
  stroke: var(--faint);
}
.leader.held {
  stroke: var(--chalk);
  stroke-width: 1.5;
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
li {
  display: flex;
  border-bottom: 1px solid var(--groove);
}
.held {
  background: var(--chalk-wash);
}
.mark {
  flex: 1;
  min-width: 0;
  min-height: var(--touch);
  padding: 3px 6px;
  border: 0;
  background: none;
  text-align: left;
  line-height: 1.15;
  cursor: pointer;
}
.mark:hover {
  background: var(--raised);
}
.mark.used {
  box-shadow: inset 4px 0 0 var(--chalk);
}
.wrong .size {
  color: var(--pencil);
}
.name {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  white-space: nowrap;
}
.plus {
  margin-right: 3px;
  color: var(--chalk);
}
.hold {
  flex: none;
  width: 40px;
  min-height: var(--touch);
  border: 0;
  background: none;
  color: var(--faint);
  cursor: pointer;
}
.hold:hover,
.hold[aria-pressed='true'] {
  color: var(--chalk);
}
.hold[aria-pressed='true'] {
  background: var(--chalk);
  color: var(--on-chalk);
}
/* With a mouse many marks stand closer: all their sizes are seen at a glance. */
@media not all and (pointer: coarse) {
  .many .mark {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 6px;
    min-height: 30px;
    padding: 4px 6px;
  }
  .many .hold {
    width: 30px;
    min-height: 30px;
  }
  .many .size {
    font-size: 16px;
  }
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
  li {
    flex: none;
    border-bottom: 0;
    border-right: 1px solid var(--ink);
  }
  .mark {
    padding: 2px 4px 2px 10px;
  }
  .mark .name {
    font-size: 14px;
  }
  .hold {
    width: 34px;
  }
}
</style>
