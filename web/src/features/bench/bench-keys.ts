/** What the keys of a keyboard do on the bench, whatever is being written in. */
export interface BenchActions {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly shortcuts: () => void;
  readonly repeat: () => void;
  readonly keep: () => void;
  readonly post: (operator: 'add' | 'subtract') => void;
  readonly layOut: () => void;
  /** Closes what was opened last. @returns whether there was anything */
  readonly closeLast: () => boolean;
  /** Goes to the bench's own entry, where the key then is written. */
  readonly toEntry: () => void;
  /** The bench's own entry is empty. */
  readonly isEmpty: () => boolean;
}

/** Places that have a use of their own for the letters that are typed in them. */
const OTHERS = 'input, textarea, select, [role=dialog], [role=menu], [role=listbox], [role=radiogroup]';

/** A listener for the keys of the bench. */
export function benchKeys(actions: BenchActions): (event: KeyboardEvent) => void {
  return (event) => {
    // An editor that took a change of its own back has said so.
    if (event.defaultPrevented) return;
    const target = event.target as HTMLElement;
    const isWriting = target.isContentEditable || target.closest(OTHERS) !== null;
    const isEmpty = target instanceof HTMLInputElement ? target.value === '' : actions.isEmpty();
    const step = stepOf(event);
    if (step !== undefined && (!isWriting || isEmpty)) {
      event.preventDefault();
      actions[step]();
    } else if (event.key === 'Escape') {
      if (target.closest('[role=dialog], [role=menu]') === null && actions.closeLast()) event.preventDefault();
    } else if (event.key === '?' && !isWriting) actions.shortcuts();
    else if (event.altKey && !event.ctrlKey) byAltKey(event, actions);
    else if (!isWriting && isTyped(event)) actions.toEntry();
  };
}

/** A key that writes or takes back; a space presses what has the focus. */
function isTyped({ key, ctrlKey, metaKey }: KeyboardEvent): boolean {
  return !ctrlKey && !metaKey && (key === 'Backspace' || (key.length === 1 && key !== ' '));
}

/** Ctrl Z, and both ways in which keyboards are used to do it again. */
function stepOf({ ctrlKey, metaKey, shiftKey, key }: KeyboardEvent): 'undo' | 'redo' | undefined {
  if (!ctrlKey && !metaKey) return undefined;
  if (key.toLowerCase() === 'z') return shiftKey ? 'redo' : 'undo';
  return key.toLowerCase() === 'y' && !shiftKey ? 'redo' : undefined;
}

/** By the letter where there is one, else by the place of the key: what it writes together with Alt differs. */
function byAltKey(event: KeyboardEvent, { repeat, keep, post, layOut }: BenchActions): void {
  const pressed = /^[a-z]$/i.test(event.key) ? `Key${event.key.toUpperCase()}` : event.code;
  const action = {
    KeyA: repeat,
    KeyK: keep,
    KeyL: layOut,
    Equal: () => post('add'),
    NumpadAdd: () => post('add'),
    Minus: () => post('subtract'),
    NumpadSubtract: () => post('subtract'),
  }[pressed];
  if (action === undefined) return;
  event.preventDefault();
  action();
}
