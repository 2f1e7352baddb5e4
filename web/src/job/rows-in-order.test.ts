import { comparePlaces, type LineWire } from '@sprell/contract';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { RowsInOrder } from './rows-in-order.ts';
import type { SlateRow } from './slate-row.ts';

const aLine = (n: number, position: string, deleted = false): LineWire => ({
  ...{ id: `line${n}`, kind: 'note', number: null, position, source: '', label: null },
  ...{ note: `${n} at ${position}`, revision: 1, deleted },
});
const rowOf = (line: LineWire): SlateRow => ({ kind: 'note', line, words: line.note });

describe('rows in their order', () => {
  it('are those of a list that is sorted again each time, whatever changes', () => {
    const step = fc.record({
      n: fc.nat(30),
      position: fc.constantFrom('a0', 'a1', 'a2', 'b0', 'b1', 'c'),
      what: fc.constantFrom('put', 'put', 'put', 'delete', 'forget', 'all'),
    });
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 6 }), { maxLength: 30 }), (rounds) => {
        const lines = new Map<string, LineWire>();
        const rows = new RowsInOrder(rowOf);
        for (const round of rounds) {
          for (const { n, position, what } of round) {
            if (what === 'all') rows.allChanged();
            else if (what === 'forget') lines.delete(`line${n}`);
            else lines.set(`line${n}`, aLine(n, position, what === 'delete'));
            rows.changed(`line${n}`);
          }
          const sorted = [...lines.values()].filter(({ deleted }) => !deleted).sort(comparePlaces);
          expect(rows.of(lines)).toEqual(sorted.map(rowOf));
        }
      }),
    );
  });

  it('are the same list where nothing changed, and the same rows but for what did', () => {
    const lines = new Map(Array.from({ length: 500 }, (_, n) => [`line${n}`, aLine(n, `a${n + 1000}`)]));
    const make = vi.fn(rowOf);
    const rows = new RowsInOrder(make);
    const before = rows.of(lines);
    expect(rows.of(lines)).toBe(before);
    make.mockClear();
    lines.set('line7', { ...aLine(7, 'a1007'), note: 'another' });
    rows.changed('line7');
    const after = rows.of(lines);
    expect(make).toHaveBeenCalledOnce();
    expect(after[7]).not.toBe(before[7]);
    expect(after.filter((row, n) => row !== before[n])).toHaveLength(1);
    for (let n = 0; n < 200; n += 1) rows.changed(`line${n}`);
    make.mockClear();
    rows.of(lines);
    expect(make).toHaveBeenCalledTimes(200);
  });
});
