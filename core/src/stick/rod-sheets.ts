import { box, line, SHEETS, words, type Drawing, type Shape, type SheetSize } from '../drawing/drawing.ts';
import { spreadLabels, type NamedQuantity, type Rod, type RodMark } from './rod.ts';

/** A mark as it is printed. */
export interface PrintedMark extends NamedQuantity {
  /** Its size as it reads. */
  readonly text: string;
}

export interface RodPrint {
  readonly sheet: SheetSize;
  /** The whole rod on one sheet, or as large as it is, in strips to cut out and join. */
  readonly size: 'one-sheet' | 'full-size';
  /** What stands at the head of each sheet. */
  readonly title: string;
}

/** Free edge of a sheet, which printers leave white. */
const EDGE = 10;
const HEAD = 14;
/** Height of a strip: the rod itself, and room above it for labels written upwards. */
const STRIP = 44;
const ROD = 8;
const LABEL = 3.2;
const APART = 4.2;
/** Between a mark and its label. */
const LEADER = 4;
const PER_METRE = 1000;
/** The line that tells whether a sheet was printed at its size. */
const CHECK = 100;

/**
 * The sheets of a rod: in proportion on one, or full size in strips with cut lines, each strip with its number, and on
 * every sheet a line of 100 mm to check the print by. Lengths alone are printed.
 */
export function rodSheets(rod: Rod<PrintedMark>, { sheet, size, title }: RodPrint): readonly Drawing[] {
  const { width, height } = SHEETS[sheet];
  const long = width - 2 * EDGE;
  const span = (rod.end - rod.foot) * PER_METRE;
  const isFull = size === 'full-size';
  const count = isFull ? Math.max(1, Math.ceil(span / long)) : 1;
  const perSheet = isFull ? Math.floor((height - 2 * EDGE - HEAD) / STRIP) : 1;
  const strips = Array.from({ length: count }, (_, index) =>
    stripOf(rod, index, count, isFull ? span / long : 1, long),
  );
  const sheets = Math.ceil(count / perSheet);
  return Array.from({ length: sheets }, (_, page) => {
    const shapes: Shape[] = headOf(title, isFull ? 'full size' : scaleWords(span, long), page, sheets, width);
    strips.slice(page * perSheet, (page + 1) * perSheet).forEach((strip, row) => {
      const top = EDGE + HEAD + row * STRIP;
      shapes.push(...strip.map((shape) => moved(shape, EDGE, top)));
    });
    return { width, height, shapes };
  });
}

/** How many times smaller than the rod: one to so many, told so that nobody measures it off by mistake. */
function scaleWords(span: number, long: number): string {
  return span === 0 ? 'in proportion' : `in proportion, about 1:${Math.max(1, Math.round(span / long))}`;
}

function headOf(title: string, how: string, page: number, sheets: number, width: number): Shape[] {
  const right = width - EDGE;
  const y = EDGE + 5;
  return [
    words(EDGE, y, title, 4.5, { strong: true }),
    words(EDGE, y + 5, `Story stick, ${how}. Sheet ${page + 1} of ${sheets}.`, 3.2),
    line(right - CHECK, y + 1, right, y + 1),
    line(right - CHECK, y - 1, right - CHECK, y + 3),
    line(right, y - 1, right, y + 3),
    words(right - CHECK / 2, y, `This line measures 100 mm when the sheet is printed at its size.`, 2.8, {
      anchor: 'middle',
    }),
  ];
}

/**
 * One strip, its corner at 0, 0.
 * @param lengths how many strips the rod is long
 */
function stripOf(rod: Rod<PrintedMark>, index: number, count: number, lengths: number, long: number): readonly Shape[] {
  const at = ({ place }: RodMark<PrintedMark>) => (place * lengths - index) * long;
  const isLast = index === count - 1;
  const here = rod.marks.filter((mark) => at(mark) >= 0 && (at(mark) < long || (isLast && at(mark) <= long + 1e-6)));
  const end = isLast ? Math.min(long, (lengths - index) * long) : long;
  const rodTop = STRIP - ROD - 2;
  const labelFoot = rodTop - LEADER;
  const shapes: Shape[] = [box(0, rodTop, end, ROD)];
  const wanted = here.map(at);
  const places = spreadLabels(wanted, APART, LABEL, long - 0.5);
  here.forEach(({ mark }, order) => {
    const x = wanted[order] as number;
    const label = places[order] as number;
    shapes.push(
      line(x, rodTop, x, rodTop + ROD),
      line(x, rodTop, label - LABEL / 3, labelFoot, 'fine'),
      words(label, labelFoot - 0.5, `${mark.name}  ${mark.text}`, LABEL, { upright: true }),
    );
  });
  if (count > 1) {
    shapes.push(
      line(-4, STRIP, long + 4, STRIP, 'cut'),
      line(0, 0, 0, STRIP, 'cut'),
      line(end, 0, end, STRIP, 'cut'),
      words(1.5, STRIP - 4.5, `${index + 1}`, 4, { strong: true }),
      words(end - 1.5, STRIP - 4.5, isLast ? 'end' : `${index + 2} joins here`, 2.8, { anchor: 'end' }),
    );
  }
  return shapes;
}

function moved(shape: Shape, dx: number, dy: number): Shape {
  return shape.kind === 'line'
    ? { ...shape, x1: shape.x1 + dx, x2: shape.x2 + dx, y1: shape.y1 + dy, y2: shape.y2 + dy }
    : { ...shape, x: shape.x + dx, y: shape.y + dy };
}
