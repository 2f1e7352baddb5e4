import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SlateLine } from './node.ts';
import { Slate } from './slate.ts';

const lineOf = (number: number, source: string): SlateLine => ({
  id: `line-${number}`,
  number,
  position: `a${`${number}`.padStart(4, '0')}`,
  source,
});
const later = (sources: readonly string[]) => {
  const slate = new Slate();
  slate.loadLater(sources.map((source, index) => lineOf(index + 1, source)));
  return slate;
};
const resultsOf = (slate: Slate, ids: readonly string[]) => ids.map((id) => slate.line(id)?.result);

describe('the foot of a slate that is worked out elsewhere', () => {
  const entry = fc.oneof(
    fc.nat(50).map((size) => `${size}' 3/8"`),
    fc
      .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 2, max: 5 }))
      .map(([used, by]) => `#${used} / ${by} + 1"`),
    fc.constantFrom('rail = #1 + 2"', 'rail += 3"', 'rail * 2', 'sum(#1..#3)'),
  );

  it('comes to the same as all of it, line by line, and nothing else has a result', () => {
    fc.assert(
      fc.property(
        fc.array(entry, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 1, max: 4 }),
        (sources, count) => {
          const all = new Slate();
          all.load(sources.map((source, index) => lineOf(index + 1, source)));
          const slate = later(sources);
          const ids = slate.workOutFoot(count, 100);
          if (ids.length === 0) return;
          const foot = sources
            .slice(-count)
            .map((_, n) => `line-${sources.length - Math.min(count, sources.length) + n + 1}`);
          expect(ids).toEqual(expect.arrayContaining(foot));
          expect(resultsOf(slate, ids)).toEqual(resultsOf(all, ids));
          const others = sources.map((_, n) => `line-${n + 1}`).filter((id) => !ids.includes(id));
          expect(resultsOf(slate, others)).toEqual(resultsOf(later(sources), others));
        },
      ),
      { numRuns: 500 },
    );
  });

  it('is left to the full recalculation where it takes much, or runs in a circle', () => {
    const chain = [`1'`, ...Array.from({ length: 30 }, (_, n) => `#${n + 1} + 1"`)];
    expect(later(chain).workOutFoot(1, 31)).toHaveLength(31);
    expect(later(chain).workOutFoot(1, 30)).toEqual([]);
    expect(later(['#2 + 1', '#1 + 1', `5'`]).workOutFoot(2, 100)).toEqual([]);
    expect(later(['#2 + 1', '#1 + 1', `5'`]).workOutFoot(1, 100)).toEqual(['line-3']);
    expect(new Slate().workOutFoot(5, 100)).toEqual([]);
  });
});
