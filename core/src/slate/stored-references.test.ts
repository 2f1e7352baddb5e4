import { describe, expect, it } from 'vitest';
import { fromStored, storedIds, toStored } from './stored-references.ts';

const ids = new Map([1, 2, 12].map((number) => [number, `00000000-0000-4000-8000-${`${number}`.padStart(12, '0')}`]));
const idOf = (number: number) => ids.get(number);
const numberOf = (id: string) => [...ids].find(([, one]) => one === id)?.[0];

describe('a reference', () => {
  it.each([
    ['#1', [1]],
    ['-#1', [1]],
    ['2#1', [1]],
    ['(#1)', [1]],
    ['(#1 + #2)*2', [1, 2]],
    ['#1#2', [1, 2]],
    [`5' 3"+#12-#1`, [12, 1]],
    ['sum(#1..#12) / #2', [1, 12, 2]],
    ['rail = #2 * (#1 - 1/8")', [2, 1]],
    ['#1 ft in mm', [1]],
    ['hyp(#1; #2) to 1/32', [1, 2]],
  ])('is stored by its id wherever it stands: %s', (entry, numbers) => {
    const stored = toStored(entry, idOf);
    expect(storedIds(stored)).toEqual(numbers.map(idOf));
    expect(stored.replace(/#\{[^}]*\}/g, '')).not.toContain('#');
    expect(fromStored(stored, numberOf)).toBe(entry);
  });

  it('to a line that is not there stays as it was typed', () => {
    expect(toStored('#3 + #1', idOf)).toBe(`#3 + #{${idOf(1)}}`);
    expect(fromStored(`#{${idOf(1)}} + 1`, () => undefined)).toBe('#0 + 1');
  });
});
