import { absBig, divideOut } from '../base/bigint.ts';
import type { Rational } from './rational.ts';

/**
 * A rational whose decimals end (den only twos and fives), written out in full: "-0.375". Past 40 characters with an
 * exponent ("2.5e300"), which an entry reads as well. Undefined when the decimals never end.
 */
export function exactDecimal(value: Rational, decimalMark: '.' | ','): string | undefined {
  const { times: twos, rest: odd } = divideOut(BigInt(value.den), 2n);
  const { times: fives, rest } = divideOut(odd, 5n);
  if (rest !== 1n) return undefined;
  const decimals = Math.max(twos, fives);
  const digits = (absBig(BigInt(value.num)) * 10n ** BigInt(decimals)) / BigInt(value.den);
  return `${value.num < 0 ? '-' : ''}${placePoint(digits, decimals, decimalMark)}`;
}

/** Longest plain digits before an exponent is easier to read and to type. */
const PLAIN_DIGITS = 40;

/** `digits` ÷ 10^decimals as text, without trailing zeros behind the mark. */
export function placePoint(digits: bigint, decimals: number, decimalMark: '.' | ','): string {
  const text = digits.toString().padStart(decimals + 1, '0');
  const whole = text.slice(0, text.length - decimals);
  const behind = withoutLastZeros(text.slice(text.length - decimals));
  const plain = behind === '' ? whole : `${whole}${decimalMark}${behind}`;
  const isReadable = plain.length <= PLAIN_DIGITS && !(whole === '0' && /^0{8}/.test(behind));
  if (isReadable) return plain;
  const significant = withoutLastZeros(digits.toString());
  const exponent = digits.toString().length - 1 - decimals;
  const mantissa = significant.length === 1 ? significant : `${significant[0]}${decimalMark}${significant.slice(1)}`;
  const scientific = `${mantissa}e${exponent}`;
  return scientific.length < plain.length ? scientific : plain;
}

/** A pattern would try every run of zeros in the text as the last one. */
function withoutLastZeros(digits: string): string {
  let end = digits.length;
  while (digits.charCodeAt(end - 1) === 0x30) end -= 1;
  return digits.slice(0, end);
}

/** Groups the digits before the mark in threes: by commas, or, beside a decimal comma, by narrow spaces. A point never groups. */
export function groupThousands(text: string, decimalMark: '.' | ','): string {
  if (text.includes('e')) return text;
  const [whole = '', behind] = text.split(decimalMark);
  // Beside a decimal comma a narrow space stands between the groups, which an entry reads as well.
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, decimalMark === ',' ? '\u202f' : ',');
  return behind === undefined ? grouped : `${grouped}${decimalMark}${behind}`;
}
