import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { UNITS } from '../units/unit-table.ts';
import { inWords } from './in-words.ts';
import { unitInWords } from './unit-words.ts';

const read = (entry: string, style = DEFAULT_STYLE) => reckon(entry, { style }).reading?.text ?? '';

describe('a size in words', () => {
  it.each([
    ['17′ 11 3⁄16″', 'seventeen feet, eleven and three sixteenths'],
    ['17′', 'seventeen feet'],
    ['1′ 1″', 'one foot, one'],
    ['1′ 1⁄2″', 'one foot, one half'],
    ['1″', 'one inch'],
    ['4 5⁄8″', 'four and five eighths inches'],
    ['3⁄4″', 'three quarters of an inch'],
    ['1⁄64″', 'one sixty-fourth of an inch'],
    ['13⁄16″', 'thirteen sixteenths of an inch'],
    ['≈ 11⁄32″', 'about eleven thirty-seconds of an inch'],
    ['0″', 'zero inches'],
    ['−3′ 2″', 'negative three feet, two'],
    ['≈ 12′ 8 3⁄4″', 'about twelve feet, eight and three quarters'],
    ['2400 mm', 'two thousand four hundred millimetres'],
    ['1 mm', 'one millimetre'],
    ['0.086 m', 'zero point zero eight six metres'],
    ['12,345.6 mm', 'twelve thousand three hundred and forty-five point six millimetres'],
    ['81 cu ft', 'eighty-one cubic feet'],
    ['1 sq ft', 'one square foot'],
    ['7.5 m²', 'seven point five square metres'],
    ['30 ft⁴', 'thirty feet to the fourth'],
    ['1⁄3 sq yd', 'one third of a square yard'],
    ['36.87°', 'thirty-six point eight seven degrees'],
    ['36° 52′ 12″', 'thirty-six degrees fifty-two minutes twelve seconds'],
    ['6:12', 'six in twelve'],
    ['5.66:12', 'five point six six in twelve'],
    ['$1,710.00', 'one thousand seven hundred and ten dollars'],
    ['$1.01', 'one dollar one cent'],
    ['$5,284.49', 'five thousand two hundred and eighty-four dollars forty-nine cents'],
    ['$38/h', 'thirty-eight dollars per hour'],
    ['12%', 'twelve per cent'],
    ['45 h', 'forty-five hours'],
    ['20 °C', 'twenty degrees Celsius'],
    ['1005', 'one thousand and five'],
    ['1200000', 'one million two hundred thousand'],
    ['7⁄9″', 'seven ninths of an inch'],
    ['7⁄23″', 'seven over twenty-three of an inch'],
    [
      '9007199254740993000',
      'nine zero zero seven one nine nine two five four seven four zero nine nine three zero zero zero',
    ],
  ])('%s', (text, words) => {
    expect(inWords(text)).toBe(words);
  });

  it.each([
    ['offcut −= 3 × 1 1⁄8″', 'offcut minus is three times one and one eighth inches'],
    ['#12 ÷ 2', 'line twelve divided by two'],
    ['(9′ + 3″) × 2', 'open bracket nine feet plus three inches close bracket times two'],
    ['hyp(3′; 4′)', 'the diagonal of open bracket three feet then four feet close bracket'],
    ['sum(#1..#4)', 'the sum of open bracket line one to line four close bracket'],
  ])('reads a sum back: %s', (text, words) => {
    expect(inWords(text)).toBe(words);
  });

  it('knows a decimal comma, with points or thin spaces between the thousands', () => {
    expect(inWords('1.250,5 mm', { decimalComma: true })).toBe(
      'one thousand two hundred and fifty point five millimetres',
    );
    expect(inWords('1\u202f250,5', { decimalComma: true })).toBe('one thousand two hundred and fifty point five');
  });

  it('has words for every unit that a reading writes, of one and of several', () => {
    for (const { symbol, one } of UNITS)
      expect([unitInWords(symbol, false), unitInWords(one, true)]).not.toContain(undefined);
    expect(unitInWords('furlong', false)).toBeUndefined();
  });

  it('leaves no sign of a reading unsaid', () => {
    for (const entry of [
      `7' 3 5/8"`,
      '2.4 m + 3 mm',
      '8 cu yd',
      '12 lb 3 oz',
      '3 h 20 min',
      '$12 * 3',
      'atan(3/4)',
      '12 gal',
    ])
      expect(inWords(read(entry)), entry).toMatch(/^[a-z][a-z ,-]+$/u);
  });
});
