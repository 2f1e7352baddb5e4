<script setup lang="ts">
/** The take-off as a table: sections with their rows, and what each section comes to. Only what is in view is drawn. */
import { computed, useTemplateRef } from 'vue';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { GripVertical, Plus } from 'lucide-vue-next';
import { cellName, countsIn, MEASURES, ABOUT_MEASURES, PRICE_UNITS, priceUnitsFor } from '@sprell/core/quantities';
import { isMetric, type ReadingStyle } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import type { JobRow, JobSection, Quantities } from '../../job/quantities.ts';
import type { NamedMark } from '../../parts/entry/suggestions.ts';
import CellEditor from './CellEditor.vue';
import ChoiceEditor from './ChoiceEditor.vue';
import { cellIn, shownIn, type Column } from './columns.ts';
import type { Grid, Place } from './use-grid.ts';

const props = defineProps<{
  sections: readonly JobSection[];
  columns: readonly Column[];
  list: Quantities;
  grid: Grid;
  /** Marks and rows, for what is being written. */
  names: readonly NamedMark[];
  style: ReadingStyle;
  /** What a section comes to, as it reads. */
  subtotal: (section: string | undefined) => string;
  /** Rows can be put in and moved: nothing is sorted or looked for. */
  isWhole: boolean;
  /** It was cut, and is moved when it is pasted. */
  isCut: (rowId: string) => boolean;
}>();
const emit = defineEmits<{
  add: [section: string | undefined];
  write: [row: JobRow, column: string, text: string];
  renameSection: [id: string];
  sort: [column: string];
  /** A column is so many pixels wide, or as it usually is. */
  widen: [column: string, width: number | undefined];
  /** A row was dragged before another, or to the end of a section. */
  drop: [rowId: string, section: string | undefined, beforeId: string | undefined];
}>();

type Item =
  | { readonly kind: 'section'; readonly key: string; readonly section: JobSection }
  | { readonly kind: 'row'; readonly key: string; readonly row: JobRow; readonly section: JobSection }
  | { readonly kind: 'add'; readonly key: string; readonly section: JobSection };

const items = computed<readonly Item[]>(() =>
  props.sections.flatMap((section): readonly Item[] => [
    ...(section.id === undefined && props.sections.length === 1
      ? []
      : [{ kind: 'section', key: `s${section.id}`, section } as const]),
    ...section.rows.map((row) => ({ kind: 'row', key: row.id, row, section }) as const),
    ...(props.isWhole ? [{ kind: 'add', key: `a${section.id}`, section } as const] : []),
  ]),
);
const scroller = useTemplateRef<HTMLElement>('scroller');
const HEIGHTS = { section: 46, row: 42, add: 44 };
const virtualizer = useVirtualizer(
  computed(() => ({
    count: items.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: (index: number) => HEIGHTS[items.value[index]?.kind ?? 'row'],
    getItemKey: (index: number) => items.value[index]?.key ?? index,
    overscan: 8,
  })),
);
const seen = computed(() => virtualizer.value.getVirtualItems());
const drawn = computed(() =>
  seen.value.flatMap(({ index, start }) => {
    const item = items.value[index];
    return item === undefined ? [] : [{ item, start, index }];
  }),
);
/** What a row is called has the room that is left. */
const template = computed(
  () => `28px ${props.columns.map(({ width }, at) => (at === 0 ? `minmax(${width}px, 1fr)` : `${width}px`)).join(' ')}`,
);
const width = computed(() => 28 + props.columns.reduce((sum, column) => sum + column.width, 0));

function goTo(event: MouseEvent, row: string, column: string): void {
  const isAtIt = props.grid.at.value?.row === row && props.grid.at.value.column === column;
  if (event.ctrlKey || event.metaKey) props.grid.toggle(row);
  // A second touch writes, as Enter does.
  else if (isAtIt && (event as PointerEvent).pointerType === 'touch') props.grid.edit({ row, column });
  else props.grid.goTo({ row, column }, event.shiftKey);
}
/** Brings a cell into view and gives it the focus. */
function show(place: Place): void {
  const { row, column } = place;
  // The cursor may have gone on meanwhile: two cells would take the focus from each other for ever.
  const isThere = () => props.grid.at.value?.row === row && props.grid.at.value.column === column;
  const cellOf = () => scroller.value?.querySelector<HTMLElement>(`[data-cell="${row} ${column}"]`);
  const focus = (cell: HTMLElement | null | undefined) => {
    if (cell && !cell.contains(document.activeElement)) cell.focus({ preventScroll: true });
  };
  if (!isThere()) return;
  focus(cellOf());
  virtualizer.value.scrollToIndex(
    items.value.findIndex(({ key }) => key === row),
    { align: 'auto' },
  );
  requestAnimationFrame(() => {
    if (!isThere()) return;
    const cell = cellOf();
    cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    focus(cell);
  });
}
defineExpose({ show });

const isAt = (row: JobRow, column: Column) =>
  props.grid.at.value?.row === row.id && props.grid.at.value.column === column.id;
const isEditing = (row: JobRow, column: Column) =>
  props.grid.editing.value?.row === row.id && props.grid.editing.value.column === column.id;
function counts(row: JobRow, column: Column): boolean {
  const cell = cellIn(row, column.id);
  return cell === undefined || countsIn(row.item.measure, cell);
}
function issueIn(row: JobRow, column: Column): boolean {
  const cell = cellIn(row, column.id);
  return cell !== undefined && row.worked.issues[cell] !== undefined;
}
/** The whole of a cell for somebody who does not see it. */
function named(row: JobRow, column: Column): string {
  const cell = cellIn(row, column.id);
  const shown = shownIn(row, column.id, props.style);
  const what = cell === undefined ? column.title : cellName(cell, row.item.measure);
  return `${what}: ${shown === '' ? 'empty' : shown}${issueIn(row, column) ? ', needs mending' : ''}`;
}
const choicesIn = (row: JobRow, column: Column): readonly (readonly [string, string])[] =>
  column.id === 'measure'
    ? MEASURES.map((measure) => [measure, ABOUT_MEASURES[measure].title])
    : priceUnitsFor(row.item.measure, isMetric(props.style.length)).map((unit) => [unit, PRICE_UNITS[unit].says]);

function textIn(row: JobRow, column: Column): string {
  const cell = cellIn(row, column.id);
  return cell === undefined ? String(row.item[column.id] ?? '') : row.cells[cell];
}
function keep(row: JobRow, column: Column, text: string, to: 'out' | 'down'): void {
  emit('write', row, column.id, text);
  if (props.grid.editing.value?.row === row.id && props.grid.editing.value.column === column.id) props.grid.leave(to);
}
/** A column while its edge is dragged. */
let widening: { readonly id: string; readonly from: number; readonly width: number } | undefined;
function beginWidening(event: PointerEvent, { id, width: now }: Column): void {
  (event.target as HTMLElement).setPointerCapture(event.pointerId);
  widening = { id, from: event.clientX, width: now };
}
function widen({ clientX }: PointerEvent): void {
  if (widening === undefined) return;
  emit('widen', widening.id, Math.max(NARROWEST, Math.round(widening.width + clientX - widening.from)));
}
function endWidening(): void {
  widening = undefined;
}
const NARROWEST = 48;
let dragged: string | undefined;
function dropOn(item: Item): void {
  const id = dragged;
  dragged = undefined;
  if (id === undefined) return;
  const before = item.kind === 'row' ? item.row.id : item.kind === 'section' ? item.section.rows[0]?.id : undefined;
  if (before !== id) emit('drop', id, item.section.id, before);
}
</script>

<template>
  <div ref="scroller" class="scroller" data-test="take-off" @keydown="grid.byKey">
    <div
      class="table"
      role="grid"
      aria-label="Take-off"
      :aria-rowcount="items.length + 1"
      :style="{
        minWidth: `${width}px`,
        height: `${virtualizer.getTotalSize() + HEIGHTS.row}px`,
        '--columns': template,
      }"
    >
      <div class="row head" role="row" aria-rowindex="1">
        <span></span>
        <span v-for="column in columns" :key="column.id" role="columnheader" :class="{ figure: column.isFigure }">
          <button type="button" tabindex="-1" :data-sort="column.id" @click="emit('sort', column.id)">
            {{ column.title }}
          </button>
          <span
            class="edge"
            :title="`Drag to make ${column.title} wider, double-click for its usual width`"
            :data-edge="column.id"
            @pointerdown.prevent="beginWidening($event, column)"
            @pointermove="widen"
            @pointerup="endWidening"
            @dblclick="emit('widen', column.id, undefined)"
          ></span>
        </span>
      </div>
      <template v-for="{ item, start, index } in drawn" :key="item.key">
        <div
          v-if="item.kind === 'section'"
          class="row section"
          role="row"
          :aria-rowindex="index + 2"
          :style="{ top: `${start + HEIGHTS.row}px` }"
          @dragover.prevent
          @drop.prevent="dropOn(item)"
        >
          <span></span>
          <span class="section-name" role="rowheader">
            <button
              v-if="item.section.id"
              type="button"
              :data-section="item.section.name"
              @click="emit('renameSection', item.section.id)"
            >
              {{ item.section.name }}
            </button>
            <template v-else>In no section</template>
          </span>
          <span class="subtotal" role="gridcell" :data-subtotal="item.section.name">{{
            subtotal(item.section.id)
          }}</span>
        </div>
        <div
          v-else-if="item.kind === 'row'"
          class="row"
          :class="{
            chosen: grid.chosen.value.has(item.row.id),
            out: item.row.item.leftOut,
            cut: isCut(item.row.id),
            written: grid.editing.value?.row === item.row.id,
          }"
          role="row"
          :aria-rowindex="index + 2"
          :aria-selected="grid.chosen.value.has(item.row.id)"
          :data-item="item.row.item.name"
          :style="{ top: `${start + HEIGHTS.row}px` }"
          @dragover.prevent
          @drop.prevent="dropOn(item)"
        >
          <span
            class="grip"
            :draggable="isWhole"
            title="Drag to move, touch to choose"
            data-test="grip"
            @click="grid.toggle(item.row.id)"
            @dragstart="dragged = item.row.id"
            @dragend="dragged = undefined"
            ><GripVertical :size="16" aria-hidden="true"
          /></span>
          <div
            v-for="column in columns"
            :key="column.id"
            class="cell"
            :class="{
              figure: column.isFigure,
              at: isAt(item.row, column),
              written: isEditing(item.row, column),
              result: column.holds === 'result',
              idle: !counts(item.row, column),
              wrong: issueIn(item.row, column),
            }"
            :role="column.id === 'name' ? 'rowheader' : 'gridcell'"
            :tabindex="
              isAt(item.row, column) || (grid.at.value === undefined && index <= 1 && column.id === 'name') ? 0 : -1
            "
            :aria-label="named(item.row, column)"
            :data-cell="`${item.row.id} ${column.id}`"
            :data-column="column.id"
            @click="goTo($event, item.row.id, column.id)"
            @dblclick="grid.edit({ row: item.row.id, column: column.id })"
            @focus="isAt(item.row, column) || grid.goTo({ row: item.row.id, column: column.id })"
          >
            <CellEditor
              v-if="isEditing(item.row, column) && column.holds !== 'choice'"
              :label="column.title"
              :start="textIn(item.row, column)"
              :begun="grid.editing.value?.begun"
              :is-words="column.holds === 'words'"
              :bare="list.bareIn(item.row.item.measure, cellIn(item.row, column.id) ?? 'count')"
              :scope="() => list.scope(item.row.id)"
              :names
              @keep="(text, to) => keep(item.row, column, text, to)"
              @cancel="grid.leave('stay')"
            />
            <ChoiceEditor
              v-else-if="isEditing(item.row, column)"
              :label="column.title"
              :value="textIn(item.row, column)"
              :choices="choicesIn(item.row, column)"
              @choose="(value) => emit('write', item.row, column.id, value)"
              @leave="grid.leave('stay')"
            />
            <SizeText v-else :text="shownIn(item.row, column.id, style)" />
          </div>
        </div>
        <div
          v-else
          class="row adds"
          role="row"
          :aria-rowindex="index + 2"
          :style="{ top: `${start + HEIGHTS.row}px` }"
          @dragover.prevent
          @drop.prevent="dropOn(item)"
        >
          <button
            type="button"
            class="add"
            role="gridcell"
            :data-add="item.section.name"
            @click="emit('add', item.section.id)"
          >
            <Plus :size="18" aria-hidden="true" /> Add a row{{
              item.section.name === '' ? '' : ` to ${item.section.name}`
            }}
          </button>
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped>
.scroller {
  /* What is written in a cell lays out and paints nothing beside the table. */
  contain: strict;
  /* Painted by itself: without it the browser puts the whole page together again at each key, a tenth of its work. */
  will-change: transform;
  overflow: auto;
  min-height: 0;
  border-top: 1px solid var(--groove);
}
.table {
  position: relative;
  padding-top: 42px;
}
.row {
  position: absolute;
  left: 0;
  display: grid;
  grid-template-columns: var(--columns);
  width: 100%;
  height: 42px;
  border-bottom: 1px solid var(--groove);
  background: var(--board);
}
.head {
  position: sticky;
  z-index: 5;
  top: 0;
  margin-top: -42px;
  border-bottom: 2px solid var(--ink);
  background: var(--ground);
}
.head > span {
  position: relative;
  min-width: 0;
}
.edge {
  position: absolute;
  z-index: 1;
  top: 0;
  right: -6px;
  width: 12px;
  height: 100%;
  cursor: col-resize;
  touch-action: none;
}
.edge:hover {
  border-right: 2px solid var(--chalk);
  right: 0;
}
.head button {
  width: 100%;
  height: 100%;
  padding: 0 8px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  font-size: 15px;
  text-align: inherit;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.section {
  height: 46px;
  grid-template-columns: 28px 1fr auto;
  align-items: end;
  border-bottom: 2px solid var(--ink);
  background: var(--ground);
}
.section-name button {
  min-height: 40px;
  padding: 0 8px;
  border: 0;
  background: none;
}
.section-name {
  justify-self: start;
  padding: 0 8px;
}
.section-name:has(button) {
  padding: 0;
}
.section-name,
.section-name button {
  font-size: 18px;
  font-weight: 600;
}
.subtotal {
  position: sticky;
  right: 0;
  padding: 0 12px 4px;
  font: 600 20px/1.2 var(--figures);
}
.cell {
  min-width: 0;
  padding: 0 8px;
  border-right: 1px solid var(--groove);
  line-height: 41px;
  white-space: nowrap;
  cursor: cell;
}
/* What a row is called stays in view where the table is narrow; each part that does costs the browser a layer. */
@media (max-width: 1100px) {
  .grip,
  .cell[data-column='name'],
  .head > :nth-child(-n + 2),
  .section-name {
    position: sticky;
    z-index: 2;
    left: 0;
    background: inherit;
  }
  .cell[data-column='name'],
  .head > :nth-child(2),
  .section-name {
    left: 28px;
  }
}
/* Each part that is cut off costs the browser a layer: figures have room in their columns. */
.cell:not(.figure) {
  overflow: hidden;
  text-overflow: ellipsis;
}
.row.written {
  z-index: 4;
}
.cell.written {
  position: relative;
  z-index: 6;
  padding: 0;
  overflow: visible;
}
.figure {
  text-align: right;
}
.cell.figure {
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 500;
}
.result {
  background: var(--ground);
}
.cell.result {
  font-weight: 600;
}
.idle {
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--groove) 5px 6px);
  color: var(--faint);
}
.wrong {
  color: var(--pencil);
  box-shadow: inset 0 -3px 0 var(--pencil);
}
.chosen {
  background: var(--chalk-wash);
}
.at {
  outline: 2px solid var(--chalk);
  outline-offset: -2px;
}
.out .cell {
  color: var(--ink-soft);
  text-decoration: line-through;
}
.cut {
  opacity: 0.5;
}
.grip {
  display: grid;
  place-items: center;
  color: var(--faint);
  cursor: grab;
}
.adds {
  height: 44px;
  display: block;
  border-bottom: 0;
  background: none;
}
.add {
  position: sticky;
  left: 0;
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 42px;
  padding: 0 10px;
  border: 0;
  background: none;
  color: var(--chalk);
  cursor: pointer;
}
</style>
