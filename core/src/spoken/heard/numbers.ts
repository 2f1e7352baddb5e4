/** Numbers as they are said: cardinals, digits one by one, decimals, and the fractions of a tape. */
import type { Words } from './phrases.ts';

/** A number that was heard, as an entry writes it, and the words behind it. */
export interface HeardNumber {
  readonly text: string;
  readonly form: 'whole' | 'decimal' | 'fraction' | 'mixed';
  /** The first word that is no part of it. */
  readonly next: number;
}
const SMALL: ReadonlyMap<string, number> = new Map(
  [
    'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen',
    'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen',
  ].map((word, value) => [word, value] as const), // prettier-ignore
);
const TENS: ReadonlyMap<string, number> = new Map(
  ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'].map((word, n) => [word, 20 + 10 * n]),
);
const SCALES: ReadonlyMap<string, bigint> = new Map(
  ['thousand', 'million', 'billion', 'trillion', 'quadrillion', 'quintillion'].map(
    (word, n) => [word, 1000n ** BigInt(n + 1)] as const,
  ),
);
/** What stands for a digit among digits. */
const DIGITS: ReadonlyMap<string, number> = new Map([
  ...[...SMALL].filter(([, value]) => value < 10),
  ['oh', 0],
  ['o', 0],
  ['nought', 0],
  ['naught', 0],
  ['nil', 0],
]);
const REPEATS: ReadonlyMap<string, number> = new Map([
  ['double', 2],
  ['triple', 3],
  ['treble', 3],
]);
/** Denominators by the word for one of them. */
const PARTS: ReadonlyMap<string, number> = new Map([
  ['half', 2],
  ['third', 3],
  ['quarter', 4],
  ['fourth', 4],
  ['fifth', 5],
  ['sixth', 6],
  ['seventh', 7],
  ['eighth', 8],
  ['ninth', 9],
  ['tenth', 10],
  ['twelfth', 12],
  ['sixteenth', 16],
  ['twentieth', 20],
  ['hundredth', 100],
  ['thousandth', 1000],
]);
const SINGULAR: Readonly<Record<string, string>> = { halves: 'half', halfs: 'half' };
/** What numbers are taken for, where a number is wanted: "to foot nine" is two foot nine. */
const SOUNDS_LIKE: Readonly<Record<string, string>> = {
  to: 'two',
  too: 'two',
  for: 'four',
  fore: 'four',
  ate: 'eight',
  won: 'one',
  tree: 'three',
  tin: 'ten',
  have: 'half',
};
const FIGURES = /^(\d|\.\d)/;
const SIGNS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** A denominator that begins at a word: "eighths", "thirty-seconds", "hundred and twenty-eighths". */
export function readPart(words: Words, at: number): { readonly value: number; readonly next: number } | undefined {
  const word = words[at];
  if (word === undefined) return undefined;
  const following = words[at + 1];
  if (word === 'thirty' && /^seconds?$/.test(following ?? '')) return { value: 32, next: at + 2 };
  if (word === 'sixty' && /^fourths?$/.test(following ?? '')) return { value: 64, next: at + 2 };
  if (/^hundred and twenty eighths?$/.test(words.slice(at, at + 4).join(' '))) return { value: 128, next: at + 4 };
  // As recognisers write them: 16ths, 32nds.
  if (/^\d+$/.test(word) && /^(ths?|nds?|rds?)$/.test(following ?? '')) return { value: Number(word), next: at + 2 };
  const value = PARTS.get(SINGULAR[word] ?? word.replace(/s$/, ''));
  return value === undefined ? undefined : { value, next: at + 1 };
}

/** A cardinal as it is put together. `tails`: what its last words say by themselves, the longest first. */
interface Cardinal {
  readonly value: bigint;
  readonly tails: readonly bigint[];
  readonly next: number;
}

/** Digits one by one: "one two five", "nine oh five", "double three". */
function readDigits(words: Words, at: number): { readonly digits: string; readonly next: number } {
  let digits = '';
  let next = at;
  for (;;) {
    const times = REPEATS.get(words[next] ?? '');
    const digit = DIGITS.get(words[next + (times === undefined ? 0 : 1)] ?? '');
    if (digit === undefined) return { digits, next };
    digits += String(digit).repeat(times ?? 1);
    next += times === undefined ? 1 : 2;
  }
}

/** A number below a hundred: "forty-four", "twelve", "seven". */
function belowHundred(words: Words, at: number): Cardinal | undefined {
  if (words[at] === 'nought' || words[at] === 'naught') return { value: 0n, tails: [0n], next: at + 1 };
  const ten = TENS.get(words[at] ?? '');
  if (ten === undefined) {
    const value = SMALL.get(words[at] ?? '');
    return value === undefined ? undefined : { value: BigInt(value), tails: [BigInt(value)], next: at + 1 };
  }
  const unit = SMALL.get(words[at + 1] ?? '') ?? 0;
  if (unit < 1 || unit > 9) return { value: BigInt(ten), tails: [BigInt(ten)], next: at + 1 };
  return { value: BigInt(ten + unit), tails: [BigInt(ten + unit), BigInt(unit)], next: at + 2 };
}

function readCardinal(words: Words, at: number): Cardinal | undefined {
  const byDigits = readDigits(words, at);
  // The last one may count parts: "five three eighths".
  const isOfPart = readPart(words, byDigits.next) !== undefined;
  const digits = isOfPart ? byDigits.digits.slice(0, -1) : byDigits.digits;
  if (digits.length > 1) return { value: BigInt(digits), tails: [], next: byDigits.next - (isOfPart ? 1 : 0) };
  const isOne =
    (words[at] === 'a' || words[at] === 'an') && /^(hundred|thousand|million|dozen)$/.test(words[at + 1] ?? '');
  let next = isOne ? at + 1 : at;
  let [total, group] = [0n, isOne ? 1n : 0n];
  let tails: readonly bigint[] = [];
  let hasGroup = isOne;
  let mayJoin = false;
  for (;;) {
    const word = words[next] ?? '';
    const scale = SCALES.get(word);
    if (hasGroup && word === 'dozen') return { value: total + group * 12n, tails: [], next: next + 1 };
    if (hasGroup && word === 'hundred' && group < 100n) {
      [group, tails, mayJoin, next] = [group * 100n, [], true, next + 1];
      continue;
    }
    if (hasGroup && scale !== undefined) {
      [total, group, hasGroup, tails, mayJoin, next] = [total + group * scale, 0n, false, [], true, next + 1];
      continue;
    }
    const from: number = mayJoin && word === 'and' ? next + 1 : next;
    const isPart = readPart(words, from) !== undefined && (hasGroup || total > 0n);
    const more: Cardinal | undefined = isPart ? undefined : belowHundred(words, from);
    // Twenty-four fifty: the first of both counts hundreds.
    const isPair: boolean = hasGroup && !mayJoin && group >= 10n && group < 100n && (more?.value ?? 0n) >= 10n;
    if (more === undefined || (hasGroup && !mayJoin && !isPair)) break;
    group = isPair ? group * 100n + more.value : group + more.value;
    [tails, hasGroup, mayJoin, next] = [more.tails, true, isPair, more.next];
    if (isPair) break;
  }
  return hasGroup || total > 0n ? { value: total + group, tails, next } : undefined;
}

/** "A quarter", "five eighths", "half": a fraction by itself. */
function readFraction(words: Words, at: number): HeardNumber | undefined {
  const isOne = words[at] === 'a' || words[at] === 'an' || words[at] === 'one';
  const part = readPart(words, isOne ? at + 1 : at);
  if (part !== undefined && (isOne || words[at] === 'half')) {
    return { text: `1/${part.value}`, form: 'fraction', next: part.next };
  }
  const count = readCardinal(words, at);
  const parts = count && readPart(words, count.next);
  if (count === undefined || parts === undefined || count.value >= parts.value) return undefined;
  return { text: `${count.value}/${parts.value}`, form: 'fraction', next: parts.next };
}

/** A fraction written in figures. */
function writtenFraction(words: Words, at: number): HeardNumber | undefined {
  const word = words[at] ?? '';
  const text = SIGNS[word] ?? (/^\d+[/⁄]\d+$/.test(word) ? word.replace('⁄', '/') : undefined);
  return text === undefined ? undefined : { text, form: 'fraction', next: at + 1 };
}

/** A number written in figures, with a fraction behind it or not. */
function readFigures(words: Words, at: number): HeardNumber | undefined {
  const word = words[at] ?? '';
  const sign = SIGNS[word];
  if (sign !== undefined) return { text: sign, form: 'fraction', next: at + 1 };
  if (!FIGURES.test(word)) return undefined;
  const text = word.replace(/,/g, '').replace('⁄', '/');
  if (text.includes('/')) return { text, form: 'fraction', next: at + 1 };
  if (text.includes('.')) return { text, form: 'decimal', next: at + 1 };
  const joined = words[at + 1] === 'and' ? at + 2 : at + 1;
  const fraction = writtenFraction(words, joined);
  if (fraction !== undefined) return { text: `${text} ${fraction.text}`, form: 'mixed', next: fraction.next };
  const said = words[at + 1] === 'and' ? readFraction(words, at + 2) : undefined;
  if (said !== undefined) return { text: `${text} ${said.text}`, form: 'mixed', next: said.next };
  const part = readPart(words, at + 1);
  if (part !== undefined && Number(text) < part.value && !/^seconds?$/.test(words[at + 1] ?? ''))
    return { text: `${text}/${part.value}`, form: 'fraction', next: part.next };
  return { text, form: 'whole', next: at + 1 };
}

/** The words with those that sound like a number in their place, where a number is wanted. */
function asNumbers(words: Words, at: number): Words {
  const alike = SOUNDS_LIKE[words[at] ?? ''];
  return alike === undefined ? words : words.with(at, alike);
}

/**
 * Reads a number that begins at a word.
 * @example readHeardNumber(['seven', 'and', 'a', 'quarter'], 0)?.text // => '7 1/4'
 */
export function readHeardNumber(said: Words, at: number): HeardNumber | undefined {
  const words = asNumbers(said, at);
  const figures = readFigures(words, at);
  if (figures !== undefined) return figures;
  if (words.slice(at, at + 3).join(' ') === 'half a dozen') return { text: '6', form: 'whole', next: at + 3 };
  const fraction = readFraction(words, at);
  if (fraction !== undefined) return fraction;
  const point = words[at] === 'point' ? readDigits(words, at + 1) : undefined;
  if (point !== undefined && point.digits !== '')
    return { text: `0.${point.digits}`, form: 'decimal', next: point.next };
  if (words[at] === 'nought' || words[at] === 'oh') {
    const behind = words[at + 1] === 'point' ? readDigits(words, at + 2) : undefined;
    if (behind !== undefined && behind.digits !== '')
      return { text: `0.${behind.digits}`, form: 'decimal', next: behind.next };
  }
  const whole = readCardinal(words, at);
  if (whole === undefined) return undefined;
  if (words[whole.next] === 'point') {
    const behind = readDigits(words, whole.next + 1);
    if (behind.digits !== '') return { text: `${whole.value}.${behind.digits}`, form: 'decimal', next: behind.next };
  }
  const part = readPart(words, whole.next);
  if (part !== undefined) {
    // "Twenty three eighths" are twenty and three eighths: a tape has no 23/8.
    const top = whole.tails.find((tail) => tail < part.value && tail < whole.value);
    const text = top === undefined ? `${whole.value}/${part.value}` : `${whole.value - top} ${top}/${part.value}`;
    return { text, form: top === undefined ? 'fraction' : 'mixed', next: part.next };
  }
  const behind = words[whole.next] === 'and' ? whole.next + 1 : whole.next;
  const joined = readFraction(words, behind) ?? writtenFraction(words, behind);
  if (joined !== undefined) return { text: `${whole.value} ${joined.text}`, form: 'mixed', next: joined.next };
  return { text: `${whole.value}`, form: 'whole', next: whole.next };
}
