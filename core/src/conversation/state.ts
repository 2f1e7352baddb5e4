import type { Turn } from '../spoken/heard/dialogue.ts';
import type { HeardWord } from '../spoken/heard/words.ts';
import type { SaidAnswer } from './answer.ts';
import type { Place } from './desk.ts';

/** Another way to take what was heard. */
export interface Offer {
  readonly phrase: string;
  readonly answer: SaidAnswer;
}

/** An entry that was heard and does not count yet. */
export interface Waiting {
  /** As it was heard. */
  readonly heard: string;
  /** As it was taken: other words where some were taken for what they sound like. */
  readonly phrase: string;
  readonly isGuessed: boolean;
  readonly place: Place;
  readonly answer: SaidAnswer;
  readonly offers: readonly Offer[];
}

/** A phrase of which some words say nothing here. It is kept as it was heard. */
export interface Missed {
  readonly heard: string;
  readonly unknown: readonly HeardWord[];
  /** Without those words, and what it may have been. */
  readonly offers: readonly Offer[];
}

/** What was asked, and what a yes does. */
export interface Question {
  readonly says: string;
  readonly yes: () => string;
}

/** What was said, by whom. */
export interface Exchange {
  readonly heard: string;
  readonly says: string;
}

/** Where a conversation stands. Replaced as a whole by every phrase. */
export interface ConversationState {
  readonly waiting: Waiting | undefined;
  readonly missed: Missed | undefined;
  readonly question: Question | undefined;
  /** The last exchanges, the latest last. */
  readonly log: readonly Exchange[];
}

/** What a phrase led to. */
export interface Reply {
  /** What is to be read aloud, as it is written; empty for nothing. */
  readonly says: string;
  /** What only who listens can do. */
  readonly asks?: 'stop' | 'help' | undefined;
  /** The entry that was heard, where it is one. */
  readonly turn?: Turn | undefined;
  readonly answer?: SaidAnswer | undefined;
}
