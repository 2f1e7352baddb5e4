<script setup lang="ts">
/** The main screen: slate, entry, reading, keys and story stick together. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, shallowRef, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import {
  freeNames,
  isMetric,
  reckon,
  repeatedStep,
  turnedEntry,
  wholeTimes,
  withoutAssignment,
  type Reckoned,
} from '@sprell/core';
import { afterPaint } from '../../ui/after-paint.ts';
import PlainButton from '../../ui/PlainButton.vue';
import { useComfort } from '../comfort/comfort.store.ts';
import { changedStyle, type ReadingChange } from '../job/job-reading.ts';
import { useJobStore } from '../job/job.store.ts';
import { nameOf, splitLabel, type WorkedRow } from '../job/slate-row.ts';
import BenchHead from './BenchHead.vue';
import { useBenchEntry } from './entry/bench-entry.ts';
import { insert, reference } from './entry/edits.ts';
import EntryField from './entry/EntryField.vue';
import { useHand } from './entry/hand.ts';
import FirstHint from './FirstHint.vue';
import type { Hint } from './first-hints.ts';
import KeyBoard from './keys/KeyBoard.vue';
import { withReading, withWords } from './reading/reading-change.ts';
import ReadingPanel from './reading/ReadingPanel.vue';
import { readLine } from './slate/line-reading.ts';
import { OTHER, turnedLabel } from '../scale/side-words.ts';
import SlatePanel from './slate/SlatePanel.vue';
import type { Amount } from './stick/amount.ts';
import type StoryStickParts from './stick/StoryStick.vue';
import { usedBy, type Used } from './used.ts';

// Not on the first screen: they come when they are wanted.
const ConflictNotice = defineAsyncComponent(() => import('./ConflictNotice.vue'));
const ComfortPanel = defineAsyncComponent(() => import('../comfort/ComfortPanel.vue'));
// The stick comes right behind the entry, which can be written in meanwhile.
const StoryStick = defineAsyncComponent(() => import('./stick/StoryStick.vue'));
const ScaleStrip = defineAsyncComponent(() => import('../scale/ScaleStrip.vue'));
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'));

const store = useJobStore();
const hand = useHand();
const { comfort, putAway } = useComfort();
const isTouch = useMediaQuery('(pointer: coarse)');

const workedRows = computed(() => store.rows.filter((row) => row.kind === 'worked'));
const { entry, cleared, recall, begin, clear, bringBack } = useBenchEntry(() =>
  workedRows.value.map((row) => row.entry),
);
/** How the reading of the entry in hand is to differ from the job's. */
const change = ref<ReadingChange>({});
/** The entry is to stand above this line. */
const insertBefore = ref<string>();
const insertsAbove = computed(() => {
  const line = store.rows.find((row) => row.line.id === insertBefore.value)?.line;
  return line && nameOf(line);
});
const slate = ref<InstanceType<typeof SlatePanel>>();
const entryField = ref<InstanceType<typeof EntryField>>();
const shows = ref<'comfort' | 'shortcuts'>();

watch(entry, (_, before) => {
  // How the last line was looked at is not how the next one is to read.
  if (before === '') change.value = {};
});

const ownKeys = computed(() => comfort.showKeys && isTouch.value);
const style = computed(() => changedStyle(store.style, change.value));
const metric = computed(() => isMetric(store.style.length));
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

/** What the entry in hand uses lights up where it stands. */
const used = computed<Used>((before) =>
  usedBy(
    inHand.value?.parsed.entry,
    workedRows.value.map(({ line }) => line.number),
    before,
  ),
);

/** Another unit as the main one where the job has no say: written into the entry, or in a new one for a line at rest. */
function readAs(words: string): void {
  const text = reckoned.value ? entry.value : `#${lastRow.value?.line.number}`;
  writeEntry(withWords(text, words, store.style));
}

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

/** What is said to somebody who does not see the slate. */
const announced = ref('');
function announceLanding(): void {
  const row = lastRow.value;
  if (row === undefined) return;
  const { reading, answer, problem } = readLine(row.worked, store.style);
  announced.value = `${nameOf(row.line)} on the slate: ${reading?.text ?? answer ?? problem ?? ''}`;
}

function afterLanding(): void {
  announceLanding();
  const stays = insertBefore.value !== undefined;
  begin();
  change.value = {};
  insertBefore.value = undefined;
  if (!stays) void slate.value?.showFoot();
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

/** What would be kept or posted: the entry as it is written, unless it keeps itself already, or else the last result. */
const amount = computed((): Amount | undefined => {
  const shown = reckoned.value ?? resting.value;
  if (shown === undefined || shown.issue !== undefined || shown.outcome?.kind !== 'quantity') return undefined;
  const { quantity } = shown.outcome;
  const reading = shown.reading?.text ?? '';
  const assignment = shown.parsed.entry?.assignment;
  const { label, source } = splitLabel(shown.parsed.source);
  if (reckoned.value) return assignment ? undefined : { entry: source, label: label ?? undefined, reading, quantity };
  // A posting reads as what it posted; its line, as what the mark then came to.
  const posted = assignment !== undefined && assignment.operator !== 'keep';
  const entry = posted ? withoutAssignment(source, store.style) : `#${lastRow.value?.line.number}`;
  return { entry, label: label ?? undefined, reading, quantity };
});
/** As the stick says it: a frame behind the reading, which waits for nothing. */
const shownAmount = afterPaint(() => amount.value);
function landOnMark(name: string, sign: '=' | '+=' | '-=', entry: string, undoSays?: string): void {
  if (reckoned.value === undefined) {
    store.land(`${name} ${sign} ${entry}`, undefined, undoSays);
  } else {
    const { label } = splitLabel(reckoned.value.parsed.source);
    store.land(
      withChange(`${label === null ? '' : `${label}: `}${name} ${sign} ${entry}`),
      insertBefore.value,
      undoSays,
    );
  }
  afterLanding();
}
const stick = ref<InstanceType<typeof StoryStickParts>>();
/** By key: as the buttons of the mark in hand do, which say so where the kinds do not add up. */
function postAmount(operator: 'add' | 'subtract'): void {
  stick.value?.post(operator);
}
function keepAs(name: string): void {
  if (amount.value === undefined) return;
  putAway('keep');
  const old = store.marks.find((mark) => mark.name.toLowerCase() === name.toLowerCase());
  landOnMark(name, '=', amount.value.entry, old && `Put ${old.name} back to ${old.reading}`);
  store.takeInHand(name);
}
function keepNew(): void {
  const names = store.marks.map((mark) => mark.name);
  keepAs(freeNames(names, 1)[0] as string);
}
function post(operator: 'add' | 'subtract', entry: string): void {
  const mark = store.inHand;
  const reading = amount.value?.reading;
  if (mark === undefined || reading === undefined) return;
  const isOn = operator === 'add';
  landOnMark(
    mark.name,
    isOn ? '+=' : '-=',
    entry,
    isOn ? `Take ${reading} off ${mark.name} again` : `Put ${reading} back on ${mark.name}`,
  );
  store.takeInHand(mark.name);
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

/** What the scale in hand turns: the entry, or the result at rest. */
const scaled = computed(() => {
  const outcome = (inHand.value ?? resting.value)?.outcome;
  return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
});
const shownScaled = afterPaint(() => (store.scaleInHand ? scaled.value : undefined));
/** Puts the size on the other side on the slate, behind the line that it comes of. */
function landTurned(): void {
  const held = store.scaleInHand;
  if (held?.scale === undefined || scaled.value === undefined || reckoned.value?.issue !== undefined) return;
  const { dimension } = scaled.value;
  const { scale } = held;
  const from = store.scaleSide;
  const turned = (number: number | undefined) =>
    turnedEntry(`#${number}`, dimension, scale, from, store.style) ?? `#${number}`;
  const label = turnedLabel(held, OTHER[from]);
  if (reckoned.value)
    store.landAll(
      [() => withChange(entry.value), ([first]) => `${label}: ${turned(first)}`],
      'Take both lines off again',
    );
  else store.land(`${label}: ${turned(lastRow.value?.line.number)}`);
  afterLanding();
}

function clearEntry(): void {
  clear();
  change.value = {};
}

/** What the hints for the first day can speak of now; what was done by itself needs none. */
const hintsThere = computed(() => {
  const there = new Set<Hint>();
  if (comfort.showKeys && !metric.value) there.add('fraction');
  if (workedRows.value.length > 0) there.add('use').add('anew');
  if (inHand.value?.reading?.steps !== undefined) there.add('finest');
  if (comfort.showStick && amount.value !== undefined) there.add('keep');
  return there;
});

/** Undo is of what is in hand: of the entry while something stands in it, and of the slate otherwise. */
const undoSays = computed(() => {
  if (cleared.value !== undefined) return 'Bring the entry back';
  return inHand.value === undefined ? store.undoSays : 'Take the last change of the entry back';
});
function undo(): void {
  if (cleared.value !== undefined) bringBack();
  else if (inHand.value === undefined || hand.active?.undo() !== true) undoOnSlate();
}
function undoOnSlate(): void {
  const says = store.undoSays;
  store.undo();
  if (says !== undefined) announced.value = `Done: ${says}`;
}

function byKey(event: KeyboardEvent): void {
  // An editor that took a change of its own back has said so.
  if (event.defaultPrevented) return;
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
  else if (event.altKey && !event.ctrlKey) byAltKey(event);
}

/** By the letter where there is one, else by the place of the key: what it writes together with Alt differs. */
function byAltKey(event: KeyboardEvent): void {
  const pressed = /^[a-z]$/i.test(event.key) ? `Key${event.key.toUpperCase()}` : event.code;
  const action = {
    KeyA: repeat,
    KeyK: () => void stick.value?.ask(),
    Equal: () => postAmount('add'),
    NumpadAdd: () => postAmount('add'),
    Minus: () => postAmount('subtract'),
    NumpadSubtract: () => postAmount('subtract'),
  }[pressed];
  if (action === undefined) return;
  event.preventDefault();
  action();
}

async function chooseJob(jobId: string): Promise<void> {
  slate.value?.leave();
  change.value = {};
  await store.open(jobId);
  await slate.value?.showFoot();
}

onMounted(async () => {
  // Coming back from another screen, the job is open still.
  if (store.job === undefined) await store.start();
  await slate.value?.showFoot();
  await nextTick();
  if (!isTouch.value) entryField.value?.focus();
});
</script>

<template>
  <main
    class="bench"
    :class="{
      left: comfort.leftHanded,
      'no-stick': !comfort.showStick,
      editing: redrafted !== undefined,
      busy: slate?.isBusy === true,
    }"
    @keydown="byKey"
  >
    <BenchHead
      class="head"
      :state="store.keepState"
      :undo-says="undoSays"
      @job="chooseJob"
      @undo="undo"
      @comfort="shows = 'comfort'"
    />

    <p class="sr-only" role="status" data-test="announced">{{ announced }}</p>
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
      @read-as="readAs"
      @change="changeReading"
      @widen="widenReading"
      @drop="change = {}"
    >
      <template v-if="store.scaleInHand" #default>
        <ScaleStrip
          class="scale"
          :scale="store.scaleInHand"
          :from="store.scaleSide"
          :quantity="shownScaled"
          :style
          @turn-round="store.setScaleSide(store.scaleSide === 'paper' ? 'site' : 'paper')"
          @away="store.takeScale(undefined)"
          @land="landTurned"
      /></template>
    </ReadingPanel>

    <KeyBoard
      v-if="comfort.showKeys"
      class="keys"
      :finest="style.finest"
      :metric
      :decimal-comma="store.style.decimalComma"
      :has-last="hasLast"
      :can-repeat="again !== undefined && entry === ''"
      @repeat="repeat"
    />

    <StoryStick
      v-if="comfort.showStick"
      ref="stick"
      class="stick"
      :marks="store.marks"
      :style="store.style"
      :used="used.marks"
      :in-hand="store.inHand"
      :amount="shownAmount"
      @use="useMark"
      @hold="store.takeInHand"
      @keep="keepAs"
      @keep-new="keepNew"
      @post="post"
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
    'column keys stick' auto / minmax(0, 10fr) minmax(0, 11fr) 212px;
}
.bench.left {
  grid-template:
    'head head head' auto
    'notices notices notices' auto
    'stick reading column' minmax(0, 1fr)
    'stick keys column' auto / 212px minmax(0, 11fr) minmax(0, 10fr);
}
.head {
  grid-area: head;
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
  .editing .stick,
  .busy .hand,
  .busy .stick,
  .busy .keys {
    display: none;
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
