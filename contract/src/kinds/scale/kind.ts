import type { Kind } from '../kind.ts';

/** Drawing scales. */
export const scaleKind = {
  name: 'scale',
  list: 'scales',
  entries: ['paper', 'site'],
  together: 'beside',
  called: ({ name }) => `the scale ${typeof name === 'string' ? name : ''}`.trim(),
  most: 500,
  earlier: { id: 'scaleId', content: 'scale' },
} as const satisfies Kind;
