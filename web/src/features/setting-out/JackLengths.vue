<script setup lang="ts">
/** Each jack rafter with its place on the plate and the length it is cut to. */
import { computed } from 'vue';
import { jackLengths, readQuantity, type Answer } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';

const props = defineProps<{ answer: Answer }>();
const job = useJob();

const rows = computed(() =>
  jackLengths(props.answer).map(({ number, at, length }) => ({
    number,
    at: readQuantity(at, job.style),
    length: readQuantity(length, job.style),
  })),
);
</script>

<template>
  <section v-if="rows.length > 0" class="marks" aria-label="Jacks">
    <h3>From the corner, each jack as it is cut</h3>
    <ol class="places pairs" data-test="jacks">
      <li v-for="row in rows" :key="row.number">
        <span class="number">{{ row.number }}</span>
        <SizeText class="along" :text="row.at.text" />
        <SizeText class="size" :text="row.length.text" />
        <span class="rounding">{{ row.length.rounding === 'exact' ? '' : row.length.rounding }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped src="./places.css"></style>
