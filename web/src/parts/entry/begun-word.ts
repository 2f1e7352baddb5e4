import { FUNCTIONS, UNITS } from '@sprell/core';
import type { NamedMark } from './suggestions.ts';

/** The words there are suggestions for, without what is said about them: the first screen does without that. */
const KNOWN = [...Object.keys(FUNCTIONS), ...UNITS.flatMap(({ words }) => words.slice(0, 1)), 'to', 'of', 'last', 'pi'];

/** A word that may still become one that is known: while it is being typed it is no mistake. */
export function isBegun(word: string, marks: readonly NamedMark[]): boolean {
  const begun = word.toLowerCase();
  return [...marks.map(({ name }) => name), ...KNOWN].some(
    (known) => known.length > begun.length && known.toLowerCase().startsWith(begun),
  );
}
