import type { Goes, SaidField } from '../spoken/heard/dialogue.ts';
import type { SaidAnswer } from './answer.ts';

/** A line of the slate that counts. */
export interface SaidLine {
  readonly number: number;
  /** What it is called: its label, or "line 4". */
  readonly name: string;
  readonly answer: SaidAnswer;
}

/** Where an entry goes, with the line that "that" in it stands for, where that is not the last one. */
export type Place = Goes & { readonly last?: number | undefined };

/** What a conversation works on: a slate, and the fields of the screen. */
export interface Desk {
  /** Names of marks. */
  readonly names: readonly string[];
  readonly fields: readonly SaidField[];
  /** Why nothing can be written, in a sentence; left out where it can. */
  readonly refusal?: string | undefined;
  /**
   * Whether an entry works out on the slate.
   * @param before an entry that would land first
   */
  works(entry: string, before?: string): boolean;
  /**
   * Works an entry out where it would go. Changes nothing.
   * @param before an entry that would land first
   */
  answer(entry: string, place: Place, before?: string): SaidAnswer;
  /**
   * Writes an entry down: what was worked out by `answer`.
   * @returns its line, where it is a new one; a sentence where it could not be written
   */
  put(entry: string, place: Place): { readonly number?: number | undefined; readonly problem?: string | undefined };
  /** How many lines there are, words among them. */
  readonly lineCount: number;
  /** The last lines that count, the earliest first. */
  lastLines(count: number): readonly SaidLine[];
  line(number: number): SaidLine | undefined;
  /** The last step as an entry that takes it again on its result; undefined where there is none. */
  repeated(): string | undefined;
  /** Takes a step back. @returns what that was, in words; undefined where there is none */
  undo(): string | undefined;
  /** @returns whether there was a step to take again */
  redo(): boolean;
  /** A sentence that names what uses a line; undefined when nothing does. */
  usersOf(number: number): string | undefined;
  remove(number: number): void;
  clear(): void;
  write(kind: 'heading' | 'note', words: string): void;
  label(number: number, words: string): void;
  note(number: number, words: string): void;
  /** A new row of a list of materials, or what the row in hand is; left out where the screen has no list. */
  readonly list?: { row(words: string): void; item(words: string): void } | undefined;
}
