import { readHeardNumber, readPart } from './numbers.ts';
import { BETWEEN, phraseAt, type Phrases, type Words } from './phrases.ts';
import { readSize, NO_NUMBERS_BEHIND } from './size.ts';
import { readHeardUnit } from './units.ts';

/** What says that the phrase before was not meant so, the longest first. */
const CORRECTING: Phrases<'correction'> = ['no i said', 'no i meant', 'no make that', 'no make it', 'i said', 'i meant', 'make that', 'make it', 'sorry', 'actually', 'correction', 'no'].map(
  (words) => [words, 'correction'] as const,
); // prettier-ignore

interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * The phrase before as it is meant, where this one corrects it: "no, seven and a half", "I said eighths", "not plus, minus",
 * "nine, not five".
 * @returns undefined where this one corrects nothing
 */
export function corrected(before: Words, now: Words): Words | undefined {
  const intro = phraseAt(now, 0, CORRECTING);
  const said = now.slice(intro?.next ?? 0);
  const not = said.indexOf('not');
  if (not === 0) return swapped(before, said.slice(1));
  if (not > 0) {
    const wrong = placeOf(before, said.slice(not + 1));
    if (wrong !== undefined) return replaced(before, wrong, said.slice(0, not));
  }
  if (intro === undefined || said.length === 0) return undefined;
  const place = placeOfAlike(before, said);
  return place === undefined ? said : replaced(before, place, said);
}

/** "Plus, minus" behind "not": the words that stand in the phrase before give way to those behind them. */
function swapped(before: Words, said: Words): Words | undefined {
  for (let count = said.length - 1; count > 0; count -= 1) {
    const place = placeOf(before, said.slice(0, count));
    const instead = said.slice(said[count] === 'but' ? count + 1 : count);
    if (place !== undefined && instead.length > 0) return replaced(before, place, instead);
  }
  return undefined;
}

/** Where words stand last in a phrase. */
function placeOf(before: Words, wrong: Words): Span | undefined {
  if (wrong.length === 0) return undefined;
  for (let from = before.length - wrong.length; from >= 0; from -= 1)
    if (wrong.every((word, n) => before[from + n] === word)) return { from, to: from + wrong.length };
  return undefined;
}

/** Where the phrase before says last what is of the kind of these words: an operation, parts, a unit, a number, a size. */
function placeOfAlike(before: Words, said: Words): Span | undefined {
  const isWhole = (next: number | undefined) => next === said.length;
  if (isWhole(phraseAt(said, 0, BETWEEN)?.next)) return lastPlace(before, (at) => phraseAt(before, at, BETWEEN)?.next);
  if (isWhole(readPart(said, 0)?.next)) return lastPlace(before, (at) => readPart(before, at)?.next);
  if (isWhole(readHeardUnit(said, 0)?.next)) return lastPlace(before, (at) => readHeardUnit(before, at)?.next);
  if (isWhole(readHeardNumber(said, 0)?.next)) return lastPlace(before, (at) => readHeardNumber(before, at)?.next);
  if (isWhole(readSize(said, 0)?.next)) return lastPlace(before, (at) => readSize(before, at)?.next);
  return undefined;
}

/** The last place where a rule stands, reading from the left. */
function lastPlace(words: Words, rule: (at: number) => number | undefined): Span | undefined {
  let found: Span | undefined;
  for (let at = 0; at < words.length;) {
    const next = NO_NUMBERS_BEHIND.has(words[at] ?? '') ? undefined : rule(at);
    if (next !== undefined) found = { from: at, to: next };
    at = next ?? at + 1;
  }
  return found;
}

const replaced = (before: Words, { from, to }: Span, instead: Words): Words => [
  ...before.slice(0, from),
  ...instead,
  ...before.slice(to),
];
