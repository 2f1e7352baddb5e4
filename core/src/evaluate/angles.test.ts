import { describe, expect, it } from 'vitest';
import { cosApproximate, sinApproximate } from '../number/elementary.ts';
import { compareApproximate } from '../number/approximation.ts';
import { makeRational } from '../number/rational.ts';
import {
  approximate,
  compareValue,
  isExact,
  multiplyValue,
  negateValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { arcCosine, arcSine, arcTangent, cosine, degreesOf, radiansFromDegrees, sine, tangent } from './angles.ts';

const degrees = (n: number, d = 1): Value => radiansFromDegrees(makeRational(n, d));
const everyDegree = Array.from({ length: 721 }, (_, n) => n - 360);

describe('sines and cosines', () => {
  it('that are exact lie where their series say, for every whole degree of two turns', () => {
    let exact = 0;
    for (const n of everyDegree) {
      const angle = degrees(n);
      const [sin, cos] = [sine(angle), cosine(angle)];
      if (isExact(sin)) exact += 1;
      expect(compareApproximate(approximate(sin), sinApproximate(approximate(angle))), `sin ${n}`).toBe(0);
      expect(compareApproximate(approximate(cos), cosApproximate(approximate(angle))), `cos ${n}`).toBe(0);
    }
    // Every 15° and 18°, and 54°, of two turns.
    expect(exact).toBeGreaterThanOrEqual(49 + 8);
  });

  it('keep sin² + cos² = 1 exactly wherever both are exact', () => {
    for (const n of everyDegree) {
      const [sin, cos] = [sine(degrees(n)), cosine(degrees(n))];
      if (!isExact(sin) || !isExact(cos)) continue;
      const rest = subtractValue(subtractValue(makeRational(1), multiplyValue(sin, sin)), multiplyValue(cos, cos));
      expect(rest, `${n}°`).toEqual(makeRational(0));
    }
  });
});

describe('tangents', () => {
  it('are sine over cosine for every half degree, and nothing at a right angle', () => {
    for (let half = -360; half <= 360; half += 1) {
      const angle = degrees(half, 2);
      const tan = tangent(angle);
      if (Math.abs(half % 360) === 180) {
        expect(tan, `${half / 2}°`).toBeUndefined();
        continue;
      }
      if (tan === undefined) return expect.unreachable(`${half / 2}°`);
      expect(compareValue(multiplyValue(tan, cosine(angle)), sine(angle)), `${half / 2}°`).toBe(0);
    }
  });
});

describe('the arc functions', () => {
  it('lead back to the angle over their range', () => {
    for (let n = -90; n <= 90; n += 1) {
      const angle = degrees(n);
      expect(compareValue(arcSine(sine(angle)) as Value, angle), `asin ${n}`).toBe(0);
      if (Math.abs(n) < 90) expect(compareValue(arcTangent(tangent(angle) as Value), angle), `atan ${n}`).toBe(0);
    }
    for (let n = 0; n <= 180; n += 1)
      expect(compareValue(arcCosine(cosine(degrees(n))) as Value, degrees(n)), `acos ${n}`).toBe(0);
  });

  it('are exact where the ratio belongs to an angle that is', () => {
    for (const n of [0, 15, 18, 30, 45, 54, 60, 75, 90])
      expect(degreesOf(arcSine(sine(degrees(n))) as Value)).toEqual(makeRational(n));
    for (const half of [0, 30, 45, 60, 90, 120, 135, 150])
      expect(degreesOf(arcTangent(tangent(degrees(half, 2)) as Value))).toEqual(makeRational(half, 2));
  });

  it('have no answer past one', () => {
    expect(arcSine(makeRational(1001, 1000))).toBeUndefined();
    expect(arcCosine(negateValue(makeRational(2)))).toBeUndefined();
    expect(degreesOf(arcSine(makeRational(-1)) as Value)).toEqual(makeRational(-90));
  });
});
