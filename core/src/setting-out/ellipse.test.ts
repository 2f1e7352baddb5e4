import { describe, expect, it } from 'vitest';
import { makeRational } from '../number/rational.ts';
import { valueToNumber } from '../number/value.ts';
import { aroundEllipse } from './ellipse.ts';

describe('around an ellipse', () => {
  it('is as the series of Gauss and Kummer has it, to the last digit of a double', () => {
    for (const [long, short] of [
      [10, 8],
      [4, 2],
      [3, 2.999],
      [7, 1],
    ] as const) {
      const h = ((long - short) / (long + short)) ** 2;
      let [sum, binomial] = [0, 1];
      for (let n = 0; n < 400; n += 1) {
        sum += binomial ** 2 * h ** n;
        binomial *= (0.5 - n) / (n + 1);
      }
      const [one, other] = [long, short].map((axis) => makeRational(Math.round(axis * 1000), 1000));
      const around = valueToNumber(aroundEllipse(one as never, other as never));
      expect(around / ((Math.PI * (long + short) * sum) / 2)).toBeCloseTo(1, 14);
    }
  });

  it('is twice the long axis where there is hardly a short one', () => {
    const around = aroundEllipse(makeRational(1), makeRational(1, 10 ** 9));
    expect(valueToNumber(around)).toBeCloseTo(2, 12);
    expect(around.rad * 10n ** 15n).toBeLessThan(around.mid);
  });
});
