<script setup lang="ts">
/** Where the members are marked from one end, and what comes of stepping the rounded gap off instead. */
import { computed } from 'vue';
import { driftOf, kindOf, runningMarks, type Answer, type Edge, type Ends } from '@sprell/core';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import { useJob } from '../../live/use-jobs.ts';
import PlacesList from './PlacesList.vue';
import DriftChart from './DriftChart.vue';
import { driftWords } from './drift-words.ts';

const props = defineProps<{ answer: Answer; ends: Ends }>();
const edge = defineModel<Edge>('edge', { required: true });
const setBack = defineModel<string>('setBack', { required: true });
const job = useJob();

const EDGES: readonly (readonly [Edge, string])[] = [
  ['near', 'near edge'],
  ['centre', 'centre'],
  ['far', 'far edge'],
];
const { quantity } = useSize(setBack);
const back = computed(() =>
  quantity.value && kindOf(quantity.value.dimension) === 'length' ? quantity.value.value : undefined,
);

const marks = computed(() => runningMarks(props.answer, props.ends, edge.value, job.style, back.value));
const rows = computed(() => marks.value.map(({ number, at }) => ({ number, size: at })));
const drift = computed(() => driftOf(marks.value, job.style));
const words = computed(() => driftWords(drift.value, job.style));
</script>

<template>
  <section class="marks" aria-label="Marks from one end">
    <div class="choices">
      <h3>Marks from one end</h3>
      <ChoiceBar v-model="edge" label="What is marked" :choices="EDGES" test="edge" />
      <SizeField v-model="setBack" class="back" label="Set back by" placeholder="nothing" />
    </div>
    <PlacesList name="mark" :rows />
    <p class="drift" role="status" data-test="drift"><SizeText :text="words" /></p>
    <DriftChart v-if="drift.some(({ reading }) => reading !== undefined)" :drift />
  </section>
</template>

<style scoped src="./places.css"></style>
