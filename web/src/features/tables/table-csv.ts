import type { TableText } from '@sprell/core/tables';
import { csvText } from '../../ui/csv.ts';

/** A table as CSV, its figures as they are typed. */
export const tableCsv = ({ columns, rows }: TableText, decimalComma: boolean): string =>
  csvText(
    [columns.map(({ title }) => title), ...rows.map(({ cells }) => cells.map((cell) => cell?.plain ?? ''))],
    decimalComma,
  );
