import { makeShapeIssue, type ShapeIssue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import { line, SHEETS, words, type Drawing, type LineWeight, type Shape, type SheetSize } from '../drawing/drawing.ts';
import { EDGE, HEAD, SHEET_LIMIT, sheetHead } from '../drawing/sheet-head.ts';
import { strokes, type Figure, type FigureWeight, type Point } from './figure.ts';

const PER_METRE = 1000;
/** By how much a curve may be cut short between two of its points, in metres: less than any pencil is wide. */
const FLAT = 0.000_02;
const WEIGHTS: Readonly<Record<FigureWeight, LineWeight>> = { body: 'heavy', thin: 'fine', dashed: 'cut' };

export interface Template {
  readonly sheet: SheetSize;
  readonly title: string;
}

/**
 * A figure as large as it is, over as many sheets as that takes, row by row from the top left; sheets with nothing on them
 * are left out. Each says where it belongs and has lines to cut along on its right and at its foot: the sheet laid over the
 * next one up to its edge, the lines go on. Every sheet has lines of 100 mm and 4 inches to check the print by.
 * @returns the sheets, or `template.too_large` where they would be more than SHEET_LIMIT
 */
export function templateSheets(figure: Figure, { sheet, title }: Template): Result<readonly Drawing[], ShapeIssue> {
  const { width, height } = SHEETS[sheet];
  const [wide, high] = [width - 2 * EDGE, height - 2 * EDGE - HEAD];
  const drawn = strokes(figure, FLAT);
  const points = drawn.flatMap((stroke) => stroke.points);
  const left = Math.min(...points.map(({ x }) => x));
  const top = Math.max(...points.map(({ y }) => y));
  const onPaper = ({ x, y }: Point): Point => ({ x: (x - left) * PER_METRE, y: (top - y) * PER_METRE });
  const lines = drawn.map((stroke) => ({ weight: WEIGHTS[stroke.weight], points: stroke.points.map(onPaper) }));
  const extent = (values: readonly number[]) => Math.max(...values);
  const columns = Math.max(1, Math.ceil(extent(lines.flatMap((one) => one.points.map(({ x }) => x))) / wide - 1e-9));
  const rows = Math.max(1, Math.ceil(extent(lines.flatMap((one) => one.points.map(({ y }) => y))) / high - 1e-9));
  // A figure as large as a house has more sheets than are worth being looked at.
  if (!(columns * rows <= SHEET_LIMIT * SHEET_LIMIT)) return tooLarge(columns * rows);
  const filled: { readonly column: number; readonly row: number; readonly shapes: readonly Shape[] }[] = [];
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const shapes = lines.flatMap(({ points: along, weight }) =>
        along.slice(1).flatMap((to, at) => {
          const part = within(along[at] as Point, to, { left: column * wide, top: row * high, wide, high });
          return part
            ? [line(EDGE + part.x1, EDGE + HEAD + part.y1, EDGE + part.x2, EDGE + HEAD + part.y2, weight)]
            : [];
        }),
      );
      if (shapes.length > 0) filled.push({ column, row, shapes });
    }
  if (filled.length > SHEET_LIMIT) return tooLarge(filled.length);
  return ok(
    filled.map(({ column, row, shapes }, at): Drawing => {
      const place = `column ${column + 1} of ${columns}, row ${row + 1} of ${rows}`;
      const [right, foot] = [EDGE + wide, EDGE + HEAD + high];
      const joins: Shape[] = [
        ...(column < columns - 1
          ? [
              line(right, EDGE + HEAD, right, foot, 'cut'),
              words(right - 1.5, foot - 6, `column ${column + 2} goes on here`, 2.8, { anchor: 'end' }),
            ]
          : []),
        ...(row < rows - 1
          ? [line(EDGE, foot, right, foot, 'cut'), words(EDGE + 1.5, foot - 1.5, `row ${row + 2} goes on here`, 2.8)]
          : []),
      ];
      const how = `Full size, ${place}. Sheet ${at + 1} of ${filled.length}.`;
      return { width, height, shapes: [...sheetHead(title, how, width), ...joins, ...shapes] };
    }),
  );
}

function tooLarge(sheets: number): Result<never, ShapeIssue> {
  return fail(
    makeShapeIssue('template.too_large', { start: 0, end: 0 }, { limit: `${SHEET_LIMIT}`, sheets: `${sheets}` }),
  );
}

interface Frame {
  readonly left: number;
  readonly top: number;
  readonly wide: number;
  readonly high: number;
}

/**
 * The part of a line that lies in a frame, from the frame's corner. Source: Liang and Barsky, A new concept and method for
 * line clipping (1984): of each edge, how far along the line it is crossed.
 */
function within(from: Point, to: Point, { left, top, wide, high }: Frame) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const [x, y] = [from.x - left, from.y - top];
  let [start, end] = [0, 1];
  for (const [step, room] of [
    [-dx, x],
    [dx, wide - x],
    [-dy, y],
    [dy, high - y],
  ] as const) {
    if (step === 0) {
      if (room < 0) return undefined;
    } else if (step < 0) start = Math.max(start, room / step);
    else end = Math.min(end, room / step);
  }
  if (start >= end) return undefined;
  return { x1: x + start * dx, y1: y + start * dy, x2: x + end * dx, y2: y + end * dy };
}
