import { describe, expect, it } from 'vitest';
import { parse } from '../notation/parser.ts';
import { makeRational } from '../number/rational.ts';
import { EMPTY_SCOPE, type Scope } from './scope.ts';
import { otherReadings } from '../mend/other-readings.ts';
import { reckon } from './reckon.ts';
import { Session } from '../session/session.ts';
import { wholeTimes } from './whole-times.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { readQuantity } from '../reading/read-quantity.ts';

/** Where people slip: what is taken, and a read-back that makes it plain. */
describe('traps', () => {
  it.each([
    ['the sign before a power', '-3^2', '−(3²)', '−9'],
    ['a negative number squared', '(-3)^2', '(−3)²', '9'],
    ['multiply before add', '5 + 6 * 4', '5 + (6 × 4)', '29'],
    ['divide and multiply from left to right', '24 / 2 * 3', '(24 ÷ 2) × 3', '36'],
    ['an implied product after a division', '24 / 2(3)', '(24 ÷ 2) × 3', '36'],
    ['a hyphen that joins', `9'-7"`, '9′ 7″', '9′ 7″'],
    ['a hyphen that subtracts', `12'-18"`, '12′ − 18″', '10′ 6″'],
    ['a hyphen before a fraction of its own', `24'-3/8"`, '24′ − 3⁄8″', '23′ 11 5⁄8″'],
    ['a minus sign, which always subtracts', `9'−7"`, '9′ − 7″', '8′ 5″'],
    ['a slash that is a fraction', '12 / 3/4', '12 ÷ 3⁄4', '16'],
    ['a slash before a price', `6 ft / $3`, '6′ ÷ 3 $', '2 ft/$'],
    ['a slash before a price with cents', `6 ft/$1.50`, '6′ ÷ 1.5 $', '4 ft/$'],
    ['a slash before a sign of money, which is a rate', '3 ft/$', '3 ft/$', '3 ft/$'],
    ['a slash that divides', '144/3/4', '(144 ÷ 3) ÷ 4', '12'],
    ['a fraction in a power', '2^1/2', '2^(1⁄2)', '1.414214'],
    ['a percent that is added', `9' + 12%`, '9′ + 12% of it', '10′ 15⁄16″'],
    ['a percent of something else', `9' + 12% of 3'`, '9′ + (12% of 3′)', '9′ 4 5⁄16″'],
    ['degrees meant by a plain number', 'sin 30', 'sin(30°)', '0.5'],
    ['degrees meant by π as well', 'sin π', 'sin(π°)', '≈ 0.054804'],
    ['radians spelled out', 'sin(0.5 rad)', 'sin(0.5 rad)', '≈ 0.479426'],
    ['area from a power on a unit', '5 ft^2', '5 ft²', '5 sq ft'],
    ['area from a power on a length', `5'^2`, '(5′)²', '25 sq ft'],
    ['a length times a length', `5' * 5'`, '5′ × 5′', '25 sq ft'],
    ['a 2 tight behind a unit is a power', '9ft2', '9 ft²', '9 sq ft'],
    ['unless a length follows', '9ft2in', '9′ 2″', '9′ 2″'],
    ['a function without brackets', 'cos 60 * 2', 'cos(60°) × 2', '1'],
    ['a power inside such a function', 'cos 60^1', 'cos((60¹)°)', '0.5'],
    ['a root over a power', '√2^2', '√(2²)', '2'],
    ['minutes of a degree', `30° 15'`, '30° 15′', '30.25°'],
    ['a slope under ×', `12' * 6:12`, '12′ × 6:12', '6′'],
    ['six inches in a foot run', '6 in 12', '6:12', '6:12'],
  ])('%s: %s', (_, entry, readBack, reading) => {
    const reckoned = reckon(entry);
    expect(reckoned.readBack).toBe(readBack);
    expect(reckoned.reading?.text).toBe(reading);
  });

  it('rounding each part is not rounding the sum', () => {
    // 1/3 of a foot and a bit: 7 7/48 in, thrice.
    const parts = reckon(`3 * round(7 7/48"; 1/8")`).reading?.text;
    const sum = reckon(`round(3 * 7 7/48"; 1/8")`).reading?.text;
    expect([parts, sum]).toEqual(['1′ 9 3⁄8″', '1′ 9 1⁄2″']);
  });

  it('a name in another case is the same name', () => {
    const session = new Session(DEFAULT_STYLE);
    session.enter(`Rail = 4' 2"`);
    expect(session.enter('RAIL * 2 + rail').reading?.text).toBe('12′ 6″');
  });

  const rail: Scope = {
    ...EMPTY_SCOPE,
    mark: (name) => (name === 'rail' ? { ok: true, quantity: { value: makeRational(3), dimension: 0 } } : undefined),
  };
  it('offers the mark of the job where a word of the notation is called as one', () => {
    const three: Scope = {
      ...EMPTY_SCOPE,
      mark: (name) =>
        ['m40', 'ft1', 'pitch'].includes(name)
          ? { ok: true, quantity: { value: makeRational(3), dimension: 0 } }
          : undefined,
    };
    const offered = (entry: string) =>
      otherReadings(reckon(entry, { scope: three }), { scope: three }).map((other) => other.entry);
    expect(offered('2 m40')).toEqual(['2 × m40']);
    expect(offered('3 ft1')).toEqual(['3 × ft1']);
    expect(offered('6/12 pitch')).toEqual(['6/12 × pitch']);
  });

  it('a mark of the job that is called as a counting word is the mark', () => {
    const session = new Session(DEFAULT_STYLE);
    expect(session.enter(`4' x 2 ea`).reading?.text).toBe('8′');
    session.enter('ea = 3');
    expect(session.enter(`4' x 2 ea`).reading?.text).toBe('24′');
  });

  it.each([
    [`9'-7"`, `9' − 7"`],
    [`9'-7" + 2'-3"`, `9' − 7" + 2'-3" | 9'-7" + 2' − 3"`],
    [`9'-7`, `9' − 7"`],
    [`2(9'-7)`, `2(9' − 7")`],
    [`9' - 7 1/4"`, `9' 7 1/4"`],
    [`3' + 9' -7"`, `3' + 9' 7"`],
    [`12'-18"`, ''],
    [`9' − 7"`, ''],
    ['7-1/2', '7 1/2'],
    ['24 / 2 rail', '24 / (2 rail)'],
    ['1/2 rail', '1 / (2 rail)'],
    ['12 / 3/4', '12 / 3 / 4'],
    ['144/3/4', '144/(3/4)'],
    ['max(1,250)', 'max(1; 250)'],
    ['1,250 m', '1.250 m'],
    ['$1,250', ''],
    ['-3^2', '(-3)^2'],
    ['-3^3', ''],
    ['sin(pi/6)', 'sin((pi/6) rad)'],
    ['cos 0.5 * 2', 'cos(0.5 rad) * 2'],
    ['sin 30', ''],
    [`5'^2`, '5 sq ft'],
    ['5 ft^2', '(5 ft)^2'],
    ['1 ft^2', ''],
    [`9' 7"`, ''],
    ['5 + 6 * 4', ''],
    // Written in a way that people also use for something else.
    [`9'—7"`, `9' 7"`],
    ['10-6 1/2', `10' 6 1/2"`],
    ['25-11 7/8', `25' 11 7/8"`],
    ['12-6"', `12" − 6"`],
    ['8-0"', `8" − 0"`],
    ['9ft.7in.', '9ft 0.7in.'],
    ['9ft2', '9 ft 2 in'],
    ['√3/2', '(√3) / 2'],
    ['sqrt(3/2)', ''],
    [`2x4x8'`, `2x4: 8' | 2" × 4"x8'`],
    ['2x6x12', `2x6: 12'`],
    ['1200 x 2400 mm', '1200 mm x 2400 mm'],
    [`3 x 4'`, ''],
    ['3 / 4"', '3/4"'],
    ['7:30', '7 h 30 min'],
    ['6:12', ''],
    ['5% + 3%', '5% + (3%)'],
    ['€20', '20'],
    ['$20', ''],
    [`5' (rail)`, `5' × rail`],
    [`5' (rough)`, ''],
    ['6/12 pitch', ''],
    [`2 m40`, ''],
    // Each just beyond what is near.
    [`9'-11"`, `9' − 11"`],
    [`9'-12"`, ''],
    [`9' - 12"`, ''],
    [`9' - 7 cm`, ''],
    [`9 yd - 3"`, ''],
    [`9 1/2' - 3"`, ''],
    ['7.5-1/2', ''],
    ['7 1/2-1/4', ''],
    ['7-3/2', ''],
    ['100 x 2400 mm', '100 mm x 2400 mm'],
    ['99 x 2400 mm', ''],
    ['100 x 2400 cm', ''],
    ['63 / 64"', '63/64"'],
    ['63 / 65"', ''],
  ])('%s offers the other reading, one touch away: %s', (entry, others) => {
    const options = { scope: rail };
    const offered = otherReadings(reckon(entry, options), options);
    expect(offered.map((other) => other.entry).join(' | ')).toBe(others);
    for (const { taken, label } of offered) expect(taken !== '' && label !== '').toBe(true);
  });
});

describe('how many times, and what is left', () => {
  it.each([
    [`24' 5" / 16"`, 18, '5″', 'mod(24′ 5″; 16″)'],
    [`8' / 16"`, 6, '0″', 'mod(8′; 16″)'],
    [`10' / (2 * 3")`, 20, '0″', 'mod(10′; 2 × 3″)'],
    [`hyp(3'; 3') / 1'`, 4, '2 15⁄16″', 'mod(hyp(3′; 3′); 1′)'],
    ['100 sq ft / 33 sq ft', 3, '1 sq ft', 'mod(100 ft²; 33 ft²)'],
  ])('%s is %d times with %s over', (source, times, left, leftEntry) => {
    const { entry } = parse(source);
    const whole = entry && wholeTimes(entry, EMPTY_SCOPE);
    expect(Number(whole?.times)).toBe(times);
    expect(whole && readQuantity(whole.left).text).toBe(left);
    expect(whole?.leftEntry).toBe(leftEntry);
    expect(reckon(leftEntry).reading?.text).toBe(left);
  });

  it.each([`24' / 3`, '24 / 5', `5' + 3'`, `5' / 0"`])('%s has no such reading', (source) => {
    const { entry } = parse(source);
    expect(entry && wholeTimes(entry, EMPTY_SCOPE)).toBeUndefined();
  });
});

describe('an entry while it is typed', () => {
  it.each([
    [`9'`, '9′'],
    [`9' 7`, '9′ 7″'],
    [`9' 7 1/`, undefined],
    [`9' 7 1/4" + `, '9′ 7 1⁄4″'],
    [`(9' 7" + 3`, undefined],
    [`(9' 7" + 3"`, '9′ 10″'],
    [`2 * (4' + `, '8′'],
    [`sqrt(`, undefined],
    [`hyp(3'; 4`, undefined],
    [`hyp(3'; 4'`, '5′'],
    [`max(3'; `, '3′'],
    [`9' to`, '9′'],
    ['2 ^', '2'],
  ])('%s reads %s as far as it goes', (entry, reading) => {
    expect(reckon(entry).reading?.text).toBe(reading);
  });

  it('shows the brackets that are still to come', () => {
    expect(parse(`2 * (4' + (3`).ghost).toBe('))');
  });
});
