<script setup lang="ts">
/** Finest mark, rounding and unit of the reading, changed where it stands: for this reading, for the job, or for good. */
import { computed, ref } from 'vue';
import {
  isMetric,
  parseRational,
  rationalToText,
  type LengthStyle,
  type ReadingStyle,
  type RoundingDirection,
} from '@sprell/core';
import PlainButton from '../../../ui/PlainButton.vue';
import SizeText from '../../../ui/SizeText.vue';
import type { ReadingChange } from '../../../job/index.ts';
import { LENGTH_NAMES, METRIC_STEPS, stepText } from './reading-change.ts';

const props = defineProps<{
  /** How the reading is written now. */
  style: ReadingStyle;
  /** What differs for this reading alone. */
  change: ReadingChange;
  /** The reading is a length: marks and units of length apply. */
  isLength: boolean;
  /** The line that is read, when it stands on the slate already. */
  line: string | undefined;
}>();
const emit = defineEmits<{ change: [change: ReadingChange]; widen: [to: 'line' | 'job' | 'always']; drop: [] }>();

type Choice = 'finest' | 'rounding' | 'length';
const opened = ref<Choice>();

/** What a touch can choose: a value with its face, in what words, and the change it makes. */
interface Option {
  readonly value: string;
  readonly face: string;
  readonly about: string | undefined;
  readonly isTaken: boolean;
  readonly change: ReadingChange;
}

const NAMES: Readonly<Record<Choice, string>> = { finest: 'Finest mark', rounding: 'Rounding', length: 'Unit' };
const FINEST = [2, 4, 8, 16, 32, 64] as const;
const ROUNDINGS: readonly (readonly [RoundingDirection, string])[] = [
  ['nearest', 'to the nearest mark; half way goes to the larger'],
  ['up', 'to the next mark, so that it is never too short'],
  ['down', 'to the mark below, so that it always fits'],
];
/** A fraction in lowest terms, or held at the finest division: one of them puzzles where the other is asked for. */
const HELD: readonly (readonly [ReadingStyle['fractions'], string, string])[] = [
  ['lowest', '3⁄16', 'fractions in lowest terms'],
  ['held', '6⁄32', 'fractions held at the finest division'],
];
const LENGTHS: readonly LengthStyle[] = ['ft-in', 'in', 'ft', 'yd', 'm', 'cm', 'mm'];
const lengthFace = (length: LengthStyle) => length.replace('-', ' ');

const metric = computed(() => isMetric(props.style.length));
const isChanged = computed(() => Object.keys(props.change).length > 0);

const chips = computed(() => {
  const { length, finest, rounding, metricStep } = props.style;
  const step = metric.value ? `${stepText(metricStep)} mm` : `1⁄${finest}″`;
  return [
    { choice: 'finest', face: `to ${step}`, about: step },
    { choice: 'rounding', face: rounding, about: rounding },
    { choice: 'length', face: lengthFace(length), about: LENGTH_NAMES[length] },
  ] as const;
});

const options = computed<readonly Option[]>(() => {
  switch (opened.value) {
    case 'finest':
      return metric.value ? metricSteps() : divisions();
    case 'rounding':
      return ROUNDINGS.map(([rounding, about]) => ({
        value: rounding,
        face: rounding,
        about,
        isTaken: rounding === props.style.rounding,
        change: { rounding },
      }));
    case 'length':
      return LENGTHS.map((length) => ({
        value: length,
        face: lengthFace(length),
        about: LENGTH_NAMES[length],
        isTaken: length === props.style.length,
        change: { length },
      }));
    default:
      return [];
  }
});

function metricSteps(): readonly Option[] {
  return METRIC_STEPS.map((metricStep) => ({
    value: metricStep,
    face: stepText(parseRational(metricStep) ?? props.style.metricStep),
    about: undefined,
    isTaken: metricStep === rationalToText(props.style.metricStep),
    change: { metricStep },
  }));
}
function divisions(): readonly Option[] {
  return [
    ...FINEST.map((finest) => ({
      value: String(finest),
      face: `1⁄${finest}`,
      about: undefined,
      isTaken: finest === props.style.finest,
      change: { finest },
    })),
    ...HELD.map(([fractions, face, about]) => ({
      value: fractions,
      face,
      about,
      isTaken: fractions === props.style.fractions,
      change: { fractions },
    })),
  ];
}

function toggle(choice: Choice): void {
  opened.value = opened.value === choice ? undefined : choice;
}
function choose(change: ReadingChange): void {
  emit('change', change);
  opened.value = undefined;
}
</script>

<template>
  <div class="choices">
    <div class="row" @pointerdown.prevent>
      <slot />
      <template v-if="isLength">
        <button
          v-for="chip in chips"
          :key="chip.choice"
          type="button"
          class="chip"
          :aria-expanded="opened === chip.choice"
          :aria-label="`${NAMES[chip.choice]}: ${chip.about}`"
          :data-test="chip.choice"
          @click="toggle(chip.choice)"
        >
          <SizeText :text="chip.face" />
        </button>
      </template>
      <slot name="behind" />
    </div>
    <div v-if="opened" class="row options" role="group" :aria-label="NAMES[opened]" @pointerdown.prevent>
      <button
        v-for="option in options"
        :key="option.value"
        type="button"
        class="option"
        :aria-pressed="option.isTaken"
        :aria-label="option.about"
        :title="option.about"
        :data-option="option.value"
        @click="choose(option.change)"
      >
        <SizeText :text="option.face" />
      </button>
    </div>
    <p v-if="isChanged" class="scope" data-test="reading-scope">
      <span>{{ line ? 'Just for now.' : 'For this reading only.' }}</span>
      <PlainButton v-if="line" data-test="for-the-line" @click="emit('widen', 'line')">For {{ line }}</PlainButton>
      <PlainButton data-test="for-the-job" @click="emit('widen', 'job')">For the job</PlainButton>
      <PlainButton data-test="for-good" @click="emit('widen', 'always')">Always</PlainButton>
      <PlainButton @click="emit('drop')">Undo this</PlainButton>
    </p>
  </div>
</template>

<style scoped>
.choices {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.chip,
.option {
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: none;
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 500;
  cursor: pointer;
}
.chip[aria-expanded='true'] {
  border-color: var(--chalk);
  background: var(--chalk-wash);
}
.option {
  background: var(--board);
  min-width: calc(var(--touch) + 8px);
  font-size: 24px;
}
.option[aria-pressed='true'] {
  background: var(--chalk);
  color: var(--on-chalk);
  border-color: var(--chalk);
}
.scope {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  margin: 0;
}
@container (max-width: 500px) {
  .row {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .chip,
  .option {
    flex: none;
    padding: 0 10px;
  }
  .row > :deep(span) {
    flex: none;
  }
}
/* What is opened lies over the slate: the keys beneath stay where a thumb is going. */
@media (max-width: 760px) {
  .choices {
    position: relative;
  }
  .options,
  .scope {
    position: absolute;
    z-index: 4;
    top: 100%;
    left: -4px;
    right: -4px;
    padding: 6px;
    border: 1px solid var(--ink);
    border-radius: 3px;
    background: var(--ground);
  }
}
/* Anything but a phone has room beneath. */
@media (min-width: 761px) {
  .row {
    flex-wrap: wrap;
    overflow: visible;
  }
}
</style>
