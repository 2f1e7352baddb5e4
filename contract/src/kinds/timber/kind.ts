import type { Kind } from '../kind.ts';

/** Timber as it is sold and as it measures: a person's own table, kept with their jigs in the job that holds those. */
export const timberKind = {
  name: 'timber',
  list: 'timbers',
  entries: [],
  together: 'last',
  called: ({ called }) => `the timber ${typeof called === 'string' ? called : ''}`.trim(),
  comesAlong: true,
  most: 500,
} as const satisfies Kind;
