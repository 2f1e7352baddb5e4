import type { Side } from '@sprell/core';
import type { JobScale } from '../../job/index.ts';

export const OTHER: Readonly<Record<Side, Side>> = { paper: 'site', site: 'paper' };
export const ON: Readonly<Record<Side, string>> = { paper: 'on paper', site: 'on site' };

/** What a line that was turned is called. A colon would end a label. */
export function turnedLabel(scale: JobScale, to: Side): string {
  const title = scale.title.replace(/\s*[:：]\s*/gu, ' to ');
  return `${ON[to]}, ${title}`;
}
