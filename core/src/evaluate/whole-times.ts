import type { Entry } from '../notation/ast.ts';
import { printExpr, type PrintOptions } from '../notation/printer.ts';
import { makeRational } from '../number/rational.ts';
import { divideValue, isZero, multiplyValue, roundValue, subtractValue } from '../number/value.ts';
import { PLAIN, SLOPE } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { evaluate } from './evaluate.ts';
import type { Scope } from './scope.ts';

/** How often one size goes into another, and what is left over. */
export interface WholeTimes {
  /** Towards zero. */
  readonly times: number | bigint;
  /** Of the kind of the two sizes; it has the sign of the first. */
  readonly left: Quantity;
  /** An entry that comes to what is left over. */
  readonly leftEntry: string;
  /** Asked for as a spacing (24′ @ 16″) rather than as a quotient. */
  readonly isSpacing: boolean;
}

/**
 * A quotient of two sizes of one kind as whole times with what is left over: 24′ 5″ ÷ 16″ is 18 times with 5″ over.
 * Undefined for any other entry.
 */
export function wholeTimes(entry: Entry, scope: Scope, options: PrintOptions = {}): WholeTimes | undefined {
  const { expr } = entry;
  if (expr.kind !== 'binary' || (expr.operator !== 'divide' && expr.operator !== 'at')) return undefined;
  const side = (part: typeof expr.left): Quantity | undefined => {
    const result = evaluate({ ...entry, expr: part }, scope);
    return result.ok && result.value.kind === 'quantity' ? result.value.quantity : undefined;
  };
  const whole = side(expr.left);
  const part = side(expr.right);
  if (whole === undefined || part?.dimension !== whole.dimension || isZero(part.value)) return undefined;
  if (whole.dimension === PLAIN || whole.dimension === SLOPE) return undefined;
  const times = roundValue(divideValue(whole.value, part.value), 'down').whole;
  const left = subtractValue(whole.value, multiplyValue(part.value, makeRational(times)));
  const leftEntry = `mod(${printExpr(expr.left, options)}; ${printExpr(expr.right, options)})`;
  const isSpacing = expr.operator === 'at';
  return { times, left: { value: left, dimension: whole.dimension }, leftEntry, isSpacing };
}
