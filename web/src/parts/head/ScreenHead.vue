<script setup lang="ts">
/** The head of a screen beside the bench: the way back, what it is, which job, whether all is kept, undo. */
import { Redo2, Undo2 } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import KeepStateText from './KeepStateText.vue';

defineProps<{ title: string }>();
const jobs = useJobs();
const job = useJob();
</script>

<template>
  <header class="head">
    <RouterLink class="back" to="/">Bench</RouterLink>
    <h1>{{ title }}</h1>
    <span class="job">{{ job.head?.title }}</span>
    <KeepStateText class="state" :state="jobs.keepState" :is-reader="job.isReader" />
    <PlainButton
      :disabled="job.steps.undoSays === undefined"
      :title="job.steps.undoSays ?? 'Nothing to undo'"
      data-test="undo"
      @click="job.steps.undo()"
      ><Undo2 :size="20" aria-hidden="true" /><span class="undo-word">Undo</span></PlainButton
    >
    <PlainButton
      v-if="job.steps.canRedo"
      title="Do again what was undone last"
      data-test="redo"
      @click="job.steps.redo()"
      ><Redo2 :size="20" aria-hidden="true" /><span class="undo-word">Redo</span></PlainButton
    >
  </header>
  <p v-if="job.failure" class="failure" role="alert">
    {{ job.failure }} <PlainButton @click="jobs.start()">Try again</PlainButton>
  </p>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 4px 16px;
  border-bottom: 2px solid var(--ink);
}
h1 {
  margin: 0;
  font-size: 22px;
  font-weight: 600;
  white-space: nowrap;
}
.back {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  color: var(--chalk);
  font-weight: 600;
}
.job {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--ink-soft);
}
.state {
  margin-left: auto;
}
.failure {
  margin: 0;
  padding: 8px 16px;
  background: var(--pencil-wash);
}
@media (max-width: 760px) {
  .head {
    gap: 8px;
    padding: 0 8px;
  }
  h1 {
    min-width: 0;
    font-size: 18px;
    line-height: 1.15;
    white-space: normal;
  }
  .state {
    flex: none;
    max-width: 84px;
  }
  .job,
  .undo-word {
    position: absolute;
    clip-path: inset(50%);
  }
}
</style>
