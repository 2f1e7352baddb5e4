import { referencesOf, type Entry } from '@sprell/core';

/** What an entry uses: numbers of lines, those within runs among them, and names of marks in lower case. */
export interface Used {
  readonly lines: ReadonlySet<number>;
  readonly marks: ReadonlySet<string>;
}

/**
 * What an entry uses.
 * @param numbers of the lines, in the order they stand
 * @param before what it used before its last change, which is given back for as long as it is the same: the slate is then
 * not redrawn at every key
 */
export function usedBy(entry: Entry | undefined, numbers: readonly number[], before: Used | undefined): Used {
  const references = referencesOf(entry);
  const lines = new Set(references.lines);
  for (const [from, to] of references.runs) {
    const [first, last] = [numbers.indexOf(from), numbers.indexOf(to)];
    if (first !== -1) for (const number of numbers.slice(first, last + 1)) lines.add(number);
  }
  const now = { lines, marks: new Set(references.marks) };
  return before && isSame(before.lines, now.lines) && isSame(before.marks, now.marks) ? before : now;
}

function isSame<T>(one: ReadonlySet<T>, other: ReadonlySet<T>): boolean {
  return one.size === other.size && [...one].every((each) => other.has(each));
}
