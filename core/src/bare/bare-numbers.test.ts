import { describe, expect, it } from 'vitest';
import type { Scope } from '../evaluate/scope.ts';
import { mended, otherSizes } from '../mend/index.ts';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { otherBareUnits, withBareUnits } from './bare-numbers.ts';
import { IN_INCHES, IN_MILLIMETRES } from './golden.ts';
import { reckonTyped } from './reckon-typed.ts';

const size = (entry: string) => {
  const { outcome } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(entry);
  return { ok: true as const, quantity: outcome.quantity };
};
const MARKS: Readonly<Record<string, ReturnType<typeof size>>> = {
  rail: size('3 m'),
  studs: size('7'),
  floor: size('12 m^2'),
};
const scope: Scope = {
  mark: (name) => MARKS[name],
  line: (number) => (number === 1 ? size('2 m') : undefined),
  run: () => undefined,
  last: () => size('1 m'),
  names: () => Object.keys(MARKS),
};
const MM = { bare: 'mm', scope, style: { ...DEFAULT_STYLE, length: 'mm' } } as const;
const IN = { bare: 'in', scope, style: DEFAULT_STYLE } as const;

describe('a number without a unit', () => {
  it.each(IN_MILLIMETRES)('on a metric drawing: %s is %s', (typed, kept) => {
    expect(withBareUnits(typed, MM)).toBe(kept);
  });
  it.each(IN_INCHES)('said by a framer: %s is %s', (typed, kept) => {
    expect(withBareUnits(typed, IN)).toBe(kept);
  });

  it('has at least sixty rows, and none of them is in error', () => {
    expect(IN_MILLIMETRES.length + IN_INCHES.length).toBeGreaterThanOrEqual(60);
    for (const [typed, kept] of IN_MILLIMETRES) expect(reckonTyped(typed, MM).issue, kept).toBeUndefined();
    for (const [typed, kept] of IN_INCHES) expect(reckonTyped(typed, IN).issue, kept).toBeUndefined();
  });

  it('is itself where the job says so, and in what does not read', () => {
    for (const [typed] of IN_MILLIMETRES) expect(withBareUnits(typed, { scope })).toBe(typed);
    expect(withBareUnits('2400 +* 3', MM)).toBe('2400 +* 3');
  });

  it('is read the same way once its unit is written', () => {
    for (const [, kept] of [...IN_MILLIMETRES, ...IN_INCHES]) expect(withBareUnits(kept, MM)).toBe(kept);
  });

  it('is read as it was taken, once another meaning is', () => {
    for (const typed of ['2400 * 1200', '3 * 450', '2400 / 600', '2400/600', 'rail * 2400', '2400 * 1200 * 18'])
      for (const other of otherBareUnits(typed, MM)) expect(withBareUnits(other, MM)).toBe(other);
  });

  it('has its other meanings one touch away, the likeliest first', () => {
    expect(otherBareUnits('2400 * 1200', MM)).toEqual(['2400 mm * 1200 ea']);
    expect(otherBareUnits('3 * 450', MM)).toEqual(['3 mm * 450 mm']);
    expect(otherBareUnits('2400 / 600', MM)).toEqual(['2400 mm / 600 mm']);
    expect(otherBareUnits('2400/600', MM)).toEqual(['2400 mm/600 mm']);
    expect(otherBareUnits('7', MM)).toEqual(['7 ea']);
    expect(otherBareUnits('2400 + 300', MM)).toEqual([]);
    expect(otherBareUnits('2400', { scope })).toEqual([]);
  });
});

describe('what is offered beside it', () => {
  it('is the other meaning, worked out, where it comes to something else', () => {
    const [other] = otherSizes('2400 * 1200', MM);
    expect(other).toMatchObject({
      entry: '2400 mm * 1200 ea',
      label: '2400 mm × 1200 ea',
      taken: 'Read as 2400 mm × 1200 mm',
    });
    expect(otherSizes('2400', MM)).toEqual([]);
    expect(otherSizes('7', MM).map(({ entry }) => entry)).toEqual(['7 ea']);
    expect(otherSizes('2400 +', MM)).toEqual([]);
  });

  it('has the units of a metric job in front', () => {
    const first = (style: typeof DEFAULT_STYLE) =>
      mended(reckon('2 m + 35', { style }), { style })?.fixes.map(({ label }) => label);
    expect(first(MM.style)?.[0]).toBe('35 mm');
    expect(first(DEFAULT_STYLE)?.slice(0, 2)).toEqual(['35″', '35′']);
  });
});

describe('what is typed, worked out', () => {
  const read = (typed: string) => reckonTyped(typed, MM);
  it('reads in the units that were not typed, and says them', () => {
    expect(read('2400 / 7')).toMatchObject({ written: '2400 mm / 7', readBack: '2400 mm ÷ 7' });
    expect(read('2400 * 1200').reading?.text).toBe('2.88 m²');
    expect(read('rail + 300').reading?.text).toBe('3300 mm');
  });

  it('is a number where it makes no sense as a size', () => {
    expect(read('2400 * 1200 + 3')).toMatchObject({ written: '2400 * 1200 + 3', issue: undefined });
  });

  it('is understood as far as it goes while it is typed', () => {
    const now = read('2400 + 300 +');
    expect(now.issue).toMatchObject({ code: 'entry.unfinished' });
    expect(now.issue?.end).toBeLessThanOrEqual('2400 + 300 +'.length);
    expect(now.reading?.text).toBe('2700 mm');
  });

  it('says what is wrong by its place in what is typed', () => {
    const { issue, written } = read('2400 + 3 sq ft');
    expect(written).toBe('2400 + 3 sq ft');
    expect([issue?.code, issue?.start]).toEqual(['kind.add_plain', 0]);
  });
});
