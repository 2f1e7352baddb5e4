import { gcdBig, gcdNumber } from '../base/bigint.ts';

/** One text for the screen, with true primes and fraction slashes, and its ASCII twin that can be typed. */
export interface TwinText {
  readonly text: string;
  readonly plain: string;
}

/** Whole divisions of an inch split into feet, inches and a fraction. */
interface InchParts {
  readonly feet: number | bigint;
  readonly inches: number | bigint;
  readonly num: number | bigint;
  readonly den: number | bigint;
}

function splitSmall(divisions: number, finest: number, withFeet: boolean): InchParts {
  const rest = divisions % finest;
  const allInches = (divisions - rest) / finest;
  const inches = withFeet ? allInches % 12 : allInches;
  return { feet: withFeet ? (allInches - inches) / 12 : 0, inches, num: rest, den: finest };
}

function splitBig(divisions: bigint, finest: bigint, withFeet: boolean): InchParts {
  const allInches = divisions / finest;
  const inches = withFeet ? allInches % 12n : allInches;
  return { feet: withFeet ? allInches / 12n : 0n, inches, num: divisions % finest, den: finest };
}

function isNothing(count: number | bigint): boolean {
  return count === 0 || count === 0n;
}

/** num/den in lowest terms, or as it is. */
function reduced(
  num: number | bigint,
  den: number | bigint,
  lowest: boolean,
): readonly [number | bigint, number | bigint] {
  if (!lowest) return [num, den];
  if (typeof num === 'number' && typeof den === 'number') {
    const divisor = gcdNumber(num, den);
    return [num / divisor, den / divisor];
  }
  const divisor = gcdBig(BigInt(num), BigInt(den));
  return [BigInt(num) / divisor, BigInt(den) / divisor];
}

/**
 * A whole, never negative count of divisions of an inch, written in feet, inches and a fraction. Carried: 192 sixteenths
 * are 1′. Parts that are nothing are left out; nothing at all is 0″.
 * @param finest divisions in an inch
 * @example inchText(2378, 16, true, true) // => "12′ 4 5⁄8″"
 */
export function inchText(divisions: number | bigint, finest: number, withFeet: boolean, lowest: boolean): string {
  const parts =
    typeof divisions === 'number'
      ? splitSmall(divisions, finest, withFeet)
      : splitBig(divisions, BigInt(finest), withFeet);
  const hasFeet = !isNothing(parts.feet);
  const hasInches = !isNothing(parts.inches);
  if (isNothing(parts.num)) {
    if (!hasFeet) return `${parts.inches}″`;
    return hasInches ? `${parts.feet}′ ${parts.inches}″` : `${parts.feet}′`;
  }
  const [num, den] = reduced(parts.num, parts.den, lowest);
  const small = hasInches ? `${parts.inches} ${num}⁄${den}″` : `${num}⁄${den}″`;
  return hasFeet ? `${parts.feet}′ ${small}` : small;
}

/** The ASCII twin of a text made of figures, primes, fractions and signs. */
export function asciiText(text: string): string {
  return text.replace(/[′″⁄−]/g, (mark) => ASCII[mark] as string).replace('≈ ', '');
}

const ASCII: Readonly<Record<string, string>> = { '′': "'", '″': '"', '⁄': '/', '−': '-' };

/** A whole, never negative count of `denominator`ths as a mixed fraction: 293 sixteenths are 18 5⁄16. */
export function mixedText(divisions: number | bigint, denominator: number, lowest: boolean): TwinText {
  const count = BigInt(divisions);
  const whole = count / BigInt(denominator);
  const rest = count % BigInt(denominator);
  if (rest === 0n) return { text: `${whole}`, plain: `${whole}` };
  const [num, den] = reduced(rest, BigInt(denominator), lowest);
  const front = whole === 0n ? '' : `${whole} `;
  return { text: `${front}${num}⁄${den}`, plain: `${front}${num}/${den}` };
}
