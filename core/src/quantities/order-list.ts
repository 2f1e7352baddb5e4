import { makeRational } from '../number/rational.ts';
import { addValue, type Value } from '../number/value.ts';
import { toCoins } from './coins.ts';
import type { WorkedRow } from './row.ts';
import { isInVersion } from './totals.ts';

/** What is ordered from one supplier, with what it costs. */
export interface SupplierOrder<Row> {
  /** Empty where no supplier is named. */
  readonly supplier: string;
  readonly rows: readonly Row[];
  readonly cost: Value;
}

/**
 * The rows by supplier: those that count in a version of the list and come to something to buy. Suppliers by the alphabet,
 * those of none last.
 */
export function orderList<Row extends { readonly worked: WorkedRow; readonly supplier: string }>(
  rows: readonly Row[],
  version: string | undefined,
): readonly SupplierOrder<Row>[] {
  const bySupplier = new Map<string, Row[]>();
  for (const row of rows) {
    const { worked, supplier } = row;
    if (worked.row.isLeftOut || worked.ordered === undefined || !isInVersion(worked.row, version)) continue;
    const name = supplier.trim();
    bySupplier.set(name, [...(bySupplier.get(name) ?? []), row]);
  }
  return [...bySupplier]
    .sort(([a], [b]) => Number(a === '') - Number(b === '') || a.localeCompare(b))
    .map(([supplier, of]) => ({
      supplier,
      rows: of,
      cost: of.reduce<Value>(
        (sum, { worked }) => (worked.price ? addValue(sum, toCoins(worked.price.cost)) : sum),
        makeRational(0),
      ),
    }));
}
