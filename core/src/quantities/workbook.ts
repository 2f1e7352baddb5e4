import { ZERO } from '../number/rational.ts';
import { addValue, divideValue, multiplyValue, valueToNumber, type Value } from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { ABOUT_MEASURES, PRICE_UNITS, type PriceUnit } from './measure.ts';
import { toCoins } from './coins.ts';
import type { RowCost, WorkedRow } from './row.ts';
import {
  inUnit,
  unitOfSize,
  unitsOfRow,
  type LengthCell,
  type UnitsOfRow,
  type WrittenList,
  type WrittenRow,
  type WrittenUnit,
} from './written-list.ts';

/** A cell of a workbook. Formulas come with what they work out to, for those who only look. */
export type WorkbookCell =
  | { readonly kind: 'text'; readonly text: string; readonly isStrong?: boolean }
  | { readonly kind: 'number'; readonly value: number; readonly format: string; readonly isStrong?: boolean }
  | {
      readonly kind: 'formula';
      /** Without the sign before it. */
      readonly formula: string;
      readonly value: number;
      readonly format: string;
      readonly isStrong?: boolean;
    };

/** A sheet of a workbook: rows of cells, from the first. */
export interface Workbook {
  readonly columns: readonly { readonly title: string; readonly width: number }[];
  readonly rows: readonly (readonly (WorkbookCell | undefined)[])[];
  /** Rows at the top that stay in view: down to the heads of the columns. */
  readonly headRows: number;
}

interface Column {
  readonly id: string;
  readonly title: string;
  /** In signs. */
  readonly width: number;
  /** Only where some row has something for it. */
  readonly isOptional?: boolean;
}

const HEAD_ROWS = 4;
/** Rounding of what floating point leaves behind, before something is rounded up. */
const DUST = 9;
const MANY = '#,##0.###';
const INCHES = '# ??/??';
const PERCENT = '0.0#%';

/** A table with nothing but its heads and its rows: what formulas would work out stands as figures. */
export interface FlatTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/**
 * A take-off as a sheet that lives on elsewhere: what was typed as numbers, in the units that stand over the columns; quantities,
 * costs, subtotals, taxes and totals as formulas of them. A row that is put in between two others counts in its subtotal.
 */
export function workbookOf(list: WrittenList): Workbook {
  return new Writer(list).workbook();
}

/** A take-off as a table for other programs: a row a row, its section beside it. Money is to the coin, all else to a millionth. */
export function flatTableOf(list: WrittenList): FlatTable {
  return new Writer(list).flatTable();
}

class Writer {
  readonly #list: WrittenList;
  readonly #columns: readonly Column[];
  readonly #letters: ReadonlyMap<string, string>;
  readonly #money: string;
  readonly #taxNames: readonly string[];
  readonly #rows: (readonly (WorkbookCell | undefined)[])[] = [];

  constructor(list: WrittenList) {
    this.#list = list;
    this.#money = `"${list.style.currency.replaceAll('"', '')}"#,##0.00`;
    this.#taxNames = namesOfTaxes(list.taxes);
    const rows = list.sections.flatMap((section) => section.rows);
    const has = (test: (row: WrittenRow) => unknown): boolean => rows.some((row) => test(row) !== undefined);
    const used: Readonly<Record<string, boolean>> = {
      ...Object.fromEntries(LENGTH_CELLS.map((cell) => [cell, rows.some((row) => hasSize(row, cell))])),
      apiece: rows.some(({ worked }) => worked.piece !== undefined && !hasLengths(worked)),
      less: has(({ worked }) => worked.cells.less),
      pack: has(({ worked }) => worked.packs),
      packs: has(({ worked }) => worked.packs),
      over: has(({ worked }) => worked.leftOver),
      other: has(({ worked }) => worked.other),
      otherCost: has(({ worked }) => worked.other),
      out: rows.some(({ worked }) => worked.row.isLeftOut && worked.price !== undefined),
      tax: list.taxes.length > 0,
      supplier: rows.some(({ supplier }) => supplier !== ''),
      note: rows.some(({ note }) => note !== ''),
    };
    const unitOver = (cell: 'length' | 'width') => unitOfSize(cell, list.style).name;
    const all: readonly Column[] = [
      { id: 'item', title: 'item', width: 34 },
      { id: 'count', title: 'count', width: 9 },
      { id: 'length', title: `length (${unitOver('length')})`, width: 12, isOptional: true },
      { id: 'width', title: `width (${unitOver('width')})`, width: 12, isOptional: true },
      { id: 'depth', title: `depth (${unitOver('width')})`, width: 12, isOptional: true },
      { id: 'apiece', title: 'of one', width: 10, isOptional: true },
      { id: 'less', title: 'less', width: 10, isOptional: true },
      { id: 'waste', title: 'waste', width: 8 },
      { id: 'quantity', title: 'built in', width: 11 },
      { id: 'unit', title: 'unit', width: 8 },
      { id: 'gross', title: 'with waste', width: 11 },
      { id: 'pack', title: 'pack', width: 9, isOptional: true },
      { id: 'packs', title: 'packs', width: 8, isOptional: true },
      { id: 'ordered', title: 'to order', width: 11 },
      { id: 'over', title: 'left over', width: 10, isOptional: true },
      { id: 'price', title: 'price', width: 11 },
      { id: 'per', title: 'for', width: 10 },
      { id: 'net', title: 'cost of what is built in', width: 14 },
      { id: 'cost', title: 'cost', width: 13 },
      { id: 'out', title: 'cost if it were not left out', width: 13, isOptional: true },
      { id: 'other', title: 'second price', width: 11, isOptional: true },
      { id: 'otherCost', title: 'second cost', width: 13, isOptional: true },
      { id: 'tax', title: 'tax', width: 14, isOptional: true },
      { id: 'supplier', title: 'supplier', width: 20, isOptional: true },
      { id: 'note', title: 'note', width: 34, isOptional: true },
    ];
    this.#columns = all.filter(({ id, isOptional }) => isOptional !== true || used[id] === true);
    this.#letters = new Map(this.#columns.map(({ id }, at) => [id, letterOf(at)]));
  }

  workbook(): Workbook {
    const { title, subtitle, sections } = this.#list;
    this.#put({ item: strong(title) });
    this.#put({ item: text(subtitle) });
    this.#put({});
    this.#put(Object.fromEntries(this.#columns.map((column) => [column.id, strong(column.title)])));
    const subtotals: number[] = [];
    for (const section of sections) {
      if (section.rows.length === 0) continue;
      const from = this.#next;
      this.#put({ item: strong(section.name === '' ? 'In no section' : section.name) });
      for (const row of section.rows) this.#putRow(row);
      this.#put({});
      subtotals.push(this.#putSubtotal(section, from));
    }
    this.#put({});
    this.#putTotals(subtotals);
    return {
      columns: this.#columns.map(({ title: words, width }) => ({ title: words, width })),
      rows: this.#rows,
      headRows: HEAD_ROWS,
    };
  }

  flatTable(): FlatTable {
    const sections: string[] = [];
    for (const section of this.#list.sections)
      for (const row of section.rows) {
        sections.push(section.name);
        this.#putRow(row);
      }
    const rows = this.#rows.map((cells, n) => [sections[n] ?? '', ...cells.map(plainly)]);
    return { head: ['section', ...this.#columns.map(({ title }) => title)], rows };
  }

  /** The number of the row that is written next, from 1. */
  get #next(): number {
    return this.#rows.length + 1;
  }
  #put(cells: Readonly<Partial<Record<string, WorkbookCell | undefined>>>): void {
    this.#rows.push(this.#columns.map(({ id }) => cells[id]));
  }
  /** The address of a cell: T12. */
  #at(id: string, row: number): string {
    return `${this.#letters.get(id) ?? ''}${row}`;
  }

  #putRow({ worked, item, supplier, note }: WrittenRow): void {
    const { style, taxes } = this.#list;
    const { row, cells, quantity, gross, packs, ordered, leftOver } = worked;
    const units = unitsOfRow(worked, style);
    const here = this.#next;
    const at = (id: string) => this.#at(id, here);
    const words = {
      item: text(item),
      per: text(PRICE_UNITS[units.price].says.replace('/', 'a ')),
      tax: text(
        this.#taxNames[
          Math.max(
            0,
            taxes.findIndex(({ id }) => id === row.tax),
          )
        ] ?? '',
      ),
      supplier: text(supplier),
      note: text(note),
    };
    if (quantity === undefined || gross === undefined || ordered === undefined) {
      // What cannot be worked out is written as it was typed, and costs nothing.
      const typed = Object.fromEntries(
        Object.entries(row.cells).flatMap(([cell, source]) => (source === '' ? [] : [[cell, text(source)]])),
      );
      this.#put({ ...typed, ...words, quantity: text('not worked out') });
      return;
    }
    const amount = (one: Quantity): number => valueToNumber(inUnit(one, units.quantity));
    const wasted = `${at('count')}*(1+${at('waste')})`;
    const pieces = `CEILING(ROUND(${wasted},${DUST}),1)`;
    this.#put({
      ...words,
      count: number(valueToNumber(worked.count), MANY),
      ...this.#sizes(worked, units.quantity),
      less: cells.less && number(amount(cells.less), MANY),
      waste: worked.waste && number(valueToNumber(worked.waste.value), PERCENT),
      quantity: formula(this.#product(worked, units.quantity, here), amount(quantity), MANY),
      unit: text(units.quantity.name),
      gross: formula(`${at('quantity')}*(1+${at('waste')})`, amount(gross), MANY),
      pack: cells.pack && packs && number(amount(cells.pack), MANY),
      packs: packs && formula(this.#packs(worked, units.quantity, here, pieces), valueToNumber(packs), MANY),
      ordered: formula(
        packs !== undefined
          ? `${at('packs')}*${at('pack')}`
          : row.measure === 'each'
            ? `CEILING(ROUND(${at('gross')},${DUST}),1)`
            : at('gross'),
        amount(ordered),
        MANY,
      ),
      over: leftOver && formula(`${at('ordered')}-${at('gross')}`, amount(leftOver), MANY),
      ...this.#costs(worked, units, here, pieces),
    });
  }

  /** Sizes in the units of their columns. What is no length (an area, a mass, a time) is what one comes to, in the row's unit. */
  #sizes(worked: WorkedRow, unit: WrittenUnit): Record<string, WorkbookCell | undefined> {
    const { piece } = worked;
    if (piece === undefined) return {};
    if (!hasLengths(worked)) return { apiece: number(valueToNumber(inUnit(piece, unit)), MANY) };
    const { style } = this.#list;
    return Object.fromEntries(
      lengthsOf(worked).map(([cell, size]) => {
        const own = unitOfSize(cell, style);
        return [cell, number(valueToNumber(inUnit(size, own)), own.name === 'in' ? INCHES : MANY)];
      }),
    );
  }

  /** Count × sizes − what is left out, in the unit of the row. */
  #product(worked: WorkedRow, unit: WrittenUnit, here: number): string {
    const product = [this.#at('count', here), ...this.#one(worked, unit, here)].join('*');
    return worked.cells.less === undefined ? product : `${product}-${this.#at('less', here)}`;
  }
  /** The factors of what one piece comes to, in the unit of the row. */
  #one(worked: WorkedRow, unit: WrittenUnit, here: number): readonly string[] {
    if (worked.piece === undefined) return [];
    if (!hasLengths(worked)) return [this.#at('apiece', here)];
    const lengths = lengthsOf(worked);
    const factor = lengths.reduce<Value>(
      (all, [cell]) => multiplyValue(all, unitOfSize(cell, this.#list.style).amount.value),
      ONE,
    );
    const sizes = lengths.map(([cell]) => this.#at(cell, here)).join('*');
    return [sizes + times(divideValue(factor, unit.amount.value))];
  }

  #packs(worked: WorkedRow, unit: WrittenUnit, here: number, pieces: string): string {
    const { row, piece } = worked;
    const [pack, gross] = [this.#at('pack', here), this.#at('gross', here)];
    if (!row.isCutWhole || row.measure !== 'run' || piece === undefined)
      return `CEILING(ROUND(${gross}/${pack},${DUST}),1)`;
    // Pieces are cut whole from each.
    const fromOne = `FLOOR(ROUND(${pack}/(${this.#one(worked, unit, here).join('*')}),${DUST}),1)`;
    return `CEILING(ROUND(${pieces}/${fromOne},${DUST}),1)`;
  }

  #costs(worked: WorkedRow, units: UnitsOfRow, here: number, pieces: string): Record<string, WorkbookCell | undefined> {
    const { row, price, other } = worked;
    const at = (id: string) => this.#at(id, here);
    /** How much of what a price is for: of what is built in, and of what is bought. */
    const amounts = (unit: PriceUnit): readonly [built: string, bought: string] => {
      const about = PRICE_UNITS[unit];
      if (about.of === 'packs') return [`${at('quantity')}/${at('pack')}`, at('packs')];
      const isPieces = about.of === 'pieces';
      const factor = times(divideValue(isPieces ? ONE : units.quantity.amount.value, about.amount.value));
      return isPieces ? [at('count') + factor, pieces + factor] : [at('quantity') + factor, at('ordered') + factor];
    };
    const rate = (cost: RowCost, unit: PriceUnit) => {
      const isOfRow = unit === units.price;
      const says = isOfRow ? '' : `" ${PRICE_UNITS[unit].says}"`;
      return number(valueToNumber(multiplyValue(cost.rate, PRICE_UNITS[unit].amount.value)), `${this.#money}##${says}`);
    };
    const cost = (id: 'price' | 'other', amount: string, value: Value) =>
      formula(this.#toCoins(`${amount}*${at(id)}`), valueToNumber(value), this.#money);
    const isOut = row.isLeftOut;
    const cells: Record<string, WorkbookCell | undefined> = {};
    if (price !== undefined) {
      const [built, bought] = amounts(units.price);
      const counted = this.#counted(price);
      cells['price'] = rate(price, units.price);
      if (!isOut) cells['net'] = cost('price', built, counted.net);
      cells[isOut ? 'out' : 'cost'] = cost('price', bought, counted.cost);
    }
    if (other !== undefined) {
      cells['other'] = rate(other, units.other);
      if (!isOut) cells['otherCost'] = cost('other', amounts(units.other)[1], this.#counted(other).cost);
    }
    return cells;
  }
  #counted(cost: RowCost): { readonly net: Value; readonly cost: Value } {
    return this.#list.roundedAt === 'row' ? cost.billed : cost;
  }
  /** Money is rounded in the rows, or in the totals. */
  #toCoins(sum: string): string {
    return this.#list.roundedAt === 'row' ? `ROUND(${sum},2)` : sum;
  }

  /** @returns the row of the subtotal */
  #putSubtotal({ id, name, rows }: WrittenList['sections'][number], from: number): number {
    const here = this.#next;
    const sums = this.#list.totals.sections.get(id);
    const sum = (column: string, value: number) =>
      formula(`SUM(${this.#at(column, from)}:${this.#at(column, here - 1)})`, value, this.#money, true);
    this.#put({
      item: strong(name === '' ? 'Subtotal' : `Subtotal ${name}`),
      net: sum('net', sums ? valueToNumber(sums.net) : 0),
      cost: sum('cost', sums ? valueToNumber(sums.cost) : 0),
      out: sum('out', valueToNumber(this.#sumOf(rows, 'price', true))),
      otherCost: sum('otherCost', valueToNumber(this.#sumOf(rows, 'other', false))),
    });
    return here;
  }
  #sumOf(rows: readonly WrittenRow[], price: 'price' | 'other', isLeftOut: boolean): Value {
    return rows.reduce<Value>((sum, { worked }) => {
      const cost = worked.row.isLeftOut === isLeftOut ? worked[price] : undefined;
      return cost === undefined ? sum : addValue(sum, this.#counted(cost).cost);
    }, ZERO);
  }

  /** The figures at the end, each rounded once: of the rows as they are rounded, or of the exact sums. */
  #putTotals(subtotals: readonly number[]): void {
    const { totals, taxes, sections } = this.#list;
    const { all, leftOut } = totals;
    const end = this.#next - 1;
    const sum = (column: string): string =>
      subtotals.length === 0 ? '0' : subtotals.map((row) => this.#at(column, row)).join('+');
    const money = (words: string, value: number) => formula(`ROUND(${words},2)`, value, this.#money, true);
    const taxOf = (row: number): string => {
      const range = (column: string) => `${this.#at(column, HEAD_ROWS + 1)}:${this.#at(column, end)}`;
      return `SUMIF(${range('tax')},${this.#at('item', row)},${range('cost')})*${this.#at('net', row)}`;
    };
    this.#put({ item: strong('Built in'), cost: money(sum('net'), coins(all.net)) });
    this.#put({
      item: strong('Waste and whole packs'),
      cost: money(`${sum('cost')}-(${sum('net')})`, coins(all.waste)),
    });
    const others = this.#sumOf(
      sections.flatMap(({ rows }) => rows),
      'other',
      false,
    );
    this.#put({
      item: strong('To buy'),
      cost: money(sum('cost'), coins(all.cost)),
      otherCost: money(sum('otherCost'), coins(others)),
    });
    const parts = [sum('cost')];
    for (const [n, { id, rate }] of taxes.entries()) {
      const tax = taxOf(this.#next);
      parts.push(this.#list.roundedAt === 'row' ? `ROUND(${tax},2)` : tax);
      const value = all.taxes.get(id)?.tax;
      this.#put({
        item: strong(this.#taxNames[n] ?? ''),
        net: number(valueToNumber(rate), PERCENT),
        cost: money(tax, value ? coins(value) : 0),
      });
    }
    this.#put({ item: strong('All together'), cost: money(parts.join('+'), coins(all.grand)) });
    if (this.#letters.has('out')) this.#put({ item: strong('Left out'), cost: money(sum('out'), coins(leftOut.cost)) });
  }
}

const ONE = PRICE_UNITS.each.amount.value;
const coins = (value: Value): number => valueToNumber(toCoins(value));

const text = (words: string): WorkbookCell | undefined => (words === '' ? undefined : { kind: 'text', text: words });
const strong = (words: string): WorkbookCell => ({ kind: 'text', text: words, isStrong: true });
const number = (value: number, format: string): WorkbookCell => ({ kind: 'number', value, format });
const formula = (words: string, value: number, format: string, isStrong = false): WorkbookCell => ({
  kind: 'formula',
  formula: words,
  value,
  format,
  isStrong,
});

/** As far as a figure is of use outside. */
const MILLIONTH = 6;
function plainly(cell: WorkbookCell | undefined): string | number {
  if (cell === undefined) return '';
  return cell.kind === 'text' ? cell.text : Number(cell.value.toFixed(MILLIONTH));
}

const LENGTH_CELLS: readonly LengthCell[] = ['length', 'width', 'depth'];
/** Whether a size of a row stands in its column: as a number, or as it was typed where nothing comes of it. */
function hasSize({ worked }: WrittenRow, cell: LengthCell): boolean {
  return worked.quantity === undefined
    ? worked.row.cells[cell] !== ''
    : worked.cells[cell] !== undefined && hasLengths(worked);
}

/** The lengths that one piece of a row is the product of, as they stand. */
const lengthsOf = ({ row, cells }: WorkedRow): readonly (readonly [LengthCell, Quantity])[] =>
  ABOUT_MEASURES[row.measure].sizes.flatMap((cell) => {
    const size = cells[cell];
    return size === undefined || cell === 'apiece' ? [] : [[cell, size] as const];
  });
/** Whether it is the product of nothing else. */
const hasLengths = (worked: WorkedRow): boolean => {
  const lengths = lengthsOf(worked);
  return lengths.length > 0 && lengths.every(([, size]) => size.dimension === LENGTH);
};

/** A factor as a formula goes on: nothing for 1, "/12" for a twelfth. */
function times(factor: Value): string {
  if (factor.kind !== 'rational') return `*${valueToNumber(factor)}`;
  const { num, den } = factor;
  return `${String(num) === '1' ? '' : `*${num}`}${String(den) === '1' ? '' : `/${den}`}`;
}

/** A, B, … Z: no list has more columns. */
const letterOf = (at: number): string => String.fromCharCode('A'.charCodeAt(0) + at);

/** Names of taxes as a sheet can look them up: each once, and with no sign that means something in a search. */
function namesOfTaxes(taxes: WrittenList['taxes']): readonly string[] {
  const names: string[] = [];
  for (const { name } of taxes) {
    const plain = name.replace(/[*?~<>=]/g, ' ').trim();
    const isTaken = plain === '' || names.includes(plain);
    names.push(isTaken ? `${plain} (${names.length + 1})`.trim() : plain);
  }
  return names;
}
