import { unparse } from 'papaparse';
import type { TableText } from '@sprell/core/tables';

/** A table as CSV, its figures as they are typed. */
export const tableCsv = ({ columns, rows }: TableText, decimalComma: boolean): string =>
  unparse([columns.map(({ title }) => title), ...rows.map(({ cells }) => cells.map((cell) => cell?.plain ?? ''))], {
    delimiter: decimalComma ? ';' : ',',
  });
