import { addValue, signOfValue, valueToNumber, type ReadingStyle, type Value } from '@sprell/core';
import { readMoney, type RoundedAt, type Sums } from '@sprell/core/quantities';
import type { JobRow, Quantities } from '../../job/quantities.ts';

/** One way that the list could be bought: a version of it at one of the two prices. */
export interface Way {
  readonly id: string;
  readonly title: string;
  readonly price: 'price' | 'other';
  readonly version: string | undefined;
}

/** A section or an item in every way, with what each comes to. */
export interface ComparedRow {
  readonly key: string;
  readonly title: string;
  /** The rows of the list behind it. */
  readonly rows: readonly string[];
  /** Money, exact, in the order of the ways. */
  readonly costs: readonly Value[];
}

export interface Compared {
  readonly ways: readonly Way[];
  readonly rows: readonly ComparedRow[];
  /** With tax. */
  readonly totals: readonly Value[];
}

const NOTHING: Value = { kind: 'rational', num: 0, den: 1 };

/** Every version at every price that is given: what can be set side by side. */
export function waysOf(list: Quantities): readonly Way[] {
  const versions = list.versions.length > 0 ? list.versions : [{ id: undefined, name: '' }];
  const hasOther = list.rows.some(({ worked }) => worked.other !== undefined);
  const prices = hasOther ? (['price', 'other'] as const) : (['price'] as const);
  return versions.flatMap(({ id, name }) =>
    prices.map((price) => {
      const said = [name, hasOther ? (price === 'price' ? 'first price' : 'second price') : ''].filter(Boolean);
      return { id: `${id ?? ''} ${price}`, title: said.join(', ') || 'the list', price, version: id };
    }),
  );
}

/** Items that are shown one by one; the cheaper ones are put together. */
const MOST_ITEMS = 24;

/** The ways side by side, by section or by item. */
export function compared(
  list: Quantities,
  ways: readonly Way[],
  roundedAt: RoundedAt,
  by: 'section' | 'item' = 'section',
): Compared {
  const totals = ways.map((way) => list.totals({ price: way.price, version: way.version, roundedAt }));
  const rows =
    by === 'item'
      ? itemsOf(list, ways, roundedAt)
      : list.sections.map(({ id, name, rows: of }) => ({
          key: id ?? '',
          title: name === '' ? 'In no section' : name,
          rows: of.map((row) => row.id),
          costs: totals.map(({ sections }): Value => (sections.get(id) as Sums | undefined)?.cost ?? NOTHING),
        }));
  return { ways, rows, totals: totals.map(({ all }) => all.grand) };
}

/** The dearest first; what costs nothing in any way is not there. */
function itemsOf(list: Quantities, ways: readonly Way[], roundedAt: RoundedAt): readonly ComparedRow[] {
  const costOf = ({ worked, item }: JobRow, { price, version }: Way): Value => {
    const cost = worked[price];
    const isIn = item.versions.length === 0 || item.versions.includes(version ?? '');
    if (cost === undefined || item.leftOut || !isIn) return NOTHING;
    return roundedAt === 'row' ? cost.billed.cost : cost.cost;
  };
  const all = list.rows
    .map((row) => ({
      ...{ key: row.id, title: row.item.name === '' ? 'No name' : row.item.name, rows: [row.id] },
      costs: ways.map((way) => costOf(row, way)),
    }))
    .filter(({ costs }) => costs.some((cost) => signOfValue(cost) > 0))
    .map((row) => ({ row, most: Math.max(...row.costs.map(valueToNumber)) }))
    .sort((a, b) => b.most - a.most)
    .map(({ row }) => row);
  const rest = all.slice(MOST_ITEMS);
  if (rest.length === 0) return all;
  const together = ways.map((_, at) =>
    rest.reduce<Value>((sum, { costs }) => addValue(sum, costs[at] ?? NOTHING), NOTHING),
  );
  const title = `${rest.length} more, each cheaper`;
  return [...all.slice(0, MOST_ITEMS), { key: 'rest', title, rows: rest.flatMap((one) => one.rows), costs: together }];
}

/** By how much one is more than another, with its sign: +$12.50. */
export function differenceWords(one: Value, other: Value, style: ReadingStyle): string {
  const by = valueToNumber(other) - valueToNumber(one);
  if (Math.abs(by) < 0.005) return 'the same';
  const money: Value = { kind: 'rational', num: Math.round(Math.abs(by) * 100), den: 100 };
  return `${by > 0 ? '+' : '−'}${readMoney(money, style).text}`;
}
