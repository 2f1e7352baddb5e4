import type { Kind } from '../kind.ts';

/** Sections of a take-off, in the order in which they stand. */
export const sectionKind = {
  name: 'section',
  list: 'sections',
  isOrdered: true,
  entries: [],
  together: 'last',
  called: ({ name }) => `the section ${typeof name === 'string' ? name : ''}`.trim(),
  most: 500,
} as const satisfies Kind;
