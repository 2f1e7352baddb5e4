import { valueToNumber, type ReadingStyle, type Value } from '@sprell/core';
import { readMoney, type RoundedAt, type Sums } from '@sprell/core/quantities';
import type { Quantities } from '../../job/quantities.ts';

/** One way that the list could be bought: a version of it at one of the two prices. */
export interface Way {
  readonly id: string;
  readonly title: string;
  readonly price: 'price' | 'other';
  readonly version: string | undefined;
}

/** A section in every way, with what each comes to. */
export interface ComparedRow {
  readonly id: string | undefined;
  readonly title: string;
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

/** The ways side by side, by section. */
export function compared(list: Quantities, ways: readonly Way[], roundedAt: RoundedAt): Compared {
  const totals = ways.map((way) => list.totals({ price: way.price, version: way.version, roundedAt }));
  const rows = list.sections.map(({ id, name }) => ({
    id,
    title: name === '' ? 'In no section' : name,
    costs: totals.map(({ sections }): Value => (sections.get(id) as Sums | undefined)?.cost ?? NOTHING),
  }));
  return { ways, rows, totals: totals.map(({ all }) => all.grand) };
}

/** By how much one is more than another, with its sign: +$12.50. */
export function differenceWords(one: Value, other: Value, style: ReadingStyle): string {
  const by = valueToNumber(other) - valueToNumber(one);
  if (Math.abs(by) < 0.005) return 'the same';
  const money: Value = { kind: 'rational', num: Math.round(Math.abs(by) * 100), den: 100 };
  return `${by > 0 ? '+' : '−'}${readMoney(money, style).text}`;
}
