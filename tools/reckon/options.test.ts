import { DEFAULT_STYLE, makeRational } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { readArguments } from './options.ts';

describe('the arguments of bin/reckon', () => {
  it.each([
    [['5', '-9"'], { json: false, spoken: false, style: DEFAULT_STYLE, entries: ['5', '-9"'] }],
    [['--json', '--', '--json'], { json: true, spoken: false, style: DEFAULT_STYLE, entries: ['--json'] }],
    [['--spoken', 'nine foot'], { json: false, spoken: true, style: DEFAULT_STYLE, entries: ['nine foot'] }],
    [['--style', 'cm', '5'], { json: false, spoken: false, style: { ...DEFAULT_STYLE, length: 'cm' }, entries: ['5'] }],
    [['--style=in-dec'], { json: false, spoken: false, style: { ...DEFAULT_STYLE, length: 'in-dec' }, entries: [] }],
    [['--finest', '1/32'], { json: false, spoken: false, style: { ...DEFAULT_STYLE, finest: 32 }, entries: [] }],
    [['--finest', '1/8"'], { json: false, spoken: false, style: { ...DEFAULT_STYLE, finest: 8 }, entries: [] }],
    [
      ['--finest=5 mm'],
      { json: false, spoken: false, style: { ...DEFAULT_STYLE, metricStep: makeRational(5) }, entries: [] },
    ],
    [
      ['--finest', '0.5'],
      { json: false, spoken: false, style: { ...DEFAULT_STYLE, metricStep: makeRational(1, 2) }, entries: [] },
    ],
    [
      ['--round', 'down', '5'],
      { json: false, spoken: false, style: { ...DEFAULT_STYLE, rounding: 'down' }, entries: ['5'] },
    ],
  ])('%j are read', (args, expected) => {
    expect(readArguments(args)).toEqual(expected);
  });

  it.each([
    [['--style'], '--style'],
    [['--style', 'furlongs'], 'furlongs'],
    [['--finest', '3/16'], '3/16'],
    [['--finest', '0'], '"0"'],
    [['--finest'], '--finest'],
    [['--round', 'sideways'], 'sideways'],
    [['--loud'], 'There is no option --loud'],
  ])('%j are refused in a sentence', (args, words) => {
    expect((readArguments(args) as { problem: string }).problem).toContain(words);
  });
});
