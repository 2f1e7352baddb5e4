<script setup lang="ts">
/** The main screen: slate, entry, reading, keys and story stick together. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, shallowRef, watch } from 'vue';
import { useEventListener, useMediaQuery } from '@vueuse/core';
import { CircleHelp, Settings2, Undo2 } from 'lucide-vue-next';
import { reckon, referencesOf, repeatedStep, wholeTimes, type Reckoned } from '@sprell/core';
import { remember, remembered } from '../../adapters/local-memory.ts';
import PlainButton from '../../ui/PlainButton.vue';
import { useComfort } from '../comfort/comfort.store.ts';
import JobPicker from '../job/JobPicker.vue';
import { useJobStore, type ReadingChange } from '../job/job.store.ts';
import { nameOf, type WorkedRow } from '../job/slate-row.ts';
import ConflictNotice from './ConflictNotice.vue';
import { insert, reference } from './entry/edits.ts';
import EntryField from './entry/EntryField.vue';
import { useHand } from './entry/hand.ts';
import FirstHint from './FirstHint.vue';
import type { Hint } from './first-hints.ts';
import KeepStateText from './KeepStateText.vue';
import KeyBoard from './keys/KeyBoard.vue';
import { withReading } from './reading/reading-change.ts';
import ReadingPanel from './reading/ReadingPanel.vue';
import SlatePanel from './slate/SlatePanel.vue';
import MarkStick from './stick/MarkStick.vue';

// Not on the first screen: they come when they are wanted.

const ComfortPanel = defineAsyncComponent(() => import('../comfort/ComfortPanel.vue'));
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'));

const store = useJobStore();
const hand = useHand();
const { comfort, putAway } = useComfort();
const isTouch = useMediaQuery('(pointer: coarse)');

/** The unfinished entry outlives a reload. */
const entry = ref(remembered<string>('entry') ?? '');
/** How the reading of the entry in hand is to differ from the job's. */
const change = ref<ReadingChange>({});
/** The entry is to stand above this line. */
const insertBefore = ref<string>();
const insertsAbove = computed(() => {
  const line = store.rows.find((row) => row.line.id === insertBefore.value)?.line;
  return line && nameOf(line);
});
const cleared = ref<string>();
const slate = ref<InstanceType<typeof SlatePanel>>();
const entryField = ref<InstanceType<typeof EntryField>>();
const shows = ref<'comfort' | 'shortcuts'>();

watch(entry, (text, before) => {
  // How the last line was looked at is not how the next one is to read.
  if (before === '') change.value = {};
  rememberSoon(text);
  if (text !== '') cleared.value = undefined;
});

const ownKeys = computed(() => comfort.showKeys && isTouch.value);
const style = computed(() => ({ ...store.style, ...change.value }));
const isMetric = computed(() => ['m', 'cm', 'mm'].includes(store.style.length));
const workedRows = computed(() => store.rows.filter((row) => row.kind === 'worked'));
const lastRow = computed(() =>
  workedRows.value.reduce<WorkedRow | undefined>(
    (last, row) => (last === undefined || row.line.number > last.line.number ? row : last),
    undefined,
  ),
);
const hasLast = computed(() => lastRow.value?.worked.result.ok === true);

const reckoned = computed(() => {
  // The rows are what the scope was made from; a change to them is a change of scope.
  void store.rows;
  return entry.value.trim() === '' ? undefined : reckon(entry.value, { scope: store.scope(), style: style.value });
});
/** The line of the slate that is being written anew, worked out. */
const redrafted = shallowRef<Reckoned>();
watch(redrafted, (now, before) => {
  if ((now === undefined) !== (before === undefined)) change.value = {};
});
const inHand = computed(() => redrafted.value ?? reckoned.value);
const resting = computed(() => {
  const last = lastRow.value;
  return last && reckon(last.entry, { scope: store.scope(last.line.id), style: style.value });
});

/** A size divided by a size: how often it goes, and what is left over. */
const whole = computed(() => {
  const parsed = (inHand.value ?? resting.value)?.parsed;
  return parsed?.entry && wholeTimes(parsed.entry, parsed.source, store.scope(), style.value);
});

interface Used {
  readonly lines: ReadonlySet<number>;
  readonly marks: ReadonlySet<string>;
}
function isSame<T>(one: ReadonlySet<T>, other: ReadonlySet<T>): boolean {
  return one.size === other.size && [...one].every((each) => other.has(each));
}

/** What the entry in hand uses lights up where it stands. */
const used = computed<Used>((before) => {
  const references = referencesOf(inHand.value?.parsed.entry);
  const lines = new Set(references.lines);
  const numbers = workedRows.value.map(({ line }) => line.number);
  for (const [from, to] of references.runs) {
    const [first, last] = [numbers.indexOf(from), numbers.indexOf(to)];
    if (first !== -1) for (const number of numbers.slice(first, last + 1)) lines.add(number);
  }
  const now = { lines, marks: new Set(references.marks) };
  // The same for as long as it holds the same, so that the slate is not drawn anew at every key.
  return before && isSame(before.lines, now.lines) && isSame(before.marks, now.marks) ? before : now;
});

function writeEntry(text: string): void {
  entry.value = text;
  entryField.value?.focus();
}

/** A reading chosen for this entry alone stays with its line. */
function withChange(text: string): string {
  return Object.keys(change.value).length === 0 ? text : withReading(text, change.value, store.style);
}
function land(): void {
  store.land(withChange(entry.value), insertBefore.value);
  afterLanding();
}
function keepLine(lineId: string, text: string): void {
  putAway('anew');
  store.edit(lineId, withChange(text));
}

function landText(text: string): void {
  store.land(text);
  afterLanding();
}

function afterLanding(): void {
  const stays = insertBefore.value !== undefined;
  entry.value = '';
  change.value = {};
  recalled = undefined;
  insertBefore.value = undefined;
  if (!stays) void slate.value?.showFoot();
}

/** Earlier entries come back one by one, to be changed and run again; below the last stands what was being written. */
let recalled: { readonly at: number; readonly draft: string } | undefined;
function recall(by: -1 | 1): void {
  const entries = workedRows.value.map((row) => row.entry);
  const at = (recalled?.at ?? entries.length) + by;
  if (at < 0 || (recalled === undefined && by === 1)) return;
  const draft = recalled?.draft ?? entry.value;
  recalled = at >= entries.length ? undefined : { at, draft };
  entry.value = recalled === undefined ? draft : (entries[at] as string);
}

/** The last step again, on its result. */
const again = computed(() => {
  void store.rows;
  return lastRow.value && hasLast.value ? repeatedStep(lastRow.value.worked.parsed) : undefined;
});
function repeat(): void {
  if (reckoned.value && reckoned.value.issue === undefined) {
    const step = repeatedStep(reckoned.value.parsed);
    land();
    if (step !== undefined) landText(step);
  } else if (again.value !== undefined && reckoned.value === undefined) landText(again.value);
}

function useLine(row: WorkedRow, what: 'result' | 'entry'): void {
  putAway('use');
  hand.apply((text) =>
    what === 'result' ? reference(text, `#${row.line.number}`) : insert(text, row.worked.parsed.source),
  );
  hand.active?.focus();
}
function useMark(name: string): void {
  hand.apply((text) => reference(text, name));
  hand.active?.focus();
}

const canKeep = computed(() =>
  reckoned.value ? reckoned.value.issue === undefined && reckoned.value.outcome?.kind === 'quantity' : hasLast.value,
);
function keepAs(name: string): void {
  putAway('keep');
  const inHand = reckoned.value?.parsed.entry;
  if (inHand === undefined) landText(`${name} = #${lastRow.value?.line.number}`);
  else if (inHand.assignment === undefined) {
    entry.value = `${name} = ${entry.value.slice(inHand.label === undefined ? 0 : entry.value.search(/[:\uff1a]/u) + 1).trim()}`;
    land();
  }
}

/** For the entry in hand the change waits until it lands; a line on the slate is written with it. */
function changeReading(wanted: ReadingChange): void {
  putAway('finest');
  change.value = { ...change.value, ...wanted };
}
function widenReading(to: 'line' | 'job' | 'always'): void {
  const last = lastRow.value;
  if (to === 'line' && last) store.edit(last.line.id, withReading(last.entry, change.value, store.style));
  else if (to === 'job') store.setReading(change.value);
  else store.setReadingForGood(change.value);
  change.value = {};
}

function clearEntry(): void {
  cleared.value = entry.value;
  entry.value = '';
  change.value = {};
  recalled = undefined;
}

/** What the hints for the first day can speak of now; what was done by itself needs none. */
const hintsThere = computed(() => {
  const there = new Set<Hint>();
  if (comfort.showKeys && !isMetric.value) there.add('fraction');
  if (workedRows.value.length > 0) there.add('use').add('anew');
  if (inHand.value?.reading?.steps !== undefined) there.add('finest');
  if (comfort.showStick && canKeep.value) there.add('keep');
  return there;
});

/** The unfinished entry is written down behind the frame that shows it, and at once when the page is left. */
let writing: ReturnType<typeof setTimeout> | undefined;
function rememberSoon(text: string): void {
  clearTimeout(writing);
  writing = setTimeout(() => rememberEntry(text), 50);
}
function rememberEntry(text: string): void {
  remember('entry', text === '' ? undefined : text);
}
useEventListener(window, 'pagehide', () => rememberEntry(entry.value));
useEventListener(document, 'visibilitychange', () => rememberEntry(entry.value));

const undoSays = computed(() => (cleared.value === undefined ? store.undoSays : 'Bring the entry back'));
function undo(): void {
  if (cleared.value !== undefined) {
    entry.value = cleared.value;
    cleared.value = undefined;
  } else store.undo();
}

function byKey(event: KeyboardEvent): void {
  const target = event.target as HTMLElement;
  const isWriting = target.isContentEditable || target instanceof HTMLInputElement;
  const isEmpty = target instanceof HTMLInputElement ? target.value === '' : entry.value === '';
  if (
    (event.ctrlKey || event.metaKey) &&
    event.key.toLowerCase() === 'z' &&
    !event.shiftKey &&
    (!isWriting || isEmpty)
  ) {
    event.preventDefault();
    undo();
  } else if (event.key === '?' && !isWriting) shows.value = 'shortcuts';
  else if (event.altKey && event.key.toLowerCase() === 'a') {
    event.preventDefault();
    repeat();
  }
}

async function chooseJob(jobId: string): Promise<void> {
  slate.value?.leave();
  change.value = {};
  await store.open(jobId);
  await slate.value?.showFoot();
}

onMounted(async () => {
  await store.start();
  await slate.value?.showFoot();
  await nextTick();
  if (!isTouch.value) entryField.value?.focus();
});
</script>

<template>
  <main
    class="bench"
    :class="{ left: comfort.leftHanded, 'no-stick': !comfort.showStick, editing: redrafted !== undefined }"
    @keydown="byKey"
  >
    <header class="head">
      <h1>Sprell</h1>
      <JobPicker class="jobs" @choose="chooseJob" />
      <KeepStateText class="state" :state="store.keepState" />
      <PlainButton
        class="undo"
        :disabled="undoSays === undefined"
        :title="undoSays ?? 'Nothing to undo'"
        data-test="undo"
        @pointerdown.prevent
        @click="undo"
        ><Undo2 :size="20" aria-hidden="true" /><span class="undo-word">Undo</span></PlainButton
      >
      <RouterLink class="icon" to="/help" title="How to write an entry"
        ><CircleHelp :size="22" aria-hidden="true" /><span class="sr-only">How to write an entry</span></RouterLink
      >
      <button
        type="button"
        class="icon"
        aria-label="Looks and comfort"
        title="Looks and comfort"
        data-test="comfort"
        @click="shows = 'comfort'"
      >
        <Settings2 :size="22" aria-hidden="true" />
      </button>
    </header>

    <div class="notices">
      <p v-if="store.failure" class="failure" role="alert">
        {{ store.failure }} <PlainButton @click="store.start()">Try again</PlainButton>
      </p>
      <ConflictNotice
        v-for="conflict in store.conflicts"
        :key="conflict.line.id"
        :conflict
        @choose="(choice) => store.resolveConflict(conflict, choice)"
      />
    </div>

    <div class="column">
      <SlatePanel
        ref="slate"
        class="slate"
        :rows="store.rows"
        :style="store.style"
        :draft-style="style"
        :changed="store.changed"
        :used="used.lines"
        :scope-of="store.scope"
        :marks="store.marks"
        :own-keys="ownKeys"
        :users-of="store.usersOf"
        :can-keep-value="store.canKeepValue"
        @keep="keepLine"
        @draft="(now) => (redrafted = now)"
        @keep-words="store.editWords"
        @note="store.setNote"
        @use="useLine"
        @insert="(id) => (insertBefore = id)"
        @move="store.move"
        @remove="store.remove"
        @remove-keeping-value="store.removeKeepingValue"
        @clear="store.clear"
        @land="landText"
        @land-words="store.landWords"
      />

      <div class="hand">
        <FirstHint v-if="entry === ''" :there="hintsThere" />
        <p v-if="insertBefore" class="inserting">
          This entry goes in above {{ insertsAbove }}.
          <PlainButton @click="insertBefore = undefined">At the foot instead</PlainButton>
        </p>
        <EntryField
          ref="entryField"
          v-model="entry"
          label="Entry"
          :reckoned
          :marks="store.marks"
          :has-last="hasLast"
          :own-keys="ownKeys"
          @land="land"
          @recall="recall"
          @clear="clearEntry"
        />
      </div>
    </div>

    <ReadingPanel
      class="reading"
      :reckoned="inHand"
      :resting
      :line="lastRow && nameOf(lastRow.line)"
      :style
      :change
      :whole
      @use="writeEntry"
      @change="changeReading"
      @widen="widenReading"
      @drop="change = {}"
    />

    <KeyBoard
      v-if="comfort.showKeys"
      class="keys"
      :finest="style.finest"
      :metric="isMetric"
      :decimal-comma="store.style.decimalComma"
      :has-last="hasLast"
      :can-repeat="again !== undefined && entry === ''"
      @repeat="repeat"
    />

    <MarkStick
      v-if="comfort.showStick"
      class="stick"
      :marks="store.marks"
      :used="used.marks"
      :can-keep="canKeep"
      @use="useMark"
      @keep="keepAs"
    />

    <ComfortPanel v-if="shows === 'comfort'" @close="shows = undefined" />
    <ShortcutSheet v-if="shows === 'shortcuts'" @close="shows = undefined" />
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template:
    'head head head' auto
    'notices notices notices' auto
    'column reading stick' minmax(0, 1fr)
    'column keys stick' auto / minmax(0, 10fr) minmax(0, 11fr) 168px;
}
.bench.left {
  grid-template:
    'head head head' auto
    'notices notices notices' auto
    'stick reading column' minmax(0, 1fr)
    'stick keys column' auto / 168px minmax(0, 11fr) minmax(0, 10fr);
}
.head {
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 16px;
  border-bottom: 2px solid var(--ink);
}
h1 {
  margin: 0;
  font-size: 22px;
  font-weight: 600;
  letter-spacing: 0.02em;
}
.jobs {
  width: 260px;
}
.icon {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: var(--touch);
  min-height: var(--touch);
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
.state {
  margin-left: auto;
}
.notices {
  grid-area: notices;
}
.failure {
  margin: 0;
  padding: 8px 24px;
  background: var(--pencil-wash);
}
.column {
  grid-area: column;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  border-right: 1px solid var(--groove);
}
.slate {
  grid-area: slate;
  flex: 1;
}
.hand {
  grid-area: hand;
  padding: 8px 12px 12px;
  min-width: 0;
}
.inserting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 0 6px;
}
.reading {
  grid-area: reading;
  overflow-y: auto;
}
.keys {
  grid-area: keys;
  padding: 6px 20px 12px;
}
.stick {
  grid-area: stick;
  contain: content;
}
.no-stick {
  grid-template-columns: minmax(0, 10fr) minmax(0, 11fr) 0;
}
/* A tablet: what is reckoned at one side, what is kept at the other. */
@media (max-width: 1023px) {
  .bench,
  .bench.no-stick {
    grid-template:
      'head head' auto
      'notices notices' auto
      'reading slate' minmax(0, 1fr)
      'hand slate' auto
      'keys stick' auto / minmax(0, 13fr) minmax(0, 10fr);
  }
  .bench.left {
    grid-template:
      'head head' auto
      'notices notices' auto
      'slate reading' minmax(0, 1fr)
      'slate hand' auto
      'stick keys' auto / minmax(0, 10fr) minmax(0, 13fr);
  }
  .column {
    display: contents;
  }
  .slate {
    border-left: 1px solid var(--groove);
  }
  .stick {
    padding: 6px 12px 12px;
    max-height: 330px;
  }
}
@media (max-width: 760px) {
  .bench,
  .bench.left,
  .bench.no-stick {
    grid-template:
      'head' auto
      'notices' auto
      'reading' auto
      'slate' minmax(64px, 1fr)
      'stick' auto
      'hand' auto
      'keys' auto / minmax(0, 1fr);
  }
  .slate {
    border-left: 0;
    border-top: 1px solid var(--groove);
  }
  .reading {
    overflow-y: visible;
  }
  /* A line written anew takes the room of the entry that rests. */
  .editing .hand,
  .editing .stick {
    display: none;
  }
  .head {
    gap: 4px;
    padding: 0 8px;
  }
  h1 {
    position: absolute;
    clip-path: inset(50%);
  }
  .undo-word {
    position: absolute;
    clip-path: inset(50%);
  }
  .state {
    font-size: 13px;
  }
  .jobs {
    flex: 1;
    width: auto;
    min-width: 0;
  }
  .hand {
    padding: 4px 8px;
  }
  .keys {
    padding: 2px 8px 8px;
  }
  .stick {
    margin: 0 8px;
    padding: 0;
  }
}
/* A short phone, or one whose browser takes its share: the keys stay in reach. */
@media (max-width: 760px) and (max-height: 740px) {
  .bench,
  .bench.left,
  .bench.no-stick {
    grid-template-rows: auto auto auto minmax(52px, 1fr) auto auto auto;
  }
}
</style>
