import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asciiText, inchText, mixedText } from './fraction-text.ts';

const FINEST = fc.constantFrom(1, 2, 4, 8, 10, 16, 32, 64, 100, 128);

describe('a count of divisions of an inch', () => {
  it.each([
    [0, 16, true, '0″'],
    [5, 16, true, '5⁄16″'],
    [8, 16, true, '1⁄2″'],
    [16, 16, true, '1″'],
    [191, 16, true, '11 15⁄16″'],
    [192, 16, true, '1′'],
    [193, 16, true, '1′ 1⁄16″'],
    [208, 16, true, '1′ 1″'],
    [2378, 16, true, '12′ 4 5⁄8″'],
    [2378, 16, false, '148 5⁄8″'],
    // Feet are kept as text up to a length, and are the same past it.
    [499 * 192 + 40, 16, true, '499′ 2 1⁄2″'],
    [500 * 192 + 40, 16, true, '500′ 2 1⁄2″'],
    [5280 * 192 + 40, 16, true, '5280′ 2 1⁄2″'],
    [5280 * 192, 16, true, '5280′'],
  ])('%i of %i, with feet %s, is %s', (divisions, finest, withFeet, text) => {
    expect(inchText(divisions, finest, withFeet, true)).toBe(text);
    // A second time, out of what is kept.
    expect(inchText(divisions, finest, withFeet, true)).toBe(text);
  });

  it('keeps its denominator where that is wanted', () => {
    expect(inchText(2376, 16, true, false)).toBe('12′ 4 8⁄16″');
    expect(inchText(2376, 16, true, true)).toBe('12′ 4 1⁄2″');
    expect(inchText(8, 16, false, false)).toBe('8⁄16″');
  });

  it('is written the same way whether it is a double or a big integer', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 2 ** 31 - 1 }),
        FINEST,
        fc.boolean(),
        fc.boolean(),
        (divisions, finest, feet, lowest) => {
          expect(inchText(divisions, finest, feet, lowest)).toBe(inchText(BigInt(divisions), finest, feet, lowest));
        },
      ),
      { numRuns: 3000 },
    );
  });

  it('says in its figures how many there are', () => {
    const READ = /^(?:(\d+)′)? ?(?:(\d+)(?= |″))? ?(?:(\d+)⁄(\d+))?″?$/u;
    fc.assert(
      fc.property(fc.nat({ max: 10_000_000 }), FINEST, fc.boolean(), (divisions, finest, lowest) => {
        const [, feet = '0', inches = '0', num = '0', den = '1'] =
          READ.exec(inchText(divisions, finest, true, lowest)) ?? [];
        const said = (Number(feet) * 12 + Number(inches)) * finest + (Number(num) * finest) / Number(den);
        expect(said).toBe(divisions);
        expect(Number(inches)).toBeLessThan(12);
        expect(Number(num)).toBeLessThan(Number(den));
      }),
      { numRuns: 3000 },
    );
  });
});

describe('a mixed fraction', () => {
  it.each([
    [0, 16, true, '0'],
    [5, 16, true, '5⁄16'],
    [293, 16, true, '18 5⁄16'],
    [296, 16, true, '18 1⁄2'],
    [296, 16, false, '18 8⁄16'],
    [288, 16, true, '18'],
    [10n ** 20n + 1n, 2, true, '50000000000000000000 1⁄2'],
  ])('of %s over %i, in lowest terms %s, is %s', (divisions, denominator, lowest, text) => {
    const twin = mixedText(divisions, denominator, lowest);
    expect(twin.text).toBe(text);
    expect(twin.plain).toBe(asciiText(text));
  });
});
