import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { makeRational } from '../number/rational.ts';
import { addValue, equalValue, type Value } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { MONEY } from '../units/dimension.ts';
import { filledDown } from './fill-down.ts';
import { orderList } from './order-list.ts';
import type { TakeOffRow } from './row.ts';
import { readMoney, readRowQuantity } from './says.ts';
import { TakeOff } from './take-off.ts';
import { aRow, marksOf } from '../testing/take-off-rows.ts';
import { totalsOf, type TotalsOf } from './totals.ts';

const BILL: TotalsOf = { price: 'price', version: undefined, taxes: [], roundedAt: 'row' };
function listOf(...rows: readonly TakeOffRow[]): TakeOff {
  const list = new TakeOff();
  list.load(rows);
  return list;
}
const totals = (list: TakeOff, more: Partial<TotalsOf> = {}) => totalsOf(list.rows(), { ...BILL, ...more });
const money = (value: Value) => readMoney(value).text;
const exactly = (value: Value) => readQuantity({ value, dimension: MONEY }).text;
function quantity(list: TakeOff, id: string): string | undefined {
  const row = list.get(id);
  return row?.quantity && readRowQuantity(row, row.quantity).text;
}
const issues = (list: TakeOff, id: string) =>
  Object.entries(list.get(id)?.issues ?? {}).map(([cell, issue]) => `${cell}: ${describeIssue(issue)}`);

describe('rows that name other rows', () => {
  const boards = aRow('run', { id: 'b', name: 'boards', count: '14', length: `8'` });
  const screws = aRow('each', { id: 's', name: 'screws', count: 'boards / 1 ft * 2' });
  const boxes = aRow('each', { id: 'x', count: 'screws / 100', pack: '1' });

  it('take the place of a mark of their name, and give it back when they go', () => {
    const list = new TakeOff(undefined, marksOf({ rail: `10'` }));
    list.load([aRow('run', { id: 'a', length: 'rail' }), aRow('run', { id: 'b', length: 'rail' })]);
    list.put(aRow('run', { id: 'rail', name: 'rail', length: `4'` }));
    expect([quantity(list, 'a'), quantity(list, 'b')]).toEqual(['4′', '4′']);
    list.remove('rail');
    expect([quantity(list, 'a'), quantity(list, 'b')]).toEqual(['10′', '10′']);
    list.refresh(marksOf({ rail: `12'` }));
    expect(quantity(list, 'b')).toBe('12′');
  });

  it('follow them, whichever stands first', () => {
    const list = listOf(boxes, screws, boards);
    expect(quantity(list, 's')).toBe('224');
    expect([...list.put({ ...boards, cells: { ...boards.cells, count: '20' } })].sort()).toEqual(['b', 's', 'x']);
    expect(quantity(list, 's')).toBe('320');
    expect(quantity(list, 'x')).toBe('3.2');
    expect([...list.usersOf('b')]).toEqual(['s']);
  });

  it('recalculate no row that does not depend on what changed', () => {
    const list = listOf(boards, screws, boxes, aRow('each', { id: 'o', count: '3' }));
    expect([...list.put({ ...boxes, cells: { ...boxes.cells, count: '7' } })]).toEqual(['x']);
  });

  it('say so where one is gone, and have their result again when it is back', () => {
    const list = listOf(boards, screws);
    list.remove('b');
    expect(issues(list, 's')[0]).toMatch(/no mark called “boards”/);
    list.put(boards);
    expect(quantity(list, 's')).toBe('224');
    list.put({ ...boards, cells: { ...boards.cells, length: '3 kg' } });
    expect(issues(list, 's')[0]).toMatch(/“boards” has no value/);
  });

  it('that name each other in a circle say the chain; the others go on', () => {
    const one = aRow('each', { id: '1', name: 'one', count: 'two + 1' });
    const two = aRow('each', { id: '2', name: 'two', count: 'three' });
    const three = aRow('each', { id: '3', name: 'three', count: '2 one' });
    const after = aRow('each', { id: '4', count: 'one' });
    const list = listOf(one, two, three, after, boards);
    expect(issues(list, '1')[0]).toContain('(one → two → three → one)');
    expect(issues(list, '3')[0]).toContain('(three → one → two → three)');
    expect(issues(list, '4')[0]).toMatch(/“one” has no value/);
    expect(quantity(list, 'b')).toBe('112′');
    list.put({ ...three, cells: { ...three.cells, count: '5' } });
    expect(['1', '2', '4'].map((id) => quantity(list, id))).toEqual(['6', '5', '6']);
    const self = listOf(aRow('each', { id: 'self', name: 'self', count: 'self + 1' }));
    expect(issues(self, 'self')[0]).toContain('(self → self)');
  });

  it('take marks of the job as well, and follow when those change', () => {
    const list = listOf(aRow('run', { id: 'r', count: '8', length: 'rail' }));
    expect(quantity(list, 'r')).toBeUndefined();
    list.refresh(marksOf({ rail: `10'` }));
    expect(quantity(list, 'r')).toBe('80′');
  });

  it('do not see themselves while they are edited', () => {
    const list = listOf(boards);
    expect(list.scope('b').mark('boards')).toBeUndefined();
    expect(list.scope().mark('boards')?.ok).toBe(true);
    expect(list.scope().names()).toContain('boards');
  });
});

describe('totals', () => {
  const frame = { section: 'frame', per: 'ft' } as const;
  const rows = [
    aRow('run', { ...frame, count: '8', length: `10'`, price: '$1.95', waste: '10%' }), // 88 ft: 171.60, 156.00 of it built in
    aRow('run', { ...frame, count: '3', length: `7'`, price: '$2.333', other: '$2.1' }), // 48.993: 48.99
    aRow('each', { section: 'fixings', count: '7', price: '$0.335' }), // 2.345: 2.35 (2.345 is half way: away from zero)
    aRow('hours', { section: 'labour', count: '2', apiece: '3 h', per: 'h', price: '$38', tax: 'none' }), // 228
  ];
  const taxes = [
    { id: 'sales', rate: makeRational(8, 100) },
    { id: 'none', rate: makeRational(0) },
  ];

  it('are those of the sections, each figure rounded once', () => {
    const { sections, all } = totals(listOf(...rows), { taxes });
    expect([...sections].map(([section, { cost }]) => [section, money(cost)])).toEqual([
      ['frame', '$220.59'],
      ['fixings', '$2.35'],
      ['labour', '$228.00'],
    ]);
    expect(money(all.cost)).toBe('$450.94');
    // Of 222.94, the rows that have it: 17.8352.
    expect([...all.taxes].map(([id, { of, tax }]) => [id, money(of), money(tax)])).toEqual([
      ['sales', '$222.94', '$17.84'],
      ['none', '$228.00', '$0.00'],
    ]);
    expect(money(all.grand)).toBe('$468.78');
    // Built in are 156.00, 48.99, 2.35 and 228.00.
    expect([money(all.net), money(all.waste)]).toEqual(['$435.34', '$15.60']);
  });

  it('of exact amounts are rounded only as they are shown, and say by how much the rows differ', () => {
    const { all } = totals(listOf(...rows), { taxes, roundedAt: 'total' });
    expect(exactly(all.cost)).toBe('$450.94');
    expect(equalValue(all.cost, makeRational(450938, 1000))).toBe(true);
    expect(equalValue(all.drift, makeRational(-2, 1000))).toBe(true);
  });

  it('are of no rounded part: three thirds of a foot at $1 are $1', () => {
    const third = () => aRow('run', { length: `1' / 3`, per: 'ft', price: '$1' });
    const list = listOf(third(), third(), third());
    expect(money(totals(list, { roundedAt: 'total' }).all.cost)).toBe('$1.00');
    expect(money(totals(list).all.cost)).toBe('$0.99');
    expect(exactly(totals(list, { roundedAt: 'total' }).all.drift)).toBe('$0.01');
  });

  it('count a row that is put in later, in whichever place', () => {
    const list = listOf(...rows);
    list.put(aRow('each', { section: 'frame', count: '1', price: '$100' }));
    expect(money(totals(list).all.cost)).toBe('$550.94');
    expect(money(totals(list).sections.get('frame')?.cost ?? makeRational(0))).toBe('$320.59');
  });

  it('leave out rows that are left out, and say what those would come to', () => {
    const list = listOf(...rows, aRow('each', { count: '2', price: '$50', isLeftOut: true }));
    expect(money(totals(list).all.cost)).toBe('$450.94');
    expect(money(totals(list).leftOut.cost)).toBe('$100.00');
  });

  it('name the rows that have no price, and those in which something is in the way', () => {
    const list = listOf(
      aRow('each', { id: 'free', count: '2' }),
      aRow('each', { id: 'odd', count: '2 kg', price: '$2' }),
      aRow('each', { id: 'out', count: '2 kg', price: '$2', isLeftOut: true }),
    );
    expect(totals(list)).toMatchObject({ unpriced: ['free'], failed: ['odd'] });
  });

  it('are of one version of the list, with what all versions have', () => {
    const list = listOf(
      aRow('each', { count: '1', price: '$10' }),
      aRow('each', { count: '1', price: '$300', versions: ['oak'] }),
      aRow('each', { count: '1', price: '$120', versions: ['pine'] }),
    );
    const of = (version: string | undefined) => money(totals(list, { version }).all.cost);
    expect([of(undefined), of('oak'), of('pine')]).toEqual(['$10.00', '$310.00', '$130.00']);
  });

  it('at the second price are of the rows that have one', () => {
    expect(money(totals(listOf(...rows), { price: 'other' }).all.cost)).toBe('$44.10');
  });
});

describe('what is ordered', () => {
  const order = (list: TakeOff, version?: string) =>
    orderList(
      [...list.rows()].map((worked) => ({ worked, supplier: worked.row.section ?? '' })),
      version,
    ).map(({ supplier, rows, cost }) => [supplier, rows.length, money(cost)]);

  it('stands by supplier, those of none last, without what is left out or of another version', () => {
    const list = listOf(
      aRow('each', { count: '2', price: '$5' }),
      aRow('each', { section: 'Yard', count: '3', price: '$0.335' }),
      aRow('each', { section: 'Hatch', count: '1', price: '$9' }),
      aRow('each', { section: 'Hatch', count: '4', price: '$1', versions: ['oak'] }),
      aRow('each', { section: 'Hatch', count: '4', price: '$1', isLeftOut: true }),
      aRow('each', { section: 'Hatch', count: '4 kg', price: '$1' }),
      aRow('run', { section: 'Yard', count: '3', length: `4'` }),
    );
    expect(order(list)).toEqual([
      ['Hatch', 1, '$9.00'],
      ['Yard', 2, '$1.01'],
      ['', 1, '$10.00'],
    ]);
    expect(order(list, 'oak')[0]).toEqual(['Hatch', 2, '$13.00']);
  });
});

describe('whatever the list', () => {
  const anyRow = fc
    .record({
      count: fc.integer({ min: 1, max: 60 }).map(String),
      length: fc.constantFrom(`8'`, `92 5/8"`, '2.4 m', `1' / 3`, '3 kg', ''),
      price: fc.constantFrom('$1.95', '0.333', '$4 / m', '', '$2/kg'),
      waste: fc.constantFrom('', '8', '12.5%'),
      pack: fc.constantFrom('', `16'`),
      section: fc.constantFrom('a', 'b', undefined),
      isLeftOut: fc.boolean(),
    })
    .map(({ section, ...given }) =>
      aRow('run', { ...given, ...(section === undefined ? {} : { section }), per: 'ft' }),
    );
  const roundedAt = fc.constantFrom('row' as const, 'total' as const);

  it('its total is the same in any order, and is the sum of its sections', () => {
    fc.assert(
      fc.property(fc.array(anyRow, { maxLength: 12 }), roundedAt, fc.nat(), (rows, at, seed) => {
        const turned = [...rows.slice(seed % (rows.length + 1)), ...rows.slice(0, seed % (rows.length + 1))].reverse();
        const [one, other] = [rows, turned].map((list) => totals(listOf(...list), { roundedAt: at })) as [
          ReturnType<typeof totals>,
          ReturnType<typeof totals>,
        ];
        expect(equalValue(one.all.cost, other.all.cost)).toBe(true);
        const sum = [...one.sections.values()].reduce((all, { cost }) => addValue(all, cost), makeRational(0) as Value);
        expect(equalValue(one.all.cost, sum)).toBe(true);
        expect(equalValue(addValue(one.all.net, one.all.waste), one.all.cost)).toBe(true);
      }),
    );
  });

  it('a row put in, changed or taken out leaves what a list made so from the start has', () => {
    fc.assert(
      fc.property(fc.array(anyRow, { minLength: 2, maxLength: 8 }), anyRow, fc.nat(), (rows, row, at) => {
        const list = listOf(...rows);
        const place = at % rows.length;
        const changed = { ...row, id: (rows[place] as TakeOffRow).id };
        list.put(changed);
        list.remove((rows[(place + 1) % rows.length] as TakeOffRow).id);
        const wanted = rows.flatMap((one, n) =>
          n === place ? [changed] : n === (place + 1) % rows.length ? [] : [one],
        );
        expect(equalValue(totals(list).all.cost, totals(listOf(...wanted)).all.cost)).toBe(true);
      }),
    );
  });
});

describe('a cell filled down', () => {
  const names = ['boards', 'joists', undefined, 'posts'];
  it.each([
    ['boards / 2', 1, 3, 'boards / 2'],
    ['boards / 2', 0, 1, 'joists / 2'],
    ['boards + joists', 0, 0, 'boards + joists'],
    ['boards', 2, 3, 'joists'],
    ['rail + #4', 0, 1, 'rail + #4'],
    ['2 posts', 2, 3, '2 posts'],
  ])('%s from row %i into row %i is %s', (source, from, to, wanted) => {
    expect(filledDown(source, names, from, to)).toBe(wanted);
  });
});
