import type { HeardAs, ListeningTrouble, Recogniser } from '../../adapters/voice/recogniser.ts';

/** How somebody wants to be listened to. */
export interface ListeningManner {
  /** What is said before it listens, hands-free. */
  readonly wake: string;
  /** Seconds without a word until it waits for that again. */
  readonly sleepAfter: number;
}

export interface ListeningState {
  /**
   * `off`: nobody listens. `held`: as long as the key is held. `asleep`: hands-free, for the wake word alone. `awake`: hands-free,
   * every phrase.
   */
  readonly mode: 'off' | 'held' | 'asleep' | 'awake';
  /** Words so far of the phrase that is being said. */
  readonly words: string;
  /** How loud it is, from 0 to 1. */
  readonly level: number;
  readonly trouble: ListeningTrouble | undefined;
}

const OFF: ListeningState = { mode: 'off', words: '', level: 0, trouble: undefined };
/** Milliseconds until a service that ended by itself is begun again. */
const AGAIN_AFTER = 250;
/** Nobody spoke, or there was noise: one goes on listening. */
const PASSING: ReadonlySet<ListeningTrouble> = new Set(['silence', 'noise']);

/**
 * When is listened, and to what: while a key is held, or hands-free between a wake word and a stop word. It never begins by
 * itself.
 */
export class Listening {
  readonly #recogniser: Recogniser;
  readonly #manner: () => ListeningManner;
  readonly #on: { phrase(ways: readonly HeardAs[]): void; changed(state: ListeningState): void };
  #state = OFF;
  /** While something is read aloud, which is not to be heard. */
  #isPaused = false;
  #isRunning = false;
  #sleep: ReturnType<typeof setTimeout> | undefined;
  #again: ReturnType<typeof setTimeout> | undefined;

  constructor(
    recogniser: Recogniser,
    manner: () => ListeningManner,
    on: { phrase(ways: readonly HeardAs[]): void; changed(state: ListeningState): void },
  ) {
    this.#recogniser = recogniser;
    this.#manner = manner;
    this.#on = on;
  }

  get state(): ListeningState {
    return this.#state;
  }
  get isHandsFree(): boolean {
    return this.#state.mode === 'asleep' || this.#state.mode === 'awake';
  }

  /** The key is held. Hands-free, it wakes. */
  press(): void {
    if (this.isHandsFree) this.wake();
    else if (this.#state.mode === 'off') {
      this.#set({ ...OFF, mode: 'held' });
      this.#run();
    }
  }
  /** It is let go: what was said so far still counts. */
  release(): void {
    if (this.#state.mode === 'held') this.#recogniser.stop();
  }

  /** Listens for the wake word from now on, or no longer. */
  handsFree(wanted: boolean): void {
    if (wanted === this.isHandsFree) return;
    if (!wanted) {
      this.off();
      return;
    }
    this.#set({ ...OFF, mode: 'asleep' });
    this.#run();
  }
  wake(): void {
    if (!this.isHandsFree) return;
    this.#set({ ...this.#state, mode: 'awake', words: '', trouble: undefined });
    this.#stayAwake();
  }
  /** Waits for the wake word again. */
  sleep(): void {
    clearTimeout(this.#sleep);
    if (this.#state.mode === 'awake') this.#set({ ...this.#state, mode: 'asleep', words: '' });
  }
  off(): void {
    clearTimeout(this.#sleep);
    clearTimeout(this.#again);
    this.#isPaused = false;
    this.#set(OFF);
    this.#recogniser.drop();
  }

  /** While something is read aloud. */
  pause(): void {
    if (!this.isHandsFree || this.#isPaused) return;
    this.#isPaused = true;
    clearTimeout(this.#sleep);
    this.#recogniser.drop();
  }
  resume(): void {
    if (!this.#isPaused) return;
    this.#isPaused = false;
    if (!this.isHandsFree) return;
    this.#run();
    if (this.#state.mode === 'awake') this.#stayAwake();
  }

  #set(state: ListeningState): void {
    this.#state = state;
    this.#on.changed(state);
  }

  #run(): void {
    if (this.#isRunning) return;
    this.#isRunning = true;
    this.#recogniser.start(true, {
      partial: (words) => {
        if (this.#state.mode === 'asleep') return;
        this.#set({ ...this.#state, words, trouble: undefined });
        this.#stayAwake();
      },
      heard: (ways) => {
        this.#heard(ways);
      },
      level: (level) => {
        if (this.#state.mode !== 'off') this.#set({ ...this.#state, level });
      },
      trouble: (trouble) => {
        this.#trouble(trouble);
      },
      ended: () => {
        this.#ended();
      },
    });
  }

  #heard(ways: readonly HeardAs[]): void {
    const { mode } = this.#state;
    if (mode === 'asleep') {
      const meant = ways.flatMap((way) => {
        const rest = behindWake(way.text, this.#manner().wake);
        return rest === undefined ? [] : [{ ...way, text: rest }];
      });
      if (meant.length === 0) return;
      this.wake();
      const phrases = meant.filter(({ text }) => text !== '');
      if (phrases.length > 0) this.#on.phrase(phrases);
      return;
    }
    if (mode === 'off') return;
    this.#set({ ...this.#state, words: '', trouble: undefined });
    this.#stayAwake();
    this.#on.phrase(ways.map((way) => ({ ...way, text: behindWake(way.text, this.#manner().wake) ?? way.text })));
  }

  #trouble(trouble: ListeningTrouble): void {
    if (this.#state.mode === 'off') return;
    if (this.isHandsFree && PASSING.has(trouble)) {
      if (this.#state.mode === 'awake' && trouble === 'noise') this.#set({ ...this.#state, words: '', trouble });
      return;
    }
    clearTimeout(this.#sleep);
    this.#set({ ...OFF, trouble });
  }

  #ended(): void {
    this.#isRunning = false;
    if (this.isHandsFree) {
      // Services end after a while without words: they are begun again.
      clearTimeout(this.#again);
      if (!this.#isPaused) this.#again = setTimeout(() => { this.#run(); }, AGAIN_AFTER); // prettier-ignore
      return;
    }
    if (this.#state.mode === 'held') this.#set({ ...OFF, trouble: this.#state.trouble });
  }

  #stayAwake(): void {
    clearTimeout(this.#sleep);
    if (this.#state.mode !== 'awake' || this.#isPaused) return;
    this.#sleep = setTimeout(() => {
      this.sleep();
    }, this.#manner().sleepAfter * 1000);
  }
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}'′"″/.⁄ ]+/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim();

/** What stands behind the wake word; undefined where it was not said. */
export function behindWake(text: string, wake: string): string | undefined {
  const words = plain(text).split(' ');
  const wanted = plain(wake).split(' ');
  for (let at = 0; at + wanted.length <= words.length; at += 1)
    if (wanted.every((word, n) => words[at + n] === word)) return words.slice(at + wanted.length).join(' ');
  return undefined;
}
