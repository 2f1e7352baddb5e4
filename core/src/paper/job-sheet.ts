import { EDGE } from '../drawing/sheet-head.ts';
import { line, moved, sheetOf, words, type Drawing, type Shape, type SheetSize } from '../drawing/drawing.ts';
import { flow, headPiece, LINE, PAD, stacked, type Group, type Piece } from '../drawing/flow.ts';
import { wrapped } from '../drawing/wrapped.ts';
import { columnHeads, listGroups, STANDING, WITHOUT_PRICES } from '../quantities/paper.ts';
import type { WrittenList } from '../quantities/written-list.ts';
import { marksOnStrip, rodStrip, type PrintedMark } from '../stick/rod-sheets.ts';
import { rodOf } from '../stick/rod.ts';

/** What stands on the slate, as it reads. */
export type SheetLine =
  | { readonly kind: 'heading'; readonly words: string }
  | { readonly kind: 'note'; readonly words: string }
  | {
      readonly kind: 'worked';
      /** None for a total that the sheet adds. */
      readonly number: number | undefined;
      readonly label: string;
      /** What was worked out, as it is read back; empty to leave it out. */
      readonly readBack: string;
      readonly result: string;
      /** How the result was rounded, and what it would be in other words; empty for nothing to say. */
      readonly rounding: string;
      /** Empty for none, or to leave it out. */
      readonly note: string;
      /** It adds up others. */
      readonly isTotal: boolean;
    };

/** A mark as the story stick lists it. */
export interface SheetMark extends PrintedMark {
  readonly note: string;
}

/** A drawing at the size in which it is to stand on the sheet: no higher than {@link roomOf} says. */
export interface SheetFigure {
  readonly title: string;
  /** Its scale. */
  readonly says: string;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** The parts of a job sheet, in the order in which they are printed; one that is not given is left out. */
export interface JobSheet {
  readonly sheet: SheetSize;
  readonly title: string;
  /** Under the title, on the first sheet: for whom, where. */
  readonly under: string;
  /** The day, in words. */
  readonly on: string;
  readonly lines?: readonly SheetLine[] | undefined;
  readonly marks?: { readonly list: readonly SheetMark[]; readonly metric: boolean } | undefined;
  readonly figures?: readonly SheetFigure[] | undefined;
  readonly list?: { readonly written: WrittenList; readonly prices: boolean } | undefined;
  /** Lines to write on by hand: so many, or down to the foot of the last sheet. */
  readonly blank: number | 'rest';
}

const [TITLE, TYPE, SMALL, RESULT] = [5.4, 3.4, 2.8, 4.2];
/** Over the pages after the first, and the least over the first. */
const HEAD = 11;
/** Columns of the slate: the number, and what a result may take. */
const [NUMBER, RESULT_WIDTH] = [11, 52];
/** Columns of the marks. */
const [NAME, SIZE] = [58, 44];
/** Between two lines to write on: a hand writes in less than 9 mm. */
const BLANK = 9;
const FEWEST = 4;
/** How much of a note a piece holds: more than that is broken between pages. */
const LINES = 12;

/** Room of a sheet in millimetres: what a drawing may take of it. */
export function roomOf(sheet: SheetSize): { readonly width: number; readonly height: number } {
  const { width, height } = sheetOf(sheet, true);
  return { width: width - 2 * EDGE, height: height - 2 * EDGE - HEAD - LINE - 6 * PAD - LINE };
}

/**
 * A job on paper: standing sheets in millimetres, black on white, each with the job's name and its own number. No line, mark,
 * row or drawing is broken between two sheets; a note of more than twelve lines is.
 */
export function jobSheet(job: JobSheet): readonly Drawing[] {
  const { width, height } = sheetOf(job.sheet, true);
  const right = width - EDGE;
  const plan = { width, height, head: (page: number) => headOf(job, page, right), carryWords: STANDING.price ?? 0 };
  const groups = [
    ...(job.lines ? slateGroups(job.lines, right) : []),
    ...(job.marks && job.marks.list.length > 0 ? [marksGroup(job.marks.list, job.marks.metric, right)] : []),
    ...(job.figures ?? []).map((figure) => figureGroup(figure, right)),
    ...(job.list ? takeOffGroups(job.list.written, job.list.prices, right) : []),
  ];
  return flow(job.blank === 0 ? groups : [...groups, blankGroup(job.blank, right)], plan);
}

function headOf({ title, under, on }: JobSheet, page: number, right: number) {
  if (page > 0)
    return {
      shapes: [words(EDGE, EDGE + 5, title, TYPE, { strong: true }), line(EDGE, EDGE + 7.5, right, EDGE + 7.5, 'fine')],
      end: EDGE + HEAD,
    };
  // Beside the number of the sheet.
  const titles = wrapped(title, right - EDGE - 32, TITLE);
  const unders = under.split('\n').flatMap((one) => wrapped(one, right - EDGE, TYPE));
  const below = EDGE + 5 + (titles.length - 1) * (TITLE + 1) + 6;
  const foot = below + unders.length * LINE + 2;
  return {
    shapes: [
      ...titles.map((text, n) => words(EDGE, EDGE + 5 + n * (TITLE + 1), text, TITLE, { strong: true })),
      words(EDGE, below, on, TYPE),
      ...unders.map((text, n) => words(EDGE, below + (n + 1) * LINE, text, TYPE)),
      line(EDGE, foot, right, foot, 'heavy'),
    ],
    end: foot + PAD,
  };
}

const NOTHING: Piece = { height: 0, draw: () => [] };

/** A group for each heading; lines before the first have none. */
function slateGroups(lines: readonly SheetLine[], right: number): readonly Group[] {
  const groups: { heading: string | undefined; pieces: Piece[] }[] = [{ heading: undefined, pieces: [] }];
  for (const one of lines) {
    if (one.kind === 'heading') groups.push({ heading: one.words, pieces: [] });
    else groups[groups.length - 1]?.pieces.push(...linePieces(one, right));
  }
  return groups.flatMap(({ heading, pieces }) => {
    if (heading === undefined) return pieces.length === 0 ? [] : [{ head: NOTHING, again: NOTHING, pieces }];
    return [{ head: headPiece(heading, right), again: headPiece(`${heading}, continued`, right), pieces }];
  });
}

/** Words in rows of a size; they may be broken between pages where there are many. */
interface Row {
  readonly text: string;
  readonly size: number;
  readonly strong?: boolean;
}
const highOf = ({ size }: Row) => size * 1.35;

function linePieces(one: Exclude<SheetLine, { readonly kind: 'heading' }>, right: number): readonly Piece[] {
  const said: readonly Row[] =
    one.kind === 'note'
      ? rowsOf(one.words, right - EDGE - NUMBER, TYPE)
      : [
          ...rowsOf(one.label, right - EDGE - NUMBER - RESULT_WIDTH, TYPE, true),
          ...rowsOf(one.readBack, right - EDGE - NUMBER - RESULT_WIDTH, TYPE),
          ...rowsOf(one.note, right - EDGE - NUMBER - RESULT_WIDTH, SMALL),
        ];
  const results: readonly Row[] =
    one.kind === 'note'
      ? []
      : [
          ...rowsOf(one.result, RESULT_WIDTH, RESULT, true).map((row, _, all) =>
            // A sentence in the place of a result is set as one.
            all.length > 1 ? { ...row, size: SMALL, strong: false } : row,
          ),
          ...rowsOf(one.rounding, RESULT_WIDTH, SMALL),
        ];
  const count = Math.max(1, Math.ceil(said.length / LINES), Math.ceil(results.length / LINES));
  return Array.from({ length: count }, (_, part): Piece => {
    const here = said.slice(part * LINES, (part + 1) * LINES);
    const found = results.slice(part * LINES, (part + 1) * LINES);
    const high = Math.max(heightOf(here), heightOf(found), LINE);
    const isLast = part === count - 1;
    return {
      height: high + (isLast ? PAD : 0),
      draw: (top) => {
        const foot = top + high + PAD;
        return [
          ...(one.kind === 'worked' && one.isTotal && part === 0 ? [line(right - RESULT_WIDTH, top, right, top)] : []),
          ...(one.kind === 'worked' && one.number !== undefined && part === 0
            ? [words(EDGE, top + LINE, `#${one.number}`, SMALL)]
            : []),
          ...down(here, EDGE + NUMBER, top, 'start'),
          ...down(found, right, top, 'end'),
          ...(isLast ? [line(EDGE, foot, right, foot, 'fine')] : []),
        ];
      },
    };
  });
}

const rowsOf = (text: string, width: number, size: number, strong = false): readonly Row[] =>
  text.split('\n').flatMap((one) => wrapped(one, width, size).map((said) => ({ text: said, size, strong })));
const heightOf = (rows: readonly Row[]) => rows.reduce((sum, row) => sum + highOf(row), 0);

/** Rows one under the other. */
function down(rows: readonly Row[], x: number, top: number, anchor: 'start' | 'end'): readonly Shape[] {
  let y = top;
  return rows.map((row) => {
    y += highOf(row);
    return words(x, y, row.text, row.size, { anchor, strong: row.strong ?? false });
  });
}

/** The rod to scale, as long as its marks find room beside each other, and every mark with its size. */
function marksGroup(marks: readonly SheetMark[], metric: boolean, right: number): Group {
  const rod = rodOf(marks);
  const drawn: Piece[] = [];
  if (rod.marks.length > 0 && rod.marks.length <= marksOnStrip(right - EDGE)) {
    const strip = rodStrip(rod, right - EDGE, metric);
    drawn.push({
      height: strip.height + 3 * PAD,
      draw: (top) => [
        words(EDGE, top + LINE, `Scale ${strip.scale}`, SMALL),
        ...strip.shapes.map((shape) => moved(shape, EDGE, top)),
      ],
    });
  }
  const listed = marks.flatMap((mark): readonly Piece[] => {
    const names = wrapped(mark.name, NAME, TYPE).map((text) => ({ text, size: TYPE, strong: true }));
    const notes = rowsOf(mark.note, right - EDGE - NAME - SIZE, SMALL);
    const count = Math.max(1, Math.ceil(notes.length / LINES));
    return Array.from({ length: count }, (_, part): Piece => {
      const here = notes.slice(part * LINES, (part + 1) * LINES);
      const high = Math.max(part === 0 ? heightOf(names) : 0, heightOf(here), LINE);
      return {
        height: high + PAD,
        draw: (top) => [
          ...(part === 0
            ? [
                ...down(names, EDGE, top, 'start'),
                words(EDGE + NAME + SIZE - 4, top + TYPE * 1.35, mark.text, TYPE, { anchor: 'end', strong: true }),
              ]
            : []),
          ...down(here, EDGE + NAME + SIZE, top, 'start'),
          ...(part === count - 1 ? [line(EDGE, top + high + PAD, right, top + high + PAD, 'fine')] : []),
        ],
      };
    });
  });
  return {
    head: headPiece('Story stick', right),
    again: headPiece('Story stick, continued', right),
    pieces: [...drawn, ...listed],
  };
}

function figureGroup({ title, says, height, shapes }: SheetFigure, right: number): Group {
  const head = headPiece(title, right);
  const drawn: Piece = {
    height: height + LINE + PAD,
    draw: (top) => [
      words(EDGE, top + LINE, says, SMALL),
      ...shapes.map((shape) => moved(shape, EDGE, top + LINE + PAD)),
    ],
  };
  return { head, again: head, pieces: [drawn], isTogether: true };
}

/** Its columns stand over the first section and wherever it goes on. */
function takeOffGroups(written: WrittenList, prices: boolean, right: number): readonly Group[] {
  const columns = prices ? STANDING : WITHOUT_PRICES;
  const heads = columnHeads(columns, right);
  const title = headPiece('Quantities', right);
  return listGroups(written, columns, right).map((group, n) => ({
    ...group,
    head: n === 0 ? stacked(title, heads, group.head) : group.head,
    again: stacked(heads, group.again),
  }));
}

/** Lines to write on; down to the foot of the sheet there are some at least. */
function blankGroup(count: number | 'rest', right: number): Group {
  const row: Piece = {
    height: BLANK,
    draw: (top) => [line(EDGE, top + BLANK, right, top + BLANK, 'fine')],
  };
  const head = headPiece('Notes', right);
  const pieces = Array.from({ length: count === 'rest' ? FEWEST : count }, () => row);
  return { head, again: NOTHING, pieces, ...(count === 'rest' ? { isTogether: true, fill: row } : {}) };
}
