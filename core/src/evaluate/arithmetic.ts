import type { Span } from '../base/span.ts';
import { LIMITS } from '../notation/operators.ts';
import {
  approximate,
  bitsOfValue,
  divideValue,
  isZero,
  multiplyValue,
  signOfValue,
  sqrtValue,
  wholeValue,
  type Value,
} from '../number/value.ts';
import { expApproximate, lnApproximate } from '../number/elementary.ts';
import { multiplyApproximate, negateApproximate } from '../number/approximation.ts';
import { wholeRoot } from '../number/radical.ts';
import { absRational, makeRational, ONE, powerRational, type Rational } from '../number/rational.ts';
import {
  ANGLE,
  kindOf,
  PLAIN,
  powersOf,
  SLOPE,
  TEMPERATURE,
  withinLimits,
  type Dimension,
  POWER_NAMES,
} from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { refuse } from './refuse.ts';

/** A value whose whole numbers outgrew the limit is refused before the next operation makes them larger still. */
export function checkSize(value: Value, span: Span): Value {
  if (
    value.kind === 'rational'
      ? typeof value.num !== 'number' && bitsOfValue(value) > LIMITS.bits
      : bitsOfValue(value) > LIMITS.bits
  )
    refuse('value.too_large', span, {});
  return value;
}

/** Under × and ÷ a slope is its rise over its run. */
function asFactor(quantity: Quantity): Dimension {
  return quantity.dimension === SLOPE ? PLAIN : quantity.dimension;
}

function checkDimension(dimension: Dimension, left: Quantity, right: Quantity, span: Span): Dimension {
  if (withinLimits(dimension)) return dimension;
  if (left.dimension === TEMPERATURE || right.dimension === TEMPERATURE) return refuse('kind.temperature', span, {});
  const involvesAngle = powersOf(left.dimension).angle !== 0 || powersOf(right.dimension).angle !== 0;
  return involvesAngle
    ? refuse('kind.multiply', span, { left: kindOf(left.dimension), right: kindOf(right.dimension) })
    : refuse('power.too_large', span, { limit: `${LIMITS.power}` });
}

export function multiplyQuantities(left: Quantity, right: Quantity, span: Span): Quantity {
  if (left.dimension === TEMPERATURE || right.dimension === TEMPERATURE) return refuse('kind.temperature', span, {});
  const dimension = checkDimension(asFactor(left) + asFactor(right), left, right, span);
  return { value: checkSize(multiplyValue(left.value, right.value), span), dimension };
}

/** `place` is where the divisor stands. */
export function divideQuantities(left: Quantity, right: Quantity, span: Span, place: Span): Quantity {
  if (left.dimension === TEMPERATURE || right.dimension === TEMPERATURE) return refuse('kind.temperature', span, {});
  if (isZero(right.value)) return refuse('division.by_zero', place, {});
  const dimension = checkDimension(asFactor(left) - asFactor(right), left, right, span);
  return { value: checkSize(divideValue(left.value, right.value), span), dimension };
}

/** base to the power of exponent. `place` is where the exponent stands. */
export function raise(base: Quantity, exponent: Quantity, span: Span, place: Span): Quantity {
  if (exponent.dimension !== PLAIN) return refuse('power.not_plain', place, { kind: kindOf(exponent.dimension) });
  if (base.dimension === TEMPERATURE) return refuse('kind.temperature', span, {});
  if (base.dimension === ANGLE) return refuse('kind.power', span, { kind: 'angle' });
  const dimension = asFactor(base);
  const whole = wholeValue(exponent.value);
  if (whole !== undefined) return raiseWhole(base.value, dimension, whole, span, place);
  if (exponent.value.kind !== 'rational') return raiseAny(base.value, dimension, exponent.value, span, place);
  return raiseFraction(base.value, dimension, exponent.value, span, place);
}

function raiseWhole(base: Value, dimension: Dimension, exponent: number, span: Span, place: Span): Quantity {
  if (Math.abs(exponent) > LIMITS.power || !withinLimits(dimension * exponent))
    return refuse('power.too_large', place, { limit: `${LIMITS.power}` });
  if (exponent < 0 && isZero(base)) return refuse('division.by_zero', span, {});
  if (base.kind === 'rational') {
    if (bitsOfValue(base) * Math.abs(exponent) > 2 * LIMITS.bits && typeof base.num !== 'number')
      return refuse('value.too_large', span, {});
    return { value: checkSize(powerRational(base, exponent), span), dimension: dimension * exponent };
  }
  let value: Value = ONE;
  for (let n = 0; n < Math.abs(exponent); n += 1) value = checkSize(multiplyValue(value, base), span);
  return { value: exponent < 0 ? divideValue(ONE, value) : value, dimension: dimension * exponent };
}

/** Every power of the dimension divided by `root`; undefined when one does not divide. */
function rootOfDimension(dimension: Dimension, root: number): Dimension | undefined {
  if (dimension === PLAIN) return PLAIN;
  const powers = powersOf(dimension);
  if (POWER_NAMES.some((name) => powers[name] % root !== 0)) return undefined;
  return dimension / root;
}

function raiseFraction(base: Value, dimension: Dimension, exponent: Rational, span: Span, place: Span): Quantity {
  const root = Number(exponent.den);
  const times = Number(exponent.num);
  const rooted = rootOfDimension(dimension, root);
  if (rooted === undefined) return refuse('kind.root', span, { kind: kindOf(dimension) });
  if (isZero(base))
    return times < 0 ? refuse('division.by_zero', span, {}) : { value: makeRational(0), dimension: rooted * times };
  const negative = signOfValue(base) < 0;
  if (negative && root % 2 === 0) return refuse('root.of_negative', span, {});
  const exact =
    root === 2 ? sqrtValue(base) : root <= LIMITS.power && base.kind === 'rational' ? exactRoot(base, root) : undefined;
  if (exact) return raiseWhole(exact, rooted, times, span, place);
  if (negative) {
    const size = raiseAny(
      { ...approximateOf(base), mid: -approximateOf(base).mid },
      PLAIN,
      exponent,
      span,
      place,
    ).value;
    return { value: times % 2 === 0 ? size : negateApproximate(approximateOf(size)), dimension: rooted * times };
  }
  return { value: raiseAny(base, PLAIN, exponent, span, place).value, dimension: checkPower(rooted * times, place) };
}

function checkPower(dimension: Dimension, place: Span): Dimension {
  return withinLimits(dimension) ? dimension : refuse('power.too_large', place, { limit: `${LIMITS.power}` });
}

const approximateOf = (value: Value) => approximate(value);

/** The whole-numbered root of a rational whose numerator and denominator both have one. */
function exactRoot(base: Rational, root: number): Rational | undefined {
  const size = absRational(base);
  const num = wholeRoot(BigInt(size.num), root);
  const den = num === undefined ? undefined : wholeRoot(BigInt(size.den), root);
  if (num === undefined || den === undefined) return undefined;
  return makeRational(base.num < 0 ? -num : num, den);
}

/** e^(exponent · ln base), for a base over zero. */
function raiseAny(base: Value, dimension: Dimension, exponent: Value, span: Span, place: Span): Quantity {
  if (dimension !== PLAIN) return refuse('kind.root', span, { kind: kindOf(dimension) });
  if (signOfValue(base) <= 0)
    return isZero(base) && signOfValue(exponent) > 0
      ? { value: makeRational(0), dimension }
      : refuse('root.of_negative', span, {});
  const value = expApproximate(multiplyApproximate(approximate(exponent), lnApproximate(approximate(base))));
  return value === undefined ? refuse('value.too_large', place, {}) : { value, dimension };
}

/** The square root of a quantity: of an area a length. */
export function rootOfQuantity(quantity: Quantity, span: Span): Quantity {
  if (quantity.dimension === TEMPERATURE) return refuse('kind.temperature', span, {});
  const dimension = quantity.dimension === SLOPE ? PLAIN : rootOfDimension(quantity.dimension, 2);
  if (dimension === undefined || quantity.dimension === ANGLE)
    return refuse('kind.root', span, { kind: kindOf(quantity.dimension) });
  if (signOfValue(quantity.value) < 0) return refuse('root.of_negative', span, {});
  return { value: sqrtValue(quantity.value), dimension };
}
