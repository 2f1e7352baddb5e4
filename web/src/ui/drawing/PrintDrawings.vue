<script setup lang="ts">
/** Sheets as they would be printed, and the two files they can be saved as. */
import { ref } from 'vue';
import type { Drawing } from '@sprell/core';
import PlainButton from '../PlainButton.vue';
import DrawingPicture from './DrawingPicture.vue';
import { fileName, saveFile } from './save-file.ts';

const props = defineProps<{ drawings: readonly Drawing[]; title: string }>();

const picture = ref<InstanceType<typeof DrawingPicture>>();
const state = ref<'ready' | 'writing' | 'failed'>('ready');

async function savePdf(): Promise<void> {
  state.value = 'writing';
  try {
    const { drawingsToPdf } = await import('./drawing-pdf.ts');
    const bytes = await drawingsToPdf(props.drawings, props.title);
    saveFile(fileName(props.title, 'pdf'), bytes as Uint8Array<ArrayBuffer>, 'application/pdf');
    state.value = 'ready';
  } catch {
    state.value = 'failed';
  }
}
function saveSvg(): void {
  const drawn = picture.value?.$el as SVGElement | undefined;
  if (!drawn) return;
  const copy = drawn.cloneNode(true) as SVGElement;
  const { width, height } = drawn.getAttribute('viewBox')?.match(/^0 0 (?<width>\S+) (?<height>\S+)$/)?.groups ?? {};
  copy.setAttribute('width', `${width}mm`);
  copy.setAttribute('height', `${height}mm`);
  copy.removeAttribute('class');
  saveFile(fileName(props.title, 'svg'), new XMLSerializer().serializeToString(copy), 'image/svg+xml');
}
</script>

<template>
  <div class="print">
    <div class="files">
      <PlainButton leading :disabled="state === 'writing'" data-test="save-pdf" @click="savePdf"
        >Save as PDF</PlainButton
      >
      <PlainButton data-test="save-svg" @click="saveSvg">Save as SVG</PlainButton>
      <span role="status">{{
        state === 'failed'
          ? 'The PDF could not be written; try again, or save the SVG.'
          : `${drawings.length} ${drawings.length === 1 ? 'sheet' : 'sheets'}`
      }}</span>
    </div>
    <div class="sheets" tabindex="0" role="group" aria-label="Sheets">
      <DrawingPicture ref="picture" :drawings :title />
    </div>
  </div>
</template>

<style scoped>
.print {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.files {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.sheets {
  flex: 1;
  min-height: 200px;
  overflow: auto;
  padding: 8px;
  border: 1px solid var(--groove);
  background: var(--groove);
}
</style>
