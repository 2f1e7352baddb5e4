import {
  addApproximate,
  approximateRational,
  fromFixed,
  invertApproximate,
  midpoint,
  multiplyApproximate,
  negateApproximate,
  toFixed,
  type Approximation,
} from '../number/approximation.ts';
import { placePoint } from '../number/decimal.ts';
import { makeRational } from '../number/rational.ts';

type Smooth = (x: Approximation) => Approximation;

/** Bits that a root is good for: 32 decimal digits. */
const ROOT_BITS = 108;
/** A double has 53 bits, and each of Newton's steps doubles what is right: 53, 106, all. */
const STEPS = 3;

/** A root of a smooth function close to a first guess, by Newton's method. @param slope the derivative, not 0 there */
export function refineRoot(value: Smooth, slope: Smooth, guess: number): Approximation {
  let x = approximateRational(makeRational(BigInt(Math.round(guess * 2 ** 52)), 2n ** 52n));
  for (let step = 0; step < STEPS; step += 1) {
    const by = multiplyApproximate(value(x), invertApproximate(slope(x)));
    // Its error is not carried on: the next step mends it.
    x = approximateRational(midpoint(addApproximate(x, negateApproximate(by))));
  }
  return fromFixed(toFixed(x, ROOT_BITS), 1n, ROOT_BITS);
}

/** Where a function of doubles that goes from one sign to the other crosses nothing. */
export function bisect(value: (x: number) => number, low: number, high: number): number {
  let [from, to] = [low, high];
  const isUnder = value(from) < 0;
  for (let step = 0; step < 200; step += 1) {
    const middle = (from + to) / 2;
    // No double is between: it is as close as doubles come.
    if (middle === from || middle === to) break;
    if (value(middle) < 0 === isUnder) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}

const DECIMALS = 24;

/** A root as an entry can hold it. */
export function rootText(root: Approximation): string {
  const { num, den } = midpoint(root);
  return placePoint((BigInt(num) * 10n ** BigInt(DECIMALS)) / BigInt(den), DECIMALS, '.');
}
