/** How fast is a slate of 10,000 lines? All of it, one edit, and the same as one Vue `computed` a line. */
import { computed, shallowRef, type ComputedRef } from 'vue';
import { evaluate } from '../../core/src/evaluate/evaluate.ts';
import { EMPTY_SCOPE, type Resolved, type Scope } from '../../core/src/evaluate/scope.ts';
import { parse } from '../../core/src/notation/parser.ts';
import { Slate, type SlateLine } from '../../core/src/index.ts';
import { compare, print } from './compare.ts';

const LINES = 10_000;

/** Park and Miller's minimal standard, for the same slate each time. */
function makeRandom(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
}

/** Lines of a job: 1.7 references each on average, to any lines above. */
function aJob(): SlateLine[] {
  const random = makeRandom(7);
  return Array.from({ length: LINES }, (_, index) => {
    const number = index + 1;
    const reference = () => `#${1 + random(index)}`;
    const size = `${random(40)}' ${random(12)} ${1 + random(15)}/16"`;
    const count = index < 60 ? 0 : 1 + (random(10) < 7 ? 1 : 0);
    const source =
      count === 0 ? size : count === 1 ? `${reference()} + ${size} - 20'` : `${reference()} - ${reference()} + ${size}`;
    return { id: `line-${number}`, number, position: `a${`${number}`.padStart(6, '0')}`, source };
  });
}

const job = aJob();
const slate = new Slate();
slate.load(job);
const failed = slate.lines().filter(({ result }) => !result.ok).length;
if (failed > 0) throw new Error(`${failed} lines of the benchmark are in error`);

/**
 * One computed a line, from its text to its value. `parsed` spares Vue the reading of the text, which a page that keeps
 * one computed a line would do in it.
 */
function vueSlate(parsed: boolean) {
  const tick = shallowRef(0);
  const cells: ComputedRef<Resolved>[] = [];
  const scope: Scope = { ...EMPTY_SCOPE, line: (number) => cells[number - 1]?.value };
  for (const { source } of job) {
    const tree = parse(source).entry as never;
    cells.push(
      computed((): Resolved => {
        void tick.value;
        const result = evaluate(parsed ? tree : (parse(source).entry as never), scope);
        return result.ok && result.value.kind === 'quantity'
          ? { ok: true, quantity: result.value.quantity }
          : { ok: false };
      }),
    );
  }
  return () => {
    tick.value += 1;
    let sum = 0;
    for (const cell of cells) sum += cell.value.ok ? 1 : 0;
    return sum;
  };
}

const vue = vueSlate(false);
const vueParsed = vueSlate(true);
const timings = compare(
  [
    {
      name: 'ours: all lines recalculated',
      run: () => {
        slate.recalculateAll();
      },
    },
    { name: 'one Vue computed a line, read in order', run: vue },
    { name: 'the same, texts read beforehand', run: vueParsed },
    {
      name: 'ours: loaded, read and calculated',
      run: () => {
        const fresh = new Slate();
        fresh.load(job);
        return fresh;
      },
    },
  ],
  { rounds: 15, milliseconds: 200 },
);
print(`A slate of ${LINES} lines`, timings);
console.log(
  `\n  Vue takes ${(timings[1]?.ratio ?? 0).toFixed(1)} times as long, ${(timings[2]?.ratio ?? 0).toFixed(1)} times with the texts read beforehand`,
);

const random = makeRandom(99);
const edits: number[] = [];
let touched = 0;
for (let n = 0; n < 2000; n += 1) {
  const line = job[random(LINES)] as SlateLine;
  const source = `${random(40)}' ${random(12)} ${1 + random(15)}/16"`;
  const started = process.hrtime.bigint();
  touched += slate.put({ ...line, source }).length;
  edits.push(Number(process.hrtime.bigint() - started) / 1e6);
  slate.put(line);
}
edits.sort((a, b) => a - b);
const at = (share: number) => (edits[Math.floor(edits.length * share)] as number).toFixed(3);
console.log(`\nOne edit of ${LINES} lines, ${(touched / 2000).toFixed(1)} lines changed on average`);
console.log(`  median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, 99th ${at(0.99)} ms`);

const chain = new Slate();
chain.load(
  Array.from({ length: LINES }, (_, index) => ({
    ...(job[index] as SlateLine),
    source: index === 0 ? `1'` : `#${index} + 1/16"`,
  })),
);
const started = process.hrtime.bigint();
chain.put({ ...(job[0] as SlateLine), source: `2'` });
console.log(
  `\nA chain ${LINES} deep, its head changed: ${(Number(process.hrtime.bigint() - started) / 1e6).toFixed(1)} ms`,
);
