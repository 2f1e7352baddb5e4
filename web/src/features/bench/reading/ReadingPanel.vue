<script setup lang="ts">
/** The reading of the entry in hand, as large as fits, with what the rounding cost and the other ways it reads. */
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useClipboard, watchDebounced } from '@vueuse/core';
import { Copy } from 'lucide-vue-next';
import {
  answerDifference,
  describeIssue,
  exactText,
  isMetric,
  kindOf,
  labelColon,
  lengthsBeyondVolume,
  readQuantity,
  type LengthStyle,
  type Quantity,
  type Reckoned,
  type ReadingStyle,
  type WholeTimes,
} from '@sprell/core';
import PlainButton from '../../../ui/PlainButton.vue';
import SizeText from '../../../ui/SizeText.vue';
import { afterPaint } from '../../../ui/after-paint.ts';
import { drawn, forDrawing } from '../../../ui/drawn.ts';
import { useComfort } from '../../../live/comfort.store.ts';
import type { ReadingChange } from '../../../job/index.ts';
import { callNow } from '../../../parts/entry/call-now.ts';
import ReadingFigures from './ReadingFigures.vue';
import ReadingChoices from './ReadingChoices.vue';
import { useAloud } from '../../../live/aloud.ts';
import { roundingWord, roundingWords } from '../../../parts/reading/rounding-words.ts';
import TapePicture from './TapePicture.vue';

/** It says what is known of functions, which the first screen does without. */
const CallHelp = defineAsyncComponent(() => import('./CallHelp.vue'));
/** It stands furthest down and is not waited for, but asked for at once: it is there when there is something to read. */
const alsoReads = import('./AlsoReads.vue');
const AlsoReads = defineAsyncComponent(() => alsoReads);

const props = defineProps<{
  /** The entry worked out; undefined while nothing is typed. What a key changes comes as functions (decision 15). */
  inHand: () => Reckoned | undefined;
  style: ReadingStyle;
  /** What differs for this reading alone; part of `style` already. */
  change: ReadingChange;
  /** What the panel shows while nothing is typed: the last line's reading. */
  resting: () => Reckoned | undefined;
  /** What that line is called. */
  line: string | undefined;
  /** A quotient of two sizes as whole times and what is left over. */
  whole: () => WholeTimes | undefined;
  /** Of an entry in error, what it comes to as far as it is understood. */
  part?: () => Reckoned | undefined;
}>();
const emit = defineEmits<{
  /** Put this in the entry. */
  use: [entry: string];
  change: [change: ReadingChange];
  widen: [to: 'line' | 'job' | 'always'];
  drop: [];
  /** Read it another way: words for the end of the entry. */
  readAs: [words: string];
}>();

const { comfort } = useComfort();
const shown = computed(() => props.inHand() ?? props.resting());
const isResting = computed(() => props.inHand() === undefined);
const quantity = computed(() => (shown.value?.outcome?.kind === 'quantity' ? shown.value.outcome.quantity : undefined));
const kind = computed(() => quantity.value && kindOf(quantity.value.dimension));
/** The label stands on the slate; here it would only push the figures aside. */
const readBack = computed(() => {
  const text = shown.value?.readBack ?? '';
  return text.slice((labelColon(text) ?? -1) + 1).trim();
});
const answer = computed(() =>
  shown.value?.outcome?.kind === 'answer' ? (shown.value.outcome.yes ? 'yes' : 'no') : undefined,
);
const reading = computed(() => shown.value?.reading);
const text = computed(() => reading.value?.text ?? answer.value);
/** Marked as such: nothing is done with it. */
const part = computed(() => (isResting.value || text.value !== undefined ? undefined : props.part?.()));
const cost = computed(() =>
  quantity.value && reading.value
    ? (roundingWords(quantity.value, reading.value, isMetric(props.style.length)) ?? 'exact')
    : '',
);
const problem = computed(() =>
  text.value === undefined && shown.value?.issue ? describeIssue(shown.value.issue) : undefined,
);

/** Longest exact form that is a help rather than a riddle. */
const SHORT_FORM = 18;
const exactForm = computed(() => quantity.value && exactText(quantity.value, props.style));
/** The root or multiple of π that the reading stands for, and a fraction finer than the tape shows. */
const exact = computed(() =>
  reading.value?.rounding !== 'exact' && exactForm.value && exactForm.value.text.length <= SHORT_FORM
    ? exactForm.value.text
    : undefined,
);
const whole = computed(() => props.whole());
const leftOver = computed(() => whole.value && readQuantity(whole.value.left, props.style));

/** Figures whose unit is still to come, as most entries begin. */
const isBareNumber = computed(() => kind.value === 'number' && !isResting.value);

/** What stands around the reading follows it by a frame, so that the reading itself waits for nothing. */
const lateAround = afterPaint(
  () =>
    quantity.value && reading.value && text.value !== undefined
      ? {
          quantity: quantity.value,
          reading: reading.value,
          text: text.value,
          style: props.style,
          isLength: kind.value === 'length',
          isBareNumber: isBareNumber.value,
          cost: cost.value,
          exactForm: reading.value.rounding === 'exact' ? undefined : exactForm.value,
          exact: exact.value,
        }
      : undefined,
  { firstAtOnce: true },
);
const around = computed(() => forDrawing(lateAround.value));
type Around = NonNullable<typeof around.value>;
/** While an entry is unfinished it stands out of sight in its room: nothing moves, and nothing has to be made again. */
const late = computed<Around | undefined>((before) => around.value ?? (shown.value === undefined ? undefined : before));
/** What has a tape and other units; a bare number has neither, and what was there waits out of sight for its unit. */
const measured = computed<Around | undefined>((before) => (late.value?.isBareNumber === true ? before : late.value));
const lateBeside = afterPaint(() => ({
  readBack: part.value ? `so far: ${part.value.readBack ?? ''}` : readBack.value,
  problem: isResting.value ? problem.value : undefined,
  tooMany: quantity.value && lengthsBeyondVolume(quantity.value.dimension),
  whole: whole.value,
  leftOver: leftOver.value,
  difference: shown.value?.outcome && answerDifference(shown.value.outcome, props.style)?.text,
}));
const beside = computed(() => forDrawing(lateBeside.value));

/** What is read aloud: once typing rests, and not at every key. */
const { said: spoken, say: speak } = useAloud(() => props.style);
const RESTS = 700;
watchDebounced(text, () => speak([text.value ?? '', roundingNow()].join(' ').trim()), { debounce: RESTS });
/** Full or shy, where it is not the true size. */
function roundingNow(): string {
  const now = shown.value;
  const kind = now?.outcome?.kind === 'quantity' ? kindOf(now.outcome.quantity.dimension) : undefined;
  const word = kind && now?.reading && roundingWord(kind, now.reading);
  return word === undefined ? '' : `, ${word}`;
}

const clipboard = useClipboard({ legacy: true });
const copied = ref<'shown' | 'exact'>();
watch(text, () => (copied.value = undefined));
async function copy(what: 'shown' | 'exact'): Promise<void> {
  const now = shown.value;
  if (now?.outcome?.kind !== 'quantity') return;
  const plain = what === 'exact' ? exactText(now.outcome.quantity, props.style)?.plain : now.reading?.plain;
  if (plain === undefined) return;
  await clipboard.copy(plain);
  copied.value = what;
  speak(
    `Copied ${what === 'exact' ? (exactText(now.outcome.quantity, props.style)?.text ?? plain) : (text.value ?? plain)}`,
  );
}
function quantityNow(): Quantity | undefined {
  const outcome = shown.value?.outcome;
  return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
}
// Classes follow what is, not every key.
const isSilent = computed(() => text.value === undefined);
const isUnread = computed(() => around.value === undefined);
const textNow = () => text.value ?? part.value?.reading?.text;
const isPart = () => part.value !== undefined;
const hasProblem = () => problem.value !== undefined;
const lead = (length: LengthStyle) => emit('change', { length });
</script>

<template>
  <section
    class="reading"
    :class="{
      crowded: $slots['default'] !== undefined,
      silent: isSilent,
      unread: isUnread,
      bare: isBareNumber,
      unmeasured: late?.isBareNumber,
    }"
    aria-label="Reading"
  >
    <div class="top">
      <p class="read-back" data-test="read-back">
        <CallHelp v-if="callNow" :call="callNow" /><SizeText v-else :text="beside.readBack" />
      </p>
      <button v-if="late" type="button" class="copy" data-test="copy" @pointerdown.prevent @click="copy('shown')">
        <Copy :size="18" aria-hidden="true" /><span class="copy-word">{{
          copied === 'shown' ? 'copied' : 'copy'
        }}</span>
      </button>
    </div>
    <ReadingFigures
      :text="textNow"
      :is-problem="hasProblem"
      :is-part="isPart"
      :nothing="isMetric(style.length) ? '0 mm' : '0″'"
    />
    <span class="sr-only" role="status" data-test="spoken">{{ spoken }}</span>
    <ReadingChoices
      v-if="late"
      class="choices"
      :style="late.style"
      :change
      :is-length="measured?.isLength === true"
      :line="isResting ? line : undefined"
      @change="(change) => emit('change', change)"
      @widen="(to) => emit('widen', to)"
      @drop="emit('drop')"
    >
      <span class="cost" data-test="cost">{{ late.cost }}</span>
      <template #behind>
        <button
          v-if="late.exactForm"
          type="button"
          class="copy late"
          title="Copy it exactly"
          data-test="copy-exact"
          @pointerdown.prevent
          @click="copy('exact')"
        >
          <template v-if="copied === 'exact'">copied</template>
          <template v-else-if="late.exact"
            ><span class="sr-only">copy exactly</span>= <SizeText class="exact" :text="late.exact" data-test="exact"
          /></template>
          <template v-else>copy exact</template>
        </button>
      </template>
    </ReadingChoices>
    <slot />
    <p v-if="beside.problem" class="problem">{{ beside.problem }}</p>
    <p v-if="beside.tooMany" class="whole" data-test="too-many">
      {{ beside.tooMany }} sizes are multiplied: a volume has three. One of them may be a count.
    </p>
    <p v-if="beside.difference" class="whole" data-test="difference">
      <span>They differ by <SizeText :text="beside.difference" /></span>
    </p>
    <p v-if="beside.whole && beside.leftOver" class="whole" data-test="whole">
      <span
        >{{ beside.whole.times }} {{ beside.whole.isSpacing ? 'spacings' : 'times' }},
        <SizeText :text="beside.leftOver.text" /> left over</span
      >
      <PlainButton v-if="beside.leftOver.steps" @click="whole && emit('use', whole.leftEntry)"
        >Use what is left</PlainButton
      >
    </p>
    <TapePicture
      v-if="measured && measured.isLength && comfort.showTape"
      class="tape"
      :quantity="measured.quantity"
      :reading="measured.reading"
      :style="measured.style"
    />
    <AlsoReads
      v-if="measured && comfort.showAlsoReads"
      class="also"
      :quantity="drawn(measured.quantity)"
      :now="quantityNow"
      :main="measured.text"
      :style="measured.style"
      @lead="lead"
      @read-as="(words) => emit('readAs', words)"
    />
  </section>
</template>

<style scoped>
.reading {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 4px 20px 10px;
  min-width: 0;
  container-type: inline-size;
  --largest: 104px;
}
/* What else is shown here takes its room from the figures and the tape. */
.reading.crowded {
  --largest: 72px;
}
.crowded .tape {
  display: none;
}
.reading > * {
  flex: none;
}
/* There is nothing to scroll to. */
.reading.unread {
  overflow: hidden;
}
/* What can be touched is there with the reading itself: a touch acts on what is in hand. What only says something waits. */
.silent :is(.copy, .choices),
.unread :is(.cost, .late, .tape, .also),
.unmeasured :is(.tape, .also),
.bare :deep(.chip) {
  visibility: hidden;
}
.read-back {
  flex: 1;
  min-width: 0;
  margin: 0;
  padding: 10px 0 0;
  font-size: calc(17px * var(--text-size));
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
/* As large as fits: a sign of these figures is at most 0.4 of their height wide, on the mean. */
.figures {
  font-size: clamp(26px, calc(100cqw / (var(--signs) * 0.4)), var(--largest));
  font-family: var(--figures);
  font-weight: 600;
  line-height: 1.05;
  min-height: 1.05em;
  overflow-wrap: anywhere;
}
.top {
  display: flex;
  align-items: flex-start;
  gap: 4px;
}
.cost {
  font-size: calc(17px * var(--text-size));
  color: var(--ink-soft);
}
.exact {
  color: var(--ink);
  white-space: nowrap;
}
.copy {
  flex: none;
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: var(--touch);
  padding: 0 8px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.copy:hover {
  color: var(--chalk);
}
.cost {
  margin-right: auto;
}
.whole {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin: 0;
  font-size: 18px;
}
.problem {
  margin: 0;
  color: var(--pencil);
}
.choices {
  margin-top: 6px;
}
/* Beside every mark laid out it stands in a row of its own, which is to be a low one. */
@media (min-width: 1024px) {
  @container (max-width: 500px) {
    .choices .copy {
      min-height: 28px;
    }
  }
}
.also {
  margin-top: 8px;
}
@media (max-width: 760px) {
  .reading {
    padding: 4px 12px 0;
    gap: 0;
    --largest: 52px;
  }
  .reading.crowded {
    --largest: 44px;
  }
  .read-back {
    font-size: 15px;
    white-space: nowrap;
    overflow-x: auto;
  }
  .copy-word {
    position: absolute;
    clip-path: inset(50%);
  }
  .figures {
    min-height: 1em;
    line-height: 1;
    margin-top: -8px;
  }
  .tape {
    max-height: 34px;
  }
  .also {
    margin-top: 2px;
  }
  .choices {
    margin-top: 0;
  }
  .choices,
  .also {
    margin-top: 0;
  }
}
@media (max-width: 760px) and (max-height: 740px) {
  .reading {
    --largest: 44px;
  }
  .tape {
    display: none;
  }
}
/* The smallest phones, and those that lie on their side. */
@media (max-width: 760px) and (max-height: 600px), (max-width: 1023px) and (max-height: 480px) {
  .reading {
    --largest: 34px;
    gap: 0;
  }
  .read-back {
    padding-top: 2px;
  }
  .figures {
    margin-top: -10px;
  }
}
/* Large keys take the room of the tape where there is not enough for both. */
@media (max-width: 760px) and (max-height: 900px) {
  :global(html[data-gloves='true'] .reading .tape) {
    display: none;
  }
}
</style>
