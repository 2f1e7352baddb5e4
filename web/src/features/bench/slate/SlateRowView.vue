<script setup lang="ts">
/** One line of the slate: touch its words to edit it, its figure to use it, and the dots for the rest. */
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import { reckonTyped, type BareUnit, type Reckoned, type ReadingStyle, type Scope } from '@sprell/core';
import { inWords } from '@sprell/core/spoken';
import type { LineWire } from '@sprell/contract';
import PlainButton from '../../../ui/PlainButton.vue';
import SizeText from '../../../ui/SizeText.vue';
import type { WorkedRow } from '../../../job/index.ts';
import EntryField from '../../../parts/entry/EntryField.vue';
import type { NamedMark } from '../../../parts/entry/suggestions.ts';
import { readLine } from '../../../parts/slate/line-reading.ts';
import RowFrame from './RowFrame.vue';

const NoteField = defineAsyncComponent(() => import('./NoteField.vue'));

const props = defineProps<{
  row: WorkedRow;
  style: ReadingStyle;
  /** How the line reads while it is edited. */
  draftStyle: ReadingStyle;
  /** What a number is that is typed without a unit. */
  bare: BareUnit;
  /** The line is being edited. */
  editing: boolean;
  /** Its result changed a moment ago. */
  changed: boolean;
  /** The entry in hand uses it. */
  used: boolean;
  /** What the line may refer to; asked for only while it is edited. */
  scopeOf: (lineId: string) => Scope;
  marks: readonly NamedMark[];
  ownKeys: boolean;
  /** The rest that can be done with the line is shown. */
  open: boolean;
  /** The Tab key stops at it. */
  isStop: boolean;
  /** undefined: nothing is being selected. */
  selected: boolean | undefined;
  /** The jig that an entry uses, as it is stored. */
  jigOf: (source: string) => { readonly jig: string; readonly newer: number | undefined } | undefined;
}>();
const emit = defineEmits<{
  edit: [];
  keep: [entry: string];
  leave: [];
  /** The line as it is being written, worked out at each key; undefined once that ends. */
  draft: [reckoned: Reckoned | undefined];
  use: [what: 'result' | 'entry'];
  toggle: [];
  select: [];
  insert: [];
  /** Words are to stand above it. */
  words: [];
  /** `begun`: the line as it stood when the note was begun. */
  note: [note: string, begun: LineWire];
  move: [by: -1 | 1];
  remove: [];
  /** The jig that it uses is to be looked at. */
  jig: [id: string];
}>();

const reading = computed(() => readLine(props.row.worked, props.style));
/** The names of its buttons, sizes in words. */
const spoken = computed(() => {
  const { readBack, reading: shown, answer, rounding } = reading.value;
  const { number, label } = props.row.line;
  const aloud = (text: string) => inWords(text, props.style);
  const result = `${aloud(shown?.text ?? answer ?? '')}${rounding === undefined ? '' : `, ${aloud(rounding)}`}`;
  return {
    edit: `Line ${number}, ${label ?? ''} ${aloud(readBack)}: edit`,
    use: `Use ${result} of line ${number}`,
  };
});
const jig = computed(() => props.jigOf(props.row.line.source));
const draft = ref('');
// The ref itself for the field, not its text.
const writing = { text: draft };
const isNoting = ref(false);
let noteBegun = props.row.line;
function beginNote(): void {
  noteBegun = props.row.line;
  isNoting.value = true;
}
watch(
  () => props.open,
  () => (isNoting.value = false),
);

function keepNote(note: string): void {
  isNoting.value = false;
  emit('note', note, noteBegun);
}

const now = () => reckoned.value;
const field = ref<InstanceType<typeof EntryField>>();
const reckoned = computed(() =>
  draft.value.trim() === '' || !props.editing ? undefined : reckonTyped(draft.value, draftOptions()),
);
const draftOptions = () => ({ scope: props.scopeOf(props.row.line.id), style: props.draftStyle, bare: props.bare });
/** As it is kept: with the units that were not typed. */
function save(): void {
  emit('keep', reckonTyped(draft.value, draftOptions()).written);
}
watch(reckoned, (now) => emit('draft', now));

watch(
  () => props.editing,
  async (editing) => {
    if (!editing) return;
    draft.value = props.row.entry;
    await nextTick();
    field.value?.take();
    field.value?.focus();
  },
  { immediate: true },
);
</script>

<template>
  <RowFrame
    :id="row.line.id"
    :class="{ changed, used, selected }"
    :data-line="row.line.number"
    :name="`line ${row.line.number}`"
    :editing
    :open
    :is-stop
    :selected
    @select="emit('select')"
    @toggle="emit('toggle')"
    @move="(by) => emit('move', by)"
  >
    <template #editor>
      <EntryField
        ref="field"
        :text="writing.text"
        :label="`Line ${row.line.number}`"
        :now="now"
        :options="draftOptions"
        :marks
        :has-last="false"
        :own-keys
        editing
        @land="save"
        @cancel="emit('leave')"
      />
    </template>
    <button
      type="button"
      class="body"
      :tabindex="isStop ? 0 : -1"
      :aria-label="spoken.edit"
      @pointerdown.prevent
      @click="emit('edit')"
    >
      <span class="number">#{{ row.line.number }}</span>
      <span class="words">
        <span v-if="row.line.label" class="label">{{ row.line.label }}</span>
        <span class="read-back"><SizeText :text="reading.readBack" /></span>
        <span v-if="row.line.note" class="note"><SizeText :text="row.line.note" /></span>
        <span v-if="jig?.newer" class="note" data-test="newer-jig">There is a version {{ jig.newer }} of its jig.</span>
        <span v-if="reading.problem" class="problem">{{ reading.problem }}</span>
      </span>
    </button>
    <button
      v-if="!reading.problem"
      type="button"
      class="result"
      tabindex="-1"
      :aria-label="spoken.use"
      data-test="result"
      @pointerdown.prevent
      @click="emit('use', reading.answer === undefined ? 'result' : 'entry')"
    >
      <SizeText :text="reading.reading?.text ?? reading.answer ?? ''" /><SizeText
        v-if="reading.rounding"
        class="rounding"
        :text="reading.rounding"
      />
    </button>
    <template #rest>
      <NoteField
        v-if="isNoting"
        :note="row.line.note"
        :number="row.line.number"
        @keep="keepNote"
        @leave="isNoting = false"
      />
      <template v-else>
        <PlainButton data-test="use-entry" @click="emit('use', 'entry')">Use its sum</PlainButton>
        <PlainButton data-test="note" @click="beginNote">{{
          row.line.note === '' ? 'Add a note' : 'Note'
        }}</PlainButton>
        <PlainButton data-test="insert" @click="emit('insert')">Insert above</PlainButton>
        <PlainButton @click="emit('words')">Heading above</PlainButton>
        <PlainButton :aria-label="`Move line ${row.line.number} up`" data-test="up" @click="emit('move', -1)"
          >Up</PlainButton
        >
        <PlainButton :aria-label="`Move line ${row.line.number} down`" data-test="down" @click="emit('move', 1)"
          >Down</PlainButton
        >
        <PlainButton @click="emit('select')">Select</PlainButton>
        <PlainButton v-if="jig" data-test="its-jig" @click="emit('jig', jig.jig)">Its jig</PlainButton>
        <PlainButton data-test="remove" @click="emit('remove')">Delete</PlainButton>
      </template>
    </template>
  </RowFrame>
</template>

<style scoped>
.changed {
  animation: changed 1.6s ease-out;
}
@keyframes changed {
  from {
    background: var(--chalk-wash);
  }
}
.used,
.selected {
  background: var(--chalk-wash);
}
.used {
  box-shadow: inset 5px 0 0 var(--chalk);
}
.body {
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(calc(34px * var(--text-size)), auto) minmax(0, 1fr);
  column-gap: 6px;
  align-items: center;
  padding: 6px 4px 6px 0;
  min-height: calc(var(--touch) + 6px);
  border: 0;
  background: none;
  text-align: left;
  cursor: text;
}
.body:hover,
.result:hover {
  background: var(--raised);
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
  justify-content: center;
  padding: 2px 6px 2px 10px;
  border: 0;
  background: none;
  font-family: var(--figures);
  font-size: calc(24px * var(--text-size));
  font-weight: 600;
  line-height: 1.1;
  white-space: nowrap;
  cursor: copy;
}
.rounding {
  font-family: var(--words);
  font-size: 13px;
  font-weight: 400;
  color: var(--ink-soft);
}
.problem {
  color: var(--pencil);
  font-size: 15px;
}
@media (max-width: 760px) {
  .body {
    grid-template-columns: minmax(calc(28px * var(--text-size)), auto) minmax(0, 1fr);
  }
}
/* A phone shows three lines and more. */
@media (max-width: 760px) {
  .body {
    min-height: max(44px, var(--target));
    padding-block: 3px;
  }
  .words {
    line-height: 1.2;
  }
}
</style>
