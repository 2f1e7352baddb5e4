<script setup lang="ts">
/** How the bench looks and handles on this device; each setting says what it does. */
import { computed } from 'vue';
import type { BareUnit } from '@sprell/core';
import { useInstall } from '../../live/install.store.ts';
import { useMeter } from '../../live/meter.store.ts';
import PlainButton from '../../ui/PlainButton.vue';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useComfort, type Look, type TextSize } from '../../live/comfort.store.ts';

const emit = defineEmits<{ close: [] }>();
const job = useJob();
/** What a number without a unit is on this device, whatever the job says. */
const BARE: readonly (readonly [BareUnit | 'job', string])[] = [
  ['job', 'as the job says'],
  ['plain', 'a number'],
  ['mm', 'mm'],
  ['in', 'inches'],
];
const bare = computed({
  get: () => job.reading.bareHere ?? 'job',
  set: (wanted) => (job.reading.bareHere = wanted === 'job' ? undefined : wanted),
});
const { comfort } = useComfort();

const install = useInstall();
const meter = useMeter();
function showMeasured(): void {
  emit('close');
  meter.open = true;
}

const LOOKS: readonly (readonly [Look, string])[] = [
  ['timber', 'Timber'],
  ['night', 'Night'],
  ['sun', 'Full sun'],
];
const SIZES: readonly (readonly [TextSize, string])[] = [
  ['usual', 'Usual'],
  ['large', 'Large'],
  ['largest', 'Largest'],
];
type Switch = 'gloves' | 'leftHanded' | 'tick' | 'showKeys' | 'showTape' | 'showAlsoReads' | 'showStick';
const SWITCHES: readonly (readonly [Switch, string, string])[] = [
  ['gloves', 'Glove size', 'Every key and button is larger, for a gloved thumb.'],
  ['leftHanded', 'Left hand', 'The keys used most and the story stick stand at the left.'],
  ['tick', 'Vibrate on keys', 'A short buzz at each key, on devices that can.'],
  ['showKeys', 'Keys', 'The bench’s own keys and the drawn inch. Without them a phone brings its own up.'],
  ['showTape', 'Tape', 'The piece of tape under the reading.'],
  ['showAlsoReads', 'Other units', 'The same size in every other unit.'],
  ['showStick', 'Story stick', 'The marks of the job.'],
];
</script>

<template>
  <el-drawer
    :model-value="true"
    title="Settings"
    size="min(420px, 100vw)"
    append-to-body
    @closed="emit('close')"
    @close="emit('close')"
  >
    <fieldset>
      <legend>Look</legend>
      <ChoiceBar v-model="comfort.look" label="Look" :choices="LOOKS" test="look" />
      <p>Timber by day, Night in the dark, Full sun is black on white.</p>
    </fieldset>
    <fieldset>
      <legend>Text</legend>
      <ChoiceBar v-model="comfort.textSize" label="Text size" :choices="SIZES" test="text" />
      <p>Size of words and figures; the reading is always as large as fits.</p>
    </fieldset>
    <fieldset>
      <legend>A number without a unit</legend>
      <ChoiceBar v-model="bare" label="A number without a unit" :choices="BARE" test="bare-here" />
      <p>What 2400 means on this device. What is kept says its unit, and stays what it was.</p>
    </fieldset>
    <fieldset v-for="[key, name, about] in SWITCHES" :key="key" class="switch">
      <el-switch v-model="comfort[key]" :aria-label="name" :data-test="`comfort-${key}`" />
      <div>
        <b>{{ name }}</b>
        <p>{{ about }}</p>
      </div>
    </fieldset>
    <fieldset>
      <legend>Measuring tools</legend>
      <PlainButton data-test="open-measured" @click="showMeasured">Measured: the last ten sizes</PlainButton>
      <p>A distance meter that is coupled as a keyboard types where the cursor stands, in any room.</p>
    </fieldset>
    <fieldset v-if="install.canInstall">
      <legend>Application</legend>
      <PlainButton data-test="install" @click="install.install()">Install</PlainButton>
      <p>Sprell beside the other applications of this device; job files open with it.</p>
    </fieldset>
  </el-drawer>
</template>

<style scoped>
fieldset {
  margin: 0 0 14px;
  padding: 0;
  border: 0;
}
legend {
  font-weight: 600;
  padding: 0 0 6px;
}
p {
  margin: 4px 0 0;
  color: var(--ink-soft);
}
.switch {
  display: grid;
  grid-template-columns: 56px 1fr;
  align-items: start;
  min-height: var(--touch);
}
</style>
