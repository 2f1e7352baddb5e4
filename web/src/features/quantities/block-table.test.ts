import { DEFAULT_STYLE } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { textOfBytes } from '../../ui/text-of-bytes.ts';
import { MOST_ROWS, preview, tableOfText, type BlockAsked } from './block-table.ts';

const ask = (asked: Partial<BlockAsked>) =>
  preview({ style: DEFAULT_STYLE, bare: 'plain', marks: [], known: [], ...asked });
const cellsOf = (text: string) => {
  const table = tableOfText(text);
  return 'cells' in table ? table.cells : table.refused;
};
const encoder = new TextEncoder();

describe('a block from elsewhere', () => {
  it.each([
    [
      'tabs',
      'item\tqty\nRails\t8',
      [
        ['item', 'qty'],
        ['Rails', '8'],
      ],
    ],
    [
      'commas and quotes',
      'item,qty\n"Rails, top","1,250"',
      [
        ['item', 'qty'],
        ['Rails, top', '1,250'],
      ],
    ],
    [
      'semicolons',
      'item;qty\nRails;12,5',
      [
        ['item', 'qty'],
        ['Rails', '12,5'],
      ],
    ],
    [
      'quoted inches of a spreadsheet',
      'item\tlength\nRails\t"8\' 4 1/2"""',
      [
        ['item', 'length'],
        ['Rails', `8' 4 1/2"`],
      ],
    ],
    [
      'inches that stand bare',
      `item\tlength\nRails\t8' 4 1/2"\nPosts\t9' 3"`,
      [
        ['item', 'length'],
        ['Rails', `8' 4 1/2"`],
        ['Posts', `9' 3"`],
      ],
    ],
    [
      'a quote that is never closed',
      'item,length\n"Rails,8\nPosts,9',
      [
        ['item', 'length'],
        ['"Rails', '8'],
        ['Posts', '9'],
      ],
    ],
    [
      'empty lines',
      'item,qty\n\n,\nRails,8\n',
      [
        ['item', 'qty'],
        ['Rails', '8'],
      ],
    ],
  ])('is read with %s', (_, text, wanted) => {
    expect(cellsOf(text)).toEqual(wanted);
  });

  it('says so where it is too large, too wide or empty', async () => {
    expect(cellsOf(`a,b\n`.repeat(MOST_ROWS * 10))).toMatch(/^The table has 100000 rows/);
    expect(cellsOf(Array.from({ length: 201 }, (_, n) => n).join(','))).toMatch(/^The table has 201 columns/);
    expect(cellsOf(' \n ')).toMatch(/^There is nothing in it/);
    expect(await ask({ bytes: new Uint8Array(20_000_001) })).toMatchObject({
      refused: expect.stringContaining('larger') as string,
    });
  });

  it('of a file is read in the encoding that it has', () => {
    expect(textOfBytes(encoder.encode('Bohrer für Eiche')).text).toBe('Bohrer für Eiche');
    const { text, remark } = textOfBytes(new Uint8Array([...encoder.encode('Bohrer f'), 0xfc, 0x72]));
    expect([text, remark !== undefined]).toEqual(['Bohrer für', true]);
    const wide = new Uint8Array([0xff, 0xfe, ...[...'Rails'].flatMap((letter) => [letter.charCodeAt(0), 0])]);
    expect(textOfBytes(wide).text).toBe('Rails');
  });

  it('is previewed with marks of the job, and by another plan where that is asked for', async () => {
    const { outcome } = { outcome: { value: { kind: 'rational', num: 3, den: 1 }, dimension: 1 } } as const;
    const text = 'what\tthing\n2 rail\tTop rails';
    const guessed = await ask({ text, marks: [['rail', outcome]] });
    expect(guessed).toMatchObject({ plan: { columns: ['name', 'skip'] } });
    const asked = await ask({ text, marks: [['rail', outcome]], plan: { hasHead: true, columns: ['length', 'name'] } });
    expect(asked).toMatchObject({ rows: [{ fields: { name: 'Top rails', length: '2 rail', measure: 'run' } }] });
  });
});
