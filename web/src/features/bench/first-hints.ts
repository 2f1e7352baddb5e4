/** Hints for the first day, in the order in which they help. */
export type Hint = 'fraction' | 'use' | 'finest' | 'keep' | 'anew';

export const HINTS: readonly { readonly key: Hint; readonly says: string }[] = [
  { key: 'fraction', says: 'Touch or drag on the drawn inch to put a fraction in.' },
  { key: 'use', says: 'Touch the figure of a line to use it in the entry.' },
  { key: 'finest', says: 'Under the reading: to which mark it is rounded. Touch to change it.' },
  { key: 'keep', says: 'keep puts a result on the story stick, by a short name.' },
  { key: 'anew', says: 'Touch the words of a line to write it anew; all that uses it follows.' },
];
