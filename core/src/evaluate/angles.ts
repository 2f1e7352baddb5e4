import { bitLength } from '../base/bigint.ts';
import {
  addApproximate,
  approximateRational,
  invertApproximate,
  mayBeZero,
  multiplyApproximate,
  negateApproximate,
  sqrtApproximate,
  withErrorOf,
  WORKING_BITS,
  type Approximation,
} from '../number/approximation.ts';
import { atanApproximate, cosApproximate, piApproximate, sinApproximate } from '../number/elementary.ts';
import { PI } from '../number/radical.ts';
import {
  floorRational,
  HALF,
  makeRational,
  multiplyRational,
  ONE,
  subtractRational,
  TWO,
  type Rational,
} from '../number/rational.ts';
import {
  addValue,
  approximate,
  compareValue,
  divideValue,
  equalValue,
  multiplyValue,
  negateValue,
  signOfValue,
  sqrtValue,
  subtractValue,
  type Value,
} from '../number/value.ts';

/**
 * Circular functions that stay exact where the sine, cosine or tangent is a sum of square roots: every multiple of 15°
 * and 18°, and the tangents of 22.5° and 67.5° that an octagon needs.
 * Source of the closed forms: the half-angle and sum formulas from those of 30°, 36° and 45°.
 */
const whole = (n: number) => makeRational(n);
const root = (n: number) => sqrtValue(whole(n));
const over = (value: Value, n: number) => divideValue(value, whole(n));

/** Sines from 0° to 90° that are exact, by degrees. */
const SINES: ReadonlyMap<number, Value> = new Map<number, Value>([
  [0, whole(0)],
  [15, over(subtractValue(root(6), root(2)), 4)],
  [18, over(subtractValue(root(5), ONE), 4)],
  [30, HALF],
  [45, over(root(2), 2)],
  [54, over(addValue(root(5), ONE), 4)],
  [60, over(root(3), 2)],
  [75, over(addValue(root(6), root(2)), 4)],
  [90, ONE],
]);

/** Tangents from 0° up to, not with, 90° that are exact, by half degrees. */
const TANGENTS: ReadonlyMap<number, Value> = new Map<number, Value>([
  [0, whole(0)],
  [30, subtractValue(whole(2), root(3))],
  [45, subtractValue(root(2), ONE)],
  [60, over(root(3), 3)],
  [90, ONE],
  [120, root(3)],
  [135, addValue(root(2), ONE)],
  [150, addValue(whole(2), root(3))],
]);

/** The angle in degrees when that is a rational number. */
export function degreesOf(radians: Value): Rational | undefined {
  if (radians.kind === 'rational') return radians.num === 0 ? radians : undefined;
  if (radians.kind !== 'radical' || radians.terms.length !== 1) return undefined;
  const [term] = radians.terms;
  return term?.radicand === 1n && term.piPower === 1 ? multiplyRational(term.coefficient, whole(180)) : undefined;
}

/** The remainder of `value` after whole turns of `turn`, 0 <= remainder < turn. */
function within(value: Rational, turn: number): Rational {
  const turns = floorRational(multiplyRational(value, makeRational(1, turn)));
  return subtractRational(value, makeRational(turns * BigInt(turn)));
}

function exactSine(degrees: Rational): Value | undefined {
  const turned = within(degrees, 360);
  if (turned.den !== 1) return undefined;
  const whole = Number(turned.num);
  const half = whole % 180;
  const sine = SINES.get(half <= 90 ? half : 180 - half);
  return sine && (whole >= 180 ? negateValue(sine) : sine);
}

export function sine(radians: Value): Value {
  const degrees = degreesOf(radians);
  return (degrees && exactSine(degrees)) ?? sinApproximate(withinTurn(radians, degrees));
}

export function cosine(radians: Value): Value {
  const degrees = degreesOf(radians);
  return (degrees && exactSine(subtractRational(whole(90), degrees))) ?? cosApproximate(withinTurn(radians, degrees));
}

/** The angle as an approximation: whole turns are left out while it is exact, and of any other angle as many more digits are taken. */
function withinTurn(radians: Value, degrees: Rational | undefined): Approximation {
  if (degrees) return approximate(fromDegrees(within(degrees, 360)));
  const near = approximate(radians);
  const turns = Math.max(0, bitLength(near.mid) - near.scale);
  return turns === 0 ? near : approximate(radians, WORKING_BITS + turns);
}

/** Undefined where the tangent has no value (90°, 270°, …). */
export function tangent(radians: Value): Value | undefined {
  const degrees = degreesOf(radians);
  if (degrees) {
    const halves = multiplyRational(within(degrees, 180), whole(2));
    if (halves.den === 1) {
      const n = Number(halves.num);
      if (n === 180) return undefined;
      const exact = TANGENTS.get(n < 180 ? n : 360 - n);
      if (exact) return n < 180 ? exact : negateValue(exact);
    }
  }
  const near = withinTurn(radians, degrees);
  const cos = cosApproximate(near);
  return mayBeZero(cos) ? undefined : multiplyApproximate(sinApproximate(near), invertApproximate(cos));
}

const ONE_DEGREE = divideValue(PI, makeRational(180));

function fromDegrees(degrees: Rational): Value {
  return multiplyValue(degrees, ONE_DEGREE);
}

const RIGHT_ANGLE = fromDegrees(makeRational(90));

/** Looks a size up among exact values; the sign is the caller's. */
function exactAngle(size: Value, table: ReadonlyMap<number, Value>, den: number): Value | undefined {
  for (const [angle, value] of table) if (equalValue(value, size)) return fromDegrees(makeRational(angle, den));
  return undefined;
}

/** The angle in radians, −90° to 90°, whose sine is `ratio`; undefined when the ratio is past 1 in size. */
export function arcSine(ratio: Value): Value | undefined {
  const negative = signOfValue(ratio) < 0;
  const size = negative ? negateValue(ratio) : ratio;
  if (compareValue(size, ONE) > 0) return undefined;
  const exact = exactAngle(size, SINES, 1);
  if (exact) return negative ? negateValue(exact) : exact;
  // asin x = atan(x / √(1 − x²)); 1 − x² by its factors, which cancel nothing while x is exact.
  const leg = sqrtApproximate(approximate(multiplyValue(subtractValue(ONE, ratio), addValue(ONE, ratio))));
  const quarter = approximate(RIGHT_ANGLE);
  if (mayBeZero(leg)) return withErrorOf(leg, negative ? negateApproximate(quarter) : quarter);
  return atanApproximate(multiplyApproximate(approximate(ratio), invertApproximate(leg)));
}

/** The angle in radians, 0° to 180°, whose cosine is `ratio`; undefined when the ratio is past 1 in size. */
export function arcCosine(ratio: Value): Value | undefined {
  const negative = signOfValue(ratio) < 0;
  const size = negative ? negateValue(ratio) : ratio;
  if (compareValue(size, ONE) > 0) return undefined;
  const exact = exactAngle(size, SINES, 1);
  if (exact) return subtractValue(RIGHT_ANGLE, negative ? negateValue(exact) : exact);
  // acos x = 2 atan √((1 − x) / (1 + x)), taken from the side on which 1 + x is not small.
  const near = sqrtApproximate(approximate(divideValue(subtractValue(ONE, size), addValue(ONE, size))));
  const half = atanApproximate(near);
  const angle = addApproximate(half, half);
  return negative ? addApproximate(approximate(multiplyValue(RIGHT_ANGLE, TWO)), negateApproximate(angle)) : angle;
}

/** The angle, between −90° and 90°, whose tangent is `ratio`. */
export function arcTangent(ratio: Value): Value {
  const negative = signOfValue(ratio) < 0;
  const exact = exactAngle(negative ? negateValue(ratio) : ratio, TANGENTS, 2);
  if (exact) return negative ? negateValue(exact) : exact;
  return atanApproximate(approximate(ratio));
}

/** A plain number of degrees, as radians. */
export function radiansFromDegrees(degrees: Value): Value {
  return degrees.kind === 'approximate'
    ? multiplyApproximate(multiplyApproximate(degrees, piApproximate()), approximateRational(makeRational(1, 180)))
    : multiplyValue(degrees, ONE_DEGREE);
}
