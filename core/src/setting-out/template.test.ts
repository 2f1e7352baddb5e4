import { describe, expect, it } from 'vitest';
import { describeShapeIssue } from '../shape-messages.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { path, type Figure } from './figure.ts';
import { templateSheets } from './template.ts';

const SIZE = { sheet: 'a4', title: 'Shed: gable' } as const;
/** Room for the drawing on a sheet, between its edges and under its head. */
const [WIDE, HIGH] = [277, 176];

function sheets(figure: Figure): readonly Drawing[] {
  const made = templateSheets(figure, SIZE);
  if (!made.ok) throw new Error(made.issue.code);
  return made.value;
}
const heavy = ({ shapes }: Drawing) =>
  shapes.flatMap((shape) => (shape.kind === 'line' && shape.weight === 'heavy' ? [shape] : []));
const drawn = (all: readonly Drawing[]) =>
  all.flatMap(heavy).reduce((sum, { x1, y1, x2, y2 }) => sum + Math.hypot(x2 - x1, y2 - y1), 0);
const said = (drawing: Drawing | undefined) =>
  (drawing?.shapes ?? []).flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));

const line = (x1: number, y1: number, x2: number, y2: number): Figure => ({
  parts: [
    path([
      { x: x1, y: y1 },
      { x: x2, y: y2 },
    ]),
  ],
});

describe('a template', () => {
  it('is as large as the figure, on one sheet where it fits', () => {
    const [only, ...others] = sheets(line(3, 5, 3.2, 5.1));
    expect(others).toEqual([]);
    expect(heavy(only as Drawing)).toMatchObject([
      { x1: 10, y1: expect.closeTo(124, 9), x2: expect.closeTo(210, 9), y2: 24 },
    ]);
    expect(said(only)).toContain('Full size, column 1 of 1, row 1 of 1. Sheet 1 of 1.');
  });

  it('is cut where one sheet ends and goes on where the next begins, none of it lost', () => {
    const all = sheets(line(0, 0, 1.1, 0.6));
    expect(drawn(all)).toBeCloseTo(Math.hypot(1100, 600), 6);
    for (const { x1, y1, x2, y2 } of all.flatMap(heavy)) {
      for (const x of [x1, x2]) expect(x >= 10 - 1e-9 && x <= 10 + WIDE + 1e-9).toBe(true);
      for (const y of [y1, y2]) expect(y >= 24 - 1e-9 && y <= 24 + HIGH + 1e-9).toBe(true);
    }
    // Four columns and four rows, but a slanting line passes through seven of the sixteen.
    expect(all).toHaveLength(7);
    expect(said(all[0])).toEqual(expect.arrayContaining([expect.stringContaining('column 3 of 4, row 1 of 4')]));
    expect(said(all[0])).toContain('row 2 goes on here');
  });

  it('follows a curve closer than any pencil', () => {
    const radius = 0.4;
    const circle: Figure = {
      parts: [{ kind: 'arc', centre: { x: 0, y: 0 }, radius, from: 0, to: 2 * Math.PI, weight: 'body' }],
    };
    expect(drawn(sheets(circle)) / 1000).toBeCloseTo(2 * Math.PI * radius, 3);
  });

  it('of a whole house is refused in a sentence', () => {
    for (const far of [30, 3000]) {
      const made = templateSheets(line(0, 0, far, far), SIZE);
      expect(!made.ok && describeShapeIssue(made.issue)).toMatch(
        /^Full size this takes \d+ sheets; no more than 60 are made/,
      );
    }
  });
});
