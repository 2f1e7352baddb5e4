import type { ReadingStyle } from '@sprell/core';

/** What a thing of a job says, whatever its kind: its fields by name. */
export type Content = Readonly<Record<string, unknown>>;

/** A thing of a job, as it stands: what it says, with what is the same for things of every kind. */
export type Thing = Content & { readonly id: string; readonly revision: number; readonly deleted: boolean };

/**
 * One kind of thing that a job keeps. Together with the schema of its fields (`wire.ts` beside it, apart because a page does
 * not load the validator at its start) this is all that is written about a kind outside its own rooms. Changes and answers,
 * the checks at the door, SQL, the browser's database, undo, conflicts, sharing, backup and copies of a job follow from it.
 */
export interface Kind {
  /** In changes and answers, and of its table in `THING_TABLES` of the server. */
  readonly name: string;
  /** Where its things stand in a job that is read: `scales`. */
  readonly list: string;
  /** Its things have an order: they have a `position` among their fields, a fractional key. */
  readonly isOrdered?: boolean;
  /** Fields that hold an entry, or a list of entries. Lines and marks in them are named by their ids. */
  readonly entries: readonly string[];
  /** Those entries may name other things of the kind by what those are called. */
  readonly namesOwn?: boolean;
  /** Fields with the id of another thing, or a list of such: in a copy of a job, that of the copy. */
  readonly refers?: readonly string[];
  /**
   * What becomes of two changes that were made on one state. `beside`: both things stand, side by side. `fields`: where they
   * changed different fields, one thing with both; else side by side. `last`: the later one stands.
   */
  readonly together: 'beside' | 'fields' | 'last';
  /** What a person calls one of them, in a job that reads so: `the scale Old drawings`. */
  readonly called: (content: Content, style?: ReadingStyle) => string;
  /** Its things are added along with something else that a person did: they are not counted by themselves. */
  readonly comesAlong?: boolean;
  /** More than these are not kept in one job. */
  readonly most: number;
  /** How its changes were sent by versions up to November 2026: under these names for the id and the content. */
  readonly earlier?: { readonly id: string; readonly content: string };
}
