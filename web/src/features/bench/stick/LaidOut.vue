<script setup lang="ts">
/**
 * Every mark of the job at once, in the place of the slate: the whole rod, and beside it columns of marks, each with
 * its own stretch of the rod drawn larger. One touch uses a mark, one takes it in hand.
 */
import { computed, ref } from 'vue';
import { useElementSize, useMediaQuery } from '@vueuse/core';
import MarkRow from './MarkRow.vue';
import RodColumn from './RodColumn.vue';
import { columnsFor } from './columns.ts';
import { useRodOrder, type ShownStick } from '../../../parts/marks/rod-order.ts';

const props = defineProps<ShownStick>();
const emit = defineEmits<{ use: [name: string]; hold: [name: string] }>();

const { rod, shown, placeOf, gapText, gapLabel } = useRodOrder(props);
/** Only in this order do the rows stand as their marks lie. */
const joined = computed(() => props.order === 'size');

/** Width of the rod of a column with its lines to the rows. */
const ROD_COLUMN = 28;
const room = ref<HTMLElement>();
const { width, height } = useElementSize(room);
const isPhone = useMediaQuery('(max-width: 760px)');
const isCoarse = useMediaQuery('(pointer: coarse)');
/** The least height a finger is sure of, and a mouse (WCAG 2.2, target size); the width of a name, a size and the hand. */
const hasRods = computed(() => joined.value && !isPhone.value);
const sizes = computed(() => ({
  least: isCoarse.value ? 48 : 24,
  most: isCoarse.value ? 48 : 40,
  width: (isCoarse.value ? 172 : 150) + (hasRods.value ? ROD_COLUMN : 0),
}));
const laid = computed(() => columnsFor(shown.value.length, { width: width.value, height: height.value }, sizes.value));
const columns = computed(() => {
  const { perColumn } = laid.value;
  return Array.from({ length: Math.ceil(shown.value.length / perColumn) }, (_, at) => {
    const marks = shown.value.slice(at * perColumn, (at + 1) * perColumn);
    const lengths = marks.filter(({ name }) => placeOf(name) !== undefined);
    return {
      marks,
      places: lengths.map(({ name }) => placeOf(name) ?? 0),
      lit: lengths.map(({ name }) => name === props.inHand || props.used.has(name.toLowerCase())),
    };
  });
});

/** The whole rod at the side: its banding shows which column holds which stretch of it. */
const WHOLE = 16;
const INSET = 5;
const yOf = (place: number) => INSET + (1 - place) * (Math.max(60, height.value) - 2 * INSET);
const ticks = computed(() =>
  rod.value.marks.map(({ mark: { name }, place }) => ({
    name,
    y: yOf(place),
    lit: name === props.inHand || props.used.has(name.toLowerCase()),
  })),
);
const bands = computed(() =>
  columns.value.flatMap(({ places }, at) => {
    const [top, bottom] = [places[0], places[places.length - 1]];
    if (at % 2 === 1 || top === undefined || bottom === undefined) return [];
    return { at, y: yOf(top), height: Math.max(2, yOf(bottom) - yOf(top)) };
  }),
);
</script>

<template>
  <section
    class="laid-out"
    :class="{ roomy: laid.rowHeight >= 36 && !isPhone }"
    aria-label="Every mark"
    data-test="laid-out"
  >
    <svg
      v-if="hasRods && columns.length > 1"
      class="whole"
      :width="WHOLE + 8"
      :height="Math.max(60, height)"
      aria-hidden="true"
    >
      <rect class="body" x="0.5" y="0.5" :width="WHOLE" :height="Math.max(60, height) - 1" />
      <rect
        v-for="band in bands"
        :key="band.at"
        class="band"
        :x="WHOLE + 3"
        :y="band.y"
        width="4"
        :height="band.height"
      />
      <line
        v-for="{ name, y, lit } in ticks"
        :key="name"
        class="tick"
        :class="{ lit }"
        x1="0.5"
        :x2="WHOLE + 0.5"
        :y1="y"
        :y2="y"
      />
    </svg>
    <div ref="room" class="room">
      <div v-for="({ marks: column, places, lit }, at) in columns" :key="at" class="column">
        <RodColumn
          v-if="hasRods && places.length > 0"
          :whole="columns.length === 1"
          :width="ROD_COLUMN"
          :places
          :lit
          :row-height="laid.rowHeight"
        />
        <ul :style="{ '--row': `${laid.rowHeight}px`, width: `${laid.columnWidth - (hasRods ? ROD_COLUMN : 0)}px` }">
          <MarkRow
            v-for="mark in column"
            :key="mark.name"
            class="laid"
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
      <p v-if="shown.length === 0" class="none">Sizes you keep stand here, one touch from the entry.</p>
    </div>
  </section>
</template>

<style scoped src="./rod.css" />
<style scoped>
.laid-out {
  display: flex;
  gap: 4px;
  min-width: 0;
  min-height: 0;
  padding: 8px 0 0 12px;
}
.whole {
  flex: none;
}
.band {
  fill: var(--chalk);
}
.room {
  flex: 1;
  display: flex;
  min-width: 0;
  overflow: auto hidden;
}
.column {
  flex: none;
  display: flex;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.roomy {
  --laid-size: 20px;
}
.none {
  color: var(--ink-soft);
}
@media (max-width: 760px) {
  .laid-out {
    padding: 2px 8px 0;
  }
}
</style>
