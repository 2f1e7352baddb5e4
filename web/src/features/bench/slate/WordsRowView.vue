<script setup lang="ts">
/** A heading or a plain note among the lines: touch it to edit it. */
import { defineAsyncComponent } from 'vue';
import PlainButton from '../../../ui/PlainButton.vue';
import type { WordsRow } from '../../../job/index.ts';
import RowFrame from './RowFrame.vue';

const WordsForm = defineAsyncComponent(() => import('./WordsForm.vue'));

withDefaults(
  defineProps<{
    row: WordsRow;
    /** The words are being edited. */
    editing: boolean;
    /** The rest that can be done with them is shown. */
    open: boolean;
    /** The Tab key stops at it. */
    isStop: boolean;
    /** undefined: nothing is being selected. */
    selected?: boolean | undefined;
  }>(),
  { selected: undefined },
);
const emit = defineEmits<{
  edit: [];
  keep: [words: string];
  leave: [];
  toggle: [];
  select: [];
  insert: [];
  move: [by: -1 | 1];
  remove: [];
}>();
</script>

<template>
  <RowFrame
    :id="row.line.id"
    :class="[row.kind, { selected }]"
    :data-words="row.kind"
    :name="row.words"
    :editing
    :open
    :is-stop
    :selected
    @select="emit('select')"
    @toggle="emit('toggle')"
    @move="(by) => emit('move', by)"
  >
    <template #editor>
      <WordsForm :kind="row.kind" :words="row.words" @keep="(_, words) => emit('keep', words)" @leave="emit('leave')" />
    </template>
    <button
      type="button"
      class="body"
      :tabindex="isStop ? 0 : -1"
      :aria-label="`${row.words}: edit`"
      @click="emit('edit')"
    >
      <component :is="row.kind === 'heading' ? 'h3' : 'p'">{{ row.words }}</component>
    </button>
    <template #rest>
      <PlainButton @click="emit('insert')">Insert above</PlainButton>
      <PlainButton aria-label="Move these words up" @click="emit('move', -1)">Up</PlainButton>
      <PlainButton aria-label="Move these words down" @click="emit('move', 1)">Down</PlainButton>
      <PlainButton @click="emit('remove')">Delete</PlainButton>
    </template>
  </RowFrame>
</template>

<style scoped>
.heading {
  padding-top: 10px;
  border-bottom: 2px solid var(--ink);
}
.body {
  grid-column: 2 / 4;
  min-width: 0;
  min-height: var(--touch);
  padding: 4px 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: text;
}
h3,
p {
  margin: 0;
  overflow-wrap: anywhere;
}
h3 {
  font-size: calc(19px * var(--text-size));
  font-weight: 600;
}
p {
  font-style: italic;
}
</style>
