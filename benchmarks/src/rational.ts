/** Which exact rational? Ours, on doubles with big integers behind them, against fraction.js and plain big integers. */
import Fraction from 'fraction.js';
import { addRational, divideRational, makeRational, multiplyRational } from '../../core/src/number/rational.ts';
import { gcdBig } from '../../core/src/base/bigint.ts';
import { compare, print } from './compare.ts';

/** Sixteenths of an inch on an ordinary site, and a few odd ones. */
const SIZES: readonly (readonly [number, number])[] = Array.from({ length: 64 }, (_, n) => [
  17 + n * 37,
  [1, 2, 4, 8, 16, 32, 3, 7][n % 8] as number,
]);

const ours = SIZES.map(([n, d]) => makeRational(n, d));
const fractions = SIZES.map(([n, d]) => new Fraction(n, d));
const bigs = SIZES.map(([n, d]) => [BigInt(n), BigInt(d)] as const);

type Big = readonly [bigint, bigint];
const reduce = (n: bigint, d: bigint): Big => {
  const g = gcdBig(n, d);
  return [n / g, d / g];
};

/** (a + b) × 7/3 ÷ 5, over neighbours. */
print(
  'Sums, products and quotients of 64 sizes',
  compare([
    {
      name: 'ours: pairs of doubles, big integers past 2^53',
      run: () => {
        let last = makeRational(0);
        const seven = makeRational(7, 3);
        const five = makeRational(5);
        for (let n = 1; n < ours.length; n += 1)
          last = divideRational(multiplyRational(addRational(ours[n - 1] as never, ours[n] as never), seven), five);
        return last;
      },
    },
    {
      name: 'pairs of big integers',
      run: () => {
        let last: Big = [0n, 1n];
        for (let n = 1; n < bigs.length; n += 1) {
          const [an, ad] = bigs[n - 1] as Big;
          const [bn, bd] = bigs[n] as Big;
          const sum = reduce(an * bd + bn * ad, ad * bd);
          const product = reduce(sum[0] * 7n, sum[1] * 3n);
          last = reduce(product[0], product[1] * 5n);
        }
        return last;
      },
    },
    {
      name: 'fraction.js 5.3.4',
      run: () => {
        let last = new Fraction(0);
        const seven = new Fraction(7, 3);
        const five = new Fraction(5);
        for (let n = 1; n < fractions.length; n += 1)
          last = (fractions[n - 1] as Fraction)
            .add(fractions[n] as Fraction)
            .mul(seven)
            .div(five);
        return last;
      },
    },
  ]),
);
