import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHEETS, type Drawing, type TextShape } from '../drawing/drawing.ts';
import { aRow } from '../testing/take-off-rows.ts';
import { aWrittenList } from '../testing/written-lists.ts';
import { listSheets } from './paper.ts';

const textsOf = ({ shapes }: Drawing): readonly TextShape[] => shapes.filter((shape) => shape.kind === 'text');
const said = (sheet: Drawing) => textsOf(sheet).map(({ text }) => text);
/** What stands to the right of words, on their line. */
const beside = (sheet: Drawing, what: string) => {
  const at = textsOf(sheet).find(({ text }) => text === what);
  return textsOf(sheet).find(({ x, y }) => at !== undefined && y === at.y && x > at.x)?.text;
};
const rows = (section: string, count: number, price = '10') =>
  Array.from({ length: count }, (_, n) => aRow('each', { id: `${section} ${n + 1}`, count: '1', price, section }));

describe('a take-off on paper', () => {
  it('has the heading of the job, its rows with how they were worked out, subtotals and totals', () => {
    const list = aWrittenList(
      [
        aRow('run', { id: 'rail', count: '14', length: `8' 4"`, per: 'ft', price: '4.20', section: 'Deck' }),
        aRow('each', { id: 'post', count: '4', price: '31.25', section: 'Deck' }),
        aRow('each', { id: 'lamp', count: '1', price: '50', section: 'Deck', isLeftOut: true }),
      ],
      { items: { rail: 'Top rail' } },
    );
    const [sheet, ...more] = listSheets(list, 'letter') as [Drawing, ...Drawing[]];
    expect(more).toEqual([]);
    expect(said(sheet)).toEqual(
      expect.arrayContaining([
        'Back porch · quantities',
        'Sheet 1 of 1',
        '14 × 8′ 4″',
        '116′ 8″',
        '$4.20/ft',
        '$490.00',
      ]),
    );
    expect(beside(sheet, 'Top rail')).toBe('14 × 8′ 4″');
    expect(said(sheet)).toContain('left out');
    // 116 2/3 ft at 4.20, and four posts.
    expect(beside(sheet, 'subtotal Deck')).toBe('$615.00');
    expect(beside(sheet, 'Sales tax 8.25 % of $615.00')).toBe('$50.74');
    expect(beside(sheet, 'all together')).toBe('$665.74');
    expect(beside(sheet, 'left out of it')).toBe('$50.00');
  });

  it('keeps a section together where a sheet holds it', () => {
    const sheets = listSheets(aWrittenList([...rows('Deck', 14), ...rows('Doors', 12)]), 'a4');
    const onSheet = (n: number) => said(sheets[n] as Drawing).filter((text) => /^(Deck|Doors) \d/.test(text)).length;
    expect([onSheet(0), onSheet(1)]).toEqual([14, 12]);
  });

  it('carries the total over from sheet to sheet, and goes on with the name of the section', () => {
    const sheets = listSheets(aWrittenList(rows('Deck', 60)), 'a4');
    expect(sheets.length).toBeGreaterThan(2);
    let before = 0;
    for (const [n, sheet] of sheets.entries()) {
      const here = said(sheet).filter((text) => /^Deck \d/.test(text)).length;
      if (n > 0) {
        expect(beside(sheet, 'brought forward')).toBe(`$${before.toFixed(2)}`);
        expect(said(sheet).some((text) => text === 'Deck, continued') || here === 0).toBe(true);
      }
      before += here * 10;
      if (n < sheets.length - 1) expect(beside(sheet, 'carried over')).toBe(`$${before.toFixed(2)}`);
    }
    expect(before).toBe(600);
  });

  it('draws every row once and nothing outside its sheets, whatever the sections are', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 45 }), { minLength: 1, maxLength: 5 }), (counts) => {
        const list = aWrittenList(counts.flatMap((count, n) => rows(`S${n}`, count)));
        const sheets = listSheets(list, 'letter');
        const items = sheets.flatMap(said).filter((text) => /^S\d \d+$/.test(text));
        expect(items).toHaveLength(counts.reduce((sum, count) => sum + count, 0));
        expect(new Set(items).size).toBe(items.length);
        for (const { shapes } of sheets)
          for (const shape of shapes) {
            const y = shape.kind === 'text' ? shape.y : shape.kind === 'line' ? shape.y2 : shape.y;
            expect(y).toBeGreaterThan(0);
            expect(y).toBeLessThanOrEqual(SHEETS.letter.height - 5);
          }
      }),
      { numRuns: 30 },
    );
  });
});
