import { exactDecimal } from '../number/decimal.ts';
import { termsOf, type Term } from '../number/radical.ts';
import { absRational, isWhole, makeRational, multiplyRational, ONE, type Rational } from '../number/rational.ts';
import { divideValue, isExact, multiplyValue, subtractValue, type Value } from '../number/value.ts';
import { ANGLE, LENGTH, SLOPE, TEMPERATURE } from '../units/dimension.ts';
import { unitValue, type Quantity } from '../units/quantity.ts';
import { KELVIN_AT_ZERO, unitById } from '../units/unit-table.ts';
import type { TwinText } from './fraction-text.ts';
import { isMetric, type ReadingStyle } from './style.ts';
import { plainUnitsText, unitsFor, unitsText, type PoweredUnit } from './unit-choice.ts';

/**
 * The true value, written out: a mixed fraction of the unit, or the sum of its roots and multiples of π. `plain` is an
 * entry of exactly that value ("copy exact"). Undefined for an approximation, which has no such form.
 * @example exactText(reckon("hyp(3'; 3')").outcome.quantity, DEFAULT_STYLE).text // => '(36√2)″'
 */
export function exactText(quantity: Quantity, style: ReadingStyle): TwinText | undefined {
  const { value, dimension } = quantity;
  if (!isExact(value)) return undefined;
  if (dimension === SLOPE && value.kind === 'rational') return slopeText(value);
  if (dimension === TEMPERATURE) return temperatureText(value, style);
  const units = exactUnits(quantity, style);
  const amount = divideValue(
    value,
    units.reduce((one: Value, { unit, power }) => raiseUnit(one, unitValue(unit), power), ONE),
  );
  if (!isExact(amount)) return undefined;
  const sum = sumText(termsOf(amount), style);
  if (units.length === 0) return { text: sum.text, plain: sum.plain };
  const [only] = units as [PoweredUnit];
  const single = units.length === 1 && only.power === 1;
  // A root or a sum in front of a unit keeps its brackets, so that the unit takes all of it.
  const text = sum.isNumber ? sum.text : `(${sum.text})`;
  const plain = sum.isNumber ? sum.plain : `(${sum.plain})`;
  if (single && dimension === LENGTH && only.unit.id === 'in') return { text: `${text}″`, plain: `${plain}"` };
  if (single && dimension === ANGLE) return { text: `${text}°`, plain: `${plain} deg` };
  const words = unitsText(units, style.currency);
  const plainWords = plainUnitsText(units, style.currency);
  const gap = words.startsWith('/') ? '' : ' ';
  return { text: `${text}${gap}${words}`, plain: `${plain}${gap}${plainWords}` };
}

function raiseUnit(one: Value, unit: Value, power: number): Value {
  let value = one;
  for (let n = 0; n < Math.abs(power); n += 1)
    value = power > 0 ? multiplyValue(value, unit) : divideValue(value, unit);
  return value;
}

/** Inches or millimetres for a length; otherwise the units that the value reads in. */
function exactUnits({ dimension }: Quantity, style: ReadingStyle): readonly PoweredUnit[] {
  if (dimension === LENGTH) return [{ unit: unitById(isMetric(style.length) ? 'mm' : 'in'), power: 1 }];
  return dimension === 0 ? [] : unitsFor(dimension, style.length, 0);
}

/** 6 1/2:12, always of twelve. */
function slopeText(value: Rational): TwinText {
  const rise = numberText(multiplyRational(value, makeRational(12)), { mark: '.', longest: LONGEST });
  return { text: `${rise.text}:12`, plain: `${rise.plain}:12` };
}

function temperatureText(value: Value, style: ReadingStyle): TwinText | undefined {
  const scale = isMetric(style.length) ? 'celsius' : 'fahrenheit';
  const degrees = divideValue(subtractValue(value, KELVIN_AT_ZERO[scale]), unitById(scale).factor);
  if (degrees.kind !== 'rational') return undefined;
  const number = numberText(degrees, { mark: style.decimalComma ? ',' : '.', longest: LONGEST });
  const letter = scale === 'celsius' ? 'C' : 'F';
  return { text: `${number.text} °${letter}`, plain: `${number.plain} deg${letter}` };
}

interface SumText extends TwinText {
  /** A plain number without root or π. */
  readonly isNumber: boolean;
}

function sumText(terms: readonly Term[], style: ReadingStyle): SumText {
  const figures = {
    mark: style.decimalComma ? ',' : '.',
    longest: isMetric(style.length) ? LONGEST_METRIC : LONGEST,
  } as const;
  if (terms.length === 0) return { text: '0', plain: '0', isNumber: true };
  // Positive terms first: 2 − √3 rather than −√3 + 2.
  const ordered = [...terms].sort((a, b) => Number(a.coefficient.num < 0) - Number(b.coefficient.num < 0));
  let text = '';
  let plain = '';
  for (const term of ordered) {
    const negative = term.coefficient.num < 0;
    const size = termText({ ...term, coefficient: absRational(term.coefficient) }, figures);
    text += text === '' ? (negative ? `−${size.text}` : size.text) : ` ${negative ? '−' : '+'} ${size.text}`;
    plain += plain === '' ? (negative ? `-${size.plain}` : size.plain) : ` ${negative ? '-' : '+'} ${size.plain}`;
  }
  const [only] = terms as [Term];
  return { text, plain, isNumber: terms.length === 1 && only.radicand === 1n && only.piPower === 0 };
}

/** Signs of the longest decimal that is written as one; a metric size has no other fractions. */
const [LONGEST, LONGEST_METRIC] = [8, 16];
interface Figures {
  readonly mark: '.' | ',';
  readonly longest: number;
}

/** A whole number or decimal as it is, anything else as a mixed fraction. */
function numberText(value: Rational, { mark, longest }: Figures): TwinText {
  const size = absRational(value);
  const sign = value.num < 0;
  const decimal = exactDecimal(size, mark);
  const short = decimal !== undefined && (isWhole(size) || decimal.length <= longest) ? decimal : undefined;
  if (short !== undefined) return { text: sign ? `−${short}` : short, plain: sign ? `-${short}` : short };
  const num = BigInt(size.num);
  const den = BigInt(size.den);
  const front = num / den === 0n ? '' : `${num / den} `;
  const rest = num % den;
  if (rest === 0n) return { text: `${sign ? '−' : ''}${num / den}`, plain: `${sign ? '-' : ''}${num / den}` };
  return { text: `${sign ? '−' : ''}${front}${rest}⁄${den}`, plain: `${sign ? '-' : ''}${front}${rest}/${den}` };
}

/** 36√2, π/4, 3√2π², for a coefficient over zero. The denominator stands behind, so that the whole is one product. */
function termText({ coefficient, radicand, piPower }: Term, figures: Figures): TwinText {
  if (radicand === 1n && piPower === 0) return numberText(coefficient, figures);
  const factors = [
    ...(coefficient.num === 1 || coefficient.num === 1n
      ? []
      : [{ text: `${coefficient.num}`, plain: `${coefficient.num}` }]),
    ...(radicand === 1n ? [] : [{ text: `√${radicand}`, plain: `sqrt(${radicand})` }]),
    ...(piPower > 0
      ? [{ text: piPower === 1 ? 'π' : `π${raised(piPower)}`, plain: piPower === 1 ? 'pi' : `pi^${piPower}` }]
      : []),
  ];
  const below = [
    ...(isWhole(coefficient) ? [] : [{ text: `${coefficient.den}`, plain: `${coefficient.den}` }]),
    ...(piPower < 0
      ? [{ text: piPower === -1 ? 'π' : `π${raised(-piPower)}`, plain: piPower === -1 ? 'pi' : `pi^${-piPower}` }]
      : []),
  ];
  const top = factors.length === 0 ? [{ text: '1', plain: '1' }] : factors;
  return {
    text: `${top.map((factor) => factor.text).join('')}${below.map((factor) => ` ÷ ${factor.text}`).join('')}`,
    plain: `${top.map((factor) => factor.plain).join(' * ')}${below.map((factor) => ` / ${factor.plain}`).join('')}`,
  };
}

function raised(power: number): string {
  return [...`${power}`].map((digit) => '⁰¹²³⁴⁵⁶⁷⁸⁹'[Number(digit)]).join('');
}
