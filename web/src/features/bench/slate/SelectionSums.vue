<script setup lang="ts">
/** Sum, count, mean, largest and smallest of the lines that are selected; the sum can stand on the slate as a live line. */
import { computed } from 'vue';
import { reckon, type Quantity, type ReadingStyle, type Scope } from '@sprell/core';
import PlainButton from '../../../ui/PlainButton.vue';
import SizeText from '../../../ui/SizeText.vue';
import type { WorkedRow } from '../../../job/index.ts';

const props = defineProps<{ rows: readonly WorkedRow[]; style: ReadingStyle }>();
const emit = defineEmits<{ sum: [entry: string]; done: [] }>();

const usable = computed(() =>
  props.rows.flatMap(({ line, worked: { result } }) =>
    result.ok && result.outcome.kind === 'quantity' ? [{ number: line.number, quantity: result.outcome.quantity }] : [],
  ),
);
const list = computed(() => usable.value.map(({ number }) => `#${number}`).join('; '));

const scope = computed<Scope>(() => {
  const byNumber = new Map<number, Quantity>(usable.value.map(({ number, quantity }) => [number, quantity]));
  return {
    line: (number) => {
      const quantity = byNumber.get(number);
      return quantity && { ok: true, quantity };
    },
    mark: () => undefined,
    run: () => undefined,
    last: () => undefined,
    names: () => [],
  };
});

const figures = computed(() =>
  usable.value.length === 0
    ? []
    : (['sum', 'mean', 'max', 'min'] as const).map((name) => {
        const { reading } = reckon(`${name}(${list.value})`, { scope: scope.value, style: props.style });
        return { name: { sum: 'sum', mean: 'mean', max: 'largest', min: 'smallest' }[name], text: reading?.text };
      }),
);
const isMixed = computed(() => figures.value.some(({ text }) => text === undefined));
</script>

<template>
  <div class="sums" data-test="sums">
    <span>{{ usable.length }} selected</span>
    <span v-if="isMixed">They are of different kinds and do not add up.</span>
    <template v-else>
      <span v-for="{ name, text } in figures" :key="name" class="figure"
        >{{ name }} <b><SizeText :text="text ?? ''" /></b
      ></span>
      <PlainButton v-if="usable.length > 0" data-test="land-sum" @click="emit('sum', `sum(${list})`)"
        >Sum to the slate</PlainButton
      >
    </template>
    <PlainButton class="done" data-test="done-selecting" @click="emit('done')">Done</PlainButton>
  </div>
</template>

<style scoped>
.sums {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 6px 12px;
  background: var(--chalk-wash);
}
b {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
}
.done {
  margin-left: auto;
}
.figure {
  white-space: nowrap;
}
</style>
