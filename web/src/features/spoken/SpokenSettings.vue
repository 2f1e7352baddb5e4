<script setup lang="ts">
/** How it listens and reads aloud on this device. */
import { computed } from 'vue';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PickList from '../../ui/PickList.vue';
import TextField from '../../ui/TextField.vue';
import type { SpokenManner } from './spoken-manner.ts';

const manner = defineModel<SpokenManner>({ required: true });
const props = defineProps<{ voices: readonly string[] }>();

const EARS = [
  ['browser', 'This browser'],
  ['practice', 'Practice, no microphone'],
] as const;
const ALOUD = [
  ['short', 'The result'],
  ['long', 'Entry and result'],
  ['off', 'Nothing'],
] as const;
const LENGTHS = [
  ['job', 'As the job'],
  ['feet', 'Feet'],
  ['metric', 'Metric'],
  ['both', 'Both'],
] as const;
const SPEEDS = [
  [0.8, 'Slower'],
  [1, 'Usual'],
  [1.25, 'Faster'],
] as const;
const SLEEPS = [
  [10, '10 seconds'],
  [20, '20 seconds'],
  [60, 'a minute'],
] as const;
const voices = computed(
  () => [['', 'the device’s own'], ...props.voices.map((name) => [name, name])] as [string, string][],
);
</script>

<template>
  <div class="settings" data-test="spoken-settings">
    <fieldset>
      <legend>Listens and reads</legend>
      <ChoiceBar v-model="manner.ear" label="Listens and reads" :choices="EARS" test="ear" />
      <p>
        A browser’s own recogniser may send what it hears to the maker of the browser. Sprell sends nothing, keeps no
        sound, and listens only while you hold the key or have hands-free on.
      </p>
    </fieldset>
    <fieldset>
      <legend>Reads aloud</legend>
      <ChoiceBar v-model="manner.aloud" label="Reads aloud" :choices="ALOUD" test="aloud" />
    </fieldset>
    <fieldset>
      <legend>Lengths in</legend>
      <ChoiceBar v-model="manner.lengths" label="Lengths in" :choices="LENGTHS" test="lengths" />
    </fieldset>
    <fieldset>
      <legend>Speed</legend>
      <ChoiceBar v-model="manner.speed" label="Speed" :choices="SPEEDS" test="speed" />
    </fieldset>
    <PickList v-if="voices.length > 1" v-model="manner.voice" label="Voice" :choices="voices" />
    <TextField v-model="manner.wake" label="Hands-free begins at the word" data-test="wake" />
    <fieldset>
      <legend>Waits for it again after</legend>
      <ChoiceBar v-model="manner.sleepAfter" label="Waits for the word again after" :choices="SLEEPS" test="sleep" />
    </fieldset>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 12px 24px;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 4px;
  font-weight: 600;
}
p {
  margin: 4px 0 0;
  color: var(--ink-soft);
}
</style>
