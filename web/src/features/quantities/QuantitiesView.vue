<script setup lang="ts">
/** The take-off of the job: rows by section, each measured by what it is, and what all of them come to. */
import { computed, defineAsyncComponent, markRaw, ref, useTemplateRef, watch } from 'vue';
import { useEventListener, useMediaQuery } from '@vueuse/core';
import { Columns3, Ellipsis, FolderPlus, PanelRight, Plus, Search, X } from 'lucide-vue-next';
import { makeRational } from '@sprell/core';
import { readMoney, type RoundedAt } from '@sprell/core/quantities';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import { say } from '../../ui/say.ts';
import AppHead from '../../parts/head/AppHead.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useSaidFields } from '../../live/said-fields.ts';
import { useKept } from '../../live/use-kept.ts';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useHand } from '../../parts/entry/hand.ts';
import { Quantities } from '../../job/quantities.ts';
import { ALWAYS, COLUMNS, shownIn, USUAL } from './columns.ts';
import ChosenBar from './ChosenBar.vue';
import ListSetUp from './ListSetUp.vue';
import NameDialog from './NameDialog.vue';
import RowCards from './RowCards.vue';
import RowPanel from './RowPanel.vue';
import RowTable from './RowTable.vue';
import TotalsFoot from './TotalsFoot.vue';
import { useGrid, type Grid } from './use-grid.ts';
import { saidFieldsOf } from './said-fields-of.ts';
import { useRowActs } from './use-row-acts.ts';
import { useShown, type Shown } from './use-shown.ts';

const jobs = useJobs();
const job = useJob();
void (job.head === undefined && jobs.start());
const list = markRaw(new Quantities(job));
/** The keys take half of a touch screen while a cell is written. */
const hand = useHand();
const ownKeys = useOwnKeys();
const isPhone = useMediaQuery('(max-width: 760px)');

const VIEWS = [
  ['list', 'List'],
  ['order', 'Order'],
  ['compare', 'Compare'],
] as const;
const view = ref<(typeof VIEWS)[number][0]>('list');
const roundedAt = computed<RoundedAt>(() => job.head?.moneyRounded ?? 'row');
function roundElsewhere(): void {
  if (job.head === undefined || job.ground.refusesReader()) return;
  void jobs.set(job.head.id, { moneyRounded: roundedAt.value === 'row' ? 'total' : 'row' });
}
const columnIds = useKept<string[]>('quantities.columns', USUAL);
/** In pixels, where somebody wanted another width. */
const widths = useKept<Record<string, number>>('quantities.widths', {});
const columns = computed(() =>
  COLUMNS.filter(({ id }) => ALWAYS.has(id) || columnIds.value.includes(id)).map((column) => ({
    ...column,
    width: widths.value[column.id] ?? column.width,
  })),
);
function widen(id: string, width: number | undefined): void {
  const { [id]: _usual, ...others } = widths.value;
  widths.value = width === undefined ? others : { ...others, [id]: width };
}

const table = useTemplateRef<InstanceType<typeof RowTable>>('table');
const shown: Shown = useShown(list, () => {
  if (grid.at.value && !isPhone.value) grid.goTo(grid.at.value);
});
const { versions, versionNow, sought, isSearching, only, sortedBy, isWhole, ofVersion, sections, find, showAll } =
  shown;
const acts = useRowActs(list, {
  shown: () => shown,
  grid: () => grid,
  columns: () => columns.value,
  isPhone,
});
const { openId, newId, likely, add, write, remove, moveBy, act } = acts;
const grid: Grid = useGrid({
  rows: () => shown.rows.value.map(({ id }) => id),
  columns: () => columns.value.map(({ id }) => id),
  canEdit: ({ column }) => !job.isReader && COLUMNS.find(({ id }) => id === column)?.holds !== 'result',
  act,
  show: (place) => table.value?.show(place),
});
/** On a phone rows are chosen once that is asked for. */
const isChoosing = ref(false);
const chosen = computed(() => [...grid.chosen.value]);
const showsBar = computed(
  () => view.value === 'list' && (isPhone.value ? isChoosing.value : chosen.value.length > 1) && !job.isReader,
);
function chooseNone(): void {
  isChoosing.value = false;
  grid.chooseNone();
}
/** On a desk the row of the cursor stands beside the table, unless somebody wants the table alone. */
const showsRow = useKept('quantities.row-beside', true);
function closeRow(): void {
  openId.value = undefined;
  if (!isPhone.value) showsRow.value = false;
}
/** The row beside the table: the one that the cursor stands in, or that was opened. */
const openRow = computed(() => {
  const id = isPhone.value ? openId.value : showsRow.value ? (openId.value ?? grid.at.value?.row) : undefined;
  return view.value === 'list' ? list.rows.find((row) => row.id === id) : undefined;
});
useSaidFields(() => saidFieldsOf(list, acts, grid));
/** The next row is measured as the one that was made last. */
watch(
  () => list.rows.find(({ id }) => id === newId.value)?.item.measure,
  (measure) => {
    if (measure !== undefined) likely.value = measure;
  },
);

const totals = computed(() => list.totals({ price: 'price', version: versionNow.value, roundedAt: roundedAt.value }));
const subtotal = (section: string | undefined) =>
  readMoney(totals.value.sections.get(section)?.cost ?? makeRational(0), job.style).text;
const names = computed(() => [
  ...job.marks.list,
  ...list.rows.flatMap((row) =>
    row.name === undefined ? [] : [{ name: row.name, reading: shownIn(row, 'quantity', job.style) }],
  ),
]);

/** What is being given a name. */
const naming = ref<{
  readonly title: string;
  readonly name: string;
  readonly keep: (name: string) => void;
  readonly drop?: () => void;
}>();
function renameSection(id: string): void {
  const section = list.sections.find((one) => one.id === id);
  if (section === undefined) return;
  naming.value = {
    title: 'The section',
    name: section.name,
    keep: (name) => list.rename(id, name),
    drop: () => list.drop(id),
  };
}
function newSection(): void {
  naming.value = { title: 'A new section', name: '', keep: (name) => void list.addSection(name) };
}
const showsSetUp = ref(false);
const ComparePanel = defineAsyncComponent(() => import('./ComparePanel.vue'));
const OrderPanel = defineAsyncComponent(() => import('./OrderPanel.vue'));
/** Rows behind a cost, from a picture or a table of costs. */
function showRows(ids: readonly string[]): void {
  view.value = 'list';
  only.value = new Set(ids);
}
const ListOut = defineAsyncComponent(() => import('./ListOut.vue'));
const showsOut = ref(false);
const BlockDialog = defineAsyncComponent(() => import('./BlockDialog.vue'));
/** A table from elsewhere, with what was pasted of it. */
const block = ref<string>();
/** What is wanted now and then. */
const MORE = {
  'add-section': { title: 'New section', act: newSection, onPhone: true, onlyWriters: true },
  choose: { title: 'Choose rows', act: () => (isChoosing.value = true), onPhone: true, onlyWriters: true },
  'from-elsewhere': { title: 'Paste or open rows', act: () => (block.value = ''), onPhone: false, onlyWriters: true },
  'list-out': { title: 'Save or print', act: () => (showsOut.value = true), onPhone: false, onlyWriters: false },
  'set-up': { title: 'Taxes and versions', act: () => (showsSetUp.value = true), onPhone: false, onlyWriters: true },
} as const;
type MoreAct = keyof typeof MORE;
/** Rows that are pasted where nothing is written are looked at before they are taken in. */
useEventListener(window, 'paste', (event: ClipboardEvent) => {
  const isWriting = (event.target as HTMLElement).closest('input, textarea, [contenteditable]') !== null;
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (isWriting || job.isReader || view.value !== 'list' || text.trim() === '') return;
  const { value: place } = grid.at;
  const row = list.rows.find(({ id }) => id === place?.row);
  // Text goes where it could be typed: into no choice, and into nothing that is worked out.
  const holds = COLUMNS.find(({ id }) => id === place?.column)?.holds;
  const takesText = holds === 'entry' || holds === 'words';
  if (acts.isTaken(text)) acts.paste(place?.row);
  else if (/[\t\n]/.test(text.trim())) block.value = text;
  else if (row !== undefined && place !== undefined && takesText) write(row, place.column, text);
  else return;
  event.preventDefault();
});
</script>

<template>
  <main class="view quantities" :class="{ beside: openRow && !isPhone }">
    <AppHead class="head" title="Quantities" />
    <div v-if="!isPhone || !openRow" class="tools" role="toolbar" aria-label="The list">
      <ChoiceBar v-model="view" label="What is shown" :choices="VIEWS" test="view" />
      <PlainButton v-if="view === 'list'" leading data-test="add-row" @click="add(sections.at(-1)?.id)"
        ><Plus :size="18" aria-hidden="true" />Row</PlainButton
      >
      <PlainButton v-if="view === 'list' && !isPhone" data-test="add-section" @click="newSection"
        ><FolderPlus :size="18" aria-hidden="true" />Section</PlainButton
      >
      <PlainButton
        v-if="view === 'list'"
        :aria-pressed="isSearching"
        aria-label="Find a row"
        title="Find a row"
        data-test="find"
        @click="isSearching ? showAll() : find()"
        ><Search :size="18" aria-hidden="true"
      /></PlainButton>
      <input
        v-if="isSearching && view === 'list'"
        v-model="sought"
        class="find"
        type="search"
        placeholder="item, supplier, size"
        aria-label="Find a row"
        data-test="find-row"
        @keydown.esc="showAll"
      />
      <ChoiceBar
        v-if="versionNow && view !== 'compare'"
        v-model="versionNow"
        label="Version"
        :choices="versions"
        test="version"
      />
      <PlainButton
        v-if="view === 'list' && !isPhone"
        :aria-pressed="showsRow"
        data-test="row-beside"
        @click="showsRow = !showsRow"
        ><PanelRight :size="18" aria-hidden="true" />Row details</PlainButton
      >
      <el-popover v-if="view === 'list' && !isPhone" trigger="click" :width="240" placement="bottom-end">
        <template #reference>
          <PlainButton data-test="columns"><Columns3 :size="18" aria-hidden="true" />Columns</PlainButton>
        </template>
        <el-checkbox-group v-model="columnIds" class="choices" aria-label="Columns">
          <el-checkbox v-for="{ id, title } in COLUMNS.slice(1)" :key="id" :value="id">{{ title }}</el-checkbox>
        </el-checkbox-group>
      </el-popover>
      <el-dropdown trigger="click" placement="bottom-end" @command="(more: MoreAct) => MORE[more].act()">
        <PlainButton aria-haspopup="menu" title="More for this list" aria-label="More for this list" data-test="more"
          ><Ellipsis :size="18" aria-hidden="true"
        /></PlainButton>
        <template #dropdown>
          <el-dropdown-menu>
            <template v-for="({ title, onPhone, onlyWriters }, more) in MORE" :key="more">
              <el-dropdown-item
                v-if="(isPhone || !onPhone) && !(onlyWriters && job.isReader)"
                :command="more"
                :data-test="more"
                >{{ title }}</el-dropdown-item
              >
            </template>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </div>
    <p v-if="!isWhole && view === 'list'" class="partly" role="status" data-test="partly">
      {{ shown.rows.value.length }} of {{ ofVersion.length }} rows are shown<template v-if="sortedBy"
        >, sorted by {{ COLUMNS.find(({ id }) => id === sortedBy?.column)?.title }}</template
      >. Totals are of all of them.
      <PlainButton data-test="show-all" @click="showAll"
        ><X :size="18" aria-hidden="true" />Show all as they stand</PlainButton
      >
    </p>

    <div v-if="list.rows.length === 0 && list.sections.length <= 1" class="empty">
      <h2>Nothing is listed yet</h2>
      <p>
        A row is what you buy: how many, how large, at what price. It takes the marks and lines of the job, and the
        quantities of other rows by their names.
      </p>
    </div>
    <OrderPanel v-if="view === 'order'" class="main" :list :version="versionNow" :style="job.style" />
    <ComparePanel v-else-if="view === 'compare'" class="main" :list :style="job.style" :rounded-at @rows="showRows" />
    <RowCards
      v-else-if="isPhone && !openRow"
      class="main"
      :sections
      :style="job.style"
      :subtotal
      :chosen="isChoosing ? grid.chosen.value : undefined"
      @choose="grid.toggle"
      @open="(row) => ((newId = undefined), (openId = row.id))"
      @add="add"
      @rename-section="renameSection"
    />
    <RowTable
      v-if="view === 'list' && !isPhone"
      ref="table"
      class="main"
      :sections
      :columns
      :list
      :grid
      :names
      :style="job.style"
      :subtotal
      :is-whole
      :is-cut="acts.isCut"
      @add="add"
      @write="write"
      @rename-section="renameSection"
      @sort="shown.sort"
      @widen="widen"
      @drop="(id, section, before) => list.move([id], section, before)"
    />
    <RowPanel
      v-if="openRow"
      :key="openRow.id"
      class="panel"
      :row="openRow"
      :list
      :names
      :is-new="isPhone && newId === openRow.id"
      @close="closeRow"
      @move="(by) => openRow && moveBy([openRow.id], by)"
      @duplicate="openRow && list.duplicate([openRow.id])"
      @remove="openRow && remove([openRow.id])"
    />
    <ChosenBar v-if="showsBar" class="chosen-bar" :chosen :list :acts @close="chooseNone" />
    <TotalsFoot
      class="totals"
      :totals
      :taxes="list.taxes"
      :style="job.style"
      :rows="ofVersion.length"
      :is-brief="(isPhone && openRow !== undefined) || (ownKeys && hand.isInField)"
      :rounded-at
      @find="(ids) => (only = new Set(ids))"
      @rounding="roundElsewhere"
    />
    <NameDialog v-if="naming" v-bind="naming" @close="naming = undefined" />
    <BlockDialog
      v-if="block !== undefined"
      :list
      :start="block"
      @close="block = undefined"
      @added="(count) => say(`${count} ${count === 1 ? 'row is' : 'rows are'} in the list`)"
    />
    <ListOut v-if="showsOut" :list :version="versionNow" :rounded-at @close="showsOut = false" />
    <ListSetUp v-if="showsSetUp" :list @close="showsSetUp = false" />
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.quantities {
  display: grid;
  grid-template: 'head' auto 'tools' auto 'partly' auto 'main' minmax(0, 1fr) 'totals' auto / minmax(0, 1fr);
  height: 100dvh;
}
.beside {
  grid-template:
    'head head' auto
    'tools tools' auto
    'partly partly' auto
    'main panel' minmax(0, 1fr)
    'totals totals' auto / minmax(0, 1fr) 360px;
}
.head {
  grid-area: head;
}
.tools {
  grid-area: tools;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 16px;
}
.find {
  flex: 0 1 220px;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
}
.partly {
  grid-area: partly;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin: 0;
  padding: 4px 16px;
  background: var(--chalk-wash);
}
.empty {
  grid-area: main;
  align-self: center;
  justify-self: center;
  max-width: 460px;
  padding: 0 16px;
  text-align: center;
  pointer-events: none;
}
.empty h2 {
  margin: 0;
  font-size: 22px;
}
.main {
  grid-area: main;
}
.panel {
  contain: strict;
  will-change: transform;
  grid-area: panel;
  border-left: 1px solid var(--groove);
}
.totals {
  grid-area: totals;
}
.chosen-bar {
  z-index: 6;
  grid-area: main;
  align-self: end;
  justify-self: center;
  margin: 0 12px 10px;
}
.choices {
  display: flex;
  flex-direction: column;
}
@media (max-width: 760px) {
  .quantities {
    display: flex;
    height: auto;
  }
  .tools {
    padding: 6px 12px;
  }
  .panel {
    contain: none;
    will-change: auto;
    border-left: 0;
    overflow: visible;
  }
  .main {
    flex: 1;
  }
  .totals,
  .chosen-bar {
    position: sticky;
    bottom: 0;
  }
  .chosen-bar {
    z-index: 7;
    align-self: stretch;
    margin: 0;
  }
}
@media (min-width: 761px) and (max-height: 500px) {
  .tools {
    flex-wrap: nowrap;
    overflow-x: auto;
    overscroll-behavior: contain;
    padding-block: 3px;
  }
  .tools > * {
    flex: none;
  }
}
</style>
