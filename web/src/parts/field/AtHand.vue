<script setup lang="ts">
/** What the bench has in hand, the story stick and the last lines of the slate: a touch writes one into a field. */
import { computed, ref } from 'vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { nameOf, sizeWords } from '../../job/index.ts';
import { useHand } from '../entry/hand.ts';
import { writtenDown } from '../entry/written-down.ts';
import { useSize } from './use-size.ts';

const emit = defineEmits<{ use: [entry: string] }>();
const job = useJob();

const LAST = 8;
const lines = computed(() =>
  job.slate.rows
    .flatMap((row) => (row.kind === 'worked' && row.worked.result.ok ? [row] : []))
    .slice(-LAST)
    .reverse()
    .map(({ line, worked }) => ({
      entry: `#${line.number}`,
      title: nameOf(line),
      name: `#${line.number} ${line.label ?? ''}`,
      reading: sizeWords(worked.result, job.style),
      kind: 'line',
    })),
);
const marks = computed(() =>
  job.marks.list
    .filter(({ quantity }) => quantity !== undefined)
    .map(({ name, reading }) => ({ entry: name, title: name, name, reading, kind: 'mark' })),
);
/** What stands unfinished in the entry of the bench goes along as it is. */
const onBench = ref(writtenDown());
const { quantity, reckoned } = useSize(onBench);
const begun = computed(() => {
  const now = reckoned.value;
  const entry = now?.parsed.entry;
  if (!now || quantity.value === undefined || !entry || entry.assignment !== undefined) return [];
  const sum = onBench.value.slice(entry.expr.start, entry.expr.end);
  const reading = now.reading?.text ?? '';
  return [{ entry: `(${sum})`, title: 'The entry on the bench', name: 'on the bench', reading, kind: 'bench' }];
});
const hand = useHand();
const all = computed(() => {
  const words = hand.isInField ? hand.field?.words() : undefined;
  if (words?.isApart !== true) return [...begun.value, ...marks.value, ...lines.value];
  return (words.names ?? []).map(({ name, reading }) => ({ entry: name, title: name, name, reading, kind: 'own' }));
});
</script>

<template>
  <div v-if="all.length > 0" class="chips hand" role="group" aria-label="From the bench">
    <button
      v-for="one in all"
      :key="one.entry"
      type="button"
      class="chip"
      :class="one.kind"
      :title="one.title"
      :data-at-hand="one.entry"
      @pointerdown.prevent
      @click="emit('use', one.entry)"
    >
      <span class="name">{{ one.name }}</span> <SizeText class="chip-size" :text="one.reading" />
    </button>
  </div>
</template>

<style scoped src="../../ui/chip.css"></style>
<style scoped>
.hand {
  padding: 8px 16px;
}
.mark {
  background: var(--tape);
}
.bench {
  border-color: var(--chalk);
  background: var(--chalk-wash);
}
.name {
  max-width: 150px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--ink-soft);
  font-size: 15px;
}
.mark .name {
  color: var(--ink);
}
</style>
