<script setup lang="ts">
/** Made once: Sprell among the applications of this device. It stands where the hints do, and nothing moves by it. */
import PlainButton from '../../ui/PlainButton.vue';
import { useInstall } from '../../live/install.store.ts';

const install = useInstall();
</script>

<template>
  <p class="offer" data-test="install-offer">
    <span>Put Sprell beside your other applications? It opens there at once, with or without a signal.</span>
    <PlainButton leading data-test="install" @pointerdown.prevent @click="install.install()">Install</PlainButton>
    <PlainButton data-test="install-later" @pointerdown.prevent @click="install.said()">No</PlainButton>
  </p>
</template>

<style scoped>
.offer {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 4px 4px 4px 10px;
  border-left: 4px solid var(--chalk);
  background: var(--chalk-wash);
  font-size: calc(15px * var(--text-size));
  line-height: 1.25;
}
span {
  flex: 1;
}
</style>
