import { makeRational, type Rational } from '../number/rational.ts';
import { multiplyValue, type Value } from '../number/value.ts';
import { PI } from '../number/radical.ts';
import { PLAIN, type Dimension } from './dimension.ts';
import type { Unit } from './unit-table.ts';

/** A magnitude in SI base units (an angle in radians, a slope as rise over run, a temperature in kelvin) and what kind it is. No unit is kept: units are for text. */
export interface Quantity {
  readonly value: Value;
  readonly dimension: Dimension;
}

export function makeQuantity(value: Value, dimension: Dimension): Quantity {
  return { value, dimension };
}

/** A quantity with no dimension. */
export function plainNumber(num: number | bigint, den: number | bigint = 1): Quantity {
  return { value: makeRational(num, den), dimension: PLAIN };
}

/** One of a unit, as a value in SI base units (π/180 for a degree). */
export function unitValue(unit: Unit): Value {
  return unit.timesPi ? multiplyValue(unit.factor, PI) : unit.factor;
}

/** So many of a unit. @example quantityIn(makeRational(12), unitById('in')).value.num // => 381 */
export function quantityIn(amount: Rational, unit: Unit): Quantity {
  return { value: multiplyValue(amount, unitValue(unit)), dimension: unit.dimension };
}
