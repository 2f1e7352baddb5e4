<script setup lang="ts">
/**
 * The line being written until its editor is there: a plain field that does the same at every key. The editor is a third of
 * all script of the first screen, and on a slow network an entry can be begun a good second before it has come.
 */
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { backspace, insert, isReplaced, isSeveralLines, operator, operatorOf } from './edits.ts';
import type { EntryEditorProps, WrittenSoFar } from './entry-line.ts';
import { useHand } from './hand.ts';
import { plainHandle } from './plain-handle.ts';

const props = defineProps<EntryEditorProps>();
const emit = defineEmits<{ land: []; cancel: []; recall: [by: -1 | 1]; pasteLines: [text: string] }>();
const model = props.text;

const input = ref<HTMLInputElement>();
const hand = useHand();
let composing: Promise<void> | undefined;
let composed: () => void = () => undefined;

const { typed: write, ...handle } = plainHandle({
  input: () => input.value,
  now: () => model.value,
  write: (text) => (model.value = text),
  enter: () => emit('land'),
});

function typed(event: Event): void {
  write((event.target as HTMLInputElement).value);
}

function beforeTyped(event: InputEvent): void {
  const sign = operatorOf(event.data ?? '');
  if (sign === undefined || !props.hasLast || !isReplaced(handle.read())) return;
  event.preventDefault();
  handle.apply((entry) => operator(entry, sign, true));
}

/** One line: what is pasted of several is joined, unless they are offered as several entries. */
function paste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (!text.includes('\n')) return;
  event.preventDefault();
  if (props.isBenchs && isSeveralLines(text)) emit('pasteLines', text);
  else handle.apply((entry) => insert(entry, text.replace(/\s*\n\s*/gu, ' ').trim()));
}

function takeBack(event: KeyboardEvent): void {
  const entry = handle.read();
  if (!/^last ?[+−×÷^] ?$/u.test(entry.text) || entry.from !== entry.text.length) return;
  event.preventDefault();
  handle.apply(backspace);
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
  const { from, to } = handle.read();
  return { from, to, isFocused: document.activeElement === input.value };
}

defineExpose({
  focus: handle.focus,
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
