import type { Kind } from '../kind.ts';

/** Taxes of a take-off. Rows have the first of them, unless they say which. */
export const taxKind = {
  name: 'tax',
  list: 'taxes',
  isOrdered: true,
  entries: ['rate'],
  together: 'fields',
  called: ({ name }) => `the tax ${typeof name === 'string' ? name : ''}`.trim(),
  most: 20,
} as const satisfies Kind;
