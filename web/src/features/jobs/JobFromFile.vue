<script setup lang="ts">
/** A job that comes as a file: what is in it, and whether it becomes a job of its own or comes into the open one. */
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { JobWire, Thing } from '@sprell/contract';
import { kindNamed, thingsOf } from '@sprell/contract';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import {
  countsOf,
  insideOf,
  mergeInto,
  readingOf,
  readOnThread,
  shownIn,
  takeIn,
  whyNotInto,
  type ReadJobFile,
} from '../../job/job-files.ts';
import { readBackOf, withLabel, wordsOf, isWorked } from '../../job/index.ts';

const props = defineProps<{ file: File }>();
const emit = defineEmits<{ made: [says: string]; leave: [] }>();
const jobs = useJobs();
const job = useJob();
const read = shallowRef<ReadJobFile>();
const left = new AbortController();
onBeforeUnmount(() => {
  left.abort();
});
onMounted(async () => {
  const answer = await readOnThread(props.file, left.signal).catch((error: unknown) => {
    if (!left.signal.aborted) throw error;
  });
  if (answer) read.value = answer;
});

const theirs = computed(() => (read.value?.ok === true ? read.value.value : undefined));
const localOf = (of: JobWire) => ({ head: of as never, lines: of.lines, things: thingsOf(of) });
const inside = computed(() => theirs.value && insideOf(localOf(theirs.value)));
const counts = computed(() => inside.value && countsOf(inside.value));

type Way = 'new' | 'into';
const way = ref<Way>('new');
const WAYS: readonly (readonly [Way, string])[] = [
  ['new', 'A new job'],
  ['into', 'Into the open job'],
];
const merge = computed(() => (way.value === 'into' && inside.value ? mergeInto(job, inside.value) : undefined));
const whyNot = computed(() => merge.value && inside.value && whyNotInto(job, inside.value, merge.value));

/** Their entries as a person sees them there. */
const shown = computed(() => {
  if (theirs.value === undefined) return (stored: string) => stored;
  const local = localOf(theirs.value);
  return shownIn(local, readingOf(local));
});
const lineText = (line: JobWire['lines'][number], source = shown.value(line.source)) =>
  isWorked(line) ? readBackOf(withLabel(line.label, source), job.style) : wordsOf(line);
const thingText = (kind: string, content: object) => kindNamed(kind).called(content as Thing, job.style);
const added = computed(() => [
  ...(merge.value?.addedLines.map(({ from }) => lineText(from)) ?? []),
  ...(merge.value?.addedThings.map(({ kind, content }) => thingText(kind, content)) ?? []),
]);
const changed = computed(() => [
  ...(merge.value?.changedLines.map(({ from, before, after }) => ({
    is: lineText(before, job.slate.shown(before.source)),
    becomes: lineText({ ...from, label: after.label }),
    note: before.note === after.note ? '' : 'with another note',
  })) ?? []),
  ...(merge.value?.changedThings.map(({ kind, before, content }) => ({
    is: thingText(kind, before),
    becomes: thingText(kind, content),
    note: '',
  })) ?? []),
]);
const isNothing = computed(() => added.value.length + changed.value.length === 0);
const FIRST = 60;

const problem = ref<string>();
async function take(): Promise<void> {
  const [wire, them] = [theirs.value, inside.value];
  if (wire === undefined || them === undefined) return;
  if (way.value === 'new') {
    await jobs.makeOf(wire);
    emit('made', `“${wire.title}” is made, and open.`);
    return;
  }
  problem.value = takeIn(job, them);
  if (problem.value === undefined) emit('made', `“${wire.title}” is in this job. Undo takes it out again.`);
}
</script>

<template>
  <QuestionDialog :title="theirs ? theirs.title : file.name" @leave="emit('leave')">
    <p v-if="read === undefined">Reading the file …</p>
    <div v-else-if="!read.ok" class="wrong" role="alert" data-test="job-file-wrong">
      <p>{{ read.problem.sentence }}</p>
      <p>
        <template v-if="read.problem.place">In the file at {{ read.problem.place }}.</template> Nothing was changed.
      </p>
    </div>
    <template v-else>
      <p data-test="job-file-counts">It holds {{ counts }}.</p>
      <ChoiceBar v-model="way" label="What becomes of it" :choices="WAYS" test="way" />
      <div v-if="way === 'into' && merge" class="preview">
        <p>
          Into “{{ job.head?.title }}”: {{ added.length }} added, {{ changed.length }} changed, {{ merge.same }} the
          same. What only this job has stays, and so does how it reads.
        </p>
        <p v-if="whyNot" class="wrong" role="alert">{{ whyNot }}</p>
        <template v-if="changed.length > 0">
          <h3>Changed</h3>
          <ul data-test="file-changed">
            <li v-for="(one, at) in changed.slice(0, FIRST)" :key="at">
              <SizeText :text="one.is" />
              <span class="becomes">becomes</span> <SizeText :text="one.becomes" />
              <span v-if="one.note" class="note"> {{ one.note }}</span>
            </li>
            <li v-if="changed.length > FIRST">and {{ changed.length - FIRST }} more</li>
          </ul>
        </template>
        <template v-if="added.length > 0">
          <h3>Added</h3>
          <ul data-test="file-added">
            <li v-for="(one, at) in added.slice(0, FIRST)" :key="at"><SizeText :text="one" /></li>
            <li v-if="added.length > FIRST">and {{ added.length - FIRST }} more</li>
          </ul>
        </template>
      </div>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    </template>
    <template #answers>
      <PlainButton data-test="leave-job-file" @click="emit('leave')">{{
        read?.ok === false ? 'Close' : 'Cancel'
      }}</PlainButton>
      <PlainButton
        v-if="read?.ok"
        leading
        :disabled="way === 'into' && (whyNot !== undefined || isNothing)"
        data-test="take-job-file"
        @click="take"
        >{{ way === 'new' ? 'Make the job' : 'Take it in' }}</PlainButton
      >
    </template>
  </QuestionDialog>
</template>

<style scoped>
.preview {
  max-height: 46vh;
  margin-top: 10px;
  overflow-y: auto;
}
h3 {
  margin: 8px 0 2px;
  font-size: 16px;
}
ul {
  margin: 0;
  padding-left: 20px;
}
li {
  overflow-wrap: anywhere;
}
.becomes,
.note {
  margin: 0 6px;
  color: var(--ink-soft);
}
.wrong {
  color: var(--pencil);
}
</style>
