import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { isSought, sought } from './sought.ts';

const METRIC = { ...DEFAULT_STYLE, length: 'mm' } as const;
const finds = (words: string, entry: string, style = DEFAULT_STYLE as typeof DEFAULT_STYLE) => {
  const { parsed, outcome } = reckon(entry.replace(/^[^:]*: /, ''), { style });
  return isSought({ text: entry, entry: parsed.entry, outcome }, sought(words, style), style);
};

describe('what is looked for in a line', () => {
  it.each([
    ['words in the label', 'rail', `top Rail: 5' 3"`],
    ['a size as it was written', `5' 3"`, `top rail: 5' 3"`],
    ['a size written otherwise', `63"`, `5'-3" + 2'`],
    ['a size in other units', `1600.2 mm`, `5' 3" * 2`],
    ['the result', `10' 6"`, `5' 3" * 2`],
    ['the result as the tape has it', `3' 5 1/8"`, `10' 3 3/8" / 3`],
    ['a part of a size, as it is seen', '10 1/2', `5' 10 1/2"`],
    ['a part of a result, as it is seen', '5 1/2', `35" / 2`],
    ['inches without their mark', '17 1/2', `35" / 2`],
    ['signs of print', '17 ½″', `17 1/2"`],
    ['a plain number', '42', '6 * 7'],
  ])('finds %s', (_, words, entry) => {
    expect(finds(words, entry)).toBe(true);
  });

  it.each([
    ['another size', `5' 4"`, `5' 3"`],
    ['the same figures of another kind', '63 sq in', `63"`],
    ['a size that an error hides', `5' 3"`, `(2' + `],
    ['other words', 'post', `rail: 5' 3"`],
  ])('does not find %s', (_, words, entry) => {
    expect(finds(words, entry)).toBe(false);
  });

  it('takes sizes as the job reads them', () => {
    expect(finds('104 mm', '1 m / 9.6', METRIC as never)).toBe(true);
    expect(finds('105 mm', '1 m / 9.6', METRIC as never)).toBe(false);
    expect(finds('104', '1 m / 9.6', METRIC as never)).toBe(true);
    expect(finds('104', '1 m / 9.6')).toBe(false);
  });
});
