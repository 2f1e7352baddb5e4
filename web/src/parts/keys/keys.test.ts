import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useComfort } from '../../live/comfort.store.ts';
import type { EntryText } from '../entry/edits.ts';
import { useHand } from '../entry/hand.ts';
import DrawnInch from './DrawnInch.vue';
import KeyBoard from './KeyBoard.vue';

/** An entry without an editor, for the keys to write to. */
function anEntry() {
  let entry: EntryText = { text: '', from: 0, to: 0 };
  const landed: string[] = [];
  useHand().take(
    {
      read: () => entry,
      apply: (change) => (entry = change(entry)),
      enter: () => landed.push(entry.text),
      undo: () => false,
      focus: () => undefined,
    },
    true,
  );
  return { text: () => entry.text, landed };
}

function theKeys(more: object = {}) {
  return mount(KeyBoard, {
    props: { finest: 16, metric: false, decimalComma: false, hasLast: true, canRepeat: true, ...more },
    attachTo: document.body,
  });
}

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});
afterEach(() => {
  vi.useRealTimers();
  document.body.innerHTML = '';
});

describe('the keys', () => {
  it('write an entry key by key', async () => {
    const entry = anEntry();
    const keys = theKeys();
    for (const face of ['1', '2', '′', '÷', '(', '3', '.', '5', ')', 'enter'])
      await keys.get(`[data-key="${face}"]`).trigger('click');
    expect(entry.landed).toEqual(['12′ ÷ (3.5)']);
  });

  it('have letters in the place of the digits, with one capital and the way back', async () => {
    const entry = anEntry();
    const keys = theKeys();
    await keys.get('[data-key=abc]').trigger('click');
    await vi.waitUntil(() => keys.find('[data-key=q]').exists(), { timeout: 20_000 });
    expect(keys.find('[data-key="1"]').exists()).toBe(false);
    await keys.get('[data-key=capital]').trigger('click');
    for (const face of ['T', 'o', 'p', 'space', 'x', 'back', ':'])
      await keys.get(`[data-key="${face}"]`).trigger('click');
    await keys.get('[data-key=digits]').trigger('click');
    await keys.get('[data-key="7"]').trigger('click');
    await keys.get('[data-key=enter]').trigger('click');
    expect(entry.landed).toEqual(['Top : 7']);
  });

  it('offer the rest of a word above the letters', async () => {
    const entry = anEntry();
    const keys = theKeys();
    await keys.get('[data-key=abc]').trigger('click');
    await vi.waitUntil(() => keys.find('[data-key=h]').exists(), { timeout: 20_000 });
    for (const face of ['h', 'y']) await keys.get(`[data-key=${face}]`).trigger('click');
    await keys.get('[data-offer=hyp]').trigger('click');
    expect(entry.text()).toBe('hyp(');
  });

  it('have powers, roots and the rest behind one more touch, and come back by themselves', async () => {
    const entry = anEntry();
    const keys = theKeys();
    await keys.get('[data-key="9"]').trigger('click');
    await keys.get('[data-key=more]').trigger('click');
    await keys.get('[aria-label=squared]').trigger('click');
    expect(entry.text()).toBe('9^2');
    expect(keys.find('[data-key="9"]').exists()).toBe(true);
  });

  it('take back one touch after the other while backspace is held', async () => {
    vi.useFakeTimers();
    const entry = anEntry();
    const keys = theKeys();
    for (const face of ['1', '2', '3', '4', '5']) await keys.get(`[data-key="${face}"]`).trigger('click');
    const back = keys.get('[data-key=back]');
    await back.trigger('pointerdown');
    expect(entry.text()).toBe('1234');
    vi.advanceTimersByTime(450 + 80);
    expect(entry.text()).toBe('12');
    await back.trigger('pointerup');
    vi.advanceTimersByTime(2000);
    expect(entry.text()).toBe('12');
  });

  it('have metric units for a metric job, and no inch', async () => {
    const entry = anEntry();
    const keys = theKeys({ metric: true });
    expect(keys.find('[data-test=inch]').exists()).toBe(false);
    await keys.get('[data-key="5"]').trigger('click');
    await keys.get('[data-key="00"]').trigger('click');
    await keys.get('[data-key=mm]').trigger('click');
    expect(entry.text()).toBe('500 mm');
  });

  it('tick where the device can and it is wanted', async () => {
    anEntry();
    const buzzed: number[] = [];
    Object.assign(navigator, { vibrate: (time: number) => buzzed.push(time) > 0 });
    const keys = theKeys();
    await keys.get('[data-key="5"]').trigger('click');
    useComfort().comfort.tick = true;
    await keys.get('[data-key="5"]').trigger('click');
    expect(buzzed).toHaveLength(1);
  });
});

describe('the drawn inch', () => {
  function anInch(finest: number) {
    const inch = mount(DrawnInch, { props: { finest }, attachTo: document.body });
    const board = inch.get('svg').element;
    board.getBoundingClientRect = () => ({ left: 100, width: 1000 }) as DOMRect;
    inch.element.setPointerCapture = () => undefined;
    const at = (share: number) => ({ clientX: 100 + 26 + share * (1000 - 52), pointerId: 1 });
    return { inch, at };
  }

  it.each([
    [16, 0.5, [1, 2]],
    [16, 3 / 16 + 0.02, [3, 16]],
    [32, 3 / 16 + 0.02, [7, 32]],
    [8, 0.001, [1, 8]],
    [8, 0.999, [7, 8]],
    [64, 33 / 64, [33, 64]],
  ])('in %i parts, touched at %d, gives %o', async (finest, share, fraction) => {
    const { inch, at } = anInch(finest);
    await inch.trigger('pointerdown', at(share));
    await inch.trigger('pointerup', at(share));
    expect(inch.emitted('pick')).toEqual([fraction]);
  });

  it('follows a drag, magnifies what is under the finger, and gives what it was let go at', async () => {
    const { inch, at } = anInch(16);
    await inch.trigger('pointerdown', at(1 / 16));
    await inch.trigger('pointermove', at(5 / 8));
    expect(inch.get('.glass').text()).toBe('5⁄8″');
    await inch.trigger('pointerup', at(11 / 16));
    expect(inch.emitted('pick')).toEqual([[11, 16]]);
    expect(inch.find('.glass').exists()).toBe(false);
  });

  it('gives nothing when the touch is called off', async () => {
    const { inch, at } = anInch(16);
    await inch.trigger('pointerdown', at(0.5));
    await inch.trigger('pointercancel');
    await inch.trigger('pointerup', at(0.5));
    expect(inch.emitted('pick')).toBeUndefined();
  });

  it('is a slider for the keyboard, and says where it stands', async () => {
    const { inch } = anInch(16);
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowRight', 'PageUp', 'ArrowLeft', 'Enter'])
      await inch.trigger('keydown', { key });
    expect(inch.emitted('pick')).toEqual([[3, 8]]);
    expect(inch.attributes('aria-valuetext')).toBe('3/8 inch');
    await inch.trigger('keydown', { key: 'End' });
    expect(inch.attributes('aria-valuenow')).toBe('15');
  });
});
