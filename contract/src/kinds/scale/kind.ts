import { definitionText, type ReadingStyle } from '@sprell/core';
import type { Content, Kind } from '../kind.ts';

/** Drawing scales. */
export const scaleKind = {
  name: 'scale',
  list: 'scales',
  entries: ['paper', 'site'],
  together: 'beside',
  called: (content, style) => `the scale ${title(content, style)}`.trim(),
  most: 500,
  earlier: { id: 'scaleId', content: 'scale' },
} as const satisfies Kind;

/** What the drawing is called, or else the scale itself. */
function title({ name, kind, paper, site }: Content, style: ReadingStyle | undefined): string {
  if (typeof name === 'string') return name;
  if ((kind !== 'sizes' && kind !== 'ratio' && kind !== 'copy') || typeof paper !== 'string') return '';
  return typeof site === 'string' ? definitionText({ kind, paper, site }, style) : '';
}
