<script setup lang="ts">
/** Sheets as they would be printed, by the browser, or as the two files they can be saved as. */
import { computed, nextTick, onBeforeUnmount, ref, toRaw } from 'vue';
import { useEventListener } from '@vueuse/core';
import type { Drawing } from '@sprell/core';
import { heavyWork } from '../../adapters/heavy-work.ts';
import PlainButton from '../PlainButton.vue';
import DrawingPicture from './DrawingPicture.vue';
import type { PdfWriter } from './drawing-pdf.ts';
import PrintedPages from './PrintedPages.vue';
import { fileName, saveFile } from './save-file.ts';

const props = defineProps<{
  drawings: readonly Drawing[];
  title: string;
  /** Sheets of text: nobody wants them as a picture. */
  isText?: boolean;
  /** The same at its full size, for programs that draw and for saws; made when it is wanted. */
  dxf?: (() => Promise<string>) | undefined;
}>();

/** Of text a screen shows so many sheets; all are saved and printed. What is shown of drawings is what an SVG holds. */
const MOST_SHOWN = 20;
const shown = computed(() => (props.isText ? props.drawings.slice(0, MOST_SHOWN) : props.drawings));

const picture = ref<InstanceType<typeof DrawingPicture>>();
const state = ref<'ready' | 'writing' | 'failed'>('ready');

const thread = heavyWork<PdfWriter>(
  () => new Worker(new URL('./drawing-pdf-worker.ts', import.meta.url), { type: 'module' }),
);
onBeforeUnmount(() => thread.dispose());

async function savePdf(): Promise<void> {
  state.value = 'writing';
  try {
    // Without the strings by which this page follows them.
    const drawings = toRaw(props.drawings);
    const bytes = await thread.ask((writer) => writer.write(drawings, props.title));
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

async function saveDxf(): Promise<void> {
  const text = await props.dxf?.();
  if (text !== undefined) saveFile(fileName(props.title, 'dxf'), text, 'image/vnd.dxf');
}

/** On paper, a sheet a page: there while the browser prints. */
const isPrinting = ref(false);
async function print(): Promise<void> {
  isPrinting.value = true;
  await nextTick();
  window.print();
}
// The browser's own command prints the same.
useEventListener(window, 'beforeprint', () => {
  isPrinting.value = true;
});
useEventListener(window, 'afterprint', () => {
  isPrinting.value = false;
});
</script>

<template>
  <div class="print">
    <div class="files">
      <PlainButton leading :disabled="state === 'writing'" data-test="save-pdf" @click="savePdf"
        >Save as PDF</PlainButton
      >
      <PlainButton data-test="print-sheets" @click="print">Print</PlainButton>
      <PlainButton v-if="!isText" data-test="save-svg" @click="saveSvg">Save as SVG</PlainButton>
      <PlainButton
        v-if="dxf"
        title="At its full size in millimetres, for programs that draw and for saws"
        data-test="save-dxf"
        @click="saveDxf"
        >Save as DXF</PlainButton
      >
      <span role="status">{{
        state === 'failed'
          ? 'The PDF could not be written; try again, or save the SVG.'
          : `${drawings.length} ${drawings.length === 1 ? 'sheet' : 'sheets'}${drawings.length > shown.length ? `, the first ${shown.length} of them shown here` : ''}`
      }}</span>
    </div>
    <div class="sheets" tabindex="0" role="group" aria-label="Sheets">
      <DrawingPicture ref="picture" :drawings="shown" :title />
    </div>
    <PrintedPages v-if="isPrinting" :drawings :title />
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
