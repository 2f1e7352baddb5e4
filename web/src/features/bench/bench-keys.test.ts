import { beforeEach, describe, expect, it } from 'vitest';
import { benchKeys, type BenchActions } from './bench-keys.ts';

let done: string[];
let isEmpty: boolean;
let hasOpen: boolean;
beforeEach(() => {
  [done, isEmpty, hasOpen] = [[], false, false];
  document.body.innerHTML = '';
});

const noted = (name: string) => () => void done.push(name);
function closeLast(): boolean {
  if (hasOpen) done.push('close');
  return hasOpen;
}
const actions: BenchActions = {
  undo: noted('undo'),
  redo: noted('redo'),
  shortcuts: noted('shortcuts'),
  repeat: noted('repeat'),
  keep: noted('keep'),
  post: (operator) => void done.push(operator),
  layOut: noted('layOut'),
  closeLast,
  toEntry: noted('toEntry'),
  isEmpty: () => isEmpty,
};

/** Presses a key in an element. @returns what it did, and whether the browser was kept from doing more */
function press(key: string, html = '', more: KeyboardEventInit = {}): [string[], boolean] {
  document.body.innerHTML = html;
  const target = document.body.querySelector('[data-here]') ?? document.body;
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  target.addEventListener('keydown', benchKeys(actions) as EventListener, { once: true });
  target.dispatchEvent(event);
  return [done.splice(0), event.defaultPrevented];
}
const FIELD = '<input data-here value="3">';

describe('the keys of the bench', () => {
  it('bring what is typed anywhere to the entry, and leave it to what writes itself', () => {
    for (const key of ['7', "'", '+', 'h', 'Backspace']) expect(press(key)).toEqual([['toEntry'], false]);
    expect(press('7', '<button data-here></button>')).toEqual([['toEntry'], false]);
    for (const html of [
      FIELD,
      '<div role="dialog"><p data-here></p></div>',
      '<ul role="menu"><li data-here></li></ul>',
    ])
      expect(press('7', html)).toEqual([[], false]);
    // What presses a button, moves on the page or is the browser's own.
    for (const key of [' ', 'Enter', 'Tab', 'ArrowDown', 'F5']) expect(press(key)).toEqual([[], false]);
    expect(press('r', '', { ctrlKey: true })).toEqual([[], false]);
  });

  it('close what was opened last, and say so to the browser only then', () => {
    expect(press('Escape')).toEqual([[], false]);
    hasOpen = true;
    expect(press('Escape')).toEqual([['close'], true]);
    expect(press('Escape', '<div role="dialog"><p data-here></p></div>')).toEqual([[], false]);
  });

  it('take back and do again, in a field only where there is nothing of its own', () => {
    isEmpty = true;
    expect(press('z', '', { ctrlKey: true })).toEqual([['undo'], true]);
    expect(press('Z', '', { metaKey: true, shiftKey: true })).toEqual([['redo'], true]);
    expect(press('y', '', { ctrlKey: true })).toEqual([['redo'], true]);
    expect(press('z', FIELD, { ctrlKey: true })).toEqual([[], false]);
    expect(press('z', '<input data-here value="">', { ctrlKey: true })).toEqual([['undo'], true]);
  });

  it('have their letters with Alt, by the place of the key where it writes another sign', () => {
    expect(press('k', FIELD, { altKey: true })).toEqual([['keep'], true]);
    expect(press('˚', FIELD, { altKey: true, code: 'KeyK' })).toEqual([['keep'], true]);
    expect(press('=', FIELD, { altKey: true, code: 'Equal' })).toEqual([['add'], true]);
    expect(press('-', FIELD, { altKey: true, code: 'Minus' })).toEqual([['subtract'], true]);
    expect(press('q', FIELD, { altKey: true, code: 'KeyQ' })).toEqual([[], false]);
  });
});
