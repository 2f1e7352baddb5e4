<script setup lang="ts">
/** Which of the common scales a measured bar fits best, and by how much the print is off. */
import { computed, ref } from 'vue';
import { bestFits, kindOf, readSide, type Fit } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize } from '../../parts/field/use-size.ts';
import { useJob } from '../../live/use-jobs.ts';
import type { ScaleContent } from '../../job/index.ts';

const emit = defineEmits<{ use: [content: ScaleContent] }>();
const job = useJob();
const [measured, says] = [ref(''), ref('')];
const [paper, site] = [useSize(measured), useSize(says)];
const [bar, written] = [paper.quantity, site.quantity];
const fits = computed(() => (bar.value && written.value ? bestFits(bar.value, written.value) : []));
const wrong = computed(() => {
  const kinds = [bar.value, written.value].flatMap((one) => (one ? [kindOf(one.dimension)] : []));
  return kinds.some((kind) => kind !== 'length') ? 'Both are lengths: give them a unit.' : undefined;
});

/** "0.4 % long" for a print that came out too large. */
function offWords({ off }: Fit): string {
  const percent = Math.abs(off) * 100;
  if (percent < 0.005) return 'to the mark';
  return `${percent < 10 ? percent.toFixed(2) : percent.toFixed(0)} % ${off > 0 ? 'long' : 'short'}`;
}
</script>

<template>
  <section class="fits" aria-label="Which scale is it?">
    <h2>Which scale is it?</h2>
    <div class="sides">
      <SizeField
        v-model="measured"
        label="The bar measures, on the paper"
        placeholder='2 15/32"'
        side="paper"
        data-test="bar"
      />
      <SizeField v-model="says" label="and says it is" placeholder="10'" data-test="bar-says" />
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <ol v-else-if="fits.length > 0" data-test="fits">
      <li v-for="(fit, at) in fits" :key="fit.scale.title" :class="{ best: at === 0 }">
        <SizeText class="title" :text="fit.scale.title" />
        <span class="off"
          >{{ offWords(fit) }}; it would measure <SizeText :text="readSide(fit.wouldMeasure, 'paper', job.style).text"
        /></span>
        <PlainButton :data-fit="at" @click="emit('use', { ...fit.scale.definition, name: null })"
          >Add and use it</PlainButton
        >
      </li>
    </ol>
    <PlainButton
      v-if="fits.length > 0"
      title="A scale of the print as it came out, whatever it was drawn to"
      data-test="as-printed"
      @click="emit('use', { kind: 'copy', paper: paper.written(), site: site.written(), name: null })"
      >Use it as it came out</PlainButton
    >
  </section>
</template>

<style scoped>
.fits {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
}
h2 {
  align-self: stretch;
  margin: 0;
  font-size: 18px;
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.sides {
  align-self: stretch;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
ol {
  align-self: stretch;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 0 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--groove);
}
.title {
  font: 600 19px/1.2 var(--figures);
}
.best .title {
  font-size: 26px;
}
.off {
  grid-column: 1;
  color: var(--ink-soft);
}
li :deep(.button) {
  grid-area: 1 / 2 / 3 / 3;
}
.problem {
  margin: 0;
  color: var(--pencil);
}
</style>
