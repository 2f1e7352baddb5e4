import { makeIssue, type Issue } from '../base/issue.ts';
import type { Evaluated } from '../evaluate/evaluate.ts';
import type { Entry } from '../notation/ast.ts';
import { makeRational } from '../number/rational.ts';
import {
  addValue,
  divideValue,
  multiplyValue,
  roundValue,
  signOfValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE, type ReadingForm, type ReadingStyle } from '../reading/style.ts';
import { kindOf, LENGTH, MONEY, PLAIN, VOLUME, type Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import {
  ABOUT_MEASURES,
  CELLS,
  countsIn,
  MEASURES,
  PRICE_UNITS,
  type AboutMeasure,
  type CellName,
  type Measure,
  type PriceUnit,
} from './measure.ts';
import { coinsOf, toCoins } from './coins.ts';
import { rateOf, type Rate } from './rate.ts';

/** A row of a take-off: what is bought, and what it is measured by. */
export interface TakeOffRow {
  readonly id: string;
  /** What entries call its quantity; undefined for a row that none can name. */
  readonly name: string | undefined;
  readonly measure: Measure;
  /** What was typed, by cell; empty for nothing. */
  readonly cells: Readonly<Record<CellName, string>>;
  /** What the prices are for, where they do not say so themselves. */
  readonly per: PriceUnit;
  /** Pieces are cut whole from a stock length: what is left of each is too short for another. */
  readonly isCutWhole: boolean;
  readonly section: string | undefined;
  /** The tax that it has; undefined for the first of the list. */
  readonly tax: string | undefined;
  readonly isLeftOut: boolean;
  /** The versions of the list that it belongs to; empty for all of them. */
  readonly versions: readonly string[];
}

/** What a row costs at one of its prices. Money, exact until it is rounded once. */
export interface RowCost {
  /** For one of what is priced. */
  readonly rate: Value;
  /** How much of it is bought: pieces, packs, or the quantity in SI units. */
  readonly amount: Value;
  /** What it is for: `own` where the price says so itself (4.20 $/ft). */
  readonly per: PriceUnit | 'own';
  /** Of what is built in, without waste and what is left of packs. */
  readonly net: Value;
  /** Of what is bought. */
  readonly cost: Value;
  /** Both to the coin, as on a bill. */
  readonly billed: { readonly net: Value; readonly cost: Value };
  /** The same as numbers of coins; not a number where they are no safe ones. */
  readonly coins: { readonly net: number; readonly cost: number };
}

/** A row worked out. What cannot be is missing, with an issue that says why. */
export interface WorkedRow {
  readonly row: TakeOffRow;
  /** What each cell comes to. */
  readonly cells: Readonly<Partial<Record<CellName, Quantity>>>;
  /** The first thing in the way, by cell. */
  readonly issues: Readonly<Partial<Record<CellName, Issue>>>;
  readonly count: Value;
  /** What one piece measures; undefined where pieces are counted. */
  readonly piece: Quantity | undefined;
  /** What is built in. */
  readonly quantity: Quantity | undefined;
  readonly waste: Rate | undefined;
  /** With waste. */
  readonly gross: Quantity | undefined;
  /** Whole packs, sheets or stock lengths; undefined where it is not sold in such. */
  readonly packs: Value | undefined;
  /** The unit that a pack was typed in, where the quantities of the row can read in it: gallons of paint. */
  readonly packForm: ReadingForm | undefined;
  /** What is bought: whole packs of it, or as much as is needed. */
  readonly ordered: Quantity | undefined;
  /** What of that is too much. */
  readonly leftOver: Quantity | undefined;
  readonly price: RowCost | undefined;
  readonly other: RowCost | undefined;
}

/** A cell that was read. */
export interface ReadCell {
  readonly entry: Entry | undefined;
  /** Why it could not be read. */
  readonly issue: Issue | undefined;
}

/** The cells of a row that count and have something in them. */
export type ReadCells<Cell extends ReadCell = ReadCell> = Readonly<Partial<Record<CellName, Cell>>>;

/** The cells that count, by measure. */
export const COUNTING = Object.fromEntries(
  MEASURES.map((measure) => [measure, CELLS.filter((cell) => countsIn(measure, cell))]),
) as unknown as Readonly<Record<Measure, readonly CellName[]>>;

/** Of most rows nothing is wrong. */
const NONE: Readonly<Partial<Record<CellName, never>>> = {};
const ONE = makeRational(1);
const NOWHERE = { start: 0, end: 0 };

/** What a size is called in a sentence. */
const CALLED: Readonly<Record<CellName, string>> = {
  count: 'count',
  length: 'length',
  width: 'width',
  depth: 'depth',
  apiece: 'amount of one',
  less: 'amount to leave out',
  waste: 'waste',
  pack: 'pack',
  price: 'price',
  other: 'second price',
};
const APIECE: Readonly<Partial<Record<Measure, string>>> = { mass: 'mass of one', hours: 'time for one' };
export const cellName = (cell: CellName, measure: Measure): string =>
  cell === 'apiece' ? (APIECE[measure] ?? CALLED.apiece) : CALLED[cell];

const whole = (source: string) => ({ start: 0, end: source.length });

/**
 * Works a row out: count × sizes − what is left out is what is built in; with waste, in whole packs, what is bought; times the
 * price what it costs. Exact throughout.
 * @param read its cells
 * @param resultOf what one of them comes to; undefined where it could not be read
 */
export function workRow<Cell extends ReadCell>(
  row: TakeOffRow,
  read: ReadCells<Cell>,
  resultOf: (cell: Cell) => Evaluated | undefined,
  style: ReadingStyle = DEFAULT_STYLE,
): WorkedRow {
  const work = new RowInWork(row, read, style);
  work.readCells(resultOf);
  const { cells } = work;
  const piece = work.piece();
  const quantity = work.net(piece);
  const waste = work.waste();
  const bought = quantity && work.bought(quantity, piece, waste);
  const price = cells.price && work.cost('price', cells.price, quantity, bought);
  const other = cells.other && work.cost('other', cells.other, quantity, bought);
  return {
    row,
    cells,
    issues: work.issues,
    count: work.count,
    piece,
    quantity,
    waste,
    gross: bought?.gross,
    packs: bought?.packs,
    packForm: work.packForm(),
    ordered: bought?.ordered,
    leftOver: bought?.leftOver,
    price,
    other,
  };
}

interface Bought {
  readonly gross: Quantity;
  /** Undefined where there are no packs, or where they cannot be counted. */
  readonly packs: Value | undefined;
  readonly pieces: Value;
  readonly ordered: Quantity | undefined;
  readonly leftOver: Quantity | undefined;
}

/** A row while it is worked out: what its cells come to, and what was found against it. */
class RowInWork<Cell extends ReadCell> {
  readonly cells: Partial<Record<CellName, Quantity>> = {};
  issues: Partial<Record<CellName, Issue>> = NONE;
  readonly #row: TakeOffRow;
  readonly #read: ReadCells<Cell>;
  readonly #style: ReadingStyle;
  readonly #about: AboutMeasure;

  constructor(row: TakeOffRow, read: ReadCells<Cell>, style: ReadingStyle) {
    this.#row = row;
    this.#read = read;
    this.#style = style;
    this.#about = ABOUT_MEASURES[row.measure];
  }

  readCells(resultOf: (cell: Cell) => Evaluated | undefined): void {
    for (const cell of COUNTING[this.#row.measure]) {
      const read = this.#read[cell];
      if (read === undefined) continue;
      const result = resultOf(read);
      if (result?.ok === true && result.value.kind === 'quantity') this.cells[cell] = result.value.quantity;
      else this.#refuse(cell, this.#whyNot(cell, read, result));
    }
  }

  #whyNot(cell: CellName, { issue }: Cell, result: Evaluated | undefined): Issue {
    const span = whole(this.#row.cells[cell]);
    if (result === undefined) return issue ?? makeIssue('entry.empty', span, {});
    return result.ok ? makeIssue('kind.answer', span, {}) : result.issue;
  }

  #isEmpty(cell: CellName): boolean {
    return this.#read[cell] === undefined;
  }
  #called(cell: CellName): string {
    return cellName(cell, this.#row.measure);
  }
  /** The first thing in the way of a cell stands. */
  #refuse(cell: CellName, issue: Issue): void {
    if (this.issues === NONE) this.issues = {};
    this.issues[cell] ??= issue;
  }
  #refuseNothing(cell: CellName): void {
    this.#refuse(cell, makeIssue('row.nothing', whole(this.#row.cells[cell]), { cell: this.#called(cell) }));
  }
  #refuseMissing(cell: CellName, measure: string): void {
    this.#refuse(cell, makeIssue('row.missing', NOWHERE, { cell: this.#called(cell), measure }));
  }
  #refuseKind(cell: CellName, { dimension }: Quantity, wanted: string): void {
    const fields = { cell: this.#called(cell), kind: kindOf(dimension), wanted };
    this.#refuse(cell, makeIssue('row.kind', whole(this.#row.cells[cell]), fields));
  }

  /** What a cell comes to, where that is of this kind. */
  #of(cell: CellName, dimension: Dimension): Quantity | undefined {
    const quantity = this.cells[cell];
    if (quantity === undefined || quantity.dimension === dimension) return quantity;
    this.#refuseKind(cell, quantity, kindOf(dimension));
    return undefined;
  }

  /** One, where nothing is typed. */
  get count(): Value {
    return this.#of('count', PLAIN)?.value ?? ONE;
  }

  /** What one piece measures: the product of the sizes that are given. */
  piece(): Quantity | undefined {
    const { sizes, dimension: wanted } = this.#about;
    if (sizes.length === 0) return undefined;
    let made: Quantity | undefined;
    for (const cell of sizes) {
      const size = this.cells[cell];
      if (size === undefined && !this.#isEmpty(cell)) return undefined;
      if (size !== undefined)
        made =
          made === undefined
            ? size
            : { value: multiplyValue(made.value, size.value), dimension: made.dimension + size.dimension };
    }
    made ??= { value: ONE, dimension: PLAIN };
    if (made.dimension === wanted && signOfValue(made.value) > 0) return made;
    this.#refuseSizes(made);
    return undefined;
  }

  #refuseSizes(made: Quantity): void {
    const { sizes, dimension: wanted, title } = this.#about;
    const isOfLengths = wanted >= LENGTH && wanted <= VOLUME;
    const last = [...sizes].reverse().find((cell) => this.cells[cell] !== undefined) ?? 'length';
    const misfit = sizes.find((cell) => {
      const dimension = this.cells[cell]?.dimension ?? wanted;
      return isOfLengths ? dimension < LENGTH || dimension > wanted : dimension !== wanted;
    });
    const empty = sizes.find((cell) => this.#isEmpty(cell));
    if (made.dimension === wanted) this.#refuseNothing(last);
    else if (misfit !== undefined)
      this.#refuseKind(misfit, this.cells[misfit] as Quantity, kindOf(isOfLengths ? LENGTH : wanted));
    else if (empty !== undefined && made.dimension < wanted) this.#refuseMissing(empty, title);
    else {
      const fields = { made: kindOf(made.dimension), measure: title };
      this.#refuse(last, makeIssue('row.sizes', whole(this.#row.cells[last]), fields));
    }
  }

  /** What is built in. */
  net(piece: Quantity | undefined): Quantity | undefined {
    const { sizes, dimension, takesLess } = this.#about;
    if (sizes.length === 0 && this.#isEmpty('count')) this.#refuseMissing('count', 'number');
    const less = takesLess ? this.#of('less', dimension) : undefined;
    const { count } = this;
    const isIncomplete =
      (sizes.length > 0 && piece === undefined) || this.issues.count !== undefined || this.issues.less !== undefined;
    if (isIncomplete) return undefined;
    const all = piece === undefined ? count : multiplyValue(count, piece.value);
    const value = less === undefined ? all : subtractValue(all, less.value);
    if (signOfValue(value) > 0) return { value, dimension };
    this.#refuseNothing(less === undefined ? 'count' : 'less');
    return undefined;
  }

  waste(): Rate | undefined {
    const amount = this.cells.waste;
    if (amount === undefined) return undefined;
    const entry = this.#read.waste?.entry;
    const rate = entry && rateOf(entry, amount);
    if (rate === undefined) this.#refuse('waste', makeIssue('row.rate', whole(this.#row.cells.waste), {}));
    return rate;
  }

  /** Undefined where what is typed for the waste is no rate. */
  bought(net: Quantity, piece: Quantity | undefined, waste: Rate | undefined): Bought | undefined {
    if (this.issues.waste !== undefined) return undefined;
    const more = waste === undefined ? ONE : addValue(ONE, waste.value);
    const gross = { ...net, value: multiplyValue(net.value, more) };
    const pieces = up(multiplyValue(this.count, more));
    // What is counted is bought whole.
    const ordered = piece === undefined ? { ...net, value: pieces } : gross;
    if (this.#isEmpty('pack')) return { gross, pieces, packs: undefined, ordered, leftOver: leftOver(ordered, gross) };
    const pack = this.#of('pack', net.dimension);
    const packs = pack && this.#packs(gross, pieces, piece, pack);
    if (packs === undefined) return { gross, pieces, packs, ordered: undefined, leftOver: undefined };
    const inPacks = { ...net, value: multiplyValue(packs, pack?.value ?? ONE) };
    return { gross, pieces, packs, ordered: inPacks, leftOver: leftOver(inPacks, gross) };
  }

  #packs(gross: Quantity, pieces: Value, piece: Quantity | undefined, pack: Quantity): Value | undefined {
    if (signOfValue(pack.value) <= 0) {
      this.#refuseNothing('pack');
      return undefined;
    }
    if (!this.#row.isCutWhole || this.#row.measure !== 'run' || piece === undefined)
      return up(divideValue(gross.value, pack.value));
    const fromOne = makeRational(roundValue(divideValue(pack.value, piece.value), 'down').whole);
    if (signOfValue(fromOne) > 0) return up(divideValue(pieces, fromOne));
    const [length, stock] = [piece, pack].map((one) => readQuantity(one, this.#style).text) as [string, string];
    this.#refuse('pack', makeIssue('row.longer', whole(this.#row.cells.pack), { length, pack: stock }));
    return undefined;
  }

  /** Lengths and pieces read as they do everywhere. */
  packForm(): ReadingForm | undefined {
    const dimension = this.cells.pack?.dimension ?? PLAIN;
    if (dimension === PLAIN || dimension === LENGTH || dimension !== this.#about.dimension) return undefined;
    const expr = this.#read.pack?.entry?.expr;
    const units =
      expr?.kind === 'scaled'
        ? expr.units
        : expr?.kind === 'measure' && expr.parts.length === 1
          ? expr.parts.map(({ unit }) => ({ unit, power: 1 }))
          : [];
    return units.length === 0 ? undefined : { units: units.map(({ unit, power }) => ({ unit: unit.id, power })) };
  }

  cost(
    cell: 'price' | 'other',
    price: Quantity,
    net: Quantity | undefined,
    bought: Bought | undefined,
  ): RowCost | undefined {
    const { per } = this.#row;
    const { dimension, title } = this.#about;
    // A bare number is money.
    const isMoney = price.dimension === MONEY || price.dimension === PLAIN;
    const unit = PRICE_UNITS[per];
    const misfit = isMoney
      ? unit.of === 'quantity' && unit.amount.dimension !== dimension && `price ${unit.says.replace('/', 'for a ')}`
      : price.dimension !== MONEY - dimension && kindOf(price.dimension);
    if (misfit !== false)
      this.#refuse(cell, makeIssue('row.price', whole(this.#row.cells[cell]), { kind: misfit, measure: title }));
    else if (isMoney && unit.of === 'packs' && this.#isEmpty('pack'))
      this.#refuse(cell, makeIssue('row.no_pack', whole(this.#row.cells[cell]), {}));
    if (this.issues[cell] !== undefined || net === undefined || bought?.ordered === undefined) return undefined;
    if (!isMoney) return costOf('own', price.value, bought.ordered.value, net.value);
    const rate = divideValue(price.value, unit.amount.value);
    if (unit.of === 'pieces') return costOf(per, rate, bought.pieces, this.count);
    if (unit.of === 'quantity') return costOf(per, rate, bought.ordered.value, net.value);
    const perPack = this.cells.pack?.value ?? ONE;
    return costOf(per, rate, bought.packs ?? ONE, divideValue(net.value, perPack));
  }
}

function costOf(per: RowCost['per'], rate: Value, amount: Value, built: Value): RowCost {
  const [net, cost] = [multiplyValue(rate, built), multiplyValue(rate, amount)];
  const costOnBill = toCoins(cost);
  // Without waste and packs they are the same.
  const netOnBill = amount === built ? costOnBill : toCoins(net);
  const costCoins = coinsOf(costOnBill);
  const coins = { net: netOnBill === costOnBill ? costCoins : coinsOf(netOnBill), cost: costCoins };
  return { per, rate, amount, net, cost, billed: { net: netOnBill, cost: costOnBill }, coins };
}

const up = (value: Value): Value => makeRational(roundValue(value, 'up').whole);

function leftOver(ordered: Quantity, needed: Quantity): Quantity | undefined {
  const value = subtractValue(ordered.value, needed.value);
  return signOfValue(value) > 0 ? { value, dimension: ordered.dimension } : undefined;
}
