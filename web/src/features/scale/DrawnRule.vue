<script setup lang="ts">
/** The scale drawn: a bar, and a rule with paper along one edge and site along the other, at their size. */
import { computed, ref } from 'vue';
import {
  BAR_INSET,
  moved,
  scaleBar,
  scaleRule,
  sheetHead,
  SHEETS,
  type Drawing,
  type DrawingScale,
} from '@sprell/core';
import { useKept } from '../../live/use-kept.ts';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import DrawingPicture from '../../ui/drawing/DrawingPicture.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import type { JobScale } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useSheet } from '../../live/use-sheet.ts';

const props = defineProps<{ scale: JobScale & { readonly scale: DrawingScale } }>();
const job = useJob();
const { sheet: paper, sheets: papers } = useSheet();

const ROOM = 150;
const bar = computed(() => scaleBar(props.scale.scale, ROOM, job.style));
const rule = computed(() => scaleRule(props.scale.scale, ROOM, job.style));

/** How many of its own millimetres this screen takes for one of a tape; set by hand, since no screen knows. */
const stretch = useKept('screen.stretch', 1);
function setStretch(event: Event): void {
  stretch.value = Number((event.target as HTMLInputElement).value);
}
const isSetting = ref(false);
const isPrinting = ref(false);

/** One sheet with both, to cut out and lay on the drawing. */
const sheet = computed<Drawing>(() => {
  const { width, height } = SHEETS[paper.value];
  const long = width - 40;
  const put = ({ shapes }: Drawing, x: number, y: number) => shapes.map((shape) => moved(shape, x, y));
  const { title, says } = props.scale;
  const what = `${title}${title === says ? '' : `, ${says}`}: bar and rule, full size.`;
  return {
    width,
    height,
    shapes: [
      ...sheetHead(job.head?.title ?? '', what, width),
      // Both begin at one place.
      ...put(scaleBar(props.scale.scale, long, job.style), 20 - BAR_INSET, 34),
      ...put(scaleRule(props.scale.scale, long, job.style), 20, 59),
    ],
  };
});
</script>

<template>
  <section class="drawn" aria-label="The scale, drawn">
    <div class="paper" :style="{ zoom: stretch }" tabindex="0" role="group" aria-label="Bar and rule">
      <DrawingPicture :drawings="[bar]" :title="`A scale bar for ${scale.says}`" actual-size />
      <DrawingPicture
        class="rule"
        :style="{ marginLeft: `${BAR_INSET}mm` }"
        :drawings="[rule]"
        :title="`A rule for ${scale.says}: paper below, site above`"
        actual-size
      />
    </div>
    <div class="tools">
      <PlainButton :aria-expanded="isPrinting" data-test="print-rule" @click="isPrinting = !isPrinting"
        >Print the rule</PlainButton
      >
      <PlainButton :aria-expanded="isSetting" data-test="set-screen" @click="isSetting = !isSetting"
        >Set to this screen</PlainButton
      >
    </div>
    <label v-if="isSetting" class="setting"
      >Hold a tape to the paper edge of the rule and move this until they agree. It is kept for this device.
      <input
        type="range"
        min="0.5"
        max="2"
        step="0.005"
        :value="stretch"
        aria-label="Size of the rule on this screen"
        data-test="screen-stretch"
        @input="setStretch"
      />
    </label>
    <ChoiceBar v-if="isPrinting" v-model="paper" label="Sheets of" :choices="papers" test="sheet" />
    <PrintDrawings v-if="isPrinting" :drawings="[sheet]" :title="`${job.head?.title ?? ''} rule ${scale.title}`" />
  </section>
</template>

<style scoped>
.drawn {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
.paper {
  display: flex;
  flex-direction: column;
  gap: 4mm;
  overflow-x: auto;
  padding: 4mm;
  border: 1px solid var(--groove);
  background: #ffffff;
}
.paper > * {
  flex: none;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.setting {
  display: flex;
  flex-direction: column;
  color: var(--ink-soft);
}
.setting input {
  min-height: var(--touch);
  accent-color: var(--chalk);
}
</style>
