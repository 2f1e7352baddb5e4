import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { planOfBlock } from './block-columns.ts';
import { HEADING, readBlock, saidBy, type BlockOptions } from './block.ts';
import { marksOf } from '../testing/take-off-rows.ts';

const cellsOf = (text: string) => text.split('\n').map((line) => line.split('|').map((cell) => cell.trim()));
type Options = Partial<BlockOptions>;
function read(text: string, options: Options = {}) {
  const cells = cellsOf(text);
  return readBlock(cells, planOfBlock(cells), { describe: describeIssue, ...options });
}
const fields = (text: string, options?: Options) => read(text, options).map((row) => row.fields);

describe('the columns of a table from elsewhere', () => {
  it.each([
    ['Item | Qty | Unit | Unit price | Supplier', ['name', 'amount', 'unit', 'price', 'supplier']],
    [
      'DESCRIPTION | No. | Length | Width (in) | Thickness | Waste %',
      ['name', 'count', 'length', 'width', 'depth', 'waste'],
    ],
    ['Material | Price | Price | Colour', ['name', 'price', 'skip', 'skip']],
  ])('are known by the words over them: %s', (head, wanted) => {
    expect(planOfBlock(cellsOf(`${head}\nx | 1`))).toEqual({ hasHead: true, columns: wanted });
  });

  it('are guessed by what is in them where no words are', () => {
    const rows = `Joists | 16 | ea | 13' 2" | $24.50\nRim | 8 | ea | 11' | $18\nPosts | 8 | ea | 9' 10" | $31.10`;
    expect(planOfBlock(cellsOf(rows))).toEqual({
      hasHead: false,
      columns: ['name', 'amount', 'unit', 'length', 'price'],
    });
  });
});

describe('a row of a table from elsewhere', () => {
  const HEAD = 'item | qty | unit | length | width | price';
  it.each([
    [
      'sizes as the bench reads them',
      `Rails | 14 | ea | 8'-0" | | $3.35`,
      { measure: 'each', count: '14', length: `8'-0"` },
    ],
    [
      'an amount with its unit',
      'Skirting | 12 lf | | | | 2.10',
      { measure: 'run', length: '12 lf', price: '2.10', per: 'ft' },
    ],
    [
      'an amount with the unit beside it',
      'Shingles | 1,690 | SF | | | 112',
      { measure: 'area', length: '1,690 SF', per: 'ft2' },
    ],
    ['yards of concrete', 'Concrete | 4.5 | CY | | | $168', { measure: 'volume', length: '4.5 CY', per: 'yd3' }],
    [
      'a nominal section',
      `Joists | 16 | | 13' 2" | 2x8 | 1.85`,
      { measure: 'board', count: '16', width: '2" * 8"', per: 'bf' },
    ],
    ['a floor', `Deck | | | 12' | 9' | $7`, { measure: 'area', length: `12'`, width: `9'`, per: 'ft2' }],
    ['hours', 'Crew | 45 | hrs | | | 38', { measure: 'hours', apiece: '45 hrs', per: 'h' }],
    [
      'a number that was pasted as text',
      `Bolts | '32 | ea | | | '1.28`,
      { measure: 'each', count: '32', price: '1.28' },
    ],
    [
      'as many of a length, beside what they are measured by',
      `Studs | 24 | m | 2.4 m | | 1.90`,
      { measure: 'run', count: '24', length: '2.4 m', per: 'm' },
    ],
    [
      'boards beside board feet',
      `Joists | 16 | bf | 13' 2" | 2x8 | 1.85`,
      { measure: 'board', count: '16', length: `13' 2"` },
    ],
    [
      'a run in all beside the length that it comes in',
      `Rail | 57.6 | m | 2.4 m | | 4`,
      { measure: 'run', length: '57.6 m', pack: '2.4 m' },
    ],
    ['how many, as bills say it', 'Hooks | 40 no | | | | 2', { measure: 'each', count: '40' }],
    ['pieces', 'Hooks | 40 pcs. | | | | 2', { measure: 'each', count: '40' }],
    ['figures grouped by spaces', 'Bricks | 12\u00a0500 | ea | | | 0.85', { count: '12500' }],
  ])('is read with %s', (_, row, wanted) => {
    const [one] = read(`${HEAD}\n${row}`);
    expect(one?.refused).toBeUndefined();
    expect(one?.fields).toMatchObject(wanted);
  });

  it('takes a bare number among sizes as the job does', () => {
    expect(fields('item | count | length\nBattens | 12 | 2400', { bare: 'mm' })[0]).toMatchObject({
      count: '12',
      length: '2400 mm',
    });
  });

  it('may name marks of the job', () => {
    expect(read('item | length\nRails | 2 rail', { scope: marksOf({ rail: `10'` }) })[0]?.refused).toBeUndefined();
  });

  it.each([
    ['Posts | 8 | ea | nine feet | | $4', 'length: '],
    ['Total | | | | | $6,994.49', 'A total of the table'],
    ['Sub-total | 5 | | | | $4', 'A total of the table'],
    ['=cmd()', 'Words alone'],
    ['Bolts | =A1*2 | ea | | | 2', 'amount: A formula of another program'],
    ['Bolts | +cmd() | ea | | | 2', 'amount: A formula of another program'],
    [`Deck | 12.5 | m2 | 4 m | 3 m | 7`, 'length: The amount says how much it is already'],
    [' | 8 | ea | | | $4', 'It has no name.'],
  ])('is refused where it is none: %s', (row, why) => {
    expect(read(`${HEAD}\n${row}`)[0]?.refused).toContain(why);
  });

  it('comes under the heading above it', () => {
    const rows = read(`${HEAD}\nRoof |||||\nShingles | 4 | ea | | | $2\nDeck |||||\nBoards | 9 | ea | | | $3`);
    expect(rows.map(({ refused, fields: { name, section } }) => [name, section, refused === HEADING])).toEqual([
      ['Roof', '', true],
      ['Shingles', 'Roof', false],
      ['Deck', '', true],
      ['Boards', 'Deck', false],
    ]);
  });

  it('that says what another says is marked', () => {
    const rows = read(`${HEAD}\nBolts | 8 | ea | | | $4\nBolts | 8 | ea | | | $4\nBolts | 9 | ea | | | $4`);
    expect(rows.map(({ repeats }) => repeats)).toEqual([false, true, false]);
    const known = new Set(rows.slice(0, 1).map((row) => saidBy(row.fields)));
    expect(read(`${HEAD}\nbolts | 8 | ea | | | $4`, { known })[0]?.repeats).toBe(true);
  });

  it('says how each cell was read', () => {
    const [row] = read(`item | length | price\nRails | 8 ft 4 in | 3,5`);
    expect(row?.cells.map(({ column, reads, problem }) => [column, reads, problem])).toEqual([
      ['name', '', undefined],
      ['length', '8′ 4″', undefined],
      ['price', '3,5', undefined],
    ]);
    expect(read(`item | length\nRails | 3.5 m\nPosts | 12,5 m`)[1]?.refused).toBeDefined();
  });

  it('is none where nothing stands in it, however wide the table', () => {
    const wide = Array.from({ length: 200 }, (_, n) => (n === 0 ? 'item' : n === 150 ? 'qty' : `c${n}`));
    const row = wide.map((_, n) => (n === 0 ? 'Bolts' : n === 150 ? '8' : 'x'));
    expect(readBlock([wide, row, []], planOfBlock([wide, row, []]), { describe: describeIssue })).toHaveLength(1);
    expect(readBlock([], planOfBlock([]), { describe: describeIssue, style: DEFAULT_STYLE })).toEqual([]);
  });
});
