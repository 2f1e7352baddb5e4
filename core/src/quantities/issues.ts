import type { IssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What may be wrong with a row of a take-off. */
  interface IssueFields {
    'row.missing': { readonly cell: string; readonly measure: string };
    'row.kind': { readonly cell: string; readonly kind: string; readonly wanted: string };
    'row.sizes': { readonly made: string; readonly measure: string };
    'row.nothing': { readonly cell: string };
    'row.rate': object;
    'row.price': { readonly kind: string; readonly measure: string };
    'row.no_pack': object;
    'row.longer': { readonly length: string; readonly pack: string };
    'row.circle': { readonly chain: string };
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const ROW_SENTENCES = {
  'row.missing': ({ cell, measure }) => `The ${cell} is still to come: the row is measured by ${measure}.`,
  'row.kind': ({ cell, kind, wanted }) => `The ${cell} is ${withArticle(kind)}; ${withArticle(wanted)} belongs there.`,
  'row.sizes': ({ made, measure }) =>
    `These sizes make ${withArticle(made)}, and the row is measured by ${measure}: change a size, or what it is measured by.`,
  'row.nothing': ({ cell }) => `With this ${cell} nothing is left to buy; it has to come to more than zero.`,
  'row.rate': () => 'A rate is a part of the whole, from 0 to 1,000 %: write it as 8 %.',
  'row.price': ({ kind, measure }) =>
    `This price is ${withArticle(kind)}, which does not fit a row that is measured by ${measure}; write money, or money for a unit of that.`,
  'row.no_pack': () => 'The price is for a pack; say what is in one, or what else the price is for.',
  'row.longer': ({ length, pack }) =>
    `A piece of ${length} cannot be cut from a stock length of ${pack}; choose longer stock, or let pieces be joined.`,
  'row.circle': ({ chain }) =>
    `The row would use its own quantity (${chain}); let one of them stand without the other.`,
} satisfies Partial<Sentences<IssueFields>>;
