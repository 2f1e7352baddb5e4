<script setup lang="ts">
/** Jigs: calculations saved with their inputs. One is chosen, its inputs written, and what it comes to goes on from here. */
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { FileDown, FileUp, Pencil, Plus, Trash2 } from 'lucide-vue-next';
import { jigFileOf, jigMadeFit, jigSetOf } from '@sprell/contract';
import type { JigSet } from '@sprell/core/jig';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import { fileName, saveFile } from '../../ui/drawing/save-file.ts';
import { say } from '../../ui/say.ts';
import AppHead from '../../parts/head/AppHead.vue';
import { takeJigDraft } from '../../live/jig-draft.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import type { JigShelf, ShelfJig } from '../../job/index.ts';
import { blankDraft, draftOf } from './draft.ts';
import JigEditor from './JigEditor.vue';
import JigFromFile from './JigFromFile.vue';
import JigList from './JigList.vue';
import JigRoom from './JigRoom.vue';
import NewerVersion from './NewerVersion.vue';
import { useDrafts } from './use-drafts.ts';
import { useVersion } from './use-version.ts';

const props = defineProps<{ jig: string }>();
const jobs = useJobs();
const job = useJob();
const router = useRouter();
const shelf = shallowRef<JigShelf>();
const drafts = useDrafts();
const { open: draft } = drafts;
const problem = ref<string>();

onMounted(async () => {
  if (job.head === undefined) await jobs.start();
  shelf.value = (await jobs.shelf()).jigs;
  const fromLines = takeJigDraft();
  if (fromLines) drafts.begin({ ...fromLines, id: undefined, uses: [] });
});

/** Those of the shelf, and those that came with this job from somebody else. */
const all = computed((): readonly ShelfJig[] => {
  const own = shelf.value?.list ?? [];
  const known = new Set(own.map(({ id }) => id));
  const ofOthers = job.jigs.list.flatMap(({ jig, set }): ShelfJig[] =>
    set === undefined || known.has(jig) ? [] : [{ id: jig, set, isShipped: false, earlier: [] }],
  );
  return [...ofOthers, ...own];
});
const chosen = computed(() => all.value.find(({ id }) => id === props.jig));
const isKept = computed(() => shelf.value?.find(props.jig) !== undefined);
const inJob = computed(() => job.jigs.list.find(({ jig }) => jig === props.jig));
const {
  all: versions,
  set,
  version,
  own,
  isOnlyLookedAt,
} = useVersion(
  () => chosen.value,
  () => inJob.value,
);
watch(() => props.jig, drafts.putAside);
watch(draft, () => (problem.value = undefined));
function edit(): void {
  // An earlier one that is looked at becomes the next.
  const from = isOnlyLookedAt.value ? set.value : chosen.value?.set;
  if (chosen.value && from) drafts.begin(draftOf(from, !chosen.value.isShipped));
}
async function save(made: JigSet): Promise<void> {
  const isNew = draft.value?.id === undefined;
  // What cannot go into a file cannot be saved: one that is too large, with all that it uses.
  const file = jigSetOf(jigFileOf({ ...made, jig: { ...jigMadeFit(made.jig), version: made.jig.version } }));
  problem.value = file.ok ? undefined : file.problem.sentence;
  const saved = file.ok ? await shelf.value?.save(made) : undefined;
  if (saved === undefined) return;
  drafts.end();
  void say(isNew ? `${saved.jig.title} is saved` : `Version ${saved.jig.version} is saved`);
  await router.push(`/jigs/${saved.jig.id}`);
}
async function keep(from: JigSet): Promise<void> {
  const saved = await shelf.value?.save(from);
  if (saved === undefined) return;
  void say(`${saved.jig.title} is with your jigs`);
  await router.push(`/jigs/${saved.jig.id}`);
}
function toFile(): void {
  if (set.value) saveFile(fileName(`${set.value.jig.title} jig`, 'json'), jigFileOf(set.value), 'application/json');
}

const isDeleting = ref(false);
async function remove(): Promise<void> {
  isDeleting.value = false;
  const { id, set: gone } = chosen.value ?? {};
  if (id === undefined) return;
  undo.value = await shelf.value?.remove(id);
  undoTitle.value = gone?.jig.title ?? '';
  await router.push('/jigs');
}
const undo = shallowRef<() => Promise<void>>();
const undoTitle = ref('');
async function undoDelete(): Promise<void> {
  await undo.value?.();
  undo.value = undefined;
}

const file = ref<HTMLInputElement>();
const opened = ref<{ readonly name: string; readonly text: string }>();
async function openFile(): Promise<void> {
  const [picked] = file.value?.files ?? [];
  if (picked) opened.value = { name: picked.name, text: await picked.text() };
  if (file.value) file.value.value = '';
}
</script>

<template>
  <main class="view">
    <AppHead title="Jigs" />
    <div class="body" :class="{ chosen: chosen !== undefined || draft !== undefined }">
      <aside class="side">
        <div class="acts">
          <PlainButton leading data-test="new-jig" @click="drafts.begin(blankDraft(job.style.decimalComma))"
            ><Plus :size="18" aria-hidden="true" />New jig</PlainButton
          >
          <PlainButton data-test="open-jig-file" @click="file?.click()"
            ><FileUp :size="18" aria-hidden="true" />Open a file</PlainButton
          >
          <input
            ref="file"
            type="file"
            accept=".json,application/json"
            hidden
            data-test="jig-file"
            @change="openFile"
          />
        </div>
        <p v-if="undo" class="undo">
          “{{ undoTitle }}” is deleted.
          <button type="button" data-test="undo-delete" @click="undoDelete">Undo</button>
        </p>
        <ul v-if="drafts.all.value.length > 0" class="begun" aria-label="Being written">
          <li v-for="one in drafts.all.value" :key="one.key">
            <button type="button" :aria-current="one.draft === draft" data-test="begun" @click="drafts.goOn(one.key)">
              {{ one.draft.title || 'A new jig' }} <span>being written</span>
            </button>
          </li>
        </ul>
        <JigList :jigs="all" :in-job="job.jigs.list" :chosen="jig" />
      </aside>
      <JigEditor
        v-if="draft"
        :key="drafts.key.value"
        :start="draft"
        :others="all"
        :problem
        @write="(now) => (draft = now)"
        @save="save"
        @leave="drafts.end()"
      />
      <section v-else-if="chosen && set" class="jig" :aria-label="set.jig.title">
        <router-link class="back" to="/jigs">All jigs</router-link>
        <div class="title">
          <h1>{{ set.jig.title }}</h1>
          <PickList
            v-if="versions.length > 1"
            v-model="version"
            class="versions"
            label="Version"
            :choices="
              versions.map(({ jig: { version: n } }) => [
                n,
                n === own?.jig.version && inJob ? `${n}, in this job` : `${n}`,
              ])
            "
            data-test="versions"
          />
          <span v-else class="version">version {{ set.jig.version }}</span>
          <span class="tools">
            <PlainButton v-if="isKept" data-test="edit-jig" @click="edit"
              ><Pencil :size="18" aria-hidden="true" />{{ chosen.isShipped ? 'Edit a copy' : 'Edit' }}</PlainButton
            >
            <PlainButton v-else data-test="save-with-yours" @click="keep(set)">Save with your jigs</PlainButton>
            <PlainButton title="The jig as a file, to give to others" data-test="save-as-file" @click="toFile"
              ><FileDown :size="18" aria-hidden="true" />Save as a file</PlainButton
            >
            <PlainButton v-if="isKept && !chosen.isShipped" data-test="delete-jig" @click="isDeleting = true"
              ><Trash2 :size="18" aria-hidden="true" />Delete</PlainButton
            >
          </span>
        </div>
        <p v-if="set.jig.about" class="about">{{ set.jig.about }}</p>
        <p v-if="isOnlyLookedAt" class="only-looked" data-test="only-looked">
          You look at version {{ set.jig.version }}: its answers go nowhere from here.
          <template v-if="isKept && !chosen.isShipped && set !== chosen.set"
            >Edit makes the next version of it.</template
          >
        </p>
        <NewerVersion
          v-else-if="inJob && chosen.set.jig.version > inJob.version"
          :key="`${inJob.id} ${chosen.set.jig.version}`"
          :in-job="inJob"
          :newer="chosen.set"
        />
        <JigRoom :key="`${jig} ${set.jig.version}`" :set :is-only-looked-at />
      </section>
      <section v-else class="none">
        <h1>Jigs</h1>
        <p>
          A jig is a calculation that you do again and again: its inputs, its steps and its answers, saved once. Choose
          one, or write your own. On the bench it is a function:
          <code>decking(width = 12')</code>.
        </p>
      </section>
    </div>
    <JigFromFile v-if="opened" :name="opened.name" :text="opened.text" @keep="keep" @leave="opened = undefined" />
    <QuestionDialog v-if="isDeleting" title="Delete this jig?" @leave="isDeleting = false">
      <p>All its versions go from your jigs. Jobs that use it keep the version that they use.</p>
      <template #answers>
        <PlainButton @click="isDeleting = false">Cancel</PlainButton>
        <PlainButton leading data-test="delete-jig-yes" @click="remove">Delete</PlainButton>
      </template>
    </QuestionDialog>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.body {
  flex: 1;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
}
.side {
  border-right: 1px solid var(--groove);
}
.acts {
  display: flex;
  gap: 8px;
  padding: 10px 12px 2px;
}
.acts > * {
  flex: 1;
}
.undo {
  margin: 8px 12px 0;
  padding: 6px 10px;
  border-left: 3px solid var(--chalk);
  background: var(--chalk-wash);
}
.undo button {
  min-height: 44px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.begun {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
.begun button {
  display: block;
  width: 100%;
  min-height: 48px;
  padding: 4px 16px;
  border: 0;
  border-bottom: 1px solid var(--groove);
  border-left: 3px solid transparent;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 500;
  text-align: left;
  cursor: pointer;
}
.begun [aria-current='true'] {
  border-left-color: var(--chalk);
  background: var(--board);
}
.begun span {
  color: var(--ink-soft);
  font-size: 15px;
  font-weight: 400;
}
.jig,
.none {
  min-width: 0;
}
.none {
  max-width: 560px;
  padding: 30px 24px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 10px 16px 0;
}
h1 {
  margin: 0;
  font-size: 24px;
  font-weight: 600;
}
.version {
  color: var(--ink-soft);
  font-size: 15px;
}
.versions {
  width: 180px;
}
.only-looked {
  margin: 8px 16px 0;
  padding: 8px 10px;
  border-left: 3px solid var(--chalk);
  background: var(--chalk-wash);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}
.about {
  max-width: 70ch;
  margin: 2px 0 0;
  padding: 0 16px 10px;
  color: var(--ink-soft);
}
.back {
  display: none;
}
@media (max-width: 820px) {
  .body {
    display: flex;
    flex-direction: column;
  }
  .none {
    order: -1;
    padding: 12px 16px 4px;
  }
  .side {
    border-right: 0;
  }
  .body.chosen .side {
    display: none;
  }
  .back {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    padding: 0 16px;
    color: var(--chalk);
  }
  .title {
    padding-top: 0;
  }
  .jig {
    display: flex;
    flex-direction: column;
  }
  .title {
    display: contents;
  }
  .title > h1,
  .title > .versions,
  .title > .version {
    padding: 0 16px;
  }
  .tools {
    order: 9;
    margin: 0;
    padding: 14px 16px;
  }
}
</style>
