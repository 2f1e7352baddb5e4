import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ScriptedRecogniser, type ScriptedPhrase } from '../../adapters/voice/scripted-recogniser.ts';
import type { HeardAs } from '../../adapters/voice/recogniser.ts';
import { behindWake, Listening, type ListeningState } from './listening.ts';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

function begin(script: readonly ScriptedPhrase[] = []) {
  const recogniser = new ScriptedRecogniser();
  recogniser.play(script);
  const phrases: string[] = [];
  const states: ListeningState[] = [];
  const listening = new Listening(recogniser, () => ({ wake: 'bench', sleepAfter: 20 }), {
    phrase: (ways: readonly HeardAs[]) => phrases.push(ways.map(({ text }) => text).join(' | ')),
    changed: (state) => states.push(state),
  });
  return { recogniser, listening, phrases, states };
}
const says = (text: string, after = 100): ScriptedPhrase => ({ after, takes: 600, ways: [{ text }] });

describe('with the key held', () => {
  it('hears what is said, shows the words so far, and is off when it is let go', () => {
    const { listening, phrases, states } = begin([says('nine foot seven')]);
    listening.press();
    vi.advanceTimersByTime(400);
    expect(listening.state).toMatchObject({ mode: 'held', words: 'nine foot' });
    expect(listening.state.level).toBeGreaterThan(0.5);
    // The words that were begun are heard to their end.
    listening.release();
    expect(phrases).toEqual([]);
    vi.advanceTimersByTime(400);
    expect(phrases).toEqual(['nine foot seven']);
    expect(listening.state).toMatchObject({ mode: 'off', words: '' });
    expect(states.every(({ mode }) => mode === 'held' || mode === 'off')).toBe(true);
  });

  it('hears several phrases in one hold, and nothing after it', () => {
    const { listening, phrases, recogniser } = begin([says('nine foot'), says('plus two')]);
    listening.press();
    vi.advanceTimersByTime(1500);
    listening.release();
    expect(phrases).toEqual(['nine foot', 'plus two']);
    expect(recogniser.say('three foot')).toBe(false);
    expect(phrases).toHaveLength(2);
  });

  it.each(['no-permission', 'no-microphone', 'no-signal', 'silence', 'noise', 'no-service'] as const)(
    'says what is in the way: %s',
    (trouble) => {
      const { listening } = begin([{ after: 10, takes: 10, ways: [], trouble }]);
      listening.press();
      vi.advanceTimersByTime(100);
      expect(listening.state).toMatchObject({ mode: 'off', trouble });
      listening.press();
      expect(listening.state).toMatchObject({ mode: 'held', trouble: undefined });
    },
  );
});

describe('hands-free', () => {
  it('waits for its word, then hears every phrase, until it is told to stop or nobody speaks', () => {
    const { listening, phrases, recogniser } = begin();
    listening.handsFree(true);
    recogniser.say('mind that saw');
    expect([listening.state.mode, phrases]).toEqual(['asleep', []]);
    recogniser.say('Bench, nine foot seven');
    recogniser.say('plus two');
    expect([listening.state.mode, phrases]).toEqual(['awake', ['nine foot seven', 'plus two']]);
    listening.sleep();
    recogniser.say('three foot');
    expect(phrases).toHaveLength(2);
    recogniser.say('okay bench');
    expect([listening.state.mode, phrases.length]).toEqual(['awake', 2]);
    vi.advanceTimersByTime(19_000);
    recogniser.say('four foot');
    vi.advanceTimersByTime(19_000);
    expect([listening.state.mode, phrases.length]).toEqual(['awake', 3]);
    vi.advanceTimersByTime(2000);
    expect(listening.state.mode).toBe('asleep');
  });

  it('shows no words before it was woken', () => {
    const { listening, states } = begin([says('they talk about the weather')]);
    listening.handsFree(true);
    vi.advanceTimersByTime(2000);
    expect(states.map(({ words }) => words).filter((words) => words !== '')).toEqual([]);
  });

  it('begins again where the service ends by itself, and goes on through silence and noise', () => {
    const { listening, recogniser, phrases } = begin();
    listening.handsFree(true);
    listening.wake();
    recogniser.fail('silence');
    expect(recogniser.isListening).toBe(false);
    vi.advanceTimersByTime(400);
    expect(recogniser.isListening).toBe(true);
    recogniser.fail('noise');
    expect(listening.state).toMatchObject({ mode: 'awake', trouble: 'noise' });
    vi.advanceTimersByTime(400);
    recogniser.say('nine foot');
    expect([phrases, listening.state.trouble]).toEqual([['nine foot'], undefined]);
  });

  it('is off where it cannot go on', () => {
    const { listening, recogniser } = begin();
    listening.handsFree(true);
    recogniser.fail('no-signal');
    vi.advanceTimersByTime(1000);
    expect(listening.state).toMatchObject({ mode: 'off', trouble: 'no-signal' });
    expect(recogniser.isListening).toBe(false);
  });

  it('does not hear what is read aloud', () => {
    const { listening, recogniser, phrases } = begin();
    listening.handsFree(true);
    listening.wake();
    listening.pause();
    vi.advanceTimersByTime(60_000);
    expect(recogniser.say('twelve feet')).toBe(false);
    expect(listening.state.mode).toBe('awake');
    listening.resume();
    recogniser.say('plus two');
    expect(phrases).toEqual(['plus two']);
  });

  it('ends at once when it is switched off', () => {
    const { listening, recogniser, phrases } = begin([says('nine foot')]);
    listening.handsFree(true);
    listening.wake();
    vi.advanceTimersByTime(300);
    listening.handsFree(false);
    vi.advanceTimersByTime(5000);
    expect([recogniser.isListening, listening.state.mode, phrases]).toEqual([false, 'off', []]);
  });
});

it.each([
  ['Bench, nine foot seven', 'nine foot seven'],
  ['okay bench', ''],
  ['BENCH 9\' 7"', `9' 7"`],
  ['the bench plus two', 'plus two'],
  ['benches', undefined],
])('behind the word that wakes: %s', (text, rest) => {
  expect(behindWake(text, 'bench')).toBe(rest);
});
