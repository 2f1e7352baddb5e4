import type { Kind } from '../kind.ts';

/** Shapes set out in a job under a name. */
export const setOutKind = {
  name: 'setout',
  list: 'setOuts',
  entries: ['entries'],
  together: 'beside',
  called: ({ name }) => `the setting-out ${typeof name === 'string' ? name : ''}`.trim(),
  most: 1000,
  earlier: { id: 'setOutId', content: 'setOut' },
} as const satisfies Kind;
