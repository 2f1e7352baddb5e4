import { divideValue, multiplyValue, type Value } from '../number/value.ts';
import { isMetric, type ReadingStyle } from '../reading/style.ts';
import type { Quantity } from '../units/quantity.ts';
import type { UnitId } from '../units/unit-table.ts';
import { priceUnitsFor, PRICE_UNITS, unitToPower, type PriceUnit, type SizeCell } from './measure.ts';
import type { RowCost, WorkedRow } from './row.ts';
import type { RoundedAt, TakeOffTotals } from './totals.ts';

/** A row with the words that stand in it. */
export interface WrittenRow {
  readonly worked: WorkedRow;
  readonly item: string;
  readonly supplier: string;
  readonly note: string;
}

/** A take-off as it is written out: to a file, or on paper. */
export interface WrittenList {
  /** Of the job. */
  readonly title: string;
  /** Under the title: the version of the list, the day. */
  readonly subtitle: string;
  /** In their order; the rows of none have no name. */
  readonly sections: readonly {
    readonly id: string | undefined;
    readonly name: string;
    readonly rows: readonly WrittenRow[];
  }[];
  /** The first is the one of rows that say none. */
  readonly taxes: readonly { readonly id: string; readonly name: string; readonly rate: Value }[];
  readonly totals: TakeOffTotals;
  readonly roundedAt: RoundedAt;
  readonly style: ReadingStyle;
}

/** A unit as a sheet of figures names it. */
export interface WrittenUnit {
  readonly name: string;
  /** One of it. */
  readonly amount: Quantity;
}

/** A cell that holds a length, unless an area or a volume stands in its place. */
export type LengthCell = Exclude<SizeCell, 'apiece'>;

const unit = (id: UnitId): WrittenUnit => ({ name: id, amount: unitToPower(id, 1) });
const [FEET, INCHES, METRES, MILLIMETRES] = [unit('ft'), unit('in'), unit('m'), unit('mm')];

/** The unit of the sizes in a column: lengths are in feet or metres, widths and depths in inches or millimetres. */
export function unitOfSize(cell: LengthCell, { length }: ReadingStyle): WrittenUnit {
  if (isMetric(length)) return cell === 'length' ? METRES : MILLIMETRES;
  return cell === 'length' ? FEET : INCHES;
}

const named = (id: PriceUnit): WrittenUnit => ({
  name: PRICE_UNITS[id].says.replace(/^\//, ''),
  amount: PRICE_UNITS[id].amount,
});

/** The units of a row's quantity, and what its prices are for. */
export interface UnitsOfRow {
  readonly quantity: WrittenUnit;
  readonly price: PriceUnit;
  readonly other: PriceUnit;
}

/**
 * A quantity is written in the unit that it is priced by, or else in the usual one of its measure. Where a price says its own
 * unit, it is the first usual one in which the price comes out in whole coins or hundredths of them.
 */
export function unitsOfRow({ row, price, other }: WorkedRow, { length }: ReadingStyle): UnitsOfRow {
  const usual = priceUnitsFor(row.measure, isMetric(length)).filter((id) => PRICE_UNITS[id].of === 'quantity');
  const unitOf = (cost: RowCost | undefined): PriceUnit => {
    if (cost === undefined || cost.per !== 'own') return row.per;
    const fits = usual.find((id) => isInCoins(multiplyValue(cost.rate, PRICE_UNITS[id].amount.value)));
    return fits ?? usual[0] ?? row.per;
  };
  const units = { price: unitOf(price), other: unitOf(other) };
  if (row.measure === 'each') return { ...units, quantity: named('each') };
  // What is bought by the thousand is counted by the board foot still.
  if (units.price === 'mbf') return { ...units, quantity: named('bf') };
  const isPriced = PRICE_UNITS[units.price].of === 'quantity';
  return { ...units, quantity: named(isPriced ? units.price : (usual[0] as PriceUnit)) };
}

const isInCoins = (value: Value): boolean => value.kind === 'rational' && 10_000 % Number(value.den) === 0;

/** So much in a unit. */
export const inUnit = ({ value }: Quantity, { amount }: WrittenUnit): Value => divideValue(value, amount.value);
