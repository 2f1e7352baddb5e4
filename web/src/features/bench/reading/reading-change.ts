import { isMetric, parse, type LengthStyle, type Rational, type ReadingStyle } from '@sprell/core';
import { changedStyle, type ReadingChange } from '../../../job/index.ts';

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

/** Finest divisions of a metric tape, in millimetres as they are stored; all have a short decimal. */
export const METRIC_STEPS = ['10', '5', '1', '1/2', '1/10'] as const;

export function stepText({ num, den }: Rational): string {
  return String(Number(num) / Number(den));
}

/**
 * The entry with its own way of reading at its end, so that the line keeps it: `5' 3" to 1/32`. It replaces
 * what was there. The value is the same.
 */
export function withReading(entry: string, change: ReadingChange, style: ReadingStyle): string {
  const { length, finest, rounding } = changedStyle(style, change);
  const words = change.length === undefined ? [] : [WORDS[change.length]];
  if (change.finest !== undefined || change.metricStep !== undefined || change.rounding !== undefined) {
    const { metricStep } = changedStyle(style, change);
    const step = isMetric(length) ? `${stepText(metricStep)} mm` : `1/${finest}`;
    words.push(
      rounding === 'nearest'
        ? `to ${change.rounding === undefined ? '' : 'nearest '}${step}`
        : `${rounding} to ${step}`,
    );
  }
  return withWords(entry, words.join(' '), style);
}

/** The entry with these words at its end ("to m2"), in place of those of their kind. */
export function withWords(entry: string, words: string, style: ReadingStyle): string {
  const directives = parse(entry, style).entry?.directives ?? [];
  const value = entry.slice(0, directives[0]?.start ?? entry.length).trimEnd();
  return words === '' ? value : `${value} ${words}`;
}
