<script setup lang="ts">
/** A jig as it is written: its inputs, its steps one by one, which of them are answers, and what it is checked by. */
import { computed, ref } from 'vue';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-vue-next';
import { describeIssue, nameFromLabel, readQuantity, type Issue } from '@sprell/core';
import {
  figuresIn,
  figureToInput,
  INPUT_KINDS,
  readJig,
  runChecks,
  runJig,
  writtenSteps,
  type Figure,
  type InputKind,
  type JigCheck,
  type JigInput,
  type JigSet,
  type JigStep,
} from '@sprell/core/jig';
import IconButton from '../../ui/IconButton.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';
import { useJob } from '../../live/use-jobs.ts';
import type { ShelfJig } from '../../job/index.ts';
import { NEW_INPUT, NEW_STEP, setOf, withName, withUses, type JigDraft } from './draft.ts';
import JigEntry from './JigEntry.vue';

const props = defineProps<{ start: JigDraft; others: readonly ShelfJig[] }>();
const emit = defineEmits<{ save: [draft: JigDraft, set: JigSet]; leave: [] }>();
const job = useJob();
const draft = ref<JigDraft>(props.start);

const KINDS = INPUT_KINDS.map((kind): readonly [InputKind, string] => [
  kind,
  kind === 'rate' ? 'so much for each' : kind,
]);
const TAKES = [
  ['once', 'once'],
  ['sum', 'repeated, added up'],
  ['largest', 'repeated, the largest'],
  ['smallest', 'repeated, the smallest'],
  ['list', 'repeated, as a list'],
] as const;
type Takes = (typeof TAKES)[number][0];

const taken = computed(() => [...draft.value.inputs, ...draft.value.steps].map(({ name }) => name).filter(Boolean));
const whole = computed(() =>
  withUses(
    draft.value,
    props.others.filter(({ id }) => id !== draft.value.id).map(({ set }) => set),
  ),
);
const read = computed(() => readJig(setOf(whole.value)));
/** A field that nobody has written in yet is not complained about before somebody wants to save. */
const isAsked = ref(false);
function issueAt(part: 'jig' | 'input' | 'step' | 'check', index: number, field: string): Issue | undefined {
  const found = read.value.troubles.find(
    (one) => one.jig === undefined && one.part === part && one.index === index && one.field === field,
  );
  return found !== undefined && (isAsked.value || found.issue.code !== 'entry.empty') ? found.issue : undefined;
}
const nameIssue = (part: 'jig' | 'input' | 'step', index: number, name: string) =>
  isAsked.value || name !== '' ? issueAt(part, index, 'name') : undefined;
const steps = computed(() => {
  const { program } = read.value;
  const run = program && runJig(program, []);
  return program && run?.ok ? writtenSteps(program, run.value, job.style) : [];
});
const readingOf = (index: number) => {
  const step = steps.value[index];
  if (step?.outcome?.kind === 'answer') return step.outcome.yes ? 'yes' : 'no';
  return step?.readings.map(({ text }) => text).join(', ');
};
const names = computed(() => taken.value.map((name) => ({ name, reading: '' })));

function write(said: Partial<JigDraft>): void {
  draft.value = { ...draft.value, ...said };
}
function writeInput(index: number, said: Partial<JigInput>): void {
  write({ inputs: draft.value.inputs.map((input, at) => (at === index ? { ...input, ...said } : input)) });
}
function writeStep(index: number, said: Partial<JigStep>): void {
  write({ steps: draft.value.steps.map((step, at) => (at === index ? { ...step, ...said } : step)) });
}
function writeCheck(index: number, said: Partial<JigCheck>): void {
  write({ checks: draft.value.checks.map((check, at) => (at === index ? { ...check, ...said } : check)) });
}
/** What is called by its title is named after it, until it has a name of its own. */
const proposed = (title: string) => nameFromLabel(title.toLowerCase(), taken.value) ?? '';
function nameInput(index: number): void {
  const input = draft.value.inputs[index];
  if (input?.name === '' && input.title.trim() !== '') writeInput(index, { name: proposed(input.title) });
}
function nameStep(index: number): void {
  const step = draft.value.steps[index];
  if (step?.name === '' && step.title.trim() !== '') writeStep(index, { name: proposed(step.title) });
}
function nameJig(): void {
  if (draft.value.name === '' && draft.value.title.trim() !== '')
    write({ name: nameFromLabel(draft.value.title.toLowerCase()) ?? '' });
}
function renameInput(index: number, name: string): void {
  const from = draft.value.inputs[index]?.name ?? '';
  draft.value = withName(draft.value, from, name);
  writeInput(index, { name });
}
function renameStep(index: number, name: string): void {
  const from = draft.value.steps[index]?.name ?? '';
  draft.value = withName(draft.value, from, name);
  writeStep(index, { name });
}
function moveStep(index: number, by: number): void {
  const list = [...draft.value.steps];
  const [step] = list.splice(index, 1);
  if (step) list.splice(index + by, 0, step);
  write({ steps: list });
}
function setTake(index: number, take: Takes): void {
  const { repeat } = draft.value.steps[index] as JigStep;
  writeStep(index, { repeat: take === 'once' ? null : { counter: 'n', from: '1', to: '', ...repeat, take } });
}
const without = <T,>(list: readonly T[], index: number): readonly T[] => list.filter((_, at) => at !== index);

const figures = computed(() => figuresIn(draft.value));
function toInput(figure: Figure): void {
  const title = `${figure.kind} ${draft.value.inputs.filter(({ kind }) => kind === figure.kind).length + 1}`;
  const name = nameFromLabel(title, taken.value) ?? '';
  draft.value = { ...draft.value, ...figureToInput(draft.value, figure, { name, title }, true) };
}

const failing = computed(() => {
  const { program } = read.value;
  return program ? runChecks(setOf(whole.value).jig, program).filter(({ holds }) => !holds) : [];
});
const isWarned = ref(false);
/** What is wrong and stands at no field that is shown. */
const elsewhere = computed(() =>
  read.value.troubles.filter(({ part, jig, field }) => jig !== undefined || (part === 'jig' && field !== 'name')),
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
  emit('save', draft.value, setOf(whole.value));
}
const readCheck = (index: number) => {
  const { program } = read.value;
  const found = program && runChecks(setOf(whole.value).jig, program)[index];
  if (found === undefined) return '';
  if (found.holds) return 'It holds.';
  const { got, issue } = found;
  const comes =
    got?.kind === 'quantity'
      ? readQuantity(got.quantity, job.style).text
      : got?.kind === 'answer'
        ? got.yes
          ? 'yes'
          : 'no'
        : issue
          ? describeIssue(issue)
          : 'nothing';
  return `It comes to ${comes}.`;
};
</script>

<template>
  <section class="writing" :aria-label="start.id === undefined ? 'A new jig' : 'Edit the jig'">
    <div class="bar">
      <h1>{{ start.id === undefined ? 'New jig' : start.title }}</h1>
      <PlainButton data-test="leave-jig" @click="emit('leave')">Cancel</PlainButton>
      <PlainButton leading data-test="save-jig" @click="save">Save</PlainButton>
    </div>
    <p v-if="isAsked && read.program === undefined" class="wrong" role="alert" data-test="jig-wrong">
      It cannot be saved yet:
      {{ elsewhere[0] ? describeIssue(elsewhere[0].issue) : 'what is wrong stands in red beneath its field.' }}
    </p>
    <p v-if="isAsked && draft.title.trim() === ''" class="wrong" role="alert">Give it a title.</p>
    <p v-if="isWarned && failing.length > 0" class="wrong" role="alert">
      {{ failing.length }} of its checks {{ failing.length === 1 ? 'does' : 'do' }} not hold. Touch Save again to save
      it all the same.
    </p>

    <div class="fields">
      <TextField
        :model-value="draft.title"
        label="Title"
        placeholder="Deck boards"
        data-test="jig-title"
        @update:model-value="(title: string) => write({ title })"
        @blur="nameJig"
      />
      <div>
        <TextField
          :model-value="draft.name"
          label="In an entry it is called"
          placeholder="deck_boards"
          data-test="jig-name"
          @update:model-value="(name: string) => write({ name })"
        />
        <p v-if="nameIssue('jig', 0, draft.name)" class="wrong">
          {{ describeIssue(nameIssue('jig', 0, draft.name) as Issue) }}
        </p>
      </div>
      <TextField
        is-wide
        :model-value="draft.about"
        label="What it is for"
        maxlength="2000"
        @update:model-value="(about: string) => write({ about })"
      />
    </div>

    <h2>Inputs</h2>
    <ol class="parts">
      <li v-for="(input, at) in draft.inputs" :key="at" :data-input="at">
        <div class="fields">
          <TextField
            :model-value="input.title"
            label="What is asked for"
            placeholder="Width of the deck"
            data-field="title"
            @update:model-value="(title: string) => writeInput(at, { title })"
            @blur="nameInput(at)"
          />
          <div>
            <TextField
              :model-value="input.name"
              label="Name in the steps"
              placeholder="width"
              data-field="name"
              @change="(name: string) => renameInput(at, name)"
              @update:model-value="(name: string) => input.name === '' && writeInput(at, { name })"
            />
            <p v-if="nameIssue('input', at, input.name)" class="wrong">
              {{ describeIssue(nameIssue('input', at, input.name) as Issue) }}
            </p>
          </div>
          <PickList
            :model-value="input.kind"
            label="Kind"
            :choices="KINDS"
            @update:model-value="(kind?: InputKind) => writeInput(at, { kind: kind ?? 'length' })"
          />
          <JigEntry
            :model-value="input.usual"
            label="Usual value"
            :issue="issueAt('input', at, 'usual')"
            @update:model-value="(usual: string) => writeInput(at, { usual })"
          />
        </div>
        <details>
          <summary>Unit, limits, hint</summary>
          <div class="fields">
            <div>
              <TextField
                :model-value="input.unit"
                label="A bare number is in"
                placeholder="in"
                @update:model-value="(unit: string) => writeInput(at, { unit })"
              />
              <p v-if="issueAt('input', at, 'unit')" class="wrong">
                {{ describeIssue(issueAt('input', at, 'unit') as Issue) }}
              </p>
            </div>
            <JigEntry
              :model-value="input.metric"
              label="Usual in a metric job"
              :issue="undefined"
              @update:model-value="(metric: string) => writeInput(at, { metric })"
            />
            <JigEntry
              :model-value="input.least"
              label="At least"
              :issue="issueAt('input', at, 'least')"
              @update:model-value="(least: string) => writeInput(at, { least })"
            />
            <JigEntry
              :model-value="input.most"
              label="At most"
              :issue="issueAt('input', at, 'most')"
              @update:model-value="(most: string) => writeInput(at, { most })"
            />
            <TextField
              is-wide
              :model-value="input.hint"
              label="Hint"
              @update:model-value="(hint: string) => writeInput(at, { hint })"
            />
            <el-checkbox
              :model-value="input.whole"
              label="Whole numbers only"
              @update:model-value="(whole_) => writeInput(at, { whole: whole_ === true })"
            />
          </div>
        </details>
        <IconButton name="Delete this input" class="delete" @click="write({ inputs: without(draft.inputs, at) })"
          ><Trash2 :size="18" aria-hidden="true"
        /></IconButton>
      </li>
    </ol>
    <PlainButton class="add" data-test="add-input" @click="write({ inputs: [...draft.inputs, { ...NEW_INPUT }] })"
      ><Plus :size="18" aria-hidden="true" />Input</PlainButton
    >

    <h2>Steps</h2>
    <ol class="parts steps">
      <li v-for="(step, at) in draft.steps" :key="at" :data-step="at">
        <div class="fields">
          <TextField
            :model-value="step.title"
            label="What it is"
            placeholder="Boards"
            data-field="title"
            @update:model-value="(title: string) => writeStep(at, { title })"
            @blur="nameStep(at)"
          />
          <div>
            <TextField
              :model-value="step.name"
              label="Name"
              placeholder="boards"
              data-field="name"
              @change="(name: string) => renameStep(at, name)"
              @update:model-value="(name: string) => step.name === '' && writeStep(at, { name })"
            />
            <p v-if="nameIssue('step', at, step.name)" class="wrong">
              {{ describeIssue(nameIssue('step', at, step.name) as Issue) }}
            </p>
          </div>
          <div class="wide" data-field="entry">
            <JigEntry
              :model-value="step.entry"
              label="Entry"
              placeholder="up(width / (board + gap))"
              :names
              :issue="issueAt('step', at, 'entry')"
              :reading="readingOf(at)"
              @update:model-value="(entry: string) => writeStep(at, { entry })"
            />
            <p v-if="figures.some((one) => one.step === at)" class="figures">
              <span>Make an input of</span>
              <button
                v-for="one in figures.filter((figure) => figure.step === at)"
                :key="one.start"
                type="button"
                :data-figure="one.text"
                @click="toInput(one)"
              >
                {{ one.text }}
              </button>
            </p>
          </div>
          <PickList
            :model-value="step.repeat?.take ?? 'once'"
            label="Worked out"
            :choices="TAKES"
            @update:model-value="(take?: Takes) => setTake(at, take ?? 'once')"
          />
          <template v-if="step.repeat">
            <TextField
              :model-value="step.repeat.counter"
              label="The count is called"
              @update:model-value="
                (counter: string) => step.repeat && writeStep(at, { repeat: { ...step.repeat, counter } })
              "
            />
            <JigEntry
              :model-value="step.repeat.from"
              label="From"
              :issue="issueAt('step', at, 'from')"
              @update:model-value="(from: string) => step.repeat && writeStep(at, { repeat: { ...step.repeat, from } })"
            />
            <JigEntry
              :model-value="step.repeat.to"
              label="To"
              :issue="issueAt('step', at, 'to')"
              @update:model-value="(to: string) => step.repeat && writeStep(at, { repeat: { ...step.repeat, to } })"
            />
          </template>
          <TextField
            :model-value="step.note"
            label="Note"
            maxlength="500"
            @update:model-value="(note: string) => writeStep(at, { note })"
          />
          <el-checkbox
            :model-value="step.isAnswer"
            label="An answer"
            data-test="is-answer"
            @update:model-value="(isAnswer) => writeStep(at, { isAnswer: isAnswer === true })"
          />
        </div>
        <span class="move">
          <IconButton name="Move this step up" :disabled="at === 0" @click="moveStep(at, -1)"
            ><ArrowUp :size="18" aria-hidden="true"
          /></IconButton>
          <IconButton name="Move this step down" :disabled="at === draft.steps.length - 1" @click="moveStep(at, 1)"
            ><ArrowDown :size="18" aria-hidden="true"
          /></IconButton>
          <IconButton name="Delete this step" @click="write({ steps: without(draft.steps, at) })"
            ><Trash2 :size="18" aria-hidden="true"
          /></IconButton>
        </span>
      </li>
    </ol>
    <PlainButton class="add" data-test="add-step" @click="write({ steps: [...draft.steps, { ...NEW_STEP }] })"
      ><Plus :size="18" aria-hidden="true" />Step</PlainButton
    >

    <h2>Checks</h2>
    <p class="about">With these inputs it must come to that. They are run whenever the jig is changed.</p>
    <ol class="parts">
      <li v-for="(check, at) in draft.checks" :key="at">
        <div class="fields">
          <TextField
            :model-value="check.title"
            label="What is checked"
            @update:model-value="(title: string) => writeCheck(at, { title })"
          />
          <TextField
            v-for="(input, place) in draft.inputs"
            :key="input.name"
            :model-value="check.inputs[place] ?? ''"
            :label="input.title || input.name"
            :placeholder="input.usual"
            @update:model-value="
              (text: string) =>
                writeCheck(at, { inputs: draft.inputs.map((_, n) => (n === place ? text : (check.inputs[n] ?? ''))) })
            "
          />
          <PickList
            :model-value="check.answer"
            label="Which answer"
            :choices="
              draft.steps.filter(({ isAnswer }) => isAnswer).map(({ name, title }) => [name, title || name] as const)
            "
            @update:model-value="(answer?: string) => writeCheck(at, { answer: answer ?? '' })"
          />
          <div>
            <TextField
              :model-value="check.comesTo"
              label="Must come to"
              @update:model-value="(comesTo: string) => writeCheck(at, { comesTo })"
            />
            <p class="about">{{ readCheck(at) }}</p>
          </div>
          <TextField
            :model-value="check.within"
            label="May be off by"
            @update:model-value="(within: string) => writeCheck(at, { within })"
          />
        </div>
        <IconButton name="Delete this check" class="delete" @click="write({ checks: without(draft.checks, at) })"
          ><Trash2 :size="18" aria-hidden="true"
        /></IconButton>
      </li>
    </ol>
    <PlainButton
      class="add"
      data-test="add-check"
      @click="
        write({
          checks: [
            ...draft.checks,
            {
              title: '',
              inputs: [],
              answer: draft.steps.find(({ isAnswer }) => isAnswer)?.name ?? '',
              comesTo: '',
              within: '',
            },
          ],
        })
      "
      ><Plus :size="18" aria-hidden="true" />Check</PlainButton
    >
  </section>
</template>

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
  align-items: center;
  gap: 8px;
  padding: 8px 0;
  background: var(--ground);
  border-bottom: 1px solid var(--groove);
}
h1 {
  flex: 1;
  margin: 0;
  font-size: 22px;
  font-weight: 600;
}
h2 {
  margin: 18px 0 6px;
  font-size: 19px;
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  align-items: start;
  gap: 8px 14px;
  padding: 8px 0;
}
.wide {
  grid-column: span 2;
}
.parts {
  margin: 0;
  padding: 0;
  list-style: none;
}
.parts > li {
  position: relative;
  margin-bottom: 8px;
  padding: 2px 56px 6px 12px;
  border: 1px solid var(--groove);
  border-radius: 3px;
}
.steps {
  counter-reset: step;
}
.delete,
.move {
  position: absolute;
  top: 6px;
  right: 6px;
}
.move {
  display: flex;
  flex-direction: column;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  margin: 0;
  color: var(--ink-soft);
  font-size: 15px;
}
.figures button {
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font: 600 16px/1 var(--figures);
  cursor: pointer;
}
.about {
  margin: 0;
  color: var(--ink-soft);
  font-size: 15px;
}
.wrong {
  margin: 4px 0;
  color: var(--pencil);
}
summary {
  min-height: 44px;
  padding: 10px 0 0;
  cursor: pointer;
}
@media (max-width: 820px) {
  .wide {
    grid-column: 1 / -1;
  }
}
</style>
