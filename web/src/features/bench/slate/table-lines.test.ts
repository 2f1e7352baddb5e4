import { DEFAULT_STYLE } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { pastedLines } from './pasted-lines.ts';
import { tableLines } from './table-lines.ts';

const OWN = [
  'line,label,entry,result,rounded,note',
  ',Plan,,,,',
  `1,across,"26' 4""","26' 4""",,"Taped twice, plate to plate"`,
  `2,,#1 * 2,"52' 8""",,`,
  ',,,,,Look at the north side',
  `4,less,"'-9""","-9""",,`,
].join('\r\n');

describe('a table as lines', () => {
  it('is the slate again where it is its own CSV', () => {
    const lines = pastedLines(tableLines(`\uFEFF${OWN}`) ?? '', { style: DEFAULT_STYLE });
    expect(lines.map(({ kind, text, note, reading }) => [kind, text, note, reading])).toEqual([
      ['heading', 'Plan', '', undefined],
      ['entry', `across: 26' 4"`, 'Taped twice, plate to plate', '26′ 4″'],
      ['entry', '#1 * 2', '', '52′ 8″'],
      ['note', 'Look at the north side', '', undefined],
      ['entry', 'less: -9"', '', '−9″'],
    ]);
  });

  it.each([
    ['tabs', `post\t9' 10"\toak\nrail\t4 × 3'\t`, `post: 9' 10"\n    oak\nrail: 4 × 3'`],
    ['semicolons', 'Pfosten;2400 mm;Eiche\nRiegel;1,2 m;', 'Pfosten: 2400 mm\n    Eiche\nRiegel: 1,2 m'],
    ['sizes first', `2' 6",sill\n3',head`, `sill: 2' 6"\nhead: 3'`],
    ['inch marks that are no quotes', `post\t7 1/4"\nrail\t5 1/2"`, `post: 7 1/4"\nrail: 5 1/2"`],
    ['a heading among them', `Deck,\npost,9'\nrail,8'`, `Deck\npost: 9'\nrail: 8'`],
  ])('of another program, with %s, has labels, entries and notes', (_, text, lines) => {
    expect(tableLines(text)).toBe(lines);
  });

  it.each(["Roof\nrail: 5'\n#1 + 2'", "a note, with a comma\n5' 3\"\n6'", '', '12'])(
    'text that is none stays as it is: %#',
    (text) => {
      expect(tableLines(text)).toBeUndefined();
    },
  );
});
