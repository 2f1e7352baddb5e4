import type { ReadingStyle } from '@sprell/core';
import { valueToNumber } from '@sprell/core';
import type { JobRow } from '../../job/quantities.ts';
import { cellIn, shownIn } from './columns.ts';

/** How the rows of a section are shown, where not as they stand. */
export interface SortedBy {
  readonly column: string;
  readonly isDown: boolean;
}

/** Rows sorted by a column: figures by their size, words by the alphabet; those with nothing in it last. */
export function sortedRows(rows: readonly JobRow[], by: SortedBy | undefined, style: ReadingStyle): readonly JobRow[] {
  if (by === undefined) return rows;
  const sign = by.isDown ? -1 : 1;
  return rows
    .map((row) => ({ row, size: sizeIn(row, by.column), words: shownIn(row, by.column, style) }))
    .sort((a, b) => {
      if ((a.words === '') !== (b.words === '')) return a.words === '' ? 1 : -1;
      if (a.size !== undefined && b.size !== undefined) return sign * (a.size - b.size);
      return sign * a.words.localeCompare(b.words);
    })
    .map(({ row }) => row);
}

function sizeIn(row: JobRow, column: string): number | undefined {
  const { worked } = row;
  const cell = cellIn(row, column);
  const value =
    cell !== undefined
      ? worked.cells[cell]?.value
      : {
          quantity: worked.quantity?.value,
          ordered: worked.ordered?.value,
          leftOver: worked.leftOver?.value,
          cost: worked.price?.cost,
          otherCost: worked.other?.cost,
        }[column];
  return value && valueToNumber(value);
}
