import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { entryText } from '../testing/arbitrary-entry.ts';
import { RAIL_SCOPE } from '../testing/rail-scope.ts';
import { mended } from './mend.ts';
import { otherReadings } from './other-readings.ts';

const issueOf = (entry: string) => mended(reckon(entry, { scope: RAIL_SCOPE }), { scope: RAIL_SCOPE });

/** What a hand does to an entry: a letter left out, one too many, two the other way round, a word of its own. */
const slips = fc.oneof(
  fc.constant((entry: string, at: number) => entry.slice(0, at) + entry.slice(at + 1)),
  fc
    .constantFrom('+', '*', '(', ')', '3', "'", '"', ' 5', ' by ', ' oc', ' F', 'x', '@', '..', ' to m', '%', ' rial')
    .map((extra) => (entry: string, at: number) => entry.slice(0, at) + extra + entry.slice(at)),
  fc.constant(
    (entry: string, at: number) => entry.slice(0, at) + (entry[at + 1] ?? '') + (entry[at] ?? '') + entry.slice(at + 2),
  ),
);

describe('the fixes of an entry with a slip in it', () => {
  const damaged = fc
    .tuple(entryText, slips, fc.nat({ max: 60 }))
    .map(([entry, slip, at]) => slip(entry, at % (entry.length + 1)));

  it('are few, say something, and change the entry', () => {
    fc.assert(
      fc.property(damaged, (entry) => {
        const fixes = issueOf(entry)?.fixes ?? [];
        expect(fixes.length).toBeLessThanOrEqual(4);
        for (const fix of fixes) {
          expect(fix.label.trim()).not.toBe('');
          expect(fix.entry).not.toBe(entry);
        }
      }),
      { numRuns: 2000 },
    );
  });

  it('lead to an end: the first one applied again and again leaves nothing wrong, or nothing to offer', () => {
    fc.assert(
      fc.property(damaged, (entry) => {
        let text = entry;
        for (let steps = 0; steps < 20; steps += 1) {
          const fix = issueOf(text)?.fixes[0];
          if (fix === undefined) return;
          text = fix.entry;
        }
        throw new Error(`${entry} goes round and round: ${text}`);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('the other meanings of an entry', () => {
  it('are sound, come to something else, and are set as the read-back sets them', () => {
    fc.assert(
      fc.property(entryText, (entry) => {
        const reckoned = reckon(entry, { scope: RAIL_SCOPE });
        const others = otherReadings(reckoned, { scope: RAIL_SCOPE });
        expect(others.length).toBeLessThanOrEqual(2);
        for (const other of others) {
          expect(other.label).not.toMatch(/^$|\d\/\d/);
          const meant = reckon(other.entry, { scope: RAIL_SCOPE });
          expect(meant.issue).toBeUndefined();
          expect(meant.outcome).not.toEqual(reckoned.outcome);
        }
      }),
      { numRuns: 2000 },
    );
  });
});
