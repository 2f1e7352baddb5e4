<script setup lang="ts">
/** The main screen: slate, entry, reading, keys and story stick together. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import type { LineWire } from '@sprell/contract';
import { repeatedStep } from '@sprell/core';
import { Apart } from '../../ui/Apart.ts';
import { afterPaint } from '../../ui/after-paint.ts';
import { forDrawing } from '../../ui/drawn.ts';
import PlainButton from '../../ui/PlainButton.vue';
import { useComfort } from '../comfort/comfort.store.ts';
import type { ReadingChange } from '../job/job-reading.ts';
import { useJobStore } from '../job/job.store.ts';
import type { Refusal } from '../job/refusals.ts';
import { nameOf, readBackOf, type WorkedRow } from '../job/slate-row.ts';
import BenchHead from './BenchHead.vue';
import { benchKeys } from './bench-keys.ts';
import BenchLayout from './BenchLayout.vue';
import { useBenchEntry } from './entry/bench-entry.ts';
import { insert, reference } from './entry/edits.ts';
import EntryField from './entry/EntryField.vue';
import { useHand } from './entry/hand.ts';
import FirstHint from './FirstHint.vue';
import { useHintsThere } from './first-hints.ts';
import KeyBoard from './keys/KeyBoard.vue';
import { useMarksAtHand } from './marks-at-hand.ts';
import { withWords } from './reading/reading-change.ts';
import ReadingPanel from './reading/ReadingPanel.vue';
import { useReckoning } from './reckoning.ts';
import { awaitLines, behindLines } from '../../ui/behind-lines.ts';
import { useScaleAtHand } from './scale-at-hand.ts';
import { readLine } from './slate/line-reading.ts';
import type SlatePanelParts from './slate/SlatePanel.vue';
import { useStickLook } from './stick/stick-look.ts';
import type StoryStickParts from './stick/StoryStick.vue';

// The lines come from what this device keeps, behind the page; what shows them comes with them, asked for at once.
const slatePanel = import('./slate/SlatePanel.vue');
const SlatePanel = defineAsyncComponent(() => slatePanel);
// Not on the first screen: they come when they are wanted.
const NumberNotice = defineAsyncComponent(() => import('./NumberNotice.vue'));
const ConflictNotice = defineAsyncComponent(() => import('./ConflictNotice.vue'));
const RefusalNotice = defineAsyncComponent(() => import('./RefusalNotice.vue'));
const MetNotice = defineAsyncComponent(() => import('./MetNotice.vue'));
const RefusalList = defineAsyncComponent(() => import('./RefusalList.vue'));
const ComfortPanel = defineAsyncComponent(() => import('../comfort/ComfortPanel.vue'));
// The stick comes right behind the entry, which can be written in meanwhile.
const StoryStick = defineAsyncComponent(() => behindLines(() => import('./stick/StoryStick.vue')));
const LaidOut = defineAsyncComponent(() => import('./stick/LaidOut.vue'));
const LastPostings = defineAsyncComponent(() => import('./stick/LastPostings.vue'));
const ScaleStrip = defineAsyncComponent(() => import('../scale/ScaleStrip.vue'));
const ShortcutSheet = defineAsyncComponent(() => import('./ShortcutSheet.vue'));

const store = useJobStore();
const linesAreThere = awaitLines();
watch(
  () => store.job !== undefined,
  (isOpen) => {
    if (isOpen) void nextTick(linesAreThere);
  },
  { immediate: true },
);
const hand = useHand();
const { comfort, putAway } = useComfort();
const isTouch = useMediaQuery('(pointer: coarse)');
const ownKeys = computed(() => comfort.showKeys && isTouch.value);

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
  inHand,
  resting,
  whole,
  used,
  again,
} = reckoning;

/** What the entry uses lights up a frame behind its reading. */
const litLate = afterPaint(() => used.value);
const lit = computed(() => forDrawing(litLate.value));

/** The entry is to stand above this line. */
const insertBefore = ref<string>();
const insertsAbove = computed(() => {
  const line = store.rows.find((row) => row.line.id === insertBefore.value)?.line;
  return line && nameOf(line);
});
const slate = ref<InstanceType<typeof SlatePanelParts>>();
const entryField = ref<InstanceType<typeof EntryField>>();
const shows = ref<'comfort' | 'shortcuts'>();

const stick = ref<InstanceType<typeof StoryStickParts>>();
const look = useStickLook();
const laidOut = computed(() => look.laidOut && comfort.showStick);
watch(laidOut, (now) => {
  if (now) slate.value?.leave();
  else void slate.value?.showFoot();
});

/** Another unit as the main one where the job has no say: written into the entry, or in a new one for a line at rest. */
function readAs(words: string): void {
  const text = reckoned.value ? entry.value : `#${lastRow.value?.line.number}`;
  writeEntry(withWords(text, words, store.style));
}
function writeEntry(text: string): void {
  entry.value = text;
  entryField.value?.focus();
}

function land(): void {
  store.land(reckoning.withChange(entry.value), insertBefore.value);
  afterLanding();
}
function landText(text: string): void {
  store.land(text);
  afterLanding();
}
const read = (words: string) => readBackOf(words, store.style);
/** One or two are seen to by themselves, more together. */
const refusedAlone = computed(() => (store.refusals.length > 2 ? [] : store.refusals));
/** What the server did not keep is taken back to the entry field. */
function writeAgain(refused: Refusal, words: string): void {
  entry.value = words;
  void store.dropRefusals([refused]);
}
function keepLine(lineId: string, text: string, begun: LineWire | undefined): void {
  putAway('anew');
  store.edit(lineId, reckoning.withChange(text), begun);
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
  // What did not land stays in the entry.
  if (store.isReader) return;
  announceLanding();
  const stays = insertBefore.value !== undefined;
  begin();
  reckoning.dropChange();
  insertBefore.value = undefined;
  if (!stays) void slate.value?.showFoot();
}

/** The last step again, on its result. */
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

const { amount, shownAmount, refusal, keepAs, keepNew, post, postAs } = useMarksAtHand(reckoning, {
  above: () => insertBefore.value,
  landed: afterLanding,
});
const { shownScaled, landTurned } = useScaleAtHand(reckoning, { landed: afterLanding });

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

function redo(): void {
  store.redo();
  announced.value = 'Done again.';
}

const byKey = benchKeys({
  undo,
  redo,
  shortcuts: () => (shows.value = 'shortcuts'),
  repeat,
  keep: () => void stick.value?.ask(),
  post,
  layOut: () => (look.laidOut = !look.laidOut),
  isEmpty: () => entry.value === '',
});

async function chooseJob(jobId: string): Promise<void> {
  slate.value?.leave();
  reckoning.dropChange();
  // A line of the other job is nothing to insert above.
  insertBefore.value = undefined;
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
  <BenchLayout
    :left-handed="comfort.leftHanded"
    :has-stick="comfort.showStick"
    :laid-out
    :editing="redrafted !== undefined"
    :busy="slate?.isBusy === true"
    @keydown="byKey"
  >
    <BenchHead
      class="head"
      :state="store.keepState"
      :is-reader="store.isReader"
      :undo-says="undoSays"
      :can-redo="store.canRedo"
      @job="chooseJob"
      @undo="undo"
      @redo="redo"
      @comfort="shows = 'comfort'"
    />

    <p class="sr-only" role="status" data-test="announced">{{ announced }}</p>
    <div class="notices">
      <p v-if="store.failure" class="failure" role="alert">
        {{ store.failure }} <PlainButton @click="store.start()">Try again</PlainButton>
      </p>
      <NumberNotice v-if="store.renumbered.length > 0" :renumbered="store.renumbered" @seen="store.renumbered = []" />
      <MetNotice
        v-if="store.met.length > 0"
        :met="store.met"
        :number-of="(id) => store.jobLines.lines().get(id)?.number ?? undefined"
        @seen="store.seeMet"
      />
      <ConflictNotice
        v-for="conflict in store.conflicts"
        :key="conflict.kept.id"
        :conflict
        :read
        @choose="(choice) => store.resolveConflict(conflict, choice)"
      />
      <RefusalNotice
        v-for="refused in refusedAlone"
        :key="refused.kept.id"
        :refusal="refused"
        :read
        :can-write="entry === '' && !store.isReader"
        @again="(words) => writeAgain(refused, words)"
        @drop="store.dropRefusals([refused])"
      />
      <RefusalList
        v-if="refusedAlone.length === 0 && store.refusals.length > 0"
        :refusals="store.refusals"
        :read
        @drop="store.dropRefusals(store.refusals)"
      />
    </div>

    <div class="column">
      <LaidOut
        v-if="laidOut"
        class="slate"
        :marks="store.marks"
        :style="store.style"
        :used="lit.marks"
        :in-hand="store.inHand?.name"
        :order="look.order"
        :gaps="look.gaps"
        @use="useMark"
        @hold="store.takeInHand"
      />
      <Apart>
        <SlatePanel
          v-show="!laidOut"
          ref="slate"
          class="slate"
          :rows="store.rows"
          :style="store.style"
          :draft-style="style"
          :changed="store.changed"
          :used="lit.lines"
          :scope-of="store.scope"
          :marks="store.marks"
          :own-keys="ownKeys"
          :users-of="store.usersOf"
          :can-keep-value="store.canKeepValue"
          :can-redo="store.canRedo"
          @redo="redo"
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
      </Apart>

      <Apart><FirstHint v-if="entry === ''" class="hint" :there="hintsThere" /></Apart>
      <Apart>
        <div class="hand">
          <p v-if="insertBefore" class="inserting">
            This entry goes in above {{ insertsAbove }}.
            <PlainButton @click="insertBefore = undefined">At the foot instead</PlainButton>
          </p>
          <EntryField
            ref="entryField"
            v-model="entry"
            label="Entry"
            :reckoned
            :now="() => reckoned"
            :options
            :marks="store.marks"
            :has-last="hasLast"
            :own-keys="ownKeys"
            @land="land"
            @recall="recall"
            @clear="clearEntry"
          />
        </div>
      </Apart>
    </div>

    <Apart>
      <ReadingPanel
        class="reading"
        :reckoned="inHand"
        :resting
        :line="lastRow && nameOf(lastRow.line)"
        :style
        :change
        :whole
        :now="() => inHand ?? resting"
        @use="writeEntry"
        @read-as="readAs"
        @change="changeReading"
        @widen="reckoning.widen"
        @drop="reckoning.dropChange"
      >
        <template v-if="store.scaleInHand" #default>
          <ScaleStrip
            class="scale"
            :scale="store.scaleInHand"
            :from="store.scaleSide"
            :quantity="shownScaled"
            :can-land="redrafted === undefined"
            :style
            @turn-round="store.setScaleSide(store.scaleSide === 'paper' ? 'site' : 'paper')"
            @away="store.takeScale(undefined)"
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
        :decimal-comma="store.style.decimalComma"
        :has-last="hasLast"
        :can-repeat="again !== undefined && entry === ''"
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
        :marks="store.marks"
        :style="store.style"
        :used="lit.marks"
        :in-hand="store.inHand"
        :amount="shownAmount"
        :can-keep="() => amount !== undefined"
        :refusal
        @use="useMark"
        @hold="store.takeInHand"
        @keep="keepAs"
        @keep-new="keepNew"
        @post="post"
        @post-as="postAs"
        ><LastPostings
      /></StoryStick>
    </Apart>

    <ComfortPanel v-if="shows === 'comfort'" @close="shows = undefined" />
    <ShortcutSheet v-if="shows === 'shortcuts'" @close="shows = undefined" />
  </BenchLayout>
</template>

<style scoped>
.failure {
  margin: 0;
  padding: 8px 24px;
  background: var(--pencil-wash);
}
.inserting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 0 6px;
}
</style>
