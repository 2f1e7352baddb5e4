import { useKept } from '../../live/use-kept.ts';

/** How somebody wants to be listened to and read to on this device. */
export interface SpokenManner {
  /** Who listens and reads: the browser, or the one for practice that needs no microphone and no sound. */
  ear: 'browser' | 'practice';
  aloud: 'short' | 'long' | 'off';
  /** In which system lengths are read. */
  lengths: 'job' | 'feet' | 'metric' | 'both';
  /** 1 is the voice's own. */
  speed: number;
  /** Empty for the device's own. */
  voice: string;
  /** What is said before hands-free listens. */
  wake: string;
  /** Seconds without a word until it waits for that again. */
  sleepAfter: number;
}

const USUAL: SpokenManner = {
  ear: 'browser',
  aloud: 'short',
  lengths: 'job',
  speed: 1,
  voice: '',
  wake: 'bench',
  sleepAfter: 20,
};
export const useSpokenManner = () => useKept<SpokenManner>('spoken', USUAL);
