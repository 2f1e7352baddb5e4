<script setup lang="ts">
/** The whole rod, and beside it a stretch drawn larger: where the marks crowd, until it is moved. */
import { computed, ref } from 'vue';
import { ZoomIn, ZoomOut } from 'lucide-vue-next';
import { crowdedStretch, stretchAround, type ReadingStyle, type Rod, type Stretch } from '@sprell/core';
import PlainButton from '../../ui/PlainButton.vue';
import type { MarkOnRod } from '../../parts/marks/mark-on-rod.ts';
import RodPicture from './RodPicture.vue';

const props = defineProps<{
  rod: Rod<MarkOnRod>;
  style: ReadingStyle;
  chosen: string | undefined;
  inHand: string | undefined;
  gaps: boolean;
}>();
const emit = defineEmits<{ choose: [name: string] }>();

const ZOOMS = [1 / 2, 1 / 4, 1 / 8, 1 / 16, 1 / 32, 1 / 64];
/** So many labels can be read beside each other. */
const READABLE = 20;
const places = computed(() => props.rod.marks.map(({ place }) => place));
const zoomed = ref<number>();
const zoom = computed({
  get: () => zoomed.value ?? readableZoom(),
  set: (step: number) => (zoomed.value = step),
});
function readableZoom(): number {
  const fits = ZOOMS.findIndex((length, step) => {
    const { from, to } = crowdedStretch(places.value, length);
    return step >= 2 && places.value.filter((place) => place >= from && place <= to).length <= READABLE;
  });
  return fits === -1 ? ZOOMS.length - 1 : fits;
}
const middle = ref<number>();
const stretch = computed<Stretch>(() => {
  const length = ZOOMS[zoom.value] ?? 1 / 8;
  return middle.value === undefined ? crowdedStretch(places.value, length) : stretchAround(middle.value, length);
});
const sliderAt = computed({
  get: () => (stretch.value.from + stretch.value.to) / 2,
  set: (place: number) => (middle.value = Number(place)),
});
</script>

<template>
  <div class="rods">
    <RodPicture
      class="whole"
      :rod
      :style
      :magnified="stretch"
      :chosen
      :in-hand
      :gaps
      title="The rod, every length in proportion"
      data-test="rod"
      @choose="(name) => emit('choose', name)"
      @point="(place) => (middle = place)"
    />
    <div class="glass">
      <div class="zoom">
        <PlainButton :disabled="zoom === 0" aria-label="A longer stretch" data-test="longer" @click="zoom -= 1"
          ><ZoomOut :size="18" aria-hidden="true"
        /></PlainButton>
        <input
          v-model.number="sliderAt"
          type="range"
          min="0"
          max="1"
          step="0.002"
          aria-label="The stretch of the rod that is drawn larger"
          data-test="stretch"
        />
        <PlainButton
          :disabled="zoom === ZOOMS.length - 1"
          aria-label="A shorter stretch, drawn larger"
          data-test="shorter"
          @click="zoom += 1"
          ><ZoomIn :size="18" aria-hidden="true"
        /></PlainButton>
      </div>
      <RodPicture
        class="part"
        :rod
        :style
        :stretch
        one-sided
        :chosen
        :in-hand
        :gaps
        title="A stretch of the rod, drawn larger"
        data-test="glass"
        @choose="(name) => emit('choose', name)"
      />
    </div>
  </div>
</template>

<style scoped>
.rods {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 3fr);
  gap: 16px;
}
.glass {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.part {
  flex: 1;
}
.zoom {
  display: flex;
  gap: 6px;
  align-items: center;
}
.zoom input {
  flex: 1;
  min-width: 0;
  min-height: var(--touch);
  accent-color: var(--chalk);
}
@media (max-width: 1023px) {
  .rods {
    min-height: 480px;
  }
}
@media (max-width: 760px) {
  .rods {
    grid-template-columns: minmax(0, 1fr);
  }
  .whole {
    min-height: 460px;
  }
  .part {
    min-height: 320px;
  }
}
</style>
