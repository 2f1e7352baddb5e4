import type { Quantity } from '@sprell/core';
import type { JobMark } from '../../job/index.ts';

/** A mark that has a value, and so can be laid on the rod. */
export type MarkOnRod = JobMark & { readonly quantity: Quantity };

export function isOnRod(mark: JobMark): mark is MarkOnRod {
  return mark.quantity !== undefined;
}
