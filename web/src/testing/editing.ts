/** Typing into the entry's editor where there is no browser: tests write to the editor itself. */
import { EditorView } from '@codemirror/view';

// This stand-in for a browser reports a new selection in the middle of an update, which none does.
let isLate = false;
document.addEventListener(
  'selectionchange',
  (event) => {
    if (isLate) return;
    event.stopImmediatePropagation();
    queueMicrotask(() => {
      isLate = true;
      document.dispatchEvent(new Event('selectionchange'));
      isLate = false;
    });
  },
  { capture: true },
);

export function editorIn(root: Element): EditorView {
  return EditorView.findFromDOM(root.querySelector('.cm-editor') as HTMLElement) as EditorView;
}

/** Puts a text in place of the old one, as if it had been typed. */
export function typeInto(root: Element, text: string): void {
  const editor = editorIn(root);
  editor.dispatch({
    changes: { from: 0, to: editor.state.doc.length, insert: text },
    selection: { anchor: text.length },
    userEvent: 'input.type',
  });
}

export function pressIn(root: Element, key: string): void {
  const keyCode = { Enter: 13, Escape: 27, ArrowUp: 38, ArrowDown: 40, Backspace: 8 }[key] ?? 0;
  editorIn(root).contentDOM.dispatchEvent(
    new KeyboardEvent('keydown', { key, keyCode, bubbles: true, cancelable: true } as KeyboardEventInit),
  );
}
