import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scan, tokensOf } from './scanner.ts';
import * as T from './token.ts';

const NAMES = new Map<number, string>(
  Object.entries(T).flatMap(([name, kind]) => (typeof kind === 'number' ? [[kind, name] as const] : [])),
);

/** Tokens as "KIND:text", END left out. */
function written(source: string, options = {}): string[] {
  return tokensOf(scan(source, options))
    .filter(({ kind }) => kind !== T.END)
    .map(({ kind, start, end }) => `${NAMES.get(kind)}:${source.slice(start, end)}`);
}

describe('the scanner', () => {
  it('knows every fraction of one character by what Unicode says it is', () => {
    const all = [0xbc, 0xbd, 0xbe, ...Array.from({ length: 15 }, (_, n) => 0x2150 + n)];
    for (const character of all.map((code) => String.fromCharCode(code))) {
      const { kinds, values, extras } = scan(character);
      expect([character, kinds[0], `${values[0]}⁄${extras[0]}`]).toEqual([
        character,
        T.FRACTION,
        character.normalize('NFKD'),
      ]);
    }
  });

  it('takes ° and a letter for a temperature only where no word goes on', () => {
    expect(written('20°C')).toEqual(['INTEGER:20', 'WORD:°C']);
    expect(written('20°Cm')).toEqual(['INTEGER:20', 'DEGREE:°', 'WORD:Cm']);
    expect(written('a°F 3')).toEqual(['WORD:a', 'WORD:°F', 'INTEGER:3']);
  });

  it.each([
    [`9'-7 1/4"`, [`INTEGER:9`, `FOOT_MARK:'`, 'HYPHEN:-', 'INTEGER:7', 'FRACTION:1/4', 'INCH_MARK:"']],
    [`9''`, ['INTEGER:9', `INCH_MARK:''`]],
    ['144/3/4', ['INTEGER:144', 'SLASH:/', 'INTEGER:3', 'SLASH:/', 'INTEGER:4']],
    ['12 / 3/4', ['INTEGER:12', 'SLASH:/', 'FRACTION:3/4']],
    ['3/4.5', ['INTEGER:3', 'SLASH:/', 'DECIMAL:4.5']],
    ['1,250.5', ['DECIMAL:1,250.5']],
    ['1,25', ['INTEGER:1', 'COMMA:,', 'INTEGER:25']],
    ['1,2500', ['INTEGER:1', 'COMMA:,', 'INTEGER:2500']],
    ['0,250', ['INTEGER:0', 'COMMA:,', 'INTEGER:250']],
    ['2.5e3', ['DECIMAL:2.5e3']],
    ['2e', ['INTEGER:2', 'WORD:e']],
    ['12.', ['DECIMAL:12.']],
    ['.5', ['DECIMAL:.5']],
    ['5..9', ['INTEGER:5', 'DOTS:..', 'INTEGER:9']],
    ['#3..#9', ['LINE:#3', 'DOTS:..', 'LINE:#9']],
    ['#', ['UNKNOWN:#']],
    ['9ft2in', ['INTEGER:9', 'WORD:ft', 'INTEGER:2', 'WORD:in']],
    ['4ftx3', ['INTEGER:4', 'WORD:ft', 'TIMES:x', 'INTEGER:3']],
    ['rail2 x 8', ['WORD:rail2', 'TIMES:x', 'INTEGER:8']],
    ['2x4', ['INTEGER:2', 'TIMES:x', 'INTEGER:4']],
    ['xylo', ['WORD:xylo']],
    ['7 joist2', ['INTEGER:7', 'WORD:joist2']],
    ['9 ft. 7', ['INTEGER:9', 'WORD:ft.', 'INTEGER:7']],
    ['68°F', ['INTEGER:68', 'WORD:°F']],
    ['30° 15', ['INTEGER:30', 'DEGREE:°', 'INTEGER:15']],
    ['rail += 2', ['WORD:rail', 'PLUS_EQUALS:+=', 'INTEGER:2']],
    ['rail -= 2', ['WORD:rail', 'MINUS_EQUALS:-=', 'INTEGER:2']],
    ['a == b', ['WORD:a', 'COMPARE:==', 'WORD:b']],
    ['a <= b', ['WORD:a', 'COMPARE:<=', 'WORD:b']],
    ['a ≠ b', ['WORD:a', 'COMPARE:≠', 'WORD:b']],
    ['4⅜', ['INTEGER:4', 'FRACTION:⅜']],
    ['5²', ['INTEGER:5', 'SUPERSCRIPT:²']],
    ['⁵⁄₈', ['FRACTION:⁵⁄₈']],
    ['１２′', ['INTEGER:１２', 'FOOT_MARK:′']],
    ['a😀b', ['WORD:a', 'UNKNOWN:😀', 'WORD:b']],
    ['5\u00a0\u2009′', ['INTEGER:5', 'FOOT_MARK:′']],
  ])('cuts %s', (source, tokens) => {
    expect(written(source)).toEqual(tokens);
  });

  it('takes a comma for the decimal mark alone where the job writes one', () => {
    const options = { decimalComma: true };
    expect(written('1,250', options)).toEqual(['DECIMAL:1,250']);
    expect(written(',5', options)).toEqual(['DECIMAL:,5']);
    expect(written('max(2; 3)', options)).toContain('SEMICOLON:;');
  });

  it('keeps the digits of numbers beside them', () => {
    const { values, extras } = scan('12.75 3/8 #7');
    expect([values[0], extras[0], values[1], extras[1], values[2]]).toEqual([1275, 2, 3, 8, 7]);
    expect(scan('1234567890123456').values[0]).toBe(-1);
  });

  it('reads the lane for plain digits and marks as it reads their full-width twins, which never take it', () => {
    const piece = fc.oneof(
      fc.nat(99999).map(String),
      fc.maxSafeNat().map((n) => `${n}`),
      fc.constantFrom(
        '0',
        '007',
        '/',
        '.',
        ',',
        ' ',
        ' / ',
        "'",
        '"',
        'ft',
        'e',
        'e-',
        'x',
        '-',
        '+',
        '(',
        ')',
        ':',
        '..',
        '=',
        '%',
        '^',
        "''",
      ),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 12 }), fc.boolean(), (pieces, decimalComma) => {
        const source = pieces.join('');
        const wide = source.replace(/[!-@^]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) + 0xfee0));
        const numbers = (text: string): unknown => {
          const { count, kinds, starts, ends, values, extras } = scan(text, { decimalComma });
          return Array.from({ length: count }, (_, n) => {
            const isNumber = kinds[n] === T.INTEGER || kinds[n] === T.DECIMAL || kinds[n] === T.FRACTION;
            return [kinds[n], starts[n], ends[n], ...(isNumber ? [values[n], extras[n]] : [])];
          });
        };
        expect(numbers(source)).toEqual(numbers(wide));
      }),
      { numRuns: 5000 },
    );
  });
});
