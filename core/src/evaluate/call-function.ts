import { assertNever } from '../base/invariant.ts';
import type { Span } from '../base/span.ts';
import type { FunctionName as AnyFunction } from '../notation/functions.ts';
import { expApproximate, lnApproximate } from '../number/elementary.ts';
import { invertApproximate, multiplyApproximate } from '../number/approximation.ts';
import { gcdBig } from '../base/bigint.ts';
import { makeRational, ONE, type Rational } from '../number/rational.ts';
import type { RoundingDirection } from '../number/rounding.ts';
import {
  absValue,
  addValue,
  approximate,
  compareValue,
  divideValue,
  isZero,
  multiplyValue,
  roundToStep,
  roundValue,
  signOfValue,
  sqrtValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { ANGLE, kindOf, PLAIN, SLOPE, TEMPERATURE, withinLimits } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { arcCosine, arcSine, arcTangent, cosine, degreesOf, radiansFromDegrees, sine, tangent } from './angles.ts';
import { rootOfQuantity } from './arithmetic.ts';
import { refuse } from './refuse.ts';

/** An argument and where it stands. */
export interface Argument {
  readonly quantity: Quantity;
  readonly span: Span;
}

/** `if` chooses what is worked out, and is not called with values. */
type FunctionName = Exclude<AnyFunction, 'if'>;
type Arguments = readonly [Argument, ...Argument[]];

/** Calls a built-in function. The number of arguments has been checked by the reader. `span` is the whole call. */
export function callFunction(name: FunctionName, args: Arguments, span: Span): Quantity {
  const [first] = args;
  const { quantity } = first;
  if (!COMPARES_TEMPERATURES.has(name)) refuseTemperatures(args);
  switch (name) {
    case 'sqrt':
      return rootOfQuantity(quantity, first.span);
    case 'abs':
      return { value: absValue(quantity.value), dimension: quantity.dimension };
    case 'min':
      return extreme(name, args, -1);
    case 'max':
      return extreme(name, args, 1);
    case 'sum':
      return total(name, args);
    case 'mean': {
      const { value, dimension } = total(name, args);
      return { value: divideValue(value, makeRational(args.length)), dimension };
    }
    case 'gcd':
      return commonMeasure(name, args);
    case 'mod':
      return remainder(name, args);
    case 'round':
      return toStep(name, args, 'nearest');
    case 'up':
    case 'down':
      return toStep(name, args, name);
    case 'hyp':
      return hypotenuse(name, args);
    case 'leg':
      return otherLeg(name, args, span);
    case 'sin':
      return { value: sine(angleOf(name, first)), dimension: PLAIN };
    case 'cos':
      return { value: cosine(angleOf(name, first)), dimension: PLAIN };
    case 'tan': {
      const value = tangent(angleOf(name, first));
      return value ? { value, dimension: PLAIN } : refuse('range.tangent', first.span, {});
    }
    case 'asin':
    case 'acos': {
      const ratio = plainOf(name, first, 'a plain number');
      const value = name === 'asin' ? arcSine(ratio) : arcCosine(ratio);
      return value ? { value, dimension: ANGLE } : refuse('range.arc', first.span, { name });
    }
    case 'atan':
      return { value: arcTangent(ratioOf(name, first)), dimension: ANGLE };
    case 'ln':
    case 'log':
      return logarithm(name, first);
    case 'exp': {
      const exponent = plainOf(name, first, 'a plain number');
      if (isZero(exponent)) return { value: ONE, dimension: PLAIN };
      const value = expApproximate(approximate(exponent));
      return value ? { value, dimension: PLAIN } : refuse('value.too_large', span, {});
    }
    default:
      return assertNever(name);
  }
}

/** Functions that only compare, or lie between: all others would count a temperature from the zero of its scale. */
const COMPARES_TEMPERATURES: ReadonlySet<FunctionName> = new Set(['min', 'max', 'mean']);

function refuseTemperatures(args: Arguments): void {
  const one = args.find(({ quantity }) => quantity.dimension === TEMPERATURE);
  if (one) refuse('kind.temperature', one.span, {});
}

/** Refuses arguments of unlike kinds, at the first that differs. */
function checkAlike(name: FunctionName, args: Arguments): void {
  const { dimension } = args[0].quantity;
  for (const { quantity, span } of args) {
    if (quantity.dimension !== dimension)
      refuse('kind.function', span, { name, kind: kindOf(quantity.dimension), wanted: kindOf(dimension) });
  }
}

function extreme(name: FunctionName, args: Arguments, wanted: -1 | 1): Quantity {
  checkAlike(name, args);
  return args.reduce(
    (best, { quantity }) => (compareValue(quantity.value, best.value) === wanted ? quantity : best),
    args[0].quantity,
  );
}

function total(name: FunctionName, args: Arguments): Quantity {
  checkAlike(name, args);
  const { dimension } = args[0].quantity;
  return {
    value: args.slice(1).reduce((sum: Value, { quantity }) => addValue(sum, quantity.value), args[0].quantity.value),
    dimension,
  };
}

/** The largest quantity that goes into all of them a whole number of times. */
function commonMeasure(name: FunctionName, args: Arguments): Quantity {
  checkAlike(name, args);
  let common: Rational | undefined;
  const { dimension } = args[0].quantity;
  for (const { quantity, span } of args) {
    // Angles are kept in radians and measured in degrees.
    const value = dimension === ANGLE ? degreesOf(quantity.value) : quantity.value;
    if (value?.kind !== 'rational')
      return refuse('kind.function', span, { name, kind: 'value with a root or π', wanted: 'plain fraction' });
    common = common === undefined ? value : commonRational(common, value);
  }
  const value = absValue(common as Rational);
  if (isZero(value)) return refuse('division.by_zero', args[0].span, {});
  return { value: dimension === ANGLE ? radiansFromDegrees(value) : value, dimension };
}

function commonRational(a: Rational, b: Rational): Rational {
  // gcd(p/q, r/s) = gcd(ps, rq)/(qs)
  const [p, q, r, s] = [BigInt(a.num), BigInt(a.den), BigInt(b.num), BigInt(b.den)];
  return makeRational(gcdBig(p * s, r * q), q * s);
}

/** a − b·⌊a/b⌋: never negative for b over zero. */
function remainder(name: FunctionName, args: Arguments): Quantity {
  checkAlike(name, args);
  const [a, b] = args as readonly [Argument, Argument];
  if (isZero(b.quantity.value)) return refuse('division.by_zero', b.span, {});
  const ratio = divideValue(a.quantity.value, b.quantity.value);
  const times = roundValue(ratio, 'down');
  // Towards zero and then one further down where the ratio is negative and not whole.
  const whole = signOfValue(ratio) < 0 && times.side !== 0 ? BigInt(times.whole) - 1n : times.whole;
  return {
    value: subtractValue(a.quantity.value, multiplyValue(b.quantity.value, makeRational(whole))),
    dimension: a.quantity.dimension,
  };
}

function toStep(name: FunctionName, args: Arguments, direction: RoundingDirection): Quantity {
  const [a, given] = args as readonly [Argument, Argument | undefined];
  if (given === undefined && a.quantity.dimension !== PLAIN)
    return refuse('kind.function', a.span, { name, kind: kindOf(a.quantity.dimension), wanted: 'value and a step' });
  const step: Quantity = given?.quantity ?? { value: ONE, dimension: PLAIN };
  if (given) checkAlike(name, [a, given]);
  if (signOfValue(step.value) <= 0) return refuse('range.step', given?.span ?? a.span, {});
  return { value: roundToStep(a.quantity.value, step.value, direction), dimension: a.quantity.dimension };
}

const square = ({ quantity }: Argument): Value => multiplyValue(quantity.value, quantity.value);

function checkSides(name: FunctionName, args: Arguments): void {
  checkAlike(name, args);
  const { dimension } = args[0].quantity;
  if (dimension === TEMPERATURE || dimension === ANGLE || dimension === SLOPE || !withinLimits(2 * dimension))
    refuse('kind.function', args[0].span, { name, kind: kindOf(dimension), wanted: 'length' });
}

function hypotenuse(name: FunctionName, args: Arguments): Quantity {
  checkSides(name, args);
  const [a, b] = args as readonly [Argument, Argument];
  return { value: sqrtValue(addValue(square(a), square(b))), dimension: a.quantity.dimension };
}

function otherLeg(name: FunctionName, args: Arguments, span: Span): Quantity {
  checkSides(name, args);
  const [c, a] = args as readonly [Argument, Argument];
  const rest = subtractValue(square(c), square(a));
  if (signOfValue(rest) < 0) return refuse('range.leg', span, {});
  return { value: sqrtValue(rest), dimension: c.quantity.dimension };
}

/** An angle in radians; a plain number counts as degrees, a slope as the angle it makes. */
function angleOf(name: FunctionName, { quantity, span }: Argument): Value {
  if (quantity.dimension === ANGLE) return quantity.value;
  if (quantity.dimension === PLAIN) return radiansFromDegrees(quantity.value);
  if (quantity.dimension === SLOPE) return arcTangent(quantity.value);
  return refuse('kind.function', span, { name, kind: kindOf(quantity.dimension), wanted: 'angle' });
}

function plainOf(name: FunctionName, { quantity, span }: Argument, wanted: string): Value {
  return quantity.dimension === PLAIN
    ? quantity.value
    : refuse('kind.function', span, { name, kind: kindOf(quantity.dimension), wanted });
}

function ratioOf(name: FunctionName, argument: Argument): Value {
  return argument.quantity.dimension === SLOPE
    ? argument.quantity.value
    : plainOf(name, argument, 'plain number or a slope');
}

function logarithm(name: 'ln' | 'log', argument: Argument): Quantity {
  const value = plainOf(name, argument, 'a plain number');
  if (signOfValue(value) <= 0) return refuse('range.logarithm', argument.span, { name });
  const exact =
    value.kind === 'rational'
      ? name === 'log'
        ? powerOfTen(value)
        : value.num === 1 && value.den === 1
          ? 0
          : undefined
      : undefined;
  if (exact !== undefined) return { value: makeRational(exact), dimension: PLAIN };
  const log = lnApproximate(approximate(value));
  if (name === 'ln') return { value: log, dimension: PLAIN };
  return {
    value: multiplyApproximate(log, invertApproximate(lnApproximate(approximate(makeRational(10))))),
    dimension: PLAIN,
  };
}

/** n when the value is 10^n. */
function powerOfTen(value: Rational): number | undefined {
  const num = `${value.num}`;
  const den = `${value.den}`;
  if (!/^10*$/.test(num) || !/^10*$/.test(den)) return undefined;
  return num.length - den.length;
}
