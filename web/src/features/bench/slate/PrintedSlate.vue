<script setup lang="ts">
/** The slate on paper: a job sheet in black on white, whatever the look. It is there while the browser prints. */
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, onMounted } from 'vue';
import SizeText from '../../../ui/SizeText.vue';
import { useJob } from '../../../live/use-jobs.ts';
import { readLine } from './line-reading.ts';

const emit = defineEmits<{ done: [] }>();
const job = useJob();
const printedAt = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(Date.now());
const lines = computed(() =>
  job.slate.rows.map((row) =>
    row.kind === 'worked' ? { row, read: readLine(row.worked, job.style) } : { row, read: undefined },
  ),
);
useEventListener(window, 'afterprint', () => {
  emit('done');
});
onMounted(async () => {
  await nextTick();
  // The browser's own command brought it up: then it prints by itself.
  if (!matchMedia('print').matches) window.print();
});
</script>

<template>
  <Teleport to="body">
    <section class="sheet" aria-label="Job sheet">
      <header>
        <h1>{{ job.head?.title }}</h1>
        <p>{{ printedAt }}</p>
      </header>
      <table>
        <tbody>
          <template v-for="{ row, read } in lines" :key="row.line.id">
            <tr v-if="row.kind === 'heading'" class="heading">
              <th colspan="3" scope="rowgroup">{{ row.words }}</th>
            </tr>
            <tr v-else-if="row.kind === 'note'">
              <td></td>
              <td colspan="2" class="note">{{ row.words }}</td>
            </tr>
            <tr v-else>
              <td class="number">#{{ row.line.number }}</td>
              <td>
                <b v-if="row.line.label">{{ row.line.label }}</b>
                <span class="sum"><SizeText :text="read?.readBack ?? ''" /></span>
                <span v-if="row.line.note" class="note">{{ row.line.note }}</span>
              </td>
              <td class="result">
                <SizeText :text="read?.reading?.text ?? read?.answer ?? read?.problem ?? ''" />
                <small v-if="read?.rounding">{{ read.rounding }}</small>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </section>
  </Teleport>
</template>

<style>
@media screen {
  body > .sheet {
    display: none;
  }
}
@media print {
  body:has(> .sheet) > :not(.sheet) {
    display: none !important;
  }
}
</style>
<style scoped>
.sheet {
  color: #000;
  background: #fff;
  font-size: 11pt;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 2px solid #000;
}
h1 {
  margin: 0 0 4px;
  font-size: 18pt;
}
table {
  width: 100%;
  border-collapse: collapse;
}
tr {
  break-inside: avoid;
}
td {
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid #999;
  vertical-align: top;
}
.heading th {
  padding: 14px 0 4px;
  border-bottom: 2px solid #000;
  font-size: 13pt;
  text-align: left;
  break-after: avoid;
}
.number {
  width: 40px;
}
.sum,
.note {
  display: block;
}
.note {
  font-style: italic;
  white-space: pre-line;
}
.result {
  font-family: var(--figures);
  font-size: 15pt;
  font-weight: 600;
  text-align: right;
  white-space: nowrap;
}
small {
  display: block;
  font-family: var(--text);
  font-size: 9pt;
  font-weight: 400;
}
</style>
