<script setup lang="ts">
/** The slate: every line of the job in its order. Thousands scroll as easily as ten, for only those in view are made. */
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import type { LineWire } from '@sprell/contract';
import type { BareUnit, Reckoned, ReadingStyle, Scope } from '@sprell/core';
import { useComfort } from '../../../live/comfort.store.ts';
import { nameOf, type SlateRow, type WorkedRow } from '../../../job/index.ts';
import type { NamedMark } from '../../../parts/entry/suggestions.ts';
import SlateRowView from './SlateRowView.vue';
import { finder } from './search.ts';
import SlateTools from './SlateTools.vue';
import WordsRowView from './WordsRowView.vue';
import { slateText } from './slate-text.ts';
import { totalAbove } from '../../../parts/slate/total-above.ts';
import { useChoosing } from './use-choosing.ts';
import { useDeleting } from './use-deleting.ts';
import { useDragging } from './use-dragging.ts';
import { useFoot } from './use-foot.ts';
import { useSlateKeys } from './use-slate-keys.ts';

// They come when they are wanted.
const SelectionSums = defineAsyncComponent(() => import('./SelectionSums.vue'));
const TakeOffQuestion = defineAsyncComponent(() => import('./TakeOffQuestion.vue'));
const WordsForm = defineAsyncComponent(() => import('./WordsForm.vue'));

const props = defineProps<{
  rows: readonly SlateRow[];
  style: ReadingStyle;
  /** How a line reads while it is edited. */
  draftStyle: ReadingStyle;
  /** What a number is that is typed without a unit. */
  bare: BareUnit;
  changed: ReadonlySet<string>;
  /** Numbers of lines that the entry in hand uses. */
  used: ReadonlySet<number>;
  scopeOf: (lineId: string) => Scope;
  marks: readonly NamedMark[];
  ownKeys: boolean;
  /** Sentences naming the lines that use a line; undefined when none does. */
  usersOf: (lineId: string) => string | undefined;
  canKeepValue: (lineId: string) => boolean;
  canRedo?: boolean;
  /** The jig that an entry uses, as it is stored. */
  jigOf: (source: string) => { readonly jig: string; readonly newer: number | undefined } | undefined;
}>();
const emit = defineEmits<{
  /** `begun`: the line as it stood when it was begun to be edited. */
  keep: [lineId: string, entry: string, begun: LineWire | undefined];
  draft: [reckoned: Reckoned | undefined];
  keepWords: [lineId: string, words: string, begun: LineWire | undefined];
  note: [lineId: string, note: string, begun: LineWire];
  use: [row: WorkedRow, what: 'result' | 'entry'];
  insert: [beforeId: string];
  move: [lineId: string, to: number];
  remove: [lineId: string];
  removeKeepingValue: [lineId: string];
  removeChosen: [lineIds: ReadonlySet<string>];
  /** Lines go together above another, or to the foot; under a heading where words are given. */
  gather: [lineIds: ReadonlySet<string>, beforeId: string | undefined, heading?: string];
  /** A jig is to be looked at. */
  lookAtJig: [id: string];
  /** Lines are to be a jig. */
  jig: [rows: readonly SlateRow[]];
  clear: [];
  redo: [];
  /** What was opened is done with. */
  rest: [];
  print: [];
  openLines: [text: string, file: string];
  csv: [rows: readonly SlateRow[]];
  land: [entry: string];
  landWords: [kind: 'heading' | 'note', words: string, beforeId: string | undefined];
}>();

const { comfort } = useComfort();
const list = ref<HTMLElement>();
const items = ref<HTMLElement>();
const editedLine = ref<string>();
const openLine = ref<string>();
/** Words are being written, to stand above a line or at the foot. */
const newWords = ref<{ readonly beforeId: string | undefined }>();
const showsTools = ref(false);
const isSearching = ref(false);
const sought = ref('');

const found = computed(() => {
  return isSearching.value && sought.value.trim() !== ''
    ? props.rows.filter(finder(sought.value, props.style))
    : props.rows;
});

const {
  canDrag,
  isDragging,
  load: readyToDrag,
} = useDragging(items, (from, to) => {
  const [row, target] = [found.value[from], found.value[to]];
  if (row && target) emit('move', row.line.id, props.rows.indexOf(target));
});
/** Lines that are drawn out of view, at either end: while one is dragged, as far as it may be taken. */
const [BEYOND, BEYOND_WHILE_DRAGGED] = [6, 150];

const choosing = useChoosing({
  rows: () => props.rows,
  shown: () => found.value,
  gather: (...going) => emit('gather', ...going),
});
const { chosen: selection, chosenRows: selectedRows, isPlacing: placing } = choosing;

function makeJig(): void {
  emit('jig', selectedRows.value);
  selection.value = undefined;
}

const virtualizer = useVirtualizer(
  computed(() => ({
    count: found.value.length,
    getScrollElement: () => list.value ?? null,
    estimateSize: () => 62 * { usual: 1, large: 1.2, largest: 1.45 }[comfort.textSize],
    getItemKey: (index: number) => found.value[index]?.line.id ?? index,
    overscan: isDragging.value ? BEYOND_WHILE_DRAGGED : BEYOND,
  })),
);
const seen = computed(() => virtualizer.value.getVirtualItems());
const drawn = computed(() =>
  seen.value.flatMap((item) => {
    const row = found.value[item.index];
    return row ? [{ item, row }] : [];
  }),
);
const spaceAbove = computed(() => seen.value[0]?.start ?? 0);
const spaceBelow = computed(() => virtualizer.value.getTotalSize() - (seen.value[seen.value.length - 1]?.end ?? 0));

/** Called with nothing for a line that goes out of view: the list lets go of those that are on the page no more. */
function measure(element: unknown): void {
  virtualizer.value.measureElement(element instanceof HTMLElement ? element : null);
}

/** The last line in view, after it has been made and measured. */
async function showFoot(): Promise<void> {
  await nextTick();
  if (found.value.length > 0) virtualizer.value.scrollToIndex(found.value.length - 1, { align: 'end' });
}

const noteFoot = useFoot({
  list,
  lastLine: () => props.rows[props.rows.length - 1]?.line.id,
  show: showFoot,
  isHeld: () => editedLine.value !== undefined,
});

const { stop, byKey, focused } = useSlateKeys({
  list,
  ids: computed(() => found.value.map(({ line }) => line.id)),
  drawn: computed(() => drawn.value.map(({ row }) => row.line.id)),
  scrollTo: (index) => virtualizer.value.scrollToIndex(index, { align: 'auto' }),
  remove: (id) => {
    const row = found.value.find(({ line }) => line.id === id);
    if (row) remove(row);
  },
});

let begun: LineWire | undefined;
watch(editedLine, (id) => (begun = props.rows.find(({ line }) => line.id === id)?.line), { flush: 'sync' });
function keep(lineId: string, entry: string): void {
  emit('keep', lineId, entry, begun);
  editedLine.value = undefined;
}
/** A touch on a line edits it; while lines are chosen it chooses. */
function touch(row: SlateRow): void {
  if (placing.value) choosing.place(row.line.id);
  else if (selection.value) select(row);
  else editedLine.value = row.line.id;
}
/** What was asked for is done; the rest that could be done with the line goes out of the way. */
function use(row: WorkedRow, what: 'result' | 'entry'): void {
  openLine.value = undefined;
  if (selection.value) select(row);
  else {
    emit('use', row, what);
    // On a phone the slate has all the room while something is sought; what was found goes on in the entry.
    isSearching.value = false;
  }
}
function insertAbove({ line: { id } }: SlateRow): void {
  openLine.value = undefined;
  emit('insert', id);
}
function wordsAbove({ line: { id } }: SlateRow): void {
  openLine.value = undefined;
  newWords.value = { beforeId: id };
}
function toggle({ line: { id } }: SlateRow): void {
  openLine.value = openLine.value === id ? undefined : id;
}
function move(row: SlateRow, by: -1 | 1): void {
  const to = props.rows.indexOf(row) + by;
  if (to < 0 || to >= props.rows.length) return;
  // A row that is put elsewhere in the page loses the focus, and the next touch of the key would go nowhere.
  const focused = document.activeElement;
  emit('move', row.line.id, to);
  void nextTick(() => {
    if (focused instanceof HTMLElement) focused.focus({ preventScroll: true });
  });
}
const deleting = useDeleting({
  usersOf: (id) => props.usersOf(id),
  canKeepValue: (id) => props.canKeepValue(id),
  remove: (id) => emit('remove', id),
  removeKeepingValue: (id) => emit('removeKeepingValue', id),
  removeAll: () => emit('clear'),
  removeChosen: (ids) => emit('removeChosen', ids),
});
const { asking, answer } = deleting;
function remove({ line: { id } }: SlateRow): void {
  openLine.value = undefined;
  deleting.remove(id);
}
/** The button goes with its line, and the focus to where typing goes on. */
function removeByButton(row: SlateRow): void {
  remove(row);
  if (asking.value === undefined) emit('rest');
}
function select(row: SlateRow): void {
  choosing.toggle(row);
  openLine.value = undefined;
}
const total = computed(() => totalAbove(props.rows));
function keepWords(lineId: string, words: string): void {
  emit('keepWords', lineId, words, begun);
  editedLine.value = undefined;
}
function landWords(kind: 'heading' | 'note', words: string): void {
  emit('landWords', kind, words, newWords.value?.beforeId);
  if (newWords.value?.beforeId === undefined) void showFoot();
  newWords.value = undefined;
}
const wordsGo = computed(() => {
  const before = props.rows.find(({ line }) => line.id === newWords.value?.beforeId)?.line;
  return before === undefined ? 'at the foot' : `above ${nameOf(before)}`;
});
/** Made when it is asked for: of thousands of lines it takes its time. */
const wholeText = () => slateText(found.value, props.style);
const says = computed(() =>
  found.value.length === props.rows.length
    ? `${props.rows.length} ${props.rows.length === 1 ? 'line' : 'lines'}`
    : `${found.value.length} of ${props.rows.length} lines`,
);

watch(editedLine, (id) => {
  openLine.value = undefined;
  if (id === undefined) emit('draft', undefined);
  else void showLine(id);
});
watch(openLine, (id) => {
  if (id !== undefined) void showLine(id);
});
/** The line being written, or one whose rest was opened, comes into view, when the room around it has settled. */
async function showLine(id: string): Promise<void> {
  await nextTick();
  const index = found.value.findIndex(({ line }) => line.id === id);
  requestAnimationFrame(() => virtualizer.value.scrollToIndex(index, { align: 'auto' }));
}
/** Closes what was opened last. @returns whether there was anything */
function closeLast(): boolean {
  if (newWords.value) newWords.value = undefined;
  else if (openLine.value !== undefined) openLine.value = undefined;
  else if (selection.value) selection.value = undefined;
  else if (isSearching.value) isSearching.value = false;
  else if (showsTools.value) showsTools.value = false;
  else return false;
  return true;
}
/** Nothing of the slate is written in any more: typing goes on in the entry. */
watch([editedLine, newWords, asking, selection, isSearching], (_, before) => {
  if (
    [editedLine, newWords, asking, selection].every((one) => one.value === undefined) &&
    !isSearching.value &&
    before.some(Boolean)
  )
    emit('rest');
});

defineExpose({
  showFoot,
  closeLast,
  /** The tools of the slate, where they come when they are called. */
  showsTools,
  toggleTools: () => (showsTools.value = !showsTools.value),
  /** The slate itself is being worked on, and where room is short it has all of it. */
  isBusy: computed(
    () => isSearching.value || [selection, newWords, asking, openLine].some((one) => one.value !== undefined),
  ),
  leave: () => (editedLine.value = undefined),
});
</script>

<template>
  <section class="slate" aria-label="Slate">
    <h2 class="sr-only">Slate</h2>
    <SlateTools
      v-model:sought="sought"
      class="tools"
      :class="{ shown: showsTools }"
      :says
      :searching="isSearching"
      :selecting="selection !== undefined"
      :empty="rows.length === 0"
      :can-redo="canRedo"
      :can-total="total !== undefined"
      :text="wholeText"
      @total="total && emit('land', total)"
      @search="isSearching = !isSearching"
      @select="choosing.begin"
      @words="newWords = { beforeId: undefined }"
      @clear="deleting.removeAll(rows.length)"
      @redo="emit('redo')"
      @print="emit('print')"
      @csv="emit('csv', found)"
      @open-lines="(...lines) => emit('openLines', ...lines)"
    />
    <SelectionSums
      v-if="selection"
      :rows="selectedRows"
      :all="rows"
      :style
      :placing
      @sum="(entry) => emit('land', entry)"
      @all="choosing.all"
      @place="placing = !placing"
      @to-foot="choosing.place(undefined)"
      @heading="choosing.head"
      @remove="deleting.removeChosen(selection, choosing.end)"
      @jig="makeJig"
      @done="selection = undefined"
    />
    <TakeOffQuestion
      v-if="asking"
      :says="asking.says"
      :can-keep-value="asking.keepValue !== undefined"
      @keep-value="answer(asking.keepValue)"
      @take-off="answer(asking.takeOff)"
      @leave="answer()"
    />
    <WordsForm v-if="newWords" :where="wordsGo" @keep="landWords" @leave="newWords = undefined" />
    <div class="board">
      <div
        ref="list"
        class="lines"
        tabindex="-1"
        @keydown="byKey"
        @focusin="focused"
        @scroll.passive="noteFoot"
        @pointerenter="readyToDrag"
        @touchstart.passive="readyToDrag"
      >
        <div
          ref="items"
          role="list"
          aria-label="Lines"
          :data-drags="canDrag || undefined"
          :style="{ paddingTop: `${spaceAbove}px`, paddingBottom: `${spaceBelow}px` }"
        >
          <div
            v-for="{ item, row } in drawn"
            :key="row.line.id"
            :ref="measure"
            role="listitem"
            :aria-posinset="item.index + 1"
            :aria-setsize="found.length"
            :data-index="item.index"
          >
            <SlateRowView
              v-if="row.kind === 'worked'"
              :row
              :style
              :draft-style="draftStyle"
              :bare
              :editing="editedLine === row.line.id"
              :changed="changed.has(row.line.id)"
              :used="used.has(row.line.number)"
              :scope-of="scopeOf"
              :marks
              :own-keys="ownKeys"
              :open="openLine === row.line.id"
              :is-stop="stop === row.line.id"
              :selected="selection?.has(row.line.id)"
              :jig-of="jigOf"
              @jig="(id) => emit('lookAtJig', id)"
              @edit="touch(row)"
              @keep="(text) => keep(row.line.id, text)"
              @leave="editedLine = undefined"
              @draft="(reckoned) => emit('draft', reckoned)"
              @use="(what) => use(row, what)"
              @toggle="toggle(row)"
              @select="select(row)"
              @insert="insertAbove(row)"
              @words="wordsAbove(row)"
              @note="(note, begun) => emit('note', row.line.id, note, begun)"
              @move="(by) => move(row, by)"
              @remove="removeByButton(row)"
            />
            <WordsRowView
              v-else
              :row
              :editing="editedLine === row.line.id"
              :open="openLine === row.line.id"
              :is-stop="stop === row.line.id"
              :selected="selection?.has(row.line.id)"
              @select="select(row)"
              @edit="touch(row)"
              @keep="(words) => keepWords(row.line.id, words)"
              @leave="editedLine = undefined"
              @toggle="toggle(row)"
              @insert="insertAbove(row)"
              @move="(by) => move(row, by)"
              @remove="removeByButton(row)"
            />
          </div>
        </div>
        <p v-if="rows.length === 0" class="empty">Write a size below; Enter puts it here, and it stays.</p>
        <p v-else-if="found.length === 0" class="empty">No line has these words.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.slate {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.board {
  position: relative;
  flex: 1;
  min-height: 0;
}
.lines {
  height: 100%;
  overflow-y: auto;
  overflow-x: hidden;
  isolation: isolate;
}
.empty {
  padding: 20px;
  color: var(--ink-soft);
}
/* Where room is short the tools come when they are called. */
@media (max-width: 760px), (max-width: 1023px) and (max-height: 480px) {
  .tools:not(.shown) {
    display: none;
  }
}
</style>
