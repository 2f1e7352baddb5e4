import { describe, expect, it } from 'vitest';
import { DECKS, programOf } from '../testing/jigs.ts';
import { fromStored, storedIds, storedJigs, storedMade, toStored, withOtherIds } from './stored-references.ts';

const ids = new Map([1, 2, 12].map((number) => [number, `00000000-0000-4000-8000-${`${number}`.padStart(12, '0')}`]));
const marks = new Map(
  ['rail', 'post', 'by', 'Rød'].map((name, nth) => [
    name.toLowerCase(),
    `00000000-0000-4000-9000-${`${nth}`.padStart(12, '0')}`,
  ]),
);
const IDS = { lineId: (number: number) => ids.get(number), markId: (name: string) => marks.get(name.toLowerCase()) };
const NAMES = {
  lineNumber: (id: string) => [...ids].find(([, one]) => one === id)?.[0],
  markName: (id: string) => [...marks].find(([, one]) => one === id)?.[0],
};

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
    const stored = toStored(entry, IDS);
    expect(storedIds(stored)).toEqual(numbers.map((number) => ids.get(number)));
    expect(stored.replace(/[#@]\{[^}]*\}/g, '')).not.toContain('#');
    expect(fromStored(stored, NAMES)).toBe(entry);
  });

  it('to a line that is not there stays as it was typed', () => {
    expect(toStored('#3 + #1', IDS)).toBe(`#3 + #{${ids.get(1)}}`);
    expect(fromStored(`#{${ids.get(1)}} + 1`, { ...NAMES, lineNumber: () => undefined })).toBe('#0 + 1');
  });

  it.each([
    ['rail', '@rail'],
    ['-rail', '-@rail'],
    ['2rail', '2@rail'],
    ['2 rail + 3(post)', '2 @rail + 3(@post)'],
    ['((rail))/2', '((@rail))/2'],
    ['rail = #1 / 2', '@rail = #1 / 2'],
    ['rail += post', '@rail += @post'],
    ['rail −= 2"', '@rail −= 2"'],
    ['hyp(rail; post) to mm', 'hyp(@rail; @post) to mm'],
    ['rail =', '@rail ='],
    ['rail == post', '@rail == @post'],
    // Only where it stands as a name.
    [`12' divided by 3`, `12' divided by 3`],
    ['by divided by 3', '@by divided by 3'],
    ['rail: post * 2', 'rail: @post * 2'],
    // What cannot be read is stored by ids as well: it may come to be read.
    ['rail * (post +', '@rail * (@post +'],
    ['rail 8', '@rail 8'],
    ['lathe * rail', 'lathe * @rail'],
  ])('to a mark is stored by its id, and only there: %s', (entry, written) => {
    const stored = toStored(entry, IDS);
    const expected = written.replace(/@([a-z]+)/g, (_, name: string) => `@{${marks.get(name)}}`);
    expect(stored.replaceAll(ids.get(1) as string, '1').replace('#{1}', '#1')).toBe(expected);
    expect(fromStored(stored, NAMES)).toBe(entry);
  });

  it('to a mark follows its name, and says where the mark is gone', () => {
    const stored = toStored('RAIL * 2 + rød', IDS);
    expect(
      fromStored(stored, { ...NAMES, markName: (id) => (id === marks.get('rail') ? 'top_rail' : undefined) }),
    ).toBe('top_rail * 2 + mark_gone');
  });

  it('returns which mark an entry makes', () => {
    for (const [entry, name] of [
      [`rail = 5'`, 'rail'],
      ['post -= 2"', 'post'],
      ['post −= 2"', 'post'],
      ['rail == post', undefined],
      ['rail + 2"', undefined],
      [`lathe = 5'`, undefined],
    ] as const)
      expect([entry, storedMade(toStored(entry, IDS))]).toEqual([entry, name && marks.get(name)]);
  });

  it('is another one in a copy', () => {
    const stored = toStored('rail = #1 * 2', IDS);
    expect(withOtherIds(stored, (id) => id.replace('0000-4000', '1111-4111'))).toBe(
      stored.replaceAll('0000-4000', '1111-4111'),
    );
  });
});

describe('jigs in stored entries', () => {
  const ID = '00000000-0000-7000-8000-000000000001';
  const jigs = new Map([['decks', programOf(DECKS)]]);
  const ids = {
    lineId: () => undefined,
    markId: () => undefined,
    jigId: (name: string) => (/^decks$/i.test(name) ? ID : undefined),
  };
  const named = (name: string | undefined) => ({
    lineNumber: () => undefined,
    markName: () => undefined,
    jigName: () => name,
  });

  it.each([
    [`2 * decks(12')`, `2 * %{${ID}}(12')`],
    [`rest from Decks(width = 12')`, `rest from %{${ID}}(width = 12')`],
    [`decks: decks(12') + 10%`, `decks: %{${ID}}(12') + 10%`],
    // What cannot be read keeps it too; a mark of that name is none.
    [`5' 4' decks(12'`, `5' 4' %{${ID}}(12'`],
    ['decks * 2', 'decks * 2'],
  ])('%s', (entry, stored) => {
    expect(toStored(entry, ids, { jigs })).toBe(stored);
    expect(fromStored(stored, named('decks'))).toBe(entry.replace('Decks(', 'decks('));
    expect(storedJigs(stored)).toEqual(stored.includes('%{') ? [ID] : []);
  });

  it('show another name where the jig is called otherwise, and say so where it is gone', () => {
    expect(fromStored(`%{${ID}}(12')`, named('boards'))).toBe(`boards(12')`);
    expect(fromStored(`%{${ID}}(12')`, named(undefined))).toBe(`jig_gone(12')`);
    expect(withOtherIds(`%{${ID}}(12')`, () => 'other')).toBe(`%{other}(12')`);
  });
});
