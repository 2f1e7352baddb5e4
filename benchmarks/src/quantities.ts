/** How fast is a take-off of 1,000 rows with three references each? All of it with its totals, one edit, 5,000 pasted rows. */
import { performance } from 'node:perf_hooks';
import { CELLS, planOfBlock, readBlock, TakeOff, totalsOf, type TakeOffRow } from '../../core/src/quantities/index.ts';
import { describeIssue, Slate } from '../../core/src/index.ts';

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
