import {
  EDGE,
  fittingScale,
  HEAD,
  moved,
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

/** A figure with its sizes beside it, from 0, 0. */
export interface FigureBlock {
  readonly scale: string;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/**
 * A figure with its sizes, by the largest of the common scales that fits.
 * @param width of all of it in millimetres, the list of sizes with it
 * @param height what it may take; it is higher where the list of sizes is
 */
export function figureBlock(
  figure: Figure,
  {
    width,
    height: least,
    metric,
    readings,
    sizes,
  }: Omit<FigureSheet, 'sheet' | 'title'> & Record<'width' | 'height', number>,
): FigureBlock {
  const height = Math.max(least, 6 + sizes.length * ROW);
  const wide = width - LIST;
  let scale = '';
  const scaleOf = (fits: number) => {
    const found = fittingScale(1000 / (fits * PER_PIXEL), metric);
    scale = found.title;
    return 1000 / (valueToNumber(found.factor) * PER_PIXEL);
  };
  const laid = layOut(figure, wide / PER_PIXEL, height / PER_PIXEL, { scaleOf });
  const onPaper = (pixels: number) => pixels * PER_PIXEL;
  const drawn = laid.lines.flatMap(({ points, look }) =>
    points.slice(1).flatMap((to, at): readonly Shape[] => {
      const from = points[at];
      if (!from) return [];
      return [paperLine(onPaper(from.x), onPaper(from.y), onPaper(to.x), onPaper(to.y), WEIGHTS[look])];
    }),
  );
  const said = laid.words.flatMap((one): readonly Shape[] => {
    const text = one.text ?? readings[one.field ?? ''];
    if (text === undefined) return [];
    return [paperWords(onPaper(one.x), onPaper(one.y), text, TYPE, { anchor: one.anchor, strong: true })];
  });
  const listLeft = wide + 6;
  const list = sizes.flatMap(([name, reading], at): readonly Shape[] => {
    const foot = 6 + at * ROW;
    return [
      paperWords(listLeft, foot, name, 3),
      paperWords(width, foot, reading, 3.4, { anchor: 'end', strong: true }),
      paperLine(listLeft, foot + 1.4, width, foot + 1.4, 'fine'),
    ];
  });
  return { scale, height, shapes: [...drawn, ...said, ...list] };
}

/** A figure with its sizes on a sheet of its own. */
export function figureSheet(figure: Figure, { sheet, title, ...more }: FigureSheet): Drawing {
  const { width, height } = SHEETS[sheet];
  const room = { width: width - 2 * EDGE, height: height - 2 * EDGE - HEAD };
  const { scale, shapes } = figureBlock(figure, { ...more, ...room });
  const inPlace = shapes.map((shape) => moved(shape, EDGE, EDGE + HEAD));
  return { width, height, shapes: [...sheetHead(title, `Scale ${scale}.`, width), ...inPlace] };
}
