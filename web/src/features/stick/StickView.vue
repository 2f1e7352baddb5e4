<script setup lang="ts">
/** The whole story stick: the rod with every mark, a stretch of it drawn larger, and the story of one mark. */
import { computed, onMounted, ref, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import { useRouter } from 'vue-router';
import { ZoomIn, ZoomOut } from 'lucide-vue-next';
import {
  crowdedStretch,
  isMetric,
  readQuantity,
  rodOf,
  rodSheets,
  stretchAround,
  type SheetSize,
  type Stretch,
} from '@sprell/core';
import { remember, remembered } from '../../adapters/local-memory.ts';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { insertAtEnd } from '../bench/entry/written-down.ts';
import type { MarkOrder } from '../bench/stick/mark-order.ts';
import ScreenHead from '../bench/ScreenHead.vue';
import type { JobMark } from '../job/job-marks.ts';
import { useJobStore } from '../job/job.store.ts';
import { useMarkStory } from '../job/mark-story.ts';
import { isLain } from './lain-mark.ts';
import MarkStoryPanel from './MarkStoryPanel.vue';
import MarkTable from './MarkTable.vue';
import RodPicture from './RodPicture.vue';

const store = useJobStore();
const stick = useMarkStory();
const router = useRouter();
onMounted(async () => {
  if (store.job === undefined) await store.start();
});

const shows = ref<'rod' | 'list' | 'print'>('rod');
const VIEWS = [
  ['rod', 'Rod'],
  ['list', 'List'],
  ['print', 'Print'],
] as const;
const gaps = ref(false);
const order = ref<MarkOrder>(remembered<MarkOrder>('stick.order') ?? 'size');
watch(order, (now) => remember('stick.order', now));

const rod = computed(() => rodOf(store.marks.filter(isLain)));
const lengths = computed(() => new Set(rod.value.marks.map(({ mark }) => mark.name)));
const others = computed(() => store.marks.filter(({ name }) => !lengths.value.has(name)));

const picked = ref<string>();
const chosen = computed(() => {
  const names = store.marks.map(({ name }) => name);
  return picked.value !== undefined && names.includes(picked.value) ? picked.value : (store.inHand?.name ?? names[0]);
});
const story = computed(() => {
  void store.rows;
  return chosen.value === undefined ? undefined : stick.story(chosen.value);
});
function noteOf({ keptBy }: JobMark): string {
  void store.rows;
  return (keptBy === undefined ? undefined : store.jobLines.lines().get(keptBy)?.note) ?? '';
}

/** The stretch drawn larger: where the marks crowd, until it is moved. */
const ZOOMS = [1 / 2, 1 / 4, 1 / 8, 1 / 16, 1 / 32, 1 / 64];
/** So many labels can be read beside each other. */
const READABLE = 20;
const zoomed = ref<number>();
const zoom = computed({
  get: () => zoomed.value ?? readableZoom(),
  set: (step: number) => (zoomed.value = step),
});
function readableZoom(): number {
  const places = rod.value.marks.map(({ place }) => place);
  const fits = ZOOMS.findIndex((length, step) => {
    const { from, to } = crowdedStretch(places, length);
    return step >= 2 && places.filter((place) => place >= from && place <= to).length <= READABLE;
  });
  return fits === -1 ? ZOOMS.length - 1 : fits;
}
const middle = ref<number>();
const stretch = computed<Stretch>(() => {
  const length = ZOOMS[zoom.value] ?? 1 / 8;
  const places = rod.value.marks.map(({ place }) => place);
  return middle.value === undefined ? crowdedStretch(places, length) : stretchAround(middle.value, length);
});
const sliderAt = computed({
  get: () => (stretch.value.from + stretch.value.to) / 2,
  set: (place: number) => (middle.value = Number(place)),
});

const isWide = useMediaQuery('(min-width: 1024px)');

const sheet = ref<SheetSize>('a4');
const size = ref<'to-scale' | 'full-size'>('to-scale');
const sheets = computed(() => {
  const printed = rodOf(
    store.marks.filter(isLain).map((mark) => ({ ...mark, text: readQuantity(mark.quantity, store.style).text })),
  );
  return rodSheets(printed, {
    sheet: sheet.value,
    size: size.value,
    metric: isMetric(store.style.length),
    title: store.job?.title ?? '',
  });
});

const isClearing = ref(false);
const usersOfAny = computed(() =>
  isClearing.value
    ? [...new Set(store.marks.flatMap(({ name }) => stick.story(name)?.users.map(({ number }) => `#${number}`) ?? []))]
    : [],
);
function clear(keepValues: boolean): void {
  isClearing.value = false;
  stick.removeMarks(
    store.marks.map(({ name }) => name),
    keepValues,
  );
}

function use(name: string): void {
  insertAtEnd(name);
  void router.push('/');
}
</script>

<template>
  <main class="view">
    <ScreenHead title="Story stick" />

    <div v-if="store.marks.length === 0" class="none">
      <p>No marks yet. On the bench, <b>keep</b> puts a size on the story stick.</p>
      <PlainButton v-if="store.undoSays" @click="store.undo()">{{ store.undoSays }}</PlainButton>
    </div>
    <div v-else class="body">
      <div class="bar" role="group" aria-label="What is shown">
        <PlainButton
          v-for="[one, words] in VIEWS"
          :key="one"
          :aria-pressed="shows === one"
          :class="{ on: shows === one }"
          :data-test="`show-${one}`"
          @click="shows = one"
          >{{ words }}</PlainButton
        >
        <PlainButton
          v-if="shows === 'rod'"
          :aria-pressed="gaps"
          :class="{ on: gaps }"
          title="What lies between a mark and the one below it"
          data-test="gaps"
          @click="gaps = !gaps"
          >Gaps</PlainButton
        >
        <PlainButton class="clear" data-test="clear-marks" @click="isClearing = true">Take all marks off</PlainButton>
      </div>
      <div v-if="isClearing" class="ask" role="alertdialog" aria-label="Take all marks off?">
        <p>
          Take all {{ store.marks.length }} marks off the stick? The lines that kept them stay on the slate without the
          names.
          <template v-if="usersOfAny.length > 0">{{ usersOfAny.join(', ') }} use them.</template>
        </p>
        <PlainButton v-if="usersOfAny.length > 0" leading data-test="clear-keeping" @click="clear(true)"
          >Write their values there</PlainButton
        >
        <PlainButton data-test="clear-now" @click="clear(false)">Take off</PlainButton>
        <PlainButton @click="isClearing = false">Leave</PlainButton>
      </div>

      <div v-if="shows === 'rod'" class="rods">
        <RodPicture
          class="whole"
          :rod
          :style="store.style"
          :magnified="stretch"
          :chosen
          :in-hand="store.inHand?.name"
          :gaps
          title="The rod, every length in proportion"
          data-test="rod"
          @choose="(name) => (picked = name)"
          @point="(place) => (middle = place)"
        />
        <div class="glass">
          <div class="zoom">
            <PlainButton :disabled="zoom === 0" aria-label="A longer stretch" data-test="longer" @click="zoom -= 1"
              ><ZoomOut :size="18" aria-hidden="true"
            /></PlainButton>
            <input
              v-model.number="sliderAt"
              type="range"
              min="0"
              max="1"
              step="0.002"
              aria-label="The stretch of the rod that is drawn larger"
              data-test="stretch"
            />
            <PlainButton
              :disabled="zoom === ZOOMS.length - 1"
              aria-label="A shorter stretch, drawn larger"
              data-test="shorter"
              @click="zoom += 1"
              ><ZoomIn :size="18" aria-hidden="true"
            /></PlainButton>
          </div>
          <RodPicture
            class="part"
            :rod
            :style="store.style"
            :stretch
            one-sided
            :chosen
            :in-hand="store.inHand?.name"
            :gaps
            title="A stretch of the rod, drawn larger"
            data-test="glass"
            @choose="(name) => (picked = name)"
          />
        </div>
      </div>
      <div v-if="shows === 'rod' && others.length > 0" class="others">
        <h2>Of other kinds, beside the rod</h2>
        <ul>
          <li v-for="mark in others" :key="mark.name">
            <button
              type="button"
              class="other"
              :class="{ chosen: mark.name === chosen }"
              :data-label="mark.name"
              @click="picked = mark.name"
            >
              {{ mark.name }} <SizeText class="figure" :text="mark.reading" />
            </button>
          </li>
        </ul>
      </div>
      <div v-if="shows === 'list'" class="list">
        <MarkTable
          v-model:order="order"
          :marks="store.marks"
          :rod
          :style="store.style"
          :chosen
          :note-of="noteOf"
          @choose="(name) => (picked = name)"
        />
      </div>
      <div v-if="shows === 'print'" class="print">
        <div class="bar">
          <fieldset>
            <legend>Sheets of</legend>
            <label><input v-model="sheet" type="radio" value="a4" /> A4</label>
            <label><input v-model="sheet" type="radio" value="letter" /> US Letter</label>
          </fieldset>
          <fieldset>
            <legend>The rod</legend>
            <label
              ><input v-model="size" type="radio" value="to-scale" data-test="to-scale" /> to scale, on one sheet</label
            >
            <label
              ><input v-model="size" type="radio" value="full-size" data-test="full-size" /> full size, in strips to cut
              and join</label
            >
          </fieldset>
        </div>
        <PrintDrawings class="printing" :drawings="sheets" :title="`${store.job?.title ?? ''} story stick`" />
      </div>
      <component :is="isWide ? 'aside' : 'div'" class="side">
        <MarkStoryPanel
          v-if="story"
          :key="store.job?.id"
          :story
          @use="use"
          @renamed="(name) => (picked = name)"
          @removed="picked = undefined"
        />
      </component>
    </div>
  </main>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
  min-height: 100dvh;
}
.none {
  margin: 0;
  padding: 16px;
}
.body {
  flex: 1;
  display: grid;
  grid-template: 'bar side' auto 'ask side' auto 'main side' minmax(0, 1fr) 'others side' auto / minmax(0, 1fr) 400px;
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
.ask {
  grid-area: ask;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 0 16px;
  padding: 8px 12px;
  background: var(--pencil-wash);
}
.ask p {
  flex: 1 0 100%;
  margin: 0;
}
.rods {
  grid-area: main;
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 3fr);
  gap: 16px;
  padding: 4px 16px 12px;
}
.glass {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.part {
  flex: 1;
}
.zoom {
  display: flex;
  gap: 6px;
  align-items: center;
}
.zoom input {
  flex: 1;
  min-width: 0;
  min-height: var(--touch);
  accent-color: var(--chalk);
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
  display: flex;
  flex-direction: column;
  padding: 0 16px 12px;
}
.print .bar {
  padding: 0 0 8px;
}
.printing {
  flex: 1;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0;
  padding: 4px 12px;
  border: 1px solid var(--groove);
}
fieldset label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 40px;
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
  .rods {
    min-height: 480px;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--groove);
  }
}
@media (max-width: 760px) {
  .rods {
    grid-template-columns: minmax(0, 1fr);
    padding: 4px 8px 12px;
  }
  .whole {
    min-height: 460px;
  }
  .part {
    min-height: 320px;
  }
}
</style>
