<script setup lang="ts">
/** All jobs of this device: to open, to find, to begin a new one, to put away. */
import { useDebounceFn } from '@vueuse/core';
import {
  computed,
  defineAsyncComponent,
  onBeforeUnmount,
  onMounted,
  ref,
  shallowRef,
  useTemplateRef,
  watch,
} from 'vue';
import { FileDown, FileUp, FolderPlus, Search } from 'lucide-vue-next';
import { DELETED_KEPT_DAYS, type JobFields } from '@sprell/contract';
import { useRoute, useRouter } from 'vue-router';
import AppHead from '../../parts/head/AppHead.vue';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import TextField from '../../ui/TextField.vue';
import { fileName, saveFile } from '../../ui/drawing/save-file.ts';
import { ALL_PARTS, type ListedJob } from '../../job/index.ts';
import { useJobs, useJobSearch } from '../../live/use-jobs.ts';
import EditJobForm from './EditJobForm.vue';
import JobRow, { type JobAct } from './JobRow.vue';
import { launchedFile } from './launched-file.ts';
import NewJobForm from './NewJobForm.vue';

const JobFromFile = defineAsyncComponent(() => import('./JobFromFile.vue'));
const jobs = useJobs();
const search = useJobSearch();
const [route, router] = [useRoute(), useRouter()];
const waiting = shallowRef<ReadonlyMap<string, number>>(new Map());
const says = ref('');
/** What was deleted last, until something else is done. */
const deleted = shallowRef<ListedJob>();

const isNew = computed(() => route.hash === '#new');
const edited = shallowRef<ListedJob>();
const copied = shallowRef<ListedJob>();
const copyTitle = ref('');

onMounted(async () => {
  if (jobs.open.head === undefined) await jobs.start();
  await look();
});
async function look(): Promise<void> {
  waiting.value = await jobs.look();
}
watch(
  () => jobs.keepState,
  () => void look(),
);

const sought = ref('');
const found = shallowRef<ReadonlyMap<string, readonly string[]>>();
const isLooking = ref(false);
let looking = new AbortController();
const find = useDebounceFn(async () => {
  looking.abort();
  looking = new AbortController();
  const { signal } = looking;
  if (sought.value.trim() === '') {
    found.value = undefined;
    return;
  }
  isLooking.value = true;
  const result = await search.find(jobs.list, sought.value, signal);
  if (signal.aborted) return;
  found.value = result;
  isLooking.value = false;
}, 200);
watch(sought, () => void find());
onBeforeUnmount(() => {
  looking.abort();
});

const shown = computed(() => jobs.list.filter(({ id }) => found.value === undefined || found.value.has(id)));
const groups = computed(() => [
  { title: '', jobs: shown.value.filter((job) => !job.archived && !job.deleted) },
  { title: 'Archived', jobs: shown.value.filter((job) => job.archived && !job.deleted) },
  {
    title: 'Deleted',
    about: `Kept for ${DELETED_KEPT_DAYS} days, in case you want one back.`,
    jobs: shown.value.filter((job) => job.deleted),
  },
]);
const foundSays = computed(() => {
  if (found.value === undefined) return '';
  if (isLooking.value) return 'Looking …';
  const { size } = found.value;
  return size === 0
    ? `No job has “${sought.value.trim()}” in it.`
    : `${size} ${size === 1 ? 'job has' : 'jobs have'} it.`;
});

async function open(job: ListedJob): Promise<void> {
  await jobs.openJob(job.id);
  await router.push({ path: '/', query: { job: job.id } });
}
async function act(job: ListedJob, what: JobAct): Promise<void> {
  deleted.value = undefined;
  if (what === 'edit') edited.value = job;
  else if (what === 'file') await saveAsFile(job);
  else if (what === 'duplicate') {
    copyTitle.value = `${job.title}, copy`.slice(0, 120);
    copied.value = job;
  } else if (what === 'delete') {
    await jobs.set(job.id, { deleted: true });
    deleted.value = job;
    says.value = `“${job.title}” is deleted.`;
  } else if (what === 'restore') {
    await jobs.set(job.id, { deleted: false });
    says.value = `“${job.title}” is back in the list.`;
  } else {
    await jobs.set(job.id, { archived: what === 'archive' });
    says.value = what === 'archive' ? `“${job.title}” is archived.` : `“${job.title}” is back in the list.`;
  }
}
async function save(fields: Partial<JobFields>): Promise<void> {
  const job = edited.value;
  edited.value = undefined;
  if (job && Object.keys(fields).length > 0) await jobs.set(job.id, fields);
}
async function duplicate(isWhole: boolean): Promise<void> {
  const job = copied.value;
  copied.value = undefined;
  const title = copyTitle.value.trim();
  if (!job || title === '') return;
  await jobs.duplicate(job.id, title, isWhole ? ALL_PARTS : new Set());
  says.value = `“${title}” is made, and open.`;
}
async function saveAsFile({ id, title }: ListedJob): Promise<void> {
  const [here, { fileOf }] = await Promise.all([jobs.here(id), import('../../job/job-files.ts')]);
  if (here) saveFile(fileName(title, 'json'), fileOf(here), 'application/json');
}
async function saveAll(): Promise<void> {
  const { zipOf } = await import('../../job/job-files.ts');
  const all = await Promise.all(jobs.list.filter((job) => !job.deleted).map(({ id }) => jobs.here(id)));
  const bytes = await zipOf(
    all.filter((job) => job !== undefined),
    (title) => fileName(title, 'json'),
  );
  saveFile('sprell-jobs.zip', bytes, 'application/zip');
}
const picker = useTemplateRef('picker');
const file = shallowRef<File>();
/** A file that was opened with the installed application. */
onMounted(() => {
  launchedFile((launched) => (file.value = launched));
});
function pick(): void {
  file.value = picker.value?.files?.[0];
  if (picker.value) picker.value.value = '';
}
async function fileTaken(said: string): Promise<void> {
  file.value = undefined;
  says.value = said;
  await look();
}
async function made(): Promise<void> {
  await router.push({ path: '/', query: { job: jobs.open.head?.id } });
}
function begin(): void {
  void router.replace({ hash: '#new' });
}
function leave(): void {
  void router.replace({ hash: '' });
}
</script>

<template>
  <div class="screen">
    <AppHead title="Jobs" />
    <main class="jobs">
      <div class="tools">
        <label class="search">
          <Search :size="20" aria-hidden="true" />
          <span class="sr-only">Find a job</span>
          <el-input v-model="sought" size="large" clearable placeholder="Name, label, size" data-test="find-job" />
        </label>
        <PlainButton leading data-test="begin-job" @click="begin"
          ><FolderPlus :size="20" aria-hidden="true" />New job</PlainButton
        >
        <PlainButton data-test="open-job-file" @click="picker?.click()"
          ><FileUp :size="20" aria-hidden="true" />Open a file</PlainButton
        >
        <PlainButton data-test="save-all-jobs" title="All jobs as one zip of files" @click="saveAll"
          ><FileDown :size="20" aria-hidden="true" />Save all</PlainButton
        >
        <input ref="picker" type="file" accept=".json,application/json" hidden data-test="job-file" @change="pick" />
      </div>
      <p class="says" role="status" data-test="jobs-say">
        {{ foundSays || says }}
        <PlainButton v-if="deleted && !foundSays" data-test="undo-delete" @click="act(deleted, 'restore')"
          >Undo</PlainButton
        >
      </p>
      <section v-if="isNew" class="new" aria-label="A new job">
        <h2>A new job</h2>
        <NewJobForm :others="jobs.current" @made="made" @leave="leave" />
      </section>
      <template v-for="group in groups" :key="group.title">
        <section v-if="group.jobs.length > 0" :aria-label="group.title || 'Jobs'">
          <h2 v-if="group.title">{{ group.title }}</h2>
          <p v-if="group.about" class="about">{{ group.about }}</p>
          <ul>
            <JobRow
              v-for="job in group.jobs"
              :key="job.id"
              :job
              :is-open="job.id === jobs.open.head?.id"
              :waiting="waiting.get(job.id) ?? 0"
              :found="found?.get(job.id)"
              @open="open(job)"
              @act="(what) => act(job, what)"
            />
          </ul>
        </section>
      </template>
    </main>
    <QuestionDialog v-if="edited" title="Rename and set up" @leave="edited = undefined">
      <EditJobForm :job="edited" @save="save" @leave="edited = undefined" />
    </QuestionDialog>
    <JobFromFile v-if="file" :file @made="fileTaken" @leave="file = undefined" />
    <QuestionDialog v-if="copied" title="Duplicate" @leave="copied = undefined">
      <TextField v-model="copyTitle" label="Name of the copy" maxlength="120" data-test="copy-title" />
      <template #answers>
        <PlainButton leading data-test="copy-all" @click="duplicate(true)">Copy everything</PlainButton>
        <PlainButton data-test="copy-set-up" @click="duplicate(false)">The set-up alone</PlainButton>
        <PlainButton @click="copied = undefined">Cancel</PlainButton>
      </template>
    </QuestionDialog>
  </div>
</template>

<style scoped>
.jobs {
  max-width: 880px;
  margin: 0 auto;
  padding: 16px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.search {
  flex: 1 1 260px;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 8px;
}
.says {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  margin: 0;
  color: var(--ink-soft);
}
.new {
  margin-bottom: 20px;
  padding: 12px 16px 16px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
}
h2 {
  margin: 0 0 8px;
  font-size: 18px;
}
section:not(.new) > h2 {
  margin-top: 24px;
}
.about {
  margin: 0 0 8px;
  color: var(--ink-soft);
}
ul {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--groove);
  list-style: none;
}
@media (max-width: 760px) {
  .jobs {
    padding: 10px 8px;
  }
  .tools {
    gap: 8px;
  }
  .search {
    flex-basis: 100%;
  }
  .tools > button {
    flex: 1;
    padding-inline: 6px;
  }
}
</style>
