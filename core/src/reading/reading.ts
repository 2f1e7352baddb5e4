import { absBig } from '../base/bigint.ts';
import { makeRational } from '../number/rational.ts';
import type { RoundedWhole } from '../number/rounding.ts';
import { absValue, compareValue, multiplyValue, subtractValue, type Value } from '../number/value.ts';
import type { Quantity } from '../units/quantity.ts';
import { asciiText, type TwinText } from './fraction-text.ts';

/** A value written for a person, and what the rounding cost. */
export interface Reading {
  /** For the screen: true primes, fraction slashes, one minus sign in front; ≈ in front of an approximation. */
  readonly text: string;
  /** ASCII; read as an entry it gives exactly `shownValue`. */
  readonly plain: string;
  /** exact: the true size is the one shown; full: it is a little over; shy: a little under. By magnitude. */
  readonly rounding: 'exact' | 'full' | 'shy';
  readonly approximate: boolean;
  /** The value shown is `steps` times `step`, in SI base units (of a temperature: degrees of its scale). */
  readonly steps: number | bigint;
  readonly step: Value;
}

/** A reading whose plain twin is made when it is first asked for: at most keystrokes it never is. */
class MadeReading implements Reading {
  // Declared only: fields of the language's own are made empty first and filled by the constructor a second time.
  declare readonly text: string;
  declare readonly rounding: Reading['rounding'];
  declare readonly approximate: boolean;
  declare readonly steps: number | bigint;
  declare readonly step: Value;
  declare private readonly given: string | undefined;

  constructor(text: string, plain: string | undefined, rounded: RoundedWhole, approximate: boolean, step: Value) {
    const { whole, side } = rounded;
    this.text = text;
    this.given = plain;
    this.rounding = side === 0 ? 'exact' : side > 0 ? 'full' : 'shy';
    this.approximate = approximate;
    this.steps = whole;
    this.step = step;
  }

  get plain(): string {
    return this.given ?? asciiText(this.text);
  }
}

/** A size with its sign, and the mark of approximation, in front. */
export function sized(value: Value, rounded: RoundedWhole, step: Value, size: TwinText): Reading {
  const negative = rounded.whole < 0;
  const plain = negative ? `-${size.plain}` : size.plain;
  return new MadeReading(signed(value, negative, size.text), plain, rounded, value.kind === 'approximate', step);
}

/** As `sized`, of figures, primes and fractions alone, whose plain twin follows from them. */
export function sizedByMarks(value: Value, rounded: RoundedWhole, step: Value, size: string): Reading {
  const approximate = value.kind === 'approximate';
  const text = approximate || rounded.whole < 0 ? signed(value, rounded.whole < 0, size) : size;
  return new MadeReading(text, undefined, rounded, approximate, step);
}

function signed(value: Value, negative: boolean, text: string): string {
  return `${value.kind === 'approximate' ? '≈ ' : ''}${negative ? '−' : ''}${text}`;
}

export function magnitude(whole: number | bigint): number | bigint {
  return typeof whole === 'number' ? Math.abs(whole) : absBig(whole);
}

/** The value that a reading shows, in SI base units, exactly. Not for temperatures, whose scales have a zero of their own. */
export function shownValue(reading: Reading): Value {
  return multiplyValue(reading.step, makeRational(reading.steps));
}

/** How much the true size lies over (positive) or under (negative) the one shown, in SI base units, by magnitude. */
export function roundingCost(quantity: Quantity, reading: Reading): Value {
  const trueSize = absValue(quantity.value);
  return subtractValue(trueSize, absValue(shownValue(reading)));
}

/** Whether a cost is small enough to keep quiet: under a tenth of a millimetre. */
export function isQuietCost(cost: Value): boolean {
  return compareValue(absValue(cost), makeRational(1, 10000)) < 0;
}
