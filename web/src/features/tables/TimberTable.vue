<script setup lang="ts">
/** A person's own table of timber: what each size is sold as, and what it measures. */
import { computed, onMounted, ref, shallowRef } from 'vue';
import { Pencil, Plus, Trash2 } from 'lucide-vue-next';
import { exactText, isMetric, makeIssue, type BareUnit, type Issue, type Quantity } from '@sprell/core';
import { SOFTWOOD_TIMBERS, TIMBER_NAME_LIMIT, timberSize, timberTable, type CellText } from '@sprell/core/tables';
import IconButton from '../../ui/IconButton.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import TextField from '../../ui/TextField.vue';
import SizeField from '../../parts/field/SizeField.vue';
import { useSize, type Size } from '../../parts/field/use-size.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import type { KeptTimber, TimberShelf } from '../../job/index.ts';
import TableActs from './TableActs.vue';

const emit = defineEmits<{ look: [cell: CellText] }>();
const jobs = useJobs();
const job = useJob();
const shelf = shallowRef<TimberShelf>();
onMounted(async () => (shelf.value = (await jobs.shelf()).timbers));
const list = computed(() => shelf.value?.list ?? []);
const table = computed(() => timberTable(list.value, job.style));

/** The size that is written: a new one, or one of the table. */
const writing = ref<'new' | KeptTimber>();
const [called, thick, wide] = [ref(''), ref(''), ref('')];
/** Timber is measured in inches or in millimetres, whatever a bare number is in the job. */
const bare = (): BareUnit => (isMetric(job.style.length) ? 'mm' : 'in');
const [asThick, asWide] = [thick, wide].map((text) => useSize(text, () => ({ bare: bare() }))) as [Size, Size];
const isAsked = ref(false);
function begin(timber?: KeptTimber): void {
  writing.value = timber ?? 'new';
  isAsked.value = false;
  called.value = timber?.called ?? '';
  thick.value = timber?.thick ?? '';
  wide.value = timber?.wide ?? '';
}

/** A size as it is kept: it names nothing, and is read alike in every job. */
function kept(quantity: Quantity | undefined, written: string): string | undefined {
  if (!job.style.decimalComma && timberSize(written, false).ok) return written;
  const exact = quantity && exactText(quantity, { ...job.style, decimalComma: false })?.plain;
  return exact !== undefined && timberSize(exact, false).ok ? exact : undefined;
}
const keptThick = computed(() => kept(asThick.quantity.value, asThick.written()));
const keptWide = computed(() => (wide.value.trim() === '' ? '' : kept(asWide.quantity.value, asWide.written())));
const against = (text: string, fit: string | undefined): Issue | undefined =>
  fit === undefined && text.trim() !== ''
    ? makeIssue('timber.no_size', { start: 0, end: text.length }, { size: text.trim() })
    : undefined;

async function save(): Promise<void> {
  isAsked.value = true;
  const name = called.value.trim();
  if (name === '' || keptThick.value === undefined || keptWide.value === undefined) return;
  const timber = { called: name, thick: keptThick.value, wide: keptWide.value };
  const before = writing.value === 'new' ? undefined : writing.value?.id;
  writing.value = undefined;
  await shelf.value?.save(timber, before);
}
const undo = shallowRef<{ readonly called: string; readonly back: () => Promise<void> }>();
async function remove({ id, called: name }: KeptTimber): Promise<void> {
  writing.value = undefined;
  const back = await shelf.value?.remove(id);
  undo.value = back && { called: name, back };
}
async function undoDelete(): Promise<void> {
  await undo.value?.back();
  undo.value = undefined;
}
</script>

<template>
  <div class="acts">
    <PlainButton leading data-test="new-timber" @click="begin()"
      ><Plus :size="18" aria-hidden="true" />Add a size</PlainButton
    >
    <TableActs :table="list.length > 0 ? table : undefined" title="Timber sizes" />
  </div>
  <p v-if="undo" class="undo">
    {{ undo.called }} is deleted. <button type="button" data-test="undo-timber" @click="undoDelete">Undo</button>
  </p>
  <form v-if="writing" class="writing" aria-label="A size" @submit.prevent="save">
    <TextField v-model="called" label="Sold as" placeholder="2x4" :maxlength="TIMBER_NAME_LIMIT" data-field="called" />
    <SizeField
      v-model="thick"
      label="Thick"
      placeholder='1 1/2"'
      :issue="against(thick, keptThick)"
      :bare="bare()"
      data-field="thick"
      @enter="save"
    />
    <SizeField
      v-model="wide"
      label="Wide"
      placeholder='3 1/2"'
      :issue="against(wide, keptWide)"
      :bare="bare()"
      data-field="wide"
      @enter="save"
    />
    <p v-if="isAsked && (called.trim() === '' || thick.trim() === '')" class="wrong" role="alert">
      It needs what it is sold as, and how thick it is. The width may be left out.
    </p>
    <span class="answers">
      <PlainButton v-if="writing !== 'new'" data-test="delete-timber" @click="remove(writing)"
        ><Trash2 :size="18" aria-hidden="true" />Delete</PlainButton
      >
      <PlainButton data-test="leave-timber" @click="writing = undefined">Cancel</PlainButton>
      <PlainButton leading data-test="save-timber" @click="save">Save</PlainButton>
    </span>
  </form>
  <div v-if="shelf && list.length === 0 && !writing" class="none">
    <p>What your timber is sold as, and what it measures: written down once, here on all your devices.</p>
    <PlainButton data-test="begin-softwood" @click="shelf.saveAll(SOFTWOOD_TIMBERS)"
      >Begin with softwood, dressed and dry</PlainButton
    >
    <p class="hint">
      Its {{ SOFTWOOD_TIMBERS.length }} sizes are those of PS 20, the lumber standard of the United States.
    </p>
  </div>
  <div v-if="list.length > 0" class="scrolls">
    <table data-test="timber-table">
      <thead>
        <tr>
          <th v-for="column in table.columns" :key="column.id" scope="col">{{ column.title }}</th>
          <th scope="col"><span class="unseen">Edit</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, at) in table.rows" :key="list[at]?.id">
          <th scope="row">{{ row.cells[0]?.text }}</th>
          <td v-for="(cell, n) in row.cells.slice(1)" :key="n">
            <button v-if="cell" type="button" @click="emit('look', cell)"><SizeText :text="cell.text" /></button>
          </td>
          <td class="edit">
            <IconButton :name="`Edit ${row.cells[0]?.text}`" data-test="edit-timber" @click="begin(list[at])"
              ><Pencil :size="18" aria-hidden="true"
            /></IconButton>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./table.css"></style>
<style scoped>
.writing {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 12px;
  margin: 0 16px 12px;
  padding: 10px 12px;
  border: 1px solid var(--groove);
  border-radius: 3px;
}
.answers {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}
.wrong {
  grid-column: 1 / -1;
  margin: 0;
  color: var(--pencil);
}
.none {
  max-width: 56ch;
}
.undo {
  margin: 0 16px 8px;
  padding: 4px 10px;
  border-left: 3px solid var(--chalk);
  background: var(--chalk-wash);
}
.undo button {
  min-height: 44px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.edit {
  width: 52px;
}
thead th:first-child {
  text-align: left;
}
@media (max-width: 600px) {
  .writing {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .writing > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
