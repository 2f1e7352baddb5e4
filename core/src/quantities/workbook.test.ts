import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { aRow } from '../testing/take-off-rows.ts';
import { aWrittenList } from '../testing/written-lists.ts';
import { flatTableOf, workbookOf, type WorkbookCell } from './workbook.ts';

const METRIC = { ...DEFAULT_STYLE, length: 'mm' as const, currency: '€' };

/** The cells of a row by the words over them, from the first row that is called so. */
function rowOf(list: Parameters<typeof workbookOf>[0], item: string): Readonly<Record<string, WorkbookCell>> {
  const { columns, rows } = workbookOf(list);
  const row = rows.find(([first]) => first?.kind === 'text' && first.text === item) ?? [];
  return Object.fromEntries(row.flatMap((cell, at) => (cell ? [[columns[at]?.title ?? '', cell] as const] : [])));
}
const formulas = (row: Readonly<Record<string, WorkbookCell>>) =>
  Object.fromEntries(
    Object.entries(row).flatMap(([title, cell]) => (cell.kind === 'formula' ? [[title, cell.formula] as const] : [])),
  );

describe('a take-off as a workbook', () => {
  // Worked out by hand. The first row is the sixth: behind title, day, a free row, the heads and the section.
  it('multiplies sizes in the units over their columns, and says the unit of the row', () => {
    const deck = aRow('area', { id: 'a', count: '12', length: `8' 4"`, width: `5 1/2"`, less: '2 sq ft', per: 'ft2' });
    const row = rowOf(aWrittenList([{ ...deck, section: 'Deck' }]), 'a');
    expect(row).toMatchObject({
      count: { value: 12 },
      'length (ft)': { value: 25 / 3 },
      'width (in)': { value: 5.5, format: '# ??/??' },
      less: { value: 2 },
      unit: { text: 'sq ft' },
      'built in': { formula: 'B6*C6*D6/12-E6', value: 43 + 5 / 6 },
    });
  });

  it('counts metric sizes in metres and millimetres', () => {
    const slab = aRow('volume', { id: 'a', length: '4 m', width: '2500 mm', depth: '100 mm', per: 'm3', price: '130' });
    expect(formulas(rowOf(aWrittenList([slab], { style: METRIC }), 'a'))).toMatchObject({
      'built in': 'B6*C6*D6*E6/1000000',
      cost: 'ROUND(J6*K6,2)',
    });
  });

  it('has price, quantity and unit agree, whatever was typed', () => {
    const runs = [
      aRow('run', { id: 'by the foot', length: '10 m', per: 'm', price: '4.20 $/ft' }),
      aRow('run', { id: 'on metres', length: '10 m', per: 'ft', price: '4.20' }),
      aRow('board', {
        id: 'by the thousand',
        count: '10',
        length: `12'`,
        width: `6"`,
        depth: `2"`,
        per: 'mbf',
        price: '900',
      }),
      aRow('each', { id: 'nails', count: '250', per: 'hundred', price: '3.20' }),
    ];
    const list = aWrittenList(runs, { style: METRIC });
    const named = (item: string) => rowOf(list, item);
    // 10 m are 32.8084 ft: $137.80.
    expect(named('by the foot')).toMatchObject({ unit: { text: 'ft' }, price: { value: 4.2 }, cost: { value: 137.8 } });
    expect(named('on metres')).toMatchObject({ unit: { text: 'ft' }, cost: { value: 137.8 } });
    expect(formulas(named('on metres'))['built in']).toBe('B7*C7*1250/381');
    // 120 board feet at 900 a thousand.
    expect(named('by the thousand')).toMatchObject({ unit: { text: 'bf' }, cost: { value: 108 } });
    expect(formulas(named('by the thousand'))['cost']).toContain('/1000*');
    expect(named('nails')).toMatchObject({ cost: { value: 8 } });
  });

  it('rounds up to whole packs, and cuts pieces whole from stock lengths', () => {
    const list = aWrittenList([
      aRow('area', {
        id: 'sheets',
        length: `20'`,
        width: `9'`,
        waste: '10%',
        pack: '32 sq ft',
        per: 'pack',
        price: '48',
      }),
      aRow('run', { id: 'cut', count: '3', length: '62"', pack: `16'`, per: 'ft', price: '1' }),
      aRow('run', { id: 'joined', count: '3', length: '62"', pack: `16'`, per: 'ft', price: '1', isCutWhole: false }),
      aRow('each', { id: 'screws', count: '310', pack: '100', per: 'pack', price: '9' }),
    ]);
    // 198 sq ft are 6.19 sheets; one stock length gives three pieces of 62", and 15.5 ft are one, too.
    expect(rowOf(list, 'sheets')).toMatchObject({
      packs: { value: 7 },
      cost: { value: 336 },
      'to order': { value: 224 },
    });
    expect(rowOf(list, 'cut')).toMatchObject({ packs: { value: 1 }, 'left over': { value: 0.5 } });
    expect(formulas(rowOf(list, 'cut'))['packs']).toContain('FLOOR');
    expect(formulas(rowOf(list, 'joined'))['packs']).not.toContain('FLOOR');
    expect(rowOf(list, 'screws')).toMatchObject({
      packs: { value: 4 },
      'to order': { value: 400 },
      cost: { value: 36 },
    });
  });

  it('writes what is no length as what one piece comes to', () => {
    const list = aWrittenList([
      aRow('area', { id: 'known', length: '796.5 sq ft', per: 'ft2' }),
      aRow('mass', { id: 'bags', count: '12', apiece: '80 lb', per: 'lb', price: '0.09' }),
    ]);
    expect(rowOf(list, 'known')).toMatchObject({ 'of one': { value: 796.5 }, unit: { text: 'sq ft' } });
    expect(formulas(rowOf(list, 'known'))['built in']).toBe('B6*C6');
    expect(rowOf(list, 'bags')).toMatchObject({ 'of one': { value: 80 }, cost: { value: 86.4 } });
  });

  it('adds up sections from their heads to a free row, and taxes rows by the name of their tax', () => {
    const list = aWrittenList([
      aRow('each', { id: 'posts', count: '4', price: '31.25', section: 'Deck' }),
      aRow('each', { id: 'beams', count: '2', price: '80', section: 'Deck', isLeftOut: true }),
      aRow('each', { id: 'door', count: '1', price: '410', section: 'Doors' }),
    ]);
    const cost = (item: string) => rowOf(list, item)['cost'];
    expect(cost('Subtotal Deck')).toMatchObject({ formula: 'SUM(K5:K8)', value: 125 });
    expect(cost('Subtotal Doors')).toMatchObject({ formula: 'SUM(K10:K12)', value: 410 });
    expect(cost('beams')).toBeUndefined();
    expect(rowOf(list, 'beams')['cost if it were not left out']).toMatchObject({ value: 160 });
    expect(cost('To buy')).toMatchObject({ formula: 'ROUND(K9+K13,2)', value: 535 });
    // 8 1/4 % of 535 are 44.1375.
    expect(rowOf(list, 'Sales tax')['cost']).toMatchObject({ value: 44.14 });
    expect(cost('All together')).toMatchObject({ value: 579.14 });
    expect(cost('Left out')).toMatchObject({ value: 160 });
  });

  it('writes what cannot be worked out as it was typed, with no cost', () => {
    const list = aWrittenList([aRow('area', { id: 'wall', length: `8'`, width: 'about four', price: '2' })]);
    expect(rowOf(list, 'wall')).toMatchObject({
      'width (in)': { text: 'about four' },
      'built in': { text: 'not worked out' },
    });
    expect(rowOf(list, 'wall')['cost']).toBeUndefined();
  });

  it('gives taxes of one name two names, without signs that a search would read', () => {
    const tax = (id: string, name: string) => ({ id, name, rate: { kind: 'rational', num: 1, den: 10 } as const });
    const taxes = [tax('a', 'Tax*'), tax('b', 'Tax'), tax('c', '=')];
    const list = aWrittenList([aRow('each', { id: 'x', count: '1', price: '10', tax: 'b' })], { taxes });
    expect(rowOf(list, 'x')['tax']).toMatchObject({ text: 'Tax (2)' });
    expect(rowOf(list, 'Tax (2)')['cost']).toMatchObject({ value: 1 });
    expect(rowOf(list, 'Tax')['cost']).toMatchObject({ value: 0 });
    expect(rowOf(list, '(3)')).toHaveProperty('cost');
  });

  it('as a flat table has a row a row, its section beside it', () => {
    const { head, rows } = flatTableOf(
      aWrittenList([
        aRow('run', { id: 'rail', count: '2', length: `8' 4"`, per: 'ft', price: '4.20', section: 'Deck' }),
        aRow('each', { id: '=cmd', count: '1', price: '1' }),
      ]),
    );
    const cell = (row: number, title: string) => rows[row]?.[head.indexOf(title)];
    expect(rows).toHaveLength(2);
    expect([cell(0, 'section'), cell(0, 'length (ft)'), cell(0, 'cost')]).toEqual(['Deck', 8.333333, 70]);
    expect([cell(1, 'section'), cell(1, 'item')]).toEqual(['', '=cmd']);
  });
});
