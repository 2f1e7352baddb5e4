<script setup lang="ts">
/** The shapes that can be set out, to be chosen by their pictures. */
import { ref } from 'vue';
import { SOLVERS } from '@sprell/core';
import FigureThumb from './FigureThumb.vue';
import { PICTURES } from './samples.ts';
import { useShowChosen } from './show-chosen.ts';

const props = defineProps<{ chosen: string }>();
const emit = defineEmits<{ choose: [] }>();

const list = ref<HTMLElement>();
useShowChosen(list, () => props.chosen);

const cards = SOLVERS.map(({ id, title, short = title }) => ({ id, title, short, figure: PICTURES[id] }));
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
      :title="card.title"
      @click="emit('choose')"
    >
      <FigureThumb :figure="card.figure" :width="44" :height="34" />
      <span>{{ card.short }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped src="./cards.css"></style>
<style scoped>
.shapes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: 4px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--groove);
}
.card {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 46px;
  padding: 2px 6px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font-size: 14px;
  line-height: 1.1;
  text-decoration: none;
}
@media (max-width: 820px) {
  .shapes {
    display: flex;
    overflow-x: auto;
  }
  .card {
    flex: 0 0 auto;
    width: 132px;
  }
}
</style>
