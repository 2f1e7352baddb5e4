<script setup lang="ts">
/** Heights over the chord, by which a curve is marked without a trammel as long as its radius. */
import { computed } from 'vue';
import { kindOf, ordinates, readQuantity, type Answer } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import { useJob } from '../../live/use-jobs.ts';

const props = defineProps<{ answer: Answer }>();
const job = useJob();

const spacing = defineModel<string>('every', { required: true });
const { quantity } = useSize(spacing);
const rows = computed(() => {
  const step = quantity.value;
  if (step === undefined || kindOf(step.dimension) !== 'length') return [];
  return ordinates(props.answer, step.value).map(({ along, height }) => ({
    along: readQuantity(along, job.style),
    height: readQuantity(height, job.style),
  }));
});
</script>

<template>
  <section class="marks" aria-label="Ordinates">
    <div class="choices">
      <h3>Heights over the chord</h3>
      <SizeField v-model="spacing" class="back" label="One every" placeholder='6"' data-test="ordinate-spacing" />
    </div>
    <ol v-if="rows.length > 0" class="places pairs" data-test="ordinates">
      <li v-for="(row, at) in rows" :key="at">
        <SizeText class="along" :text="row.along.text" />
        <SizeText class="size" :text="row.height.text" />
        <span class="rounding">{{ row.height.rounding === 'exact' ? '' : row.height.rounding }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped src="./places.css"></style>
