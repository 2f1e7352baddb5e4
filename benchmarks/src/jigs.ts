/** How fast is a jig of 100 steps over 1,000 values for one of its inputs? Asked: under 50 ms. */
import { performance } from 'node:perf_hooks';
import { readJig, runJig, runOver, type Jig, type JigStep } from '../../core/src/jig/index.ts';
import { LENGTH } from '../../core/src/units/dimension.ts';
import { makeRational } from '../../core/src/number/rational.ts';

const STEPS = 100;
const VALUES = 1000;
/** As they come in building: sums, products and quotients of steps before, every tenth rounded, every twentieth chosen. */
function entryOf(n: number): string {
  const before = `step_${n - 1}`;
  if (n === 0) return 'board * 3 + 1/8"';
  if (n % 20 === 7) return `if(${before} < 40'; ${before} + board; ${before} / 2)`;
  if (n % 10 === 5) return `round(${before}; 1/16")`;
  return n % 3 === 0 ? `${before} / 2 + board` : `${before} + 5 1/2"`;
}
const step = (n: number): JigStep => ({
  name: `step_${n}`,
  title: '',
  note: '',
  entry: entryOf(n),
  isAnswer: n === STEPS - 1,
  repeat: null,
});
const jig: Jig = {
  id: 'jig',
  version: 1,
  name: 'many_steps',
  title: 'Many steps',
  about: '',
  decimalComma: false,
  inputs: [
    {
      name: 'board',
      title: 'Board',
      kind: 'length',
      unit: 'in',
      usual: '',
      metric: '',
      whole: false,
      least: '',
      most: '',
      hint: '',
    },
  ],
  steps: Array.from({ length: STEPS }, (_, n) => step(n)),
  checks: [],
};
const { program, troubles } = readJig({ jig, uses: [] });
if (program === undefined) throw new Error(`The jig of the benchmark is in error: ${JSON.stringify(troubles)}`);
const values = Array.from({ length: VALUES }, (_, n) => ({
  value: makeRational(127 * (n + 1), 80_000),
  dimension: LENGTH,
}));
if (!runJig(program, [values[0]]).ok) throw new Error('It does not run.');

function median(count: number, work: () => void): number {
  for (let n = 0; n < count / 2; n += 1) work();
  const taken = Array.from({ length: count }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return taken[count >> 1] as number;
}
console.log(`${STEPS} steps over ${VALUES} values: ${median(21, () => runOver(program, [], 0, values)).toFixed(1)} ms`);
console.log(`the jig read and checked: ${median(21, () => readJig({ jig, uses: [] })).toFixed(2)} ms`);
