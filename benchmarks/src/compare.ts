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
  /** Half the distance between the quartiles, as a share of the median. */
  readonly spread: number;
}

let sink: unknown;

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
  { rounds = 15, milliseconds = 60 } = {},
): readonly Timing[] {
  const times = contestants.map((contestant) => {
    timeOnce(contestant, 3);
    const once = timeOnce(contestant, 5);
    return Math.max(1, Math.round((milliseconds * 1e6) / once));
  });
  const samples = contestants.map((): number[] => []);
  // Two rounds to warm up are thrown away.
  for (let round = -2; round < rounds; round += 1)
    contestants.forEach((contestant, index) => {
      const sample = timeOnce(contestant, times[index] as number);
      if (round >= 0) samples[index]?.push(sample);
    });
  return contestants.map(({ name }, index) => {
    const sorted = [...(samples[index] as number[])].sort((a, b) => a - b);
    const median = quantile(sorted, 0.5);
    return { name, median, spread: (quantile(sorted, 0.75) - quantile(sorted, 0.25)) / 2 / median };
  });
}

/** Prints times as ratios to the first contestant. */
export function print(title: string, timings: readonly Timing[]): void {
  const [first] = timings as [Timing];
  console.log(`\n${title}`);
  for (const { name, median, spread } of timings) {
    const ratio = median / first.median;
    console.log(
      `  ${name.padEnd(44)} ${(median / 1000).toFixed(2).padStart(10)} µs  ±${(spread * 100).toFixed(0)} %  ${ratio.toFixed(2).padStart(8)} × the first`,
    );
  }
  if (sink === compare) console.log();
}
