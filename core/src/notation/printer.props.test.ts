import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluate/evaluate.ts';
import { lineResult } from '../slate/node.ts';
import { sameResult } from '../slate/recalculate.ts';
import { entryText, looseText } from '../testing/arbitrary-entry.ts';
import { RAIL_SCOPE } from '../testing/rail-scope.ts';
import { parse } from './parser.ts';
import { printEntry } from './printer.ts';

/** What an entry comes to, places in the text left aside. */
function resultOf(source: string) {
  const { entry } = parse(source);
  if (entry === undefined) return undefined;
  const result = evaluate(entry, RAIL_SCOPE);
  if (result.ok) return lineResult(result.value);
  return { ok: false as const, issue: { ...result.issue, start: 0, fields: {} } as never };
}

describe('the read-back of any entry', () => {
  it('is an entry of the same value that prints as itself', () => {
    fc.assert(
      fc.property(entryText, (source) => {
        const { entry, issues } = parse(source);
        fc.pre(entry !== undefined && issues.length === 0);
        const printed = printEntry(entry as never);
        if (printed.length > 500) return;
        const again = parse(printed);
        expect(again.issues, printed).toEqual([]);
        expect(printEntry(again.entry as never), printed).toBe(printed);
        const [before, after] = [resultOf(source), resultOf(printed)];
        expect(before && after && sameResult(before, after), `${source} → ${printed}`).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });

  it('is one for loose text too, whenever that reads at all', () => {
    fc.assert(
      fc.property(looseText, (source) => {
        const { entry, issues } = parse(source);
        if (entry === undefined || issues.length > 0) return;
        const printed = printEntry(entry);
        const again = parse(printed);
        expect(again.issues, printed).toEqual([]);
        expect(printEntry(again.entry as never)).toBe(printed);
      }),
      { numRuns: 5000 },
    );
  });
});
