import Papa from 'papaparse';
import { fromHeads, planOfBlock, readBlock, type BlockPlan, type BlockRow } from '@sprell/core/quantities';
import { describeIssue, EMPTY_SCOPE, type BareUnit, type Quantity, type ReadingStyle, type Scope } from '@sprell/core';
import { textOfBytes } from '../../ui/text-of-bytes.ts';
import { isWorkbook, sheetsOf, type BlockRefusal, type ReadSheet } from './xlsx-table.ts';

export type { BlockRefusal };

/** Most that is read of a table: a job holds as many rows, and no list is that wide. */
export const MOST_ROWS = 10_000;
export const MOST_COLUMNS = 200;
/** A table that is larger than this is none that somebody typed. */
export const MOST_BYTES = 20_000_000;

const LARGE = 'That is larger than a list of materials can be; take a part of it.';

export interface BlockTable {
  readonly cells: readonly (readonly string[])[];
  /** What was done to read it, where somebody should know. */
  readonly remark: string | undefined;
  /** The sheets of a file that has such, and which of them it is. */
  readonly sheets?: readonly string[];
  readonly sheet?: string;
}

/** A pasted block, or the text of a file, as a table. Inch marks that stand alone are no quotes. */
export function tableOfText(text: string): BlockTable | BlockRefusal {
  if (text.length > MOST_BYTES) return { refused: LARGE };
  const delimiter = text.includes('\t') ? '\t' : '';
  const parsed = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
  const isBroken = parsed.errors.some(({ type }) => type === 'Quotes');
  const { data } = isBroken
    ? Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy', quoteChar: '\u0000' })
    : parsed;
  return withinBounds(data, isBroken ? 'Quotes that are not closed were read as inch marks.' : undefined);
}

/** A table that a job can hold, without the titles above its headings. */
function withinBounds(rows: BlockTable['cells'], remark: string | undefined): BlockTable | BlockRefusal {
  const cells = fromHeads(rows);
  const width = cells.reduce((most, row) => Math.max(most, row.length), 0);
  if (cells.length > MOST_ROWS + 1)
    return { refused: `The table has ${cells.length} rows; a job holds ${MOST_ROWS}. Take the ones that are wanted.` };
  if (width > MOST_COLUMNS)
    return { refused: `The table has ${width} columns; up to ${MOST_COLUMNS} can be looked at. Leave some out.` };
  if (cells.length === 0) return { refused: 'There is nothing in it. Copy the rows with their headings.' };
  return { cells, remark };
}

/** Covers and notes often come before the list: rows of a table have three cells and more. */
function fullest(sheets: readonly ReadSheet[]): ReadSheet | undefined {
  const rowsOf = ({ cells }: ReadSheet) =>
    cells.filter((row) => row.filter((text) => text.trim() !== '').length > 2).length;
  return sheets.toSorted((a, b) => rowsOf(b) - rowsOf(a))[0];
}

/** The table of a file. Of several sheets it is the one that was chosen, or else the first with most of a table in it. */
async function tableOfFile(bytes: Uint8Array, chosen: string | undefined): Promise<BlockTable | BlockRefusal> {
  if (bytes.length > MOST_BYTES) return { refused: LARGE };
  if (isWorkbook(bytes)) {
    const sheets = await sheetsOf(bytes);
    if ('refused' in sheets) return sheets;
    const now = sheets.find(({ name }) => name === chosen) ?? fullest(sheets);
    const table = withinBounds(now?.cells.filter((row) => row.some((text) => text.trim() !== '')) ?? [], undefined);
    return 'refused' in table ? table : { ...table, sheets: sheets.map(({ name }) => name), sheet: now?.name ?? '' };
  }
  const decoded = textOfBytes(bytes);
  const table = tableOfText(decoded.text);
  return 'refused' in table ? table : { ...table, remark: decoded.remark ?? table.remark };
}

/** What is asked of the thread that reads a table. */
export interface BlockAsked {
  readonly text?: string;
  readonly bytes?: Uint8Array;
  /** The sheet of the file, where it has several. */
  readonly sheet?: string | undefined;
  /** What the columns are taken for; guessed where it is not said. */
  readonly plan?: BlockPlan | undefined;
  readonly style: ReadingStyle;
  readonly bare: BareUnit;
  /** Marks of the job, by name in lower case. */
  readonly marks: readonly (readonly [string, Quantity])[];
  /** What the list says already. */
  readonly known: readonly string[];
}
export interface BlockPreview {
  readonly plan: BlockPlan;
  readonly head: readonly string[];
  readonly rows: readonly BlockRow[];
  readonly remark: string | undefined;
  /** The sheets of the file, and the one that is shown. */
  readonly sheets: readonly string[];
  readonly sheet: string;
}

export interface BlockReader {
  preview(asked: BlockAsked): Promise<BlockPreview | BlockRefusal>;
}

export async function preview({
  text,
  bytes,
  sheet,
  plan,
  style,
  bare,
  marks,
  known,
}: BlockAsked): Promise<BlockPreview | BlockRefusal> {
  const table = bytes ? await tableOfFile(bytes, sheet) : tableOfText(text ?? '');
  if ('refused' in table) return table;
  const { cells, remark, sheets = [], sheet: shown = '' } = table;
  const now = plan ?? planOfBlock(cells);
  const rows = readBlock(cells, now, {
    describe: describeIssue,
    scope: scopeOf(marks),
    style,
    bare,
    known: new Set(known),
  });
  return { plan: now, head: cells[0] ?? [], rows, remark, sheets, sheet: shown };
}

function scopeOf(marks: BlockAsked['marks']): Scope {
  const byName = new Map(marks);
  return {
    ...EMPTY_SCOPE,
    mark: (name) => {
      const quantity = byName.get(name);
      return quantity && { ok: true, quantity };
    },
    names: () => [...byName.keys()],
  };
}
