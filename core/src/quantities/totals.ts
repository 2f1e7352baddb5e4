import { makeRational } from '../number/rational.ts';
import { addValue, multiplyValue, signOfValue, subtractValue, type Value } from '../number/value.ts';
import { COINS, coinsOf, toCoins } from './coins.ts';
import type { WorkedRow } from './row.ts';

/** A tax of the list. */
export interface Tax {
  readonly id: string;
  /** A part of the whole. */
  readonly rate: Value;
}

/**
 * The step at which money is rounded to the smallest coin, once. `row`: every row, as on a bill, so that what is shown adds up
 * to the coin. `total`: nothing before it is shown, so that a total is that of the exact amounts.
 */
export const ROUNDED_AT = ['row', 'total'] as const;
export type RoundedAt = (typeof ROUNDED_AT)[number];

/** Sums of money. */
export interface Sums {
  /** Of what is built in. */
  readonly net: Value;
  /** Of waste, and of what is left of whole packs. */
  readonly waste: Value;
  /** Both: what is bought. */
  readonly cost: Value;
}

/** Sums with their taxes. */
export interface Totals extends Sums {
  /** By the id of the tax: what it is taken of, and what it comes to. */
  readonly taxes: ReadonlyMap<string, { readonly of: Value; readonly tax: Value }>;
  readonly tax: Value;
  /** With tax. */
  readonly grand: Value;
  /** How much the figures of the rows, rounded each, differ from the sum. Zero where rows are rounded. */
  readonly drift: Value;
}

export interface TakeOffTotals {
  readonly sections: ReadonlyMap<string | undefined, Sums>;
  readonly all: Totals;
  /** What the rows that are left out would come to. */
  readonly leftOut: Sums;
  /** Rows that count and have no cost at this price: nothing was typed for it, or something is in the way. */
  readonly unpriced: readonly string[];
  readonly failed: readonly string[];
}

export interface TotalsOf {
  readonly price: 'price' | 'other';
  /** The version of the list; undefined for the rows that every version has. */
  readonly version: string | undefined;
  readonly taxes: readonly Tax[];
  readonly roundedAt: RoundedAt;
}

const ZERO = makeRational(0);
const NO_SUMS: Sums = { net: ZERO, waste: ZERO, cost: ZERO };

/** Whether a row belongs to a version of the list. */
export const isInVersion = ({ versions }: WorkedRow['row'], version: string | undefined): boolean =>
  versions.length === 0 || (version !== undefined && versions.includes(version));

/** Sums put together. */
export const plus = (a: Sums, b: Sums): Sums => ({
  net: addValue(a.net, b.net),
  waste: addValue(a.waste, b.waste),
  cost: addValue(a.cost, b.cost),
});

/** Money while it is added up: whole coins, which most of it is, as a number, and what is finer exactly beside them. */
class Money {
  #coins = 0;
  #rest: Value = ZERO;

  /** @param coins the same as a number of coins, where it is one */
  add(value: Value, coins: number): void {
    const sum = this.#coins + coins;
    if (Number.isSafeInteger(sum)) this.#coins = sum;
    else this.#rest = addValue(this.#rest, value);
  }
  get value(): Value {
    return addValue(makeRational(this.#coins, COINS), this.#rest);
  }
}

/** What a row adds to a sum. */
interface Counted {
  readonly net: Value;
  readonly cost: Value;
}
interface Coins {
  readonly net: number;
  readonly cost: number;
}
const exactCoins = ({ net, cost }: Counted): Coins => ({ net: coinsOf(net), cost: coinsOf(cost) });

/** A sum while rows are added to it. */
class Sum {
  readonly #net = new Money();
  readonly #cost = new Money();

  /** @param coins the same as numbers of coins */
  add({ net, cost }: Counted, coins: Coins): void {
    this.#net.add(net, coins.net);
    this.#cost.add(cost, coins.cost);
  }
  get cost(): Value {
    return this.#cost.value;
  }
  get sums(): Sums {
    const [net, cost] = [this.#net.value, this.#cost.value];
    return { net, waste: subtractValue(cost, net), cost };
  }
}

/**
 * Adds up every row that is there, wherever it stands. Exact: the order and the grouping of rows change no figure. Taxes are
 * taken of the sum of the rows that have them, and rounded once where rows are.
 */
export function totalsOf(rows: Iterable<WorkedRow>, { price, version, taxes, roundedAt }: TotalsOf): TakeOffTotals {
  const sections = new SumsBy<string | undefined, Sum>(() => new Sum());
  const taxed = new SumsBy<string, Money>(() => new Money());
  const [unpriced, failed]: [string[], string[]] = [[], []];
  const [leftOut, onBill] = [new Sum(), new Sum()];
  const isBilled = roundedAt === 'row';
  const [first] = taxes;
  const known = new Set(taxes.map(({ id }) => id));
  for (const worked of rows) {
    const { row } = worked;
    if (!isInVersion(row, version)) continue;
    const cost = worked[price];
    if (cost === undefined) {
      if (row.isLeftOut) continue;
      const isEmpty = row.cells[price].trim() === '';
      (isEmpty && Object.keys(worked.issues).length === 0 ? unpriced : failed).push(row.id);
      continue;
    }
    const [counted, coins] = isBilled ? [cost.billed, cost.coins] : [cost, exactCoins(cost)];
    if (row.isLeftOut) {
      leftOut.add(counted, coins);
      continue;
    }
    sections.of(row.section).add(counted, coins);
    if (!isBilled) onBill.add(cost.billed, cost.coins);
    const tax = row.tax !== undefined && known.has(row.tax) ? row.tax : first?.id;
    if (tax !== undefined) taxed.of(tax).add(counted.cost, coins.cost);
  }
  const bySection = new Map([...sections.all].map(([id, sum]) => [id, sum.sums]));
  const all = [...bySection.values()].reduce(plus, NO_SUMS);
  const drift = isBilled ? ZERO : subtractValue(all.cost, onBill.cost);
  return {
    sections: bySection,
    all: { ...all, ...taxesOf(all.cost, taxed.all, taxes, roundedAt), drift },
    leftOut: leftOut.sums,
    unpriced,
    failed,
  };
}

/** Sums by a key. Rows of one section stand together: the last one is at hand. */
class SumsBy<Key, Kind> {
  readonly all = new Map<Key, Kind>();
  #lastKey: Key | undefined;
  #last: Kind | undefined;
  readonly #make: () => Kind;
  constructor(make: () => Kind) {
    this.#make = make;
  }

  of(key: Key): Kind {
    if (this.#last !== undefined && this.#lastKey === key) return this.#last;
    let sum = this.all.get(key);
    if (sum === undefined) this.all.set(key, (sum = this.#make()));
    this.#lastKey = key;
    this.#last = sum;
    return sum;
  }
}

function taxesOf(
  cost: Value,
  taxed: ReadonlyMap<string, Money>,
  taxes: readonly Tax[],
  roundedAt: RoundedAt,
): Pick<Totals, 'taxes' | 'tax' | 'grand'> {
  const each = new Map(
    taxes.flatMap(({ id, rate }) => {
      const of = taxed.get(id)?.value;
      if (of === undefined || signOfValue(of) === 0) return [];
      const exact = multiplyValue(of, rate);
      return [[id, { of, tax: roundedAt === 'row' ? toCoins(exact) : exact }] as const];
    }),
  );
  const tax = [...each.values()].reduce<Value>((sum, one) => addValue(sum, one.tax), ZERO);
  return { taxes: each, tax, grand: addValue(cost, tax) };
}
