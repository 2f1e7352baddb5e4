<script setup lang="ts">
/** The main screen: slate, entry, reading, keys and story stick together. */
import {
  computed,
  defineAsyncComponent,
  inject,
  nextTick,
  onMounted,
  ref,
  shallowRef,
  watch,
  type Component,
} from 'vue';
import { useEventListener, useMediaQuery } from '@vueuse/core';
import { useRouter } from 'vue-router';
import type { LineWire } from '@sprell/contract';
import { Apart } from '../../ui/Apart.ts';
import { afterPaint } from '../../ui/after-paint.ts';
import { forDrawing } from '../../ui/drawn.ts';
import PlainButton from '../../ui/PlainButton.vue';
import { useComfort } from '../../live/comfort.store.ts';
import { nameOf, type ReadingChange, type SlateRow, type WorkedRow } from '../../job/index.ts';
import { useSpokenPanel } from '../../live/spoken.store.ts';
import { useAloud } from '../../live/aloud.ts';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { saveSlateCsv } from './slate/save-slate-csv.ts';
import { printedJobSheet } from '../paper/index.ts';
import { scaleStrip } from '../scale/index.ts';
import AppHead from '../../parts/head/AppHead.vue';
import { BENCH_HEAD } from '../../parts/head/bench-head.ts';
import { benchKeys } from './bench-keys.ts';
import BenchLayout from './BenchLayout.vue';
import BenchNotices from './BenchNotices.vue';
import { useBenchEntry } from './bench-entry.ts';
import { insert, reference } from '../../parts/entry/edits.ts';
import EntryField from '../../parts/entry/EntryField.vue';
import { useHand } from '../../parts/entry/hand.ts';
import FirstHint from './FirstHint.vue';
import { useHintsThere } from './first-hints.ts';
import KeyBoard from '../../parts/keys/KeyBoard.vue';
import { useLanding } from './landing.ts';
import { useMarksAtHand } from './marks-at-hand.ts';
import { withWords } from './reading/reading-change.ts';
import ReadingPanel from './reading/ReadingPanel.vue';
import { useReckoning } from './reckoning.ts';
import { awaitLines, behindLines } from '../../ui/behind-lines.ts';
import { beginJig } from '../../live/jig-draft.ts';
import { useScaleAtHand } from './scale-at-hand.ts';
import SlateToolsButton from './SlateToolsButton.vue';
import { useSteps } from './steps.ts';
import type SlatePanelParts from './slate/SlatePanel.vue';
import { useStickLook } from './stick/stick-look.ts';
import type StoryStickParts from './stick/StoryStick.vue';

// The lines come from what this device keeps, behind the page; what shows them comes with them, asked for at once.
const slatePanel = import('./slate/SlatePanel.vue');
const SlatePanel = defineAsyncComponent(() => slatePanel);
// The stick comes right behind the entry, which can be written in meanwhile.
const StoryStick = defineAsyncComponent(() => behindLines(() => import('./stick/StoryStick.vue')));
const LaidOut = defineAsyncComponent(() => import('./stick/LaidOut.vue'));
const LastPostings = defineAsyncComponent(() => import('./stick/LastPostings.vue'));
const ScaleStrip = defineAsyncComponent(scaleStrip);
const PastedLines = defineAsyncComponent(() => import('./PastedLines.vue'));
/** It is there before the browser's own print command asks for it, which waits for nothing. */
const PrintedSheet = shallowRef<Component>();
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'));

/** In the first steps the head shows the step, and hints would compete with it. */
const otherHead = inject(BENCH_HEAD, undefined);
const head = otherHead ?? AppHead;
const jobs = useJobs();
const job = useJob();
// The same functions at every drawing: what they are given to is then not drawn again with the entry.
const scopeOf = (lineId: string) => job.slate.scope(lineId);
const usersOf = (lineId: string) => job.lines.usersOf(lineId);
const canKeepValue = (lineId: string) => job.lines.canKeepValue(lineId);
const jigOf = (source: string) => job.jigs.usedBy(source);
const labels = () => job.slate.rows.flatMap(({ line }) => line.label ?? []);
const hold = (mark: string) => {
  job.marks.takeInHand(mark);
};
const linesAreThere = awaitLines();
watch(
  () => job.head !== undefined,
  (isOpen) => {
    if (isOpen) void nextTick(linesAreThere);
  },
  { immediate: true },
);
/** Lines as a jig, which is finished in the room of the jigs. */
const router = useRouter();
async function makeJig(rows: readonly SlateRow[]): Promise<void> {
  const { jigOfLines } = await import('./slate/jig-of-lines.ts');
  beginJig(jigOfLines(rows, job.slate.graph, job.style));
  await router.push('/jigs');
}
const hand = useHand();
const { comfort, putAway } = useComfort();
const isTouch = useMediaQuery('(pointer: coarse)');
const ownKeys = useOwnKeys();

const { entry, cleared, recall, begin, clear, bringBack } = useBenchEntry(() =>
  workedRows.value.map((row) => row.entry),
);
const reckoning = useReckoning(entry);
const {
  change,
  style,
  metric,
  workedRows,
  lastRow,
  hasLast,
  reckoned,
  options,
  redrafted,
  shownInHand,
  shownResting,
  part,
  whole,
  used,
  again,
} = reckoning;

// What follows every key is given as functions and as the ref itself: a letter then redraws its line and its reading, and
// what lies around them is not compared.
const writing = { text: entry };
const entryNow = () => reckoned.value;
const inHandNow = () => shownInHand.value;
const restingNow = () => shownResting.value;
const wholeNow = () => whole.value;
const partNow = () => part.value;
const isEmpty = computed(() => entry.value === '');
const isFree = () => isEmpty.value;
const canRepeat = computed(() => isEmpty.value && again.value !== undefined);

/** What the entry uses lights up a frame behind its reading. */
const litLate = afterPaint(() => used.value);
const lit = computed(() => forDrawing(litLate.value));

const slate = ref<InstanceType<typeof SlatePanelParts>>();
const entryField = ref<InstanceType<typeof EntryField>>();
const shows = ref<'shortcuts'>();

const stick = ref<InstanceType<typeof StoryStickParts>>();
const look = useStickLook();
const laidOut = computed(() => look.laidOut && comfort.showStick);
watch(laidOut, (now) => {
  if (now) slate.value?.leave();
  else void slate.value?.showFoot();
});

/** Another unit as the main one where the job has no say: written into the entry, or in a new one for a line at rest. */
function readAs(words: string): void {
  const isOfLine = reckoned.value === undefined;
  const text = isOfLine ? `#${lastRow.value?.line.number}` : reckoning.written();
  writeEntry(withWords(text, words, job.style));
  // Only looked at so, and what is typed next is an entry of its own: behind "to yd3" the next figure would be its power.
  if (isOfLine) void nextTick(() => hand.apply(({ text }) => ({ text, from: 0, to: text.length })));
}
function writeEntry(text: string): void {
  entry.value = text;
  entryField.value?.focus();
}

function keepLine(lineId: string, text: string, begun: LineWire | undefined): void {
  putAway('edit');
  job.lines.edit(lineId, reckoning.withChange(text), begun);
}

const spoken = useSpokenPanel();
watch(
  () => spoken.landed,
  () => void slate.value?.showFoot(),
);
/** What is said to somebody who does not see the slate. */
const { said: announced, say: announce } = useAloud(() => job.style);
const { insertBefore, insertsAbove, land, landText, repeat, landed } = useLanding(reckoning, {
  announce,
  begin,
  atFoot: () => void slate.value?.showFoot(),
});
const { undoSays, undo, redo } = useSteps(reckoning, { cleared, bringBack, announce });

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

const { amount, shownAmount, refusal, keepAs, keepNew, post, postAs } = useMarksAtHand(reckoning, {
  above: () => insertBefore.value,
  landed,
});
const { shownScaled, landTurned } = useScaleAtHand(reckoning, { landed });

/** Several lines that were pasted, until it is said what becomes of them. */
const pasted = ref<string>();
/** The name of the file that they came in. */
const pastedFile = ref<string>();
function openLines(text: string, file: string): void {
  [pasted.value, pastedFile.value] = [text, file];
}
function pastedLanded(count: number): void {
  pasted.value = undefined;
  announce(`${count} lines are on the slate.`);
  void slate.value?.showFoot();
  goOnInEntry();
}
function joinPasted(text: string): void {
  pasted.value = undefined;
  hand.apply((written) => insert(written, text));
  goOnInEntry();
}

/** For the entry in hand the change waits until it lands; a line on the slate is written with it. */
function changeReading(wanted: ReadingChange): void {
  putAway('finest');
  change.value = { ...change.value, ...wanted };
}

function clearEntry(): void {
  clear();
  reckoning.dropChange();
}

const hintsThere = useHintsThere(reckoning, amount);

const byKey = benchKeys({
  undo,
  redo,
  shortcuts: () => (shows.value = 'shortcuts'),
  repeat,
  keep: () => void stick.value?.ask(),
  post,
  layOut: () => (look.laidOut = !look.laidOut),
  closeLast: () => slate.value?.closeLast() === true || stick.value?.close() === true,
  toEntry: () => entryField.value?.focus(),
  isEmpty: () => entry.value === '',
});
// Also where nothing has the focus: what is typed is for the entry.
useEventListener(window, 'keydown', byKey);

function keepAndGoOn(name: string): void {
  keepAs(name);
  goOnInEntry();
}
function insertAbove(lineId: string): void {
  insertBefore.value = lineId;
  goOnInEntry();
}

/** Typing goes on in the entry. A finger has the keys, and needs no cursor. */
function goOnInEntry(): void {
  if (!isTouch.value) void nextTick(() => entryField.value?.focus());
}

watch(
  () => job.head?.id,
  () => {
    slate.value?.leave();
    reckoning.dropChange();
    // A line of the other job is nothing to insert above.
    insertBefore.value = undefined;
    void slate.value?.showFoot();
  },
);

onMounted(async () => {
  // Coming back from another screen, the job is open still.
  if (job.head === undefined) await jobs.start();
  await slate.value?.showFoot();
  await nextTick();
  if (!isTouch.value) entryField.value?.focus();
  PrintedSheet.value = (await behindLines(printedJobSheet)).default;
});
</script>

<template>
  <BenchLayout
    :left-handed="comfort.leftHanded"
    :has-stick="comfort.showStick"
    :laid-out
    :editing="redrafted !== undefined"
    :busy="slate?.isBusy === true"
  >
    <component :is="head" class="head" title="Bench" own-steps :undo-says="undoSays" @undo="undo" @redo="redo">
      <SlateToolsButton :shown="slate?.showsTools === true" @toggle="slate?.toggleTools()" />
    </component>

    <p class="sr-only" role="status" data-test="announced">{{ announced }}</p>
    <BenchNotices class="notices" :is-free @write="(words) => (entry = words)" />

    <div class="column">
      <LaidOut
        v-if="laidOut"
        class="slate"
        :marks="job.marks.list"
        :style="job.style"
        :used="lit.marks"
        :in-hand="job.marks.inHand?.name"
        :order="look.order"
        :gaps="look.gaps"
        @use="useMark"
        @hold="hold"
      />
      <Apart>
        <SlatePanel
          v-show="!laidOut"
          ref="slate"
          class="slate"
          :rows="job.slate.rows"
          :style="job.style"
          :draft-style="style"
          :bare="job.reading.bare"
          :changed="job.slate.changed"
          :used="lit.lines"
          :scope-of="scopeOf"
          :marks="job.marks.list"
          :own-keys="ownKeys"
          :users-of="usersOf"
          :can-keep-value="canKeepValue"
          :jig-of="jigOf"
          :can-redo="job.steps.canRedo"
          @look-at-jig="(id) => router.push(`/jigs/${id}`)"
          @redo="redo"
          @keep="keepLine"
          @draft="(now) => (redrafted = now)"
          @keep-words="(...words) => job.lines.editWords(...words)"
          @note="(...note) => job.lines.setNote(...note)"
          @use="useLine"
          @insert="insertAbove"
          @move="(id, to) => job.lines.move(id, to)"
          @remove="(id) => job.lines.remove(id)"
          @remove-keeping-value="(id) => job.lines.removeKeepingValue(id)"
          @rest="goOnInEntry"
          @clear="job.lines.clear()"
          @gather="(...going) => job.lines.gather(...going)"
          @jig="makeJig"
          @remove-chosen="(ids) => job.lines.clear(ids)"
          @print="router.push('/paper')"
          @open-lines="openLines"
          @csv="(rows) => saveSlateCsv(rows, job.style, job.head?.title ?? '')"
          @land="landText"
          @land-words="(...words) => job.lines.landWords(...words)"
        />
      </Apart>

      <Apart><FirstHint v-if="isEmpty && !otherHead" class="hint" :there="hintsThere" /></Apart>
      <Apart>
        <div class="hand">
          <p v-if="insertBefore" class="inserting">
            This entry goes in above {{ insertsAbove }}.
            <PlainButton @click="insertBefore = undefined">At the foot instead</PlainButton>
          </p>
          <EntryField
            ref="entryField"
            :text="writing.text"
            label="Entry"
            :now="entryNow"
            :options
            :marks="job.marks.list"
            :labels
            :has-last="hasLast"
            :own-keys="ownKeys"
            @land="land"
            @recall="recall"
            @clear="clearEntry"
            @paste-lines="(text: string) => ([pasted, pastedFile] = [text, undefined])"
            @cancel="slate?.closeLast() === true || stick?.close()"
          />
        </div>
      </Apart>
    </div>

    <Apart>
      <ReadingPanel
        class="reading"
        :in-hand="inHandNow"
        :resting="restingNow"
        :line="lastRow && nameOf(lastRow.line)"
        :style
        :change
        :whole="wholeNow"
        :part="partNow"
        @use="writeEntry"
        @read-as="readAs"
        @change="changeReading"
        @widen="reckoning.widen"
        @drop="reckoning.dropChange"
      >
        <template v-if="job.scales.inHand" #default>
          <ScaleStrip
            class="scale"
            :scale="job.scales.inHand"
            :from="job.scales.side"
            :quantity="shownScaled"
            :can-land="redrafted === undefined"
            :style
            @turn-round="job.scales.setSide(job.scales.side === 'paper' ? 'site' : 'paper')"
            @away="job.scales.takeInHand(undefined)"
            @land="landTurned"
        /></template>
      </ReadingPanel>
    </Apart>

    <Apart>
      <KeyBoard
        v-if="comfort.showKeys"
        class="keys"
        :finest="style.finest"
        :metric
        :decimal-comma="job.style.decimalComma"
        :has-last="hasLast"
        :can-repeat="canRepeat"
        @repeat="repeat"
      />
    </Apart>

    <Apart>
      <StoryStick
        v-if="comfort.showStick"
        ref="stick"
        v-model:order="look.order"
        v-model:gaps="look.gaps"
        v-model:laid-out="look.laidOut"
        class="stick"
        :marks="job.marks.list"
        :style="job.style"
        :used="lit.marks"
        :in-hand="job.marks.inHand"
        :amount="shownAmount"
        :can-keep="() => amount !== undefined"
        :refusal
        @use="useMark"
        @hold="hold"
        @keep="keepAndGoOn"
        @rest="goOnInEntry"
        @keep-new="keepNew"
        @post="post"
        @post-as="postAs"
        ><LastPostings
      /></StoryStick>
    </Apart>

    <PastedLines
      v-if="pasted !== undefined"
      :text="pasted"
      :file="pastedFile"
      @landed="pastedLanded"
      @join="joinPasted"
      @leave="pasted = undefined"
    />
    <component :is="PrintedSheet" v-if="PrintedSheet" />
    <ShortcutSheet v-if="shows === 'shortcuts'" @close="shows = undefined" />
  </BenchLayout>
</template>

<style scoped>
.inserting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 0 6px;
}
/* Over what stands above the entry: no key moves. */
@media (max-width: 760px) {
  .inserting {
    position: absolute;
    z-index: 5;
    inset: auto 8px calc(100% + 52px);
    margin: 0;
    padding: 6px 10px;
    border: 1px solid var(--ink);
    border-radius: 3px;
    background: var(--chalk-wash);
  }
}
</style>
