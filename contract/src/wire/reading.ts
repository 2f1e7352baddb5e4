import { LENGTH_STYLES, type LengthStyle } from '@sprell/core';
import { z } from 'zod';

/** How the lengths of a job read. */
export const readingWire = z.strictObject({
  length: z.enum(LENGTH_STYLES as [LengthStyle, ...LengthStyle[]]),
  finest: z.int().min(1).max(128),
  /** Millimetres, exactly: "5", "1/2". */
  metricStep: z.string().regex(/^[1-9]\d{0,5}(\/[1-9]\d{0,5})?$/),
  rounding: z.enum(['nearest', 'up', 'down']),
  /** 6/32 in lowest terms, or held at the finest division. */
  fractions: z.enum(['lowest', 'held']),
});
export type ReadingWire = z.infer<typeof readingWire>;
