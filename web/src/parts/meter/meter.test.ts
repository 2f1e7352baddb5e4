import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_STYLE, type ReadingStyle } from '@sprell/core';
import type { EntryHandle } from '../entry/hand.ts';
import type { EntryText } from '../entry/edits.ts';
import { Bursts } from './bursts.ts';
import { hearMeter } from './hear-meter.ts';
import { joined, measuredSize, withMeasured, withoutMeasured } from './measured-size.ts';

const METRIC: ReadingStyle = { ...DEFAULT_STYLE, length: 'mm' };
const COMMA: ReadingStyle = { ...METRIC, decimalComma: true };
const at = (text: string): EntryText => ({ text, from: text.length, to: text.length });

describe('keys of a meter', () => {
  const sent = (keys: readonly string[], apart: number) => {
    const bursts = new Bursts();
    return keys.map((key, n) => bursts.key(key, n * apart)).at(-1);
  };
  it('come faster than a hand can press them', () => {
    expect(sent([...'3.425 m', 'Enter'], 12)).toBe('3.425 m');
    expect(sent([...'3.425 m', 'Tab'], 40)).toBe('3.425 m');
    expect(sent([...'3.425 m', 'Enter'], 70)).toBeUndefined();
  });

  it('are no burst where only the last of them were fast, where Enter came later, or where they are few', () => {
    const bursts = new Bursts();
    [...'12 x '].forEach((key, n) => bursts.key(key, n * 150));
    [...'3.425 m'].forEach((key, n) => bursts.key(key, 2000 + n * 10));
    expect(bursts.key('Enter', 2075)).toBe('3.425 m');
    [...'3.425 m'].forEach((key, n) => bursts.key(key, 3000 + n * 10));
    expect(bursts.key('Enter', 3500)).toBeUndefined();
    expect(sent([...'5 m', 'Enter'], 5)).toBeUndefined();
  });

  it('are none where the keys of a hand came late and all at once: the first of them is missing', () => {
    const bursts = new Bursts();
    bursts.key('2', 1000);
    [...'0 mm'].forEach((key, n) => bursts.key(key, 1120 + n * 2));
    expect(bursts.key('Enter', 1130)).toBeUndefined();
  });

  it('leave Shift out, which makes some of the signs', () => {
    const keys = ['1', '1', 'Shift', "'", ' ', '2', 'Shift', '"', 'Enter'];
    expect(sent(keys, 10)).toBe(`11' 2"`);
  });
});

describe('what a meter sent', () => {
  it.each([
    ['3.425 m', METRIC, '3.425 m'],
    // A comma of the meter is a decimal sign, never one of thousands.
    ['3,425 m', METRIC, '3.425 m'],
    ['3.425 m', COMMA, '3,425 m'],
    ['  3.425m ', METRIC, '3.425 m'],
    ['1204 mm', DEFAULT_STYLE, '1204 mm'],
    ['3.425', METRIC, '3.425 m'],
    ['11.24', DEFAULT_STYLE, '11.24 ft'],
    ['134.75"', DEFAULT_STYLE, '134.75"'],
    [`11' 2 13/16"`, METRIC, `11' 2 13/16"`],
    [`11'2"`, DEFAULT_STYLE, `11'2"`],
    ['2400', METRIC, undefined],
    ['12 kg', METRIC, undefined],
    ['bandstand', METRIC, undefined],
    ['1.2.3', METRIC, undefined],
  ] as const)('%s is an entry of the job: %#', (sent, style, size) => {
    expect(measuredSize(sent, style)).toBe(size);
  });

  it.each([
    ['3.425 m', '3.425 m'],
    ['2 × 3.425 m', '2 × 3.425 m'],
    ['rail: 3,425 m', 'rail: 3.425 m'],
    ['rail = 3.425 m', 'rail = 3.425 m'],
    ['8 of 3.425 m', '8 of 3.425 m'],
    [`4' 3.425 m`, undefined],
    ['rail3.425 m', undefined],
  ])('%s goes in where something has still to come', (text, wanted) => {
    const sent = /3[.,]425 m$/.exec(text)?.[0] ?? '';
    expect(withMeasured(at(text), sent, '3.425 m')?.text).toBe(wanted);
    expect(withoutMeasured(at(text), sent).text).toBe(text.slice(0, -sent.length));
  });

  it('is added behind what is whole', () => {
    expect(joined('', '2 m')).toBe('2 m');
    expect(joined('3 m', '2 m')).toBe('3 m + 2 m');
    expect(joined('3 m ×', '2 m')).toBe('3 m × 2 m');
  });
});

describe('a page that hears a meter', () => {
  let text = '';
  let time = 0;
  let isBenchs = true;
  let hear: (event: KeyboardEvent) => void;
  const enter = vi.fn();
  const hold = vi.fn();
  const handle: EntryHandle = {
    read: () => at(text),
    apply: (change) => (text = change(at(text)).text),
    enter,
    undo: () => false,
    focus: () => undefined,
  };
  const field = () => document.querySelector('input');
  beforeEach(() => {
    document.body.innerHTML = '<input><button>Delete all</button>';
    [text, time, isBenchs] = ['', 0, true];
    hear = hearMeter({
      style: () => METRIC,
      entry: () => (document.activeElement === field() ? { handle, isBenchs } : undefined),
      hold,
    });
    window.addEventListener('keydown', hear, { capture: true });
  });
  afterEach(() => {
    window.removeEventListener('keydown', hear, { capture: true });
    vi.clearAllMocks();
  });
  /** @returns which keys the page got */
  function send(sent: string, isTyped = true): string {
    let got = '';
    for (const key of [...sent, 'Enter']) {
      const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
      Object.defineProperty(event, 'timeStamp', { value: (time += 10) });
      (document.activeElement ?? document.body).dispatchEvent(event);
      if (event.defaultPrevented) continue;
      got += key;
      if (key !== 'Enter' && isTyped) text += key;
    }
    time += 1000;
    return got;
  }

  it('gives the size to the entry with the cursor, and its Enter with it', () => {
    field()?.focus();
    expect(send('3,425 m')).toBe('3,425 mEnter');
    expect(text).toBe('3.425 m');
    expect(hold).toHaveBeenLastCalledWith('3.425 m', false);
  });

  it('leaves an entry that is whole as it was, and holds the size', () => {
    field()?.focus();
    text = 'rail + 12 mm';
    expect(send('3.425 m')).toBe('3.425 m');
    expect(text).toBe('rail + 12 mm');
    expect(hold).toHaveBeenLastCalledWith('3.425 m', true);
  });

  it('replaces what a field had when it is measured again', () => {
    field()?.focus();
    [text, isBenchs] = ['2.9 m', false];
    send('3.425 m');
    expect(text).toBe('3.425 m');
    expect(hold).toHaveBeenLastCalledWith('3.425 m', false);
  });

  it('changes no field but the one that it typed into', () => {
    field()?.focus();
    [text, isBenchs] = ['2.9 m', false];
    // The keys still know the field before.
    send('3.425 m', false);
    expect(text).toBe('2.9 m');
  });

  it('presses no button, neither by the space nor by Enter', () => {
    document.querySelector('button')?.focus();
    expect(send('3.425 m', false)).toBe('3.425m');
    expect(hold).toHaveBeenLastCalledWith('3.425 m', true);
  });

  it('leaves what is no size alone', () => {
    document.querySelector('button')?.focus();
    expect(send('hello')).toBe('helloEnter');
    expect(hold).not.toHaveBeenCalled();
  });
});
