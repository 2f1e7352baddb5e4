<script setup lang="ts">
/** What can be done with the slate as a whole: search, select, words among the lines, a fresh start. */
import { useClipboard, useFileDialog, useShare } from '@vueuse/core';
import { ref, watch } from 'vue';
import IconButton from '../../../ui/IconButton.vue';
import { textOfBytes } from '../../../ui/text-of-bytes.ts';
import { Copy, FileInput, FileText, ListChecks, Printer, Redo2, Search, Share2, Trash2 } from 'lucide-vue-next';

const props = defineProps<{
  /** How many lines there are, or were found. */
  says: string;
  searching: boolean;
  selecting: boolean;
  empty: boolean;
  /** Something was undone that can be done again; said here where the head has no room for it. */
  canRedo: boolean;
  /** Lines above the foot add up. */
  canTotal: boolean;
  /** The lines as text for a message. */
  text: () => string;
}>();
const emit = defineEmits<{
  search: [];
  select: [];
  words: [];
  clear: [];
  redo: [];
  print: [];
  csv: [];
  total: [];
  openLines: [text: string, file: string];
}>();
/** Lines that another program wrote. */
const dialog = useFileDialog({ accept: '.csv,.tsv,.txt,text/csv,text/plain', multiple: false, reset: true });
dialog.onChange((files) => {
  const file = files?.[0];
  void file?.arrayBuffer().then((bytes) => {
    emit('openLines', textOfBytes(new Uint8Array(bytes)).text, file.name);
  });
});
const clipboard = useClipboard({ legacy: true, copiedDuring: 4000 });
const share = useShare();
const copy = () => void clipboard.copy(props.text());
/** By the device's own sheet: a message, a mail, whatever is there. Who closes it has changed their mind. */
const send = () => void share.share({ text: props.text() }).catch(() => undefined);
const soughtField = ref<HTMLInputElement>();
watch(soughtField, (field) => field?.focus());
const sought = defineModel<string>('sought', { required: true });
</script>

<template>
  <div class="tools">
    <IconButton
      class="tool"
      name="Search the slate"
      :aria-pressed="searching"
      data-test="search"
      @click="emit('search')"
      ><Search :size="20" aria-hidden="true"
    /></IconButton>
    <input
      v-if="searching"
      ref="soughtField"
      v-model="sought"
      class="search"
      type="search"
      aria-label="Words or a line number"
      placeholder="words or #7"
      data-test="sought"
    />
    <IconButton class="tool" name="Select lines" :aria-pressed="selecting" data-test="select" @click="emit('select')"
      ><ListChecks :size="20" aria-hidden="true"
    /></IconButton>
    <button
      type="button"
      class="tool"
      title="Add a heading or a plain note"
      data-test="add-words"
      @click="emit('words')"
    >
      Heading
    </button>
    <button
      v-if="canTotal"
      type="button"
      class="tool"
      title="Add a line with the total of the lines above"
      data-test="total"
      @click="emit('total')"
    >
      Total
    </button>
    <IconButton class="tool out" name="Lines from a file" data-test="open-lines" @click="dialog.open()"
      ><FileInput :size="20" aria-hidden="true"
    /></IconButton>
    <template v-if="!empty">
      <button
        type="button"
        class="tool out"
        :title="clipboard.copied.value ? 'Copied' : 'Copy the slate as text'"
        data-test="copy-slate"
        @click="copy"
      >
        <Copy :size="20" aria-hidden="true" /><span :class="{ 'sr-only': !clipboard.copied.value }" role="status">{{
          clipboard.copied.value ? 'Copied' : 'Copy the slate as text'
        }}</span>
      </button>
      <IconButton
        v-if="share.isSupported.value"
        class="tool out"
        name="Share the slate"
        data-test="share-slate"
        @click="send"
        ><Share2 :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton class="tool out" name="Job sheet" data-test="open-job-sheet" @click="emit('print')"
        ><Printer :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton class="tool out" name="Save the slate as CSV" data-test="save-slate" @click="emit('csv')"
        ><FileText :size="20" aria-hidden="true"
      /></IconButton>
      <IconButton class="tool" name="Delete all" data-test="clear-all" @click="emit('clear')"
        ><Trash2 :size="20" aria-hidden="true"
      /></IconButton>
    </template>
    <IconButton v-if="canRedo" class="tool redo" name="Redo" data-test="redo-here" @click="emit('redo')"
      ><Redo2 :size="20" aria-hidden="true"
    /></IconButton>
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
  min-width: 0;
  padding: 2px 8px;
  overflow-x: auto;
  border-bottom: 1px solid var(--groove);
  scrollbar-width: none;
}
.tool {
  flex: none;
  padding: 0 6px;
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
  min-height: max(40px, var(--target));
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
/* Where room is short the count is said while something is sought. */
@media (max-width: 1399px) {
  .tools:not(:has(.search)) .count {
    display: none;
  }
}
/* On a tablet they take a second row, so that none lies out of view. */
@media (min-width: 761px) and (max-width: 1023px) {
  .tools {
    flex-wrap: wrap;
  }
}
/* Where room is short the words sought have it. */
@media (max-width: 760px) {
  .search ~ .tool {
    display: none;
  }
}
</style>
