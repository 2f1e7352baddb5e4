import type { IssueFields, Sentences } from '../base/issue.ts';

declare module '../base/issue.ts' {
  /** What a story stick may be refused for. */
  interface IssueFields {
    'rod.too_long': { readonly limit: string; readonly sheets: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const STICK_SENTENCES = {
  'rod.too_long': ({ limit, sheets }) =>
    `At its size this rod takes ${sheets} sheets, and no more than ${limit} are printed; print it to scale.`,
} satisfies Partial<Sentences<IssueFields>>;
