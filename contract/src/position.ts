import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';
import { z } from 'zod';

/** Where a line stands on its slate: a key between the keys of its neighbours, compared as plain text by code unit. */
export const positionWire = z
  .string()
  .min(2)
  .max(200)
  .regex(/^[0-9A-Za-z]+$/);

/** A key between two neighbours; undefined stands for the top or the foot of the slate. */
export function positionBetween(before: string | undefined, after: string | undefined): string {
  return generateKeyBetween(before ?? null, after ?? null);
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
