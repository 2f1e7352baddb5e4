<script setup lang="ts">
/** The head of the bench: which job, whether all is kept, undo, help, comfort. */
import { CircleHelp, PencilRuler, Redo2, Settings2, TriangleRight, Undo2 } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import JobPicker from '../../parts/head/JobPicker.vue';
import type { KeepState } from '../../job/index.ts';
import KeepStateText from '../../parts/head/KeepStateText.vue';

defineProps<{
  state: KeepState;
  /** The job can be read here, not changed. */
  isReader: boolean;
  /** What undo would do, in words; undefined while there is nothing to undo. */
  undoSays: string | undefined;
  /** Something was undone that can be done again. */
  canRedo: boolean;
}>();
const emit = defineEmits<{ job: [jobId: string]; undo: []; redo: []; comfort: [] }>();
</script>

<template>
  <header class="head">
    <h1>Sprell</h1>
    <JobPicker class="jobs" @choose="(jobId) => emit('job', jobId)" />
    <KeepStateText class="state" :state :is-reader="isReader" />
    <PlainButton
      class="undo"
      :disabled="undoSays === undefined"
      :title="undoSays ?? 'Nothing to undo'"
      data-test="undo"
      @pointerdown.prevent
      @click="emit('undo')"
      ><Undo2 :size="20" aria-hidden="true" /><span class="undo-word">Undo</span></PlainButton
    >
    <PlainButton
      v-if="canRedo"
      class="redo"
      title="Do again what was undone last"
      data-test="redo"
      @pointerdown.prevent
      @click="emit('redo')"
      ><Redo2 :size="20" aria-hidden="true" /><span class="undo-word">Redo</span></PlainButton
    >
    <RouterLink class="icon" to="/setting-out" title="Setting out: shapes from their sizes" data-test="setting-out"
      ><TriangleRight :size="22" aria-hidden="true" /><span class="sr-only">Setting out</span></RouterLink
    >
    <RouterLink class="icon" to="/scales" title="Scale rule: sizes on drawings" data-test="scales"
      ><PencilRuler :size="22" aria-hidden="true" /><span class="sr-only">Scale rule</span></RouterLink
    >
    <RouterLink class="icon" to="/help" title="How to write an entry"
      ><CircleHelp :size="22" aria-hidden="true" /><span class="sr-only">How to write an entry</span></RouterLink
    >
    <button
      type="button"
      class="icon"
      aria-label="Looks and comfort"
      title="Looks and comfort"
      data-test="comfort"
      @click="emit('comfort')"
    >
      <Settings2 :size="22" aria-hidden="true" />
    </button>
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 16px;
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
.icon {
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
.state {
  margin-left: auto;
}
@media (max-width: 1023px) {
  .undo-word {
    position: absolute;
    clip-path: inset(50%);
  }
}
@media (max-width: 760px) {
  .head {
    gap: 4px;
    padding: 0 8px;
  }
  h1 {
    position: absolute;
    clip-path: inset(50%);
  }
  .state {
    max-width: 46px;
    font-size: 12px;
  }
  .state :deep(.noun) {
    display: none;
  }
  /* It stands with the tools of the slate there: the head is full. */
  .redo {
    display: none;
  }
  .jobs {
    flex: 1;
    width: auto;
    min-width: 0;
  }
}
</style>
