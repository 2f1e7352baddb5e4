import type { Issue } from '../base/issue.ts';
import { reckonTyped } from '../bare/reckon-typed.ts';
import type { BareUnit } from '../bare/bare-numbers.ts';
import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { DEFAULT_STYLE, isMetric, type ReadingStyle } from '../reading/style.ts';
import { AREA, LENGTH, MASS, PLAIN, TIME, VOLUME, type Dimension } from '../units/dimension.ts';
import {
  CELLS,
  priceUnitsFor,
  PRICE_UNIT_IDS,
  PRICE_UNITS,
  type CellName,
  type Measure,
  type PriceUnit,
} from './measure.ts';
import { nominalSection } from './nominal.ts';

/** What a column of a table from elsewhere holds. */
export const BLOCK_COLUMNS = [
  'skip',
  'name',
  'amount',
  'unit',
  ...CELLS,
  'per',
  'section',
  'supplier',
  'note',
] as const;
export type BlockColumn = (typeof BLOCK_COLUMNS)[number];

/** What the columns were taken for. */
export interface BlockPlan {
  /** The first row names the columns. */
  readonly hasHead: boolean;
  readonly columns: readonly BlockColumn[];
}

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

/** Words over columns, in lower case, for what is in them. */
const HEADS: Readonly<Partial<Record<BlockColumn, readonly string[]>>> = {
  name: ['item', 'items', 'description', 'material', 'materials', 'product', 'name', 'what', 'article', 'part'],
  amount: ['quantity', 'qty', 'amount', 'qnty', 'quant'],
  unit: ['unit', 'units', 'uom', 'measured by', 'measure', 'u/m'],
  count: ['count', 'number', 'no', 'nr', 'pcs', 'pieces', 'how many', 'ea', '#'],
  length: ['length', 'len', 'l', 'long', 'size', 'run'],
  width: ['width', 'wide', 'w', 'section', 'breadth', 'b'],
  depth: ['depth', 'deep', 'd', 'thickness', 'thick', 'height', 'h', 't'],
  apiece: ['weight', 'mass', 'hours each', 'of one', 'mass or time of one'],
  less: ['less', 'openings', 'deduct', 'deduction'],
  waste: ['waste', 'waste %', 'wastage', 'allowance'],
  pack: ['pack', 'pack size', 'per pack', 'stock', 'stock length', 'sheet'],
  price: ['price', 'unit price', 'unit cost', 'rate', 'cost each', 'each', 'price each', '$'],
  other: ['second price', 'other price', 'price 2', 'quote 2'],
  per: ['for', 'price for', 'price unit', 'priced by'],
  section: ['trade', 'category', 'group', 'heading', 'phase'],
  supplier: ['supplier', 'vendor', 'from', 'merchant', 'yard'],
  note: ['note', 'notes', 'remark', 'remarks', 'comment', 'comments'],
};

/** Words for units that a row is measured by. */
const UNITS: readonly (readonly [Measure, RegExp])[] = [
  ['each', /^(each|ea|e|pc|pcs|piece|pieces|no|nr|unit|units|set|sets|box|boxes)\.?$/i],
  ['run', /^(run of length|run|lf|lft|lin\.? ?ft|ft|foot|feet|lm|m|metres?|meters?)\.?$/i],
  ['area', /^(area|sf|sq\.? ?ft|ft2|ft²|square feet|sm|sq\.? ?m|m2|m²|sy|sq\.? ?yd|squares?)\.?$/i],
  ['volume', /^(volume|cy|cu\.? ?yd|yd3|yd³|cf|cu\.? ?ft|ft3|m3|m³|cu\.? ?m|l|litres?|liters?)\.?$/i],
  ['board', /^(board measure|bf|fbm|bdft|bd\.? ?ft|board feet)\.?$/i],
  ['mass', /^(mass|lb|lbs|kg|t|ton|tons|tonnes?)\.?$/i],
  ['hours', /^(hours?|h|hr|hrs)\.?$/i],
];
/** Abbreviations of units that an entry does not know. */
const WRITTEN: Readonly<Record<string, string>> = { lft: 'ft', lm: 'm', sm: 'm2', 'lin ft': 'ft', 'bd ft': 'bf' };

const TOTAL = /^\s*(grand |sub-? ?)?total\b/i;
/** What another program would work out, or run, when it opens the table. */
const FORMULA = /^\s*[=@]|^\s*[+-]\s*[a-z]/i;

const asHead = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[.:_*]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function columnOfHead(text: string): BlockColumn | undefined {
  const head = asHead(text);
  if (head === '') return undefined;
  const exact = BLOCK_COLUMNS.find((column) => column === head || HEADS[column]?.includes(head) === true);
  if (exact !== undefined) return exact;
  const words = head.replace(/\(.*\)/, '').split(/[ /]/);
  return BLOCK_COLUMNS.find((column) => HEADS[column]?.some((one) => words.includes(one) && one.length > 2) === true);
}

/**
 * What the columns of a table from elsewhere hold: by the words over them, or, where there are none, by what is in them. Each is
 * found once; the others are skipped.
 */
export function planOfBlock(rows: readonly (readonly string[])[]): BlockPlan {
  const [first = []] = rows;
  const heads = first.map((head, at) => columnOfHead(head) && byContent(head, rows, at));
  const hasHead = heads.filter((column) => column !== undefined).length >= Math.min(2, first.length);
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  const guessed = hasHead ? heads : guessByContent(rows, width);
  const seen = new Set<BlockColumn>();
  const columns = Array.from({ length: width }, (_, at): BlockColumn => {
    const column = guessed[at];
    if (column === undefined || seen.has(column)) return 'skip';
    seen.add(column);
    return column;
  });
  return { hasHead, columns };
}

/** A column over which "section" stands holds sizes of timber, or the sections of a list. */
function byContent(head: string, rows: readonly (readonly string[])[], at: number): BlockColumn | undefined {
  if (asHead(head) !== 'section') return columnOfHead(head);
  const texts = rows.slice(1, 50).flatMap((row) => (row[at] ?? '').trim() || []);
  return texts.filter((text) => /^\d/.test(text)).length > texts.length / 2 ? 'width' : 'section';
}

/** The rows from the one with the words over the columns: titles above it say nothing of a list. */
export function fromHeads(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const at = rows
    .slice(0, MOST_TITLES)
    .findIndex((row) => row.filter((text) => columnOfHead(text) !== undefined).length >= LEAST_HEADS);
  return at > 0 ? rows.slice(at) : rows;
}
const [MOST_TITLES, LEAST_HEADS] = [20, 3];

/** Without a head: words are the item, then come an amount, a unit, sizes and money. */
function guessByContent(rows: readonly (readonly string[])[], width: number): readonly (BlockColumn | undefined)[] {
  const sizes: BlockColumn[] = ['length', 'width', 'depth'];
  let hasName = false;
  let hasAmount = false;
  return Array.from({ length: width }, (_, at): BlockColumn | undefined => {
    const texts = rows.slice(0, 50).flatMap((row) => (row[at] ?? '').trim() || []);
    const share = (test: (text: string) => boolean) => texts.filter(test).length / Math.max(1, texts.length);
    if (texts.length === 0) return undefined;
    if (share((text) => UNITS.some(([, words]) => words.test(text))) > 0.6) return 'unit';
    if (share((text) => /^[$€£]\s*\d|\d\s*[$€£]$/.test(text)) > 0.6) return 'price';
    if (share((text) => /^\d[\d.,]*$/.test(text)) > 0.6 && !hasAmount) {
      hasAmount = true;
      return 'amount';
    }
    if (share((text) => /^[-\d.']/.test(text) && /\d/.test(text)) > 0.6) return sizes.shift();
    if (hasName) return undefined;
    hasName = true;
    return 'name';
  });
}

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
  const amount = withUnit(textOf('amount'), unit);
  const amountOf = amount === '' ? undefined : reckoned(amount, false).outcome;
  const measured = amountOf?.kind === 'quantity' ? amountOf.quantity.dimension : undefined;
  const measure = measureOf(unit, measured, columns, textOf);

  const entries: Partial<Record<CellName, string>> = {};
  const cells: BlockCell[] = [];
  for (const [index, column] of columns.entries()) {
    const text = asTyped(row[index] ?? '');
    if (column === 'skip' || text === '') continue;
    if (!isEntry(column)) {
      cells.push({ column, text, reads: '', problem: undefined });
      continue;
    }
    const cell = cellOf(column, measure, measured);
    const typed =
      column === 'amount' ? amount : entryOf(column, ofUnits(column, text, units[index] ?? '', unit), measure);
    const read = reckoned(typed, SIZES.includes(cell));
    const problem = FORMULA.test(text)
      ? 'A formula of another program; its value is wanted here.'
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

/** 120 in a column of amounts beside lf is 120 lf. */
function withUnit(amount: string, unit: string): string {
  const isBare = /^[\d.,]+$/.test(amount);
  const word = WRITTEN[unit.toLowerCase().replace(/\./g, '').trim()] ?? unit.replace(/\.$/, '');
  const isOfUnit = UNITS.some(([measure, words]) => measure !== 'each' && words.test(unit));
  return isBare && isOfUnit && !/^(run|area|volume|mass|hours|board measure|run of length)$/i.test(unit)
    ? `${amount} ${word}`
    : amount;
}

const OF_DIMENSION: ReadonlyMap<Dimension, Measure> = new Map([
  [LENGTH, 'run'],
  [AREA, 'area'],
  [VOLUME, 'volume'],
  [MASS, 'mass'],
  [TIME, 'hours'],
]);

function measureOf(
  unit: string,
  measured: Dimension | undefined,
  columns: readonly BlockColumn[],
  textOf: (column: BlockColumn) => string,
): Measure {
  const said = UNITS.find(([, words]) => words.test(unit))?.[0];
  if (said !== undefined) return said;
  const given = measured === undefined ? undefined : OF_DIMENSION.get(measured);
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

/** The unit that stands behind the words over a column: "length (ft)", "width, mm". */
function unitOfHead(head: string): string {
  const said =
    /\((?<unit>[^()]+)\)\s*$/.exec(head)?.groups?.['unit'] ?? /,\s*(?<unit>\S+)\s*$/.exec(head)?.groups?.['unit'];
  const word = said?.trim().replace(/\.$/, '') ?? '';
  const dimension = reckonTyped(`1 ${word}`, {}).outcome;
  return dimension?.kind === 'quantity' && dimension.quantity.dimension === LENGTH ? word : '';
}

/** A bare size is in the unit over its column; a pack, what is left out and what one comes to are in the row's. */
function ofUnits(column: CellName, text: string, head: string, unit: string): string {
  const isOfRow = column === 'pack' || column === 'less' || column === 'apiece';
  if (isOfRow) return withUnit(text, unit);
  return head !== '' && /^[\d.,]+$/.test(text) ? `${text} ${head}` : text;
}

/** An amount with a unit is what is measured; a bare one is how many. */
function cellOfAmount(measured: Dimension | undefined): CellName {
  if (measured === undefined || measured === PLAIN) return 'count';
  return measured === MASS || measured === TIME ? 'apiece' : 'length';
}

function entryOf(column: CellName, text: string, measure: Measure): string {
  if ((column === 'width' || column === 'length') && measure === 'board') return nominalSection(text) ?? text;
  return text;
}

/** As price units are written elsewhere. */
const SPELLED: Readonly<Record<string, PriceUnit>> = {
  lf: 'ft',
  foot: 'ft',
  feet: 'ft',
  sf: 'ft2',
  'sq ft': 'ft2',
  sy: 'yd2',
  'sq yd': 'yd2',
  cy: 'yd3',
  'cu yd': 'yd3',
  cf: 'ft3',
  'cu ft': 'ft3',
  hr: 'h',
  hrs: 'h',
  lbs: 'lb',
  tons: 'ton',
};

const BY_WORDS: ReadonlyMap<string, PriceUnit> = new Map(
  PRICE_UNIT_IDS.map((id) => [PRICE_UNITS[id].says.replace(/^(a |\/)/, ''), id]),
);

/** What a price is for, by the words for it or the unit beside the amount; undefined where they do not say. */
function perOf(words: string, measure: Measure, style: ReadingStyle): PriceUnit | undefined {
  const units = priceUnitsFor(measure, isMetric(style.length));
  const word = words.toLowerCase().replace(/^(a|per|\/) */, '');
  const written = WRITTEN[word.replace(/\./g, '').trim()] ?? word;
  const own =
    SPELLED[written] ?? BY_WORDS.get(written) ?? (written in PRICE_UNITS ? (written as PriceUnit) : undefined);
  return own !== undefined && units.includes(own) ? own : undefined;
}
const likeliest = (measure: Measure, style: ReadingStyle): PriceUnit =>
  priceUnitsFor(measure, isMetric(style.length))[0] as PriceUnit;
