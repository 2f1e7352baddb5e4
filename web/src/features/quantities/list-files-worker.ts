/** Makes files of a list on a thread of its own. */
import { expose, transfer } from 'comlink';
import { csvOf, xlsxOf, type ListFiles } from './list-files.ts';

expose({
  xlsx: async (workbook) => {
    const bytes = await xlsxOf(workbook);
    return transfer(bytes, [bytes.buffer]);
  },
  csv: csvOf,
} satisfies ListFiles);
