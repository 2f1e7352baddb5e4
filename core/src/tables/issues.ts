import type { IssueFields, Sentences } from '../base/issue.ts';

declare module '../base/issue.ts' {
  /** What a table of one's own may refuse. */
  interface IssueFields {
    'timber.no_size': { readonly size: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const TABLE_SENTENCES = {
  'timber.no_size': ({ size }) =>
    `“${size}” is no thickness and no width; write a size above nothing with its unit, as 1 1/2" or 38 mm.`,
} satisfies Partial<Sentences<IssueFields>>;
