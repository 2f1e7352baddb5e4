<script setup lang="ts">
/** Made once, when a line has landed: Sprell among the applications of this device. Over the head, so that nothing moves. */
import { ref, watch } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import { useInstall } from '../../live/install.store.ts';
import { useJob } from '../../live/use-jobs.ts';

const install = useInstall();
const job = useJob();
install.worked();
/** Something was just done, and nothing is under way. */
const isMoment = ref(false);
watch(
  () => [job.head?.id, job.slate.nextNumber] as const,
  ([now, next], [before, last]) => {
    if (now === before && next > last) isMoment.value = true;
  },
);
</script>

<template>
  <div v-if="isMoment && install.isOffered" class="offer" role="status" data-test="install-offer">
    <p>Put Sprell beside your other applications? It opens there at once, with or without a signal.</p>
    <PlainButton leading data-test="install" @pointerdown.prevent @click="install.install()">Install</PlainButton>
    <PlainButton data-test="install-later" @pointerdown.prevent @click="install.said()">No</PlainButton>
  </div>
</template>

<style scoped src="../../ui/over-head.css"></style>
<style scoped>
.offer {
  max-width: 520px;
}
p {
  flex: 1 1 220px;
}
</style>
