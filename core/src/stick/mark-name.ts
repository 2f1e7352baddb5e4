import { makeIssue, type Issue } from '../base/issue.ts';
import { isTaken } from '../notation/parser.ts';

/** Longest name of a mark, in characters: it has to stand beside its size on the stick. */
export const NAME_LIMIT = 40;

const NAME = /^\p{L}[\p{L}\p{N}_]*$/u;
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/**
 * What is wrong with a name for a mark; undefined when it can be one. The fix's entry is the name mended.
 * @param others names of the marks there are; one of them would be overwritten
 */
export function nameIssue(name: string, others: readonly string[] = []): Issue | undefined {
  const span = { start: 0, end: name.length };
  if (!NAME.test(name) || name.length > NAME_LIMIT) {
    const mended = nameFromLabel(name, others);
    const fixes = mended === undefined ? [] : [{ label: `Call it ${mended}`, entry: mended }];
    return name.length > NAME_LIMIT
      ? makeIssue('name.too_long', span, { limit: `${NAME_LIMIT}` }, fixes)
      : makeIssue('name.shape', span, { name }, fixes);
  }
  if (!isTaken(name) && !isAmong(name, others)) return undefined;
  const free = numbered(name, others);
  const fixes = [{ label: `Call it ${free}`, entry: free }];
  return makeIssue(isTaken(name) ? 'name.taken' : 'name.in_use', span, { name }, fixes);
}

/**
 * Names to offer for a new mark: letters that are free, then letters with a number.
 * @example freeNames(['A', 'b'], 2) // => ['C', 'D']
 */
export function freeNames(taken: readonly string[], count: number): readonly string[] {
  const free: string[] = [];
  for (let round = 1; free.length < count; round += 1)
    for (const letter of LETTERS) {
      const name = round === 1 ? letter : `${letter}${round}`;
      if (free.length < count && !isAmong(name, taken) && !isTaken(name)) free.push(name);
    }
  return free;
}

/**
 * The label of a line as a name: "top rail" becomes top_rail. Undefined where no letter is left.
 * @param others names that are taken already: the name then ends in a number
 */
export function nameFromLabel(label: string, others: readonly string[] = []): string | undefined {
  const name = label
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}]+/gu, '_')
    .replace(/^[\p{N}_]+|_+$/gu, '')
    .slice(0, NAME_LIMIT - 3)
    .replace(/_+$/, '');
  if (name === '') return undefined;
  return isTaken(name) || isAmong(name, others) ? numbered(name, others) : name;
}

function isAmong(name: string, names: readonly string[]): boolean {
  const wanted = name.toLowerCase();
  return names.some((other) => other.toLowerCase() === wanted);
}

function numbered(name: string, others: readonly string[]): string {
  for (let number = 2; ; number += 1) {
    const next = `${name}_${number}`;
    if (!isAmong(next, others)) return next;
  }
}
