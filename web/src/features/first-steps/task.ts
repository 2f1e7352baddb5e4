/** The task of the first steps: a shelf between two walls, in five steps. Made up, and worked out by hand in its test. */
import { makeRational, quantityIn, readQuantity, unitById, type Quantity, type ReadingStyle } from '@sprell/core';
import type { JobMark, SlateRow, WorkedRow } from '../../job/index.ts';
import { readLine } from '../../parts/slate/line-reading.ts';

export type StepName = 'sum' | 'rounding' | 'storing' | 'using' | 'correcting';

export interface Step {
  readonly name: StepName;
  readonly title: string;
  /** What is to be found. */
  readonly task: string;
  /** What to touch for it, and what to type and click; what is typed stands between backticks. */
  readonly touch: string;
  readonly type: string;
  /** What was learned by it. */
  readonly learned: string;
}

/** What stands on the bench, as far as the steps look at it. */
export interface Bench {
  readonly rows: readonly SlateRow[];
  readonly marks: readonly JobMark[];
  readonly style: ReadingStyle;
}

/** What the shelf comes to, in inches or in millimetres: all of it, a fifth and four fifths. */
interface Shelf {
  readonly long: Quantity;
  readonly bay: Quantity;
  readonly fourth: Quantity;
}
function shelf(long: readonly [number, number], unit: 'in' | 'mm'): Shelf {
  const [num, den] = long;
  const size = (times: number) => quantityIn(makeRational(num * times, den * 5), unitById(unit));
  return { long: size(5), bay: size(1), fourth: size(4) };
}
/** As it was measured first, and once more. 4′ 7 3/8″ and 4′ 7 1/2″ less 1/4″; 1410 mm and 1418 mm less 6 mm. */
const SHELVES = {
  feet: [shelf([441, 8], 'in'), shelf([442, 8], 'in')],
  metres: [shelf([1404, 1], 'mm'), shelf([1412, 1], 'mm')],
} as const;

const IN_FEET: readonly Step[] = [
  {
    name: 'sum',
    title: 'A sum',
    task: 'Two walls stand 4′ 7 3⁄8″ apart. A shelf between them is to have 1⁄8″ free at each end. How long is it?',
    touch:
      'Key in 4 ′ 7, touch 3⁄8 on the drawn inch, then − 2 × and 1⁄8 on the inch. The blue key puts it on the slate.',
    type: 'Write `4\' 7 3/8" - 2 * 1/8"` and press `Enter`.',
    learned: 'It is 4′ 7 1⁄8″ long, and how it was worked out stands beside it.',
  },
  {
    name: 'rounding',
    title: 'Rounding',
    task: 'The shelf has five bays, all of one width. How wide is one, to a 32nd of an inch?',
    touch:
      'Touch ÷ and 5: it goes on from the last result. Then touch “to 1⁄16″” under the reading, 1⁄32″, and the blue key.',
    type: 'Write `/ 5`: it goes on from the last result. Then choose “to 1⁄16″” under the reading, 1⁄32″, and press `Enter`.',
    learned: 'A bay is 11 1⁄32″ shy: the true size is a little less. The slate keeps the true size.',
  },
  {
    name: 'storing',
    title: 'Storing',
    task: 'You will want the width of a bay again. Keep it on the story stick.',
    touch: 'Touch “store”, then a letter that is free, or write a name such as bay.',
    type: 'Click “store”, then a letter that is free, or write a name such as bay.',
    learned: 'It is a mark now, by its name, and stays in its job.',
  },
  {
    name: 'using',
    title: 'Using',
    task: 'How far is it from one end of the shelf to the end of its fourth bay?',
    touch: 'Key in 4 ×, touch the mark that you stored, and the blue key.',
    type: 'Write `4 *` and the name of your mark, or click it, and press `Enter`.',
    learned: 'The entry names the mark: when that changes, the line follows.',
  },
  {
    name: 'correcting',
    title: 'Correcting',
    task: 'The walls were measured once more: they stand 4′ 7 1⁄2″ apart.',
    touch: 'Touch the words of the first line, change 3⁄8 to 1⁄2, and touch the blue key.',
    type: 'Click the words of the first line, change 3⁄8 to 1⁄2, and press `Enter`.',
    learned: 'The bay, its mark and the fourth bay all followed.',
  },
];
/** The same in millimetres. */
const IN_METRES: Readonly<Record<StepName, Partial<Step>>> = {
  sum: {
    task: 'Two walls stand 1410 mm apart. A shelf between them is to have 3 mm free at each end. How long is it?',
    touch: 'Key in 1410 − 2 × 3. The blue key puts it on the slate.',
    type: 'Write `1410 - 2 * 3` and press `Enter`.',
    learned: 'It is 1404 mm long, and how it was worked out stands beside it.',
  },
  rounding: {
    task: 'The shelf has five bays, all of one width. How wide is one, to a tenth of a millimetre?',
    touch:
      'Touch ÷ and 5: it goes on from the last result. Then touch “to 1 mm” under the reading, 0.1 mm, and the blue key.',
    type: 'Write `/ 5`: it goes on from the last result. Then choose “to 1 mm” under the reading, 0.1 mm, and press `Enter`.',
    learned: 'A bay is 280.8 mm; to a whole millimetre it was 281, shy. The slate keeps the true size either way.',
  },
  storing: {},
  using: {},
  correcting: {
    task: 'The walls were measured once more: they stand 1418 mm apart.',
    touch: 'Touch the words of the first line, change 1410 to 1418, and touch the blue key.',
    type: 'Click the words of the first line, change 1410 to 1418, and press `Enter`.',
  },
};

export const stepsFor = (metric: boolean): readonly Step[] =>
  metric ? IN_FEET.map((step) => ({ ...step, ...IN_METRES[step.name] })) : IN_FEET;

const isSame = (one: Quantity | undefined, other: Quantity): boolean => {
  if (one?.dimension !== other.dimension) return false;
  const [a, b] = [one.value, other.value];
  return a.kind === 'rational' && b.kind === 'rational' && a.num === b.num && a.den === b.den;
};
const quantityOf = ({ worked: { result } }: WorkedRow): Quantity | undefined =>
  result.ok && result.outcome.kind === 'quantity' ? result.outcome.quantity : undefined;

/** Whether a row reads as a size does at the finer division: a 32nd of an inch, a tenth of a millimetre. */
function readsFine(row: WorkedRow, size: Quantity, style: ReadingStyle): boolean {
  const finer: ReadingStyle = { ...style, finest: 32, metricStep: makeRational(1, 10) };
  return isSame(quantityOf(row), size) && readLine(row.worked, style).reading?.text === readQuantity(size, finer).text;
}

/** An entry that names a mark and is not what keeps it. */
const uses = ({ entry }: WorkedRow, name: string): boolean =>
  new RegExp(`(^|[^\\p{L}\\p{N}_])${name}([^\\p{L}\\p{N}_]|$)`, 'iu').test(entry) &&
  !new RegExp(`^([^:]*:)?\\s*${name}\\s*[-+]?=`, 'iu').test(entry);

/** Which steps are done by what stands on the bench. */
export function doneOn({ rows, marks, style }: Bench, metric: boolean): ReadonlySet<StepName> {
  const worked = rows.filter((row): row is WorkedRow => row.kind === 'worked');
  const has = (size: Quantity) => worked.some((row) => isSame(quantityOf(row), size));
  const done = new Set<StepName>();
  SHELVES[metric ? 'metres' : 'feet'].forEach(({ long, bay, fourth }, n) => {
    const kept = marks.filter(({ quantity }) => isSame(quantity, bay));
    if (has(long)) done.add('sum');
    if (worked.some((row) => readsFine(row, bay, style))) done.add('rounding');
    if (kept.length > 0) done.add('storing');
    if (worked.some((row) => isSame(quantityOf(row), fourth) && kept.some(({ name }) => uses(row, name))))
      done.add('using');
    if (n === 1 && has(long) && has(bay)) done.add('correcting');
  });
  return done;
}

/** The line that came last and is not what a step asks for: what it comes to, in words. */
export function lastReads({ rows, style }: Bench): { readonly number: number; readonly text: string } | undefined {
  const last = rows.filter((row): row is WorkedRow => row.kind === 'worked').at(-1);
  if (last === undefined) return undefined;
  const { reading, answer, problem } = readLine(last.worked, style);
  return { number: last.line.number, text: reading?.text ?? answer ?? problem ?? '' };
}
