<script setup lang="ts">
/** The whole story stick: the rod with every mark, a stretch of it drawn larger, and the story of one mark. */
import { computed, onMounted, ref } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import { useRouter } from 'vue-router';
import { kindOf, readQuantity, rodOf } from '@sprell/core';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import SizeText from '../../ui/SizeText.vue';
import { insertAtEnd } from '../../parts/entry/written-down.ts';
import { ordered, type MarkOrder } from '../../parts/marks/mark-order.ts';
import ListUses from '../../parts/result/ListUses.vue';
import AppHead from '../../parts/head/AppHead.vue';
import type { JobMark } from '../../job/index.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import { MarkStories } from '../../job/mark-story.ts';
import { isOnRod } from '../../parts/marks/mark-on-rod.ts';
import MarkStoryPanel from './MarkStoryPanel.vue';
import MarkTable from './MarkTable.vue';
import RodAndGlass from './RodAndGlass.vue';
import RodPrint from './RodPrint.vue';

const jobs = useJobs();
const job = useJob();
const stories = new MarkStories(job);
const router = useRouter();
onMounted(async () => {
  if (job.head === undefined) await jobs.start();
});

const shows = ref<'rod' | 'list' | 'print'>('rod');
const VIEWS = [
  ['rod', 'Rod'],
  ['list', 'List'],
  ['print', 'Print'],
] as const;
const gaps = ref(false);
const order = useKept<MarkOrder>('stick.order', 'size');

const rod = computed(() => rodOf(job.marks.list.filter(isOnRod)));
const lengths = computed(() => new Set(rod.value.marks.map(({ mark }) => mark.name)));
const others = computed(() => job.marks.list.filter(({ name }) => !lengths.value.has(name)));

/** The mark that is looked at, with the line that stored it: it is the same one under another name. */
const picked = ref<{ readonly name: string; readonly keptBy: string | undefined }>();
function pick(name: string): void {
  picked.value = { name, keptBy: job.marks.list.find((mark) => mark.name === name)?.keptBy };
}
const chosen = computed(() => {
  const found =
    job.marks.list.find(({ name }) => name === picked.value?.name) ??
    job.marks.list.find(({ keptBy }) => keptBy !== undefined && keptBy === picked.value?.keptBy);
  return found?.name ?? job.marks.inHand?.name ?? job.marks.list[0]?.name;
});
const story = computed(() => (chosen.value === undefined ? undefined : stories.of(chosen.value)));
function noteOf({ keptBy }: JobMark): string {
  return job.slate.rows.find(({ line }) => line.id === keptBy)?.line.note ?? '';
}

const isWide = useMediaQuery('(min-width: 1024px)');

const isClearing = ref(false);
const usersOfAny = computed(() =>
  isClearing.value ? [...new Set(job.marks.list.flatMap(({ name }) => stories.of(name)?.usedBy ?? []))] : [],
);
function clear(keepValues: boolean): void {
  isClearing.value = false;
  stories.removeMarks(
    job.marks.list.map(({ name }) => name),
    keepValues,
  );
}

/** As they stand in the list. */
const listRows = () => [
  ['mark', 'kind', 'size', 'note'],
  ...ordered(job.marks.list, order.value).map((mark) => [
    mark.name,
    mark.quantity ? kindOf(mark.quantity.dimension) : '',
    mark.quantity ? readQuantity(mark.quantity, job.style).plain : mark.reading,
    noteOf(mark),
  ]),
];

function use(name: string): void {
  insertAtEnd(name);
  void router.push('/');
}
</script>

<template>
  <main class="view">
    <AppHead title="Story stick" />

    <div v-if="job.marks.list.length === 0" class="none">
      <p>No marks yet. On the bench, <b>store</b> puts a size on the story stick.</p>
      <PlainButton v-if="job.steps.undoSays" @click="job.steps.undo()">{{ job.steps.undoSays }}</PlainButton>
    </div>
    <div v-else class="body">
      <div class="bar">
        <ChoiceBar v-model="shows" label="What is shown" :choices="VIEWS" test="show" />
        <PlainButton
          v-if="shows === 'rod'"
          :aria-pressed="gaps"
          :class="{ on: gaps }"
          title="What lies between a mark and the one below it"
          data-test="gaps"
          @click="gaps = !gaps"
          >Gaps</PlainButton
        >
        <ListUses
          v-if="shows === 'list'"
          :title="`${job.head?.title ?? ''} story stick`"
          :rows="listRows"
          :lines="
            () =>
              listRows()
                .slice(1)
                .map(([name, , size, note]) => `${name}: ${size}${note ? ` (${note})` : ''}`)
          "
        />
        <PlainButton class="clear" data-test="clear-marks" @click="isClearing = true">Delete all marks</PlainButton>
      </div>
      <QuestionDialog v-if="isClearing" title="Delete all marks?" @leave="isClearing = false">
        <p>
          Delete all {{ job.marks.list.length }} marks? The lines that kept them stay on the slate without the names.
          <template v-if="usersOfAny.length > 0">{{ usersOfAny.join(', ') }} use them.</template>
        </p>
        <template #answers>
          <PlainButton v-if="usersOfAny.length > 0" leading data-test="clear-keeping" @click="clear(true)"
            >Keep their values</PlainButton
          >
          <PlainButton data-test="clear-now" @click="clear(false)">Delete</PlainButton>
          <PlainButton @click="isClearing = false">Cancel</PlainButton>
        </template>
      </QuestionDialog>

      <RodAndGlass
        v-if="shows === 'rod'"
        class="rods"
        :rod
        :style="job.style"
        :chosen
        :in-hand="job.marks.inHand?.name"
        :gaps
        @choose="pick"
      />
      <div v-if="shows === 'rod' && others.length > 0" class="others">
        <h2>Not lengths</h2>
        <ul>
          <li v-for="mark in others" :key="mark.name">
            <button
              type="button"
              class="other"
              :class="{ chosen: mark.name === chosen }"
              :data-label="mark.name"
              @click="pick(mark.name)"
            >
              {{ mark.name }} <SizeText class="figure" :text="mark.reading" />
            </button>
          </li>
        </ul>
      </div>
      <div v-if="shows === 'list'" class="list">
        <MarkTable
          v-model:order="order"
          :marks="job.marks.list"
          :rod
          :style="job.style"
          :chosen
          :note-of="noteOf"
          @choose="pick"
        />
      </div>
      <RodPrint v-if="shows === 'print'" class="print" />
      <component :is="isWide ? 'aside' : 'div'" class="side">
        <MarkStoryPanel
          v-if="story"
          :key="job.head?.id"
          :story
          @use="use"
          @renamed="pick"
          @removed="picked = undefined"
        />
      </component>
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.none {
  margin: 0;
  padding: 16px;
}
.body {
  flex: 1;
  display: grid;
  grid-template: 'bar side' auto 'main side' minmax(0, 1fr) 'others side' auto / minmax(0, 1fr) 400px;
}
.bar {
  grid-area: bar;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 16px;
}
.bar .on {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--ground);
}
.bar .on:hover {
  color: var(--ground);
}
.clear {
  margin-left: auto;
}
.rods {
  grid-area: main;
  padding: 4px 16px 12px;
}
.others {
  grid-area: others;
  padding: 0 16px 12px;
}
.others h2 {
  margin: 0;
  font-size: 16px;
  border-bottom: 1px solid var(--ink);
}
.others ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
.other {
  min-height: var(--touch);
  padding: 0 12px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  cursor: pointer;
}
.other.chosen {
  border-color: var(--chalk);
  background: var(--chalk);
  color: var(--on-chalk);
}
.figure {
  font-family: var(--figures);
  font-weight: 600;
}
.list {
  grid-area: main;
  padding: 0 16px 12px;
  overflow-x: auto;
}
.print {
  grid-area: main;
  padding: 0 16px 12px;
}
.side {
  grid-area: side;
  padding: 10px 16px 24px;
  border-left: 1px solid var(--groove);
}
@media (min-width: 1024px) {
  .view {
    height: 100dvh;
    min-height: 0;
  }
  .body {
    min-height: 0;
  }
  .rods,
  .list,
  .print,
  .side {
    min-height: 0;
    overflow-y: auto;
  }
}
@media (max-width: 1023px) {
  .body {
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--groove);
  }
}
@media (max-width: 760px) {
  .rods {
    padding: 4px 8px 12px;
  }
}
</style>
