import { FUNCTION_WORDS } from './function-words.ts';
import { figuresInWords, fractionInWords, wholeInWords } from './numerals.ts';
import { unitInWords, WRITTEN_UNITS } from './unit-words.ts';

/** How the text was written, for its signs between figures. */
export interface WrittenStyle {
  readonly decimalComma: boolean;
}

const SIGNS: Readonly<Record<string, string>> = {
  '+': 'plus',
  '−': 'minus',
  '-': 'minus',
  '×': 'times',
  '*': 'times',
  '÷': 'divided by',
  '=': 'is',
  '≈': 'about',
  '%': 'per cent',
  π: 'pi',
  '√': 'the square root of',
  '²': 'squared',
  '³': 'cubed',
  '^': 'to the power of',
  '(': 'open bracket',
  ')': 'close bracket',
  ';': 'then',
  '..': 'to',
  '#': 'line',
  '<': 'is less than',
  '>': 'is more than',
};

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/gu, '\\$&');
const UNIT = `(?:sq |cu )?(?:${WRITTEN_UNITS.map(escaped).join('|')})[²³⁴]?(?![\\p{L}\\p{N}])`;
const NUMBER = String.raw`\d+(?:[.,\u202f]\d+)*`;
/** A number with what stands tight behind it, a unit, a word, or a sign. */
const PIECE = new RegExp(
  `(?<money>\\$)?(?<whole>${NUMBER})(?: (?<num>\\d+)[⁄/](?<den>\\d+))?(?!\\d|[⁄/]\\d)` +
    `|(?<onlyNum>\\d+)[⁄/](?<onlyDen>\\d+)` +
    `|(?<per>/) ?(?<perUnit>${UNIT})` +
    `|(?<unit>${UNIT})` +
    String.raw`|(?<power>⁻[⁰¹²³⁴-⁹]+|[⁰¹⁴-⁹]+)|(?<word>[\p{L}_][\p{L}\p{Nd}_]*)|(?<ratio>:)|(?<sign>\.\.|[^\s])`,
  'gu',
);

interface Said {
  readonly words: string[];
  /** The number that a unit behind it counts; undefined where none was said. */
  amount: { isOne: boolean; isPart: boolean } | undefined;
  /** Feet were said: the inches behind them need no name. */
  afterFeet: boolean;
  /** Degrees were said: primes are minutes and seconds. */
  afterDegrees: boolean;
  isMoney: boolean;
  /** A value is wanted next: a minus there is a sign of it, and takes nothing away. */
  wantsValue: boolean;
}

/**
 * A size, a reading or a read-back as it is said, for a reader's voice and for answers spoken aloud. Words it does not know,
 * names among them, stay as they are.
 * @example inWords('17′ 11 3⁄16″') // => 'seventeen feet, eleven and three sixteenths'
 */
export function inWords(text: string, { decimalComma }: WrittenStyle = { decimalComma: false }): string {
  const said: Said = {
    words: [],
    amount: undefined,
    afterFeet: false,
    afterDegrees: false,
    isMoney: false,
    wantsValue: true,
  };
  const matches = [...text.matchAll(PIECE)];
  matches.forEach((match, at) => {
    sayPiece(said, match.groups ?? {}, decimalComma, matches[at + 1]?.groups);
  });
  endMoney(said);
  return said.words.join(' ').replace(/ ,/gu, ',').trim();
}

type Groups = Readonly<Record<string, string | undefined>>;

function sayPiece(said: Said, found: Groups, decimalComma: boolean, next: Groups | undefined): void {
  const { wantsValue } = said;
  said.wantsValue = false;
  const { whole, num, den, onlyNum, onlyDen, money, perUnit, unit, word, ratio, sign, power } = found;
  if (unit === '′' || unit === '″') sayPrime(said, unit, next);
  else if (unit !== undefined && said.amount !== undefined) sayUnit(said, unit);
  else {
    endMoney(said);
    if (perUnit !== undefined) said.words.push('per', unitInWords(perUnit, true) ?? perUnit);
    else if (whole !== undefined) sayNumber(said, whole, num, den, money !== undefined, decimalComma);
    else if (onlyNum !== undefined && onlyDen !== undefined) {
      said.words.push(fractionInWords(onlyNum, onlyDen));
      said.amount = { isOne: false, isPart: true };
    } else if (power !== undefined) sayOther(said, `to the power of ${powerInWords(power)}`);
    else if (ratio !== undefined) said.words.push(said.amount === undefined ? ',' : 'in');
    else if (word !== undefined || unit !== undefined) sayWord(said, word ?? (unit as string), next?.['sign'] === '(');
    else if (sign === '−' && wantsValue) sayOther(said, 'negative');
    else sayOther(said, SIGNS[sign ?? ''] ?? '');
    said.wantsValue = BEFORE_VALUE.test(word ?? sign ?? '');
  }
}

/** Behind these a value begins. */
const BEFORE_VALUE = /^(?:[+\-−×*÷=≈√(;^]|of)$/u;

/** A name, or a function with what it is called. */
function sayWord(said: Said, word: string, isCalled: boolean): void {
  const called =
    isCalled && Object.hasOwn(FUNCTION_WORDS, word) ? FUNCTION_WORDS[word as keyof typeof FUNCTION_WORDS] : undefined;
  sayOther(said, called === undefined ? (SIGNS[word] ?? word.replaceAll('_', ' ')) : `the ${called}`);
  // π counts units as a number does.
  if (word === 'π') said.amount = { isOne: false, isPart: false };
}

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
/** A power from the fourth on, and one below zero. */
function powerInWords(power: string): string {
  const figures = [...power.replace('⁻', '')].map((sign) => SUPERSCRIPTS.indexOf(sign)).join('');
  return `${power.startsWith('⁻') ? 'negative ' : ''}${wholeInWords(figures)}`;
}

function sayOther(said: Said, words: string): void {
  if (words !== '') said.words.push(words);
  said.amount = undefined;
  said.afterFeet = false;
  said.afterDegrees = false;
}

function sayNumber(
  said: Said,
  written: string,
  num: string | undefined,
  den: string | undefined,
  isMoney: boolean,
  decimalComma: boolean,
): void {
  const [point, group] = decimalComma ? [',', /[.\u202f]/gu] : ['.', /[,\u202f]/gu];
  const [whole = '', decimals] = written.replace(group, '').split(point as string);
  said.isMoney = isMoney;
  if (isMoney && decimals?.length === 2) {
    said.words.push(wholeInWords(whole), whole === '1' ? 'dollar' : 'dollars');
    if (decimals !== '00') said.words.push(wholeInWords(decimals), decimals === '01' ? 'cent' : 'cents');
    said.isMoney = false;
    said.amount = undefined;
    return;
  }
  said.words.push(wholeInWords(whole));
  if (decimals !== undefined) said.words.push('point', figuresInWords(decimals));
  if (num !== undefined && den !== undefined) said.words.push('and', fractionInWords(num, den));
  said.amount = { isOne: whole === '1' && decimals === undefined && num === undefined, isPart: false };
}

/** Dollars are named behind their number, whatever stands behind that. */
function endMoney(said: Said): void {
  if (!said.isMoney) return;
  said.words.push(said.amount?.isOne === true ? 'dollar' : 'dollars');
  said.isMoney = false;
  said.amount = undefined;
}

function sayPrime(said: Said, prime: '′' | '″', next: Groups | undefined): void {
  const isOne = said.amount?.isOne === true;
  if (said.afterDegrees) said.words.push(prime === '′' ? (isOne ? 'minute' : 'minutes') : isOne ? 'second' : 'seconds');
  else if (prime === '′') {
    said.words.push(isOne ? 'foot' : 'feet');
    const goesOn = next?.['whole'] !== undefined || next?.['onlyNum'] !== undefined;
    if (goesOn) said.words.push(',');
    said.afterFeet = goesOn;
  } else if (said.amount?.isPart === true && !said.afterFeet) said.words.push('of an inch');
  else if (!said.afterFeet) said.words.push(isOne ? 'inch' : 'inches');
  if (prime === '″') said.afterFeet = false;
  said.amount = undefined;
}

function sayUnit(said: Said, written: string): void {
  const isPart = said.amount?.isPart === true;
  const words = unitInWords(written, isPart || said.amount?.isOne === true) ?? written;
  said.words.push(isPart ? `of a ${words}` : words);
  said.afterDegrees = written === '°';
  said.amount = undefined;
}
