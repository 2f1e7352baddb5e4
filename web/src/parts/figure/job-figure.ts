import { isMetric } from '@sprell/core';
import type { OpenJob, SetOut } from '../../job/index.ts';
import { figureBlock, type FigureBlock } from './figure-sheet.ts';
import { keptAnswer, keptSizes } from './kept-answer.ts';

/**
 * A kept setting-out as it is drawn for paper, with its sizes.
 * @param room in millimetres
 * @returns undefined where its sizes give no shape
 */
export function jobFigure(
  setOut: SetOut,
  job: OpenJob,
  room: Readonly<Record<'width' | 'height', number>>,
): FigureBlock | undefined {
  const kept = keptAnswer(setOut, job);
  const figure = kept.answer?.figure;
  if (!figure) return undefined;
  const sizes = keptSizes(setOut, kept, job);
  return figureBlock(figure, {
    ...room,
    metric: isMetric(job.style.length),
    readings: Object.fromEntries(sizes.map(({ id, reading }) => [id, reading])),
    sizes: sizes.map(({ title, reading }) => [title, reading]),
  });
}
