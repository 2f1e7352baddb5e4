<script setup lang="ts">
/** Setting out: a shape from the sizes that are known, drawn to scale as they are written. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { isMetric, fieldEntry, slateEntry, SOLVERS, type Edge, type Ends, type Field, type Solver } from '@sprell/core';
import { Printer } from 'lucide-vue-next';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import AtHand from '../../parts/field/AtHand.vue';
import { goToInput } from '../../parts/field/size-inputs.ts';
import { useAtHand } from '../../parts/field/use-at-hand.ts';
import ListUses from '../../parts/result/ListUses.vue';
import AppHead from '../../parts/head/AppHead.vue';
import { useOwnKeys } from '../../live/own-keys.ts';
import { namesOf, useSaidFields } from '../../live/said-fields.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import type { SetOut } from '../../job/index.ts';
import ArcOrdinates from './ArcOrdinates.vue';
import FigurePicture from './FigurePicture.vue';
import JackLengths from './JackLengths.vue';
import KeepForm from './KeepForm.vue';
import AnswerRow from './AnswerRow.vue';
import { inWantedOrder } from './first-wanted.ts';
import GivenField from './GivenField.vue';
import ShapeBar from './ShapeBar.vue';
import ShapeList from './ShapeList.vue';
import SolvedSays from './SolvedSays.vue';
import { PICTURES, SAMPLES } from './samples.ts';
import { putInFields, useSetOut } from './use-set-out.ts';
import { shortTitle } from './short-title.ts';
import { VOLUME_UNITS, VOLUMES_IN } from '../../parts/figure/volume-units.ts';

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
/** All shapes are shown until one is chosen. */
const isChoosing = ref(props.shape === '');
watch(solver, () => {
  active.value = undefined;
  isChoosing.value = false;
  isOnPaper.value = false;
});
const isOnPaper = ref(false);
useSaidFields(() => ({
  fields: givable.value.map(({ id, title, kind }) => ({
    id,
    names: namesOf(shortTitle(title), title, ...(kind === 'pitch' ? ['Pitch', 'Slope'] : [])),
    isPlain: kind === 'count',
    put: (entry) => {
      give(id, entry);
      active.value = id;
    },
  })),
}));
const all = computed(() => [...solver.value.fields, ...(solver.value.asks ?? [])]);
const givable = computed(() => all.value.filter((field) => field.given));
const answers = computed(() =>
  inWantedOrder(
    solver.value.id,
    all.value.filter((field) => answer.value?.known[field.id]?.how === 'found'),
  ).flatMap(({ field, isLarge }) => {
    const found = read(field);
    return found ? [{ field, isLarge, found }] : [];
  }),
);
/** What holds where a field is left empty; before anything is given, what could be. */
function hint({ id, otherwise }: Field): string | undefined {
  if (answer.value?.known[id]?.how === 'found') return `= ${readings.value[id]}`;
  if (otherwise) return isMetric(job.style.length) ? otherwise.metric : otherwise.imperial;
  return givens.value.length === 0 ? SAMPLES[solver.value.id]?.find(([field]) => field === id)?.[1] : undefined;
}
const edge = computed((): Edge => EDGES.find((one) => one === given('edge')) ?? 'near');
const hasVolumes = computed(() => all.value.some(({ kind }) => kind === 'volume'));

/** Goes to a field: by a touch on its size in the picture. */
async function goTo(field: string): Promise<void> {
  active.value = field;
  await nextTick();
  form.value?.querySelector<HTMLInputElement>(`[data-field="${field}"] input`)?.focus();
}
const use = useAtHand();
/** They stand above the keys there. */
const ownKeys = useOwnKeys();

/** The entry that comes to a size: for a line of the slate, and for a mark, which keeps no reading of its own. */
function entryOf(field: Field): string | undefined {
  const known = answer.value?.known[field.id];
  return known && slateEntry(field, known, job.style, volumeUnit.value?.words);
}
function markEntryOf(field: Field): string | undefined {
  const known = answer.value?.known[field.id];
  return known && fieldEntry(known, job.style);
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
  all.value.flatMap((field) => {
    const reading = readings.value[field.id];
    return reading === undefined ? [] : [[field.title, reading] as const];
  }),
);

/** The same for another program: as it can be typed, and whether it was given or found. */
const listRows = () => [
  ['what', 'size', 'given or found'],
  ...all.value.flatMap((field) => {
    const known = answer.value?.known[field.id];
    const reading = read(field)?.reading;
    return known && reading ? [[field.title, reading.plain, known.how]] : [];
  }),
];
const listLines = () => [
  opened.value?.name ?? solver.value.title,
  ...listRows()
    .slice(1)
    .map(([what, size]) => `${what}: ${size}`),
];

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

/** Before anything is known the shape is drawn as it may be, with the names of its sizes. */
const figure = computed(() => answer.value?.figure ?? PICTURES[solver.value.id]);
const titleInShort = ({ title }: Field) => shortTitle(title);
const names = computed(() => Object.fromEntries(all.value.map(({ id, title }) => [id, shortTitle(title)])));

const titleOf = (id: string) => all.value.find((field) => field.id === id)?.title ?? id;
</script>

<template>
  <main class="view">
    <AppHead title="Setting out" />
    <ShapeBar v-model="isChoosing" :solver :open-id="opened?.id" @open="open" />
    <ShapeList v-if="isChoosing" :chosen="solver.id" @choose="isChoosing = false" />
    <div class="body">
      <section ref="form" class="form" :aria-label="solver.title">
        <div class="title">
          <h2>What you know</h2>
          <PlainButton v-if="before" data-test="go-back" @click="goBack">Undo start again</PlainButton>
          <PlainButton v-else :disabled="givens.length === 0" data-test="clear" @click="clear">Start again</PlainButton>
        </div>
        <div class="givens">
          <GivenField
            v-for="field in givable"
            :key="field.id"
            :field
            :text="given(field.id)"
            :placeholder="hint(field)"
            :issue="solved.issues[field.id]"
            :reading="given(field.id).trim() === '' ? undefined : read(field)?.reading"
            :active="active === field.id"
            @give="(entry) => give(field.id, entry)"
            @focus="active = field.id"
            @enter="goToInput(1)"
          />
        </div>
        <PickList
          v-if="hasVolumes"
          class="volumes"
          label="Volumes in"
          :choices="VOLUMES"
          :model-value="given(VOLUMES_IN)"
          data-test="volumes-in"
          @update:model-value="(words) => give(VOLUMES_IN, words ?? '')"
        />
        <KeepForm
          :opened
          :is-changed
          :is-empty="givens.length === 0"
          @keep="keepAs"
          @write="write"
          @remove="opened && job.setOuts.remove(opened.id)"
        />
        <p class="source">Worked out by: {{ solver.source }}</p>
      </section>
      <section class="found" aria-label="Answers">
        <div class="title">
          <h2>Answers</h2>
          <PlainButton
            v-if="answer?.figure"
            :aria-pressed="isOnPaper"
            title="The drawing on paper: PDF, SVG, full size"
            data-test="on-paper"
            @click="isOnPaper = !isOnPaper"
            ><Printer :size="18" aria-hidden="true" />On paper</PlainButton
          >
        </div>
        <ul v-if="answers.length > 0" class="answer-list">
          <AnswerRow
            v-for="{ field, isLarge, found } in answers"
            :key="field.id"
            :field
            :found
            :is-large
            :active="active === field.id"
            :entry="() => entryOf(field)"
            :mark="() => markEntryOf(field)"
            @look="active = field.id"
          />
        </ul>
        <p v-else class="none">They stand here as soon as enough is known.</p>
        <div v-if="answers.length > 0" class="list-out">
          <ListUses :title="opened?.name ?? solver.title" :rows="listRows" :lines="listLines" />
        </div>
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
          v-if="figure"
          class="figure"
          :figure
          :title="solver.title"
          :names
          :readings
          :active
          @pick="goTo"
        />
        <p v-if="answers.length > 0" class="in-short" aria-hidden="true">
          <span v-for="{ field, found } in answers.slice(0, 2)" :key="field.id"
            >{{ titleInShort(field) }} <SizeText class="short-size" :text="found.reading.text"
          /></span>
        </p>
        <FigurePrint
          v-if="answer?.figure && isOnPaper"
          class="marks"
          :figure="answer.figure"
          :title="opened?.name ?? solver.title"
          :readings
          :sizes
        />
        <AtHand v-if="!ownKeys" @use="use" />
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
  grid-template: 'form work found' auto / 370px minmax(0, 1fr) 380px;
}
.form {
  grid-area: form;
  border-right: 1px solid var(--groove);
}
.found {
  grid-area: found;
  border-left: 1px solid var(--groove);
}
.work {
  grid-area: work;
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  min-width: 0;
}
.list-out {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 10px 16px;
}
.title {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 60px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--groove);
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 19px;
  font-weight: 600;
}
.givens {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  padding: 6px 8px;
  border-bottom: 1px solid var(--groove);
}
.answer-list {
  margin: 0;
  padding: 0;
  list-style: none;
}
.none,
.source {
  margin: 0;
  padding: 10px 16px;
  color: var(--ink-soft);
}
.source {
  font-size: 14px;
}
.volumes {
  padding: 8px 16px;
}
.in-short {
  display: none;
}
.figure {
  height: max(300px, calc(100dvh - 260px));
  background: var(--board);
  border-bottom: 1px solid var(--groove);
}
.answers {
  padding: 8px 16px;
}
@media (max-width: 1179px) {
  .body {
    grid-template: 'form work' auto 'form found' 1fr / 370px minmax(0, 1fr);
  }
  .work {
    position: static;
  }
  .found {
    border-left: 0;
  }
  .figure {
    height: 360px;
  }
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
  /* Drawing and first answers stay in view while the fields beneath are written; with the keys there is less of it. */
  .body {
    --picture: clamp(130px, 210px - var(--dock, 0px), 210px);
  }
  .figure {
    position: sticky;
    top: 0;
    z-index: 1;
    height: var(--picture);
    min-height: 0;
  }
  .in-short {
    position: sticky;
    top: var(--picture);
    z-index: 1;
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 12px;
    margin: 0;
    padding: 4px 16px;
    border-bottom: 1px solid var(--groove);
    background: var(--ground);
    font-size: 14px;
    line-height: 1.15;
  }
  .in-short > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .short-size {
    display: block;
    font: 600 24px/1.1 var(--figures);
    color: var(--chalk);
    white-space: nowrap;
  }
  /* What is gone to is not to lie under them. */
  .form :deep(:is(input, button, select)) {
    scroll-margin-top: 280px;
  }
  .work > .marks {
    order: 1;
  }
  .form {
    border-right: 0;
  }
}
</style>
