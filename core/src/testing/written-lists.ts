import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { makeRational } from '../number/rational.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import type { TakeOffRow } from '../quantities/row.ts';
import { TakeOff } from '../quantities/take-off.ts';
import { totalsOf, type RoundedAt } from '../quantities/totals.ts';
import type { WrittenList } from '../quantities/written-list.ts';

/** A tax of 8 1/4 %, as the lists of tests have it. */
export const SALES_TAX = { id: 'sales', name: 'Sales tax', rate: makeRational(33, 400) };

interface Given {
  readonly style?: ReadingStyle;
  readonly roundedAt?: RoundedAt;
  readonly taxes?: WrittenList['taxes'];
  /** What a row is called, by its id; a row is called by its id otherwise. */
  readonly items?: Readonly<Record<string, string>>;
}

/** Rows as a list that is written out; their sections are named as they are. */
export function aWrittenList(
  rows: readonly TakeOffRow[],
  { style = DEFAULT_STYLE, roundedAt = 'row', taxes = [SALES_TAX], items = {} }: Given = {},
): WrittenList {
  const list = new TakeOff(style, EMPTY_SCOPE);
  list.load(rows);
  const worked = [...list.rows()];
  const ids = [...new Set(rows.map(({ section }) => section))];
  return {
    title: 'Back porch · quantities',
    subtitle: 'with oak · 29 November 2026',
    sections: ids.map((id) => ({
      id,
      name: id ?? '',
      rows: worked
        .filter(({ row }) => row.section === id)
        .map((one) => ({ worked: one, item: items[one.row.id] ?? one.row.id, supplier: '', note: '' })),
    })),
    taxes,
    totals: totalsOf(worked, { price: 'price', version: undefined, taxes, roundedAt }),
    roundedAt,
    style,
  };
}
