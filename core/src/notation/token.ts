/**
 * The tokens of an entry, kept as columns: one number per token in each array. The reader runs at every keystroke and
 * over whole slates, and columns cost a third of one object a token.
 */
export const END = 0;
export const INTEGER = 1;
export const DECIMAL = 2;
export const FRACTION = 3;
export const WORD = 4;
export const FOOT_MARK = 5;
export const INCH_MARK = 6;
export const PLUS = 7;
/** The true minus sign, which always subtracts. */
export const MINUS = 8;
/** A hyphen, which may join feet to inches. */
export const HYPHEN = 9;
export const TIMES = 10;
export const DIVIDE = 11;
export const SLASH = 12;
export const CARET = 13;
export const SUPERSCRIPT = 14;
export const ROOT = 15;
export const OPEN = 16;
export const CLOSE = 17;
export const SEMICOLON = 18;
export const COMMA = 19;
export const COLON = 20;
export const EQUALS = 21;
export const PLUS_EQUALS = 22;
export const MINUS_EQUALS = 23;
/** ==, !=, <, <=, >, >=; the text tells which. */
export const COMPARE = 24;
export const PERCENT = 25;
/** #4: the number is in `value`. */
export const LINE = 26;
export const CURRENCY = 27;
export const DEGREE = 28;
export const PI = 29;
export const DOTS = 30;
export const UNKNOWN = 31;

export type TokenKind = number;

/** The tokens of one entry, in order, closed by END. White space is the gap between an end and the next start. */
export interface TokenTable {
  readonly source: string;
  readonly kinds: TokenKind[];
  readonly starts: number[];
  readonly ends: number[];
  /** INTEGER, DECIMAL: the digits as one whole number; FRACTION: the numerator; -1 when it takes more than 15 digits. */
  readonly values: number[];
  /** DECIMAL: how many of the digits are decimals (negative with a large exponent); FRACTION: the denominator. */
  readonly extras: number[];
}

/** One token as an object, for an editor that colours the entry. */
export interface Token {
  readonly kind: TokenKind;
  readonly start: number;
  readonly end: number;
}
