<script setup lang="ts">
/** One line of the slate: number, label and read-back, the reading large; touched, it is written anew in place. */
import { computed, nextTick, ref, watch } from 'vue';
import { Trash2 } from 'lucide-vue-next';
import { reckon, type ReadingStyle, type Scope } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import type { SlateRow } from '../job/job.store.ts';
import EntryField from './EntryField.vue';
import { readLine } from './line-reading.ts';

const props = defineProps<{
  row: SlateRow;
  style: ReadingStyle;
  /** The line is being written anew. */
  editing: boolean;
  /** Its result changed a moment ago. */
  changed: boolean;
  scope: Scope;
}>();
const emit = defineEmits<{ edit: []; keep: [entry: string]; leave: []; remove: [] }>();

const reading = computed(() => readLine(props.row.worked, props.style));
const draft = ref('');
const field = ref<InstanceType<typeof EntryField>>();
const reckoned = computed(() =>
  draft.value.trim() === '' ? undefined : reckon(draft.value, { scope: props.scope, style: props.style }),
);

watch(
  () => props.editing,
  async (editing) => {
    if (!editing) return;
    draft.value = props.row.entry;
    await nextTick();
    field.value?.focus();
  },
  { immediate: true },
);
</script>

<template>
  <li class="row" :class="{ changed }" :data-line="row.line.number">
    <EntryField
      v-if="editing"
      ref="field"
      v-model="draft"
      class="anew"
      :label="`Line ${row.line.number}`"
      :reckoned
      editing
      @land="emit('keep', draft)"
      @cancel="emit('leave')"
    />
    <template v-else>
      <button type="button" class="body" :aria-label="`Line ${row.line.number}, write anew`" @click="emit('edit')">
        <span class="number">#{{ row.line.number }}</span>
        <span class="words">
          <span v-if="row.line.label" class="label">{{ row.line.label }}</span>
          <span class="read-back"><SizeText :text="reading.readBack" /></span>
          <span v-if="row.line.note" class="note">{{ row.line.note }}</span>
        </span>
        <span v-if="reading.problem" class="problem">{{ reading.problem }}</span>
        <span v-else class="result" data-test="result"
          ><SizeText :text="reading.reading?.text ?? reading.answer ?? ''" /><span
            v-if="reading.rounding"
            class="rounding"
            >{{ reading.rounding }}</span
          ></span
        >
      </button>
      <button
        type="button"
        class="remove"
        :aria-label="`Take line ${row.line.number} off the slate`"
        @click="emit('remove')"
      >
        <Trash2 :size="20" aria-hidden="true" />
      </button>
    </template>
  </li>
</template>

<style scoped>
.row {
  display: flex;
  align-items: stretch;
  border-bottom: 1px solid var(--groove);
}
.changed {
  animation: changed 1.6s ease-out;
}
@keyframes changed {
  from {
    background: var(--chalk-wash);
  }
}
.anew {
  flex: 1;
  padding: 8px 0;
}
.body {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 12px;
  padding: 8px 4px 8px 12px;
  min-height: var(--touch);
  border: 0;
  background: none;
  text-align: left;
  cursor: text;
}
.body:hover {
  background: #fffaf0;
}
.number {
  color: var(--ink-soft);
  font-family: var(--figures);
}
.words {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.label {
  font-weight: 600;
}
.read-back {
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.note {
  font-size: 14px;
  color: var(--ink-soft);
  font-style: italic;
}
.result {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  font-family: var(--figures);
  font-size: 24px;
  font-weight: 600;
  line-height: 1.1;
  white-space: nowrap;
}
.rounding {
  font-family: var(--words);
  font-size: 13px;
  font-weight: 400;
  color: var(--ink-soft);
}
.problem {
  grid-column: 2 / -1;
  color: var(--pencil);
  font-size: 15px;
}
.remove {
  width: var(--touch);
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.remove:hover {
  color: var(--pencil);
}
</style>
