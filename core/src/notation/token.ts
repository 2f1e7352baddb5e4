/**
 * The tokens of an entry, kept as columns: one number per token in each array. The reader runs at every keystroke and
 * over whole slates, and columns cost a third of one object a token.
 */
export type TokenKind = number;

export const END: TokenKind = 0;
export const INTEGER: TokenKind = 1;
export const DECIMAL: TokenKind = 2;
export const FRACTION: TokenKind = 3;
export const WORD: TokenKind = 4;
export const FOOT_MARK: TokenKind = 5;
export const INCH_MARK: TokenKind = 6;
export const PLUS: TokenKind = 7;
/** The true minus sign, which always subtracts. */
export const MINUS: TokenKind = 8;
/** A hyphen, which may join feet to inches. */
export const HYPHEN: TokenKind = 9;
export const TIMES: TokenKind = 10;
export const DIVIDE: TokenKind = 11;
export const SLASH: TokenKind = 12;
export const CARET: TokenKind = 13;
export const SUPERSCRIPT: TokenKind = 14;
export const ROOT: TokenKind = 15;
export const OPEN: TokenKind = 16;
export const CLOSE: TokenKind = 17;
export const SEMICOLON: TokenKind = 18;
export const COMMA: TokenKind = 19;
export const COLON: TokenKind = 20;
export const EQUALS: TokenKind = 21;
export const PLUS_EQUALS: TokenKind = 22;
export const MINUS_EQUALS: TokenKind = 23;
/** ==, !=, <, <=, >, >=; the text says which. */
export const COMPARE: TokenKind = 24;
export const PERCENT: TokenKind = 25;
/** #4: the number is in `value`. */
export const LINE: TokenKind = 26;
export const CURRENCY: TokenKind = 27;
export const DEGREE: TokenKind = 28;
export const PI: TokenKind = 29;
export const DOTS: TokenKind = 30;
/** @, three at 4′ or a length at its spacing. */
export const AT: TokenKind = 31;
/** A word of the language that is a mark of this job, where a name can stand. */
export const NAME: TokenKind = 32;
export const UNKNOWN: TokenKind = 33;

/** A set of kinds as a column, one truth for each kind: asked at every operand. */
export function kindSet(kinds: readonly TokenKind[]): readonly boolean[] {
  return Array.from({ length: UNKNOWN + 1 }, (_, kind) => kinds.includes(kind));
}

/** Behind the name of a mark they make it, or post to it. */
export const ASSIGNMENT_SIGNS: ReadonlySet<TokenKind> = new Set([EQUALS, PLUS_EQUALS, MINUS_EQUALS]);

/** The tokens of one entry, in order, closed by END, twice among the kinds, so that looking past a token needs no check. White space is the gap between an end and the next start. */
export interface TokenTable {
  source: string;
  /** How many of the columns' entries are tokens of this source. */
  count: number;
  /** Whether a colon stands in the source: only then can there be a label. */
  hasColon: boolean;
  /** Whether a percent sign does: only then can there be a step by percent. */
  hasPercent: boolean;
  readonly kinds: Uint8Array;
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  /** INTEGER, DECIMAL: the digits as one whole number; FRACTION: the numerator; -1 when it takes more than 15 digits. */
  readonly values: Float64Array;
  /** DECIMAL: how many of the digits are decimals (negative with a large exponent); FRACTION: the denominator. */
  readonly extras: Float64Array;
}

/** A table with room for the tokens of a text of so many characters: one for each, and two for END. */
export function makeTable(characters: number): TokenTable {
  const room = characters + 2;
  return {
    source: '',
    count: 0,
    hasColon: false,
    hasPercent: false,
    kinds: new Uint8Array(room),
    starts: new Int32Array(room),
    ends: new Int32Array(room),
    values: new Float64Array(room),
    extras: new Float64Array(room),
  };
}

/** One token as an object, for an editor that colours the entry. */
export interface Token {
  readonly kind: TokenKind;
  readonly start: number;
  readonly end: number;
}
