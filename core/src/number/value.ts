import { invariant } from '../base/invariant.ts';
import {
  addApproximate,
  approximateRational,
  compareApproximate,
  invertApproximate,
  lowerEnd,
  mayBeZero,
  midpoint,
  multiplyApproximate,
  negateApproximate,
  radius,
  signOfApproximate,
  sqrtApproximate,
  upperEnd,
  withErrorOf,
  WORKING_BITS,
  type Approximation,
} from './approximation.ts';
import {
  addExact,
  approximateRadical,
  equalTerms,
  invertRadical,
  multiplyExact,
  negateRadical,
  signOfRadical,
  sqrtRational,
  sumOfTerms,
  type RadicalSum,
} from './radical.ts';
import {
  absRational,
  addRational,
  bitsOfRational,
  compareRational,
  divideRational,
  invertRational,
  isWhole,
  makeRational,
  multiplyRational,
  negateRational,
  rationalToNumber,
  signOfRational,
  subtractRational,
  ZERO,
  type Rational,
} from './rational.ts';
import { roundProduct, roundRational, takesOuter, type RoundedWhole, type RoundingDirection } from './rounding.ts';

/**
 * Any number a quantity may hold, on the lowest of three steps that fits: exact rational, exact sum of radicals with π,
 * approximation with its error. Operations climb only when they must.
 */
export type Value = Rational | RadicalSum | Approximation;

export function isExact(value: Value): value is Rational | RadicalSum {
  return value.kind !== 'approximate';
}

/** The value to about `bits` good bits; an approximation keeps the error it has. */
export function approximate(value: Value, bits = WORKING_BITS): Approximation {
  if (value.kind === 'rational') return approximateRational(value, bits);
  return value.kind === 'radical' ? approximateRadical(value, bits) : value;
}

export function addValue(a: Value, b: Value): Value {
  if (a.kind === 'rational' && b.kind === 'rational') return addRational(a, b);
  if (isExact(a) && isExact(b)) {
    const sum = addExact(a, b);
    if (sum) return sum;
  }
  return addApproximate(approximate(a), approximate(b));
}

export function negateValue(a: Value): Value {
  if (a.kind === 'rational') return negateRational(a);
  return a.kind === 'radical' ? negateRadical(a) : negateApproximate(a);
}

export function subtractValue(a: Value, b: Value): Value {
  if (a.kind === 'rational' && b.kind === 'rational') return subtractRational(a, b);
  return addValue(a, negateValue(b));
}

export function multiplyValue(a: Value, b: Value): Value {
  if (a.kind === 'rational' && b.kind === 'rational') return multiplyRational(a, b);
  // Nothing, exactly, so often as something is nothing exactly.
  if ((a.kind === 'rational' && a.num === 0) || (b.kind === 'rational' && b.num === 0)) return ZERO;
  if (isExact(a) && isExact(b)) {
    const product = multiplyExact(a, b);
    if (product) return product;
  }
  return multiplyApproximate(approximate(a), approximate(b));
}

/** Whether the value is nothing, or an approximation of which nothing lies within its error. */
export function isZero(a: Value): boolean {
  if (a.kind === 'rational') return a.num === 0;
  return a.kind === 'approximate' && mayBeZero(a);
}

/** @throws {InvariantError} when `b` is zero (`isZero`): callers that take a person's entry ask first. */
export function divideValue(a: Value, b: Value): Value {
  if (a.kind === 'rational' && b.kind === 'rational') return divideRational(a, b);
  invariant(!isZero(b), 'no division by nothing');
  if (b.kind === 'rational') return multiplyValue(a, invertRational(b));
  if (b.kind === 'radical') {
    const inverse = invertRadical(b);
    if (inverse) return multiplyValue(a, inverse);
  }
  return multiplyApproximate(approximate(a), invertApproximate(approximate(b)));
}

export function signOfValue(a: Value): -1 | 0 | 1 {
  if (a.kind === 'rational') return signOfRational(a);
  return a.kind === 'radical' ? signOfRadical(a) : signOfApproximate(a);
}

export function absValue(a: Value): Value {
  if (a.kind === 'rational') return absRational(a);
  return signOfValue(a) < 0 ? negateValue(a) : a;
}

/** Exact for exact values; approximations within their common error compare as equal. */
export function compareValue(a: Value, b: Value): -1 | 0 | 1 {
  if (a.kind === 'rational' && b.kind === 'rational') return compareRational(a, b);
  if (isExact(a) && isExact(b)) return signOfValue(subtractExact(a, b));
  return compareApproximate(approximate(a), approximate(b));
}

/** a − b, exact however many terms it takes: only its sign is wanted. */
function subtractExact(a: Rational | RadicalSum, b: Rational | RadicalSum): Value {
  return (
    addExact(a, negateValue(b) as Rational | RadicalSum) ??
    addApproximate(approximate(a, 512), approximate(negateValue(b), 512), 512)
  );
}

/** Same value on the same step. */
export function equalValue(a: Value, b: Value): boolean {
  if (a.kind === 'rational') return b.kind === 'rational' && a.num === b.num && a.den === b.den;
  if (a.kind === 'radical') return b.kind === 'radical' && equalTerms(a, b);
  return b.kind === 'approximate' && a.mid === b.mid && a.rad === b.rad && a.scale === b.scale;
}

/** √a for a value that is not negative: exact where it can be. */
export function sqrtValue(a: Value): Value {
  if (a.kind === 'rational') {
    const root = sqrtRational(a);
    if (root) return root;
  } else if (a.kind === 'radical' && a.terms.length === 1) {
    // √(r·π²ᵏ) = √r·πᵏ.
    const [term] = a.terms as [RadicalSum['terms'][number]];
    const root = term.radicand === 1n && term.piPower % 2 === 0 ? sqrtRational(term.coefficient) : undefined;
    const exact =
      root?.kind === 'rational' || root?.kind === 'radical'
        ? multiplyExact(root, piToThe(term.piPower / 2))
        : undefined;
    if (exact) return exact;
  }
  return sqrtApproximate(approximate(a));
}

function piToThe(power: number): Rational | RadicalSum {
  return sumOfTerms([{ coefficient: makeRational(1), radicand: 1n, piPower: power }]) as Rational | RadicalSum;
}

/** The nearest double, for drawing and for `approx`; never for reckoning on. Of an approximation, that of its middle. */
export function valueToNumber(a: Value): number {
  if (a.kind === 'rational') return rationalToNumber(a);
  if (a.kind === 'approximate') return isZero(a) ? 0 : rationalToNumber(midpoint(a));
  // An irrational number lies on neither a double nor the middle of two: some enclosure has one nearest double.
  for (let bits = 96; ; bits *= 2) {
    const near = approximateRadical(a, bits);
    const number = rationalToNumber(lowerEnd(near));
    if (number === rationalToNumber(upperEnd(near))) return number;
  }
}

/** Bits of the largest whole number inside: what the limit on the size of values is measured by. */
export function bitsOfValue(a: Value): number {
  if (a.kind === 'rational') return bitsOfRational(a);
  if (a.kind === 'approximate') return Math.abs(a.scale) + WORKING_BITS;
  return Math.max(
    ...a.terms.map((term) => Math.max(bitsOfRational(term.coefficient), term.radicand.toString(16).length * 4)),
  );
}

/**
 * Rounds to a whole number, exactly: rationals in integers, sums of radicals by enclosures of growing precision (they
 * are never on a whole number or a half), approximations within their error of either count as on it.
 */
export function roundValue(value: Value, direction: RoundingDirection): RoundedWhole {
  if (value.kind === 'rational') return roundRational(value, direction);
  if (value.kind === 'approximate') return roundApproximate(value, direction);
  for (let bits = 96; ; bits *= 2) {
    const near = approximateRadical(value, bits);
    const below = roundRational(lowerEnd(near), direction);
    const above = roundRational(upperEnd(near), direction);
    if (below.whole === above.whole && below.side === above.side && below.side !== 0) return below;
  }
}

/**
 * The multiple of `step` that `direction` picks for `value`. Exact where the value is, and where every number within the
 * error of an approximation would be rounded to the same one; else the multiple found, with that error.
 */
export function roundToStep(value: Value, step: Value, direction: RoundingDirection): Value {
  const { whole } = roundQuotient(value, step, direction);
  const rounded = multiplyValue(step, makeRational(whole));
  if (value.kind !== 'approximate') return rounded;
  const times = divideValue(value, step) as Approximation;
  const comesTo = (times: Rational) => BigInt(roundRational(times, direction).whole) === BigInt(whole);
  const isSure = comesTo(lowerEnd(times)) && comesTo(upperEnd(times));
  return isSure ? rounded : withErrorOf(value, approximate(rounded));
}

/** Rounds a/b (b over zero) to a whole number. */
export function roundQuotient(a: Value, b: Value, direction: RoundingDirection): RoundedWhole {
  if (a.kind === 'rational' && b.kind === 'rational') return roundProduct(a, invertRational(b), direction);
  return roundValue(divideValue(a, b), direction);
}

function roundApproximate(value: Approximation, direction: RoundingDirection): RoundedWhole {
  const middle = midpoint(value);
  const error = radius(value);
  const nearest = roundRational(middle, 'nearest');
  const gap = absRational(subtractRational(middle, makeRational(nearest.whole)));
  if (compareRational(gap, error) <= 0) return { whole: nearest.whole, side: 0 };
  const fromHalf = absRational(subtractRational(gap, makeRational(1, 2)));
  if (direction === 'nearest' && compareRational(fromHalf, error) <= 0) {
    const inner = roundRational(middle, 'down').whole;
    const sign = signOfRational(middle);
    return { whole: takesOuter(direction, 0) ? BigInt(inner) + BigInt(sign) : inner, side: -1 };
  }
  return roundRational(middle, direction);
}

/** A whole number as a double when it is one, for powers and counts; undefined otherwise. */
export function wholeValue(value: Value): number | undefined {
  return value.kind === 'rational' && isWhole(value) && typeof value.num === 'number' ? value.num : undefined;
}
