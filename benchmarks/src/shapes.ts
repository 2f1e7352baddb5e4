/** How long does a shape take to be worked out, as many times the reading of one entry? With all of its sizes, and with one. */
import { reckon, solve, SOLVERS } from '../../core/src/index.ts';
import { SAMPLES } from '../../web/src/features/setting-out/samples.ts';

const ENTRY = `34' 5 3/16" + 21' 9"`;
const ROUNDS = 60;

/** Milliseconds, the least of several: what the machine takes where nothing comes between. */
function least(work: () => unknown): number {
  let best = Infinity;
  for (let round = 0; round < ROUNDS; round += 1) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

const entry =
  least(() => {
    for (let n = 0; n < 100; n += 1) reckon(ENTRY);
  }) / 100;
console.log(`One entry: ${(entry * 1000).toFixed(1)} µs. As many entries as a shape takes, all given and one given:`);
for (const solver of SOLVERS) {
  const givens = SAMPLES[solver.id] ?? [];
  const [all, one] = [givens, givens.slice(0, 1)].map((given) => least(() => solve(solver, given)) / entry);
  console.log(`${solver.id.padEnd(18)} ${(all ?? 0).toFixed(0).padStart(6)} ${(one ?? 0).toFixed(0).padStart(6)}`);
}
