import type { ReadingStyle } from '@sprell/core';
import type { SlateRow, WorkedRow } from '../../../job/index.ts';
import { csvText } from '../../../ui/csv.ts';
import { readLine } from '../../../parts/slate/line-reading.ts';

const HEAD = ['line', 'label', 'entry', 'result', 'rounded', 'note'];

/** Lines of the slate as CSV: results as they can be typed again, headings and notes among them. */
export function slateCsv(rows: readonly SlateRow[], style: ReadingStyle): string {
  const said = rows.map((row) => {
    if (row.kind === 'heading') return ['', row.words, '', '', '', row.line.note];
    if (row.kind === 'note') return ['', '', '', '', '', row.words];
    const { line, entry, worked } = row as WorkedRow;
    const { number, label, note } = line;
    const { reading, answer, rounding, problem } = readLine(worked, style);
    const sum = label === null ? entry : entry.slice(label.length + 1).trim();
    return [number, label ?? '', sum, reading?.plain ?? answer ?? problem ?? '', rounding ?? '', note];
  });
  return csvText([HEAD, ...said], style.decimalComma);
}
