import { invariant } from '../base/invariant.ts';
import { groupThousands, exactDecimal } from '../number/decimal.ts';
import {
  absRational,
  isWhole,
  invertRational,
  makeRational,
  multiplyRational,
  powerRational,
  type Rational,
  rationalToNumber,
} from '../number/rational.ts';
import { divideValue, multiplyValue, roundValue, subtractValue, valueToNumber, type Value } from '../number/value.ts';
import { ANGLE, LENGTH, PLAIN, SLOPE, TEMPERATURE } from '../units/dimension.ts';
import { unitValue, type Quantity } from '../units/quantity.ts';
import { KELVIN_AT_ZERO, unitById, type Unit, type UnitId } from '../units/unit-table.ts';
import { mixedText, type TwinText } from './fraction-text.ts';
import { divisionOf, readAskedInches, readInches } from './read-inches.ts';
import { magnitude, sized, type Reading } from './reading.ts';
import { DEFAULT_STYLE, isMetric, type ReadingForm, type ReadingStyle } from './style.ts';
import { plainUnitsText, unitsFor, unitsText, type PoweredUnit } from './unit-choice.ts';

/**
 * Writes a quantity in a style, or in the form that its line asks for. The one place that rounds for display: by
 * magnitude, decided exactly for every exact value.
 * @example readQuantity(quantityIn(makeRational(593, 4), unitById('in'))).text // => "12′ 4 1⁄4″"
 */
export function readQuantity(quantity: Quantity, style: ReadingStyle = DEFAULT_STYLE, form?: ReadingForm): Reading {
  const { value, dimension } = quantity;
  if (dimension === LENGTH && form === undefined && (style.length === 'ft-in' || style.length === 'in'))
    return readInches(value, divisionOf(style.finest), style.length === 'ft-in', style);
  return readOtherwise(quantity, style, form);
}

function readOtherwise(quantity: Quantity, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const { value, dimension } = quantity;
  if (form?.form === 'slope' || (dimension === SLOPE && form?.form === undefined)) return readSlope(value, style, form);
  if (dimension === TEMPERATURE) return readTemperature(value, style, form);
  if (dimension === ANGLE && form?.units === undefined) return readAngle(value, style, form);
  if (dimension === PLAIN) return readNumber(value, style, form);
  return readInUnits(quantity, style, form);
}

/** Decimals that a step needs: 0.05 has two. Undefined for a step whose decimals never end. */
function decimalsOf(step: Rational): number | undefined {
  const text = exactDecimal(step, '.');
  return text === undefined || text.includes('e') ? undefined : (text.split('.')[1]?.length ?? 0);
}

/** steps · step, in units, as digits. */
function decimalText(steps: number | bigint, stepInUnits: Rational, style: ReadingStyle, leastDecimals = 0): TwinText {
  const shown = absRational(multiplyRational(makeRational(steps), stepInUnits));
  const mark = style.decimalComma ? ',' : '.';
  let digits = exactDecimal(shown, mark);
  invariant(digits !== undefined, 'a decimal step');
  if (leastDecimals > 0 && !digits.includes('e')) {
    const [whole = '', behind = ''] = digits.split(mark);
    digits = `${whole}${mark}${behind.padEnd(leastDecimals, '0')}`;
  }
  return { text: style.thousands ? groupThousands(digits, mark) : digits, plain: digits };
}

function withUnits(digits: TwinText, units: readonly PoweredUnit[], currency: string): TwinText {
  const [only] = units;
  if (units.length === 1 && only?.unit.id === 'money' && only.power === 1)
    return { text: `${currency}${digits.text}`, plain: `${currency}${digits.plain}` };
  const words = unitsText(units, currency, digits.plain === '1' || digits.plain === '-1');
  const plainWords = plainUnitsText(units, currency);
  const gap = words.startsWith('/') ? '' : ' ';
  return { text: `${digits.text}${gap}${words}`, plain: `${digits.plain}${gap}${plainWords}` };
}

/** Value of one of the units together, in SI base units. */
function valueOfUnits(units: readonly PoweredUnit[]): Value {
  let value: Value = makeRational(1);
  for (const { unit, power } of units) {
    const one = unitValue(unit);
    for (let n = 0; n < Math.abs(power); n += 1)
      value = power > 0 ? multiplyValue(value, one) : divideValue(value, one);
  }
  return value;
}

const LENGTH_DECIMALS: Readonly<Partial<Record<UnitId, number>>> = { ft: 4, in: 3, yd: 4 };

function readInUnits(quantity: Quantity, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const { value, dimension } = quantity;
  const rounding = form?.rounding ?? style.rounding;
  const units =
    form?.units?.map(({ unit, power }) => ({ unit: unitById(unit as UnitId), power })) ??
    unitsFor(dimension, form?.form ?? style.length, valueToNumber(value));
  const [first] = units as [PoweredUnit];
  const isLength = dimension === LENGTH && units.length === 1;
  // Feet and inches, or inches, by the tape's own fraction.
  if (isLength && form !== undefined) {
    const inches = readAskedInches(value, first.unit, style, form, rounding);
    if (inches) return inches;
  }
  const unit = valueOfUnits(units);
  const stepInUnits = stepFor(first.unit, isLength, units, unit, style, form);
  const step = multiplyValue(unit, stepInUnits);
  const rounded = roundValue(divideValue(value, step), rounding);
  if (decimalsOf(stepInUnits) === undefined) {
    // A step such as 1/8 of a foot: a fraction of the unit.
    const digits = mixedText(magnitude(rounded.whole), Number(stepInUnits.den), style.fractions === 'lowest');
    return sized(value, rounded, step, withUnits(digits, units, style.currency));
  }
  const isMoney = units.length === 1 && first.unit.id === 'money';
  const digits = decimalText(rounded.whole, stepInUnits, style, isMoney ? 2 : 0);
  return sized(value, rounded, step, withUnits(digits, units, style.currency));
}

/** The finest division in the units of the reading. */
function stepFor(
  unit: Unit,
  isLength: boolean,
  units: readonly PoweredUnit[],
  unitSize: Value,
  style: ReadingStyle,
  form: ReadingForm | undefined,
): Rational {
  if (form?.step !== undefined && unitSize.kind === 'rational')
    return multiplyRational(form.step, invertRational(unitSize));
  if (form?.decimals !== undefined) return powerRational(makeRational(10), -form.decimals);
  if (isLength) {
    const decimals = LENGTH_DECIMALS[unit.id as UnitId];
    if (decimals !== undefined) return powerRational(makeRational(10), -decimals);
    if (unit.family === 'metre' || unit.id === 'dm')
      return multiplyRational(
        style.metricStep,
        makeRational(
          1,
          1000 * rationalToNumber(unit.factor) >= 1 ? Math.round(1000 * rationalToNumber(unit.factor)) : 1,
        ),
      );
  }
  return powerRational(makeRational(10), -decimalsFor(units));
}

const DECIMALS: Readonly<Partial<Record<UnitId, number>>> = {
  money: 2,
  kg: 3,
  g: 1,
  lb: 2,
  oz: 2,
  l: 2,
  ml: 0,
  bf: 2,
  gal: 3,
  h: 2,
  min: 2,
  s: 2,
};

/** Decimals of areas, volumes and rates, about as fine as a rule can tell. */
function decimalsFor(units: readonly PoweredUnit[]): number {
  const [only, second] = units as [PoweredUnit, PoweredUnit | undefined];
  if (second !== undefined) return 4;
  if (only.power === 1) return DECIMALS[only.unit.id as UnitId] ?? 3;
  if (only.unit.id === 'm') return only.power === 2 ? 4 : 5;
  return only.power === 2 ? 3 : 4;
}

function readNumber(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const rounding = form?.rounding ?? style.rounding;
  const mixed =
    form?.form === 'mixed' || form?.step !== undefined
      ? mixedDenominator(style, form)
      : style.numbers.kind === 'mixed' && form?.decimals === undefined
        ? style.numbers.denominator
        : undefined;
  if (mixed !== undefined) {
    const step = makeRational(1, mixed);
    const rounded = roundValue(divideValue(value, step), rounding);
    return sized(value, rounded, step, mixedText(magnitude(rounded.whole), mixed, style.fractions === 'lowest'));
  }
  if (form?.step !== undefined) {
    const rounded = roundValue(divideValue(value, form.step), rounding);
    return sized(value, rounded, form.step, decimalText(rounded.whole, form.step, style));
  }
  const count = form?.decimals ?? (style.numbers.kind === 'decimals' ? style.numbers.count : DEFAULT_DECIMALS);
  const step = form?.decimals === undefined ? numberStep(value, count) : powerRational(makeRational(10), -count);
  const rounded = roundValue(divideValue(value, step), rounding);
  return sized(value, rounded, step, decimalText(rounded.whole, step, style));
}

const DEFAULT_DECIMALS = 6;

/** Denominator of a mixed reading; a step such as 0.05 or 2 is no fraction and reads by decimals. */
function mixedDenominator(style: ReadingStyle, form: ReadingForm): number | undefined {
  if (form.step === undefined) return style.numbers.kind === 'mixed' ? style.numbers.denominator : 64;
  const fraction = form.step.num === 1 && typeof form.step.den === 'number' ? form.step.den : undefined;
  return fraction !== undefined && fraction > 1 ? fraction : undefined;
}

/** Significant digits kept where a plain count of decimals would show nothing or noise. */
const SIGNIFICANT = 15;
/** A whole number of more digits than this is shown with an exponent. */
const READABLE_DIGITS = 21;

/** The decimal step of a plain number: `count` decimals, finer below a thousandth, coarser where digits no longer carry meaning. */
function numberStep(value: Value, count: number): Rational {
  const size = Math.abs(valueToNumber(value));
  if (size === 0) return powerRational(makeRational(10), -count);
  const first = Math.floor(Math.log10(size));
  if (value.kind === 'rational' && isWhole(value) && first < READABLE_DIGITS) return makeRational(1);
  if (first < -3) return powerRational(makeRational(10), first - count + 1);
  if (first >= SIGNIFICANT) return powerRational(makeRational(10), first - SIGNIFICANT + 1);
  return powerRational(makeRational(10), -Math.min(count, SIGNIFICANT - first));
}

const DEGREE = unitById('deg');
const TWELFTH = makeRational(1, 12);

function readAngle(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const rounding = form?.rounding ?? style.rounding;
  const degree = unitValue(DEGREE);
  if (form?.form === 'degrees-minutes') {
    const step = divideValue(degree, makeRational(60));
    const rounded = roundValue(divideValue(value, step), rounding);
    const minutes = BigInt(magnitude(rounded.whole));
    const [whole, rest] = [minutes / 60n, minutes % 60n];
    return sized(
      value,
      rounded,
      step,
      rest === 0n
        ? { text: `${whole}°`, plain: `${whole} deg` }
        : { text: `${whole}° ${rest}′`, plain: `${whole} deg ${rest}'` },
    );
  }
  const stepInDegrees = powerRational(makeRational(10), -(form?.decimals ?? 2));
  const step = multiplyValue(degree, stepInDegrees);
  const rounded = roundValue(divideValue(value, step), rounding);
  const digits = decimalText(rounded.whole, stepInDegrees, style);
  return sized(value, rounded, step, { text: `${digits.text}°`, plain: `${digits.plain} deg` });
}

/** Rise in twelve of run, to hundredths. */
function readSlope(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const stepInTwelfths = powerRational(makeRational(10), -(form?.decimals ?? 2));
  const step = multiplyRational(stepInTwelfths, TWELFTH);
  const rounded = roundValue(divideValue(value, step), form?.rounding ?? style.rounding);
  const digits = decimalText(rounded.whole, stepInTwelfths, style);
  return sized(value, rounded, step, { text: `${digits.text}:12`, plain: `${digits.plain}:12` });
}

function readTemperature(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const asked = form?.units?.[0]?.unit;
  const scale =
    asked === 'celsius' || asked === 'fahrenheit' ? asked : isMetric(style.length) ? 'celsius' : 'fahrenheit';
  const unit = unitById(scale);
  const degrees = divideValue(subtractValue(value, KELVIN_AT_ZERO[scale]), unit.factor);
  const step = powerRational(makeRational(10), -(form?.decimals ?? 1));
  const rounded = roundValue(divideValue(degrees, step), form?.rounding ?? style.rounding);
  const digits = decimalText(rounded.whole, step, style);
  const word = scale === 'celsius' ? 'C' : 'F';
  return sized(value, rounded, step, { text: `${digits.text} °${word}`, plain: `${digits.plain} deg${word}` });
}
