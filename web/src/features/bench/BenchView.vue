<script setup lang="ts">
/** The main screen: the slate with the entry at its foot, and the reading. */
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { CircleHelp, Undo2 } from 'lucide-vue-next';
import { reckon, wholeTimes } from '@sprell/core';
import { remember, remembered } from '../../adapters/local-memory.ts';
import PlainButton from '../../ui/PlainButton.vue';
import { useJobStore } from '../job/job.store.ts';
import ConflictNotice from './ConflictNotice.vue';
import EntryField from './EntryField.vue';
import KeepStateText from './KeepStateText.vue';
import ReadingPanel from './ReadingPanel.vue';
import SlateRowView from './SlateRowView.vue';

const store = useJobStore();
/** The unfinished entry outlives a reload. */
const entry = ref(remembered<string>('entry') ?? '');
const editedLine = ref<string>();
const list = ref<HTMLElement>();
const entryField = ref<InstanceType<typeof EntryField>>();

watch(entry, (text) => remember('entry', text === '' ? undefined : text));

const reckoned = computed(() => {
  // The rows are what the scope was made from; a change to them is a change of scope.
  void store.rows;
  return entry.value.trim() === '' ? undefined : reckon(entry.value, { scope: store.scope(), style: store.style });
});
const resting = computed(() => {
  const last = store.rows[store.rows.length - 1];
  return last && reckon(last.entry, { scope: store.scope(last.line.id), style: store.style });
});

/** A size divided by a size: how often it goes, and what is left over. */
const whole = computed(() => {
  const parsed = (reckoned.value ?? resting.value)?.parsed;
  return parsed?.entry && wholeTimes(parsed.entry, parsed.source, store.scope(), store.style);
});

function use(text: string): void {
  entry.value = text;
  entryField.value?.focus();
}

async function showFoot(): Promise<void> {
  await nextTick();
  if (list.value) list.value.scrollTop = list.value.scrollHeight;
}

function land(): void {
  store.land(entry.value);
  entry.value = '';
  void showFoot();
}

function keep(lineId: string, text: string): void {
  store.edit(lineId, text);
  editedLine.value = undefined;
}

function undoByKey(event: KeyboardEvent): void {
  const typing = event.target instanceof HTMLInputElement && event.target.value !== '';
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !event.shiftKey && !typing) {
    event.preventDefault();
    store.undo();
  }
}

async function chooseJob(jobId: string): Promise<void> {
  editedLine.value = undefined;
  await store.open(jobId);
  await showFoot();
}

onMounted(async () => {
  await store.start();
  await showFoot();
});
</script>

<template>
  <main class="bench" @keydown="undoByKey">
    <header class="head">
      <h1>Sprell</h1>
      <el-select
        class="jobs"
        :model-value="store.job?.id"
        aria-label="Job"
        placeholder="No job yet"
        @change="chooseJob"
      >
        <el-option v-for="job in store.jobs" :key="job.id" :value="job.id" :label="job.title" />
      </el-select>
      <RouterLink class="to-help" to="/help" title="How to write an entry"
        ><CircleHelp :size="22" aria-hidden="true" /><span class="sr-only">How to write an entry</span></RouterLink
      >
      <KeepStateText class="state" :state="store.keepState" />
      <PlainButton
        :disabled="store.undoSays === undefined"
        :title="store.undoSays ?? 'Nothing to undo'"
        data-test="undo"
        @click="store.undo()"
        ><Undo2 :size="20" aria-hidden="true" /><span class="undo-word">Undo</span></PlainButton
      >
    </header>

    <p v-if="store.failure" class="failure" role="alert">
      {{ store.failure }} <PlainButton @click="store.start()">Try again</PlainButton>
    </p>
    <ConflictNotice
      v-for="conflict in store.conflicts"
      :key="conflict.line.id"
      :conflict
      @choose="(choice) => store.resolveConflict(conflict, choice)"
    />

    <section class="slate" aria-label="Slate">
      <ol ref="list" class="lines" tabindex="-1">
        <SlateRowView
          v-for="row in store.rows"
          :key="row.line.id"
          :row
          :style="store.style"
          :editing="editedLine === row.line.id"
          :changed="store.changed.has(row.line.id)"
          :scope="store.scope(row.line.id)"
          @edit="editedLine = row.line.id"
          @keep="(text) => keep(row.line.id, text)"
          @leave="editedLine = undefined"
          @remove="store.remove(row.line.id)"
        />
      </ol>
      <p v-if="store.rows.length === 0 && !store.failure" class="empty">
        Type a size below and press Enter; it stands here from then on.
      </p>
      <EntryField ref="entryField" v-model="entry" class="entry" label="Entry" :reckoned @land="land" />
    </section>

    <ReadingPanel class="reading" :reckoned :resting :style="store.style" :whole @use="use" />
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template: 'head head' auto 'notices notices' auto 'slate reading' minmax(0, 1fr) / minmax(0, 11fr) minmax(
      0,
      10fr
    );
}
.head {
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 24px;
  border-bottom: 2px solid var(--ink);
}
h1 {
  margin: 0;
  font-size: 22px;
  font-weight: 600;
  letter-spacing: 0.02em;
}
.jobs {
  width: 260px;
}
.to-help {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: var(--touch);
  min-height: var(--touch);
  color: var(--ink);
}
.state {
  margin-left: auto;
}
.failure {
  grid-area: notices;
  margin: 0;
  padding: 8px 24px;
  background: var(--pencil-wash);
}
.slate {
  grid-area: slate;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--groove);
}
.lines {
  flex: 1;
  min-height: 0;
  margin: 0;
  padding: 0 0 0 12px;
  list-style: none;
  overflow-y: auto;
}
.empty {
  flex: 1;
  padding: 24px;
  color: var(--ink-soft);
}
.entry {
  padding: 12px 24px 16px;
}
.reading {
  grid-area: reading;
  overflow-y: auto;
}
@media (max-width: 760px) {
  .bench {
    grid-template: 'head' auto 'notices' auto 'reading' auto 'slate' minmax(0, 1fr) / minmax(0, 1fr);
  }
  .head {
    gap: 8px;
    padding: 4px 12px;
  }
  h1 {
    position: absolute;
    clip-path: inset(50%);
  }
  .undo-word {
    position: absolute;
    clip-path: inset(50%);
  }
  .state {
    font-size: 14px;
  }
  .jobs {
    flex: 1;
    width: auto;
    min-width: 0;
  }
  .slate {
    border-right: 0;
    border-top: 1px solid var(--groove);
  }
  .lines {
    padding: 0;
  }
  .entry {
    padding: 8px 12px 12px;
  }
}
</style>
