import { invertRational, makeRational, multiplyRational, type Rational } from '../number/rational.ts';
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
  const step = form.step === undefined ? makeRational(1, style.finest) : multiplyRational(form.step, INCHES_IN_METRE);
  if (!isInchDivision(step) || form.decimals !== undefined) return undefined;
  const wanted = { ...style, rounding };
  if (form.form === 'ft-in') return readInches(value, step, true, wanted);
  if (form.units !== undefined) return unit.id === 'in' ? readInches(value, step, false, wanted) : undefined;
  if (form.form !== undefined) return undefined;
  // Only a step, or only a direction: a style of inches stays one, and a metric one gives way to a division of an inch.
  if (style.length === 'ft-in' || style.length === 'in')
    return readInches(value, step, style.length === 'ft-in', wanted);
  return form.step === undefined || isDecimalStep(form.step) ? undefined : readInches(value, step, true, wanted);
}

const INCHES_IN_METRE = makeRational(5000, 127);

/** Halves, quarters, eighths and so on of an inch, and multiples of them. */
function isInchDivision(step: Rational): boolean {
  return typeof step.den === 'number' && Number.isInteger(Math.log2(step.den));
}

/** Whether a step in metres is a whole number of hundredths of a millimetre, as metric steps are. */
function isDecimalStep(step: Rational): boolean {
  return multiplyRational(step, makeRational(100000)).den === 1;
}
