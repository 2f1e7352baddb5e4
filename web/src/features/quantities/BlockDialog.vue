<script setup lang="ts">
/** A table from elsewhere: pasted or a file, with how each cell was read, before anything of it is taken in. */
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { watchDebounced } from '@vueuse/core';
import { FolderOpen } from 'lucide-vue-next';
import {
  BLOCK_COLUMNS,
  HEADING,
  saidBy,
  type BlockColumn,
  type BlockPlan,
  type BlockRow,
} from '@sprell/core/quantities';
import { heavyWork } from '../../adapters/heavy-work.ts';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import type { Quantities } from '../../job/quantities.ts';
import type { BlockPreview, BlockReader, BlockRefusal } from './block-table.ts';

const props = defineProps<{ list: Quantities; start: string }>();
const emit = defineEmits<{ close: []; added: [count: number] }>();
const job = useJob();

const WORDS: Readonly<Partial<Record<BlockColumn, string>>> = {
  skip: 'leave out',
  name: 'item',
  apiece: 'mass or time of one',
  other: 'second price',
  per: 'what the price is for',
};
const choices = BLOCK_COLUMNS.map((column) => [column, WORDS[column] ?? column] as const);

const text = ref(props.start);
const file = ref<{ readonly name: string; readonly bytes: Uint8Array }>();
const found = shallowRef<BlockPreview | BlockRefusal>();
const isReading = ref(false);
const takesRepeats = ref(false);
/** Columns that were chosen by hand for tables with the same words over them. */
const plans = useKept<Record<string, BlockPlan>>('quantities.plans', {});
const chosen = shallowRef<BlockPlan>();
/** Of a file with several. */
const sheet = ref<string>();

const thread = heavyWork<BlockReader>(
  () => new Worker(new URL('./block-worker.ts', import.meta.url), { type: 'module' }),
);
onBeforeUnmount(() => thread.dispose());

const signature = (head: readonly string[]) => head.join('\u0001').toLowerCase();
let asked = 0;
async function read(): Promise<void> {
  if (text.value.trim() === '' && file.value === undefined) {
    found.value = undefined;
    return;
  }
  asked += 1;
  const mine = asked;
  isReading.value = true;
  const { style } = job;
  const given = {
    ...(file.value ? { bytes: file.value.bytes, sheet: sheet.value } : { text: text.value }),
    style,
    bare: job.reading.bare,
    marks: job.marks.list.flatMap(({ name, quantity }) => (quantity ? [[name.toLowerCase(), quantity] as const] : [])),
    known: props.list.rows.map(({ item, cells }) => saidBy({ ...cells, name: item.name, measure: item.measure })),
  };
  try {
    const ask = (plan: BlockPlan | undefined) =>
      thread.ask(async (reader): Promise<BlockPreview | BlockRefusal> => reader.preview({ ...given, plan }));
    let now = await ask(chosen.value);
    const kept = 'head' in now && chosen.value === undefined ? plans.value[signature(now.head)] : undefined;
    // As it was chosen for a table with these words; without the strings that this page follows it by.
    if (kept !== undefined) now = await ask({ hasHead: kept.hasHead, columns: [...kept.columns] });
    if (mine === asked) found.value = now;
  } catch {
    if (mine === asked) found.value = { refused: 'The table could not be read. Try a part of it.' };
  } finally {
    if (mine === asked) isReading.value = false;
  }
}
watchDebounced(
  text,
  () => {
    chosen.value = undefined;
    void read();
  },
  { debounce: 250, immediate: props.start !== '' },
);
async function open(event: Event): Promise<void> {
  const picked = (event.target as HTMLInputElement).files?.[0];
  if (picked === undefined) return;
  file.value = { name: picked.name, bytes: new Uint8Array(await picked.arrayBuffer()) };
  chosen.value = undefined;
  sheet.value = undefined;
  await read();
}
function openSheet(name: string): void {
  sheet.value = name;
  chosen.value = undefined;
  void read();
}

const shown = computed(() => (found.value && 'rows' in found.value ? found.value : undefined));
const refusal = computed(() => (found.value && 'refused' in found.value ? found.value.refused : undefined));
function takeAs(at: number, column: BlockColumn): void {
  const { value: now } = shown;
  if (now === undefined) return;
  const columns = now.plan.columns.map((one, n) => (n === at ? column : one === column ? 'skip' : one));
  chosen.value = { ...now.plan, columns };
  plans.value = { ...plans.value, [signature(now.head)]: chosen.value };
  void read();
}
const isTaken = (row: BlockRow) => row.refused === undefined && (takesRepeats.value || !row.repeats);
const isRefused = (row: BlockRow) => row.refused !== undefined && row.refused !== HEADING;
const taken = computed(() => shown.value?.rows.filter(isTaken) ?? []);
const repeated = computed(() => shown.value?.rows.filter(({ repeats }) => repeats).length ?? 0);
const refused = computed(() => shown.value?.rows.filter((row) => isRefused(row)).length ?? 0);
/** Enough to see how it was read; what is wrong comes first. */
const MOST_SHOWN = 60;
const sample = computed(() => {
  const rows = shown.value?.rows ?? [];
  const wrong = rows.filter((row) => row.refused !== undefined || row.repeats);
  const right = rows.filter((row) => row.refused === undefined && !row.repeats);
  return [...wrong.slice(0, MOST_SHOWN / 2), ...right].slice(0, MOST_SHOWN).sort((a, b) => a.at - b.at);
});
const columns = computed(() => shown.value?.plan.columns ?? []);
const cellOf = (row: BlockRow, column: BlockColumn) => row.cells.find((cell) => cell.column === column);

function add(): void {
  const rows = taken.value.map(({ fields }) => fields);
  props.list.addBlock(rows);
  emit('added', rows.length);
  emit('close');
}
</script>

<template>
  <el-dialog :model-value="true" title="Rows from elsewhere" width="min(1080px, 96vw)" top="4vh" @close="emit('close')">
    <div class="give">
      <label class="paste">
        <span>Paste rows from a table, with their headings</span>
        <textarea
          v-model="text"
          rows="3"
          spellcheck="false"
          data-test="block-text"
          :disabled="file !== undefined"
        ></textarea>
      </label>
      <div class="file">
        <label class="open">
          <FolderOpen :size="18" aria-hidden="true" />Open a CSV or XLSX file
          <input
            class="sr-only"
            type="file"
            accept=".csv,.tsv,.txt,.xlsx,text/csv"
            data-test="block-file"
            @change="open"
          />
        </label>
        <span v-if="file">{{ file.name }}</span>
        <el-select
          v-if="shown && shown.sheets.length > 1"
          :model-value="shown.sheet"
          aria-label="Sheet of the file"
          data-test="block-sheet"
          @change="openSheet"
        >
          <el-option v-for="name in shown.sheets" :key="name" :value="name" :label="name" />
        </el-select>
      </div>
    </div>
    <p v-if="refusal" class="refusal" role="alert" data-test="block-refused">{{ refusal }}</p>
    <template v-if="shown">
      <p class="says" role="status" data-test="block-says">
        {{ taken.length }} {{ taken.length === 1 ? 'row' : 'rows' }} to add<template v-if="refused > 0"
          >, {{ refused }} not taken</template
        ><template v-if="repeated > 0">, {{ repeated }} already there</template>.
        <span v-if="shown.remark">{{ shown.remark }}</span>
        <el-checkbox v-if="repeated > 0" v-model="takesRepeats">Add those that are there already</el-checkbox>
      </p>
      <div class="scroll" tabindex="0" aria-label="How the rows were read">
        <table>
          <thead>
            <tr>
              <th scope="col">taken in as</th>
              <th v-for="(column, at) in columns" :key="at" scope="col">
                <el-select
                  :model-value="column"
                  size="small"
                  :aria-label="`Column ${at + 1}${shown.plan.hasHead ? `, ${shown.head[at] ?? ''}` : ''}`"
                  :data-test="`block-column-${at}`"
                  @change="(now: BlockColumn) => takeAs(at, now)"
                >
                  <el-option v-for="[value, words] in choices" :key="value" :value :label="words" />
                </el-select>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="row in sample"
              :key="row.at"
              :class="{
                wrong: isRefused(row),
                heading: row.refused === HEADING,
                repeats: row.repeats && !takesRepeats,
              }"
              :data-block-row="row.at"
            >
              <td class="as">
                {{ row.refused ?? (row.repeats ? 'It is there already.' : row.fields.measure) }}
              </td>
              <td v-for="(column, at) in columns" :key="at" :class="{ bad: cellOf(row, column)?.problem }">
                <template v-if="column !== 'skip'">
                  {{ cellOf(row, column)?.text }}
                  <SizeText v-if="cellOf(row, column)?.reads" class="reads" :text="cellOf(row, column)?.reads ?? ''" />
                </template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="shown.rows.length > sample.length" class="more">
        {{ sample.length }} of {{ shown.rows.length }} rows are shown, those that are not taken first.
      </p>
    </template>
    <div class="actions">
      <PlainButton leading :disabled="taken.length === 0 || isReading" data-test="add-block" @click="add"
        >Add {{ taken.length }} {{ taken.length === 1 ? 'row' : 'rows' }}</PlainButton
      >
      <PlainButton data-test="leave-block" @click="emit('close')">Cancel</PlainButton>
    </div>
  </el-dialog>
</template>

<style scoped>
.give {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: 16px;
}
.give .paste {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--ink-soft);
}
textarea {
  width: 100%;
  padding: 8px 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  font-family: var(--figures);
  resize: vertical;
}
.refusal {
  margin: 10px 0 0;
  padding: 8px 12px;
  border-left: 4px solid var(--pencil);
  background: var(--pencil-wash);
}
.says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  margin: 10px 0 6px;
  font-weight: 600;
}
.scroll {
  max-height: 46vh;
  overflow: auto;
  border: 1px solid var(--groove);
}
table {
  border-collapse: collapse;
  min-width: 100%;
}
th,
td {
  padding: 4px 8px;
  border-bottom: 1px solid var(--groove);
  text-align: left;
  vertical-align: top;
}
th {
  position: sticky;
  z-index: 2;
  top: 0;
  min-width: 120px;
  background: var(--ground);
  font-weight: 500;
  color: var(--ink-soft);
}
th:first-child {
  z-index: 3;
  min-width: 150px;
  vertical-align: middle;
}
td {
  background: var(--board);
}
.reads {
  display: block;
  font: 600 17px/1.2 var(--figures);
}
.wrong td {
  color: var(--ink-soft);
  background: var(--pencil-wash);
}
.wrong .as,
.bad {
  color: var(--pencil);
}
.heading td {
  font-weight: 600;
  background: var(--ground);
}
.file {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  gap: 6px;
}
.open {
  display: inline-flex;
  flex-direction: row;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
  font-weight: 500;
  cursor: pointer;
}
.open:focus-within {
  outline: 3px solid var(--chalk);
}
.repeats td {
  color: var(--ink-soft);
  background: var(--ground);
}
.more {
  margin: 6px 0 0;
  color: var(--ink-soft);
}
.actions {
  display: flex;
  gap: 8px;
  margin-top: 14px;
}
@media (max-width: 760px) {
  .give {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
