<script setup lang="ts">
/** Heights over the chord, by which a curve is marked without a trammel as long as its radius. */
import { computed } from 'vue';
import { kindOf, ordinates, type Answer } from '@sprell/core';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import PlacesList from './PlacesList.vue';

const props = defineProps<{ answer: Answer }>();

const spacing = defineModel<string>('every', { required: true });
const { quantity } = useSize(spacing);
const rows = computed(() => {
  const step = quantity.value;
  if (step === undefined || kindOf(step.dimension) !== 'length') return [];
  return ordinates(props.answer, step.value).map(({ along, height }) => ({ along, size: height }));
});
</script>

<template>
  <section class="marks" aria-label="Ordinates">
    <div class="choices">
      <h3>Heights over the chord</h3>
      <SizeField v-model="spacing" class="back" label="One every" placeholder='6"' data-test="ordinate-spacing" />
    </div>
    <PlacesList v-if="rows.length > 0" name="height" :rows data-test="ordinates" />
  </section>
</template>

<style scoped src="./places.css"></style>
