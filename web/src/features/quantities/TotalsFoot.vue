<script setup lang="ts">
/** What the list comes to, always in view: net, waste, taxes, all together; and what is not in it. */
import { computed } from 'vue';
import type { ReadingStyle } from '@sprell/core';
import { readMoney, type TakeOffTotals } from '@sprell/core/quantities';
import type { JobTax } from '../../job/quantities.ts';

const props = defineProps<{
  totals: TakeOffTotals;
  taxes: readonly JobTax[];
  style: ReadingStyle;
  rows: number;
  roundedAt: 'row' | 'total';
  /** There is room for little. */
  isBrief: boolean;
}>();
const emit = defineEmits<{ find: [ids: readonly string[]]; rounding: [] }>();
const money = (value: Parameters<typeof readMoney>[0]) => readMoney(value, props.style).text;
const taxed = computed(() =>
  props.taxes.flatMap(({ id, name, typed }) => {
    const one = props.totals.all.taxes.get(id);
    return one === undefined ? [] : [{ name, typed, tax: money(one.tax), of: money(one.of) }];
  }),
);
const nothing = computed(() => money(props.totals.leftOut.cost));
const hasLeftOut = computed(() => nothing.value !== readZero.value);
const readZero = computed(() => money({ kind: 'rational', num: 0, den: 1 }));
const drift = computed(() => {
  const text = money(props.totals.all.drift);
  return text === readZero.value ? undefined : text.replace('-', '').replace('−', '');
});
const missing = computed(() => [...props.totals.failed, ...props.totals.unpriced]);
</script>

<template>
  <footer class="foot" aria-label="Totals" data-test="totals">
    <dl>
      <div>
        <dt>built in</dt>
        <dd data-test="net">{{ money(totals.all.net) }}</dd>
      </div>
      <div>
        <dt>waste and whole packs</dt>
        <dd data-test="waste">{{ money(totals.all.waste) }}</dd>
      </div>
      <div class="sum">
        <dt>to buy</dt>
        <dd data-test="cost">{{ money(totals.all.cost) }}</dd>
      </div>
      <div v-for="one in taxed" :key="one.name">
        <dt>{{ one.name }} {{ one.typed }} of {{ one.of }}</dt>
        <dd :data-tax="one.name">{{ one.tax }}</dd>
      </div>
      <div class="grand">
        <dt>all together</dt>
        <dd data-test="grand">{{ money(totals.all.grand) }}</dd>
      </div>
    </dl>
    <p v-if="!isBrief" class="notes">
      <span>{{ rows }} {{ rows === 1 ? 'row' : 'rows' }}.</span>
      <span v-if="hasLeftOut" data-test="left-out">Left out: {{ nothing }}.</span>
      <button
        v-if="missing.length > 0"
        type="button"
        class="missing"
        data-test="missing"
        @click="emit('find', missing)"
      >
        {{ missing.length }} {{ missing.length === 1 ? 'row has' : 'rows have' }} no cost
      </button>
      <button type="button" class="rounding" data-test="rounding" @click="emit('rounding')">
        {{ roundedAt === 'row' ? 'Each row rounded to the cent, as on a bill' : 'Rounded once, in each total' }}
      </button>
      <span v-if="roundedAt === 'total' && drift">Adding up the rounded rows would be {{ drift }} off.</span>
    </p>
  </footer>
</template>

<style scoped>
.foot {
  padding: 6px 16px 8px;
  border-top: 2px solid var(--ink);
  background: var(--ground);
}
dl {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  justify-content: flex-end;
  gap: 2px 26px;
  margin: 0;
}
dt {
  color: var(--ink-soft);
  font-size: 15px;
}
dd {
  margin: 0;
  font: 600 22px/1.15 var(--figures);
  text-align: right;
}
.grand dd {
  font-size: 34px;
}
.notes {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: flex-end;
  gap: 0 16px;
  margin: 2px 0 0;
  color: var(--ink-soft);
  font-size: 15px;
}
.notes button {
  min-height: var(--target);
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.missing {
  color: var(--pencil);
}
@media (max-width: 760px) {
  .foot {
    padding: 6px 12px;
  }
  dl {
    justify-content: space-between;
    gap: 0 14px;
  }
  dl > :not(.sum, .grand) {
    display: none;
  }
  .grand dd {
    font-size: 28px;
  }
  .notes {
    justify-content: flex-start;
  }
}
/* A phone on its side: the list is what one came for. */
@media (min-width: 761px) and (max-height: 500px) {
  .foot {
    padding-block: 2px;
  }
  dl > div {
    display: flex;
    align-items: baseline;
    gap: 8px;
  }
  dl > :not(.sum, .grand),
  .notes {
    display: none;
  }
  .grand dd {
    font-size: 24px;
  }
}
</style>
