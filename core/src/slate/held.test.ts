import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readQuantity } from '../reading/read-quantity.ts';
import type { LineResult } from './node.ts';
import { Slate } from './slate.ts';

const line = (number: number, source: string, id = `l${number}`) => ({
  id,
  number,
  position: `a${String(number).padStart(4, '0')}`,
  source,
});
function aSlate(...sources: readonly string[]): Slate {
  const slate = new Slate();
  slate.load(sources.map((source, at) => line(at + 1, source)));
  return slate;
}
function reading(result: LineResult | undefined): string | undefined {
  if (result === undefined) return undefined;
  if (!result.ok) return result.issue.code;
  return result.quantity && readQuantity(result.quantity).text;
}
const held = (slate: Slate, id: string) => reading(slate.held(id));

describe('an entry that is held beside the slate', () => {
  it('reads lines, runs and marks, and is recalculated with them', () => {
    const slate = aSlate(`rail = 5'`, `2'`, `1'`);
    slate.hold([
      { id: 'a', source: 'rail / 2' },
      { id: 'b', source: 'sum(#2..#3) + 1"' },
      { id: 'c', source: 'post * 2' },
    ]);
    expect([held(slate, 'a'), held(slate, 'b'), held(slate, 'c')]).toEqual(['2′ 6″', '3′ 1″', 'name.unknown']);
    slate.put(line(4, `rail += 1'`));
    slate.put(line(2, `7'`));
    slate.put(line(5, `post = 3'`));
    expect([held(slate, 'a'), held(slate, 'b'), held(slate, 'c')]).toEqual(['3′', '8′ 1″', '6′']);
    slate.remove('l2');
    expect(held(slate, 'b')).toBe('line.unknown');
  });

  it('is on no slate: it is not among the lines, their users, what landed last, or what can be named', () => {
    const slate = aSlate(`rail = 5'`, '#1 + 1"');
    slate.hold([{ id: 'a', source: 'rail + #1' }]);
    expect(slate.lines()).toHaveLength(2);
    expect(slate.usersOf('l1').map(({ number }) => number)).toEqual([2]);
    expect(slate.usersOfMark('rail')).toEqual([]);
    expect(slate.lastLine()?.number).toBe(2);
    expect(slate.lineNumbered(-1)).toBeUndefined();
    expect(slate.put(line(1, `rail = 6'`)).toSorted()).toEqual(['l1', 'l2']);
    expect(held(slate, 'a')).toBe('12′');
  });

  it('is kept while it reads the same, replaced where it does not, and released with the rest', () => {
    const slate = aSlate(`5'`);
    slate.hold([
      { id: 'a', source: '#1' },
      { id: 'b', source: '#1 * 2' },
    ]);
    const before = slate.held('a');
    slate.hold([
      { id: 'a', source: '#1' },
      { id: 'c', source: '#1 * 3' },
    ]);
    expect(slate.held('a')).toBe(before);
    expect([held(slate, 'b'), held(slate, 'c')]).toEqual([undefined, '15′']);
    slate.hold([]);
    slate.put(line(1, `6'`));
    expect(slate.held('a')).toBeUndefined();
    expect(slate.mayName({ number: 1 })).toEqual(new Set());
  });

  it('is found by what it names, as lines are; what is in error may name anything', () => {
    const slate = aSlate(`rail = 5'`, '#1 + 1"', '3 +', 'sum(#1..#2)', `rail * 2`, `2'`);
    slate.hold([
      { id: 'a', source: '#1' },
      { id: 'b', source: 'Rail' },
      { id: 'c', source: 'sum(#1..#6)' },
      { id: 'd', source: '(' },
      { id: 'e', source: `4'` },
    ]);
    const found = (what: { number?: number; mark?: string }) => [...slate.mayName(what)].toSorted().join(' ');
    expect(found({ number: 1 })).toBe('a c d l2 l3 l4');
    expect(found({ number: 2 })).toBe('c d l3 l4');
    expect(found({ number: 5 })).toBe('c d l3');
    expect(found({ mark: 'RAIL' })).toBe('b d l1 l3 l5');
    expect(found({ number: 6, mark: 'rail' })).toBe('b c d l1 l3 l5');
    expect(found({})).toBe('d l3');
  });

  it('is found in a line that is refused for a circle, whose run goes over the line', () => {
    const slate = aSlate(`1'`, `2'`, `3'`, 'sum(#1..#5)', '#4');
    expect(slate.lines().filter(({ result }) => !result.ok)).not.toEqual([]);
    const refused =
      slate.lines().find(({ result }) => !result.ok && result.issue.code === 'line.circle')?.line.id ?? '';
    expect(slate.mayName({ number: 2 })).toContain('l4');
    expect(slate.mayName({ number: 2 })).toContain(refused);
  });

  it('follows a slate that another thread works on', () => {
    const slate = aSlate(`5'`, '#1 * 2');
    slate.hold([{ id: 'a', source: '#2 + 1"' }]);
    slate.putLater(line(1, `6'`));
    expect(held(slate, 'a')).toBe('10′ 1″');
    const other = aSlate(`6'`, '#1 * 2');
    slate.accept(other.lines().map(({ line: { id }, result }) => [id, result]));
    expect(held(slate, 'a')).toBe('12′ 1″');
    slate.putLater(line(1, `7'`));
    slate.recalculateAll();
    expect(held(slate, 'a')).toBe('14′ 1″');
  });

  it('comes to the same as a line that says the same, whatever is done to the slate', () => {
    const source = fc.constantFrom(`5'`, '#1', '#2 + 1"', 'm * 2', `m = 3'`, 'm += #1', 'sum(#1..#3)', '1 +', '#4 / 3');
    const act = fc.record({ at: fc.integer({ min: 1, max: 5 }), source: fc.option(source, { nil: undefined }) });
    fc.assert(
      fc.property(fc.array(source, { minLength: 3, maxLength: 5 }), source, fc.array(act), (sources, entry, acts) => {
        fc.pre(!entry.includes('=') && !entry.includes('+='));
        const slate = aSlate(...sources);
        slate.hold([{ id: 'h', source: entry }]);
        for (const { at, source: now } of acts) {
          if (now === undefined) slate.remove(`l${at}`);
          else slate.put(line(at, now));
          const twin = new Slate();
          twin.load([...slate.lines().map((one) => one.line), line(99, entry, 'twin')]);
          expect(held(slate, 'h')).toBe(reading(twin.line('twin')?.result));
        }
      }),
      { numRuns: 200 },
    );
  });
});
