<script setup lang="ts">
/** What can be done with the slate as a whole: search, select, words among the lines, a fresh start. */
import { ListChecks, Redo2, Search } from 'lucide-vue-next';

defineProps<{
  /** How many lines there are, or were found. */
  says: string;
  searching: boolean;
  selecting: boolean;
  empty: boolean;
  /** Something was undone that can be done again; said here where the head has no room for it. */
  canRedo: boolean;
}>();
const emit = defineEmits<{ search: []; select: []; words: []; clear: []; redo: [] }>();
const sought = defineModel<string>('sought', { required: true });
</script>

<template>
  <div class="tools">
    <button
      type="button"
      class="tool"
      :aria-pressed="searching"
      aria-label="Search the slate"
      title="Search the slate"
      data-test="search"
      @click="emit('search')"
    >
      <Search :size="20" aria-hidden="true" />
    </button>
    <input
      v-if="searching"
      v-model="sought"
      class="search"
      type="search"
      aria-label="Words or a line number"
      placeholder="words or #7"
      data-test="sought"
    />
    <button
      type="button"
      class="tool"
      :aria-pressed="selecting"
      aria-label="Select lines"
      title="Select lines"
      data-test="select"
      @click="emit('select')"
    >
      <ListChecks :size="20" aria-hidden="true" />
    </button>
    <button
      type="button"
      class="tool"
      title="Add a heading or a plain note"
      data-test="add-words"
      @click="emit('words')"
    >
      Heading
    </button>
    <button v-if="!empty" type="button" class="tool" data-test="clear-all" @click="emit('clear')">Clear all</button>
    <button
      v-if="canRedo"
      type="button"
      class="tool redo"
      aria-label="Redo"
      title="Do again what was undone last"
      data-test="redo-here"
      @click="emit('redo')"
    >
      <Redo2 :size="20" aria-hidden="true" />
    </button>
    <span class="count">{{ says }}</span>
  </div>
</template>

<style scoped>
@media (min-width: 761px) {
  .redo {
    display: none;
  }
}
.tools {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 2px 8px;
  border-bottom: 1px solid var(--groove);
}
.tool {
  white-space: nowrap;
  min-width: var(--touch);
  min-height: var(--touch);
  display: inline-grid;
  place-items: center;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.tool[aria-pressed='true'] {
  background: var(--chalk-wash);
  color: var(--chalk);
}
.search {
  flex: 1;
  min-width: 0;
  min-height: 40px;
  padding: 0 8px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
}
.count {
  margin-left: auto;
  padding-right: 8px;
  color: var(--ink-soft);
  font-size: 15px;
  white-space: nowrap;
}
/* The narrowest phones have room for the count or for Redo. */
@media (max-width: 360px) {
  .redo ~ .count {
    display: none;
  }
}
/* Where room is short the words sought have it. */
@media (max-width: 760px) {
  .search ~ .tool {
    display: none;
  }
}
</style>
