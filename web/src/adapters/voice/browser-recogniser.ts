import { listenToLevel } from './level.ts';
import type { ListeningTrouble, Recogniser, RecogniserEvents } from './recogniser.ts';

// The standard's names; TypeScript has no types for them yet.
interface SpeechResult {
  readonly isFinal: boolean;
  readonly length: number;
  readonly [way: number]: { readonly transcript: string; readonly confidence: number };
}
interface SpeechEvent {
  readonly resultIndex: number;
  readonly results: { readonly length: number; readonly [at: number]: SpeechResult };
}
interface SpeechService {
  lang: string;
  continuous: boolean;
  interimResults: boolean;
  maxAlternatives: number;
  onresult: ((event: SpeechEvent) => void) | null;
  onnomatch: (() => void) | null;
  onerror: ((event: { readonly error: string }) => void) | null;
  onend: (() => void) | null;
  start(): void;
  stop(): void;
  abort(): void;
}
type MakeService = new () => SpeechService;

const TROUBLES: Readonly<Record<string, ListeningTrouble>> = {
  'no-speech': 'silence',
  'audio-capture': 'no-microphone',
  'not-allowed': 'no-permission',
  'service-not-allowed': 'no-permission',
  'language-not-supported': 'no-service',
  network: 'no-signal',
};
/** Ways that are asked for: more than the first say what a sound-alike was. */
const WAYS = 5;

/**
 * The browser's own recogniser. Some browsers send what they hear to their maker; nothing is sent by us.
 * @param language of the phrases, as the device has it: "en-GB"
 */
export function browserRecogniser(language: string): Recogniser {
  const { SpeechRecognition, webkitSpeechRecognition } = globalThis as {
    SpeechRecognition?: MakeService;
    webkitSpeechRecognition?: MakeService;
  };
  const Service = SpeechRecognition ?? webkitSpeechRecognition;
  let service: SpeechService | undefined;

  function start(isGoingOn: boolean, events: RecogniserEvents): void {
    if (Service === undefined) {
      events.trouble('no-service');
      events.ended();
      return;
    }
    const mine = new Service();
    service = mine;
    mine.lang = language;
    mine.continuous = isGoingOn;
    mine.interimResults = true;
    mine.maxAlternatives = WAYS;
    const endLevel = listenToLevel((amount) => {
      events.level(amount);
    });
    mine.onresult = ({ results, resultIndex }) => {
      let partial = '';
      for (let at = resultIndex; at < results.length; at += 1) {
        const result = results[at] as SpeechResult;
        const ways = Array.from({ length: result.length }, (_, way) => ({
          text: result[way]?.transcript ?? '',
          // Some services say 0 where they do not know.
          confidence: result[way]?.confidence === 0 ? undefined : result[way]?.confidence,
        })).filter(({ text }) => text.trim() !== '');
        if (!result.isFinal) partial += ways[0]?.text ?? '';
        else if (ways.length === 0) events.trouble('noise');
        else events.heard(ways);
      }
      if (partial !== '') events.partial(partial.trim());
    };
    mine.onnomatch = () => {
      events.trouble('noise');
    };
    mine.onerror = ({ error }) => {
      if (error === 'aborted') return;
      events.trouble(navigator.onLine ? (TROUBLES[error] ?? 'no-service') : 'no-signal');
    };
    mine.onend = () => {
      endLevel();
      if (service === mine) service = undefined;
      events.ended();
    };
    mine.start();
  }

  return {
    isThere: Service !== undefined,
    start,
    stop: () => service?.stop(),
    drop: () => service?.abort(),
  };
}
