import type { Quantity } from '@sprell/core';
import type { JobMark } from '../../job/index.ts';

/** A mark that has a value, and so can be laid on the rod. */
export type LainMark = JobMark & { readonly quantity: Quantity };

export function isLain(mark: JobMark): mark is LainMark {
  return mark.quantity !== undefined;
}
