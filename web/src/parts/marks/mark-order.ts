import type { JobMark } from '../../job/index.ts';

export type MarkOrder = 'size' | 'name' | 'age';
export const MARK_ORDERS: readonly { readonly order: MarkOrder; readonly words: string; readonly word: string }[] = [
  { order: 'size', words: 'by size', word: 'size' },
  { order: 'name', words: 'by name', word: 'name' },
  { order: 'age', words: 'newest first', word: 'age' },
];

/** Marks in an order; for `size` they are given in it. */
export function ordered<M extends Pick<JobMark, 'name' | 'keptAt'>>(
  bySize: readonly M[],
  order: MarkOrder,
): readonly M[] {
  if (order === 'size') return bySize;
  return [...bySize].sort((a, b) =>
    order === 'age' ? b.keptAt - a.keptAt : a.name.localeCompare(b.name, undefined, { numeric: true }),
  );
}
