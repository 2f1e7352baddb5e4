<script setup lang="ts">
/** A heading or a plain note among the lines: touch it to write it anew. */
import { Ellipsis, GripVertical } from 'lucide-vue-next';
import PlainButton from '../../../ui/PlainButton.vue';
import type { WordsRow } from '../../job/slate-row.ts';
import WordsForm from './WordsForm.vue';

defineProps<{
  row: WordsRow;
  /** The words are being written anew. */
  editing: boolean;
  /** The rest that can be done with them is shown. */
  open: boolean;
}>();
const emit = defineEmits<{
  edit: [];
  keep: [words: string];
  leave: [];
  toggle: [];
  insert: [];
  move: [by: -1 | 1];
  remove: [];
}>();
</script>

<template>
  <div class="row" :class="row.kind" :data-words="row.kind">
    <WordsForm
      v-if="editing"
      class="anew"
      :kind="row.kind"
      :words="row.words"
      @keep="(_, words) => emit('keep', words)"
      @leave="emit('leave')"
    />
    <template v-else>
      <span class="grip" aria-hidden="true"><GripVertical :size="16" /></span>
      <button type="button" class="body" :aria-label="`${row.words}: write anew`" @click="emit('edit')">
        <component :is="row.kind === 'heading' ? 'h3' : 'p'">{{ row.words }}</component>
      </button>
      <button
        type="button"
        class="dots"
        :aria-label="`More for ${row.words}`"
        :aria-expanded="open"
        @pointerdown.prevent
        @click="emit('toggle')"
      >
        <Ellipsis :size="20" aria-hidden="true" />
      </button>
    </template>
    <div v-if="open && !editing" class="rest" @pointerdown.prevent>
      <PlainButton @click="emit('insert')">Insert above</PlainButton>
      <PlainButton aria-label="Move these words up" @click="emit('move', -1)">Up</PlainButton>
      <PlainButton aria-label="Move these words down" @click="emit('move', 1)">Down</PlainButton>
      <PlainButton @click="emit('remove')">Take off</PlainButton>
    </div>
  </div>
</template>

<style scoped>
.row:not(:has(.anew)) {
  contain: content;
}
.row {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  border-bottom: 1px solid var(--groove);
}
.heading {
  padding-top: 10px;
  border-bottom: 2px solid var(--ink);
}
.anew,
.rest {
  grid-column: 1 / -1;
}
.grip {
  display: grid;
  place-items: center;
  width: 24px;
  color: var(--faint);
  cursor: grab;
  touch-action: none;
}
.body {
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
.dots {
  width: 40px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.rest {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 4px 8px 10px 28px;
}
@media (max-width: 760px) {
  .grip {
    width: 16px;
  }
  .rest {
    padding-left: 8px;
  }
}
</style>
