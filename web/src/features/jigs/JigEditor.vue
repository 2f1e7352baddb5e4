<script setup lang="ts">
/** A jig as it is written: its inputs, its steps one by one, which of them are answers, and what it is checked by. */
import { computed, ref, shallowRef, watch } from 'vue';
import { Plus } from 'lucide-vue-next';
import { describeIssue, nameFromLabel, readQuantity, type Issue } from '@sprell/core';
import {
  figuresIn,
  figureToInput,
  JIG_LIMITS,
  readJig,
  runChecks,
  runJig,
  writtenSteps,
  type Figure,
  type JigCheck,
  type JigInput,
  type JigSet,
  type JigStep,
} from '@sprell/core/jig';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';
import { useJob } from '../../live/use-jobs.ts';
import type { ShelfJig } from '../../job/index.ts';
import { NEW_INPUT, NEW_STEP, newerUses, setOf, withName, withoutInput, withUses, type JigDraft } from './draft.ts';
import JigCheckCard from './JigCheckCard.vue';
import JigInputCard from './JigInputCard.vue';
import JigStepCard from './JigStepCard.vue';
import NameField from './NameField.vue';

const props = defineProps<{
  start: JigDraft;
  others: readonly ShelfJig[];
  /** Why it was not saved, where something else than its parts is in the way. */
  problem: string | undefined;
}>();
const emit = defineEmits<{
  /** As it stands now, to be kept. */ write: [draft: JigDraft];
  save: [set: JigSet];
  leave: [];
}>();
const job = useJob();
/** Its own: one step often writes twice, and what was passed down follows only with the next frame. */
const draft = shallowRef(props.start);
watch(draft, (now) => emit('write', now));

const taken = computed(() => [...draft.value.inputs, ...draft.value.steps].map(({ name }) => name).filter(Boolean));
const sets = computed(() => props.others.filter(({ id }) => id !== draft.value.id).map(({ set }) => set));
const whole = computed(() => setOf(withUses(draft.value, sets.value)));
const newer = computed(() => newerUses(whole.value.uses, sets.value));
const read = computed(() => readJig(whole.value));
/** A field that nobody has written in yet is not complained about before somebody wants to save. */
const isAsked = ref(false);
function issueAt(part: 'jig' | 'input' | 'step', index: number, field: string): Issue | undefined {
  const found = read.value.troubles.find(
    (one) => one.jig === undefined && one.part === part && one.index === index && one.field === field,
  )?.issue;
  const isEmpty = found !== undefined && (found.code === 'entry.empty' || found.start === found.end);
  return isAsked.value || !isEmpty ? found : undefined;
}
/** It runs with its usual values while it is written. */
const run = computed(() => {
  const ran = read.value.program && runJig(read.value.program, []);
  return ran?.ok ? ran.value : undefined;
});
const steps = computed(() =>
  read.value.program && run.value ? writtenSteps(read.value.program, run.value, job.style) : [],
);
function readingOf(index: number): string | undefined {
  const step = steps.value[index];
  if (step?.outcome?.kind === 'answer') return step.outcome.yes ? 'yes' : 'no';
  return step?.readings.map(({ text }) => text).join(', ');
}
const checks = computed(() => (read.value.program ? runChecks(whole.value.jig, read.value.program) : []));
const failing = computed(() => checks.value.filter(({ holds }) => !holds));
/** What a step may name: the inputs, and the steps before it. */
const names = computed(() => [
  ...draft.value.inputs.map(({ name }, at) => {
    const quantity = run.value?.inputs[at];
    return { name, reading: quantity ? readQuantity(quantity, job.style).text : '' };
  }),
  ...draft.value.steps.map(({ name }, at) => ({ name, reading: readingOf(at) ?? '' })),
]);
const namesBefore = (step: number) =>
  names.value.slice(0, draft.value.inputs.length + step).filter(({ name }) => name !== '');
const figures = computed(() => figuresIn(draft.value));

function write(said: Partial<JigDraft>): void {
  draft.value = { ...draft.value, ...said };
}
const without = <T,>(list: readonly T[], index: number): readonly T[] => list.filter((_, at) => at !== index);
const changed = <T,>(list: readonly T[], index: number, said: Partial<T>): readonly T[] =>
  list.map((one, at) => (at === index ? { ...one, ...said } : one));
const writeInput = (at: number, said: Partial<JigInput>) => write({ inputs: changed(draft.value.inputs, at, said) });
const writeStep = (at: number, said: Partial<JigStep>) => write({ steps: changed(draft.value.steps, at, said) });
const writeCheck = (at: number, said: Partial<JigCheck>) => write({ checks: changed(draft.value.checks, at, said) });

/** What is called by its title is named after it, until it has a name of its own. */
const proposed = (title: string) => nameFromLabel(title.toLowerCase(), taken.value) ?? '';
function nameJig(): void {
  if (draft.value.name === '' && draft.value.title.trim() !== '')
    write({ name: nameFromLabel(draft.value.title.toLowerCase()) ?? '' });
}
function nameInput(at: number): void {
  const input = draft.value.inputs[at];
  if (input?.name === '' && input.title.trim() !== '') writeInput(at, { name: proposed(input.title) });
}
function nameStep(at: number): void {
  const step = draft.value.steps[at];
  if (step?.name === '' && step.title.trim() !== '') writeStep(at, { name: proposed(step.title) });
}
function renameInput(at: number, name: string): void {
  draft.value = withName(draft.value, draft.value.inputs[at]?.name ?? '', name);
  writeInput(at, { name });
}
function renameStep(at: number, name: string): void {
  draft.value = withName(draft.value, draft.value.steps[at]?.name ?? '', name);
  writeStep(at, { name });
}
function moveStep(at: number, by: -1 | 1): void {
  const list = [...draft.value.steps];
  const [step] = list.splice(at, 1);
  if (step) list.splice(at + by, 0, step);
  write({ steps: list });
}
function toInput(figure: Figure): void {
  const title = `${figure.kind} ${draft.value.inputs.filter(({ kind }) => kind === figure.kind).length + 1}`;
  const name = nameFromLabel(title, taken.value) ?? '';
  draft.value = { ...draft.value, ...figureToInput(draft.value, figure, { name, title }, true) };
}
function addCheck(): void {
  const answer = draft.value.steps.find(({ isAnswer }) => isAnswer)?.name ?? '';
  write({ checks: [...draft.value.checks, { title: '', inputs: [], answer, comesTo: '', within: '' }] });
}

const isWarned = ref(false);
/** What is wrong and stands at no field that is shown. */
const elsewhere = computed(() =>
  read.value.troubles.find(({ part, jig, field }) => jig !== undefined || (part === 'jig' && field !== 'name')),
);
function save(): void {
  isAsked.value = true;
  nameJig();
  draft.value.inputs.forEach((_, at) => nameInput(at));
  draft.value.steps.forEach((_, at) => nameStep(at));
  if (draft.value.title.trim() === '' || read.value.program === undefined) return;
  if (failing.value.length > 0 && !isWarned.value) {
    isWarned.value = true;
    return;
  }
  emit('save', whole.value);
}
</script>

<template>
  <section class="writing" :aria-label="draft.id === undefined ? 'A new jig' : 'Edit the jig'">
    <div class="bar">
      <h1>{{ draft.id === undefined ? 'New jig' : draft.title }}</h1>
      <PlainButton data-test="leave-jig" @click="emit('leave')">Cancel</PlainButton>
      <PlainButton leading data-test="save-jig" @click="save">Save</PlainButton>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <p v-if="isAsked && read.program === undefined" class="wrong" role="alert" data-test="jig-wrong">
        It cannot be saved yet:
        {{ elsewhere ? describeIssue(elsewhere.issue) : 'what is wrong is in red below its field.' }}
      </p>
      <p v-if="isAsked && draft.title.trim() === ''" class="wrong" role="alert">Give it a title.</p>
      <p v-if="isWarned && failing.length > 0" class="wrong" role="alert" data-test="checks-fail">
        {{ failing.length }} of its checks {{ failing.length === 1 ? 'does' : 'do' }} not hold. Touch Save again to save
        it all the same.
      </p>
    </div>
    <div class="fields">
      <TextField
        :model-value="draft.title"
        label="Title"
        placeholder="Deck boards"
        maxlength="120"
        data-test="jig-title"
        @update:model-value="(title: string) => write({ title })"
        @blur="nameJig"
      />
      <NameField
        label="In an entry it is called"
        placeholder="deck_boards"
        :name="draft.name"
        :issue="issueAt('jig', 0, 'name')"
        @rename="(name) => write({ name })"
      />
      <TextField
        is-wide
        :model-value="draft.about"
        label="What it is for"
        maxlength="2000"
        @update:model-value="(about: string) => write({ about })"
      />
    </div>

    <p v-for="one in newer" :key="one.id" class="newer">
      It uses {{ one.name }}, of which there is version {{ one.version }} now.
      <PlainButton data-test="use-newer" @click="write({ uses: draft.uses.filter(({ id }) => id !== one.id) })"
        >Use version {{ one.version }}</PlainButton
      >
    </p>

    <h2>Inputs</h2>
    <ol class="parts">
      <JigInputCard
        v-for="(input, at) in draft.inputs"
        :key="at"
        :input
        :issue-of="(field) => issueAt('input', at, field)"
        :data-input="at"
        @write="(said) => writeInput(at, said)"
        @rename="(name) => renameInput(at, name)"
        @titled="nameInput(at)"
        @remove="draft = withoutInput(draft, at)"
      />
    </ol>
    <PlainButton
      v-if="draft.inputs.length < JIG_LIMITS.inputs"
      data-test="add-input"
      @click="write({ inputs: [...draft.inputs, { ...NEW_INPUT }] })"
      ><Plus :size="18" aria-hidden="true" />Input</PlainButton
    >

    <h2>Steps</h2>
    <ol class="parts">
      <JigStepCard
        v-for="(step, at) in draft.steps"
        :key="at"
        :step
        :issue-of="(field) => issueAt('step', at, field)"
        :reading="readingOf(at)"
        :names="namesBefore(at)"
        :figures="figures.filter((figure) => figure.step === at)"
        :is-first="at === 0"
        :is-last="at === draft.steps.length - 1"
        :data-step="at"
        @write="(said) => writeStep(at, said)"
        @rename="(name) => renameStep(at, name)"
        @titled="nameStep(at)"
        @to-input="toInput"
        @move="(by) => moveStep(at, by)"
        @remove="write({ steps: without(draft.steps, at) })"
      />
    </ol>
    <PlainButton data-test="add-step" @click="write({ steps: [...draft.steps, { ...NEW_STEP }] })"
      ><Plus :size="18" aria-hidden="true" />Step</PlainButton
    >

    <h2>Checks</h2>
    <p class="about">With these inputs it must come to that. They are run whenever the jig is changed.</p>
    <ol class="parts">
      <JigCheckCard
        v-for="(check, at) in draft.checks"
        :key="at"
        :check
        :inputs="draft.inputs"
        :steps="draft.steps"
        :came="checks[at]"
        :data-check="at"
        @write="(said) => writeCheck(at, said)"
        @remove="write({ checks: without(draft.checks, at) })"
      />
    </ol>
    <PlainButton v-if="draft.checks.length < JIG_LIMITS.checks" data-test="add-check" @click="addCheck"
      ><Plus :size="18" aria-hidden="true" />Check</PlainButton
    >
  </section>
</template>

<style scoped src="./writing.css"></style>
<style scoped>
.writing {
  min-width: 0;
  padding: 0 16px 30px;
}
.bar {
  position: sticky;
  top: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 0;
  background: var(--ground);
  border-bottom: 1px solid var(--groove);
}
.bar .wrong {
  flex-basis: 100%;
}
h1 {
  flex: 1;
  min-width: 0;
  margin: 0;
  font-size: 22px;
  font-weight: 600;
}
h2 {
  margin: 18px 0 6px;
  font-size: 19px;
  font-weight: 600;
}
.newer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 10px 0 0;
}
.parts {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
