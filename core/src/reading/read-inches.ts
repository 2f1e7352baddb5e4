import { invertRational, isWhole, makeRational, multiplyRational, type Rational } from '../number/rational.ts';
import { roundProduct } from '../number/rounding.ts';
import { multiplyValue, roundValue, type Value } from '../number/value.ts';
import type { Unit } from '../units/unit-table.ts';
import { inchText } from './fraction-text.ts';
import { magnitude, sizedByMarks, type Reading } from './reading.ts';
import type { ReadingForm, ReadingStyle } from './style.ts';

interface InchStep {
  readonly metres: Rational;
  readonly inverse: Rational;
}

/** The divisions in use, by their text: the same few are asked for again and again. */
const inchSteps = new Map<string, InchStep>();
let lastStep: Rational = makeRational(1, 16);
let lastInchStep: InchStep = makeInchStep(lastStep);

function makeInchStep(step: Rational): InchStep {
  const metres = multiplyRational(step, makeRational(127, 5000));
  return { metres, inverse: invertRational(metres) };
}

/** Divisions by their count in an inch, made once. */
const divisions: Rational[] = [];

export function divisionOf(finest: number): Rational {
  return (divisions[finest] ??= makeRational(1, finest));
}

/** A step in inches as metres, with its inverse. */
function inchStep(step: Rational): InchStep {
  const key = `${step.num}/${step.den}`;
  let found = inchSteps.get(key);
  if (found === undefined) {
    found = makeInchStep(step);
    if (inchSteps.size < 100) inchSteps.set(key, found);
  }
  lastStep = step;
  lastInchStep = found;
  return found;
}

/** Reads in inches, with or without feet, to multiples of `step` inches. */
export function readInches(value: Value, step: Rational, withFeet: boolean, style: ReadingStyle): Reading {
  const { metres, inverse } = step === lastStep ? lastInchStep : inchStep(step);
  const rounded =
    value.kind === 'rational'
      ? roundProduct(value, inverse, style.rounding)
      : roundValue(multiplyValue(value, inverse), style.rounding);
  const divisions = step.num === 1 ? rounded.whole : BigInt(rounded.whole) * BigInt(step.num);
  const text = inchText(magnitude(divisions), Number(step.den), withFeet, style.fractions === 'lowest');
  return sizedByMarks(value, rounded, metres, text);
}

/** `to in`, `to ft in`, `to 1/32`: a reading by inch fractions; undefined when the form asks for something else. */
export function readAskedInches(
  value: Value,
  unit: Unit,
  style: ReadingStyle,
  form: ReadingForm,
  rounding: ReadingStyle['rounding'],
): Reading | undefined {
  const step = form.step ?? divisionOf(style.finest);
  if (!isInchDivision(step) || form.decimals !== undefined) return undefined;
  const wanted = { ...style, rounding };
  const withFeet = style.length !== 'in' && style.length !== 'in-dec';
  if (form.form === 'ft-in') return readInches(value, step, true, wanted);
  if (form.units !== undefined)
    return unit.id === 'in' && form.step === undefined ? readInches(value, step, false, wanted) : undefined;
  if (form.form === 'mixed') return readInches(value, step, withFeet, wanted);
  if (form.form !== undefined) return undefined;
  // Only a step, or only a direction. A tape that is not marked in inches loses to a division of the inch, and keeps its
  // own unit for steps of several whole inches.
  if (style.length === 'ft-in' || style.length === 'in') return readInches(value, step, withFeet, wanted);
  const isFraction = form.step !== undefined && (!isWhole(form.step) || form.step.num === 1);
  return isFraction ? readInches(value, step, withFeet, wanted) : undefined;
}

/** No tape, and no vernier, has finer ones. */
const FINEST_DIVISION = 2 ** 20;

/** Halves, quarters, eighths and so on of an inch, and multiples of them. */
export function isInchDivision({ num, den }: Rational): boolean {
  return (
    typeof num === 'number' && typeof den === 'number' && den <= FINEST_DIVISION && Number.isInteger(Math.log2(den))
  );
}
