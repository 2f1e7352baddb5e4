import type { EntryText } from './edits.ts';
import type { EntryHandle } from './hand.ts';

/** What a plain field has to offer for keys to write into it. */
export interface PlainField {
  readonly input: () => HTMLInputElement | undefined;
  /** Its text, as its owner has it. */
  readonly now: () => string;
  /** Gives its owner a new text. */
  readonly write: (text: string) => void;
  readonly enter: () => void;
}

/** What keys do to a plain field of the browser's own. `typed` is for the letters that come by the browser. */
export function plainHandle({ input, now, write, enter }: PlainField): EntryHandle & { typed(text: string): void } {
  /** The text before each change, for undo. */
  const before: string[] = [];

  function read(): EntryText {
    const { value = '', selectionStart, selectionEnd } = input() ?? {};
    return { text: value, from: selectionStart ?? value.length, to: selectionEnd ?? value.length };
  }
  function typed(text: string): void {
    before.push(now());
    write(text);
  }
  function apply(change: (entry: EntryText) => EntryText): void {
    const element = input();
    if (element === undefined) return;
    const { text, from, to } = change(read());
    typed(text);
    element.value = text;
    element.setSelectionRange(from, to);
  }
  function undo(): boolean {
    const text = now() === '' ? undefined : before.pop();
    if (text === undefined) return false;
    write(text);
    return true;
  }
  return { read, typed, apply, enter, undo, focus: () => input()?.focus() };
}
