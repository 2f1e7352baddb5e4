/** What the editor can do without for the first moments: suggestions, its own undo, the standard keys. Loaded behind it. */
import {
  acceptCompletion,
  autocompletion,
  closeCompletion,
  completionStatus,
  moveCompletionSelection,
} from '@codemirror/autocomplete';
import { history, historyKeymap, standardKeymap, undo } from '@codemirror/commands';
import { Prec, type Extension } from '@codemirror/state';
import { keymap, type Command } from '@codemirror/view';
import { suggest, type NamedMark } from './suggestions.ts';

const isOpen: (command: Command) => Command = (command) => (editor) =>
  completionStatus(editor.state) === 'active' && command(editor);

export const undoTyping = undo;

export function editorExtras(marks: () => readonly NamedMark[]): Extension {
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
    autocompletion({
      override: [suggest(marks)],
      defaultKeymap: false,
      selectOnOpen: false,
      interactionDelay: 0,
      icons: false,
    }),
    keymap.of([...historyKeymap.filter(({ key }) => key !== 'Mod-z'), ...standardKeymap]),
  ];
}
