import type { SlateRow, WorkedRow } from '../../job/index.ts';

const TOTAL = /^\s*sum\(\s*#\d+\s*\.\.\s*#\d+\s*\)\s*$/iu;

const quantityOf = ({ worked: { result } }: WorkedRow) =>
  result.ok && result.outcome.kind === 'quantity' ? result.outcome.quantity : undefined;

/**
 * An entry that totals the lines above a place: back to the heading or the total before them, as far as they are of one kind.
 * A line put between them later counts.
 * @param beforeId the line that the total stands above; undefined for the foot
 * @returns undefined where fewer than two lines add up
 */
export function totalAbove(rows: readonly SlateRow[], beforeId?: string): string | undefined {
  const end = beforeId === undefined ? rows.length : rows.findIndex(({ line }) => line.id === beforeId);
  const added: number[] = [];
  let kind: number | undefined;
  for (const row of rows.slice(0, Math.max(0, end)).reverse()) {
    if (row.kind === 'note') continue;
    if (row.kind !== 'worked') break;
    const dimension = quantityOf(row)?.dimension;
    if (dimension === undefined || TOTAL.test(row.entry.replace(/^[^:]*:/u, '')) || (kind ?? dimension) !== dimension)
      break;
    kind = dimension;
    added.unshift(row.line.number);
  }
  return added.length < 2 ? undefined : `total: sum(#${added[0]}..#${added[added.length - 1]})`;
}
