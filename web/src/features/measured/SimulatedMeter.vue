<script setup lang="ts">
/** A distance meter for those who have none: it types as a real one does, wherever the cursor stands. */
import { computed, ref } from 'vue';
import { X } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import { useMeter } from '../../live/meter.store.ts';
import { typeAsKeyboard } from './type-as-keyboard.ts';

const meter = useMeter();
/** What it measures, one after the other: made up, in the ways in which meters write. */
const SHOWN = ['3.425 m', '2.083 m', '0.914 m', '1204 mm', '11\' 2 13/16"', '4,250 m'];
const at = ref(0);
const shown = computed(() => SHOWN[at.value % SHOWN.length] ?? '');
async function measure(): Promise<void> {
  await typeAsKeyboard(shown.value);
  at.value += 1;
}
</script>

<template>
  <aside class="meter" aria-label="Simulated distance meter" data-test="simulated-meter">
    <output class="shown" data-test="meter-shows">{{ shown }}</output>
    <PlainButton leading data-test="meter-measure" @pointerdown.prevent @click="measure">Measure</PlainButton>
    <button
      type="button"
      class="away"
      aria-label="Put the simulated meter away"
      data-test="meter-off"
      @pointerdown.prevent
      @click="meter.isSimulated = false"
    >
      <X :size="18" aria-hidden="true" />
    </button>
    <small>Simulated: it types where the cursor stands</small>
  </aside>
</template>

<style scoped>
.meter {
  position: fixed;
  top: 116px;
  right: 8px;
  z-index: 29;
  display: grid;
  grid-template-columns: minmax(96px, auto) auto auto;
  align-items: center;
  gap: 2px 8px;
  padding: 6px 6px 6px 12px;
  border: 2px solid var(--ink);
  border-radius: 8px;
  background: var(--board);
  box-shadow: 0 4px 14px rgb(0 0 0 / 25%);
}
.shown {
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 600;
  white-space: nowrap;
}
small {
  grid-column: 1 / -1;
  color: var(--ink-soft);
}
.away {
  display: grid;
  place-items: center;
  min-width: var(--touch);
  min-height: var(--touch);
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
}
</style>
