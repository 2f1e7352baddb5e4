import { describe, expect, it } from 'vitest';
import {
  plain,
  plainAdd,
  plainDivide,
  plainFeetInches,
  plainMultiply,
  plainNearest,
  plainSubtract,
  type Plain,
} from '../testing/plain-rational.ts';
import { reckon } from './reckon.ts';

/** A small generator with a fixed seed, so that a failure names its case (Park and Miller's minimal standard, 1988). */
function makeRandom(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
}

interface Case {
  readonly text: string;
  readonly inches: Plain;
}

const DENOMINATORS = [2, 4, 8, 16, 32, 64, 3, 5, 7, 1009, 65537];

function randomLength(random: (below: number) => number): Case {
  const feet = random(200);
  const inches = random(12);
  const den = DENOMINATORS[random(DENOMINATORS.length)] as number;
  const num = 1 + random(den - 1);
  return { text: `${feet}' ${inches} ${num}/${den}"`, inches: plainAdd(plain(feet * 12 + inches), plain(num, den)) };
}

/** One to four lengths with signs and plain factors; the oracle reckons along in inches. */
function randomEntry(random: (below: number) => number): Case {
  let { text, inches } = randomLength(random);
  for (let steps = random(4); steps > 0; steps -= 1) {
    const next = randomLength(random);
    const factor = 1 + random(random(20) === 0 ? 2_000_000_000 : 99);
    switch (random(4)) {
      case 0:
        [text, inches] = [`${text} + ${next.text}`, plainAdd(inches, next.inches)];
        break;
      case 1:
        [text, inches] = [`${text} − ${next.text}`, plainSubtract(inches, next.inches)];
        break;
      case 2:
        [text, inches] = [`(${text}) × ${factor}`, plainMultiply(inches, plain(factor))];
        break;
      default:
        [text, inches] = [`(${text}) ÷ ${factor}`, plainDivide(inches, plain(factor))];
    }
  }
  return { text, inches };
}

describe('the fast path for small numbers', () => {
  it('reads 200,000 random entries as plain big integers do', () => {
    const random = makeRandom(20261125);
    for (let n = 0; n < 200_000; n += 1) {
      const { text, inches } = randomEntry(random);
      const reading = reckon(text).reading?.text;
      const expected = plainFeetInches(plainNearest(inches, 16n), 16n);
      // One comparison by hand: 200,000 expectations would take longer than the reckoning.
      if (reading !== expected) expect.unreachable(`${text}: ${reading} is not ${expected}`);
    }
  }, 300_000);

  it.each([
    // 2^53 − 1 inches, and one more.
    [`9007199254740991" - 9007199254740990"`, '1″'],
    [`9007199254740992" - 9007199254740991"`, '1″'],
    [`94906267" * 94906267 / 94906267`, `7908855′ 7″`],
    [`3037000500" * 3037000500 / 3037000499 / 3037000500 * 3037000499`, '253083375′'],
  ])('is exact at the boundary: %s is %s', (entry, reading) => {
    expect(reckon(entry).reading?.text).toBe(reading);
  });
});
