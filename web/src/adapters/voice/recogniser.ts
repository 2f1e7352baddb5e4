/** Listening, whoever does it: the browser's own service, or the one that ships and plays scripts. */

/** One of the ways in which something was heard. */
export interface HeardAs {
  readonly text: string;
  /** From 0 to 1, as far as the service says. */
  readonly confidence?: number | undefined;
}

/** Why nothing is heard. */
export type ListeningTrouble =
  | 'no-service'
  | 'no-permission'
  | 'no-microphone'
  | 'no-signal'
  /** Nobody spoke. */
  | 'silence'
  /** Somebody did, and no words came of it. */
  | 'noise';

export interface RecogniserEvents {
  /** The words so far; they may change. */
  partial(words: string): void;
  /** A phrase, the likeliest way first. */
  heard(ways: readonly HeardAs[]): void;
  /** How loud it is, from 0 to 1. */
  level(amount: number): void;
  trouble(what: ListeningTrouble): void;
  /** It stopped, asked to or by itself. Nothing follows. */
  ended(): void;
}

export interface Recogniser {
  /** Whether this device has one. */
  readonly isThere: boolean;
  /**
   * Begins to listen.
   * @param isGoingOn one phrase after the other until it is stopped; otherwise the first phrase ends it
   */
  start(isGoingOn: boolean, events: RecogniserEvents): void;
  /** What was said so far is still heard; then it ends. */
  stop(): void;
  /** Ends at once; what was said is thrown away. */
  drop(): void;
}
