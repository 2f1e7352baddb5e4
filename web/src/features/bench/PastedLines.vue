<script setup lang="ts">
/** Several lines were pasted: each with how it was read, to become lines of the slate, or one entry after all. */
import { computed } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { countPasted, MOST_PASTED, pastedLines, renumbered } from './slate/pasted-lines.ts';
import { tableLines } from './slate/table-lines.ts';

const props = defineProps<{
  text: string;
  /** The name of the file that they came in. */
  file?: string | undefined;
}>();
const emit = defineEmits<{ landed: [count: number]; join: [entry: string]; leave: [] }>();
const job = useJob();

/** A table has its cells where a message has its signs. */
const written = computed(() => tableLines(props.text) ?? props.text);
const beyond = computed(() => Math.max(0, countPasted(written.value) - MOST_PASTED));
const lines = computed(() =>
  pastedLines(written.value, { scope: job.slate.scope(), style: job.style, bare: job.reading.bare }),
);
const unread = computed(
  () => lines.value.filter(({ kind, reading }) => kind === 'entry' && reading === undefined).length,
);

function land(): void {
  const entries = renumbered(lines.value, job.slate.nextNumber);
  let at = 0;
  const made = lines.value.map((line) =>
    line.kind === 'entry' ? { ...line, text: entries[at++] ?? line.text } : line,
  );
  job.lines.landPasted(made);
  emit('landed', made.length);
}
</script>

<template>
  <QuestionDialog
    :title="file === undefined ? `${lines.length} lines pasted` : `${lines.length} lines of ${file}`"
    @leave="emit('leave')"
  >
    <ol class="lines" data-test="pasted">
      <li v-for="(line, at) in lines" :key="at" :class="line.kind">
        <SizeText class="text" :text="line.text" />
        <SizeText v-if="line.reading" class="size" :text="line.reading" />
        <span v-else class="about">{{ line.kind === 'entry' ? 'not read yet' : line.kind }}</span>
      </li>
    </ol>
    <p v-if="lines.length === 0">There is no line in it.</p>
    <p v-if="beyond > 0" role="alert">
      {{ beyond }} more lines are left out: {{ MOST_PASTED }} come together at the most. Take the others in a second
      time.
    </p>
    <p v-if="unread > 0">
      {{ unread }} of them {{ unread === 1 ? 'has' : 'have' }} no result yet: they land as they are, to be mended there.
    </p>
    <template #answers>
      <PlainButton leading :disabled="lines.length === 0" data-test="land-pasted" @click="land"
        >Put them on the slate</PlainButton
      >
      <PlainButton
        v-if="file === undefined"
        data-test="join-pasted"
        @click="emit('join', text.replace(/\s*\n\s*/gu, ' ').trim())"
        >As one entry</PlainButton
      >
      <PlainButton @click="emit('leave')">Cancel</PlainButton>
    </template>
  </QuestionDialog>
</template>

<style scoped>
.lines {
  max-height: 46vh;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: flex;
  align-items: baseline;
  gap: 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--groove);
}
.heading .text {
  font-weight: 600;
}
.text {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.size {
  font-family: var(--figures);
  font-size: 19px;
  font-weight: 600;
  white-space: nowrap;
}
.about {
  color: var(--ink-soft);
  font-size: 14px;
}
</style>
