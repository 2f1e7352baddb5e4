import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { makeRational } from '../number/rational.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { AREA } from '../units/dimension.ts';
import { quantityIn } from '../units/quantity.ts';
import { unitById } from '../units/unit-table.ts';
import { crowdedStretch, rodOf, spreadLabels } from './rod.ts';
import { rodSheets, type RodPrint } from './rod-sheets.ts';

const inches = (name: string, num: number, den = 1) => ({
  name,
  quantity: quantityIn(makeRational(num, den), unitById('in')),
});

describe('the rod', () => {
  it('lays lengths out in proportion, the shortest first, with exact gaps, and other kinds aside', () => {
    const area = { name: 'floor', quantity: { value: makeRational(3), dimension: AREA } };
    const { marks, others, foot, end } = rodOf([inches('c', 120), area, inches('a', 30), inches('b', 121, 4)]);
    expect(marks.map(({ mark, place }) => [mark.name, place])).toEqual([
      ['a', 0.25],
      ['b', 30.25 / 120],
      ['c', 1],
    ]);
    expect(marks.map(({ gap }) => gap && readQuantity(gap).text)).toEqual([undefined, '1⁄4″', '7′ 5 3⁄4″']);
    expect(others).toEqual([area]);
    expect([foot, end]).toEqual([0, 3.048]);
  });

  it('has nothing on it, reaches below nothing, and keeps equal marks in their order', () => {
    expect(rodOf([])).toEqual({ marks: [], others: [], foot: 0, end: 0 });
    const below = rodOf([inches('up', 30), inches('down', -10)]);
    expect(below.marks.map(({ mark, place }) => [mark.name, place])).toEqual([
      ['down', 0],
      ['up', 1],
    ]);
    expect(rodOf([inches('b', 5), inches('a', 5)]).marks.map(({ mark }) => mark.name)).toEqual(['b', 'a']);
    expect(rodOf([inches('nothing', 0)]).marks[0]?.place).toBe(0);
  });

  it('shows where marks crowd', () => {
    const { from, to } = crowdedStretch([0.1, 0.5, 0.52, 0.54, 0.9], 0.1);
    expect([from, to]).toEqual([expect.closeTo(0.47, 9), expect.closeTo(0.57, 9)]);
    expect(crowdedStretch([0.99, 1], 0.2)).toEqual({ from: 0.8, to: 1 });
    expect(crowdedStretch([], 0.5)).toEqual({ from: 0.25, to: 0.75 });
  });

  it('spreads labels in order, apart, within bounds, and leaves those with room where they are', () => {
    expect(spreadLabels([10, 50, 90], 10, 0, 100)).toEqual([10, 50, 90]);
    expect(spreadLabels([50, 50, 50], 10, 0, 100)).toEqual([40, 50, 60]);
    expect(spreadLabels([0, 1, 99, 100], 10, 0, 100)).toEqual([0, 10, 90, 100]);
    // The third pushes the second down, and with it the first.
    expect(spreadLabels([20, 32, 33, 33], 10, 0, 100)).toEqual([14.5, 24.5, 34.5, 44.5]);
    expect(spreadLabels([5, 5, 5], 80, 0, 100)).toEqual([0, 50, 100]);
    const places = fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 1, maxLength: 70 });
    fc.assert(
      fc.property(places, fc.double({ min: 0.1, max: 20, noNaN: true }), (wanted, apart) => {
        const spread = spreadLabels(
          [...wanted].sort((a, b) => a - b),
          apart,
          0,
          100,
        );
        const step = Math.min(apart, 100 / Math.max(1, wanted.length - 1));
        spread.forEach((place, at) => {
          expect(place).toBeGreaterThanOrEqual(-1e-9);
          expect(place).toBeLessThanOrEqual(100 + 1e-9);
          if (at > 0) expect(place - (spread[at - 1] as number)).toBeGreaterThanOrEqual(step - 1e-6);
        });
      }),
    );
  });
});

describe('the rod on paper', () => {
  const rod = rodOf([
    { ...inches('short', 12), text: '1′' },
    { ...inches('mid', 40), text: '3′ 4″' },
    { ...inches('long', 100), text: '8′ 4″' },
  ]);
  const printed = (marks: typeof rod, print: RodPrint) => {
    const sheets = rodSheets(marks, print);
    if (!sheets.ok) throw new Error(sheets.issue.code);
    return sheets.value;
  };
  const uprights = (pages: ReturnType<typeof printed>) =>
    pages.flatMap(({ shapes }) =>
      shapes.flatMap((shape) => (shape.kind === 'text' && shape.upright ? [shape.text] : [])),
    );

  it('stands on one sheet, to the largest common scale that it fits by', () => {
    const pages = printed(rod, { sheet: 'a4', size: 'to-scale', metric: true, title: 'Shed' });
    expect(pages).toHaveLength(1);
    expect(uprights(pages)).toEqual(['short  1′', 'mid  3′ 4″', 'long  8′ 4″']);
    const body = pages[0]?.shapes.find(({ kind }) => kind === 'box');
    // 100″ are 2540 mm: 1:10 is the first that 277 mm hold.
    expect(body?.kind === 'box' && body.width).toBeCloseTo(254, 9);
    expect(JSON.stringify(pages)).toContain('scale 1:10.');
    const imperial = printed(rod, { sheet: 'letter', size: 'to-scale', metric: false, title: 'Shed' });
    expect(JSON.stringify(imperial)).toContain('scale 1″ = 1′.');
    const small = printed(rodOf([{ ...inches('peg', 5), text: '5″' }]), {
      sheet: 'a4',
      size: 'to-scale',
      metric: false,
      title: 'T',
    });
    expect(JSON.stringify(small)).toContain('scale 1:1.');
  });

  it('full size measures what it says, over strips that join without a gap, each mark on one of them', () => {
    const pages = printed(rod, { sheet: 'letter', size: 'full-size', metric: false, title: 'Shed' });
    const strips = pages.flatMap(({ shapes }) => shapes.filter((shape) => shape.kind === 'box'));
    const total = strips.reduce((sum, { width }) => sum + width, 0);
    expect(total).toBeCloseTo(2540, 6);
    expect(strips).toHaveLength(Math.ceil(2540 / 259.4));
    expect(uprights(pages)).toEqual(['short  1′', 'mid  3′ 4″', 'long  8′ 4″']);
    expect(pages.every(({ shapes }) => shapes.some((shape) => shape.kind === 'line' && shape.weight === 'cut'))).toBe(
      true,
    );
    // 12″ lie 304.8 mm from the foot: in the second strip, 45.4 mm from its cut.
    const label = pages[0]?.shapes.find((shape) => shape.kind === 'text' && shape.text.startsWith('short'));
    expect(label?.kind === 'text' && label.x).toBeCloseTo(10 + 304.8 - 259.4, 9);
  });

  it('keeps labels and what joins the strips clear of the cuts and of the marks', () => {
    const marks = [
      ...['a', 'b', 'c'].map((name, n) => ({ ...inches(name, 160 + n, 16), text: '10″' })),
      { ...inches('end', 30), text: '2′ 6″' },
    ];
    for (const { shapes } of printed(rodOf(marks), { sheet: 'letter', size: 'full-size', metric: false, title: 'T' })) {
      // A cut is made square, along the rod or across it.
      for (const shape of shapes)
        if (shape.kind === 'line' && shape.weight === 'cut')
          expect(shape.x1 === shape.x2 || shape.y1 === shape.y2).toBe(true);
      const cuts = shapes.flatMap((shape) =>
        shape.kind === 'line' && shape.weight === 'cut' && shape.x1 === shape.x2 ? [shape] : [],
      );
      const rods = shapes.filter((shape) => shape.kind === 'box');
      for (const shape of shapes) {
        if (shape.kind !== 'text' || shape.strong) continue;
        // An upright label reaches from its foot to the left by its height.
        for (const cut of cuts)
          if (shape.upright && Math.min(cut.y1, cut.y2) <= shape.y && shape.y <= Math.max(cut.y1, cut.y2))
            expect(shape.x < cut.x1 ? cut.x1 - shape.x > 1 : shape.x - shape.size - cut.x1 > -0.01, shape.text).toBe(
              true,
            );
        if (shape.text.endsWith('joins here') || shape.text === 'end')
          for (const rod of rods)
            expect(shape.y < rod.y || shape.y - shape.size > rod.y + rod.height - 0.01).toBe(true);
      }
    }
  });

  it('keeps every shape on its sheet, for no marks and for sixty in one place', () => {
    const crowd = Array.from({ length: 60 }, (_, n) => ({ ...inches(`m${n}`, 960 + n, 8), text: '10′' }));
    for (const marks of [[], crowd])
      for (const size of ['to-scale', 'full-size'] as const)
        for (const { width, height, shapes } of printed(rodOf(marks), {
          sheet: 'a4',
          size,
          metric: true,
          title: 'T',
        }))
          for (const shape of shapes) {
            const [xs, ys] =
              shape.kind === 'line'
                ? [
                    [shape.x1, shape.x2],
                    [shape.y1, shape.y2],
                  ]
                : [[shape.x], [shape.y]];
            for (const x of xs) expect(x >= 0 && x <= width).toBe(true);
            for (const y of ys) expect(y >= 0 && y <= height).toBe(true);
          }
  });

  it('has a scale for a rod of any length, and refuses to print a road at its size', () => {
    const road = rodOf([{ ...inches('road', 63_360 * 100), text: '100 mi' }]);
    const print = { sheet: 'a4', metric: true, title: 'T' } as const;
    const [page, ...more] = printed(road, { ...print, size: 'to-scale' });
    expect(more).toEqual([]);
    expect(JSON.stringify(page)).toContain('scale 1:1000000.');
    expect(rodSheets(road, { ...print, size: 'full-size' })).toMatchObject({
      ok: false,
      issue: { code: 'rod.too_long', fields: { limit: '60' } },
    });
  });
});
