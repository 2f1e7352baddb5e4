import type { Kind } from '../kind.ts';

/** Rows of a take-off. Two devices may change different cells of one. */
export const itemKind = {
  name: 'item',
  list: 'items',
  isOrdered: true,
  entries: ['count', 'length', 'width', 'depth', 'apiece', 'less', 'waste', 'pack', 'price', 'other'],
  namesOwn: true,
  refers: ['section', 'tax', 'versions'],
  together: 'fields',
  called: ({ name }) => `the row ${typeof name === 'string' ? name : ''}`.trim(),
  most: 10_000,
} as const satisfies Kind;
