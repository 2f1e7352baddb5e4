import type { Kind } from '../kind.ts';

/**
 * Jigs: in a job, the version of each that its entries use; in the job that holds an account's jigs, every version of every one.
 */
export const jigKind = {
  name: 'jig',
  list: 'jigs',
  entries: [],
  together: 'last',
  called: ({ title }) => `the jig ${typeof title === 'string' ? title : ''}`.trim(),
  comesAlong: true,
  most: 2000,
} as const satisfies Kind;
