import { createRequire } from 'node:module';
import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import Papa from 'papaparse';
import { DEFAULT_STYLE } from '@sprell/core';
import { flatTableOf, workbookOf, type WrittenList } from '@sprell/core/quantities';
import { describe, expect, it } from 'vitest';
import { aRow } from '../../../../core/src/testing/take-off-rows.ts';
import { aWrittenList } from '../../../../core/src/testing/written-lists.ts';
import { preview } from './block-table.ts';
import { csvOf, xlsxOf } from './list-files.ts';
import { sheetsOf } from './xlsx-table.ts';

/** A library that works formulas out; it comes without types. */
interface Place {
  readonly row: number;
  readonly col: number;
  readonly sheet: string;
}
type FormulaParser = new (read: {
  onCell: (place: Place) => unknown;
  onRange: (range: { readonly from: Place; readonly to: Place }) => unknown;
}) => { parse(formula: string, at: Place): unknown };
const Parser = createRequire(import.meta.url)('fast-formula-parser') as FormulaParser;

/**
 * Opens a file with one library, and works every formula out with another from what the cells that it names say. Of a figure that
 * is rounded to the coin what is rounded comes along: a half coin is rounded up or down where it is reckoned in doubles.
 */
async function recomputed(bytes: Uint8Array) {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(bytes.buffer as ArrayBuffer);
  const sheet = book.worksheets[0] as ExcelJS.Worksheet;
  const valueAt = (row: number, col: number): unknown => {
    const cell = sheet.getCell(row, col);
    return cell.type === ExcelJS.ValueType.Formula ? cell.result : cell.value;
  };
  const parser = new Parser({
    onCell: ({ row, col }) => valueAt(row, col),
    onRange: ({ from, to }) =>
      Array.from({ length: to.row - from.row + 1 }, (_, n) =>
        Array.from({ length: to.col - from.col + 1 }, (_unused, m) => valueAt(from.row + n, from.col + m)),
      ),
  });
  const cells: { readonly at: string; readonly wrote: unknown; readonly value: unknown; readonly coin: number }[] = [];
  sheet.eachRow((row) => {
    row.eachCell((cell) => {
      const { formula, address: at, result: wrote } = cell;
      if (cell.type !== ExcelJS.ValueType.Formula) return;
      const inner = /^ROUND\((?<inner>.*),2\)$/.exec(formula)?.groups?.['inner'];
      const place = { row: Number(cell.row), col: Number(cell.col), sheet: sheet.name };
      cells.push({ at, wrote, value: parser.parse(inner ?? formula, place), coin: inner === undefined ? 0 : 0.005 });
    });
  });
  return { sheet, cells };
}

/** Every figure that the file says is what its formula comes to. */
async function expectAgreement(list: WrittenList): Promise<void> {
  const { cells } = await recomputed(await xlsxOf(workbookOf(list)));
  expect(cells.length).toBeGreaterThan(0);
  for (const { at, wrote, value, coin } of cells) {
    const off = Math.abs(Number(value) - Number(wrote));
    expect(typeof value === 'number' && off < coin + 1e-6, `${at}: ${String(value)}, not ${String(wrote)}`).toBe(true);
  }
}

const PORCH = aWrittenList([
  aRow('board', {
    id: '=Joists',
    count: '10',
    length: `12'`,
    width: `6"`,
    depth: `2"`,
    per: 'bf',
    price: '2.15',
    section: 'Frame',
  }),
  aRow('run', { id: 'Rail', count: '3', length: '62"', pack: `16'`, per: 'ft', price: '4.20', section: 'Frame' }),
  aRow('area', {
    id: 'Deck',
    length: `20'`,
    width: `9' 6"`,
    less: '12 sq ft',
    waste: '10%',
    pack: '32 sq ft',
    per: 'pack',
    price: '48',
    section: 'Deck',
  }),
  aRow('each', {
    id: 'Nails',
    count: '250',
    waste: '7.5%',
    per: 'hundred',
    price: '3.20',
    other: '2.95',
    section: 'Deck',
  }),
  aRow('mass', { id: 'Mix', count: '12', apiece: '80 lb', per: 'lb', price: '0.09', section: 'Deck' }),
  aRow('hours', { id: 'Fitting', count: '2', apiece: '7 h 30 min', per: 'h', price: '45' }),
  aRow('each', { id: 'Lamp', count: '1', price: '50', isLeftOut: true }),
]);

describe('a list as XLSX', () => {
  it('opens in another library, with heads, formats, a pane that stays, and words as words', async () => {
    const { sheet } = await recomputed(await xlsxOf(workbookOf(PORCH)));
    expect(sheet.name).toBe('Quantities');
    expect(sheet.views[0]).toMatchObject({ state: 'frozen', ySplit: 4, xSplit: 1 });
    const heads = sheet.getRow(4).values as readonly (string | undefined)[];
    expect(heads).toEqual(expect.arrayContaining(['item', 'length (ft)', 'width (in)', 'built in', 'unit', 'cost']));
    const joists = sheet.getRow(6);
    expect([joists.getCell(1).type, joists.getCell(1).value]).toEqual([ExcelJS.ValueType.String, '=Joists']);
    expect(joists.getCell(heads.indexOf('width (in)')).numFmt).toBe('# ??/??');
    expect(joists.getCell(heads.indexOf('cost')).numFmt).toBe('"$"#,##0.00');
  });

  it('comes to the same where another library works it out', async () => {
    await expectAgreement(PORCH);
    await expectAgreement(
      aWrittenList(
        PORCH.sections.flatMap(({ rows }) => rows.map(({ worked }) => worked.row)),
        { roundedAt: 'total' },
      ),
    );
  });

  it('does so for any rows', async () => {
    const count = fc.integer({ min: 1, max: 60 }).map(String);
    const inches = fc.integer({ min: 8, max: 3000 }).map((n) => `${n}/8"`);
    const price = fc.integer({ min: 1, max: 900 }).map((n) => `${n}.${n % 10}3`);
    const waste = fc.constantFrom('', '5%', '10%', '12.5%');
    const row = fc
      .record({ count, length: inches, width: inches, depth: inches, price, waste })
      .chain((given) =>
        fc.constantFrom(
          aRow('each', { ...given, per: 'dozen' }),
          aRow('each', { ...given, per: 'pack', pack: '40' }),
          aRow('run', { ...given, per: 'm' }),
          aRow('run', { ...given, per: 'each', pack: `32'` }),
          aRow('area', { ...given, per: 'square' }),
          aRow('volume', { ...given, per: 'yd3' }),
          aRow('board', { ...given, per: 'mbf' }),
        ),
      );
    await fc.assert(
      fc.asyncProperty(fc.array(row, { minLength: 1, maxLength: 8 }), async (rows) => {
        const ids = rows.map((one, n) => ({ ...one, id: `row ${n}`, section: `S${n % 3}` }));
        await expectAgreement(aWrittenList(ids));
      }),
      { numRuns: 20 },
    );
  });
});

describe('a list as CSV', () => {
  it('writes as words what another program would run', () => {
    const list = aWrittenList(
      [
        aRow('each', { id: 'a', count: '1', price: '2.50' }),
        aRow('each', { id: 'b', count: '1' }),
        aRow('each', { id: 'c', count: '1' }),
      ],
      { items: { a: `=cmd|'/c calc'!A0`, b: '@SUM(A1)', c: '+1+1' } },
    );
    const text = csvOf(flatTableOf(list), false);
    const { data } = Papa.parse<string[]>(text.replace('\uFEFF', ''));
    expect(data.slice(1).map((row) => row[1])).toEqual([`'=cmd|'/c calc'!A0`, `'@SUM(A1)`, `'+1+1`]);
    expect(data[1]).toContain('2.5');
  });

  it('has commas for decimals, and semicolons between, where the job has', () => {
    const text = csvOf(flatTableOf(aWrittenList([aRow('each', { id: 'Nails', count: '3', price: '2.50' })])), true);
    expect(text).toMatch(/^\uFEFFsection;item;count/);
    expect(text).toContain(';2,5;');
  });
});

describe('a list that comes back', () => {
  const ask = (given: { bytes?: Uint8Array; text?: string }) =>
    preview({ ...given, style: DEFAULT_STYLE, bare: 'plain', marks: [], known: [] });

  it.each(['xlsx', 'csv'] as const)('from %s is the list that went out', async (ending) => {
    const found =
      ending === 'xlsx'
        ? await ask({ bytes: await xlsxOf(workbookOf(PORCH)) })
        : await ask({ text: csvOf(flatTableOf(PORCH), false) });
    if (!('rows' in found)) throw new Error(found.refused);
    const taken = found.rows.filter(({ refused }) => refused === undefined);
    expect(taken.map(({ fields }) => [fields.name, fields.section, fields.measure, fields.per])).toEqual([
      ['=Joists', 'Frame', 'board', 'bf'],
      ['Rail', 'Frame', 'run', 'ft'],
      ['Deck', 'Deck', 'area', 'pack'],
      ['Nails', 'Deck', 'each', 'hundred'],
      ['Mix', 'Deck', 'mass', 'lb'],
      ['Fitting', ending === 'xlsx' ? 'In no section' : '', 'hours', 'h'],
      ['Lamp', ending === 'xlsx' ? 'In no section' : '', 'each', 'each'],
    ]);
    expect(taken[2]?.fields).toMatchObject({
      count: '1',
      length: '20 ft',
      width: '114 in',
      less: '12 sq ft',
      pack: '32 sq ft',
    });
    expect(taken[4]?.fields).toMatchObject({ count: '12', apiece: '80 lb' });
  });

  it('of several sheets shows the first list, past a cover, and another when asked', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('Cover').addRows([['Shed'], ['Prices of May'], ['Ask before cutting']]);
    for (const name of ['Doors', 'Windows'])
      book.addWorksheet(name).addRows([
        ['item', 'qty', 'price'],
        [name, 4, 120],
      ]);
    const bytes = new Uint8Array(await book.xlsx.writeBuffer());
    const first = await ask({ bytes });
    expect(first).toMatchObject({ sheets: ['Cover', 'Doors', 'Windows'], sheet: 'Doors' });
    const other = await preview({ bytes, sheet: 'Windows', style: DEFAULT_STYLE, bare: 'plain', marks: [], known: [] });
    expect('rows' in other && other.rows[0]?.fields).toMatchObject({ name: 'Windows', count: '4', price: '120' });
  });
});

describe('a file that is none', () => {
  it.each<readonly [string, Uint8Array, string]>([
    ['that is broken', new Uint8Array([0x50, 0x4b, 3, 4, 9, 9, 9, 9]), 'broken'],
    ['that is cut off', new Uint8Array(0), 'nothing in it'],
    ['of the older kind, or with a password', new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 1, 2]), 'password'],
    ['that holds no workbook', zipSync({ 'a.xml': new TextEncoder().encode('<a/>') }), 'broken'],
    [
      'that unpacks to far more than it is',
      zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(60_000_000) }, { level: 9 }),
      'far larger',
    ],
    [
      'of very many parts',
      zipSync(Object.fromEntries(Array.from({ length: 800 }, (_, n) => [`xl/${n}.xml`, new Uint8Array(1)]))),
      'far larger',
    ],
  ])('%s is answered plainly, and nothing of it is taken in', async (_, bytes, says) => {
    const found = await preview({ bytes, style: DEFAULT_STYLE, bare: 'plain', marks: [], known: [] });
    expect('refused' in found && found.refused).toContain(says);
  });

  it('that says it is smaller than it is does not become larger than it says', async () => {
    const bytes = zipSync({ 'xl/workbook.xml': new Uint8Array(30_000_000) }, { level: 9 });
    // The size of the unpacked part, in the head of the part and in the list at the end.
    const view = new DataView(bytes.buffer);
    for (let at = 0; at < bytes.length - 4; at += 1)
      if (view.getUint32(at, true) === 30_000_000) view.setUint32(at, 10, true);
    expect(await sheetsOf(bytes)).toHaveProperty('refused');
  });

  it('leaves out pictures and whatever else a workbook holds', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('List').addRows([
      ['item', 'qty', 'price'],
      ['Posts', 4, 31.25],
    ]);
    const packed = new Uint8Array(await book.xlsx.writeBuffer());
    const { unzipSync } = await import('fflate');
    const bytes = zipSync({ ...unzipSync(packed), 'xl/media/image1.png': new Uint8Array(90_000_000) });
    expect(await sheetsOf(bytes)).toMatchObject([
      {
        name: 'List',
        cells: [
          ['item', 'qty', 'price'],
          ['Posts', '4', '31.25'],
        ],
      },
    ]);
  });
});
