import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { browserRecogniser } from './browser-recogniser.ts';
import type { ListeningTrouble } from './recogniser.ts';
import { browserVoice, WritingVoice } from './voice.ts';

/** A recogniser as a browser has it, worked by hand. */
class FakeService {
  static last: FakeService;
  lang = '';
  continuous = false;
  interimResults = false;
  maxAlternatives = 1;
  readonly calls: string[] = [];
  onresult: ((event: object) => void) | null = null;
  onnomatch: (() => void) | null = null;
  onerror: ((event: { error: string }) => void) | null = null;
  onend: (() => void) | null = null;
  constructor() {
    FakeService.last = this;
  }
  start() {
    this.calls.push('start');
  }
  stop() {
    this.calls.push('stop');
  }
  abort() {
    this.calls.push('abort');
  }
  /** Ways as the service gives them: text with how sure it is. */
  hears(isFinal: boolean, ...ways: readonly (readonly [transcript: string, confidence: number])[]) {
    const result = Object.assign(
      ways.map(([transcript, confidence]) => ({ transcript, confidence })),
      { isFinal },
    );
    this.onresult?.({ resultIndex: 0, results: [result] });
  }
}

beforeEach(() => {
  vi.stubGlobal('matchMedia', () => ({ matches: true }));
});
afterEach(() => {
  vi.unstubAllGlobals();
});

function listening(isGoingOn = true) {
  vi.stubGlobal('webkitSpeechRecognition', FakeService);
  const heard: unknown[] = [];
  const recogniser = browserRecogniser('en-GB');
  recogniser.start(isGoingOn, {
    partial: (words) => heard.push(['partial', words]),
    heard: (ways) => heard.push(['heard', ...ways.map(({ text, confidence }) => `${text} ${confidence ?? '?'}`)]),
    level: (amount) => heard.push(['level', amount]),
    trouble: (what) => heard.push(['trouble', what]),
    ended: () => heard.push(['ended']),
  });
  return { heard, recogniser, service: FakeService.last };
}

describe('the recogniser of the browser', () => {
  it('is asked for words so far and several ways, in the language of the device', () => {
    const { service } = listening();
    expect(service).toMatchObject({ lang: 'en-GB', continuous: true, interimResults: true, maxAlternatives: 5 });
    expect(listening(false).service.continuous).toBe(false);
  });

  it('gives the words so far, then the phrase with its ways, and its end', () => {
    const { heard, recogniser, service } = listening();
    service.hears(false, [' nine foot', 0]);
    service.hears(true, ['nine foot seven', 0.9], ['line foot seven', 0.4], ['', 0]);
    service.hears(true, ['plus two', 0]);
    recogniser.stop();
    service.onend?.();
    recogniser.stop();
    expect(heard).toEqual([
      ['partial', 'nine foot'],
      ['heard', 'nine foot seven 0.9', 'line foot seven 0.4'],
      ['heard', 'plus two ?'],
      ['ended'],
    ]);
    expect(service.calls).toEqual(['start', 'stop']);
  });

  it.each<readonly [string, ListeningTrouble]>([
    ['no-speech', 'silence'],
    ['audio-capture', 'no-microphone'],
    ['not-allowed', 'no-permission'],
    ['service-not-allowed', 'no-permission'],
    ['network', 'no-signal'],
    ['language-not-supported', 'no-service'],
    ['something-new', 'no-service'],
  ])('says what is in the way: %s is %s', (error, trouble) => {
    const { heard, service } = listening();
    service.onerror?.({ error });
    expect(heard).toEqual([['trouble', trouble]]);
  });

  it('has no signal where the device has none, says noise where no words came, and nothing of being broken off', () => {
    const { heard, service, recogniser } = listening();
    recogniser.drop();
    service.onerror?.({ error: 'aborted' });
    service.onnomatch?.();
    service.hears(true, ['', 0]);
    vi.stubGlobal('navigator', { onLine: false });
    service.onerror?.({ error: 'not-allowed' });
    expect(heard).toEqual([
      ['trouble', 'noise'],
      ['trouble', 'noise'],
      ['trouble', 'no-signal'],
    ]);
    expect(service.calls).toEqual(['start', 'abort']);
  });

  it('says so where the browser has none', () => {
    const events: string[] = [];
    const recogniser = browserRecogniser('en');
    expect(recogniser.isThere).toBe(false);
    const nothing = () => undefined;
    recogniser.start(true, {
      ...{ partial: nothing, heard: nothing, level: nothing },
      trouble: (what) => events.push(what),
      ended: () => events.push('ended'),
    });
    expect(events).toEqual(['no-service', 'ended']);
  });
});

describe('the voice of the browser', () => {
  const voices = [
    { name: 'Far', lang: 'en-US', localService: false },
    { name: 'Near', lang: 'en-GB', localService: true },
    { name: 'Other', lang: 'nl-NL', localService: true },
  ];
  class Utterance {
    voice: { name: string } | undefined;
    lang = '';
    rate = 1;
    onend: (() => void) | undefined;
    readonly text: string;
    constructor(text: string) {
      this.text = text;
    }
  }

  it('speaks in the language, on the device where it can, at the speed and by the voice that is asked for', async () => {
    const said: Utterance[] = [];
    const cancel = vi.fn();
    vi.stubGlobal('SpeechSynthesisUtterance', Utterance);
    vi.stubGlobal('speechSynthesis', {
      getVoices: () => voices,
      cancel,
      speak: (one: Utterance) => {
        said.push(one);
        one.onend?.();
      },
    });
    const voice = browserVoice('en-GB');
    expect(voice.names()).toEqual(['Near', 'Far']);
    await voice.speak('nine feet', { speed: 1, name: '' });
    await voice.speak('ten feet', { speed: 1.25, name: 'Far' });
    expect(said.map((one) => [one.text, one.voice?.name, one.rate])).toEqual([
      ['nine feet', 'Near', 1],
      ['ten feet', 'Far', 1.25],
    ]);
    voice.hush();
    expect(cancel).toHaveBeenCalledOnce();
  });

  it('is silent, and no trouble, where there is none', async () => {
    const voice = browserVoice('en');
    expect([voice.isThere, voice.names()]).toEqual([false, []]);
    await expect(voice.speak('nine feet', { speed: 1, name: '' })).resolves.toBeUndefined();
  });

  it('for practice writes down what it said', async () => {
    const written: string[] = [];
    await new WritingVoice((words) => written.push(words)).speak('nine feet');
    expect(written).toEqual(['nine feet']);
  });
});
