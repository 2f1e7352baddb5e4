<script setup lang="ts">
/** The scale rule: the drawing scales of the job, one of them in hand, and what can be measured with it. */
import { computed, onMounted, ref } from 'vue';
import { Ruler } from 'lucide-vue-next';
import type { DrawingScale } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import AtHand from '../../parts/field/AtHand.vue';
import { useAtHand } from '../../parts/field/use-at-hand.ts';
import AppHead from '../../parts/head/AppHead.vue';
import type { JobScale, ScaleContent } from '../../job/index.ts';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import DrawnRule from './DrawnRule.vue';
import PaperRuns from './PaperRuns.vue';
import ScaleFits from './ScaleFits.vue';
import ScaleForm from './ScaleForm.vue';

const jobs = useJobs();
const job = useJob();
onMounted(async () => {
  if (job.head === undefined) await jobs.start();
});

const use = useAtHand();
/** They stand above the keys there. */
const ownKeys = useOwnKeys();

const editing = ref<string>();
const isAdding = ref(false);
/** The scale whose rule is drawn: the one in hand, or the first that works out. */
const shown = computed(() => {
  const works = (one: JobScale | undefined): one is JobScale & { scale: DrawingScale } => one?.scale !== undefined;
  return [job.scales.inHand, ...job.scales.list].find(works);
});

function add(content: ScaleContent): void {
  job.scales.add(content);
  isAdding.value = false;
}
function write(scaleId: string, content: ScaleContent): void {
  job.scales.edit(scaleId, content);
  editing.value = undefined;
}
</script>

<template>
  <main class="view">
    <AppHead title="Scale rule" />
    <div class="body">
      <section class="list" aria-label="Scales of this job">
        <ul>
          <li
            v-for="one in job.scales.list"
            :key="one.id"
            :class="{ held: one.id === job.scales.inHand?.id }"
            :data-scale="one.title"
          >
            <ScaleForm
              v-if="editing === one.id"
              :start="one.content"
              @keep="(content) => write(one.id, content)"
              @leave="editing = undefined"
            />
            <template v-else>
              <div class="words">
                <SizeText class="title" :text="one.title" />
                <SizeText v-if="one.title !== one.says" class="says" :text="one.says" />
                <span v-if="!one.scale" class="problem">This scale does not work out; edit it.</span>
              </div>
              <div class="actions">
                <PlainButton
                  v-if="one.id === job.scales.inHand?.id"
                  leading
                  aria-pressed="true"
                  data-test="put-away"
                  @click="job.scales.takeInHand(undefined)"
                  ><Ruler :size="18" aria-hidden="true" />Active</PlainButton
                >
                <PlainButton v-else :disabled="!one.scale" data-test="take-scale" @click="job.scales.takeInHand(one.id)"
                  >Use this one<span class="sr-only">: {{ one.title }}</span></PlainButton
                >
                <PlainButton data-test="edit-scale" @click="editing = one.id"
                  >Edit<span class="sr-only"> {{ one.title }}</span></PlainButton
                >
                <PlainButton data-test="remove-scale" @click="job.scales.remove(one.id)"
                  >Delete<span class="sr-only"> {{ one.title }}</span></PlainButton
                >
              </div>
            </template>
          </li>
        </ul>
        <p v-if="job.scales.list.length === 0" class="none">
          No scales yet. A scale says how long on the paper is how long on site.
        </p>
        <ScaleForm v-if="isAdding || job.scales.list.length === 0" class="new" :start="undefined" @keep="add" />
        <PlainButton v-else data-test="new-scale" @click="isAdding = true">A new scale</PlainButton>
      </section>
      <div class="work">
        <AtHand v-if="!ownKeys" class="at-hand" @use="use" />
        <DrawnRule v-if="shown" class="rule" :scale="shown" />
        <PaperRuns v-if="shown" class="half" :scale="shown" />
        <ScaleFits class="half" @use="add" />
      </div>
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.body {
  flex: 1;
  display: grid;
  grid-template-columns: 390px minmax(0, 1fr);
}
.list {
  padding: 12px 16px 24px;
  border-right: 1px solid var(--groove);
}
ul {
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}
li {
  padding: 8px 10px 10px;
  border: 1px solid var(--groove);
  border-bottom-width: 0;
  background: var(--board);
}
li:last-child {
  border-bottom-width: 1px;
}
.held {
  border-left: 5px solid var(--chalk);
  background: var(--chalk-wash);
}
.words {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 12px;
}
.title {
  font-weight: 600;
  font-size: 19px;
}
.says {
  white-space: nowrap;
  font-family: var(--figures);
  font-size: 19px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
.none {
  margin: 0 0 12px;
  color: var(--ink-soft);
}
.problem {
  color: var(--pencil);
}
.work {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-content: start;
  gap: 20px 24px;
  padding: 12px 16px 24px;
}
.at-hand {
  padding: 0;
}
.at-hand,
.rule {
  grid-column: 1 / -1;
}
@media (max-width: 1023px) {
  .body {
    display: block;
  }
  .list {
    border-right: 0;
    border-bottom: 1px solid var(--groove);
  }
}
@media (max-width: 760px) {
  .work {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 8px 24px;
  }
  .list {
    padding: 8px;
  }
}
</style>
