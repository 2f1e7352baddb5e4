import type { IssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What may be wrong with a drawing scale. */
  interface IssueFields {
    'scale.ratio': object;
    'scale.not_length': { readonly side: string; readonly kind: string };
    'scale.zero': { readonly side: string };
    'scale.kind': { readonly kind: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const SCALE_SENTENCES = {
  'scale.ratio': () => 'A ratio is two numbers, paper first, as in 1:20.',
  'scale.not_length': ({ side, kind }) =>
    `What stands for the ${side} is ${withArticle(kind)}; a scale is one length for another.`,
  'scale.zero': ({ side }) => `The length on the ${side} has to be more than zero.`,
  'scale.kind': ({ kind }) =>
    kind === 'number'
      ? 'A number without a unit is no size; say what it was measured in.'
      : `${withArticle(kind).replace(/^a/, 'A')} is the same on paper and on site; a scale turns sizes.`,
} satisfies Partial<Sentences<IssueFields>>;
