import { isSought, sought, type ReadingStyle } from '@sprell/core';
import type { SlateRow, WorkedRow } from '../../../job/index.ts';

/**
 * Finds lines that have these words in their label, entry or note, or the size that they are, however it is written, in
 * their entry or as their result. `#7` finds line 7 and the lines that name it, and not line 70.
 */
export function finder(written: string, style: ReadingStyle): (row: SlateRow) => boolean {
  const words = written.trim().toLowerCase();
  const wanted = sought(written, style);
  return (row) =>
    isFound(row, words) || (/\d/.test(words) && !/^#\d+$/.test(words) && row.kind === 'worked' && hasSize(row));

  function hasSize({ worked: { parsed, result } }: WorkedRow): boolean {
    const { entry, source } = parsed;
    return isSought({ text: source, entry, outcome: result.ok ? result.outcome : undefined }, wanted, style);
  }
}

function isFound(row: SlateRow, words: string): boolean {
  if (row.kind !== 'worked') return row.words.toLowerCase().includes(words);
  if (/^#\d+$/.test(words)) return `#${row.line.number}` === words || new RegExp(`${words}(?!\\d)`).test(row.entry);
  return `${row.entry}\n${row.line.note}`.toLowerCase().includes(words);
}
