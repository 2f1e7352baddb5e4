import { readHeardNumber, readPart } from './numbers.ts';
import {
  ASKING,
  BETWEEN,
  CALLED,
  CLOSED,
  DECIMALS,
  DONE_TO,
  ENDING,
  FORMS,
  LAST,
  OF_IT,
  OPENED,
  PERCENT,
  phraseAt,
  TO_THE_POWER,
  TOWARDS,
  type Read,
  type Words,
} from './phrases.ts';
import { readSize } from './size.ts';
import { nameOfUnit, readHeardUnit } from './units.ts';
import { wordsOf, type HeardWord } from './words.ts';

/** A phrase as an entry, with the words of it that say nothing here. */
export interface HeardEntry {
  /** Empty where nothing was understood. */
  readonly entry: string;
  readonly unknown: readonly HeardWord[];
}

/** Reads the words of one phrase. Every rule begins at a place, and answers undefined where it does not stand there. */
class PhraseReader {
  readonly #words: Words;
  readonly #names: ReadonlyMap<string, string>;

  constructor(words: Words, names: readonly string[]) {
    this.#words = words;
    this.#names = new Map(names.map((name) => [name.toLowerCase(), name]));
  }

  entry(at: number): Read | undefined {
    const kept = this.#stored(at);
    if (kept !== undefined) return kept;
    const from = this.#words[at] === 'and' || this.#words[at] === 'then' ? at + 1 : at;
    const whole =
      this.#lastReadAs(at) ?? this.#order(from) ?? this.#goingOn(from) ?? this.#sum(at) ?? this.#alsoPlus(at);
    const directive = whole && this.#directive(whole.next);
    return directive === undefined ? whole : { text: `${whole?.text} ${directive.text}`, next: directive.next };
  }

  /** "Store that as rail", "call it top rail", "recall post". */
  #stored(at: number): Read | undefined {
    const words = this.#words;
    if (words[at] === 'recall' || words[at] === 'use') return this.#reference(at + 1);
    if (!/^(store|save|keep|call)$/.test(words[at] ?? '')) return undefined;
    const what = this.#sum(at + 1);
    const isNamed = words[at] === 'call' || words[what?.next ?? -1] === 'as';
    if (what === undefined || !isNamed) return undefined;
    const name = words
      .slice(words[what.next] === 'as' ? what.next + 1 : what.next)
      .filter((word) => /^\p{L}/u.test(word));
    return name.length === 0 ? undefined : { text: `${name.join('_')} = ${what.text}`, next: words.length };
  }

  /** "Take two off that", "add nine inches to rail", "divide that by seven", "cube that". */
  #order(at: number): Read | undefined {
    const word = this.#words[at] ?? '';
    const done = DONE_TO.get(word);
    const of = this.#reference(at + 1);
    if (done !== undefined && phraseAt(this.#words, at, CALLED) === undefined) {
      if (of !== undefined) return { text: done(of.text), next: of.next };
      // "Double three" are digits.
      const size = readHeardNumber(this.#words, at) === undefined ? this.#value(at + 1) : undefined;
      return size && { text: done(/^[\w#]+$/.test(size.text) ? size.text : `(${size.text})`), next: size.next };
    }
    if (word === 'divide' || word === 'multiply' || word === 'times') {
      const by = of && this.#words[of.next] === 'by' ? this.#value(of.next + 1) : undefined;
      return of && by && { text: `${of.text} ${word === 'divide' ? '÷' : '×'} ${by.text}`, next: by.next };
    }
    if (!/^(add|take|subtract|knock|deduct)$/.test(word)) return undefined;
    const amount = this.#sum(at + 1);
    const towards = amount && phraseAt(this.#words, amount.next, TOWARDS);
    const target = towards && (this.#reference(towards.next) ?? this.#valueAsTarget(towards.next));
    if (target === undefined || amount === undefined) return undefined;
    const sign = word === 'add' ? '+' : '−';
    const joined = target.isMark ? { '+': '+=', '−': '-=' }[sign] : sign;
    return { text: `${target.text} ${joined} ${amount.text}`, next: target.next };
  }

  /** "Take the rail from twelve foot". */
  #valueAsTarget(at: number): (Read & { readonly isMark: boolean }) | undefined {
    const value = this.#value(at);
    return value && { ...value, isMark: false };
  }

  /** "Plus twelve", "and add twelve": from the last result on. */
  #goingOn(at: number): Read | undefined {
    const sign = phraseAt(this.#words, at, BETWEEN);
    if (sign === undefined || sign.kind === 'of') return undefined;
    const rest = this.#sum(sign.next);
    return rest && { text: `last ${sign.kind} ${rest.text}`, next: rest.next };
  }

  /** "And a half inch": added to the last result, as "and" adds between two sizes. */
  #alsoPlus(at: number): Read | undefined {
    const rest = this.#words[at] === 'and' ? this.#sum(at + 1) : undefined;
    return rest && { text: `last + ${rest.text}`, next: rest.next };
  }

  #sum(at: number): Read | undefined {
    const first = this.#value(at);
    return first && this.#further(first);
  }
  #further(sum: Read): Read {
    const isAnd = this.#words[sum.next] === 'and';
    const sign = phraseAt(this.#words, isAnd ? sum.next + 1 : sum.next, BETWEEN);
    const at = sign?.next ?? (isAnd ? sum.next + 1 : undefined);
    const following = at === undefined ? undefined : this.#value(at);
    if (following === undefined) return sum;
    // "Thirty-two plus twelve per cent of it": of what stands before.
    const isOfIt = following.text.endsWith('%') && phraseAt(this.#words, following.next, OF_IT) !== undefined;
    const added = isOfIt ? { text: `${following.text} of it`, next: following.next + 2 } : following;
    return this.#further({ text: `${sum.text} ${sign?.kind ?? '+'} ${added.text}`, next: added.next });
  }

  #value(at: number): Read | undefined {
    const isMinus = this.#words[at] === 'minus' || this.#words[at] === 'negative';
    const from = isMinus ? at + 1 : at;
    const start = this.#words[from] === 'the' ? from + 1 : from;
    const pi = this.#words[start] === 'pi' ? this.#counted({ text: 'π', next: start + 1 }) : undefined;
    const plain =
      pi ?? this.#called(start) ?? this.#bracket(start) ?? readSize(this.#words, start) ?? this.#reference(from);
    return plain && this.#raised({ text: `${isMinus ? '−' : ''}${plain.text}`, next: plain.next });
  }
  #raised({ text, next }: Read): Read {
    const sign = { squared: '²', cubed: '³' }[this.#words[next] ?? ''];
    const base = /^[\w#π]+$/.test(text) ? text : `(${text})`;
    if (sign !== undefined) return this.#raised({ text: `${base}${sign}`, next: next + 1 });
    const at = phraseAt(this.#words, next, TO_THE_POWER)?.next;
    const power = at === undefined ? undefined : this.#exponent(at);
    return power === undefined ? { text, next } : this.#raised({ text: `${base}^(${power.text})`, next: power.next });
  }

  #exponent(at: number): Read | undefined {
    const isMinus = this.#words[at] === 'minus' || this.#words[at] === 'negative';
    const number = this.#bracket(at) ?? readHeardNumber(this.#words, isMinus ? at + 1 : at);
    return number && { text: `${isMinus ? '−' : ''}${number.text}`, next: number.next };
  }

  #bracket(at: number): Read | undefined {
    const from = phraseAt(this.#words, at, OPENED)?.next;
    const inside = from === undefined ? undefined : this.#sum(from);
    return inside && this.#counted({ text: `(${inside.text})`, next: this.#closed(inside.next) });
  }
  /** A unit, or a per cent, behind what is in brackets, or behind π. */
  #counted({ text, next }: Read): Read {
    const percent = phraseAt(this.#words, next, PERCENT);
    if (percent !== undefined) return { text: `${text}%`, next: percent.next };
    const unit = readHeardUnit(this.#words, next);
    const isWord = this.#words[next] === 'in' && readHeardUnit(this.#words, next + 1) !== undefined;
    if (unit === undefined || isWord) return { text, next };
    return { text: `${text} ${nameOfUnit(unit.written)}`, next: unit.next };
  }

  #called(at: number): Read | undefined {
    const called = phraseAt(this.#words, at, CALLED);
    if (called === undefined) return undefined;
    const { kind } = called;
    const bracketed = this.#arguments(called.next);
    if (bracketed !== undefined) return { text: `${kind}(${bracketed.text})`, next: bracketed.next };
    const run = this.#run(called.next);
    if (run !== undefined) return { text: `${kind}(${run.text})`, next: run.next };
    const takesSeveral = kind === 'hyp' || kind === 'sum' || kind === 'mean' || kind === 'min' || kind === 'max';
    const args: Read[] = [];
    for (let at = called.next; ;) {
      const arg = this.#value(at);
      if (arg === undefined) break;
      args.push(arg);
      const word = this.#words[arg.next];
      if (!takesSeveral || (word !== 'and' && word !== 'by')) break;
      at = arg.next + 1;
    }
    const last = args.at(-1);
    return last && { text: `${kind}(${args.map(({ text }) => text).join('; ')})`, next: last.next };
  }

  /** "Open bracket nine feet then two feet close bracket": as our own voice says what a function is given. */
  #arguments(at: number): Read | undefined {
    const from = phraseAt(this.#words, at, OPENED)?.next;
    if (from === undefined) return undefined;
    const args: string[] = [];
    for (let next = from; ;) {
      const arg = this.#lineRun(next) ?? this.#sum(next);
      if (arg === undefined) return undefined;
      args.push(arg.text);
      if (this.#words[arg.next] !== 'then') return { text: args.join('; '), next: this.#closed(arg.next) };
      next = arg.next + 1;
    }
  }
  #closed(at: number): number {
    return phraseAt(this.#words, at, CLOSED)?.next ?? at;
  }
  /** "Line three to line nine". */
  #lineRun(at: number): Read | undefined {
    const from = this.#words[at] === 'line' ? readHeardNumber(this.#words, at + 1) : undefined;
    if (from === undefined || this.#words[from.next] !== 'to' || this.#words[from.next + 1] !== 'line')
      return undefined;
    const to = readHeardNumber(this.#words, from.next + 2);
    return to && { text: `#${from.text}..#${to.text}`, next: to.next };
  }

  /** "Lines three to nine". */
  #run(at: number): Read | undefined {
    const start = this.#words[at] === 'the' ? at + 1 : at;
    const from = this.#words[start] === 'lines' ? readHeardNumber(this.#words, start + 1) : undefined;
    if (from === undefined || !/^(to|through|till|until)$/.test(this.#words[from.next] ?? '')) return undefined;
    const to = readHeardNumber(this.#words, from.next + 1);
    return to && { text: `#${from.text}..#${to.text}`, next: to.next };
  }

  /** "That", "line twelve", or a mark by its name. */
  #reference(at: number): (Read & { readonly isMark: boolean }) | undefined {
    const words = this.#words;
    const last = phraseAt(words, at, LAST);
    if (last !== undefined) return { text: last.kind, next: last.next, isMark: false };
    const start = words[at] === 'the' || words[at] === 'my' ? at + 1 : at;
    if (words[start] === 'line' || words[start] === '#') {
      const number = readHeardNumber(words, start + 1);
      if (number?.form === 'whole') return { text: `#${number.text}`, next: number.next, isMark: false };
    }
    for (let count = Math.min(LONGEST_NAME, words.length - start); count > 0; count -= 1) {
      const name = this.#names.get(words.slice(start, start + count).join('_'));
      if (name !== undefined) return { text: name, next: start + count, isMark: true };
    }
    return undefined;
  }

  /** "In feet and inches", "to the nearest thirty-second", "round up to the eighth". */
  #directive(at: number): Read | undefined {
    const words = this.#words;
    let next = at;
    while (/^(rounded|round|it|that|read|and)$/.test(words[next] ?? '')) next += 1;
    const way = words[next] === 'up' || words[next] === 'down' ? `${words[next]} ` : '';
    if (way !== '') next += 1;
    const to = words[next] ?? '';
    if (!/^(to|in|into|as)$/.test(to)) return undefined;
    next += 1;
    while (/^(the|a|an|nearest|closest)$/.test(words[next] ?? '')) next += 1;
    const form = phraseAt(words, next, FORMS);
    if (form !== undefined) {
      const places =
        words[form.next] === 'to' && /^f?[tm]$/.test(form.kind) ? this.#decimals(form.next + 1) : undefined;
      return { text: `${way}to ${places ? `${places.text} ` : ''}${form.kind}`, next: places?.next ?? form.next };
    }
    const decimals = to === 'to' ? this.#decimals(next) : undefined;
    if (decimals !== undefined) return { text: `${way}to ${decimals.text}`, next: decimals.next };
    const part = to === 'to' ? readPart(words, next) : undefined;
    if (part !== undefined) return { text: `${way}to 1/${part.value}"`, next: behindOfAnInch(words, part.next) };
    const step = to === 'to' ? readSize(words, next) : undefined;
    if (step !== undefined && !/^\d+$/.test(step.text)) return { text: `${way}to ${step.text}`, next: step.next };
    const unit = readHeardUnit(words, next);
    if (unit === undefined) return undefined;
    const name = nameOfUnit(unit.written);
    const finest = words[unit.next] === 'to' ? this.#decimals(unit.next + 1) : undefined;
    if (finest !== undefined) return { text: `${way}to ${finest.text} ${name}`, next: finest.next };
    return { text: `${way}to ${name}`, next: unit.next };
  }

  /** "Two decimals", "three decimal places": the step that leaves so many. */
  #decimals(at: number): Read | undefined {
    const count = readHeardNumber(this.#words, at);
    const behind = count?.form === 'whole' ? phraseAt(this.#words, count.next, DECIMALS) : undefined;
    const places = Number(count?.text);
    if (behind === undefined || places < 1 || places > MOST_DECIMALS) return undefined;
    return { text: `0.${'1'.padStart(places, '0')}`, next: behind.next };
  }

  /** "To the nearest thirty-second", "round that up to the eighth", "in metres": of the last result. */
  #lastReadAs(at: number): Read | undefined {
    const isAsked = /^(round|rounded|up|down|in|into)$/.test(this.#words[at] ?? '');
    const isNearest = this.#words[at] === 'to' && /^(the|nearest|closest)$/.test(this.#words[at + 1] ?? '');
    const isOfDecimals = this.#words[at] === 'to' && this.#decimals(at + 1) !== undefined;
    if (!isAsked && !isNearest && !isOfDecimals) return undefined;
    return this.#directive(at) === undefined ? undefined : { text: 'last', next: at };
  }
}
/** Words of the longest name of a mark that is looked for. */
const LONGEST_NAME = 4;
/** Decimals that a reading is rounded to at most. */
const MOST_DECIMALS = 9;

function behindOfAnInch(words: Words, at: number): number {
  if (words[at] === 'inch') return at + 1;
  return words[at] === 'of' && words[at + 2] === 'inch' ? at + 3 : at;
}

/**
 * A phrase as an entry writes it. Words that say nothing here, and a second value with nothing between, are named and left out:
 * what is meant by them is not for us to say.
 * @param names of marks that there are
 * @example heardEntry('two foot nine and a half plus a foot', []).entry // => `2' 9 1/2" + 1'`
 */
export function heardEntry(phrase: string, names: readonly string[]): HeardEntry {
  const heard = wordsOf(phrase);
  const words = heard.map(({ text }) => text);
  const reader = new PhraseReader(words, names);
  const unknown: HeardWord[] = [];
  let entry = '';
  for (let at = 0; at < words.length;) {
    const aside = phraseAt(words, at, entry === '' ? ASKING : ENDING);
    const read = aside === undefined && entry === '' ? reader.entry(at) : undefined;
    if (read !== undefined) entry = read.text;
    else if (aside === undefined) unknown.push(heard[at] as HeardWord);
    at = aside?.next ?? read?.next ?? at + 1;
  }
  return { entry, unknown };
}
