<script setup lang="ts">
/** The head of the bench in the first steps: the step that comes next, what was learned by the last one, and the way out. */
import { computed, ref, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import { Check, Undo2, X } from 'lucide-vue-next';
import { isMetric } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import { doneOn, lastReads, stepsFor, type StepName } from './task.ts';
import { makePractice } from './practice-job.ts';

defineProps<{ title: string; ownSteps?: boolean; undoSays?: string | undefined }>();
const emit = defineEmits<{ undo: []; redo: [] }>();
const jobs = useJobs();
const job = useJob();
const isTouch = useMediaQuery('(pointer: coarse)');

const metric = computed(() => isMetric(job.style.length));
const steps = computed(() => stepsFor(metric.value));
/** Of the bench as it stands: whoever comes back goes on where the bench is. */
const bench = computed(() => ({ rows: job.slate.rows, marks: job.marks.list, style: job.style }));
/** Steps that were done once stay done, and those that somebody went past count as done. */
const past = useKept<StepName[]>('practice.past', []);
watch(
  () => doneOn(bench.value, metric.value),
  (done) => {
    const more = [...done].filter((name) => !past.value.includes(name));
    if (more.length > 0) past.value = [...past.value, ...more];
  },
  { immediate: true },
);
const at = computed(() => {
  const next = steps.value.findIndex(({ name }) => !past.value.includes(name));
  return next === -1 ? steps.value.length : next;
});
const step = computed(() => steps.value[at.value]);
/** Every other piece is what is typed. */
const how = computed(() => (isTouch.value ? step.value?.touch : step.value?.type)?.split('`') ?? []);
const before = computed(() => steps.value[at.value - 1]);
const isSkipped = ref(false);
function skip(): void {
  if (step.value) past.value = [...past.value, step.value.name];
  isSkipped.value = true;
}

/** A line that came to something else than the step asks for. */
const lines = computed(() => job.slate.rows.length);
const linesAtStep = ref(lines.value);
watch(at, () => {
  linesAtStep.value = lines.value;
});
const missed = computed(() => (lines.value > linesAtStep.value && step.value ? lastReads(bench.value) : undefined));

async function again(): Promise<void> {
  past.value = [];
  await makePractice(jobs, metric.value ? 'metres' : 'feet');
}
/** Back to the application, which starts again with the jobs of this device. */
const leave = () => {
  location.assign('/');
};
</script>

<template>
  <header class="steps" data-test="steps">
    <div class="row">
      <h1 tabindex="-1">First steps</h1>
      <ol class="where" :aria-label="step ? `Step ${at + 1} of ${steps.length}` : 'All steps are done'">
        <li
          v-for="(one, n) in steps"
          :key="one.name"
          :class="{ done: n < at, now: n === at }"
          :aria-current="n === at ? 'step' : undefined"
          :title="one.title"
        >
          <Check v-if="n < at" :size="16" aria-hidden="true" /><template v-else>{{ n + 1 }}</template>
        </li>
      </ol>
      <PlainButton
        :disabled="undoSays === undefined"
        :title="undoSays ?? 'Nothing to undo'"
        aria-label="Undo"
        data-test="undo"
        @pointerdown.prevent
        @click="emit('undo')"
        ><Undo2 :size="20" aria-hidden="true"
      /></PlainButton>
      <PlainButton data-test="leave-steps" title="Back to your own bench: you can go on here later" @click="leave"
        ><X :size="18" aria-hidden="true" />{{ step ? 'Leave' : 'Your bench' }}</PlainButton
      >
    </div>
    <div class="says" aria-live="polite">
      <p v-if="before && !isSkipped" class="learned" data-test="learned">
        <SizeText :text="before.learned" />
      </p>
      <template v-if="step">
        <p class="task" data-test="step">
          <b>{{ step.title }}.</b> <SizeText :text="step.task" />
        </p>
        <p class="how">
          <template v-for="(piece, n) in how" :key="n"
            ><kbd v-if="n % 2 === 1">{{ piece }}</kbd
            ><SizeText v-else :text="piece"
          /></template>
          <button type="button" class="skip" data-test="skip-step" @click="skip">Go past it</button>
        </p>
        <p v-if="missed" class="missed" data-test="missed">
          #{{ missed.number }} comes to <SizeText :text="missed.text" />, which is not it yet. Touch its words to change
          it, or write another.
        </p>
      </template>
      <p v-else class="task" data-test="steps-done">
        That is how everything here is worked out. Nothing of this stands in your jobs.
        <button type="button" class="skip" data-test="steps-again" @click="again">Do them once more</button>
      </p>
    </div>
  </header>
</template>

<style>
/* Where room is short the step takes what else says the same size. */
@media (max-width: 760px) {
  .bench:has(> .steps) .reading > :is(.tape, .also) {
    display: none;
  }
}
</style>
<style scoped>
.steps {
  padding: 6px 12px;
  border-bottom: 2px solid var(--ink);
  background: var(--chalk-wash);
}
.row {
  display: flex;
  align-items: center;
  gap: 10px;
}
h1 {
  margin: 0;
  font-size: calc(18px * var(--text-size));
  outline: 0;
}
.row > :deep(button) {
  white-space: nowrap;
}
.where {
  display: flex;
  flex: 1;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.where li {
  display: grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 1px solid var(--ink-soft);
  border-radius: 50%;
  color: var(--ink-soft);
  font-size: 14px;
}
.where .now {
  border: 2px solid var(--chalk);
  color: var(--chalk);
  font-weight: 600;
}
.where .done {
  border-color: var(--chalk);
  background: var(--chalk);
  color: var(--on-chalk);
}
p {
  margin: 4px 0 0;
  font-size: calc(16px * var(--text-size));
  line-height: 1.3;
}
.task {
  font-size: calc(17px * var(--text-size));
}
kbd {
  padding: 1px 6px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font-family: var(--figures);
  font-weight: 500;
}
.learned,
.how {
  color: var(--ink-soft);
}
.missed {
  font-weight: 500;
}
@media (max-width: 760px) {
  .steps {
    padding: 4px 10px 6px;
  }
  h1 {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .says > p {
    margin-top: 2px;
    font-size: 15px;
    line-height: 1.25;
  }
  /* What comes next is more to the point; the whole of it is said at the end. */
  .learned:not(:last-child):not(:has(+ [data-test='steps-done'])) {
    display: none;
  }
}
.skip {
  min-height: 24px;
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--chalk);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
</style>
