import { rolesOf, type Span } from '@sprell/core';

/**
 * What keys, drawn inch and touched lines do to the text of an entry. Plain functions of the text and the place of the
 * cursor, so that every editor and every test does the same.
 */
export interface EntryText {
  readonly text: string;
  /** The cursor, or what is selected: everything between the two places is replaced. */
  readonly from: number;
  readonly to: number;
}

export type Operator = '+' | '−' | '×' | '÷' | '^';

const OPERATORS: Readonly<Record<string, Operator>> = {
  '+': '+',
  '-': '−',
  '−': '−',
  '–': '−',
  '*': '×',
  '×': '×',
  '/': '÷',
  '÷': '÷',
  '^': '^',
};
/** The operator that a key writes, whichever sign of it is typed. */
export const operatorOf = (typed: string): Operator | undefined => OPERATORS[typed];

const OPERATOR_BEHIND = / ?[+\-−×÷*/^] ?$/u;
/** A fraction behind a whole number, a prime or an operator, with the inch mark that the drawn inch wrote. */
const FRACTION_BEHIND = / ?\d+[/⁄]\d+[″"]?$/u;
/** What the first operator in an empty entry wrote before itself. */
const LAST_BEHIND = /^last ?([+−×÷^]) ?$/u;

const at = (text: string, cursor: number): EntryText => ({ text, from: cursor, to: cursor });

function around({ text, from, to }: EntryText): { readonly before: string; readonly behind: string } {
  return { before: text.slice(0, from), behind: text.slice(to) };
}

/** Text of more than one line with something in it. */
export const isSeveralLines = (text: string): boolean =>
  text.split('\n').filter((line) => line.trim() !== '').length > 1;

/** Puts a piece in, as it is. */
export function insert(entry: EntryText, piece: string): EntryText {
  const { before, behind } = around(entry);
  return at(`${before}${piece}${behind}`, before.length + piece.length);
}

/** Nothing stands beside what is typed next: the entry is empty, or all of it is selected. */
export function isReplaced(entry: EntryText): boolean {
  const { before, behind } = around(entry);
  return before.trim() === '' && behind.trim() === '';
}

/**
 * Puts an operator in, with its spaces. In an empty entry it goes on from the last result, if there is one; behind
 * another operator it takes that one's place, but a minus behind × or ÷ is a sign.
 */
export function operator(entry: EntryText, sign: Operator, hasLast: boolean): EntryText {
  const { before, behind } = around(entry);
  const written = sign === '^' ? '^' : ` ${sign} `;
  if (isReplaced(entry)) return insert(at('', 0), hasLast ? `last${written}` : sign);
  if (/\($|[;(] $/u.test(before)) return insert(entry, sign);
  const isSign = sign === '−' && /[×÷*/^] ?$/u.test(before);
  const kept = isSign ? before : before.replace(OPERATOR_BEHIND, '').trimEnd();
  return at(`${kept}${isSign ? sign : written}${behind.trimStart()}`, kept.length + (isSign ? 1 : written.length));
}

/** Puts a fraction of an inch in: joined to whole inches, behind feet, or alone. It replaces a fraction that is already there. */
export function fraction(entry: EntryText, num: number, den: number): EntryText {
  const { before, behind } = around(entry);
  const kept = before.replace(FRACTION_BEHIND, '');
  const gap = /[\d′'″"]$/u.test(kept) ? ' ' : '';
  // Whole inches that were marked already carry the mark behind the fraction instead.
  const joined = kept.replace(/(\d)[″"]$/u, '$1');
  const piece = `${gap}${num}/${den}″`;
  return at(`${joined}${piece}${withoutMark(behind, '″')}`, joined.length + piece.length);
}

/** Where a figure was replaced, its mark may still stand behind it. Two primes are one mark of inches, and stay. */
function withoutMark(behind: string, sign: string): string {
  const same = { '″': /^ ?[″"]/u, '°': /^ ?°/u }[sign];
  return same === undefined ? behind : behind.replace(same, '');
}

/** Puts a prime or a degree sign tight behind the figures. */
export function mark(entry: EntryText, sign: string): EntryText {
  const { before, behind } = around(entry);
  const tight = before.trimEnd();
  return at(`${tight}${sign}${withoutMark(behind, sign)}`, tight.length + sign.length);
}

/** Puts a unit word behind a space. */
export function unit(entry: EntryText, word: string): EntryText {
  const { before, behind } = around(entry);
  const tight = before.trimEnd();
  const piece = tight === '' ? word : ` ${word}`;
  return at(`${tight}${piece}${behind}`, tight.length + piece.length);
}

/** Puts a name or a line in, apart from letters and figures beside it. */
export function reference(entry: EntryText, name: string): EntryText {
  const { before, behind } = around(entry);
  const gap = /[\p{L}\p{N}_#]$/u.test(before) ? ' ' : '';
  const gapBehind = /^[\p{L}\p{N}_]/u.test(behind) ? ' ' : '';
  return at(`${before}${gap}${name}${gapBehind}${behind}`, before.length + gap.length + name.length);
}

/** Takes back what one touch put in: an operator with its spaces, a whole fraction, or one character. */
export function backspace(entry: EntryText): EntryText {
  const { before, behind } = around(entry);
  if (entry.from !== entry.to) return at(`${before}${behind}`, entry.from);
  const lastOnly = behind === '' ? LAST_BEHIND.exec(before) : null;
  // The line that the operator went on from goes first; the operator stays, as a sign.
  if (lastOnly) return at(lastOnly[1] as string, 1);
  const taken = / [+−×÷] $/u.exec(before) ?? FRACTION_BEHIND.exec(before) ?? /(?: (?:mm|cm|m))$/u.exec(before);
  const kept = taken ? before.slice(0, taken.index) : [...before].slice(0, -1).join('');
  return at(`${kept}${behind}`, kept.length);
}

/** The figure that a place in an entry is in or beside: a number, or a fraction as a whole. */
export function figureAt(text: string, place: number): Span | undefined {
  return rolesOf(text).find(
    ({ role, start, end }) => (role === 'number' || role === 'fraction') && start <= place && place <= end,
  );
}
