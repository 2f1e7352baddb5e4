import { parse } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { usedBy } from './used.ts';

const used = (entry: string, before = usedBy(undefined, [], undefined)) =>
  usedBy(parse(entry).entry, [3, 1, 7, 2], before);

describe('what an entry uses', () => {
  it.each([
    ['#3 + 2 Rail', [3], ['rail']],
    ['sum(#3..#7)', [3, 1, 7], []],
    ['sum(#9..#7)', [], []],
    [`5'`, [], []],
    ['', [], []],
  ])('%s: lines %o, marks %o', (entry, lines, marks) => {
    const { lines: found, marks: named } = used(entry);
    expect([[...found], [...named]]).toEqual([lines, marks]);
  });

  it('is the very same while it holds the same', () => {
    const first = used('#3 + rail');
    expect(used('#3 + rail * 2', first)).toBe(first);
    expect(used('#1 + rail', first)).not.toBe(first);
    expect(used('#3', first)).not.toBe(first);
  });
});
