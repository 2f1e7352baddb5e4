<script setup lang="ts">
/** Versions of the list and its two prices side by side, by section or by item, as a table and as a picture. */
import { computed, defineAsyncComponent, ref } from 'vue';
import type { ReadingStyle } from '@sprell/core';
import { readMoney, type RoundedAt } from '@sprell/core/quantities';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import type { Quantities } from '../../job/quantities.ts';
import { compared, differenceWords, waysOf } from './compared.ts';

const CostChart = defineAsyncComponent(() => import('./CostChart.vue'));

const props = defineProps<{ list: Quantities; style: ReadingStyle; roundedAt: RoundedAt }>();
const emit = defineEmits<{ rows: [ids: readonly string[]] }>();
const BY = [
  ['section', 'By section'],
  ['item', 'By item'],
] as const;
const by = ref<(typeof BY)[number][0]>('section');
const now = computed(() => compared(props.list, waysOf(props.list), props.roundedAt, by.value));
const money = (value: Parameters<typeof readMoney>[0]) => readMoney(value, props.style).text;
</script>

<template>
  <div class="compare" data-test="compare">
    <ChoiceBar v-model="by" class="by" label="What costs are of" :choices="BY" test="by" />
    <div class="scroll" tabindex="0" aria-label="Costs side by side">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ by }}</th>
            <th v-for="way in now.ways" :key="way.id" scope="col" class="figure">{{ way.title }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in now.rows" :key="row.key">
            <th scope="row">
              <button type="button" :data-compared="row.title" @click="emit('rows', row.rows)">{{ row.title }}</button>
            </th>
            <td v-for="(cost, at) in row.costs" :key="at" class="figure" :data-way="now.ways[at]?.title">
              {{ money(cost) }}
              <small v-if="at > 0 && row.costs[0]">{{ differenceWords(row.costs[0], cost, style) }}</small>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">all together, with tax</th>
            <td
              v-for="(total, at) in now.totals"
              :key="at"
              class="figure"
              :data-way="now.ways[at]?.title"
              :data-compared-total="at"
            >
              {{ money(total) }}
              <small v-if="at > 0 && now.totals[0]">{{ differenceWords(now.totals[0], total, style) }}</small>
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
    <CostChart class="chart" :compared="now" :style :by @rows="(ids) => emit('rows', ids)" />
  </div>
</template>

<style scoped>
.compare {
  display: flex;
  flex-direction: column;
  gap: 20px;
  padding: 8px 16px 24px;
  overflow-y: auto;
}
.by {
  align-self: flex-start;
}
.by,
.scroll,
.chart {
  flex: none;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--groove);
  text-align: left;
  vertical-align: top;
}
thead th {
  color: var(--ink-soft);
  font-weight: 500;
}
.figure {
  text-align: right;
  white-space: nowrap;
}
td.figure {
  font: 600 20px/1.2 var(--figures);
}
small {
  display: block;
  color: var(--ink-soft);
  font: 400 15px/1.2 var(--words);
}
tbody th {
  padding-top: 0;
}
tfoot th,
tfoot td {
  border-top: 2px solid var(--ink);
  border-bottom: 0;
  font-weight: 600;
}
tfoot td.figure {
  font-size: 26px;
}
button {
  min-height: var(--target);
  padding: 0;
  border: 0;
  background: none;
  font-weight: 600;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
/* One beneath the other: what is beside the screen's edge is not seen. */
@media (max-width: 760px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  table,
  tbody,
  tfoot,
  tr,
  th,
  td.figure {
    display: block;
    padding-right: 0;
  }
  th,
  td.figure {
    border: 0;
  }
  tr {
    padding-bottom: 8px;
    border-bottom: 1px solid var(--groove);
  }
  tfoot tr {
    padding-top: 8px;
    border-top: 2px solid var(--ink);
    border-bottom: 0;
  }
  td.figure {
    display: flex;
    align-items: baseline;
    gap: 10px;
    padding-block: 2px;
  }
  td.figure::before {
    flex: 1;
    content: attr(data-way);
    font: 400 16px/1.2 var(--words);
    text-align: left;
  }
  td.figure::before {
    order: -2;
  }
  small {
    order: -1;
  }
  tfoot td.figure {
    font-size: 22px;
  }
}
</style>
