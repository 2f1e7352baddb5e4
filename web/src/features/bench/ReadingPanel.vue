<script setup lang="ts">
/** The reading of the entry in hand, as large as fits, with what the rounding cost and the other ways it reads. */
import { computed } from 'vue';
import {
  describeIssue,
  exactText,
  kindOf,
  readQuantity,
  type LengthStyle,
  type Reckoned,
  type ReadingStyle,
  type WholeTimes,
} from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { roundingWords } from './rounding-words.ts';

const props = defineProps<{
  /** The entry worked out; undefined while nothing is typed. */
  reckoned: Reckoned | undefined;
  style: ReadingStyle;
  /** What the panel shows while nothing is typed: the last line's reading. */
  resting: Reckoned | undefined;
  /** A quotient of two sizes as whole times and what is left over. */
  whole: WholeTimes | undefined;
}>();
const emit = defineEmits<{ /** Put this in the entry. */ use: [entry: string] }>();

const shown = computed(() => props.reckoned ?? props.resting);
const quantity = computed(() => (shown.value?.outcome?.kind === 'quantity' ? shown.value.outcome.quantity : undefined));
const answer = computed(() =>
  shown.value?.outcome?.kind === 'answer' ? (shown.value.outcome.yes ? 'yes' : 'no') : undefined,
);
const text = computed(() => shown.value?.reading?.text ?? answer.value);
const cost = computed(() =>
  quantity.value && shown.value?.reading ? roundingWords(quantity.value, shown.value.reading) : undefined,
);
const problem = computed(() =>
  text.value === undefined && shown.value?.issue ? describeIssue(shown.value.issue) : undefined,
);

/** Longest exact form that is a help rather than a riddle. */
const SHORT_FORM = 24;
/** The root or multiple of π that the reading stands for, and a fraction finer than the tape shows. */
const exact = computed(() => {
  if (quantity.value === undefined || shown.value?.reading?.rounding === 'exact') return undefined;
  const form = exactText(quantity.value, props.style)?.text;
  return form !== undefined && form.length <= SHORT_FORM ? form : undefined;
});
const leftOver = computed(() => props.whole && readQuantity(props.whole.left, props.style));

const OTHER_STYLES: readonly (readonly [LengthStyle, string])[] = [
  ['ft-in', 'feet and inches'],
  ['in', 'inches'],
  ['ft', 'decimal feet'],
  ['mm', 'millimetres'],
  ['m', 'metres'],
];

/** The same length in every other way it is commonly read. */
const alsoReads = computed(() => {
  const value = quantity.value;
  if (value === undefined || kindOf(value.dimension) !== 'length') return [];
  return OTHER_STYLES.map(([length, name]) => ({
    name,
    text: readQuantity(value, { ...props.style, length }).text,
  })).filter((other) => other.text !== text.value);
});
/** Figures shrink with their count, so that none is ever cut off. */
const sizeClass = computed(() =>
  (text.value?.length ?? 0) > 16 ? 'long' : (text.value?.length ?? 0) > 10 ? 'middling' : 'short',
);
</script>

<template>
  <section class="reading" aria-label="Reading">
    <p class="read-back" data-test="read-back"><SizeText :text="shown?.readBack ?? ''" /></p>
    <output class="figures" :class="sizeClass" data-test="reading" aria-live="polite"
      ><SizeText v-if="text !== undefined" :text="text" /><span v-else-if="problem === undefined" class="nothing"
        >0″</span
      ></output
    >
    <p v-if="cost" class="cost" data-test="cost">{{ cost }}</p>
    <p v-else-if="shown?.reading" class="cost">the true size</p>
    <p v-if="exact" class="exact" data-test="exact">exactly <SizeText :text="exact" /></p>
    <p v-if="whole && leftOver" class="whole" data-test="whole">
      <span>{{ whole.times }} times, <SizeText :text="leftOver.text" /> left over</span>
      <PlainButton v-if="leftOver.steps" @click="emit('use', whole.leftEntry)">Use what is left</PlainButton>
    </p>
    <p v-if="problem && reckoned === undefined" class="problem">{{ problem }}</p>
    <dl v-if="alsoReads.length > 0" class="also">
      <div v-for="other in alsoReads" :key="other.name">
        <dt>{{ other.name }}</dt>
        <dd><SizeText :text="other.text" /></dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.reading {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 20px 24px;
  min-width: 0;
}
.read-back {
  margin: 0;
  min-height: 1.5em;
  font-size: 18px;
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.figures {
  font-family: var(--figures);
  font-weight: 600;
  line-height: 1.05;
  min-height: 1.05em;
  overflow-wrap: anywhere;
}
.short {
  font-size: clamp(64px, 9vw, 128px);
}
.middling {
  font-size: clamp(52px, 7vw, 96px);
}
.long {
  font-size: clamp(36px, 4.4vw, 60px);
}
.nothing {
  color: var(--groove);
}
.cost {
  margin: 0;
  font-size: 18px;
  color: var(--ink-soft);
}
.exact,
.whole {
  margin: 4px 0 0;
  font-size: 18px;
}
.whole {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}
.problem {
  margin: 0;
  color: var(--pencil);
}
.also {
  margin: 20px 0 0;
  border-top: 1px solid var(--groove);
}
.also div {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--groove);
}
.also dt {
  color: var(--ink-soft);
}
.also dd {
  margin: 0;
  font-family: var(--figures);
  font-size: 20px;
  font-weight: 500;
}
@media (max-width: 760px) {
  .reading {
    padding: 8px 16px;
  }
  .read-back {
    font-size: 16px;
    min-height: 1.4em;
  }
  .also {
    display: none;
  }
}
</style>
