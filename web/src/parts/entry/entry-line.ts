import type { Span } from '@sprell/core';
import type { Ref } from 'vue';
import type { NamedMark } from './suggestions.ts';

/** What the line being written is given, by whatever it is written in. */
export interface EntryEditorProps {
  /** What is written: the ref itself, so that a letter redraws nothing but the line (decision 15). */
  text: Ref<string>;
  label: string;
  hint: string;
  /** Marks that may be named. */
  marks: readonly NamedMark[];
  /** Labels of the slate, to be given again. */
  labels: () => readonly string[];
  /** There is a result for an operator in an empty entry to go on from. */
  hasLast: boolean;
  /** Id of the element that says what is wrong, while something is. */
  describedBy: string | undefined;
  wrong: Span | undefined;
  ghost: string;
  /** The bench's own entry, which the keys fall back to. */
  isBenchs: boolean;
  /** The bench's keys are on the screen, and the device's own need not come up. */
  ownKeys: boolean;
}

/** Where somebody is in what they have written. */
export interface WrittenSoFar {
  readonly from: number;
  readonly to: number;
  readonly isFocused: boolean;
}
