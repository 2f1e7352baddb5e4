import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { goldenRows } from '../testing/golden.ts';
import { RAIL_SCOPE } from '../testing/rail-scope.ts';
import { mended } from './mend.ts';

const rows = goldenRows('near-misses.tsv') as readonly (readonly [string, string, string])[];

const figures = (text: string) => [...text.replace(/[^0-9]/g, '')].sort();

/** Entries that nobody meant as they stand, with what may be offered for them. */
describe('a near miss', () => {
  it.each(rows)('%s is offered "%s" first, and never "%s"', (entry, first, never) => {
    const issue = mended(reckon(entry, { scope: RAIL_SCOPE }), { scope: RAIL_SCOPE });
    expect(issue).toBeDefined();
    const offered = issue?.fixes.map((fix) => fix.entry) ?? [];
    expect(offered[0] ?? '').toBe(first);
    for (const wrong of never === '' ? [] : never.split(' ¦ ')) expect(offered).not.toContain(wrong);
    // Whatever is offered, no figure that was typed gets lost; how the line reads is no part of its value.
    for (const fix of issue?.code === 'directive.kind' ? [] : offered) {
      const left = figures(fix);
      for (const figure of figures(entry)) {
        const at = left.indexOf(figure);
        expect(at, `${fix} keeps the ${figure} of ${entry}`).not.toBe(-1);
        left.splice(at, 1);
      }
    }
  });

  it('is one of 200 and more', () => {
    expect(rows.length).toBeGreaterThanOrEqual(200);
  });
});
