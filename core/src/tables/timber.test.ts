import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { pocketCards } from './pocket-card.ts';
import { isTimber, SOFTWOOD_TIMBERS, timberSize, timbersInOrder, timberTable } from './timber.ts';

const called = (name: string) => SOFTWOOD_TIMBERS.find((one) => one.called === name);

describe('timber as it is sold and as it measures', () => {
  // PS 20-20, dressed dry: two inches under 2 by 1/2, boards by 1/4, widths to 6 by 1/2, from 8 on by 3/4.
  it.each([
    ['1x2', '3/4"', '1 1/2"'],
    ['1x12', '3/4"', '11 1/4"'],
    ['2x4', '1 1/2"', '3 1/2"'],
    ['2x6', '1 1/2"', '5 1/2"'],
    ['2x8', '1 1/2"', '7 1/4"'],
    ['2x10', '1 1/2"', '9 1/4"'],
    ['4x4', '3 1/2"', '3 1/2"'],
    ['4x12', '3 1/2"', '11 1/4"'],
  ])('%s is %s by %s', (name, thick, wide) => {
    expect(called(name)).toEqual({ called: name, thick, wide });
  });

  it('stands in a table in inches and in millimetres, the small sizes before the large', () => {
    const { columns, rows } = timberTable(
      [...SOFTWOOD_TIMBERS, { called: '8/4', thick: '45 mm', wide: '' }].filter((one) => one.called !== '2x3'),
      DEFAULT_STYLE,
    );
    expect(columns.map(({ title }) => title)).toEqual(['sold as', 'thick', 'wide', 'thick, mm', 'wide, mm']);
    const texts = rows.map(({ cells }) => cells.map((cell) => cell?.text));
    expect(texts.find(([name]) => name === '2x4')).toEqual(['2x4', '1 1⁄2″', '3 1⁄2″', '38.1 mm', '88.9 mm']);
    // 45 mm are 1.7717 in, and 1 3/4 is the nearest sixteenth (1 12/16 and 1 13/16 on either side).
    expect(texts.find(([name]) => name === '8/4')).toEqual(['8/4', '1 3⁄4″', undefined, '45 mm', undefined]);
    const names = texts.map(([name]) => name);
    expect(names.indexOf('2x4')).toBeLessThan(names.indexOf('2x10'));
    expect(names.indexOf('1x12')).toBeLessThan(names.indexOf('2x4'));
    expect(pocketCards({ columns, rows }, 'Timber', 'letter')).toHaveLength(1);
  });

  it.each([
    ['3 kg', 'timber.no_size'],
    ['0"', 'timber.no_size'],
    ['-2"', 'timber.no_size'],
    ['4', 'timber.no_size'],
    ['rail', 'jig.not_fixed'],
    ['', 'entry.empty'],
    ['1 1/2" +', 'entry.unfinished'],
  ])('takes no %s for a size', (text, code) => {
    const read = timberSize(text, false);
    expect(read.ok ? 'read' : read.issue.code).toBe(code);
  });

  it('is kept with a name and a thickness; the width may be left out', () => {
    expect(isTimber({ called: '8/4', thick: '1 3/4"', wide: '' })).toBe(true);
    expect(isTimber({ called: '', thick: '1 3/4"', wide: '' })).toBe(false);
    expect(isTimber({ called: ' 8/4', thick: '1 3/4"', wide: '' })).toBe(false);
    expect(isTimber({ called: '8/4', thick: '', wide: '3"' })).toBe(false);
    expect(isTimber({ called: '8/4', thick: '2"', wide: 'last' })).toBe(false);
    expect(SOFTWOOD_TIMBERS.every(isTimber)).toBe(true);
    expect(new Set(timbersInOrder(SOFTWOOD_TIMBERS)).size).toBe(SOFTWOOD_TIMBERS.length);
  });
});
