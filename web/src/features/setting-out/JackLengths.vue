<script setup lang="ts">
/** Each jack rafter with its place on the plate and the length it is cut to. */
import { computed } from 'vue';
import { jackLengths, type Answer } from '@sprell/core';
import PlacesList from './PlacesList.vue';

const props = defineProps<{ answer: Answer }>();

const rows = computed(() =>
  jackLengths(props.answer).map(({ number, at, length }) => ({ number, along: at, size: length })),
);
</script>

<template>
  <section v-if="rows.length > 0" class="marks" aria-label="Jacks">
    <h3>From the corner, each jack as it is cut</h3>
    <PlacesList name="jack" :rows data-test="jacks" />
  </section>
</template>

<style scoped src="./places.css"></style>
