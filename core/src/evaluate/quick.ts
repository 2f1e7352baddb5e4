import type { Expr, Measure, MeasurePart } from '../notation/ast.ts';
import type { BinaryOperator } from '../notation/operators.ts';
import { ADD, combineSmall, DIVIDE, MULTIPLY, small, SUBTRACT } from '../number/small-fraction.ts';
import { reduceNumbers } from '../number/rational.ts';
import { PLAIN, type Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

/**
 * The quick way for what most entries are: sizes and plain numbers added, subtracted, multiplied and divided. It
 * reduces once, at the end, and makes no object on the way. Whatever else there is, and whatever may not be exact in
 * doubles or is in error, is left to the tree walk in evaluate.ts, which comes to the same value.
 */

function operationOf(operator: BinaryOperator): number {
  switch (operator) {
    case 'add':
      return ADD;
    case 'subtract':
      return SUBTRACT;
    case 'divide':
      return DIVIDE;
    default:
      return MULTIPLY;
  }
}

/** Dimension of the value in `small`. */
let dimension: Dimension = PLAIN;

/** The quantity, or undefined when the quick way does not lead there. */
export function quickQuantity(expr: Expr): Quantity | undefined {
  if (!walk(expr)) return undefined;
  return { value: reduceNumbers(small.num, small.den), dimension };
}

function walk(expr: Expr): boolean {
  switch (expr.kind) {
    case 'number':
      dimension = PLAIN;
      return putSmall(expr.top, expr.bottom);
    case 'measure':
      return walkMeasure(expr);
    case 'binary': {
      if (!walk(expr.left)) return false;
      const { num, den } = small;
      const leftDimension = dimension;
      if (!walk(expr.right)) return false;
      if (expr.operator === 'at') return false;
      const operation = operationOf(expr.operator);
      const combined = combineDimensions(operation, leftDimension, dimension);
      if (combined === undefined) return false;
      dimension = combined;
      return combineSmall(operation, num, den, small.num, small.den);
    }
    default:
      return false;
  }
}

/**
 * The dimension of a result, as far as it goes without asking: like with like under + and −; lengths, areas, volumes
 * and plain numbers under × and ÷. Anything rarer is undefined.
 */
export function combineDimensions(operation: number, a: Dimension, b: Dimension): Dimension | undefined {
  if (operation === ADD || operation === SUBTRACT) return a === b ? a : undefined;
  const dimension = operation === DIVIDE ? a - b : a + b;
  return dimension === a || (dimension >= PLAIN && dimension <= 3) ? dimension : undefined;
}

function putSmall(num: number | bigint, den: number | bigint): boolean {
  if (typeof num !== 'number' || typeof den !== 'number') return false;
  small.num = num;
  small.den = den;
  return true;
}

const MAX = Number.MAX_SAFE_INTEGER;

/** Sizes in the smallest unit of their family: feet and inches in inches. */
function walkMeasure({ parts }: Measure): boolean {
  const { top, bottom, unit } = parts[0] as MeasurePart;
  if (unit.leastDen === 0 || typeof top !== 'number' || typeof bottom !== 'number') return false;
  let num = top * unit.share;
  let den = bottom;
  if (parts.length > 1) {
    const second = parts[1] as MeasurePart;
    if (parts.length > 2 || typeof second.top !== 'number' || typeof second.bottom !== 'number') return false;
    num = num * second.bottom + second.top * second.unit.share * bottom;
    den *= second.bottom;
  }
  num *= unit.leastNum;
  den *= unit.leastDen;
  // None of the factors is under 0: a product on the way that was rounded makes one here that is too large.
  if (num > MAX || den > MAX) return false;
  dimension = unit.smallDimension;
  small.num = num;
  small.den = den;
  return true;
}
