<script setup lang="ts">
/** What is ordered where: whole packs, sheets and stock lengths, by supplier; one touch copies an order for a message. */
import { useClipboard } from '@vueuse/core';
import { computed } from 'vue';
import { Copy } from 'lucide-vue-next';
import { readQuantity, type ReadingStyle } from '@sprell/core';
import { orderList, readMoney, readRowQuantity } from '@sprell/core/quantities';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { say } from '../../ui/say.ts';
import type { JobRow, Quantities } from '../../job/quantities.ts';
import { shownIn } from './columns.ts';

const props = defineProps<{ list: Quantities; version: string | undefined; style: ReadingStyle }>();
const orders = computed(() =>
  orderList(
    props.list.rows.map((row) => ({ ...row, supplier: row.item.supplier })),
    props.version,
  ),
);

/** 15 × 16′; or as much as it is. */
function ordered(row: JobRow): string {
  const { worked } = row;
  const { packs, ordered: all } = worked;
  if (all === undefined) return '';
  if (packs === undefined) return readRowQuantity(worked, all, props.style).text;
  const count = readQuantity({ value: packs, dimension: 0 }, props.style).text;
  return `${count} × ${shownIn(row, 'pack', props.style)}`;
}
const isWanted = (rows: readonly JobRow[], of: (row: JobRow) => string) => rows.some((row) => of(row) !== '');
/** What is to be cut from it, where pieces are of a length. */
function cut({ worked }: JobRow): string {
  const { piece, packs, row } = worked;
  if (row.measure !== 'run' || piece === undefined || packs === undefined) return '';
  const count = readQuantity({ value: worked.count, dimension: 0 }, props.style).text;
  return `${count} of ${readQuantity(piece, props.style).text}`;
}
const over = ({ worked }: JobRow) =>
  worked.leftOver ? readRowQuantity(worked, worked.leftOver, props.style).text : '';
const cost = ({ worked }: JobRow) => (worked.price ? readMoney(worked.price.cost, props.style).text : '');

const clipboard = useClipboard({ legacy: true });
async function copy(rows: readonly JobRow[], supplier: string): Promise<void> {
  const lines = rows.map((row) => `${row.item.name}: ${ordered(row)}${cut(row) === '' ? '' : ` (${cut(row)})`}`);
  await clipboard.copy(lines.join('\n'));
  void say(`The order${supplier === '' ? '' : ` for ${supplier}`} is copied`);
}
</script>

<template>
  <div class="orders" data-test="orders">
    <section v-for="order in orders" :key="order.supplier" :aria-label="order.supplier || 'No supplier'">
      <header>
        <h2>{{ order.supplier || 'No supplier named' }}</h2>
        <span class="sum" :data-order="order.supplier">{{ readMoney(order.cost, style).text }}</span>
        <PlainButton data-test="copy-chosen" @click="copy(order.rows, order.supplier)"
          ><Copy :size="18" aria-hidden="true" />Copy<span class="sr-only">
            the order for {{ order.supplier }}</span
          ></PlainButton
        >
      </header>
      <table>
        <thead>
          <tr>
            <th scope="col">item</th>
            <th scope="col">to order</th>
            <th v-if="isWanted(order.rows, cut)" scope="col">to be cut</th>
            <th v-if="isWanted(order.rows, over)" scope="col" class="over">left over</th>
            <th scope="col" class="figure">cost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in order.rows" :key="row.id">
            <th scope="row">{{ row.item.name }}</th>
            <td><SizeText :text="ordered(row)" /></td>
            <td v-if="isWanted(order.rows, cut)"><SizeText :text="cut(row)" /></td>
            <td v-if="isWanted(order.rows, over)" class="over"><SizeText :text="over(row)" /></td>
            <td class="figure">{{ cost(row) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.orders {
  padding: 0 16px 24px;
  overflow-y: auto;
}
header {
  display: flex;
  align-items: center;
  gap: 14px;
  margin-top: 14px;
  border-bottom: 2px solid var(--ink);
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 18px;
}
.sum {
  font: 600 22px/1 var(--figures);
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th,
td {
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--groove);
  text-align: left;
  font-weight: 500;
  overflow-wrap: anywhere;
}
thead th {
  color: var(--ink-soft);
  font-size: 15px;
}
td {
  font-family: var(--figures);
  font-size: 18px;
}
.figure {
  width: 9em;
  padding-right: 0;
  text-align: right;
}
th:first-child {
  width: 32%;
}
@media (max-width: 760px) {
  .orders {
    padding: 0 12px 16px;
  }
  .over {
    display: none;
  }
  td {
    font-size: 16px;
  }
}
</style>
