import type { Kind } from '../kind.ts';

/** Versions of a take-off: with oak, with pine. */
export const versionKind = {
  name: 'version',
  list: 'versions',
  isOrdered: true,
  entries: [],
  together: 'last',
  called: ({ name }) => `the version ${typeof name === 'string' ? name : ''}`.trim(),
  most: 20,
} as const satisfies Kind;
