import { DEFAULT_STYLE, parseRational, type ReadingStyle } from '@sprell/core';
import type { JobFields } from './wire/job-fields.ts';
import type { ReadingWire } from './wire/reading.ts';

/** How the sizes of a job are written and read. */
export function styleOfJob(
  reading: ReadingWire,
  { thousands, decimalComma, currency }: Pick<JobFields, 'thousands' | 'decimalComma' | 'currency'>,
): ReadingStyle {
  const { metricStep, ...rest } = reading;
  const step = parseRational(metricStep) ?? DEFAULT_STYLE.metricStep;
  return { ...DEFAULT_STYLE, ...rest, metricStep: step, thousands, decimalComma, currency };
}
