/** What the editor can do without for the first moments: suggestions, its own undo, the standard keys. Loaded behind it. */
import {
  acceptCompletion,
  autocompletion,
  closeCompletion,
  completionStatus,
  moveCompletionSelection,
  startCompletion,
} from '@codemirror/autocomplete';
import { history, historyKeymap, redo, standardKeymap, undo } from '@codemirror/commands';
import { Prec, type Extension } from '@codemirror/state';
import { keymap, tooltips, type Command, type EditorView } from '@codemirror/view';
import { sizeNode } from '../../ui/size-pieces.ts';
import { suggest, suggestNames, type NamedMark, type Suggestion } from './suggestions.ts';

const isOpen: (command: Command) => Command = (command) => (editor) =>
  completionStatus(editor.state) === 'active' && command(editor);

function sizeOf({ reading }: Suggestion): Node | null {
  if (reading === undefined) return null;
  const node = sizeNode(reading);
  node.classList.add('cm-completionDetail');
  return node;
}

export const undoTyping = undo;

/** Suggests for a word that was typed before this was here: otherwise nothing would be said of it before the next key. */
export function suggestForTyped(editor: EditorView): void {
  const { doc, selection } = editor.state;
  if (editor.hasFocus && /\p{L}\w*$/u.test(doc.sliceString(0, selection.main.head))) startCompletion(editor);
}

export function editorExtras(marks: () => readonly NamedMark[], labels: () => readonly string[]): Extension {
  return [
    Prec.highest(
      keymap.of([
        {
          key: 'Tab',
          run: isOpen(
            (editor) => acceptCompletion(editor) || (moveCompletionSelection(true)(editor) && acceptCompletion(editor)),
          ),
        },
        // Only a suggestion that was gone to is taken by Enter; otherwise Enter lands the entry.
        { key: 'Enter', run: isOpen(acceptCompletion) },
        { key: 'Escape', run: closeCompletion },
        { key: 'ArrowUp', run: isOpen(moveCompletionSelection(false)) },
        { key: 'ArrowDown', run: isOpen(moveCompletionSelection(true)) },
      ]),
    ),
    // In an empty entry there is nothing to take back: there the bench takes back what was done to the slate.
    Prec.high(keymap.of([{ key: 'Mod-z', run: (editor) => editor.state.doc.length > 0 && undo(editor) }])),
    history(),
    // Out of the room of the editor, and over all that stands around it.
    tooltips({ parent: document.body }),
    autocompletion({
      override: [suggest(marks), suggestNames(labels)],
      defaultKeymap: false,
      selectOnOpen: false,
      interactionDelay: 0,
      icons: false,
      addToOptions: [{ position: 80, render: sizeOf }],
      // Beneath the entry stands what is wrong with it.
      aboveCursor: true,
    }),
    // Where there is no change of the entry to do again, the key is the slate's.
    keymap.of([
      { key: 'Mod-y', run: redo },
      { key: 'Mod-Shift-z', run: redo },
      ...historyKeymap.filter((binding) => binding.run !== undo && binding.run !== redo),
      ...standardKeymap,
    ]),
  ];
}
