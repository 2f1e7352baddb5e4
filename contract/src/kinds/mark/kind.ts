import type { Kind } from '../kind.ts';

/** The names of marks. What a mark comes to is in the lines that make it: entries refer to it by its id. */
export const markKind = {
  name: 'mark',
  list: 'marks',
  entries: [],
  together: 'last',
  comesAlong: true,
  called: ({ name }) => `the mark ${typeof name === 'string' ? name : ''}`.trim(),
  most: 5000,
} as const satisfies Kind;
