import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsFor } from './columns.ts';

const SIZES = { least: 24, most: 44, width: 165 };

describe('marks in columns', () => {
  it('takes as few columns as give every row its height', () => {
    expect(columnsFor(5, { width: 510, height: 640 }, SIZES)).toEqual({
      perColumn: 5,
      rowHeight: 44,
      columnWidth: 264,
    });
    expect(columnsFor(20, { width: 510, height: 640 }, SIZES)).toMatchObject({ perColumn: 10, rowHeight: 44 });
    expect(columnsFor(60, { width: 510, height: 640 }, SIZES)).toEqual({
      perColumn: 20,
      rowHeight: 32,
      columnWidth: 170,
    });
  });

  it('goes on beside them where not all have room', () => {
    expect(columnsFor(60, { width: 390, height: 260 }, SIZES)).toEqual({
      perColumn: 10,
      rowHeight: 26,
      columnWidth: 165,
    });
  });

  it('loses no mark, makes no row too low, and fills no more height than there is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 2000 }),
        fc.integer({ min: 24, max: 2000 }),
        (count, width, height) => {
          const { perColumn, rowHeight, columnWidth } = columnsFor(count, { width, height }, SIZES);
          expect(rowHeight).toBeGreaterThanOrEqual(SIZES.least);
          expect(rowHeight).toBeLessThanOrEqual(SIZES.most);
          expect(perColumn * rowHeight).toBeLessThanOrEqual(height);
          expect(columnWidth).toBeGreaterThanOrEqual(SIZES.width);
          const columns = Math.ceil(count / perColumn);
          // Beside the window's edge only where the lowest rows do not fit in it.
          if (columns * SIZES.width > Math.max(width, SIZES.width))
            expect((perColumn + 1) * SIZES.least).toBeGreaterThan(height);
        },
      ),
    );
  });
});
