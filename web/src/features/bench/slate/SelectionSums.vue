<script setup lang="ts">
/** What can be done with the lines that are chosen: their sum, mean, largest and smallest; copy them, delete them. */
import { useClipboard } from '@vueuse/core';
import { computed, ref } from 'vue';
import { reckon, type Quantity, type ReadingStyle, type Scope } from '@sprell/core';
import PlainButton from '../../../ui/PlainButton.vue';
import SizeText from '../../../ui/SizeText.vue';
import type { SlateRow } from '../../../job/index.ts';
import WordsForm from './WordsForm.vue';
import { runOf, slateText } from './slate-text.ts';

const props = defineProps<{
  rows: readonly SlateRow[];
  /** All lines of the slate, in order. */
  all: readonly SlateRow[];
  style: ReadingStyle;
  /** The line above which they go is touched next. */
  placing: boolean;
}>();
const emit = defineEmits<{
  sum: [entry: string];
  all: [];
  remove: [];
  /** They are to be a calculation that can be run again. */
  jig: [];
  done: [];
  /** They are to go elsewhere: the line is touched next, or the foot said. */
  place: [];
  toFoot: [];
  /** A heading of their own. */
  heading: [words: string];
}>();
/** The words of a heading are being written. */
const isNaming = ref(false);

const usable = computed(() =>
  props.rows.flatMap((row) =>
    row.kind === 'worked' && row.worked.result.ok && row.worked.result.outcome.kind === 'quantity'
      ? [{ id: row.line.id, number: row.line.number, quantity: row.worked.result.outcome.quantity }]
      : [],
  ),
);
const list = computed(() => usable.value.map(({ number }) => `#${number}`).join('; '));
/** Lines that stand together are summed as a run, so that one that is put between them later counts. */
const summed = computed(() => runOf(props.all, new Set(usable.value.map(({ id }) => id))) ?? list.value);

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

const clipboard = useClipboard({ legacy: true, copiedDuring: 4000 });
</script>

<template>
  <div v-if="placing" class="sums" data-test="placing">
    <span role="status">Touch the line that they go above.</span>
    <span class="acts">
      <PlainButton data-test="to-foot" @click="emit('toFoot')">To the foot</PlainButton>
      <PlainButton data-test="leave-placing" @click="emit('place')">Cancel</PlainButton>
    </span>
  </div>
  <WordsForm
    v-else-if="isNaming"
    kind="heading"
    where="above them"
    @keep="(_, words) => emit('heading', words)"
    @leave="isNaming = false"
  />
  <div v-else class="sums" data-test="sums">
    <span>{{ rows.length }} selected</span>
    <span v-if="isMixed">They are of different kinds and do not add up.</span>
    <template v-else>
      <span v-for="{ name, text } in figures" :key="name" class="figure"
        >{{ name }} <b><SizeText :text="text ?? ''" /></b
      ></span>
      <PlainButton v-if="usable.length > 0" data-test="land-sum" @click="emit('sum', `sum(${summed})`)"
        >Add total line</PlainButton
      >
    </template>
    <span class="acts">
      <PlainButton v-if="rows.length < all.length" data-test="select-all" @click="emit('all')">All</PlainButton>
      <template v-if="rows.length > 0">
        <PlainButton data-test="copy-chosen" @click="clipboard.copy(slateText(rows, style))">{{
          clipboard.copied.value ? 'Copied' : 'Copy'
        }}</PlainButton>
        <PlainButton data-test="move-chosen" @click="emit('place')">Move</PlainButton>
        <PlainButton data-test="head-chosen" @click="isNaming = true">Under a heading</PlainButton>
        <PlainButton
          v-if="usable.length > 0"
          title="A calculation to be run again"
          data-test="jig-chosen"
          @click="emit('jig')"
          >Make a jig</PlainButton
        >
        <PlainButton data-test="delete-chosen" @click="emit('remove')">Delete</PlainButton>
      </template>
      <PlainButton data-test="done-selecting" @click="emit('done')">Done</PlainButton>
    </span>
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
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-left: auto;
}
.figure {
  white-space: nowrap;
}
</style>
