<script setup lang="ts">
/**
 * The line being written until its editor is there: a plain field that does the same at every key. The editor is a third of
 * all script of the first screen, and on a slow network an entry can be begun a good second before it has come.
 */
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { backspace, insert, operator, operatorOf, type EntryText } from './edits.ts';
import type { EntryEditorProps, WrittenSoFar } from './entry-line.ts';
import { useHand, type EntryHandle } from './hand.ts';

const props = defineProps<EntryEditorProps>();
const emit = defineEmits<{ land: []; cancel: []; recall: [by: -1 | 1] }>();
const model = props.text;

const input = ref<HTMLInputElement>();
const hand = useHand();
/** The text before each change, for undo. */
const before: string[] = [];
let composing: Promise<void> | undefined;
let composed: () => void = () => undefined;

function current(): EntryText {
  const { value = '', selectionStart, selectionEnd } = input.value ?? {};
  return { text: value, from: selectionStart ?? value.length, to: selectionEnd ?? value.length };
}

function put({ text, from, to }: EntryText): void {
  if (!input.value) return;
  write(text);
  input.value.value = text;
  input.value.setSelectionRange(from, to);
}
function write(text: string): void {
  before.push(model.value);
  model.value = text;
}

const handle: EntryHandle = {
  apply: (change) => put(change(current())),
  enter: () => emit('land'),
  undo: () => {
    const text = model.value === '' ? undefined : before.pop();
    if (text === undefined) return false;
    model.value = text;
    return true;
  },
  focus: () => input.value?.focus(),
};

function typed(event: Event): void {
  write((event.target as HTMLInputElement).value);
}

function beforeTyped(event: InputEvent): void {
  const sign = operatorOf(event.data ?? '');
  if (sign === undefined || !props.hasLast || model.value !== '') return;
  event.preventDefault();
  put(operator(current(), sign, true));
}

/** One line: what is pasted of several is joined. */
function paste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (!text.includes('\n')) return;
  event.preventDefault();
  put(insert(current(), text.replace(/\s*\n\s*/gu, ' ').trim()));
}

function takeBack(event: KeyboardEvent): void {
  const entry = current();
  if (!/^last ?[+−×÷^] ?$/u.test(entry.text) || entry.from !== entry.text.length) return;
  event.preventDefault();
  put(backspace(entry));
}

function beginComposing(): void {
  composing = new Promise((resolve) => (composed = resolve));
}
function endComposing(): void {
  composed();
  composing = undefined;
}

onMounted(() => {
  if (props.isBenchs || hand.active === undefined) hand.take(handle, props.isBenchs);
});
onBeforeUnmount(() => {
  hand.drop(handle);
});

/** What the editor goes on from; not in the middle of a letter that is put together by several keys. */
async function handOver(): Promise<WrittenSoFar> {
  await composing;
  const { from, to } = current();
  return { from, to, isFocused: document.activeElement === input.value };
}

defineExpose({
  focus: () => input.value?.focus(),
  take: () => hand.take(handle, props.isBenchs),
  moved: () => undefined,
  handOver,
});
</script>

<template>
  <input
    ref="input"
    class="plain"
    type="text"
    data-test="entry"
    :value="model"
    :aria-label="label"
    :aria-invalid="describedBy === undefined ? 'false' : 'true'"
    :aria-describedby="describedBy"
    :placeholder="hint"
    :inputmode="ownKeys ? 'none' : 'text'"
    autocapitalize="off"
    autocomplete="off"
    autocorrect="off"
    spellcheck="false"
    enterkeyhint="done"
    @beforeinput="beforeTyped($event as InputEvent)"
    @input="typed"
    @paste="paste"
    @focus="hand.take(handle, isBenchs)"
    @compositionstart="beginComposing"
    @compositionend="endComposing"
    @keydown.enter.prevent="emit('land')"
    @keydown.esc="emit('cancel')"
    @keydown.up.prevent="emit('recall', -1)"
    @keydown.down.prevent="emit('recall', 1)"
    @keydown.delete="takeBack"
  />
</template>

<style scoped>
.plain {
  flex: 1;
  min-width: 0;
  min-height: var(--touch);
  padding: 6px;
  border: 0;
  background: none;
  color: inherit;
  font-family: var(--figures);
  font-size: calc(24px * var(--text-size));
  font-weight: 500;
  line-height: 1.3;
  caret-color: var(--chalk);
}
/* The frame of the field shows the focus. */
.plain:focus {
  outline: none;
}
.plain::placeholder {
  color: var(--faint);
}
</style>
