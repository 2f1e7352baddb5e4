import type { HeardAs, ListeningTrouble, Recogniser, RecogniserEvents } from './recogniser.ts';

/** One thing that is heard, or goes wrong. */
export interface ScriptedPhrase {
  /** Milliseconds of silence before it. */
  readonly after: number;
  /** How it may have been heard, the likeliest first. Empty for what is only noise. */
  readonly ways: readonly HeardAs[];
  /** Milliseconds that it takes to say. */
  readonly takes: number;
  readonly trouble?: ListeningTrouble | undefined;
}

/** How loud words are in a script: each is begun loud. */
const [LOUD, QUIET] = [0.8, 0.05];

/**
 * A recogniser with no microphone: it plays a script, one phrase after the other, with the words so far and a level, or hears
 * what is typed. For practice, for demonstrations and for tests.
 */
export class ScriptedRecogniser implements Recogniser {
  readonly isThere = true;
  #events: RecogniserEvents | undefined;
  #isGoingOn = false;
  #script: ScriptedPhrase[] = [];
  readonly #timers = new Set<ReturnType<typeof setTimeout>>();
  /** Words that were begun when it was stopped are heard to their end. */
  #isStopping = false;
  #isSpeaking = false;

  /** What is heard from the next start on. */
  play(script: readonly ScriptedPhrase[]): void {
    this.#script = [...script];
    if (this.#events !== undefined && !this.#isSpeaking) this.#next();
  }
  /** Something is said now, whether a script is played or not. @returns false while nobody listens */
  say(text: string): boolean {
    if (this.#events === undefined) return false;
    this.#deliver([{ text, confidence: 1 }]);
    return true;
  }
  /** Something goes wrong now. */
  fail(what: ListeningTrouble): void {
    this.#events?.trouble(what);
    this.#end();
  }
  get isListening(): boolean {
    return this.#events !== undefined;
  }

  start(isGoingOn: boolean, events: RecogniserEvents): void {
    this.drop();
    this.#events = events;
    this.#isGoingOn = isGoingOn;
    this.#next();
  }
  stop(): void {
    if (this.#isSpeaking) this.#isStopping = true;
    else this.#end();
  }
  drop(): void {
    this.#isSpeaking = false;
    this.#end();
  }

  #next(): void {
    const phrase = this.#script[0];
    if (phrase === undefined) return;
    this.#later(phrase.after, () => {
      this.#script.shift();
      this.#speak(phrase);
    });
  }
  #speak(phrase: ScriptedPhrase): void {
    this.#isSpeaking = true;
    const words = phrase.ways[0]?.text.split(' ') ?? [];
    const each = phrase.takes / Math.max(words.length, 1);
    words.forEach((_, at) => {
      this.#later(at * each, () => {
        this.#events?.level(LOUD);
        this.#events?.partial(words.slice(0, at + 1).join(' '));
      });
    });
    this.#later(phrase.takes, () => {
      this.#isSpeaking = false;
      this.#events?.level(QUIET);
      if (phrase.trouble !== undefined) {
        this.fail(phrase.trouble);
        return;
      }
      this.#deliver(phrase.ways);
      if (this.#events !== undefined) this.#next();
    });
  }
  #deliver(ways: readonly HeardAs[]): void {
    this.#events?.heard(ways);
    if (!this.#isGoingOn || this.#isStopping) this.#end();
  }
  #end(): void {
    const events = this.#events;
    this.#events = undefined;
    this.#isStopping = false;
    for (const timer of this.#timers) clearTimeout(timer);
    this.#timers.clear();
    events?.ended();
  }
  #later(after: number, act: () => void): void {
    const timer = setTimeout(() => {
      this.#timers.delete(timer);
      act();
    }, after);
    this.#timers.add(timer);
  }
}
