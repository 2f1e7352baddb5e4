import { groupThousands, exactDecimal } from '../number/decimal.ts';
import {
  absRational,
  isWhole,
  divideRational,
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
  if (dimension === ANGLE && isInDegrees(form)) return readAngle(value, style, form);
  if (dimension === PLAIN) return readNumber(value, style, form);
  return readInUnits(quantity, style, form);
}

/**
 * steps · step, in units, without its sign: by decimals where those of the step end and no fraction is asked for, else as a
 * mixed fraction.
 */
function stepText(
  steps: number | bigint,
  stepInUnits: Rational,
  style: ReadingStyle,
  asFraction = false,
  leastDecimals = 0,
): TwinText {
  const mark = style.decimalComma ? ',' : '.';
  const shown = absRational(multiplyRational(makeRational(steps), stepInUnits));
  // Whether the decimals end hangs on the step alone: 3 and 3 1/3 stand in one column.
  let digits = asFraction || !endsInDecimals(stepInUnits) ? undefined : exactDecimal(shown, mark);
  if (digits === undefined) {
    const count = BigInt(magnitude(steps)) * BigInt(stepInUnits.num);
    return mixedText(count, stepInUnits.den, style.fractions === 'lowest');
  }
  if (leastDecimals > 0 && !digits.includes('e')) {
    const [whole = '', behind = ''] = digits.split(mark);
    digits = `${whole}${mark}${behind.padEnd(leastDecimals, '0')}`;
  }
  return { text: style.thousands ? groupThousands(digits, mark) : digits, plain: digits };
}

function endsInDecimals(step: Rational): boolean {
  return exactDecimal(step, '.') !== undefined;
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
    unitsFor(dimension, lengthUnit(style, form), valueToNumber(value));
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
  const isMoney = units.length === 1 && first.unit.id === 'money';
  // Sums of money are in groups of three always, as on every bill.
  const written = isMoney ? { ...style, thousands: true } : style;
  const digits = stepText(rounded.whole, stepInUnits, written, form?.form === 'mixed', isMoney ? 2 : 0);
  return sized(value, rounded, step, withUnits(digits, units, style.currency));
}

/** A tape in feet reads in decimals of an inch where the step ends in those and not in decimals of a foot: 0.1 inch. */
function lengthUnit(style: ReadingStyle, form: ReadingForm | undefined): string {
  const step = form?.form === undefined && style.length === 'ft-in' ? form?.step : undefined;
  const inDecimals =
    step !== undefined && endsInDecimals(step) && !endsInDecimals(divideRational(step, makeRational(12)));
  return inDecimals ? 'in-dec' : (form?.form ?? style.length);
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
  if (form?.step !== undefined) {
    if (form.units !== undefined || unitSize.kind !== 'rational') return form.step;
    return divideRational(multiplyRational(form.step, unitById('in').factor), unitSize);
  }
  if (form?.form === 'mixed') return makeRational(1, DEFAULT_DENOMINATOR);
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
  mbf: 4,
  gal: 3,
  h: 2,
  min: 2,
  s: 2,
};

/** Decimals of areas, volumes and rates, about as fine as a rule shows. */
function decimalsFor(units: readonly PoweredUnit[]): number {
  const [only, second] = units as [PoweredUnit, PoweredUnit | undefined];
  if (second !== undefined) return 4;
  if (only.power === 1) return DECIMALS[only.unit.id as UnitId] ?? 3;
  if (only.unit.id === 'm') return only.power === 2 ? 4 : 5;
  return only.power === 2 ? 3 : 4;
}

function readNumber(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const rounding = form?.rounding ?? style.rounding;
  const inStyle = form?.form === undefined && form?.step === undefined && form?.decimals === undefined;
  const asFraction = form?.form === 'mixed' || (inStyle && style.numbers.kind === 'mixed');
  const step = asFraction ? fractionStep(style, form) : decimalStep(value, style, form);
  const rounded = roundValue(divideValue(value, step), rounding);
  return sized(value, rounded, step, stepText(rounded.whole, step, style, asFraction));
}

const DEFAULT_DECIMALS = 6;
const DEFAULT_DENOMINATOR = 64;

function fractionStep(style: ReadingStyle, form: ReadingForm | undefined): Rational {
  return (
    form?.step ?? makeRational(1, style.numbers.kind === 'mixed' ? style.numbers.denominator : DEFAULT_DENOMINATOR)
  );
}

function decimalStep(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Rational {
  if (form?.step !== undefined) return form.step;
  if (form?.decimals !== undefined) return powerRational(makeRational(10), -form.decimals);
  return numberStep(value, style.numbers.kind === 'decimals' ? style.numbers.count : DEFAULT_DECIMALS);
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

/** Without a unit of its own an angle reads in degrees. */
function isInDegrees(form: ReadingForm | undefined): boolean {
  return form?.units === undefined || form.units.every(({ unit, power }) => unit === 'deg' && power === 1);
}

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
  const stepInDegrees = form?.step ?? powerRational(makeRational(10), -(form?.decimals ?? 2));
  const step = multiplyValue(degree, stepInDegrees);
  const rounded = roundValue(divideValue(value, step), rounding);
  const digits = stepText(rounded.whole, stepInDegrees, style);
  return sized(value, rounded, step, { text: `${digits.text}°`, plain: `${digits.plain} deg` });
}

/** Rise in twelve of run, to hundredths. */
function readSlope(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const stepInTwelfths = powerRational(makeRational(10), -(form?.decimals ?? 2));
  const step = multiplyRational(stepInTwelfths, TWELFTH);
  const rounded = roundValue(divideValue(value, step), form?.rounding ?? style.rounding);
  const digits = stepText(rounded.whole, stepInTwelfths, style);
  return sized(value, rounded, step, { text: `${digits.text}:12`, plain: `${digits.plain}:12` });
}

function readTemperature(value: Value, style: ReadingStyle, form: ReadingForm | undefined): Reading {
  const asked = form?.units?.[0]?.unit;
  const scale =
    asked === 'celsius' || asked === 'fahrenheit' ? asked : isMetric(style.length) ? 'celsius' : 'fahrenheit';
  const unit = unitById(scale);
  const degrees = divideValue(subtractValue(value, KELVIN_AT_ZERO[scale]), unit.factor);
  const step = form?.step ?? powerRational(makeRational(10), -(form?.decimals ?? 1));
  const rounded = roundValue(divideValue(degrees, step), form?.rounding ?? style.rounding);
  const digits = stepText(rounded.whole, step, style);
  const word = scale === 'celsius' ? 'C' : 'F';
  return sized(value, rounded, step, { text: `${digits.text} °${word}`, plain: `${digits.plain} deg${word}` });
}
