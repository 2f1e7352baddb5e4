import type { ListeningTrouble } from '../../adapters/voice/recogniser.ts';

/** What is in the way of listening, and what to do about it. */
export const TROUBLES: Readonly<Record<ListeningTrouble, string>> = {
  'no-service': 'This browser cannot listen. Type what you would say, or use the keys.',
  'no-permission':
    'The microphone is not allowed here. Allow it beside the address of the page, then try again; until then type what you would say.',
  'no-microphone': 'No microphone was found. Plug one in, or type what you would say.',
  'no-signal': 'No signal: this browser needs it to listen. Type what you would say, or use the keys.',
  silence: 'Nothing was heard. Hold the key while you speak, closer to the microphone.',
  noise: 'Too much noise to make words out. Come closer, or wait for the saw.',
};
