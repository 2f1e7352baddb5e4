import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueToNumber } from '../number/value.ts';
import { reckon } from './reckon.ts';

const text = (entry: string) => reckon(entry).reading?.text;
const code = (entry: string) => reckon(entry).issue?.code;

describe('powers', () => {
  it.each([
    ['2^10', '1024'],
    ['2^-3', '0.125'],
    ['(2/3)^3 * 27', '8'],
    [`(3')^2`, '9 sq ft'],
    [`(3')^3`, '27 cu ft'],
    [`(3')^-1 * 9'`, '3'],
    [`(9 sq ft)^(1/2)`, '3′'],
    [`(27 cu ft)^(2/3)`, '9 sq ft'],
    ['8^(1/3)', '2'],
    ['(-8)^(1/3)', '−2'],
    ['(-8)^(2/3)', '4'],
    ['(1/32)^(1/5)', '0.5'],
    ['4^0.5', '2'],
    ['0^5', '0'],
    ['0^0', '1'],
    ['0^(1/2)', '0'],
    ['(6:12)^2', '0.25'],
    ['(1 + √2)^3', '14.071068'],
    ['2^(1/3)', '≈ 1.259921'],
    ['(-2)^(1/3)', '≈ −1.259921'],
    ['2^√2', '≈ 2.665144'],
  ])('%s is %s', (entry, reading) => {
    expect(text(entry)).toBe(reading);
  });

  it.each([
    ['0^-1', 'division.by_zero'],
    ['0^(-1/2)', 'division.by_zero'],
    ['(-4)^(1/2)', 'root.of_negative'],
    ['(-4)^√2', 'root.of_negative'],
    ['2^100', 'power.too_large'],
    [`(5')^(1/2)`, 'kind.root'],
    [`(5')^√2`, 'kind.root'],
    [`2^5'`, 'power.not_plain'],
    ['(20 °C)^2', 'kind.temperature'],
    ['(1e4000)^2', 'value.too_large'],
    [`(5')^33 * (5')^33`, 'power.too_large'],
  ])('%s is refused with %s', (entry, expected) => {
    expect(code(entry)).toBe(expected);
  });
});

describe('kinds under × and ÷', () => {
  it.each([
    [`5' * 4'`, '20 sq ft'],
    [`5' * 4' * 3'`, '60 cu ft'],
    [`60 cu ft / 5' / 4'`, '3′'],
    ['12 sq ft / 3 sq ft', '4'],
    ['30° * 3', '90°'],
    ['90° / 30°', '3'],
    ['90° / 2', '45°'],
    [`24' / 6:12`, '48′'],
    ['6:12 + 3:12', '9:12'],
    ['$12 / 3 h * 2 h', '$8.00'],
    ['30 lb / 2 sq ft * 3 sq ft', '45 lb'],
    [`100 ft/s * 3 s`, '300′'],
  ])('%s is %s', (entry, reading) => {
    expect(text(entry)).toBe(reading);
  });

  it.each([
    [`30° * 5'`, 'kind.multiply'],
    [`5' / 30°`, 'kind.multiply'],
    ['30° * 30°', 'kind.multiply'],
    ['20 °C / 2', 'kind.temperature'],
    ['-(20 °C) * 1', 'kind.temperature'],
    [`5' + 30°`, 'kind.add'],
    ['6:12 + 0.5', 'kind.add_plain'],
  ])('%s is refused with %s', (entry, expected) => {
    expect(code(entry)).toBe(expected);
  });
});

describe('against doubles', () => {
  const number = fc.integer({ min: 1, max: 400 });

  it('divides by money, with cents and without', () => {
    expect([text('100 ft / $2.50'), text('100 ft / $2'), text('$10 / $2.50')]).toEqual(['40 ft/$', '50 ft/$', '4']);
    expect(code('100 ft / $2.50 $1')).toBeDefined();
  });

  it('sums, products and functions of sizes come to what doubles say, to fifteen digits', () => {
    fc.assert(
      fc.property(number, number, number, number, (a, b, c, d) => {
        const inches = (entry: string) => {
          const { outcome } = reckon(entry);
          return outcome?.kind === 'quantity' ? valueToNumber(outcome.quantity.value) / 0.0254 : Number.NaN;
        };
        const near = (entry: string, expected: number) =>
          expect(Math.abs(inches(entry) - expected), entry).toBeLessThanOrEqual(Math.abs(expected) * 1e-14 + 1e-12);
        near(`${a}" + ${b}' - ${c}"`, a + 12 * b - c);
        near(`${a}" * ${b} / ${c}`, (a * b) / c);
        near(`hyp(${a}"; ${b}")`, Math.hypot(a, b));
        near(`leg(${a + b}"; ${b}")`, Math.sqrt((a + b) ** 2 - b ** 2));
        near(`sqrt(${a}" * ${b}")`, Math.sqrt(a * b));
        near(`${a}" * sin ${d}`, a * Math.sin((d * Math.PI) / 180));
        near(`mod(${a + b}"; ${c}")`, (a + b) % c);
        near(`mean(${a}"; ${b}"; ${c}")`, (a + b + c) / 3);
        near(`${a}" + ${d}%`, a * (1 + d / 100));
        near(`${a}" * exp(${b} / ${c + 100})`, a * Math.exp(b / (c + 100)));
      }),
      { numRuns: 300 },
    );
  });
});
