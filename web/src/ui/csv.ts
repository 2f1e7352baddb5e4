import { unparse } from 'papaparse';

/** What tells a program that the file is UTF-8. */
const MARK = '\uFEFF';
/** What a spreadsheet would work out or run; a size below nothing is none of that. */
const FORMULA = /^(?:[=@+\t\r]|-(?![\d.,/ ]+[^\d=+|!()]{0,8}$))/u;

/**
 * Rows as CSV: fields between commas, or semicolons where a comma is the decimal sign. Words that another program would work out
 * or run when it opens the file are written as words.
 */
export function csvText(rows: readonly (readonly (string | number)[])[], decimalComma: boolean): string {
  const figure = (value: number) => (decimalComma ? String(value).replace('.', ',') : value);
  const cells = rows.map((row) => row.map((cell) => (typeof cell === 'number' ? figure(cell) : cell)));
  return MARK + unparse(cells, { delimiter: decimalComma ? ';' : ',', escapeFormulae: FORMULA });
}
