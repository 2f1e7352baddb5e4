import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE, reckon } from '@sprell/core';
import { withReading } from './reading-change.ts';

const METRIC = { ...DEFAULT_STYLE, length: 'mm' as const };

describe('a reading of one line alone', () => {
  it.each([
    ['finer', `5' 3 5/32"`, { finest: 32 }, DEFAULT_STYLE, `5' 3 5/32" to 1/32`, '5′ 3 5⁄32″'],
    ['rounded up', `5' 3 1/32"`, { rounding: 'up' as const }, DEFAULT_STYLE, `5' 3 1/32" up to 1/16`, '5′ 3 1⁄16″'],
    [
      'to the nearest',
      `5' 3 1/32"`,
      { rounding: 'nearest' as const },
      { ...DEFAULT_STYLE, rounding: 'down' as const },
      `5' 3 1/32" to nearest 1/16`,
      '5′ 3 1⁄16″',
    ],
    ['in millimetres', `5' 3"`, { length: 'mm' as const }, DEFAULT_STYLE, `5' 3" to mm`, '1600 mm'],
    ['metric and down', '1 m / 3', { rounding: 'down' as const }, METRIC, '1 m / 3 down to 1 mm', '333 mm'],
    ['to half a millimetre', '1 m / 3', { metricStep: '1/2' }, METRIC, '1 m / 3 to 0.5 mm', '333.5 mm'],
    [
      'instead of what was there',
      `5' 3 5/32" to in to 1/8`,
      { length: 'ft-in' as const, finest: 32 },
      DEFAULT_STYLE,
      `5' 3 5/32" to ft in to 1/32`,
      '5′ 3 5⁄32″',
    ],
  ])('%s', (_, entry, change, style, expected, reading) => {
    const written = withReading(entry, change, style);
    expect(written).toBe(expected);
    expect(reckon(written, { style }).reading?.text).toBe(reading);
  });
});
