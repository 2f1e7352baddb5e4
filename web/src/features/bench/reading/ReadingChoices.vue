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
import type { ReadingChange } from '../../job/job-reading.ts';
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

const FINEST = [2, 4, 8, 16, 32, 64] as const;
const ROUNDINGS: readonly (readonly [RoundingDirection, string, string])[] = [
  ['nearest', 'nearest', 'to the nearest mark; half way goes to the larger'],
  ['up', 'up', 'to the next mark, so that it is never too short'],
  ['down', 'down', 'to the mark below, so that it always fits'],
];
/** A fraction in lowest terms, or held at the finest division: one of them puzzles where the other is asked for. */
const HELD: readonly (readonly [ReadingStyle['fractions'], string, string])[] = [
  ['lowest', '3⁄16', 'fractions in lowest terms'],
  ['held', '6⁄32', 'fractions held at the finest division'],
];
const LENGTHS: readonly (readonly [LengthStyle, string])[] = [
  ['ft-in', 'ft in'],
  ['in', 'in'],
  ['ft', 'ft'],
  ['yd', 'yd'],
  ['m', 'm'],
  ['cm', 'cm'],
  ['mm', 'mm'],
];

const metric = computed(() => isMetric(props.style.length));
const metricSteps = METRIC_STEPS.map((step) => ({
  step,
  face: stepText(parseRational(step) ?? props.style.metricStep),
}));
const isChanged = computed(() => Object.keys(props.change).length > 0);
const lengthFace = computed(() => LENGTHS.find(([length]) => length === props.style.length)?.[1] ?? '');
const roundingFace = computed(() => ROUNDINGS.find(([rounding]) => rounding === props.style.rounding)?.[1] ?? '');

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
          type="button"
          class="chip"
          :aria-expanded="opened === 'finest'"
          data-test="finest"
          @click="toggle('finest')"
        >
          <span class="what">to</span> <template v-if="metric">{{ stepText(style.metricStep) }} mm</template
          ><SizeText v-else :text="`1⁄${style.finest}″`" />
        </button>
        <button
          type="button"
          class="chip"
          :aria-expanded="opened === 'rounding'"
          data-test="rounding"
          :aria-label="`Rounded ${roundingFace}`"
          @click="toggle('rounding')"
        >
          {{ roundingFace }}
        </button>
        <button
          type="button"
          class="chip"
          :aria-expanded="opened === 'length'"
          data-test="length"
          :aria-label="`Read in ${LENGTH_NAMES[style.length]}`"
          @click="toggle('length')"
        >
          {{ lengthFace }}
        </button>
      </template>
    </div>
    <div
      v-if="opened"
      class="row options"
      role="group"
      :aria-label="opened === 'finest' ? 'Finest mark' : opened === 'rounding' ? 'Rounding' : 'Unit'"
      @pointerdown.prevent
    >
      <template v-if="opened === 'finest' && metric">
        <button
          v-for="{ step, face } in metricSteps"
          :key="step"
          type="button"
          class="option"
          :aria-pressed="step === rationalToText(style.metricStep)"
          :data-step="step"
          @click="choose({ metricStep: step })"
        >
          {{ face }}
        </button>
      </template>
      <template v-else-if="opened === 'finest'">
        <button
          v-for="finest in FINEST"
          :key="finest"
          type="button"
          class="option"
          :aria-pressed="finest === style.finest"
          :data-finest="finest"
          @click="choose({ finest })"
        >
          <SizeText :text="`1⁄${finest}`" />
        </button>
        <button
          v-for="[fractions, face, about] in HELD"
          :key="fractions"
          type="button"
          class="option"
          :aria-pressed="fractions === style.fractions"
          :aria-label="about"
          :title="about"
          :data-fractions="fractions"
          @click="choose({ fractions })"
        >
          <SizeText :text="face" />
        </button>
      </template>
      <template v-else-if="opened === 'rounding'">
        <button
          v-for="[rounding, face, about] in ROUNDINGS"
          :key="rounding"
          type="button"
          class="option"
          :aria-pressed="rounding === style.rounding"
          :title="about"
          @click="choose({ rounding })"
        >
          {{ face }}
        </button>
      </template>
      <template v-else>
        <button
          v-for="[length, face] in LENGTHS"
          :key="length"
          type="button"
          class="option"
          :aria-pressed="length === style.length"
          :aria-label="LENGTH_NAMES[length]"
          :data-length="length"
          @click="choose({ length })"
        >
          {{ face }}
        </button>
      </template>
    </div>
    <p v-if="isChanged" class="scope" data-test="reading-scope">
      <span>{{ line ? 'Only looked at so.' : 'For this reading only.' }}</span>
      <PlainButton v-if="line" data-test="for-the-line" @click="emit('widen', 'line')"
        >Write it on {{ line }}</PlainButton
      >
      <PlainButton data-test="for-the-job" @click="emit('widen', 'job')">For the job</PlainButton>
      <PlainButton data-test="for-good" @click="emit('widen', 'always')">For good</PlainButton>
      <PlainButton @click="emit('drop')">As before</PlainButton>
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
.what {
  font-family: var(--words);
  font-size: 15px;
  font-weight: 400;
  color: var(--ink-soft);
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
@media (max-width: 760px) {
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
</style>
