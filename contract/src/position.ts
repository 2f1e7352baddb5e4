import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';

/**
 * Where lines stand on their slate: keys between the keys of their neighbours, compared as plain text by code unit.
 * Kept apart from the schema of a key, which a page has no need of at its start.
 */

/** A key between two neighbours; undefined stands for the top or the foot of the slate. */
export function positionBetween(before: string | undefined, after: string | undefined): string {
  return generateKeyBetween(before ?? null, after ?? null);
}

/** Whether other keys can be put before and behind it: a key made by hand may only look like one. */
export function isPlace(key: string): boolean {
  try {
    return generateKeyBetween(key, null) > key;
  } catch {
    return false;
  }
}

/** So many keys in order, between two neighbours. */
export function positionsBetween(before: string | undefined, after: string | undefined, count: number): string[] {
  return generateNKeysBetween(before ?? null, after ?? null, count);
}

/** Order of two keys, ids settling a tie: two devices may choose the same key apart. */
export function comparePlaces(
  a: { readonly position: string; readonly id: string },
  b: { readonly position: string; readonly id: string },
): number {
  if (a.position !== b.position) return a.position < b.position ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
