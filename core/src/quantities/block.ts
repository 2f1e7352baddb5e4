import type { Issue } from '../base/issue.ts';
import { reckonTyped } from '../bare/reckon-typed.ts';
import type { BareUnit } from '../bare/bare-numbers.ts';
import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import { MASS, PLAIN, TIME, type Dimension } from '../units/dimension.ts';
import type { BlockColumn, BlockPlan } from './block-columns.ts';
import {
  likeliest,
  measureOfDimension,
  measureOfWord,
  perOf,
  unitOfHead,
  withoutEach,
  withUnit,
} from './block-units.ts';
import { CELLS, type CellName, type Measure, type PriceUnit } from './measure.ts';
import { nominalSection } from './nominal.ts';

/** How one cell was read. */
export interface BlockCell {
  readonly column: BlockColumn;
  readonly text: string;
  /** As it reads; empty for words. */
  readonly reads: string;
  /** A sentence where it cannot be read. */
  readonly problem: string | undefined;
}

/** A row as it would be taken in. */
export interface BlockRow {
  /** Its place in the table from elsewhere, from 0. */
  readonly at: number;
  readonly cells: readonly BlockCell[];
  readonly fields: Readonly<Partial<Record<CellName, string>>> & {
    readonly name: string;
    readonly measure: Measure;
    readonly per: PriceUnit;
    readonly section: string;
    readonly supplier: string;
    readonly note: string;
  };
  /** Why it is not taken in; undefined where it is. */
  readonly refused: string | undefined;
  /** It says what an earlier row of the table says, or of the list. */
  readonly repeats: boolean;
}

const TOTAL = /^\s*(grand |sub-? ?)?total\b/i;
/** What another program would work out, or run, when it opens the table. */
const FORMULA = /^\s*[=@]|^\s*[+-]\s*[a-z]/i;

export interface BlockOptions {
  /** The sentence for an issue. */
  readonly describe: (issue: Issue) => string;
  readonly scope?: Scope;
  readonly style?: ReadingStyle;
  /** What a number without a unit is among sizes. */
  readonly bare?: BareUnit;
  /** What the list says already, by the words of `saidBy`. */
  readonly known?: ReadonlySet<string>;
}

const SIZES: readonly CellName[] = ['length', 'width', 'depth', 'less', 'pack'];

/** Reads a table from elsewhere by a plan. Nothing is taken in by it. */
export function readBlock(
  rows: readonly (readonly string[])[],
  plan: BlockPlan,
  options: BlockOptions,
): readonly BlockRow[] {
  const seen = new Set(options.known);
  const units = plan.hasHead ? (rows[0] ?? []).map(unitOfHead) : [];
  const style = withComma(rows, options.style ?? DEFAULT_STYLE);
  let section = '';
  return rows.slice(plan.hasHead ? 1 : 0).flatMap((row, n): BlockRow[] => {
    if (row.every((text) => text.trim() === '')) return [];
    const read = readBlockRow(row, n + (plan.hasHead ? 1 : 0), plan.columns, units, { ...options, style });
    // Words alone are the heading of what follows.
    if (read.refused === HEADING) {
      section = read.fields.name;
      return [read];
    }
    const fields = { ...read.fields, section: read.fields.section === '' ? section : read.fields.section };
    const said = saidBy(fields);
    const repeats = read.refused === undefined && seen.has(said);
    seen.add(said);
    return [{ ...read, fields, repeats }];
  });
}

/** A sentence for a row that is no row of its own. */
export const HEADING = 'Words alone: the rows beneath come under this heading.';

/** What a row says, to know another that says the same. */
export function saidBy(
  fields: Partial<Record<CellName, string>> & { readonly name: string; readonly measure: Measure },
): string {
  return [fields.name.toLowerCase(), fields.measure, ...CELLS.map((cell) => fields[cell] ?? '')].join('\u0001');
}

/** Tables with 12,50 and no 12.50 write the comma of decimals. */
function withComma(rows: readonly (readonly string[])[], style: ReadingStyle): ReadingStyle {
  const texts = rows.slice(0, 200).flat();
  const commas = texts.filter((text) => /\d,\d{1,2}(?!\d)/.test(text)).length;
  const points = texts.filter((text) => /\d\.\d/.test(text)).length;
  return commas > 0 && points === 0 ? { ...style, decimalComma: true } : style;
}

/** Text as another program gives it: figures that it kept as text, spaces of every width. */
const asTyped = (text: string): string =>
  text
    .replace(/[\u00a0\u2007\u202f]/g, ' ')
    .replace(/(\d) (?=\d{3}(?!\d))/g, '$1')
    .replace(/^\s*['‘’](?=[\d.=@+-])/, '')
    .trim();

function readBlockRow(
  row: readonly string[],
  at: number,
  columns: readonly BlockColumn[],
  units: readonly string[],
  { describe, scope = EMPTY_SCOPE, style = DEFAULT_STYLE, bare = 'plain' }: BlockOptions,
): BlockRow {
  const textOf = (column: BlockColumn): string => {
    const index = columns.indexOf(column);
    return index < 0 ? '' : asTyped(row[index] ?? '');
  };
  const reckoned = (text: string, asSize: boolean) =>
    reckonTyped(text, { scope, style, bare: asSize ? bare : 'plain' });
  const unit = textOf('unit');
  const amount = amountOf(withoutEach(textOf('amount')), unit, textOf('length'));
  const outcome = amount === '' ? undefined : reckoned(amount, false).outcome;
  const measured = outcome?.kind === 'quantity' ? outcome.quantity.dimension : undefined;
  const measure = measureOf(unit, measured, columns, textOf);

  const entries: Partial<Record<CellName, string>> = {};
  const cells: BlockCell[] = [];
  for (const [index, column] of columns.entries()) {
    const said = asTyped(row[index] ?? '');
    const text = column === 'count' ? withoutEach(said) : said;
    if (column === 'skip' || text === '') continue;
    if (!isEntry(column)) {
      cells.push({ column, text, reads: '', problem: undefined });
      continue;
    }
    const isTwice = column === 'length' && amount !== '' && cellOfAmount(measured) === 'length';
    // A run in all beside a length is what it comes in.
    const isStock = isTwice && measure === 'run' && textOf('pack') === '';
    const cell = isStock ? 'pack' : cellOf(column, measure, measured);
    const typed =
      column === 'amount' ? amount : entryOf(column, ofUnits(column, text, units[index] ?? '', unit), measure);
    const read = reckoned(typed, SIZES.includes(cell));
    const problem = FORMULA.test(text)
      ? 'A formula of another program; its value is wanted here.'
      : isTwice && !isStock
        ? 'The amount says how much it is already; leave one of both out.'
        : read.issue && describe(read.issue);
    if (problem === undefined) entries[cell] = read.written.trim();
    cells.push({ column, text, reads: read.reading?.text ?? '', problem });
  }
  const name = textOf('name').replace(/\s+/g, ' ');
  const per = perOf(textOf('per'), measure, style) ?? perOf(unit, measure, style) ?? likeliest(measure, style);
  const [section, supplier, note] = [textOf('section'), textOf('supplier'), textOf('note')];
  const fields = { ...entries, ...{ name, measure, per, section, supplier, note } };
  return { at, cells, fields, refused: refusalOf(name, cells), repeats: false };
}

const isEntry = (column: BlockColumn): column is CellName | 'amount' =>
  column === 'amount' || (CELLS as readonly string[]).includes(column);

function refusalOf(name: string, cells: readonly BlockCell[]): string | undefined {
  if (TOTAL.test(name)) return 'A total of the table; the list adds up its rows itself.';
  const wrong = cells.find(({ problem }) => problem !== undefined);
  if (wrong !== undefined) return `${wrong.column}: ${wrong.problem}`;
  if (!cells.some(({ column }) => isEntry(column))) return name === '' ? 'Nothing to measure stands in it.' : HEADING;
  return name === '' ? 'It has no name.' : undefined;
}

function measureOf(
  unit: string,
  measured: Dimension | undefined,
  columns: readonly BlockColumn[],
  textOf: (column: BlockColumn) => string,
): Measure {
  const said = measureOfWord(unit);
  if (said !== undefined) return said;
  const given = measured === undefined ? undefined : measureOfDimension(measured);
  if (given !== undefined) return given;
  const has = (column: BlockColumn) => columns.includes(column) && textOf(column) !== '';
  if (has('length') && nominalSection(textOf('width')) !== undefined) return 'board';
  if (has('length') && has('width')) return has('depth') ? 'volume' : 'area';
  return has('length') ? 'run' : 'each';
}

/** What one comes to is a length, an area or a volume where it is no mass and no time. */
function cellOf(column: CellName | 'amount', measure: Measure, measured: Dimension | undefined): CellName {
  if (column === 'amount') return cellOfAmount(measured);
  return column === 'apiece' && measure !== 'mass' && measure !== 'hours' ? 'length' : column;
}

/** A bare size is in the unit over its column; a pack, what is left out and what one comes to are in the row's. */
function ofUnits(column: CellName, text: string, head: string, unit: string): string {
  const isOfRow = column === 'pack' || column === 'less' || column === 'apiece';
  if (isOfRow) return withUnit(text, unit);
  return head !== '' && /^[\d.,]+$/.test(text) ? `${text} ${head}` : text;
}

/** An amount beside its unit. Whole ones beside a length are how many of that length: the unit is what they are measured by. */
const amountOf = (amount: string, unit: string, length: string): string =>
  /^\d+$/.test(amount) && length !== '' ? amount : withUnit(amount, unit);

/** An amount with a unit is what is measured; a bare one is how many. */
function cellOfAmount(measured: Dimension | undefined): CellName {
  if (measured === undefined || measured === PLAIN) return 'count';
  return measured === MASS || measured === TIME ? 'apiece' : 'length';
}

function entryOf(column: CellName, text: string, measure: Measure): string {
  if ((column === 'width' || column === 'length') && measure === 'board') return nominalSection(text) ?? text;
  return text;
}
