import { gcdBig, gcdNumber, restOf } from '../base/bigint.ts';

/** One text for the screen, with true primes and fraction slashes, and its ASCII twin that can be typed. */
export interface TwinText {
  readonly text: string;
  readonly plain: string;
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

/** Inches and a fraction of them, without feet: 4 5⁄8″. Nothing at all is 0″. */
function inchesText(inches: number | bigint, rest: number | bigint, finest: number | bigint, lowest: boolean): string {
  if (isNothing(rest)) return `${inches}″`;
  const [num, den] = reduced(rest, finest, lowest);
  return isNothing(inches) ? `${num}⁄${den}″` : `${inches} ${num}⁄${den}″`;
}

/** What stands behind the feet, by division of an inch and count of them: under a foot there are few, and each is made once. */
const LOWEST_TERMS: string[][] = [];
const HELD: string[][] = [];
/** Finer divisions than a tape's are not kept. */
const FINEST_KEPT = 64;

function underFoot(divisions: number, finest: number, lowest: boolean): string {
  if (finest > FINEST_KEPT) return fewInches(divisions, finest, lowest);
  const texts = ((lowest ? LOWEST_TERMS : HELD)[finest] ??= []);
  return (texts[divisions] ??= fewInches(divisions, finest, lowest));
}

/** Feet as they stand before inches, by their count: joining figures to a prime leaves compiled code, and a building has few. */
const FEET_BEFORE: string[] = [];
const FEET_KEPT = 500;

function feetBefore(feet: number): string {
  return feet < FEET_KEPT ? (FEET_BEFORE[feet] ??= `${feet}′ `) : `${feet}′ `;
}

/** Inches and a fraction from a count of divisions. */
function fewInches(divisions: number, finest: number, lowest: boolean): string {
  const rest = restOf(divisions, finest);
  return inchesText((divisions - rest) / finest, rest, finest, lowest);
}

/**
 * A whole, never negative count of divisions of an inch, written in feet, inches and a fraction. Carried: 192 sixteenths
 * are 1′. Parts that are nothing are left out; nothing at all is 0″.
 * @param finest divisions in an inch
 * @example inchText(2378, 16, true, true) // => "12′ 4 5⁄8″"
 */
export function inchText(divisions: number | bigint, finest: number, withFeet: boolean, lowest: boolean): string {
  if (typeof divisions === 'number') {
    if (!withFeet) return fewInches(divisions, finest, lowest);
    const behind = restOf(divisions, 12 * finest);
    const feet = (divisions - behind) / (12 * finest);
    if (feet === 0) return underFoot(behind, finest, lowest);
    return behind === 0 ? `${feet}′` : feetBefore(feet) + underFoot(behind, finest, lowest);
  }
  return bigInchText(divisions, finest, withFeet, lowest);
}

function bigInchText(count: bigint, finest: number, withFeet: boolean, lowest: boolean): string {
  const inFoot = BigInt(12 * finest);
  const behind = withFeet ? count % inFoot : count;
  const small = inchesText(behind / BigInt(finest), behind % BigInt(finest), BigInt(finest), lowest);
  if (!withFeet || count < inFoot) return small;
  return behind === 0n ? `${count / inFoot}′` : `${count / inFoot}′ ${small}`;
}

/** The ASCII twin of a text made of figures, primes, fractions and signs. */
export function asciiText(text: string): string {
  return text.replace(/[′″⁄−]/g, (mark) => ASCII[mark] as string).replace('≈ ', '');
}

const ASCII: Readonly<Record<string, string>> = { '′': "'", '″': '"', '⁄': '/', '−': '-' };

/** A whole, never negative count of `denominator`ths as a mixed fraction: 293 sixteenths are 18 5⁄16. */
export function mixedText(divisions: number | bigint, denominator: number | bigint, lowest: boolean): TwinText {
  const count = BigInt(divisions);
  const whole = count / BigInt(denominator);
  const rest = count % BigInt(denominator);
  if (rest === 0n) return { text: `${whole}`, plain: `${whole}` };
  const [num, den] = reduced(rest, BigInt(denominator), lowest);
  const front = whole === 0n ? '' : `${whole} `;
  return { text: `${front}${num}⁄${den}`, plain: `${front}${num}/${den}` };
}
