import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckon } from '../../evaluate/reckon.ts';
import { makeRational } from '../../number/rational.ts';
import { equalValue } from '../../number/value.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../../reading/style.ts';
import { readQuantity } from '../../reading/read-quantity.ts';
import { LENGTH } from '../../units/dimension.ts';
import { entryText } from '../../testing/arbitrary-entry.ts';
import { marksOf } from '../../testing/take-off-rows.ts';
import { inWords } from '../in-words.ts';
import { wholeInWords } from '../numerals.ts';
import { heardEntry } from './entry.ts';

const LAST = marksOf({ last: `12' 6"` }).mark('last');
const quantityOf = (entry: string) => {
  const { outcome } = reckon(entry, {});
  return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
};

describe('what our own voice says is heard as it was meant', () => {
  it('for every whole number below 4,000, and any up to a million million', () => {
    const isHeard = (value: number) => heardEntry(wholeInWords(String(value)), []).entry === String(value);
    expect(Array.from({ length: 4000 }, (_, value) => value).filter((value) => !isHeard(value))).toEqual([]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e12 }), (value) => isHeard(value)),
      { numRuns: 2000 },
    );
  });

  it.each<readonly [string, Partial<ReadingStyle>]>([
    ['feet and inches', {}],
    ['inches', { length: 'in' }],
    ['metres', { length: 'm' }],
    ['millimetres', { length: 'mm' }],
    ['decimal feet', { length: 'ft' }],
  ])('for sizes as they read in %s', (_, style) => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400_000 }),
        fc.constantFrom(2, 4, 8, 16, 32, 64),
        (sixtyFourths, finest) => {
          const value = makeRational(sixtyFourths * 127, 64 * 5000);
          const { text } = readQuantity({ value, dimension: LENGTH }, { ...DEFAULT_STYLE, ...style, finest });
          const read = text.replace('≈ ', '');
          const heard = heardEntry(inWords(read), []);
          const [said, shown] = [quantityOf(heard.entry), quantityOf(read)];
          expect(heard.unknown).toEqual([]);
          expect(said && shown && equalValue(said.value, shown.value), `${read}: ${heard.entry}`).toBe(true);
        },
      ),
      { numRuns: 1500 },
    );
  });

  it('for the read-back of 20,000 entries: entry, words, entry', () => {
    const scope = { ...marksOf({ rail: `10'`, span: `16' 4"` }), last: () => LAST, line: () => LAST };
    const read = (entry: string) => {
      const { issue, outcome, readBack } = reckon(entry, { scope });
      if (issue !== undefined || readBack === undefined || outcome?.kind !== 'quantity') return undefined;
      return { ...outcome.quantity, readBack };
    };
    fc.assert(
      fc.property(entryText, (entry) => {
        const meant = read(entry);
        fc.pre(meant !== undefined);
        const words = inWords(meant.readBack);
        const heard = heardEntry(words, ['rail', 'span']);
        const said = read(heard.entry);
        expect([heard.unknown, said?.dimension], `${words}: ${heard.entry}`).toEqual([[], meant.dimension]);
        expect(said && equalValue(said.value, meant.value), `${words}: ${heard.entry}`).toBe(true);
      }),
      { numRuns: 20_000 },
    );
  });

  it('for numbers of any length', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 40n }), (value) => {
        expect(heardEntry(wholeInWords(String(value)), []).entry).toBe(String(value));
      }),
      { numRuns: 1000 },
    );
  });

  it('no phrase throws, whatever is in it', () => {
    const word = fc.constantFrom(
      ...'nine foot seven and a quarter plus take off that in to the nearest half an inch by of rail double hundred point sixty fourth seconds not no 5 3/8 ½ $ % " \' open bracket sum lines'.split(
        ' ',
      ),
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 14 }), (words) => {
        const heard = heardEntry(words.join(' '), ['rail']);
        return typeof heard.entry === 'string' && heard.unknown.every(({ start, end }) => end > start);
      }),
      { numRuns: 2000 },
    );
    fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => typeof heardEntry(text, []).entry === 'string'));
  });
});
