import { line, words, type Shape } from './drawing.ts';

/** Free edge of a sheet, which printers leave white. */
export const EDGE = 10;
/** Height of what stands at the head of a sheet. */
export const HEAD = 14;
/** Sheets that somebody may still cut out and join; what takes more is printed to scale. */
export const SHEET_LIMIT = 60;
/** The line that shows whether a sheet was printed at its size. */
const CHECK = 100;

/** The head of a sheet: what is on it, and a line of 100 mm to check the print by. @param how a sentence */
export function sheetHead(title: string, how: string, width: number): Shape[] {
  const right = width - EDGE;
  const y = EDGE + 5;
  return [
    words(EDGE, y, title, 4.5, { strong: true }),
    words(EDGE, y + 5, how, 3.2),
    line(right - CHECK, y + 1, right, y + 1),
    line(right - CHECK, y - 1, right - CHECK, y + 3),
    line(right, y - 1, right, y + 3),
    words(right - CHECK / 2, y, `This line measures 100 mm when the sheet is printed at its size.`, 2.8, {
      anchor: 'middle',
    }),
  ];
}
