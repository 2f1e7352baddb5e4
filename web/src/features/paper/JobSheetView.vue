<script setup lang="ts">
/** The job on paper: which parts of it, and the sheets as they will be printed and saved. */
import { computed, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { ArrowLeft } from 'lucide-vue-next';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import AppHead from '../../parts/head/AppHead.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useJobSheet, type SheetParts } from './use-job-sheet.ts';

const jobs = useJobs();
const job = useJob();
const router = useRouter();
onMounted(async () => {
  if (job.head === undefined) await jobs.start();
});
const { sheet, sheets, parts, ofJob, drawings, has } = useJobSheet();

type Switch = Exclude<keyof SheetParts, 'blank'>;
/** A part of the job, and what of it can be left out. */
const PARTS: readonly {
  readonly part: 'lines' | 'marks' | 'figures' | 'list';
  readonly words: string;
  readonly none: string;
  readonly more: readonly (readonly [Switch, string])[];
}[] = [
  {
    part: 'lines',
    words: 'Slate',
    none: 'no lines in this job',
    more: [
      ['readBacks', 'How each was worked out'],
      ['notes', 'Notes'],
      ['totals', 'A total under each heading'],
    ],
  },
  { part: 'marks', words: 'Story stick', none: 'no marks in this job', more: [] },
  { part: 'figures', words: 'Drawings to scale', none: 'nothing saved in Setting out', more: [] },
  { part: 'list', words: 'Quantities', none: 'no rows in this job', more: [['prices', 'With prices and totals']] },
];
const BLANKS = [
  ['none', 'none'],
  ['some', '8 lines'],
  ['rest', 'to the foot'],
] as const;

const figures = computed(() => job.setOuts.list.map(({ id, name }) => ({ id, name })));
const isLeftOut = (id: string) => ofJob.value.without.includes(id);
const drawnSays = computed(() => {
  const all = figures.value.length;
  const drawn = figures.value.filter(({ id }) => !isLeftOut(id)).length;
  return drawn === all ? `All ${all}: choose which` : `${drawn} of ${all}: choose which`;
});
function leaveOut(id: string, isOut: boolean): void {
  const others = ofJob.value.without.filter((one) => one !== id);
  ofJob.value = { ...ofJob.value, without: isOut ? [...others, id] : others };
}
const set = (name: Switch, on: unknown) => (parts.value = { ...parts.value, [name]: on === true });
const blank = computed({
  get: () => parts.value.blank,
  set: (wanted) => (parts.value = { ...parts.value, blank: wanted }),
});
const under = computed({
  get: () => ofJob.value.under,
  set: (words: string) => (ofJob.value = { ...ofJob.value, under: words }),
});
const title = computed(() => `${job.head?.title ?? ''} job sheet`);
</script>

<template>
  <main class="view">
    <AppHead title="Job sheet" />
    <div class="body">
      <section class="parts" aria-labelledby="parts-head">
        <div class="head">
          <h2 id="parts-head">On the job sheet</h2>
          <PlainButton data-test="back-to-bench" @click="router.push('/')"
            ><ArrowLeft :size="18" aria-hidden="true" />Bench</PlainButton
          >
        </div>
        <ul class="list">
          <li v-for="{ part, words, none, more } in PARTS" :key="part" class="part">
            <el-checkbox
              :model-value="parts[part] && has[part]"
              :disabled="!has[part]"
              size="large"
              :data-test="`part-${part}`"
              @update:model-value="set(part, $event)"
              ><b>{{ words }}</b
              ><small v-if="!has[part]">{{ none }}</small></el-checkbox
            >
            <div v-if="parts[part] && has[part]" class="more">
              <el-checkbox
                v-for="[name, says] in more"
                :key="name"
                :model-value="parts[name]"
                :data-test="`part-${name}`"
                @update:model-value="set(name, $event)"
                >{{ says }}</el-checkbox
              >
              <details v-if="part === 'figures'" class="figures">
                <summary data-test="which-figures">{{ drawnSays }}</summary>
                <el-checkbox
                  v-for="{ id, name } in figures"
                  :key="id"
                  :model-value="!isLeftOut(id)"
                  data-test="part-figure"
                  @update:model-value="leaveOut(id, $event !== true)"
                  >{{ name }}</el-checkbox
                >
              </details>
            </div>
          </li>
        </ul>
        <div class="part">
          <h3>Lines to write on</h3>
          <ChoiceBar v-model="blank" label="Lines to write on" :choices="BLANKS" test="blank" />
        </div>
        <label class="part">
          <h3>Under the name of the job</h3>
          <el-input
            v-model="under"
            type="textarea"
            :autosize="{ minRows: 2, maxRows: 5 }"
            maxlength="400"
            placeholder="for whom, where, when to be done"
            data-test="sheet-under"
          />
        </label>
        <div class="part">
          <h3>Paper</h3>
          <ChoiceBar v-model="sheet" label="Sheets of" :choices="sheets" test="sheet" />
        </div>
      </section>
      <PrintDrawings class="paper" :drawings :title is-text />
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.body {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(280px, 340px) minmax(0, 1fr);
  gap: 16px 24px;
  padding: 12px 16px 16px;
  min-height: 0;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
h2 {
  margin: 0;
  font-size: 20px;
}
h3 {
  margin: 0 0 6px;
  font-size: 16px;
  font-weight: 600;
}
.list {
  margin: 0;
  padding: 0;
  list-style: none;
}
.part {
  display: block;
  padding: 8px 0;
  border-bottom: 1px solid var(--groove);
}
small {
  margin-left: 8px;
  color: var(--ink-soft);
  font-size: 14px;
}
.more {
  display: flex;
  flex-direction: column;
  padding-left: 26px;
}
.figures > summary {
  min-height: 32px;
  cursor: pointer;
}
.figures[open] {
  padding-bottom: 4px;
}
.figures .el-checkbox {
  display: flex;
}
.paper {
  position: sticky;
  top: 12px;
  height: calc(100dvh - var(--dock, 0px) - 96px);
}
@media (max-width: 860px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .paper {
    position: static;
    height: auto;
    max-height: 90vh;
  }
}
</style>
