<script setup lang="ts">
/** The story stick and the last lines of the slate: a touch writes one into the field that is being written. */
import { computed } from 'vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { nameOf, sizeWords } from '../../job/index.ts';

const emit = defineEmits<{ use: [entry: string] }>();
const job = useJob();

const LAST = 8;
const lines = computed(() =>
  job.slate.rows
    .flatMap((row) => (row.kind === 'worked' && row.worked.result.ok ? [row] : []))
    .slice(-LAST)
    .reverse()
    .map(({ line, worked }) => ({
      number: line.number,
      title: nameOf(line),
      label: line.label ?? '',
      reading: sizeWords(worked.result, job.style),
    })),
);
const marks = computed(() => job.marks.list.filter(({ quantity }) => quantity !== undefined));
</script>

<template>
  <section class="hand" aria-label="Story stick and slate">
    <div v-if="marks.length > 0" class="strip" role="group" aria-label="Marks">
      <button
        v-for="mark in marks"
        :key="mark.name"
        type="button"
        class="mark"
        @pointerdown.prevent
        @click="emit('use', mark.name)"
      >
        <span class="name">{{ mark.name }}</span> <SizeText class="size" :text="mark.reading" />
      </button>
    </div>
    <div v-if="lines.length > 0" class="strip" role="group" aria-label="Last lines">
      <button
        v-for="line in lines"
        :key="line.number"
        type="button"
        :title="line.title"
        @pointerdown.prevent
        @click="emit('use', `#${line.number}`)"
      >
        <span class="name">#{{ line.number }} {{ line.label }}</span> <SizeText class="size" :text="line.reading" />
      </button>
    </div>
  </section>
</template>

<style scoped>
.hand {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 10px 16px;
}
.strip {
  display: flex;
  gap: 6px;
  overflow-x: auto;
}
button {
  display: inline-flex;
  flex: 0 0 auto;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font-size: 16px;
  cursor: pointer;
}
.mark {
  background: var(--tape);
}
.name {
  max-width: 150px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--ink-soft);
  font-size: 15px;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  white-space: nowrap;
}
.mark .name {
  color: var(--ink);
}
</style>
