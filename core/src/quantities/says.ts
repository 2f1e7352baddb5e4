import { multiplyValue } from '../number/value.ts';
import { makeRational } from '../number/rational.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { Reading } from '../reading/reading.ts';
import { exactText } from '../reading/exact-text.ts';
import { DEFAULT_STYLE, type ReadingForm, type ReadingStyle } from '../reading/style.ts';
import { plainUnitsText } from '../reading/unit-choice.ts';
import { MONEY, PLAIN } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { unitById, type UnitId } from '../units/unit-table.ts';
import { ABOUT_MEASURES, formOfPrice, PRICE_UNITS } from './measure.ts';
import { toCoins } from './coins.ts';
import type { RowCost, WorkedRow } from './row.ts';

/**
 * A quantity of a row as it reads there: in the unit that it is priced by, in that of its packs, in that of its measure, or else
 * as the job does. Where the price says its own unit, what it is for otherwise does not count.
 */
export function readRowQuantity(
  { row, price, packForm }: Pick<WorkedRow, 'row' | 'price' | 'packForm'>,
  quantity: Quantity,
  style: ReadingStyle = DEFAULT_STYLE,
): Reading {
  return readQuantity(quantity, style, formOfRow({ row, price, packForm }, style));
}
function formOfRow(
  { row, price, packForm }: Pick<WorkedRow, 'row' | 'price' | 'packForm'>,
  style: ReadingStyle,
): ReadingForm | undefined {
  const priced = price?.per === 'own' ? undefined : formOfPrice(row, style);
  return priced ?? packForm ?? ABOUT_MEASURES[row.measure].form;
}

/**
 * An entry that comes to exactly an amount of a row, and reads as it does there: "1400 in", "120 bf". Undefined for one that has
 * no exact form.
 */
export function rowEntry(
  worked: Pick<WorkedRow, 'row' | 'price' | 'packForm'>,
  quantity: Quantity,
  style: ReadingStyle = DEFAULT_STYLE,
): string | undefined {
  const exact = exactText(quantity, style)?.plain;
  const units = formOfRow(worked, style)?.units;
  if (exact === undefined || units === undefined) return exact;
  const powered = units.map(({ unit, power }) => ({ unit: unitById(unit as UnitId), power }));
  return `${exact} to ${plainUnitsText(powered, style.currency)}`;
}

/** Money to the coin, as it is shown. */
export const readMoney = (value: RowCost['cost'], style: ReadingStyle = DEFAULT_STYLE): Reading =>
  readQuantity({ value: toCoins(value), dimension: MONEY }, style);

/** A part of the whole as per cent, to a hundredth. */
export const readRate = (value: RowCost['cost'], style: ReadingStyle = DEFAULT_STYLE): string =>
  `${readQuantity({ value: multiplyValue(value, makeRational(100)), dimension: PLAIN }, style, { decimals: 2 }).text} %`;

/**
 * How a row was worked out, step by step, in figures: what is built in, with waste, in packs, and what it costs.
 * The first step of 12 boards 8′ 4″ long and 5 1⁄2″ wide is "12 × 8′ 4″ × 5 1⁄2″ = 45.833 sq ft".
 */
export function rowSays(worked: WorkedRow, style: ReadingStyle = DEFAULT_STYLE): readonly string[] {
  const { row, quantity, gross, ordered, packs, waste, cells } = worked;
  if (quantity === undefined) return [];
  const says: string[] = [];
  const amount = (one: Quantity) => readRowQuantity(worked, one, style).text;
  const plain = (one: Quantity) => readQuantity(one, style).text;

  const sizes = ABOUT_MEASURES[row.measure].sizes.flatMap((cell) => cells[cell] ?? []).map(plain);
  const count = cells.count && readQuantity(cells.count, style, ABOUT_MEASURES.each.form).text;
  const product = [...(count === undefined ? [] : [count]), ...sizes].join(' × ');
  const less = cells.less === undefined || quantity.dimension === PLAIN ? '' : ` − ${plain(cells.less)}`;
  const made = amount(quantity);
  says.push(product + less === made ? made : `${product}${less} = ${made}`);

  if (waste !== undefined && gross !== undefined) {
    const rate = readRate(waste.value, style);
    says.push(
      `with ${rate} waste ${waste.isAssumed ? `(${row.cells.waste.trim()} is read as ${rate}) ` : ''}= ${amount(gross)}`,
    );
  }
  if (ordered !== undefined && packs !== undefined && cells.pack !== undefined) {
    const over = worked.leftOver === undefined ? '' : `, ${amount(worked.leftOver)} left over`;
    says.push(`${plain({ value: packs, dimension: PLAIN })} × ${amount(cells.pack)} = ${amount(ordered)}${over}`);
  } else if (ordered !== undefined && worked.leftOver !== undefined)
    says.push(`${amount(ordered)} to order, ${amount(worked.leftOver)} left over`);
  if (worked.price) says.push(costSays(worked, worked.price, 'price', style));
  if (worked.other) says.push(`second price: ${costSays(worked, worked.other, 'other', style)}`);
  return says;
}

function costSays(worked: WorkedRow, cost: RowCost, cell: 'price' | 'other', style: ReadingStyle): string {
  const price = worked.cells[cell] as Quantity;
  const total = readMoney(cost.cost, style).text;
  if (cost.per === 'own') {
    const ordered = readRowQuantity(worked, worked.ordered as Quantity, style).text;
    return `${ordered} × ${readQuantity(price, style).text} = ${total}`;
  }
  const unit = PRICE_UNITS[cost.per];
  const money = readQuantity({ value: price.value, dimension: MONEY }, style).text;
  const rate = `${money}${unit.says.startsWith('/') ? unit.says : ` ${unit.says}`}`;
  if (unit.of === 'quantity') {
    const ordered = readRowQuantity(worked, worked.ordered as Quantity, style).text;
    return `${ordered} × ${rate} = ${total}`;
  }
  const bought = readQuantity({ value: cost.amount, dimension: PLAIN }, style).text;
  return `${bought} × ${rate} = ${total}`;
}
