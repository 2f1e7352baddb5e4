/** Files of a list, made on a thread of its own. */
import type { FlatTable, Workbook, WorkbookCell } from '@sprell/core/quantities';
import { csvText } from '../../ui/csv.ts';
import writeXlsxFile, { type Cell, type Feature } from 'write-excel-file/universal';

export interface ListFiles {
  /** The bytes of an XLSX file. */
  xlsx(workbook: Workbook): Promise<Uint8Array<ArrayBuffer>>;
  csv(table: FlatTable, isDecimalComma: boolean): string;
}

/**
 * A workbook as XLSX. Formulas keep what they work out to, so that a reader that works nothing out shows it too; one that does
 * works everything out again when it opens the file.
 */
export async function xlsxOf({ columns, rows, headRows }: Workbook): Promise<Uint8Array<ArrayBuffer>> {
  const written = writeXlsxFile(
    rows.map((row, n) => row.map((cell) => cellOf(cell, n === headRows - 1))),
    {
      sheet: 'Quantities',
      columns: columns.map(({ width }) => ({ width })),
      stickyRowsCount: headRows,
      stickyColumnsCount: 1,
      orientation: 'landscape',
    },
    { features: [withValues(rows)] },
  );
  return new Uint8Array(await (await written.toBlob()).arrayBuffer());
}

function cellOf(cell: WorkbookCell | undefined, isHead: boolean): Cell {
  if (cell === undefined) return null;
  const bold = cell.isStrong === true ? ({ fontWeight: 'bold' } as const) : {};
  // Words are words, whatever they begin with.
  if (cell.kind === 'text')
    return { type: String, value: cell.text, ...bold, ...(isHead ? { wrap: true, bottomBorderStyle: 'medium' } : {}) };
  return cell.kind === 'number'
    ? { type: Number, value: cell.value, format: cell.format, ...bold }
    : { type: 'Formula', value: cell.formula, format: cell.format, ...bold };
}

/** The library writes formulas alone. */
function withValues(rows: Workbook['rows']): Feature<Blob> {
  const values = new Map<string, number>();
  for (const [n, row] of rows.entries())
    for (const [at, cell] of row.entries())
      if (cell?.kind === 'formula') values.set(`${String.fromCharCode('A'.charCodeAt(0) + at)}${n + 1}`, cell.value);
  return {
    files: {
      transform: {
        'xl/worksheets/sheet{id}.xml': {
          transform: (content) =>
            content.replace(
              /(<c r="([A-Z]+\d+)"[^>]*><f>[^<]*<\/f>)(?=<\/c>)/g,
              (whole, cell: string, address: string) => {
                const value = values.get(address);
                return value === undefined ? whole : `${cell}<v>${value}</v>`;
              },
            ),
        },
        'xl/workbook.xml': {
          transformElementAttributes: (tag, attributes) =>
            tag === 'calcPr' ? { ...attributes, fullCalcOnLoad: 1 } : attributes,
        },
      },
    },
  };
}

/** A table as CSV. */
export const csvOf = ({ head, rows }: FlatTable, isDecimalComma: boolean): string =>
  csvText([head, ...rows], isDecimalComma);
