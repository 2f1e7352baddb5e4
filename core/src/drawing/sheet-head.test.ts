import { expect, it } from 'vitest';
import { EDGE, HEAD, sheetHead } from './sheet-head.ts';

it('the head of a sheet lies on it, with lines of exactly 100 mm and 4 inches to check the print by', () => {
  for (const width of [210, 297]) {
    const shapes = sheetHead('Gable', 'Full size.', width);
    const lines = shapes.flatMap((shape) => (shape.kind === 'line' ? [shape] : []));
    const texts = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
    for (const { x1, y1, x2, y2 } of lines) {
      for (const x of [x1, x2]) expect(x >= EDGE && x <= width - EDGE).toBe(true);
      for (const y of [y1, y2]) expect(y >= EDGE && y <= EDGE + HEAD).toBe(true);
    }
    for (const { x, y } of texts) {
      expect(x >= EDGE && x <= width - EDGE).toBe(true);
      expect(y > EDGE && y <= EDGE + HEAD).toBe(true);
    }
    const checks = [lines.slice(0, 3), lines.slice(3, 6)];
    for (const [n, [check, left, right]] of checks.entries()) {
      expect((check?.x2 ?? 0) - (check?.x1 ?? 0)).toBeCloseTo(n === 0 ? 100 : 101.6, 9);
      expect((check?.y2 ?? 0) - (check?.y1 ?? 0)).toBe(0);
      // Its ends are marked across it, where it ends.
      expect([left?.x1, left?.x2, right?.x1, right?.x2]).toEqual([check?.x1, check?.x1, check?.x2, check?.x2]);
      for (const end of [left, right]) expect(((end?.y1 ?? 0) + (end?.y2 ?? 0)) / 2).toBeCloseTo(check?.y1 ?? 0, 9);
    }
    expect(lines).toHaveLength(6);
    expect(texts.map(({ text }) => text)).toEqual([
      'Gable',
      'Full size.',
      '100 mm',
      '4″',
      'Measure these lines: they are as long as they say when the sheet is printed at its size.',
    ]);
    expect(texts.map(({ strong }) => strong === true)).toEqual([true, false, false, false, false]);
    // One under the other, none over the next.
    expect((texts[1]?.y ?? 0) - (texts[0]?.y ?? 0)).toBe(5);
  }
});
