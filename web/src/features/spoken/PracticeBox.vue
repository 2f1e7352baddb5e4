<script setup lang="ts">
/** Practice without a microphone: scripts that are heard while the key is held or hands-free is on, and what the voice wrote. */
import { ref } from 'vue';
import { Play } from 'lucide-vue-next';
import type { ScriptedPhrase } from '../../adapters/voice/scripted-recogniser.ts';
import PickList from '../../ui/PickList.vue';
import PlainButton from '../../ui/PlainButton.vue';
import { PRACTICE_SCRIPTS } from './practice-scripts.ts';

defineProps<{ written: readonly string[] }>();
const emit = defineEmits<{ play: [script: readonly ScriptedPhrase[]] }>();
const names = Object.keys(PRACTICE_SCRIPTS).map((name) => [name, name] as const);
const chosen = ref(names[0]?.[0]);
</script>

<template>
  <section class="practice" aria-label="Practice">
    <div class="script">
      <PickList
        v-model="chosen"
        class="scripts"
        label="Heard next, with hands-free on or the key held"
        :choices="names"
      />
      <PlainButton data-test="play" @click="emit('play', PRACTICE_SCRIPTS[chosen ?? ''] ?? [])"
        ><Play :size="18" aria-hidden="true" />Play</PlainButton
      >
    </div>
    <ol v-if="written.length > 0" class="written" aria-label="What the voice said" data-test="written">
      <li v-for="(words, n) in written.slice(-3)" :key="n">{{ words }}</li>
    </ol>
  </section>
</template>

<style scoped>
.practice {
  display: grid;
  gap: 8px;
}
.script {
  display: flex;
  align-items: end;
  gap: 8px;
}
.scripts {
  flex: 1;
  min-width: 0;
}
.written {
  margin: 0;
  padding-left: 20px;
  color: var(--ink-soft);
}
</style>
