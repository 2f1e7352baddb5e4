import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { hintsOf } from './hints.ts';
import type { CellName, Measure } from './measure.ts';
import { reckon } from '../evaluate/reckon.ts';
import type { Quantity } from '../units/quantity.ts';
import { readRowQuantity, rowEntry, rowSays } from './says.ts';
import { aRow, marksOf, worked } from '../testing/take-off-rows.ts';

const says = (...row: Parameters<typeof aRow>) => rowSays(worked(aRow(...row)));
function refused(measure: Measure, given: Parameters<typeof aRow>[1]) {
  const { issues } = worked(aRow(measure, given));
  return Object.entries(issues).map(([cell, issue]) => `${cell}: ${describeIssue(issue)}`);
}

describe('a row of a take-off', () => {
  it.each<readonly [string, Measure, NonNullable<Parameters<typeof aRow>[1]>]>([
    ['a run', 'run', { count: '14', length: `8' 4 3/7"` }],
    ['an area by the square', 'area', { length: `26'`, width: `8'`, per: 'square', price: '120' }],
    ['a volume by the yard', 'volume', { length: `12'`, width: `9'`, depth: `4"`, per: 'yd3', price: '130' }],
    ['board measure', 'board', { count: '7', length: `12'`, width: `5 1/2"`, depth: `2"` }],
    ['paint', 'volume', { length: '100 cu in', pack: '1 gal' }],
    ['pieces', 'each', { count: '24' }],
    ['hours', 'hours', { count: '3', apiece: '7 h 30 min' }],
  ])('has %s as an entry of exactly that, which reads as it does in the row', (_, measure, given) => {
    const row = worked(aRow(measure, given));
    const quantity = row.quantity as Quantity;
    const { outcome, reading } = reckon(rowEntry(row, quantity) ?? '');
    expect(outcome).toMatchObject({ quantity });
    expect(reading?.text).toBe(readRowQuantity(row, quantity).text);
  });

  it('reads in the unit of its packs, where it is priced by no other', () => {
    const paint = aRow('volume', { count: '2', length: '100 cu in', pack: '1 gal', per: 'pack', price: '54' });
    // 200 cubic inches are 0.866 of a gallon of 231.
    expect(rowSays(worked(paint))).toEqual([
      '2 × 0.0579 cu ft = 0.866 gal',
      '1 × 1 gal = 1 gal, 0.134 gal left over',
      '1 × $54.00 a pack = $54.00',
    ]);
    expect(rowSays(worked({ ...paint, per: 'ft3' }))[1]).toContain('cu ft');
  });

  it.each<readonly [string, ...Parameters<typeof aRow>, string]>([
    // Worked out by hand.
    ['pieces', 'each', { count: '24' }, '24'],
    ['a run', 'run', { count: '14', length: `8' 4"` }, '14 × 8′ 4″ = 116′ 8″'],
    ['a run less doors', 'run', { length: `48'`, less: `2 * 2' 8"` }, '48′ − 5′ 4″ = 42′ 8″'],
    [
      'a wall less its openings',
      'area',
      { length: `26'`, width: `8'`, less: `3' * 6' 8" + 2 * 3' * 4'` },
      '26′ × 8′ − 44 sq ft = 164 sq ft',
    ],
    ['an area that is known', 'area', { length: '796.5 sq ft' }, '796.5 sq ft'],
    ['a slab', 'volume', { length: `12'`, width: `9'`, depth: `4"` }, '12′ × 9′ × 4″ = 36 cu ft'],
    ['a slab of an area', 'volume', { length: '108 sq ft', depth: `4"` }, '108 sq ft × 4″ = 36 cu ft'],
    // 10 pieces of 12 ft by 2 × 6 nominal are 120 board feet.
    ['nominal sizes', 'board', { count: '10', length: `12'`, width: `6"`, depth: `2"` }, '10 × 12′ × 6″ × 2″ = 120 bf'],
    [
      'nominal sizes in one cell',
      'board',
      { count: '10', length: `12'`, width: `2" * 6"` },
      '10 × 12′ × 0.083 sq ft = 120 bf',
    ],
    ['bags', 'mass', { count: '12', apiece: '80 lb' }, '12 × 80 lb = 960 lb'],
    ['hours', 'hours', { count: '3', apiece: '7 h 30 min' }, '3 × 7.5 h = 22.5 h'],
  ])('measures %s', (_, measure, given, first) => {
    expect(says(measure, given)[0]).toBe(first);
  });

  it.each<readonly [string, ...Parameters<typeof aRow>, readonly string[]]>([
    // A price per foot on metres: 38.1 m are 125 ft exactly.
    [
      'a price per foot on metres',
      'run',
      { length: '38.1 m', price: '$4.20', per: 'ft' },
      ['125′ × $4.20/ft = $525.00'],
    ],
    [
      'a price that says its own unit',
      'run',
      { length: '38.1 m', price: '$4.20 / ft', per: 'm' },
      ['125′ × 4.2 $/ft = $525.00'],
    ],
    [
      '$ per board foot on nominal sizes',
      'board',
      { count: '10', length: `12'`, width: `6"`, depth: `2"`, price: '1.85', per: 'bf' },
      ['120 bf × $1.85/bf = $222.00'],
    ],
    [
      '$ per thousand board feet',
      'board',
      { count: '10', length: `12'`, width: `6"`, depth: `2"`, price: '$950', per: 'mbf' },
      ['120 bf × $950.00/1,000 bf = $114.00'],
    ],
    // 1,690 sq ft are 16.9 squares.
    [
      '$ per square on square feet',
      'area',
      { length: `65'`, width: `26'`, price: '$112', per: 'square' },
      ['16.9 squares × $112.00/square = $1,892.80'],
    ],
    [
      'a price of a piece on a run',
      'run',
      { count: '14', length: `8' 4"`, price: '$9.60', per: 'each' },
      ['14 × $9.60 each = $134.40'],
    ],
    [
      'pieces by the hundred',
      'each',
      { count: '250', price: '$18', per: 'hundred' },
      ['250 × $18.00 a hundred = $45.00'],
    ],
    [
      'waste and whole pieces',
      'each',
      { count: '45', waste: '10%', price: '$2' },
      ['with 10 % waste = 49.5', '50 to order, 0.5 left over', '50 × $2.00 each = $100.00'],
    ],
    [
      'sheets',
      'area',
      { length: `26'`, width: `8'`, waste: '8', pack: `4' * 8'`, price: '$31.50', per: 'pack' },
      [
        'with 8 % waste (8 is read as 8 %) = 224.64 sq ft',
        '8 × 32 sq ft = 256 sq ft, 31.36 sq ft left over',
        '8 × $31.50 a pack = $252.00',
      ],
    ],
    [
      // Two pieces of 92 5/8″ from 16′, and none from what is left of each: 30 pieces are 15 lengths.
      'stock lengths cut whole',
      'run',
      { count: '30', length: '92 5/8"', pack: `16'`, price: '$0.80', per: 'ft' },
      ['15 × 16′ = 240′, 8′ 5 1⁄4″ left over', '240′ × $0.80/ft = $192.00'],
    ],
    [
      'stock lengths that are joined',
      'run',
      { count: '30', length: '92 5/8"', pack: `16'`, isCutWhole: false },
      ['15 × 16′ = 240′, 8′ 5 1⁄4″ left over'],
    ],
    [
      'two prices',
      'volume',
      { length: '108 sq ft', depth: `4"`, price: '$138', other: '$129.5', per: 'yd3' },
      ['1.3333 cu yd × $138.00/cu yd = $184.00', 'second price: 1.3333 cu yd × $129.50/cu yd = $172.67'],
    ],
  ])('buys with %s', (_, measure, given, rest) => {
    expect(says(measure, given).slice(1)).toEqual(rest);
  });

  it('cuts from each stock length what it holds: 3 of 62″ from 16′ where 3.1 would fit', () => {
    const row = worked(aRow('run', { count: '10', length: '62"', pack: `16'` }));
    expect(row.packs).toMatchObject({ num: 4, den: 1 });
    expect(row.leftOver && readRowQuantity(row, row.leftOver).text).toBe('12′ 4″');
  });

  it.each<readonly [string, Measure, Parameters<typeof aRow>[1], readonly string[]]>([
    [
      'length times width where depth was meant',
      'volume',
      { length: `12'`, width: `9'` },
      ['depth: The depth is still to come: the row is measured by volume.'],
    ],
    [
      'a size of another kind',
      'area',
      { length: `12'`, width: '3 kg' },
      ['width: The width is a mass; a length belongs there.'],
    ],
    [
      'sizes that make something else',
      'area',
      { length: '12 sq ft', width: `3'` },
      ['width: These sizes make a volume, and the row is measured by area: change a size, or what it is measured by.'],
    ],
    [
      'a plain number for a size',
      'run',
      { length: '12' },
      ['length: The length is a plain number; a length belongs there.'],
    ],
    [
      'a count with a unit',
      'run',
      { count: `3'`, length: `12'` },
      ['count: The count is a length; a plain number belongs there.'],
    ],
    ['no count', 'each', {}, ['count: The count is still to come: the row is measured by number.']],
    [
      'openings larger than the wall',
      'area',
      { length: `4'`, width: `4'`, less: '20 sq ft' },
      ['less: With this amount to leave out nothing is left to buy; it has to come to more than zero.'],
    ],
    [
      'a size below zero',
      'run',
      { length: `3' - 4'` },
      ['length: With this length nothing is left to buy; it has to come to more than zero.'],
    ],
    [
      'waste that is no rate',
      'run',
      { length: `3'`, waste: `2'` },
      ['waste: A rate is a part of the whole, from 0 to 1,000 %: write it as 8 %.'],
    ],
    [
      'a price of something else',
      'area',
      { length: '9 sq ft', price: '$3/ft' },
      [
        'price: This price is a mixed kind of quantity, which does not fit a row that is measured by area; write money, or money for a unit of that.',
      ],
    ],
    [
      'a price for a unit that does not fit',
      'area',
      { length: '9 sq ft', price: '$3', per: 'ft' },
      [
        'price: This price is a price for a ft, which does not fit a row that is measured by area; write money, or money for a unit of that.',
      ],
    ],
    [
      'a price of a pack without one',
      'area',
      { length: '9 sq ft', price: '$3', per: 'pack' },
      ['price: The price is for a pack; say what is in one, or what else the price is for.'],
    ],
    [
      'a pack of another kind',
      'area',
      { length: '9 sq ft', pack: `8'` },
      ['pack: The pack is a length; an area belongs there.'],
    ],
    [
      'an empty pack',
      'area',
      { length: '9 sq ft', pack: '0 sq ft' },
      ['pack: With this pack nothing is left to buy; it has to come to more than zero.'],
    ],
    [
      'a piece longer than its stock',
      'run',
      { count: '4', length: `17'`, pack: `16'` },
      ['pack: A piece of 17′ cannot be cut from a stock length of 16′; choose longer stock, or let pieces be joined.'],
    ],
    [
      'an entry that cannot be read',
      'run',
      { length: 'twelve' },
      ['length: There is no mark called “twelve”; store one under that name first or correct the spelling.'],
    ],
    [
      'a comparison',
      'run',
      { length: `3' < 4'` },
      ['length: A comparison answers yes or no and cannot be part of a sum; give it a line of its own.'],
    ],
  ])('says what is wrong with %s, in its cell', (_, measure, given, wanted) => {
    expect(refused(measure, given)).toEqual(wanted);
  });

  it('still has its quantity where only its price is wrong', () => {
    const row = worked(aRow('area', { length: '9 sq ft', price: '$3/ft' }));
    expect(row.quantity).toBeDefined();
    expect(row.price).toBeUndefined();
  });

  it('does without cells that do not count', () => {
    const given = { length: `12'`, width: 'nonsense', depth: `4"`, apiece: '3 kg' };
    expect(worked(aRow('run', given)).issues).toEqual({});
    const hints = hintsOf(worked(aRow('run', given)), [], marksOf({}));
    expect(hints.map(({ cell, code }) => `${cell} ${code}`)).toEqual([
      'width not_counted',
      'depth not_counted',
      'apiece not_counted',
    ]);
  });

  it('reads a rate typed as 8 as 8 %, and says so; 0.08 and 8 % are what they are', () => {
    const waste = (typed: string) => worked(aRow('run', { length: `100'`, waste: typed }));
    const gross = (typed: string) => {
      const row = waste(typed);
      return row.gross && readRowQuantity(row, row.gross).text;
    };
    expect(gross('8')).toBe('108′');
    expect(gross('8%')).toBe('108′');
    expect(gross('0.08')).toBe('108′');
    expect(gross('150%')).toBe('250′');
    expect(hintsOf(waste('8'), [], marksOf({}))).toMatchObject([{ cell: 'waste', code: 'rate', entry: '8%' }]);
    expect(hintsOf(waste('8%'), [], marksOf({}))).toEqual([]);
    expect(gross('1001')).toBeUndefined();
    expect(gross('-5%')).toBeUndefined();
  });
});

describe('a second look at a row', () => {
  const hint = (cell: CellName, typed: string, others: readonly string[]) => {
    const rows = others.map((other) => worked(aRow('area', { length: `9'`, width: '5 1/2"', [cell]: other })));
    return hintsOf(worked(aRow('area', { length: `9'`, width: '5 1/2"', [cell]: typed })), rows, marksOf({}));
  };

  it('finds a size far from neighbours that agree', () => {
    expect(hint('width', '1 1/2"', ['5 1/2"', '5 1/4"', '5 1/2"'])).toMatchObject([
      { cell: 'width', code: 'far', says: 'The width is 1 1⁄2″; rows beside it have about 5 1⁄2″.' },
    ]);
    expect(hint('price', '$310', ['$31', '$30', '$33'])).toMatchObject([{ cell: 'price', code: 'far' }]);
  });
  it('says nothing of a size near them, of neighbours that differ, or of too few', () => {
    expect(hint('width', '5"', ['5 1/2"', '5 1/4"', '5 1/2"'])).toEqual([]);
    expect(hint('width', '1"', ['5 1/2"', '2"', '9"'])).toEqual([]);
    expect(hint('width', '1"', ['5 1/2"', '5 1/2"'])).toEqual([]);
  });
  it('offers a mark of the same size for a figure typed by hand', () => {
    const scope = marksOf({ rail: `10' 5 1/8"`, post: `9'` });
    const row = (length: string) => hintsOf(worked(aRow('run', { length }), scope), [], scope);
    expect(row(`125 1/8"`)).toMatchObject([{ cell: 'length', code: 'mark', entry: 'rail' }]);
    expect(row('rail')).toEqual([]);
    expect(row(`10' 5"`)).toEqual([]);
  });
});

describe('in a metric job', () => {
  const METRIC = { ...DEFAULT_STYLE, length: 'm' } as const;
  it('reads in metres', () => {
    const row = worked(
      aRow('volume', { length: '3 m', width: '2 m', depth: '10 cm', price: '140', per: 'm3' }),
      undefined,
      METRIC,
    );
    expect(rowSays(row, METRIC)).toEqual(['3 m × 2 m × 0.1 m = 0.6 m³', '0.6 m³ × $140.00/m³ = $84.00']);
  });
});
