import { describe, expect, it } from 'vitest';
import {
  addApproximate,
  approximateRational,
  multiplyApproximate,
  type Approximation,
} from '../number/approximation.ts';
import { makeRational } from '../number/rational.ts';
import { bisect, refineRoot, rootText } from './root-search.ts';

const plain = (n: number) => approximateRational(makeRational(n));

describe('a search for a root', () => {
  it('halves its way to the doubles beside the crossing, whichever way the function goes', () => {
    expect(bisect((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 15);
    expect(bisect((x) => 2 - x * x, 0, 2)).toBeCloseTo(Math.SQRT2, 15);
    expect(bisect((x) => Math.cos(x), 0, 3)).toBeCloseTo(Math.PI / 2, 15);
    expect(bisect((x) => x - 1, 1, 1)).toBe(1);
  });

  it('makes a guess of a few digits good for twenty-four, by three steps of Newton', () => {
    const square = (x: Approximation) => addApproximate(multiplyApproximate(x, x), plain(-2));
    const slope = (x: Approximation) => multiplyApproximate(plain(2), x);
    // OEIS A002193.
    for (const guess of [1.4142135623730951, 1.414213562])
      expect(rootText(refineRoot(square, slope, guess))).toBe('1.414213562373095048801688');
  });
});
