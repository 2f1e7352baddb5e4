import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exactText } from '../reading/exact-text.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { Slate } from '../slate/slate.ts';
import { valueForLine } from './value-for-line.ts';

const gone = { number: 4, value: `4' 2"`, order: [3, 4, 7, 5] };

describe('a value in place of a line', () => {
  it.each([
    ['#4 * 3', `(4' 2") * 3`],
    ['#4^2 + #40 + #4', `(4' 2")^2 + #40 + (4' 2")`],
    ['top: 2 #4', `top: 2 (4' 2")`],
    ['sum(#3..#5)', `sum(#3..#5; (4' 2"))`],
    ['sum(#4..#5)', `sum(#7..#5; (4' 2"))`],
    ['mean(#3..#4)', `mean(#3; (4' 2"))`],
    ['sum(#4..#4; 1")', `sum((4' 2"); 1")`],
    ['sum(#7..#5) + 4', 'sum(#7..#5) + 4'],
    ['#44', '#44'],
    ['', ''],
    ['"#4', `"(4' 2")`],
  ])('%s becomes %s', (source, wanted) => {
    expect(valueForLine(source, gone)).toBe(wanted);
  });

  it('leaves every result as it was, whichever line goes', () => {
    const entry = (uses: readonly number[]) =>
      fc.oneof(
        fc.constantFrom(`5' 3 3/8"`, '1/3 m', 'hyp(3"; 5")', '-2 ft', `7"`),
        ...(uses.length === 0
          ? []
          : [
              fc.constantFrom(...uses).map((n) => `#${n} / 3`),
              fc.constantFrom(...uses).map((n) => `2 * #${n} - 1"`),
              fc
                .tuple(fc.nat(uses.length - 1), fc.nat(uses.length - 1), fc.constantFrom('sum', 'mean', 'max'))
                .map(([a, b, name]) => `${name}(#${uses[Math.min(a, b)]}..#${uses[Math.max(a, b)]})`),
            ]),
      );
    const slates = fc
      .integer({ min: 2, max: 9 })
      .chain((count) =>
        fc.tuple(...Array.from({ length: count }, (_, at) => entry(Array.from({ length: at }, (__, n) => n + 1)))),
      );
    fc.assert(
      fc.property(slates, fc.nat(), (sources, choice) => {
        const slate = new Slate();
        const line = (at: number, source: string) => ({ id: `l${at}`, number: at + 1, position: `a${at}`, source });
        slate.load(sources.map((source, at) => line(at, source)));
        const before = slate.lines().map(({ result }) => result);
        const leaving = choice % sources.length;
        const result = before[leaving];
        if (!result?.ok || result.outcome.kind !== 'quantity') throw new Error('every line here has a size');
        const value = exactText(result.outcome.quantity, DEFAULT_STYLE)?.plain;
        if (value === undefined) return;
        const order = sources.map((_, at) => at + 1);
        for (const { id } of slate.usersOf(`l${leaving}`)) {
          const at = Number(id.slice(1));
          slate.put(line(at, valueForLine(sources[at] as string, { number: leaving + 1, value, order })));
        }
        slate.remove(`l${leaving}`);
        for (const { line: kept, result: now } of slate.lines()) {
          const was = before[Number(kept.id.slice(1))];
          expect(plain(now)).toEqual(plain(was));
        }
      }),
    );
  });
});

/** A result whose big integers are text, to be compared as a whole. */
function plain(result: unknown): unknown {
  return JSON.parse(JSON.stringify(result, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value)));
}
