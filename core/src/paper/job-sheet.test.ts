import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Drawing, TextShape } from '../drawing/drawing.ts';
import { box } from '../drawing/drawing.ts';
import { makeRational } from '../number/rational.ts';
import { aRow } from '../testing/take-off-rows.ts';
import { aWrittenList } from '../testing/written-lists.ts';
import { LENGTH } from '../units/dimension.ts';
import { jobSheet, roomOf, type JobSheet, type SheetLine, type SheetMark } from './job-sheet.ts';

const BARE: JobSheet = { sheet: 'letter', title: 'Back porch', under: '', on: '30 November 2026', blank: 0 };
const worked = (number: number, more: Partial<Extract<SheetLine, { kind: 'worked' }>> = {}): SheetLine => ({
  kind: 'worked',
  number,
  label: 'rail',
  readBack: '12′ 4 1⁄2″ × 3',
  result: '37′ 1 1⁄2″',
  rounding: 'full',
  note: '',
  isTotal: false,
  ...more,
});
const mark = (name: string, mm: number, note = ''): SheetMark => ({
  name,
  note,
  text: `${mm} mm`,
  quantity: { value: makeRational(mm, 1000), dimension: LENGTH },
});

const textsOf = ({ shapes }: Drawing): readonly TextShape[] => shapes.filter((shape) => shape.kind === 'text');
const said = (sheets: readonly Drawing[]) => sheets.flatMap((sheet) => textsOf(sheet).map(({ text }) => text));
/** All that is drawn lies on its sheet, inside the edge that printers leave white. */
function expectInside(sheets: readonly Drawing[]): void {
  for (const { width, height, shapes } of sheets)
    for (const shape of shapes) {
      const ys = shape.kind === 'line' ? [shape.y1, shape.y2] : [shape.y];
      const xs = shape.kind === 'line' ? [shape.x1, shape.x2] : [shape.x];
      for (const y of ys) expect(y >= 10 && y <= height - 10 + 1e-9).toBe(true);
      for (const x of xs) expect(x >= 10 - 1e-9 && x <= width - 10 + 1e-9).toBe(true);
    }
}

describe('a job sheet', () => {
  it('stands: A4 as 210 × 297 mm, Letter as 8 1/2 × 11 inches', () => {
    const sizes = (['a4', 'letter'] as const).map((sheet) => jobSheet({ ...BARE, sheet })[0] as Drawing);
    expect(sizes.map(({ width, height }) => [width, height])).toEqual([
      [210, 297],
      [215.9, 279.4],
    ]);
  });

  it('has the job, the day, lines with read-back, result, rounding and note, and what was left out is not there', () => {
    const lines: readonly SheetLine[] = [
      { kind: 'heading', words: 'Roof' },
      worked(7, { note: 'after the frost' }),
      { kind: 'note', words: 'Taped twice\nby two people' },
      worked(9, { label: '', readBack: '', rounding: '', result: 'No value: divided by zero.' }),
    ];
    const texts = said(jobSheet({ ...BARE, under: 'For the parish', lines }));
    for (const text of ['Back porch', '30 November 2026', 'For the parish', 'Roof', '#7', 'rail', '12′ 4 1⁄2″ × 3'])
      expect(texts).toContain(text);
    for (const text of ['37′ 1 1⁄2″', 'full', 'after the frost', 'Taped twice', 'by two people', '#9'])
      expect(texts).toContain(text);
    expect(texts.some((text) => text.startsWith('Story stick') || text.startsWith('Quantities'))).toBe(false);
  });

  it('draws the marks to scale with their sizes, and lists them alone where they would not find room', () => {
    const few = jobSheet({ ...BARE, marks: { list: [mark('post', 2400, 'oak'), mark('rail', 900)], metric: true } });
    expect(said(few)).toEqual(expect.arrayContaining(['Story stick', 'post', '2400 mm', 'oak', 'post  2400 mm']));
    expect(said(few).some((text) => /^Scale 1:\d+$/.test(text))).toBe(true);
    const many = Array.from({ length: 90 }, (_, n) => mark(`stud${n + 1}`, 400 * (n + 1)));
    const listed = jobSheet({ ...BARE, marks: { list: many, metric: true } });
    expect(said(listed).filter((text) => /^stud\d+$/.test(text))).toHaveLength(90);
    expect(said(listed).some((text) => text.startsWith('Scale'))).toBe(false);
    expectInside(listed);
  });

  it('puts drawings under their names, each whole on one sheet', () => {
    const { width, height } = roomOf('letter');
    const figure = (title: string, high: number) => ({
      title,
      says: 'Scale 1:20',
      height: high,
      shapes: [box(0, 0, width, high)],
    });
    const sheets = jobSheet({ ...BARE, figures: [figure('Gable', 90), figure('Hip', 90), figure('Tall', height)] });
    expect(sheets.map((sheet) => sheet.shapes.filter(({ kind }) => kind === 'box').length)).toEqual([2, 1]);
    for (const { height: paper, shapes } of sheets)
      for (const shape of shapes)
        if (shape.kind === 'box') expect(shape.y + shape.height).toBeLessThanOrEqual(paper - 10);
    expect(said(sheets)).toEqual(expect.arrayContaining(['Gable', 'Hip', 'Tall']));
  });

  it('lists the quantities with what they cost, or for others without any price', () => {
    const rows = Array.from({ length: 70 }, (_, n) =>
      aRow('run', { id: `board ${n}`, count: '3', length: `8' 4"`, per: 'ft', price: '4.20', section: 'Deck' }),
    );
    const written = aWrittenList(rows);
    const priced = jobSheet({ ...BARE, list: { written, prices: true } });
    expect(said(priced)).toEqual(expect.arrayContaining(['Quantities', '3 × 8′ 4″', '25′', '$105.00', 'carried over']));
    const plain = jobSheet({ ...BARE, list: { written, prices: false } });
    expect(said(plain).filter((text) => text.startsWith('board'))).toHaveLength(70);
    expect(said(plain).some((text) => text.includes('$') || text === 'carried over' || text === 'price')).toBe(false);
    for (const sheets of [priced, plain]) {
      expect(sheets.length).toBeGreaterThan(1);
      expectInside(sheets);
    }
  });

  it('has lines to write on: so many, or to the foot of the last sheet without a sheet more', () => {
    const lines = Array.from({ length: 5 }, (_, n) => worked(n + 1));
    const ruled = (blank: JobSheet['blank']) => {
      const sheets = jobSheet({ ...BARE, lines, blank });
      const head = textsOf(sheets.at(-1) as Drawing).find(({ text }) => text === 'Notes');
      return {
        sheets: sheets.length,
        lines: (sheets.at(-1) as Drawing).shapes.filter(
          (shape) => shape.kind === 'line' && shape.weight === 'fine' && shape.y1 > (head?.y ?? Infinity),
        ).length,
      };
    };
    expect(ruled(0)).toEqual({ sheets: 1, lines: 0 });
    expect(ruled(6)).toEqual({ sheets: 1, lines: 6 });
    expect(ruled('rest').sheets).toBe(1);
    expect(ruled('rest').lines).toBeGreaterThan(15);
  });

  it('loses no line and draws nothing off its sheets, however long notes and names are', () => {
    const long = fc.string({ unit: 'grapheme-ascii', maxLength: 2000 });
    const line = fc.oneof(
      fc.record({ kind: fc.constant('heading' as const), words: fc.string({ maxLength: 200 }) }),
      fc.record({ kind: fc.constant('note' as const), words: long }),
      fc.record({ note: long, label: fc.string({ maxLength: 100 }) }).map((more) => worked(1, more)),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), fc.constantFrom('a4', 'letter'), (given, sheet) => {
        const lines = given.map((one, n) => (one.kind === 'worked' ? { ...one, number: n + 1 } : one));
        const sheets = jobSheet({ ...BARE, sheet, lines, blank: 'rest' });
        expectInside(sheets);
        const numbers = said(sheets).filter((text) => /^#\d+$/.test(text));
        const wanted = lines.flatMap((one) => (one.kind === 'worked' ? [`#${one.number}`] : []));
        expect(numbers.filter((text) => wanted.includes(text))).toEqual(expect.arrayContaining(wanted));
      }),
      { numRuns: 30 },
    );
  });
});
