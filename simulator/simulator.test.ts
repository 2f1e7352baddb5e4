import fc from 'fast-check';
import { afterEach, beforeEach, describe, it, vi } from 'vitest';
import { BuildingSite, DOINGS, type Step } from './building-site.ts';

/** So many runs; `bin/test stress` makes more. */
const RUNS = Number(process.env['SPRELL_SIMULATED_RUNS'] ?? 100);
const STEPS = 60;

const steps = fc.array(
  fc.record<Step>({
    what: fc.oneof(
      ...Object.entries(DOINGS).map(([what, weight]) => ({ arbitrary: fc.constant(what as Step['what']), weight })),
    ),
    who: fc.nat(5),
    pick: fc.nat(200),
    size: fc.integer({ min: 1, max: 200 }),
  }),
  { minLength: STEPS, maxLength: STEPS },
);

describe('several devices on one job', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('come to the same, and lose nothing that was written, whatever happens', async () => {
    await fc.assert(
      fc.asyncProperty(fc.nat(), steps, async (seed, all) => {
        localStorage.clear();
        const site = new BuildingSite(seed);
        try {
          await site.begin();
          for (const step of all) await site.do(step);
          await site.end();
          await site.check();
        } catch (error) {
          if (process.env['SPRELL_TELL']) console.log(site.story.join('\n'));
          throw error;
        } finally {
          for (const device of site.devices) for (const page of [...device.pages]) device.kill(page);
        }
      }),
      {
        numRuns: RUNS,
        seed: Number(process.env['SPRELL_SEED'] ?? 1),
        ...(process.env['SPRELL_PATH'] ? { path: process.env['SPRELL_PATH'] } : {}),
        endOnFailure: process.env['SPRELL_SHRINK'] === undefined,
      },
    );
    // As long as it takes.
  }, 3_600_000);
});
