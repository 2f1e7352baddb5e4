<script setup lang="ts">
/** The one line being written: an editor that sets fractions as fractions and says as little as it can. */
import { Compartment, EditorState, Prec, Transaction } from '@codemirror/state';
import { EditorView, keymap, placeholder, repositionTooltips } from '@codemirror/view';
import { useResizeObserver } from '@vueuse/core';
import { onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import type { Span } from '@sprell/core';
import { behindPaint } from '../../ui/behind-paint.ts';
import { sizeNode } from '../../ui/size-pieces.ts';
import { callAt, showCall } from './call-at.ts';
import { backspace, figureAt, isReplaced, isSeveralLines, operator, operatorOf, type EntryText } from './edits.ts';
import type { EntryEditorProps, WrittenSoFar } from './entry-line.ts';
import { entryMarking, setFindings } from './entry-marking.ts';
import { useHand, type EntryHandle } from './hand.ts';
import { LateEditor } from './LateEditor.ts';
import { behindLines } from '../../ui/behind-lines.ts';

const props = defineProps<EntryEditorProps>();
const emit = defineEmits<{ land: []; cancel: []; recall: [by: -1 | 1]; pasteLines: [text: string] }>();
const model = props.text;

const host = ref<HTMLElement>();
const written = shallowRef<HTMLElement>();
const hand = useHand();
const attributes = new Compartment();
const extras = new Compartment();
let undoTyping: ((view: EditorView) => boolean) | undefined;
let view: LateEditor | undefined;

function current(): EntryText {
  const state = (view as EditorView).state;
  const { from, to } = state.selection.main;
  return { text: state.doc.toString(), from, to };
}

function put({ text, from, to }: EntryText): void {
  const editor = view as EditorView;
  const old = editor.state.doc.toString();
  // Only what differs is replaced, so that one step of the history is one touch.
  let start = 0;
  while (start < old.length && start < text.length && old[start] === text[start]) start += 1;
  let end = 0;
  while (
    end < old.length - start &&
    end < text.length - start &&
    old[old.length - 1 - end] === text[text.length - 1 - end]
  )
    end += 1;
  editor.dispatch({
    changes: { from: start, to: old.length - end, insert: text.slice(start, text.length - end) },
    selection: { anchor: from, head: to },
    scrollIntoView: true,
    userEvent: 'input.key',
  });
}

const handle: EntryHandle = {
  read: current,
  apply: (change) => put(change(current())),
  enter: () => emit('land'),
  undo: () => view !== undefined && view.state.doc.length > 0 && undoTyping?.(view) === true,
  focus: () => view?.focus(),
};

function contentAttributes() {
  return EditorView.contentAttributes.of({
    'aria-label': props.label,
    'aria-multiline': 'false',
    'data-test': 'entry',
    autocapitalize: 'off',
    autocorrect: 'off',
    spellcheck: 'false',
    enterkeyhint: 'done',
    inputmode: props.ownKeys ? 'none' : 'text',
    'aria-invalid': props.describedBy === undefined ? 'false' : 'true',
    ...(props.describedBy === undefined ? {} : { 'aria-describedby': props.describedBy }),
  });
}

const emitted = (act: () => void) => () => {
  act();
  return true;
};

const keys = Prec.high(
  keymap.of([
    { key: 'Enter', run: emitted(() => emit('land')) },
    { key: 'Escape', run: emitted(() => emit('cancel')) },
    { key: 'ArrowUp', run: emitted(() => emit('recall', -1)) },
    { key: 'ArrowDown', run: emitted(() => emit('recall', 1)) },
    {
      key: 'Backspace',
      run: () => {
        const entry = current();
        if (!/^last ?[+−×÷^] ?$/u.test(entry.text) || entry.from !== entry.text.length) return false;
        put(backspace(entry));
        return true;
      },
    },
  ]),
);

/** One line: what is pasted of several is joined. */
const oneLine = EditorState.transactionFilter.of((transaction) => {
  if (!transaction.docChanged || transaction.newDoc.lines === 1) return transaction;
  const text = transaction.newDoc
    .toString()
    .replace(/\s*\n\s*/gu, ' ')
    .trim();
  return [
    {
      changes: { from: 0, to: transaction.startState.doc.length, insert: text },
      selection: { anchor: text.length },
      annotations: Transaction.userEvent.of('input.paste'),
    },
  ];
});

/** Several lines may be several entries: the bench is asked. */
const pastedLines = EditorView.domEventHandlers({
  paste: (event) => {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!props.isBenchs || !isSeveralLines(text)) return false;
    emit('pasteLines', text);
    return true;
  },
});

/** A finger that touches a figure takes the whole of it, so that the next keys take its place; touched again, it is let go. */
const figureUnderFinger = EditorView.domEventHandlers({
  click: (event, editor) => {
    if ((event as PointerEvent).pointerType !== 'touch') return false;
    const at = editor.posAtCoords({ x: event.clientX, y: event.clientY });
    const figure = at === null ? undefined : figureAt(editor.state.doc.toString(), at);
    if (figure === undefined) return false;
    const isTaken = taken?.start === figure.start && taken.end === figure.end;
    taken = isTaken ? undefined : figure;
    if (taken) editor.dispatch({ selection: { anchor: taken.start, head: taken.end } });
    return true;
  },
});
let taken: Span | undefined;

const firstOperator = EditorView.inputHandler.of((_editor, _from, _to, text) => {
  const sign = operatorOf(text);
  if (sign === undefined || !props.hasLast || !isReplaced(current())) return false;
  put(operator(current(), sign, true));
  return true;
});

onMounted(() => {
  view = new LateEditor({
    parent: host.value as HTMLElement,
    state: EditorState.create({
      doc: model.value,
      selection: { anchor: model.value.length },
      extensions: [
        EditorView.cspNonce.of(document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content ?? ''),
        keys,
        oneLine,
        firstOperator,
        figureUnderFinger,
        pastedLines,
        extras.of([]),
        entryMarking,
        EditorView.lineWrapping,
        placeholder(() => sizeNode(props.hint)),
        attributes.of(contentAttributes()),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) {
            taken = undefined;
            model.value = update.state.doc.toString();
          }
          if (update.docChanged || update.selectionSet)
            showCall(callAt(update.state.doc.toString(), update.state.selection.main.head));
          if (update.focusChanged && update.view.hasFocus) hand.take(handle, props.isBenchs);
        }),
      ],
    }),
  });
  written.value = view.dom;
  mark();
  if (props.isBenchs || hand.active === undefined) hand.take(handle, props.isBenchs);
  void behindLines(() => import('./editor-extras.ts')).then((loaded) => {
    undoTyping = loaded.undoTyping;
    if (!view) return;
    view.dispatch({ effects: extras.reconfigure(loaded.editorExtras(() => props.marks, props.labels)) });
    loaded.suggestForTyped(view);
  });
});
onBeforeUnmount(() => {
  showCall(undefined);
  hand.drop(handle);
  view?.destroy();
  view = undefined;
});

watch(model, (text) => {
  if (view && view.state.doc.toString() !== text) put({ text, from: text.length, to: text.length });
});
watch(
  () => [props.describedBy, props.ownKeys, props.label],
  () => view?.dispatch({ effects: attributes.reconfigure(contentAttributes()) }),
);

// The editor lies in a room of its own, so that a letter lays out the line and not the bench. Where the line is broken
// into two, the room is made to fit before that is painted.
useResizeObserver(written, ([entry]) => {
  if (entry && host.value) host.value.style.height = `${entry.borderBoxSize[0]?.blockSize}px`;
});

/** Behind the frame that shows the reading: to mark the parts again puts the cursor again, and the page is laid out once more. */
function mark(): void {
  view?.dispatch({ effects: setFindings.of({ wrong: props.wrong, ghost: props.ghost }) });
  view?.keepCursor();
}
watch([model, () => props.wrong?.start, () => props.wrong?.end, () => props.ghost], () => behindPaint(mark));

defineExpose({
  focus: () => view?.focus(),
  take: () => hand.take(handle, props.isBenchs),
  /** Goes on where somebody was in a plain field. */
  goOn: ({ from, to, isFocused }: WrittenSoFar) => {
    view?.dispatch({ selection: { anchor: from, head: to } });
    if (isFocused) view?.focus();
  },
  /** It stands elsewhere on the page, and what hangs on it goes along. */
  moved: () => view && repositionTooltips(view),
});
</script>

<template>
  <div class="editor"><div ref="host" class="room"></div></div>
</template>

<style>
.editor {
  flex: 1;
  min-width: 0;
}
.room {
  min-height: var(--touch);
  contain: size layout style;
}
.cm-editor {
  min-height: var(--touch);
  justify-content: center;
}
.cm-editor.cm-focused {
  outline: none;
}
.cm-editor .cm-scroller {
  font-family: var(--figures);
  font-size: calc(24px * var(--text-size));
  font-weight: 500;
  line-height: 1.3;
}
.cm-editor .cm-content {
  padding: 6px 0;
  /* The frame of the field shows the focus. */
  outline: none;
  caret-color: var(--chalk);
}
.cm-editor .cm-line {
  padding: 0 6px;
}
.cm-editor .cm-placeholder {
  color: var(--faint);
}
.entry-label {
  color: var(--ink-soft);
  font-family: var(--words);
  font-weight: 600;
}
.entry-fraction {
  font-variant-numeric: diagonal-fractions;
}
.entry-prime,
.entry-operator {
  color: var(--ink);
}
.entry-unit {
  color: var(--ink-soft);
  font-style: italic;
}
.entry-function,
.entry-word {
  color: var(--ink-soft);
  font-family: var(--words);
}
.entry-name,
.entry-line {
  color: var(--chalk);
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
.entry-paired {
  background: var(--chalk-wash);
  border-radius: 2px;
  box-shadow: 0 0 0 2px var(--chalk-wash);
}
.entry-alone {
  background: var(--pencil-wash);
}
.entry-wrong {
  text-decoration: underline wavy var(--pencil);
  text-underline-offset: 5px;
}
.entry-ghost {
  color: var(--faint);
}
/* The editor's own style sheet comes later and is as precise; these are more so. */
:root:root .cm-tooltip.cm-tooltip-autocomplete {
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
}
:root:root .cm-tooltip.cm-tooltip-autocomplete > ul {
  max-height: 12em;
  font-family: var(--words);
  font-size: calc(16px * var(--text-size));
}
:root:root .cm-tooltip.cm-tooltip-autocomplete > ul > li {
  display: flex;
  align-items: baseline;
  gap: 12px;
  padding: 9px 12px;
}
:root:root .cm-tooltip-autocomplete ul li[aria-selected] {
  background: var(--chalk);
  color: var(--on-chalk);
}
:root:root .cm-completionMatchedText {
  text-decoration: none;
  font-weight: 600;
}
:root:root .cm-completionDetail {
  margin-left: auto;
  font-family: var(--figures);
  font-style: normal;
  color: var(--ink-soft);
}
:root:root li[aria-selected] .cm-completionDetail {
  color: inherit;
}
:root:root .cm-tooltip.cm-completionInfo {
  padding: 9px 12px;
  border: 1px solid var(--groove);
  background: var(--board);
  color: var(--ink);
}
</style>
