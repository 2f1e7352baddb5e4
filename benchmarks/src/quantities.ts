/**
 * How fast is a take-off of 1,000 rows with three references each? All of it with its totals, one edit, the list as XLSX and on
 * paper; and 5,000 pasted rows.
 */
import { performance } from 'node:perf_hooks';
import {
  CELLS,
  listSheets,
  planOfBlock,
  readBlock,
  TakeOff,
  totalsOf,
  workbookOf,
  type TakeOffRow,
  type WrittenList,
} from '../../core/src/quantities/index.ts';
import { DEFAULT_STYLE, describeIssue, Slate } from '../../core/src/index.ts';
import { xlsxOf } from '../../web/src/features/quantities/list-files.ts';

const ROWS = 1000;
const NO_CELLS = Object.fromEntries(CELLS.map((cell) => [cell, ''])) as TakeOffRow['cells'];
const slate = new Slate();
slate.load(
  Array.from({ length: 50 }, (_, n) => ({
    id: `l${n}`,
    number: n + 1,
    position: `a${100 + n}`,
    source: `mark_${n} = ${n + 1}' ${n % 12} ${1 + (n % 15)}/16"`,
  })),
);
/** Each names two marks and a row above it. */
const row = (n: number, count = `${1 + (n % 9)}`): TakeOffRow => ({
  id: `r${n}`,
  name: `row_${n}`,
  measure: 'run',
  cells: {
    ...NO_CELLS,
    count: n === 0 ? '4' : `${count} + up(row_${Math.floor(n / 2)} / mark_${n % 50}; 1)`,
    length: `mark_${(n * 7) % 50} - 1/8"`,
    waste: '8%',
    price: '$3.85',
  },
  per: 'ft',
  isCutWhole: true,
  section: `s${n % 12}`,
  tax: undefined,
  isLeftOut: false,
  versions: [],
});
const rows = Array.from({ length: ROWS }, (_, n) => row(n));
const list = new TakeOff(undefined, slate.scope());
list.load(rows);
const failed = [...list.rows()].filter(({ issues }) => Object.keys(issues).length > 0).length;
if (failed > 0) throw new Error(`${failed} rows of the benchmark are in error`);
const taxes = [{ id: 't', rate: { kind: 'rational', num: 3, den: 40 } as const }];
const total = () => totalsOf(list.rows(), { price: 'price', version: undefined, taxes, roundedAt: 'row' });

function times(count: number, work: (n: number) => void): { readonly median: number; readonly most: number } {
  for (let n = 0; n < count / 4; n += 1) work(n);
  const taken = Array.from({ length: count }, (_, n) => {
    const start = performance.now();
    work(n);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return { median: taken[count >> 1] as number, most: taken[Math.floor(count * 0.95)] as number };
}
const print = (name: string, { median, most }: { median: number; most: number }) => {
  console.log(`${name.padEnd(58)} ${median.toFixed(2)} ms, 95 % within ${most.toFixed(2)} ms`);
};

print(
  `${ROWS} rows recalculated and totalled`,
  times(60, () => {
    list.refresh(slate.scope());
    total();
  }),
);
print('the totals alone', times(200, total));
print(
  'one edit of any row, with the totals',
  times(400, (n) => {
    const at = (n * 37) % ROWS;
    list.put(row(at, `${1 + (n % 8)}`));
    total();
  }),
);
const written: WrittenList = {
  title: 'Benchmark',
  subtitle: '',
  sections: Array.from({ length: 12 }, (_, n) => ({
    id: `s${n}`,
    name: `Section ${n}`,
    rows: [...list.rows()]
      .filter((worked) => worked.row.section === `s${n}`)
      .map((worked) => ({ worked, item: `Board ${worked.row.id}`, supplier: 'Wrenfield Timber', note: '' })),
  })),
  taxes: taxes.map((tax) => ({ ...tax, name: 'sales tax' })),
  totals: total(),
  roundedAt: 'row',
  style: DEFAULT_STYLE,
};
const files: number[] = [];
for (let n = 0; n < 6; n += 1) {
  const start = performance.now();
  const bytes = await xlsxOf(workbookOf(written));
  if (bytes.length < 10_000) throw new Error('The file is empty.');
  files.push(performance.now() - start);
}
files.sort((a, b) => a - b);
print(`${ROWS} rows as XLSX`, { median: files[3] as number, most: files[5] as number });
print(
  `${ROWS} rows on sheets of paper`,
  times(6, () => void listSheets(written, 'a4')),
);
const HEAD = ['item', 'qty', 'unit', 'length', 'width', 'unit price', 'supplier'];
const table = [
  HEAD,
  ...Array.from({ length: 5000 }, (_, n) => [
    `Board ${n}`,
    `${1 + (n % 40)}`,
    'ea',
    `${8 + (n % 9)}'-${n % 12} ${1 + (n % 7)}/8"`,
    '5 1/2"',
    `$${(n % 90) + 1}.${10 + (n % 90)}`,
    'Wrenfield Timber',
  ]),
];
print(
  '5,000 pasted rows read for their preview',
  times(8, () => {
    readBlock(table, planOfBlock(table), { describe: describeIssue });
  }),
);
