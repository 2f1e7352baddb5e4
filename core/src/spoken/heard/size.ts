import { readHeardNumber, type HeardNumber } from './numbers.ts';
import { FORMS, phraseAt, type Phrases, type Read, type Words } from './phrases.ts';
import { goesOn, impliedBehind, nameOfUnit, readHeardUnit, type HeardUnit } from './units.ts';

/** "To" and "for" behind a unit are not two and four. */
export const NO_NUMBERS_BEHIND: ReadonlySet<string> = new Set(['to', 'too', 'for', 'fore', 'have']);

/** A unit that begins at a word. "In" before another unit asks for that one: "twelve foot in metres". */
function unitAt(words: Words, at: number): HeardUnit | undefined {
  const asks = words[at] === 'in' && (readHeardUnit(words, at + 1) ?? phraseAt(words, at + 1, FORMS)) !== undefined;
  return asks ? undefined : readHeardUnit(words, at);
}

/** Behind a fraction, "of an inch" and "a metre" say its unit. */
function behindPart(words: Words, { next, form }: HeardNumber): number {
  if (form !== 'fraction' && form !== 'mixed') return next;
  const of = words[next] === 'of' ? next + 1 : next;
  // "Half of one metre forty" is a part of that size.
  const article = /^(a|an)$/.test(words[of] ?? '') ? of + 1 : of;
  return unitAt(words, article) === undefined ? next : article;
}
const isArticle = (word: string | undefined) => word === 'a' || word === 'an' || word === 'one';

/** "An inch", "a foot and a half", "an inch and three eighths". */
function readOne(words: Words, at: number): Read | undefined {
  if (!isArticle(words[at])) return undefined;
  const unit = unitAt(words, at + 1);
  if (unit === undefined || words[unit.next] !== 'and') return unit && { text: `1${unit.written}`, next: unit.next };
  const part = readHeardNumber(words, unit.next + 1);
  const isPart = part?.form === 'fraction' && unitAt(words, behindPart(words, part)) === undefined;
  return isPart
    ? { text: `1 ${part.text}${unit.written}`, next: part.next }
    : { text: `1${unit.written}`, next: unit.next };
}

/** What a number is when a sign or a word stands beside it: money, percent, a slope. */
function withSign(words: Words, first: HeardNumber): Read | undefined {
  const word = words[first.next] ?? '';
  if (word === 'percent' || word === '%') return { text: `${first.text}%`, next: first.next + 1 };
  if (word === 'per' && words[first.next + 1] === 'cent') return { text: `${first.text}%`, next: first.next + 2 };
  if (word === 'dollar' || word === 'dollars') return withRate(words, withCents(words, first.text, first.next + 1));
  const ofDollar = phraseAt(words, first.next, OF_A_DOLLAR);
  if (ofDollar !== undefined) {
    const { text, next } = withRate(words, { text: '$', next: ofDollar.next });
    return { text: `${first.text} ${text}`, next };
  }
  if (word !== 'in' || first.form === 'mixed') return undefined;
  const run = readHeardNumber(words, first.next + 1);
  if (run?.form !== 'whole' || unitAt(words, run.next) !== undefined) return undefined;
  return { text: run.text === '12' ? `${first.text} in 12` : `${first.text}:${run.text}`, next: run.next };
}

/** "Four dollars twenty", "one dollar five cents". */
function withCents(words: Words, dollars: string, at: number): Read {
  const cents = readHeardNumber(words, words[at] === 'and' ? at + 1 : at);
  const isNamed = cents !== undefined && /^cents?$/.test(words[cents.next] ?? '');
  const isCents = /^\d+$/.test(dollars) && cents?.form === 'whole' && /^\d{1,2}$/.test(cents.text);
  const isOther = cents !== undefined && !isNamed && (words[at] === 'and' || unitAt(words, cents.next) !== undefined);
  if (!isCents || isOther) return { text: `$${dollars}`, next: at };
  return { text: `$${dollars}.${cents.text.padStart(2, '0')}`, next: isNamed ? cents.next + 1 : cents.next };
}

const OF_A_DOLLAR: Phrases<'$'> = [['of a dollar', '$']];
/** Money for one of something: "thirty-eight dollars an hour", "four dollars per foot". */
function withRate(words: Words, money: Read): Read {
  if (!/^(a|an|per)$/.test(words[money.next] ?? '')) return money;
  const unit = unitAt(words, money.next + 1);
  if (unit === undefined) return money;
  return { text: `${money.text}/${nameOfUnit(unit.written)}`, next: unit.next };
}

/**
 * A number with its units.
 * @example readSize(['nine', 'foot', 'seven', 'and', 'a', 'quarter'], 0)?.text // => `9' 7 1/4"`
 */
export function readSize(words: Words, at: number): Read | undefined {
  if (words[at] === '$') {
    const money = readHeardNumber(words, at + 1);
    return money && { text: `$${money.text}`, next: money.next };
  }
  const number = readHeardNumber(words, at);
  const first = number && { number, read: withSign(words, number) };
  if (first?.read !== undefined) return first.read;
  const unit = number && unitAt(words, behindPart(words, number));
  const start = number && unit ? { text: `${number.text}${unit.written}`, next: unit.next } : readOne(words, at);
  if (start === undefined) return number;
  return furtherParts(words, start, unit?.written ?? `${/[^\d /]+.*$/.exec(start.text)?.[0] ?? ''}`);
}

const INCHES = 12;

/** The smaller parts of one size: the inches behind feet, the centimetres behind metres. */
function furtherParts(words: Words, { text, next }: Read, before: string): Read {
  const isJoined = words[next] === 'and';
  const at = isJoined ? next + 1 : next;
  const number = NO_NUMBERS_BEHIND.has(words[at] ?? '') ? undefined : readHeardNumber(words, at);
  if (number === undefined) return { text, next };
  const unit = unitAt(words, behindPart(words, number));
  // "Two foot and thirty inches" are two sizes: the inches of one are fewer than a foot.
  const isApart = isJoined && Number.parseFloat(number.text) >= INCHES;
  if (unit !== undefined && goesOn(before, unit.written) && !isApart)
    return furtherParts(words, { text: `${text} ${number.text}${unit.written}`, next: unit.next }, unit.written);
  // Seven eighths "of one foot" are a part of another size.
  if (unit !== undefined && (isApart || words[number.next] !== 'of')) return { text, next };
  // "Nineteen inches and a half", "nine foot and three eighths".
  const isPart = isJoined && number.form === 'fraction';
  if (isPart && before === '"') return { text: `${text.slice(0, -1)} ${number.text}"`, next: number.next };
  const implied = isJoined && !(isPart && before === "'") ? undefined : impliedBehind(before, number.text);
  return implied === undefined ? { text, next } : { text: `${text} ${number.text}${implied}`, next: number.next };
}
