/** Compares ways of doing one job, interleaved in one run, so that what else the machine does falls on all alike. */
export interface Contestant {
  readonly name: string;
  /** Does the whole job once; what it returns is checked to be used. */
  run(): unknown;
}

export interface Timing {
  readonly name: string;
  /** Nanoseconds for one run: the median of the rounds. */
  readonly median: number;
  /** Times as long as the first contestant: the median of the ratios within each round, which the machine's noise leaves alone. */
  readonly ratio: number;
  /** Half the distance between the quartiles of that ratio, as a share of it. */
  readonly spread: number;
}

let sink: unknown;

/** Milliseconds each contestant runs before anything is timed. */
const WARM_UP = 400;

function timeOnce(contestant: Contestant, times: number): number {
  const started = process.hrtime.bigint();
  for (let n = 0; n < times; n += 1) sink = contestant.run();
  return Number(process.hrtime.bigint() - started) / times;
}

function quantile(sorted: readonly number[], at: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * at))] as number;
}

/**
 * Times every contestant in turn, round after round.
 * @param milliseconds about how long one contestant runs in one round
 */
export function compare(
  contestants: readonly Contestant[],
  { rounds = 41, milliseconds = 15 } = {},
): readonly Timing[] {
  const times = contestants.map((contestant) => {
    // Warm first: the number of runs is chosen by how long one takes once the code is compiled.
    const until = Date.now() + WARM_UP;
    while (Date.now() < until) timeOnce(contestant, 5);
    const once = timeOnce(contestant, 20);
    return Math.max(1, Math.round((milliseconds * 1e6) / once));
  });
  const samples = contestants.map((): number[] => []);
  // Two rounds to warm up again are thrown away.
  for (let round = -2; round < rounds; round += 1)
    contestants.forEach((contestant, index) => {
      const sample = timeOnce(contestant, times[index] as number);
      if (round >= 0) samples[index]?.push(sample);
    });
  const first = samples[0] as number[];
  return contestants.map(({ name }, index) => {
    const own = samples[index] as number[];
    const ratios = own.map((sample, round) => sample / (first[round] as number)).sort((a, b) => a - b);
    const ratio = quantile(ratios, 0.5);
    const sorted = [...own].sort((a, b) => a - b);
    return {
      name,
      median: quantile(sorted, 0.5),
      ratio,
      spread: (quantile(ratios, 0.75) - quantile(ratios, 0.25)) / 2 / ratio,
    };
  });
}

/** Prints times as ratios to the first contestant. */
export function print(title: string, timings: readonly Timing[]): void {
  console.log(`\n${title}`);
  for (const { name, median, ratio, spread } of timings)
    console.log(
      `  ${name.padEnd(44)} ${(median / 1000).toFixed(2).padStart(10)} µs  ${ratio.toFixed(2).padStart(8)} × the first  ±${(spread * 100).toFixed(0)} %`,
    );
  if (sink === compare) console.log();
}
