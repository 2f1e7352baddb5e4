<script setup lang="ts">
/** Setting out: a shape from the sizes that are known, drawn to scale as they are written. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import {
  isMetric,
  fieldEntry,
  nameFromLabel,
  slateEntry,
  SOLVERS,
  type Edge,
  type Ends,
  type Field,
  type Solver,
} from '@sprell/core';
import { Printer } from 'lucide-vue-next';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import AppHead from '../../parts/head/AppHead.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import type { SetOut } from '../../job/index.ts';
import ArcOrdinates from './ArcOrdinates.vue';
import AtHand from './AtHand.vue';
import FigurePicture from './FigurePicture.vue';
import JackLengths from './JackLengths.vue';
import KeepForm from './KeepForm.vue';
import KeptList from './KeptList.vue';
import ShapeField from './ShapeField.vue';
import ShapeList from './ShapeList.vue';
import SolvedSays from './SolvedSays.vue';
import { SAMPLES } from './samples.ts';
import { putInFields, useSetOut } from './use-set-out.ts';
import { VOLUME_UNITS, VOLUMES_IN } from './volume-units.ts';

const SpacingMarks = defineAsyncComponent(() => import('./SpacingMarks.vue'));
const FigurePrint = defineAsyncComponent(() => import('./FigurePrint.vue'));

const props = defineProps<{ shape: string }>();

const VOLUMES = [
  ['', 'the units of the job'],
  ...VOLUME_UNITS.map(({ words, title }) => [words, title] as const),
] as const;

const jobs = useJobs();
const job = useJob();
const router = useRouter();
onMounted(async () => {
  if (job.head === undefined) await jobs.start();
});

const solver = computed(() => SOLVERS.find(({ id }) => id === props.shape) ?? (SOLVERS[0] as Solver));
const setOut = useSetOut(solver);
const {
  givens,
  given,
  give,
  clear,
  before,
  goBack,
  opened,
  isChanged,
  solved,
  chosen,
  answer,
  read,
  readings,
  volumeUnit,
} = setOut;

const form = ref<HTMLElement>();
const active = ref<string>();
watch(solver, () => {
  active.value = undefined;
  isOnPaper.value = false;
});
const isOnPaper = ref(false);
/** What can be written first, then what comes of it. */
const fields = computed(() => {
  const all = [...solver.value.fields, ...(solver.value.asks ?? [])];
  const isThere = ({ id, besides }: Field) => besides !== true || answer.value?.known[id] !== undefined;
  return [...all.filter((field) => field.given), ...all.filter((field) => !field.given && isThere(field))];
});
/** What holds where a field is left empty; before anything is given, what could be. */
function hint({ id, otherwise }: Field): string | undefined {
  if (otherwise) return isMetric(job.style.length) ? otherwise.metric : otherwise.imperial;
  return givens.value.length === 0 ? SAMPLES[solver.value.id]?.find(([field]) => field === id)?.[1] : undefined;
}
const edge = computed((): Edge => EDGES.find((one) => one === given('edge')) ?? 'near');
const hasVolumes = computed(() => fields.value.some(({ kind }) => kind === 'volume'));
const isFound = (field: Field) => answer.value?.known[field.id]?.how === 'found';

/** Goes to a field: by a touch on its size in the picture. */
async function goTo(field: string): Promise<void> {
  active.value = field;
  await nextTick();
  form.value?.querySelector<HTMLInputElement>(`[data-field="${field}"] input`)?.focus();
}
/** Writes a mark or a line where the cursor is, or in the first field that is empty. */
function use(entry: string): void {
  const id = active.value ?? fields.value.find((field) => field.given && given(field.id) === '')?.id;
  if (id === undefined) return;
  const input = form.value?.querySelector<HTMLInputElement>(`[data-field="${id}"] input`);
  const text = given(id);
  const at = document.activeElement === input ? (input?.selectionStart ?? text.length) : text.length;
  give(id, text.slice(0, at) + entry + text.slice(at));
  void goTo(id);
}

function toSlate(field: Field): void {
  const known = answer.value?.known[field.id];
  if (known)
    job.lines.land(`${field.title.toLowerCase()}: ${slateEntry(field, known, job.style, volumeUnit.value?.words)}`);
}
function keep(field: Field): void {
  const known = answer.value?.known[field.id];
  const names = job.marks.list.map(({ name }) => name);
  const name = nameFromLabel(field.title.toLowerCase(), names);
  if (known && name !== undefined) job.lines.land(`${name} = ${fieldEntry(known, job.style)}`);
}

/** Opens a setting-out of the job: in the fields of this shape, or of its own. */
async function open(kept: SetOut): Promise<void> {
  if (kept.shape === solver.value.id) {
    setOut.open(kept);
    return;
  }
  putInFields(job.head?.id, kept);
  await router.push(`/setting-out/${kept.shape}`);
}
const keepAs = (name: string) => setOut.belongTo(job.setOuts.add({ name, ...setOut.content() }));
function write(name: string): void {
  if (!opened.value) return;
  job.setOuts.edit({ id: opened.value.id, name, ...setOut.content() });
  setOut.belongTo(opened.value.id);
}

/** What is printed next to the drawing: all that was given or found, in the order of the fields. */
const sizes = computed(() =>
  fields.value.flatMap((field) => {
    const reading = readings.value[field.id];
    return reading === undefined ? [] : [[field.title, reading] as const];
  }),
);

/** Members over a length have places to be marked. */
/** What of a member is marked; it is kept with the fields, as is what it is set back by. */
const EDGES: readonly Edge[] = ['near', 'centre', 'far'];
const ENDS: Readonly<Record<string, Ends>> = {
  'spacing-gaps': 'gaps',
  'spacing-members': 'members',
  'spacing-centres': 'rest',
};
const ends = computed((): Ends | undefined => {
  const { id } = solver.value;
  return ENDS[id];
});

const titleOf = (id: string) => fields.value.find((field) => field.id === id)?.title ?? id;
</script>

<template>
  <main class="view">
    <AppHead title="Setting out" />
    <ShapeList :chosen="solver.id" />
    <KeptList :open-id="opened?.id" @open="open" />
    <div class="body">
      <section ref="form" class="form" :aria-label="solver.title">
        <div class="title">
          <h2>{{ solver.title }}</h2>
          <PlainButton
            v-if="answer?.figure"
            :aria-pressed="isOnPaper"
            title="The drawing on paper: PDF, SVG, full size"
            data-test="on-paper"
            @click="isOnPaper = !isOnPaper"
            ><Printer :size="18" aria-hidden="true" /><span class="sr-only">On paper</span></PlainButton
          >
          <PlainButton v-if="before" data-test="go-back" @click="goBack">Back to what was here</PlainButton>
          <PlainButton v-else :disabled="givens.length === 0" data-test="clear" @click="clear">Start again</PlainButton>
        </div>
        <KeepForm
          :opened
          :is-changed
          :is-empty="givens.length === 0"
          @keep="keepAs"
          @write="write"
          @remove="opened && job.setOuts.remove(opened.id)"
        />
        <ShapeField
          v-for="field in fields"
          :key="field.id"
          :field
          :text="given(field.id)"
          :placeholder="hint(field)"
          :issue="solved.issues[field.id]"
          :found="read(field)"
          :is-found="isFound(field)"
          :active="active === field.id"
          @give="(entry) => give(field.id, entry)"
          @focus="active = field.id"
          @slate="toSlate(field)"
          @keep="keep(field)"
        />
        <PickList
          v-if="hasVolumes"
          class="volumes"
          label="Volumes in"
          :choices="VOLUMES"
          :model-value="given(VOLUMES_IN)"
          data-test="volumes-in"
          @update:model-value="(words) => give(VOLUMES_IN, words ?? '')"
        />
        <p class="source">Worked out by: {{ solver.source }}</p>
      </section>
      <div class="work">
        <ChoiceBar
          v-if="solved.answers.length > 1"
          v-model="chosen"
          class="answers"
          label="Which of the two"
          :choices="solved.answers.map(({ title }, at) => [at, title] as const)"
          test="answer"
        />
        <SolvedSays :solved :answer :title-of @take-out="(field) => give(field, '')" />
        <FigurePicture
          v-if="answer?.figure"
          class="figure"
          :figure="answer.figure"
          :title="solver.title"
          :readings
          :active
          @pick="goTo"
        />
        <div v-else class="figure" />
        <FigurePrint
          v-if="answer?.figure && isOnPaper"
          class="marks"
          :figure="answer.figure"
          :title="opened?.name ?? solver.title"
          :readings
          :sizes
        />
        <AtHand @use="use" />
        <ArcOrdinates
          v-if="solver.id === 'arc' && answer?.figure"
          class="marks"
          :answer
          :every="given('every')"
          @update:every="(entry) => give('every', entry)"
        />
        <JackLengths v-if="solver.id === 'jacks' && answer?.figure" class="marks" :answer />
        <SpacingMarks
          v-if="ends && answer?.figure"
          class="marks"
          :answer
          :ends
          :edge="edge"
          :set-back="given('setBack')"
          @update:edge="(one) => give('edge', one)"
          @update:set-back="(entry) => give('setBack', entry)"
        />
      </div>
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.body {
  flex: 1;
  display: grid;
  grid-template-columns: 430px minmax(0, 1fr);
}
.form {
  border-right: 1px solid var(--groove);
}
.title {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--groove);
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 19px;
  font-weight: 600;
}
.source {
  margin: 0;
  padding: 10px 16px;
  font-size: 14px;
  color: var(--ink-soft);
}
.volumes {
  padding: 8px 16px;
}
.work {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  min-width: 0;
}
.figure {
  height: max(300px, calc(100dvh - 320px));
  background: var(--board);
  border-bottom: 1px solid var(--groove);
}
.answers {
  padding: 8px 16px;
}
@media (max-width: 820px) {
  .body {
    display: flex;
    flex-direction: column;
  }
  .work {
    display: contents;
  }
  .work > * {
    order: -1;
  }
  /* It stays in view while the fields beneath are written. */
  .figure {
    position: sticky;
    top: 0;
    z-index: 1;
    height: 236px;
  }
  /* What is gone to is not to lie under it. */
  .form :deep(:is(input, button, select)) {
    scroll-margin-top: 250px;
  }
  .work > .marks {
    order: 1;
  }
  .form {
    border-right: 0;
  }
}
</style>
