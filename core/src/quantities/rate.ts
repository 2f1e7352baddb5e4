import type { Entry, Expr } from '../notation/ast.ts';
import { nodesOf } from '../notation/parts.ts';
import { makeRational } from '../number/rational.ts';
import { compareValue, divideValue, signOfValue, type Value } from '../number/value.ts';
import { PLAIN } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

const ONE = makeRational(1);
const HUNDRED = makeRational(100);
const MOST = makeRational(10);

/** A rate as it was understood. */
export interface Rate {
  /** A part of the whole: 2/25 for 8 %. */
  readonly value: Value;
  /** It was typed as a bare number, and read as so many per cent. */
  readonly isAssumed: boolean;
}

/**
 * A rate that was typed as a per cent, as a part (0.08), or as the bare number of the per cent (8). From 1 on a bare number is
 * per cent: nobody means waste of eight times the whole. Undefined for what is no rate: of another kind, under 0, over 1,000 %.
 * @example rateOf(parse('8').entry, plainNumber(8)).isAssumed // => true
 */
export function rateOf(entry: Entry, { value, dimension }: Quantity): Rate | undefined {
  if (dimension !== PLAIN || signOfValue(value) < 0) return undefined;
  const isAssumed = compareValue(value, ONE) >= 0 && !hasPercent(entry.expr);
  const rate = isAssumed ? divideValue(value, HUNDRED) : value;
  return compareValue(rate, MOST) > 0 ? undefined : { value: rate, isAssumed };
}

/** Whether a per cent sign, or another way of writing one, stands anywhere in it. */
function hasPercent(expr: Expr): boolean {
  return nodesOf(expr).some(({ kind }) => kind === 'percent' || kind === 'percentStep');
}
