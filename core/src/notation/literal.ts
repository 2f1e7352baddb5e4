import { makeRational, type Rational } from '../number/rational.ts';
import type { NumberLiteral } from './ast.ts';

/** The value of a typed number, in lowest terms. */
export function literalValue(literal: NumberLiteral): Rational {
  return makeRational(literal.top, literal.bottom);
}

/** Numerator of a typed fraction, the whole in front of it left aside. */
export function typedNumerator(literal: NumberLiteral): number | bigint {
  const { top, bottom, whole } = literal;
  if (typeof top === 'number' && typeof bottom === 'number' && typeof whole === 'number')
    return Math.abs(top) - whole * bottom;
  const size = BigInt(top) < 0n ? -BigInt(top) : BigInt(top);
  return size - BigInt(whole) * BigInt(bottom);
}

/** A whole number, typed without fraction, decimals or exponent. */
export function isTypedWhole(literal: NumberLiteral): boolean {
  return literal.form === 'whole';
}
