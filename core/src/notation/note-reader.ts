import type { Cursor } from './cursor.ts';
import { isFunctionName, RESERVED_WORDS } from './functions.ts';
import * as T from './token.ts';
import { isUnitWord } from './unit-reader.ts';

/**
 * Words after a size that only describe it: how spacings are measured (16" o.c.), or anything in brackets
 * (4' 3" (rough)). They change no value and stay in the read-back, in brackets.
 */

/** On centres, as drawings and people write it. */
export const ON_CENTRES =
  /^(?:o\.?\s?\/?\s?c|c\.?\s?\/?\s?c|on[\s-]cent(?:er|re)s?|cent(?:er|re)s?|ctrs?|crs)(?:\.|(?![\p{L}\p{N}_]))/iu;
const IN_BRACKETS = /^\(\s*([\p{L}][\p{L} .,'’&-]*?)\s*\)/u;

/** The note at the cursor, behind a size, and past it; undefined, and nothing consumed, where there is none. */
export function readNote(c: Cursor): string | undefined {
  if (c.kind !== T.WORD && c.kind !== T.OPEN) return undefined;
  // A sign, a bracket or the end is behind most sizes, and `to` behind most words.
  const first = c.source.charCodeAt(c.start()) | 0x20;
  if (c.kind === T.WORD && first !== 0x6f && first !== 0x63) return undefined;
  const rest = c.source.slice(c.start());
  const found = c.kind === T.WORD ? ON_CENTRES.exec(rest) : IN_BRACKETS.exec(rest);
  if (found === null) return undefined;
  const [text, inside] = found;
  if (inside !== undefined && !saysNothing(inside)) return undefined;
  const end = c.start() + text.length;
  while (c.kind !== T.END && c.start() < end) c.advance();
  return inside ?? text;
}

/** Whether no word of it means something in an entry: (to mm) and (rail in) are no notes. */
function saysNothing(words: string): boolean {
  return words
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .every((word) => !isUnitWord(word) && !isFunctionName(word) && !(RESERVED_WORDS.has(word) && !NEUTRAL.has(word)));
}

/** Words of the notation that a note may hold among others. */
const NEUTRAL: ReadonlySet<string> = new Set(['of', 'it', 'no', 'yes', 'in', 'to']);
