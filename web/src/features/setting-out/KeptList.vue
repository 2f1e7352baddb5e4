<script setup lang="ts">
/** The setting-outs of the job, to be opened by picture and name. */
import { computed, ref } from 'vue';
import type { SetOut } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import FigureThumb from './FigureThumb.vue';
import { keptAnswer } from '../../parts/figure/kept-answer.ts';
import { PICTURES } from './samples.ts';
import { useShowChosen } from './show-chosen.ts';

const props = defineProps<{ openId: string | undefined }>();
const emit = defineEmits<{ open: [setOut: SetOut] }>();
const job = useJob();

const list = ref<HTMLElement>();
useShowChosen(list, () => props.openId);

const cards = computed(() =>
  job.setOuts.list.map((setOut) => ({
    setOut,
    figure: keptAnswer(setOut, job).answer?.figure ?? PICTURES[setOut.shape],
  })),
);
</script>

<template>
  <nav v-if="cards.length > 0" ref="list" class="chips kept" aria-label="Saved in this job">
    <span class="word">Saved here</span>
    <button
      v-for="{ setOut, figure } in cards"
      :key="setOut.id"
      type="button"
      class="chip"
      :class="{ chosen: setOut.id === openId }"
      :aria-current="setOut.id === openId"
      :data-kept="setOut.name"
      @click="emit('open', setOut)"
    >
      <FigureThumb :figure :width="44" :height="30" />
      <span>{{ setOut.name }}</span>
    </button>
  </nav>
</template>

<style scoped src="../../ui/chip.css"></style>
<style scoped src="./cards.css"></style>
<style scoped>
.kept {
  align-items: center;
  padding: 6px 16px;
}
.word {
  flex: 0 0 auto;
  margin-right: 4px;
  color: var(--ink-soft);
  font-size: 15px;
}
.chip {
  padding-left: 6px;
  background: none;
}
</style>
