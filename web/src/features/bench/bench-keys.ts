/** What the keys of a keyboard do on the bench, whatever is being written in. */
export interface BenchActions {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly shortcuts: () => void;
  readonly repeat: () => void;
  readonly keep: () => void;
  readonly post: (operator: 'add' | 'subtract') => void;
  readonly layOut: () => void;
  /** The bench's own entry is empty. */
  readonly isEmpty: () => boolean;
}

/** A listener for the keys of the bench. */
export function benchKeys(actions: BenchActions): (event: KeyboardEvent) => void {
  return (event) => {
    // An editor that took a change of its own back has said so.
    if (event.defaultPrevented) return;
    const target = event.target as HTMLElement;
    const isWriting = target.isContentEditable || target instanceof HTMLInputElement;
    const isEmpty = target instanceof HTMLInputElement ? target.value === '' : actions.isEmpty();
    const step = stepOf(event);
    if (step !== undefined && (!isWriting || isEmpty)) {
      event.preventDefault();
      actions[step]();
    } else if (event.key === '?' && !isWriting) actions.shortcuts();
    else if (event.altKey && !event.ctrlKey) byAltKey(event, actions);
  };
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
