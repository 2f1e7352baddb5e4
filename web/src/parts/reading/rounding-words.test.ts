import { DEFAULT_STYLE, reckon } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { roundingWords } from './rounding-words.ts';

function words(entry: string, isMetricJob = false): string | undefined {
  const { outcome, reading } = reckon(entry, { style: DEFAULT_STYLE });
  return outcome?.kind === 'quantity' && reading ? roundingWords(outcome.quantity, reading, isMetricJob) : undefined;
}

describe('the cost of a rounding', () => {
  it.each([
    // 12/13 in is 0.92308; the mark shown is 15/16, 0.9375: 0.01442 in under, 0.366 mm.
    [`1' / 13`, 'shy by 0.014″ (0.4 mm)'],
    // 20.08929 in against 20 1/16: 0.02679 in over, 0.680 mm.
    [`(12' 3 5/8" - 2 * 3 1/2") / 7`, 'full by 0.027″ (0.7 mm)'],
    // 5/8 in and a thousandth is 0.0254 mm over.
    [`5/8" + 1 thou`, 'full by less than 0.1 mm'],
    [`5/8"`, undefined],
    ['10 / 3', 'rounded'],
    // 1230 m stands for 1234 m.
    ['1234 m to the nearest 10 m', 'full by 157.480″ (4000.0 mm)'],
  ])('of %s is %s', (entry, expected) => {
    expect(words(entry)).toBe(expected);
  });

  it('is said in millimetres alone where the job is metric', () => {
    expect(words(`1' / 13`, true)).toBe('shy by 0.4 mm');
    expect(words(`5/8" + 1 thou`, true)).toBe('full by less than 0.1 mm');
  });
});
