import {
  EDGE,
  fittingScale,
  HEAD,
  paperLine,
  valueToNumber,
  SHEETS,
  sheetHead,
  paperWords,
  type Drawing,
  type Figure,
  type LineWeight,
  type Shape,
  type SheetSize,
} from '@sprell/core';
import { layOut, type LaidLine } from './figure-layout.ts';

export interface FigureSheet {
  readonly sheet: SheetSize;
  /** Scales as 1:20, or else as 1/2″ = 1′. */
  readonly metric: boolean;
  readonly title: string;
  /** What each size of the figure reads. */
  readonly readings: Readonly<Record<string, string | undefined>>;
  /** All sizes in words, to stand beside the figure. */
  readonly sizes: readonly (readonly [title: string, reading: string])[];
}

/** Millimetres of paper for a pixel of the screen, and the height of type. */
const PER_PIXEL = 0.25;
const TYPE = 3.6;
/** Width of the list of sizes, and from one of its rows to the next. */
const [LIST, ROW] = [84, 5.2];
const WEIGHTS: Readonly<Record<LaidLine['look'], LineWeight>> = {
  body: 'heavy',
  thin: 'plain',
  dashed: 'cut',
  size: 'fine',
  field: 'plain',
};

/** A figure with its sizes on one sheet, by the largest of the common scales that fits. */
export function figureSheet(figure: Figure, { sheet, metric, title, readings, sizes }: FigureSheet): Drawing {
  const { width, height } = SHEETS[sheet];
  const [wide, high] = [width - 2 * EDGE - LIST, height - 2 * EDGE - HEAD];
  let scale = '';
  const scaleOf = (fits: number) => {
    const found = fittingScale(1000 / (fits * PER_PIXEL), metric);
    scale = found.title;
    return 1000 / (valueToNumber(found.factor) * PER_PIXEL);
  };
  const laid = layOut(figure, wide / PER_PIXEL, high / PER_PIXEL, { scaleOf });
  const [left, top] = [EDGE, EDGE + HEAD];
  const x = (pixels: number) => left + pixels * PER_PIXEL;
  const y = (pixels: number) => top + pixels * PER_PIXEL;
  const drawn = laid.lines.flatMap(({ points, look }) =>
    points.slice(1).flatMap((to, at): readonly Shape[] => {
      const from = points[at];
      return from ? [paperLine(x(from.x), y(from.y), x(to.x), y(to.y), WEIGHTS[look])] : [];
    }),
  );
  const said = laid.words.flatMap((one): readonly Shape[] => {
    const text = one.text ?? readings[one.field ?? ''];
    return text === undefined ? [] : [paperWords(x(one.x), y(one.y), text, TYPE, { anchor: one.anchor, strong: true })];
  });
  const listLeft = left + wide + 6;
  const list = sizes.flatMap(([name, reading], at): readonly Shape[] => {
    const foot = top + 6 + at * ROW;
    return [
      paperWords(listLeft, foot, name, 3),
      paperWords(width - EDGE, foot, reading, 3.4, { anchor: 'end', strong: true }),
      paperLine(listLeft, foot + 1.4, width - EDGE, foot + 1.4, 'fine'),
    ];
  });
  return { width, height, shapes: [...sheetHead(title, `Scale ${scale}.`, width), ...drawn, ...said, ...list] };
}
