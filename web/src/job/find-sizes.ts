import { isSought, Slate, sought, type ReadingStyle, type SlateLine } from '@sprell/core';

/**
 * Which lines of a job are what somebody looks for, all of them worked out for it.
 * @returns their ids, at most `most`
 */
export function findSizes(
  lines: readonly SlateLine[],
  words: string,
  style: ReadingStyle,
  most: number,
): readonly string[] {
  const slate = new Slate(style);
  slate.load(lines);
  const wanted = sought(words, style);
  const found: string[] = [];
  for (const { id, source } of lines) {
    const worked = slate.line(id);
    const outcome = worked?.result.ok === true ? worked.result.outcome : undefined;
    if (isSought({ text: source, entry: worked?.parsed.entry, outcome }, wanted, style)) found.push(id);
    if (found.length >= most) break;
  }
  return found;
}

export interface SizeFinder {
  readonly find: typeof findSizes;
}
