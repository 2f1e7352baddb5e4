<script setup lang="ts">
/** A size that was measured while the cursor stood in no field: what is to be done with it. Over the head, so that nothing moves. */
import { X } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { useMeter } from '../../live/meter.store.ts';
import { readBackOf } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useMeasured } from './use-measured.ts';

const meter = useMeter();
const job = useJob();
const { canWrite, toSlate, intoEntry } = useMeasured();
function land(): void {
  if (meter.loose) toSlate(meter.loose);
  meter.loose = undefined;
}
async function use(): Promise<void> {
  const one = meter.loose;
  meter.loose = undefined;
  if (one) await intoEntry(one);
}
function more(): void {
  meter.loose = undefined;
  meter.open = true;
}
</script>

<template>
  <div v-if="meter.loose" class="notice" role="status" data-test="meter-notice">
    <p>Measured <SizeText class="size" :text="readBackOf(meter.loose.size, job.style)" /></p>
    <PlainButton v-if="canWrite()" leading data-test="meter-land" @pointerdown.prevent @click="land"
      >To the slate</PlainButton
    >
    <PlainButton data-test="meter-use" @pointerdown.prevent @click="use">Use it</PlainButton>
    <PlainButton data-test="meter-more" @click="more">More</PlainButton>
    <button
      type="button"
      class="away"
      aria-label="Close: the size is held"
      data-test="meter-away"
      @pointerdown.prevent
      @click="meter.loose = undefined"
    >
      <X :size="20" aria-hidden="true" />
    </button>
  </div>
</template>

<style scoped src="../../ui/over-head.css"></style>
<style scoped>
.notice {
  width: fit-content;
  max-width: 520px;
}
.size {
  margin-left: 4px;
  font-family: var(--figures);
  font-size: 22px;
  font-weight: 600;
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
