import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addApproximate,
  approximateRational,
  compareApproximate,
  invertApproximate,
  mayBeZero,
  midpoint,
  multiplyApproximate,
  negateApproximate,
  radius,
  signOfApproximate,
  sqrtApproximate,
  type Approximation,
} from './approximation.ts';
import {
  atanApproximate,
  cosApproximate,
  expApproximate,
  lnApproximate,
  piApproximate,
  sinApproximate,
} from './elementary.ts';
import {
  absRational,
  compareRational,
  makeRational,
  parseRational,
  subtractRational,
  type Rational,
} from './rational.ts';

const of = (text: string) => approximateRational(parseRational(text) as Rational);

/** Whether the digits lie within the bounds of the approximation, and the bounds within 10^-30 of them. */
function expectDigits(near: Approximation | undefined, digits: string): void {
  if (near === undefined) return expect.unreachable('a value was expected');
  const wanted = parseRational(digits) as Rational;
  const error = absRational(subtractRational(midpoint(near), wanted));
  // The digits themselves end at the thirtieth place.
  expect(compareRational(error, makeRational(2n, 10n ** 30n))).toBe(-1);
  expect(compareRational(radius(near), makeRational(1n, 10n ** 30n))).toBe(-1);
}

describe('functions by their series', () => {
  /** Thirty decimals: OEIS A002162, A001113, A049469, A049470, A073000, A002392, A068985, A003881. */
  it.each([
    ['ln 2', lnApproximate(of('2')), '0.693147180559945309417232121458'],
    ['e', expApproximate(of('1')), '2.718281828459045235360287471353'],
    ['sin 1', sinApproximate(of('1')), '0.841470984807896506652502321630'],
    ['cos 1', cosApproximate(of('1')), '0.540302305868139717400936607443'],
    ['atan 1/2', atanApproximate(of('1/2')), '0.463647609000806116214256231461'],
    ['ln 10', lnApproximate(of('10')), '2.302585092994045684017991454684'],
    ['1/e', expApproximate(of('-1')), '0.367879441171442321595523770161'],
    ['π/4', atanApproximate(of('1')), '0.785398163397448309615660845820'],
    ['sin of a large angle', sinApproximate(of('1000000')), '-0.349993502171292952117652486780'],
  ])('%s has its digits', (_, near, digits) => {
    expectDigits(near, digits);
  });

  const small = fc
    .tuple(fc.integer({ min: -4000, max: 4000 }), fc.integer({ min: 1, max: 400 }))
    .map(([n, d]) => approximateRational(makeRational(n, d)));

  it('keep the identities between them, within their bounds', () => {
    fc.assert(
      fc.property(small, (x) => {
        const sin = sinApproximate(x);
        const cos = cosApproximate(x);
        const one = addApproximate(multiplyApproximate(sin, sin), multiplyApproximate(cos, cos));
        expect(compareApproximate(one, of('1'))).toBe(0);
        expect(compareApproximate(sinApproximate(negateApproximate(x)), negateApproximate(sin))).toBe(0);
        expect(compareApproximate(atanApproximate(negateApproximate(x)), negateApproximate(atanApproximate(x)))).toBe(
          0,
        );
        const power = expApproximate(x);
        if (power) expect(compareApproximate(lnApproximate(power), x)).toBe(0);
      }),
      { numRuns: 300 },
    );
  });

  it('turn by half a turn as the circle does', () => {
    fc.assert(
      fc.property(small, (x) => {
        const turned = addApproximate(x, piApproximate());
        expect(compareApproximate(sinApproximate(turned), negateApproximate(sinApproximate(x)))).toBe(0);
        expect(compareApproximate(cosApproximate(turned), negateApproximate(cosApproximate(x)))).toBe(0);
      }),
      { numRuns: 100 },
    );
  });

  it('of e stop where values do', () => {
    expect(expApproximate(of('12000'))).toBeUndefined();
    expect(expApproximate(of('-12000'))).toBeUndefined();
    expect(expApproximate(of('11000'))).toBeDefined();
  });
});

describe('approximations', () => {
  const value = fc
    .tuple(fc.bigInt({ min: -(10n ** 20n), max: 10n ** 20n }), fc.bigInt({ min: 1n, max: 10n ** 20n }))
    .map(([n, d]) => makeRational(n, d));

  it('hold what they stand for through every operation', () => {
    const within = (near: Approximation, exact: Rational) =>
      compareRational(absRational(subtractRational(midpoint(near), exact)), radius(near)) <= 0;
    fc.assert(
      fc.property(value, value, (a, b) => {
        const [x, y] = [approximateRational(a), approximateRational(b)];
        expect(within(x, a)).toBe(true);
        expect(within(negateApproximate(x), makeRational(-BigInt(a.num), BigInt(a.den)))).toBe(true);
        expect(
          within(
            addApproximate(x, y),
            makeRational(BigInt(a.num) * BigInt(b.den) + BigInt(b.num) * BigInt(a.den), BigInt(a.den) * BigInt(b.den)),
          ),
        ).toBe(true);
        expect(
          within(multiplyApproximate(x, y), makeRational(BigInt(a.num) * BigInt(b.num), BigInt(a.den) * BigInt(b.den))),
        ).toBe(true);
        if (b.num !== 0) expect(within(invertApproximate(y), makeRational(BigInt(b.den), BigInt(b.num)))).toBe(true);
        const root = sqrtApproximate(approximateRational(absRational(a)));
        expect(compareApproximate(multiplyApproximate(root, root), approximateRational(absRational(a)))).toBe(0);
      }),
      { numRuns: 500 },
    );
  });

  it('know when they cannot be distinguished from zero', () => {
    const nothing = addApproximate(sinApproximate(of('1')), negateApproximate(sinApproximate(of('1'))));
    expect([mayBeZero(nothing), signOfApproximate(nothing)]).toEqual([true, 0]);
    expect([signOfApproximate(of('1/1000000000000')), signOfApproximate(of('-3'))]).toEqual([1, -1]);
    expect(sqrtApproximate(of('0'))).toMatchObject({ mid: 0n });
  });
});
