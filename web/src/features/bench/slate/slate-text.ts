import type { ReadingStyle } from '@sprell/core';
import type { SlateRow } from '../../../job/index.ts';
import { readLine } from '../../../parts/slate/line-reading.ts';

/**
 * Lines of the slate as text for a message: the number and label of each, its sum, what it comes to, and whether that is
 * full or shy. Headings stand by themselves, notes beneath their lines.
 */
export function slateText(rows: readonly SlateRow[], style: ReadingStyle): string {
  return rows
    .map((row, at) => {
      if (row.kind !== 'worked') return row.kind === 'heading' && at > 0 ? `\n${row.words}` : row.words;
      const { readBack, reading, answer, rounding, problem } = readLine(row.worked, style);
      const { number, label, note } = row.line;
      const result = reading?.text ?? answer ?? problem ?? '';
      // A size by itself is not said twice.
      const says = sameSize(readBack, result) ? readBack : `${readBack} = ${result}`;
      const words = `#${number} ${label === null ? '' : `${label}: `}${says}${rounding === undefined ? '' : `, ${rounding}`}`;
      return note === '' ? words : `${words}\n    ${note.replaceAll('\n', '\n    ')}`;
    })
    .join('\n');
}

const sameSize = (readBack: string, result: string): boolean =>
  readBack.replaceAll(' ', '') === result.replaceAll(' ', '');

/** Lines that stand one after the other with no other line between them: their run, as an entry names it. */
export function runOf(rows: readonly SlateRow[], chosen: ReadonlySet<string>): string | undefined {
  const worked = rows.flatMap((row) => (row.kind === 'worked' ? [row.line] : []));
  const first = worked.findIndex(({ id }) => chosen.has(id));
  const run = worked.slice(first, first + chosen.size);
  if (first < 0 || chosen.size < 2 || !run.every(({ id }) => chosen.has(id))) return undefined;
  return `#${run[0]?.number}..#${run.at(-1)?.number}`;
}
