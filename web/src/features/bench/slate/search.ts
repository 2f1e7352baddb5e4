import type { SlateRow } from '../../../job/index.ts';

/**
 * A line has these words, in lower case, in its label, entry or note. `#7` finds line 7 and the lines that name it, and
 * not line 70.
 */
export function isFound(row: SlateRow, words: string): boolean {
  if (row.kind !== 'worked') return row.words.toLowerCase().includes(words);
  if (/^#\d+$/.test(words)) return `#${row.line.number}` === words || new RegExp(`${words}(?!\\d)`).test(row.entry);
  return `${row.entry}\n${row.line.note}`.toLowerCase().includes(words);
}
