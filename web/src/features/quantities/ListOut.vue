<script setup lang="ts">
/** The list as it leaves: as a file for other programs, or on sheets of paper. */
import { computed, onBeforeUnmount, ref } from 'vue';
import { FileSpreadsheet, FileText } from 'lucide-vue-next';
import { flatTableOf, listSheets, workbookOf, type RoundedAt } from '@sprell/core/quantities';
import { heavyWork } from '../../adapters/heavy-work.ts';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PlainButton from '../../ui/PlainButton.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { fileName, saveFile } from '../../ui/drawing/save-file.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useSheet } from '../../live/use-sheet.ts';
import type { Quantities } from '../../job/quantities.ts';
import type { ListFiles } from './list-files.ts';

const props = defineProps<{ list: Quantities; version: string | undefined; roundedAt: RoundedAt }>();
const emit = defineEmits<{ close: [] }>();
const job = useJob();

const { sheet, sheets } = useSheet();
const written = computed(() =>
  props.list.written({
    version: props.version,
    roundedAt: props.roundedAt,
    on: new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(Date.now()),
  }),
);
const drawings = computed(() => listSheets(written.value, sheet.value));

const thread = heavyWork<ListFiles>(
  () => new Worker(new URL('./list-files-worker.ts', import.meta.url), { type: 'module' }),
);
onBeforeUnmount(() => thread.dispose());

const state = ref<'ready' | 'writing' | 'failed'>('ready');
async function save(ending: 'xlsx' | 'csv'): Promise<void> {
  state.value = 'writing';
  try {
    const list = written.value;
    const name = fileName(list.title, ending);
    if (ending === 'xlsx') {
      const workbook = workbookOf(list);
      const bytes = await thread.ask((files) => files.xlsx(workbook));
      saveFile(name, bytes, 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet');
    } else {
      const table = flatTableOf(list);
      const text = await thread.ask((files) => files.csv(table, job.style.decimalComma));
      saveFile(name, text, 'text/csv;charset=utf-8');
    }
    state.value = 'ready';
  } catch {
    state.value = 'failed';
  }
}
</script>

<template>
  <el-dialog
    :model-value="true"
    title="Save or print the list"
    width="min(980px, 96vw)"
    top="4vh"
    @close="emit('close')"
  >
    <section class="part" aria-label="For other programs">
      <h3>For other programs</h3>
      <div class="ways">
        <PlainButton leading :disabled="state === 'writing'" data-test="save-xlsx" @click="save('xlsx')"
          ><FileSpreadsheet :size="18" aria-hidden="true" />Save as XLSX</PlainButton
        >
        <span>Quantities, subtotals, taxes and totals go on working there, as formulas.</span>
        <PlainButton :disabled="state === 'writing'" data-test="save-csv" @click="save('csv')"
          ><FileText :size="18" aria-hidden="true" />Save as CSV</PlainButton
        >
        <span>A row a line, with its section beside it; figures, no formulas.</span>
      </div>
      <p v-if="state === 'failed'" role="alert">The file could not be written. Try again, or save the other kind.</p>
    </section>
    <section class="part" aria-label="On paper">
      <div class="head">
        <h3>On paper</h3>
        <ChoiceBar v-model="sheet" label="Sheets of" :choices="sheets" test="sheet" />
      </div>
      <PrintDrawings class="paper" :drawings :title="written.title" />
    </section>
  </el-dialog>
</template>

<style scoped>
h3 {
  margin: 0;
  font-size: 17px;
}
.part + .part {
  margin-top: 16px;
}
.ways {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  align-items: center;
  gap: 8px 14px;
  margin-top: 8px;
  color: var(--ink-soft);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-bottom: 8px;
}
.paper {
  max-height: 60vh;
}
@media (max-width: 760px) {
  .ways {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
