/** Numbers as they are said on a site: "two hundred and forty-four", "three sixteenths", "one point oh five". */

const SMALL = [
  'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen',
  'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen',
]; // prettier-ignore
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const LARGE = ['', ' thousand', ' million', ' billion', ' trillion'];
/** Digits of the largest number that is said in words; a longer one is said figure by figure. */
const LONGEST = 15;

function belowThousand(n: number): string {
  const [hundreds, rest] = [Math.floor(n / 100), n % 100];
  const tail =
    rest < 20 ? (SMALL[rest] ?? '') : `${TENS[Math.floor(rest / 10)]}${rest % 10 ? `-${SMALL[rest % 10]}` : ''}`;
  if (hundreds === 0) return tail;
  return `${SMALL[hundreds]} hundred${rest === 0 ? '' : ` and ${tail}`}`;
}

/**
 * A whole number in words.
 * @param digits without signs or separators
 * @example wholeInWords('2400') // => 'two thousand four hundred'
 */
export function wholeInWords(digits: string): string {
  const figures = digits.replace(/^0+(?=\d)/u, '');
  if (figures.length > LONGEST) return figuresInWords(figures);
  if (figures === '0') return 'zero';
  const groups: string[] = [];
  for (let end = figures.length, power = 0; end > 0; end -= 3, power += 1) {
    const group = Number(figures.slice(Math.max(0, end - 3), end));
    if (group === 0) continue;
    // "One thousand and five": the hundreds would have brought the "and".
    const joins = power === 0 && group < 100 && figures.length > 3 ? 'and ' : '';
    groups.unshift(`${joins}${belowThousand(group)}${LARGE[power] ?? ''}`);
  }
  return groups.join(' ');
}

/** Figure by figure, as behind a decimal point. */
export function figuresInWords(digits: string): string {
  return [...digits].map((digit) => SMALL[Number(digit)] ?? digit).join(' ');
}

const NAMED: Readonly<Record<string, readonly [one: string, many: string]>> = {
  2: ['half', 'halves'],
  3: ['third', 'thirds'],
  4: ['quarter', 'quarters'],
  5: ['fifth', 'fifths'],
  6: ['sixth', 'sixths'],
  7: ['seventh', 'sevenths'],
  8: ['eighth', 'eighths'],
  9: ['ninth', 'ninths'],
  10: ['tenth', 'tenths'],
  12: ['twelfth', 'twelfths'],
  16: ['sixteenth', 'sixteenths'],
  32: ['thirty-second', 'thirty-seconds'],
  64: ['sixty-fourth', 'sixty-fourths'],
  100: ['hundredth', 'hundredths'],
  128: ['hundred-and-twenty-eighth', 'hundred-and-twenty-eighths'],
};

/**
 * A fraction in words: one of a tape by its name, any other one "over" the other.
 * @example fractionInWords('3', '16') // => 'three sixteenths'
 */
export function fractionInWords(num: string, den: string): string {
  const name = NAMED[den];
  if (name === undefined) return `${wholeInWords(num)} over ${wholeInWords(den)}`;
  return `${wholeInWords(num)} ${name[num === '1' ? 0 : 1]}`;
}
