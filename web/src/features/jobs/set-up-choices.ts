/** The choices of a job's set-up, in words. */
import { CURRENCIES } from '@sprell/contract';
import type { ReadingWire } from '@sprell/contract';
import type { BareUnit } from '@sprell/core';

type Choices<Value> = readonly (readonly [Value, string])[];

export const MEASURES: Choices<'ft-in' | 'mm'> = [
  ['ft-in', 'Feet and inches'],
  ['mm', 'Metric'],
];
export const FINEST: Choices<number> = [4, 8, 16, 32, 64].map((of) => [of, `1⁄${of}″`] as const);
export const METRIC_STEPS: Choices<string> = [
  ['1', '1 mm'],
  ['1/2', '0.5 mm'],
  ['5', '5 mm'],
  ['10', '10 mm'],
];
export const DECIMAL_MARKS: Choices<'point' | 'comma'> = [
  ['point', '2.4 a point'],
  ['comma', '2,4 a comma'],
];
export const groups = (mark: 'point' | 'comma'): Choices<'plain' | 'grouped'> => [
  ['plain', '18450'],
  ['grouped', mark === 'comma' ? '18\u202f450' : '18,450'],
];
/** What a number is that is typed without a unit. */
export const BARE_NUMBERS: Choices<BareUnit> = [
  ['plain', 'a number'],
  ['mm', 'millimetres'],
  ['in', 'inches'],
];
export const MONEY: Choices<(typeof CURRENCIES)[number]> = CURRENCIES.map((sign) => [sign, sign] as const);

/** The lengths of a metric job read in millimetres, unless its own are chosen. */
export const isMetricLength = ({ length }: ReadingWire): boolean => ['mm', 'cm', 'm'].includes(length);
