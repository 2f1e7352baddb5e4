import type { ReadingStyle } from '@sprell/core';
import type { SlateRow } from '../../../job/index.ts';

/** Hands lines of the slate out as CSV. What writes it comes when it is wanted. */
export async function saveSlateCsv(rows: readonly SlateRow[], style: ReadingStyle, title: string): Promise<void> {
  const [{ slateCsv }, { fileName, saveFile }] = await Promise.all([
    import('./slate-csv.ts'),
    import('../../../ui/drawing/save-file.ts'),
  ]);
  saveFile(fileName(`${title} slate`, 'csv'), slateCsv(rows, style), 'text/csv;charset=utf-8');
}
