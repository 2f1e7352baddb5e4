<script setup lang="ts">
/** Words to stand among the lines: a heading over what follows, or a plain note. */
import { onMounted, ref } from 'vue';
import PlainButton from '../../../ui/PlainButton.vue';

const props = defineProps<{
  /** Words that are edited; none for new ones. */
  words?: string;
  /** Fixed for words that exist already. */
  kind?: 'heading' | 'note';
  /** Where new ones go, in words. */
  where?: string;
}>();
const emit = defineEmits<{ keep: [kind: 'heading' | 'note', words: string]; leave: [] }>();

const kind = ref<'heading' | 'note'>(props.kind ?? 'heading');
const text = ref(props.words ?? '');
const field = ref<HTMLInputElement>();
const LONGEST = { heading: 120, note: 2000 } as const;

function keep(): void {
  if (text.value.trim() !== '') emit('keep', kind.value, text.value);
}
onMounted(() => field.value?.focus());
</script>

<template>
  <form class="words" data-test="words-form" @submit.prevent="keep" @keydown.esc.stop="emit('leave')">
    <div v-if="props.kind === undefined" class="kinds" role="group" aria-label="Kind of words">
      <button type="button" class="kind" :aria-pressed="kind === 'heading'" @click="kind = 'heading'">Heading</button>
      <button type="button" class="kind" :aria-pressed="kind === 'note'" @click="kind = 'note'">Plain note</button>
      <span v-if="where" class="where">{{ where }}</span>
    </div>
    <input
      ref="field"
      v-model="text"
      class="text"
      :aria-label="kind === 'heading' ? 'Words of the heading' : 'Words of the note'"
      :maxlength="LONGEST[kind]"
      :placeholder="kind === 'heading' ? 'Roof' : 'Taped twice, plate to plate'"
      autocomplete="off"
      enterkeyhint="done"
    />
    <PlainButton leading type="submit" data-test="save-words" :disabled="text.trim() === ''">Save</PlainButton>
    <PlainButton @click="emit('leave')">Cancel</PlainButton>
  </form>
</template>

<style scoped>
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px;
}
.kinds {
  flex: 1 0 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
}
.kind {
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--groove);
  background: none;
  cursor: pointer;
}
.kind + .kind {
  border-left: 0;
}
.kind[aria-pressed='true'] {
  background: var(--chalk);
  border-color: var(--chalk);
  color: var(--on-chalk);
}
.where {
  margin-left: 12px;
  color: var(--ink-soft);
}
.text {
  flex: 1 1 12em;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 10px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
}
</style>
