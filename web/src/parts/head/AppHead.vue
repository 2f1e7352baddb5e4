<script setup lang="ts">
/** The head of every screen: the way round, which job, whether all is kept, undo. */
import { Mic, Redo2, Settings2, Undo2 } from 'lucide-vue-next';
import { computed, onMounted } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import { behindLines } from '../../ui/behind-lines.ts';
import { useComfort } from '../../live/comfort.store.ts';
import { fetchJigs } from '../../live/jigs-offered.ts';
import { useSpokenPanel } from '../../live/spoken.store.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import JobPicker from './JobPicker.vue';
import KeepStateText from './KeepStateText.vue';
import RoomLinks from './RoomLinks.vue';

const props = defineProps<{
  title: string;
  /** What undo would do, in words, where a screen has more to undo than the job. */
  undoSays?: string | undefined;
  /** The screen sees to undo and redo itself. */
  ownSteps?: boolean;
}>();
const emit = defineEmits<{ undo: []; redo: [] }>();
const jobs = useJobs();
const job = useJob();
const comfort = useComfort();
const spoken = useSpokenPanel();
const says = computed(() => (props.ownSteps ? props.undoSays : job.steps.undoSays));

onMounted(async () => {
  if (job.head === undefined) await jobs.start();
  // Entries may name the jigs of the account.
  void behindLines(fetchJigs);
});

function undo(): void {
  if (props.ownSteps) emit('undo');
  else job.steps.undo();
}
function redo(): void {
  if (props.ownSteps) emit('redo');
  else job.steps.redo();
}
</script>

<template>
  <div>
    <header class="bar">
      <h1 tabindex="-1" class="sr-only">{{ title }}</h1>
      <RoomLinks :title @settings="comfort.open = true" />
      <JobPicker class="jobs" />
      <KeepStateText class="state" :state="jobs.keepState" :is-reader="job.isReader" />
      <!-- What else a screen has at hand here. -->
      <slot />
      <PlainButton
        class="undo"
        :disabled="says === undefined"
        :title="says ?? 'Nothing to undo'"
        data-test="undo"
        @pointerdown.prevent
        @click="undo"
        ><Undo2 :size="20" aria-hidden="true" /><span class="undo-word">Undo</span></PlainButton
      >
      <PlainButton
        v-if="job.steps.canRedo"
        class="redo"
        :class="{ elsewhere: ownSteps }"
        title="Do again what was undone last"
        data-test="redo"
        @pointerdown.prevent
        @click="redo"
        ><Redo2 :size="20" aria-hidden="true" /><span class="undo-word">Redo</span></PlainButton
      >
      <button
        type="button"
        class="settings speak"
        aria-label="Speak"
        :aria-pressed="spoken.open"
        title="Speak: say sizes, hear answers"
        data-test="speak"
        @click="spoken.open = !spoken.open"
      >
        <Mic :size="22" aria-hidden="true" />
      </button>
      <button
        type="button"
        class="settings"
        aria-label="Settings"
        title="Settings: looks, text size, keys"
        data-test="comfort"
        @click="comfort.open = true"
      >
        <Settings2 :size="22" aria-hidden="true" />
      </button>
    </header>
    <p v-if="!ownSteps && job.failure" class="failure" role="alert">
      {{ job.failure }} <PlainButton @click="jobs.start()">Try again</PlainButton>
    </p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 16px;
  border-bottom: 2px solid var(--ink);
}
.jobs {
  flex: 0 1 260px;
  min-width: 0;
}
.settings {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: var(--touch);
  min-height: var(--touch);
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
.speak[aria-pressed='true'] {
  color: var(--chalk);
}
.state {
  flex: none;
  margin-left: auto;
}
.failure {
  margin: 0;
  padding: 8px 16px;
  background: var(--pencil-wash);
}
@media (max-width: 1340px) {
  .undo-word {
    position: absolute;
    clip-path: inset(50%);
  }
}
/* Where the rooms are in a menu, the settings are the last of them. */
@media (max-width: 760px) {
  .bar {
    gap: 6px;
    padding: 0 8px;
  }
  .settings {
    display: none;
  }
  .state {
    max-width: 46px;
    font-size: 12px;
  }
  .state :deep(.noun) {
    display: none;
  }
  .jobs {
    flex: 1;
  }
  /* On the bench it stands with the tools of the slate: the head is full. */
  .elsewhere {
    display: none;
  }
}
</style>
