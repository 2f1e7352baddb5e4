<script setup lang="ts">
/** The shapes that can be set out, to be chosen by their pictures. */
import { onMounted, ref, watch } from 'vue';
import { SOLVERS } from '@sprell/core';
import { layOut } from './figure-layout.ts';
import { PICTURES } from './samples.ts';

const props = defineProps<{ chosen: string }>();

const list = ref<HTMLElement>();
/** On a phone they stand in one row, which is longer than the screen. */
function showChosen(): void {
  list.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest', inline: 'center' });
}
onMounted(showChosen);
watch(() => props.chosen, showChosen, { flush: 'post' });

const [WIDTH, HEIGHT] = [68, 44];
const cards = SOLVERS.map(({ id, title }) => {
  const figure = PICTURES[id];
  return { id, title, lines: figure ? layOut(figure, WIDTH, HEIGHT, { bare: true }).lines : [] };
});
</script>

<template>
  <nav ref="list" class="shapes" aria-label="What to set out">
    <RouterLink
      v-for="card in cards"
      :key="card.id"
      class="card"
      :class="{ chosen: card.id === chosen }"
      :to="`/setting-out/${card.id}`"
      :aria-current="card.id === chosen ? 'page' : undefined"
      :data-shape="card.id"
    >
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" aria-hidden="true">
        <path v-for="(line, at) in card.lines" :key="at" :d="line.d" :class="line.look" />
      </svg>
      <span>{{ card.title }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.shapes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--groove);
}
.card {
  display: flex;
  flex: 0 0 auto;
  align-items: center;
  gap: 8px;
  width: 202px;
  min-height: 54px;
  padding: 4px 8px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font-size: 15px;
  line-height: 1.15;
  text-decoration: none;
}
.card.chosen {
  border-color: var(--chalk);
  box-shadow: inset 0 -4px 0 var(--chalk);
  font-weight: 600;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
.thin,
.dashed {
  stroke: var(--faint);
  stroke-width: 1;
}
.dashed {
  stroke-dasharray: 3 3;
}
svg {
  flex: 0 0 auto;
}
@media (max-width: 820px) {
  .shapes {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
}
</style>
