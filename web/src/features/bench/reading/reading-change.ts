import { parse, type LengthStyle, type ReadingStyle } from '@sprell/core';
import type { ReadingChange } from '../../job/job.store.ts';

export const LENGTH_NAMES: Readonly<Record<LengthStyle, string>> = {
  'ft-in': 'feet and inches',
  in: 'inches',
  ft: 'decimal feet',
  'in-dec': 'decimal inches',
  yd: 'yards',
  m: 'metres',
  cm: 'centimetres',
  mm: 'millimetres',
};

const WORDS: Readonly<Record<LengthStyle, string>> = {
  'ft-in': 'to ft in',
  in: 'to in',
  ft: 'to ft',
  'in-dec': 'to in',
  yd: 'to yd',
  m: 'to m',
  cm: 'to cm',
  mm: 'to mm',
};

const isMetric = (length: LengthStyle) => length === 'm' || length === 'cm' || length === 'mm';

/**
 * The entry with its own way of reading at its end, so that the line keeps it: `5' 3" to 1/32`. What stood there before
 * gives way. The value is the same.
 */
export function withReading(entry: string, change: ReadingChange, style: ReadingStyle): string {
  const directives = parse(entry, style).entry?.directives ?? [];
  const value = entry.slice(0, directives[0]?.start ?? entry.length).trimEnd();
  const { length = style.length, finest = style.finest, rounding = style.rounding } = change;
  const words = change.length === undefined ? [] : [WORDS[change.length]];
  if (change.finest !== undefined || change.rounding !== undefined) {
    const step = isMetric(length) ? `${Number(style.metricStep.num) / Number(style.metricStep.den)} mm` : `1/${finest}`;
    words.push(
      rounding === 'nearest'
        ? `to ${change.rounding === undefined ? '' : 'nearest '}${step}`
        : `${rounding} to ${step}`,
    );
  }
  return [value, ...words].join(' ');
}
