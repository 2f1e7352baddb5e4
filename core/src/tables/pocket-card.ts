import { line, SHEETS, words, type Drawing, type Shape, type SheetSize } from '../drawing/drawing.ts';
import type { TableText } from './conversion-table.ts';

/** Type and the rows of it, in millimetres. */
const TYPE = 2.7;
const HEADING = 2.3;
const ROW = 3.5;
/** Free within the edge of a card. */
const PAD = 5;
/** For the title and the headings of the columns. */
const HEAD = 13;
/** Of the type's height: how wide a sign is at most, on the average of a line. */
const SIGN = 0.55;
const ACROSS = [4, 2, 1] as const;

/**
 * A table as cards for a pocket: a sheet that is cut along its lines into cards, each with the headings of its columns.
 * Cards are a quarter of the sheet wide, or a half or all of it where the columns want that.
 */
export function pocketCards({ columns, rows }: TableText, title: string, sheet: SheetSize): readonly Drawing[] {
  const { width, height } = SHEETS[sheet];
  const wanted = columns.map((_, at) => Math.max(4, ...rows.map(({ cells }) => cells[at]?.text.length ?? 0)));
  const needed = wanted.reduce((sum, signs) => sum + signs * TYPE * SIGN + 3, 2 * PAD);
  const across = ACROSS.find((count) => width / count >= needed) ?? 1;
  const [cardWidth, cardHeight] = [width / across, height / 2];
  const perCard = Math.floor((cardHeight - HEAD - 2 * PAD) / ROW);
  const cards = Array.from({ length: Math.max(1, Math.ceil(rows.length / perCard)) }, (_, n) =>
    rows.slice(n * perCard, (n + 1) * perCard),
  );
  const perSheet = across * 2;
  const sheets = Array.from({ length: Math.ceil(cards.length / perSheet) }, (_, n) =>
    cards.slice(n * perSheet, (n + 1) * perSheet),
  );
  return sheets.map((some) => ({
    width,
    height,
    shapes: [
      ...cuts(across, width, height),
      ...some.flatMap((card, at) => {
        const [x, y] = [(at % across) * cardWidth, Math.floor(at / across) * cardHeight];
        return cardShapes({ columns, rows: card }, title, { x, y, width: cardWidth, wanted });
      }),
    ],
  }));
}

function cuts(across: number, width: number, height: number): readonly Shape[] {
  const upright = Array.from({ length: across - 1 }, (_, n) => {
    const x = ((n + 1) * width) / across;
    return line(x, 0, x, height, 'cut');
  });
  return [...upright, line(0, height / 2, width, height / 2, 'cut')];
}

interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** Signs of the longest text of each column. */
  readonly wanted: readonly number[];
}

function cardShapes({ columns, rows }: TableText, title: string, { x, y, width, wanted }: Place): readonly Shape[] {
  const [left, right] = [x + PAD, x + width - PAD];
  const all = wanted.reduce((sum, signs) => sum + signs, 0);
  let end = left;
  // Figures stand in columns by their right edge.
  const ends = wanted.map((signs) => (end += ((right - left) * signs) / all));
  const top = y + PAD + HEAD;
  const short = (text: string, at: number) => {
    const room = ((right - left) * (wanted[at] ?? 0)) / all / (HEADING * SIGN);
    return text.length <= room ? text : `${text.slice(0, Math.max(1, Math.floor(room) - 1))}…`;
  };
  return [
    words(left, y + PAD + 4, title, 3.4, { strong: true }),
    ...columns.map((column, at) =>
      words(ends[at] ?? right, top - 2.4, short(column.title, at), HEADING, { anchor: 'end' }),
    ),
    line(left, top - 1, right, top - 1, 'fine'),
    ...rows.flatMap(({ cells }, row) =>
      cells.flatMap((cell, at) =>
        cell
          ? [
              words(ends[at] ?? right, top + (row + 1) * ROW - 0.9, cell.text, TYPE, {
                anchor: 'end',
                strong: at === 0,
              }),
            ]
          : [],
      ),
    ),
  ];
}
