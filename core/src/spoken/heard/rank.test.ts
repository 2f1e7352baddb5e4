import { describe, expect, it } from 'vitest';
import { reckon } from '../../evaluate/reckon.ts';
import { marksOf } from '../../testing/take-off-rows.ts';
import { asEntries, rankHeard, type Alternative } from './rank.ts';

const LAST = marksOf({ last: `12' 6"` }).mark('last');
const scope = { ...marksOf({ rail: `10'`, post: `8'` }), last: () => LAST, line: () => LAST };
const makesSense = ({ entry }: { readonly entry: string }) => reckon(entry, { scope }).issue === undefined;
const entries = (alternatives: readonly Alternative[]) =>
  rankHeard(alternatives, { read: asEntries(['rail', 'post']), makesSense }).map(({ entry }) => entry);
const heard = (text: string) => entries([{ text }]);

describe('what was heard is taken', () => {
  it.each([
    ['nine food seven', `9' 7"`],
    ['nine foot seven and a water', `9' 7 1/4"`],
    ['nine foot seven and three eights', `9' 7 3/8"`],
    ['seven and 5 16 inches', `7 5/16"`],
    ['9 foot 7 and 3 8', `9' 7 3/8"`],
    ['have a niche', `1/2"`],
    ['three and five sixteens inches', `3 5/16"`],
    ['to foot nine plush for foot', `2' 9" + 4'`],
    ['nine foot mines two foot', `9' − 2'`],
    ['nine foot divided buy three', `9' ÷ 3`],
    ['rail time four', 'rail × 4'],
    ['two paint five metres', '2.5 m'],
    ['twenty four hundred meal', '2400 mm'],
    ['six foot for', `6' 4"`],
    ['line foot six', `9' 6"`],
    ['seven edges and a half', `7 1/2"`],
    ['had two foot to that', `last + 2'`],
  ])('%s', (text, wanted) => {
    expect(heard(text).slice(0, 2)).toContain(wanted);
  });

  it('as it is where that makes sense, however else it could be taken', () => {
    for (const [text, entry] of [
      ['nine foot seven', `9' 7"`],
      ['line one', '#1'],
      ['rail times eight', 'rail × 8'],
      ['two foot to millimetres', `2' to mm`],
    ] as const)
      expect(heard(text)[0]).toBe(entry);
  });

  it('by what the recogniser put first, unless another makes sense and that one does not', () => {
    const first: readonly Alternative[] = [{ text: 'nine foot seven' }, { text: 'nine foot eleven' }];
    expect(entries(first)[0]).toBe(`9' 7"`);
    const second: readonly Alternative[] = [{ text: 'mind the gap heaven' }, { text: 'nine foot seven' }];
    expect(entries(second)[0]).toBe(`9' 7"`);
    const kinds: readonly Alternative[] = [{ text: 'nine foot plus two pounds' }, { text: 'nine foot plus two yards' }];
    expect(entries(kinds)[0]).toBe(`9' + 2 yd`);
  });

  it('with nothing left out but what says nothing in any way', () => {
    const [best] = rankHeard([{ text: 'bananas plus two foot' }], { read: asEntries(['rail']), makesSense });
    expect(best?.unknown.map(({ text }) => text)).toEqual(['bananas']);
  });
});
