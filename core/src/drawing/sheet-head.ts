import { line, words, type Shape } from './drawing.ts';
import { fittingSize } from './wrapped.ts';

/** Free edge of a sheet, which printers leave white. */
export const EDGE = 10;
/** Height of what stands at the head of a sheet. */
export const HEAD = 14;
/** Sheets that somebody may still cut out and join; what takes more is printed to scale. */
export const SHEET_LIMIT = 60;
/** The lines that show whether a sheet was printed at its size, each measured with the tape at hand. An inch is 25.4 mm (ISO 31-1). */
const CHECKS = [
  { long: 100, says: '100 mm' },
  { long: 4 * 25.4, says: '4″' },
] as const;
/** Between them. */
const APART = 3.4;
/** What they say beside them. */
const SAYS = 11;

/** The head of a sheet: what is on it, and lines of 100 mm and of 4 inches to check the print by. @param how a sentence */
export function sheetHead(title: string, how: string, width: number): Shape[] {
  const right = width - EDGE;
  const y = EDGE + 5;
  const left = right - SAYS - Math.max(...CHECKS.map(({ long }) => long));
  return [
    words(EDGE, y, title, fittingSize(title, left - EDGE - 4, 4.5), { strong: true }),
    words(EDGE, y + 5, how, 3.2),
    ...CHECKS.flatMap(({ long, says }, n) => {
      const at = EDGE + 5 + n * APART;
      return [
        line(left, at, left + long, at),
        line(left, at - 1.4, left, at + 1.4),
        line(left + long, at - 1.4, left + long, at + 1.4),
        words(right, at + 1, says, 2.8, { anchor: 'end' }),
      ];
    }),
    words(
      left,
      EDGE + 2.4,
      'Measure these lines: they are as long as they say when the sheet is printed at its size.',
      2.4,
    ),
  ];
}
