/** The characters that an entry may be written with, beyond ASCII: what people paste from drawings and messages. */

import * as T from './token.ts';

/** Characters that are one token by themselves. */
export const SINGLE: ReadonlyMap<number, T.TokenKind> = new Map(
  (
    [
      ['+', T.PLUS],
      ['\u2795', T.PLUS],
      ['\u2212', T.MINUS],
      ['\u2796', T.MINUS],
      ['\u2014', T.MINUS],
      ['-', T.HYPHEN],
      ['\u2010', T.HYPHEN],
      ['\u2011', T.HYPHEN],
      ['\u2013', T.HYPHEN],
      ['*', T.TIMES],
      ['\u00d7', T.TIMES],
      ['\u2715', T.TIMES],
      ['\u2716', T.TIMES],
      ['\u22c5', T.TIMES],
      ['\u00b7', T.TIMES],
      ['\u2217', T.TIMES],
      ['\u00f7', T.DIVIDE],
      ['\u2797', T.DIVIDE],
      ['\u2215', T.DIVIDE],
      ['/', T.SLASH],
      ['^', T.CARET],
      ['\u221a', T.ROOT],
      ['(', T.OPEN],
      ['[', T.OPEN],
      [')', T.CLOSE],
      [']', T.CLOSE],
      [';', T.SEMICOLON],
      [',', T.COMMA],
      [':', T.COLON],
      ['\u2236', T.COLON],
      ['%', T.PERCENT],
      ['@', T.AT],
      ['$', T.CURRENCY],
      ['\u20ac', T.CURRENCY],
      ['\u00a3', T.CURRENCY],
      ['\u00b0', T.DEGREE],
      ['\u00ba', T.DEGREE],
      ['\u02da', T.DEGREE],
      ['\u03c0', T.PI],
      ['\u2026', T.DOTS],
      ['\u2264', T.COMPARE],
      ['\u2265', T.COMPARE],
      ['\u2260', T.COMPARE],
      ["'", T.FOOT_MARK],
      ['\u2018', T.FOOT_MARK],
      ['\u2019', T.FOOT_MARK],
      ['\u201b', T.FOOT_MARK],
      ['\u2032', T.FOOT_MARK],
      ['\u02b9', T.FOOT_MARK],
      ['\u02bc', T.FOOT_MARK],
      ['\u00b4', T.FOOT_MARK],
      ['`', T.FOOT_MARK],
      ['"', T.INCH_MARK],
      ['\u201c', T.INCH_MARK],
      ['\u201d', T.INCH_MARK],
      ['\u201f', T.INCH_MARK],
      ['\u2033', T.INCH_MARK],
      ['\u02ba', T.INCH_MARK],
      ['\u3003', T.INCH_MARK],
    ] as const
  ).map(([character, kind]) => [character.charCodeAt(0), kind]),
);

/** Vulgar fractions that are one character: numerator and denominator. */
export const VULGAR: ReadonlyMap<number, readonly [number, number]> = new Map(
  (
    [
      ['\u00bc', 1, 4],
      ['\u00bd', 1, 2],
      ['\u00be', 3, 4],
      ['\u2150', 1, 7],
      ['\u2151', 1, 9],
      ['\u2152', 1, 10],
      ['\u2153', 1, 3],
      ['\u2154', 2, 3],
      ['\u2155', 1, 5],
      ['\u2156', 2, 5],
      ['\u2157', 3, 5],
      ['\u2158', 4, 5],
      ['\u2159', 1, 6],
      ['\u215a', 5, 6],
      ['\u215b', 1, 8],
      ['\u215c', 3, 8],
      ['\u215d', 5, 8],
      ['\u215e', 7, 8],
    ] as const
  ).map(([character, num, den]) => [character.charCodeAt(0), [num, den]]),
);

/** Superscript digits, as written powers and numerators. */
export const SUPERSCRIPT_DIGITS: ReadonlyMap<number, number> = new Map(
  [...'\u2070\u00b9\u00b2\u00b3\u2074\u2075\u2076\u2077\u2078\u2079'].map((digit, value) => [
    digit.charCodeAt(0),
    value,
  ]),
);

/** Subscript digits, as written denominators. */
export const SUBSCRIPT_DIGITS: ReadonlyMap<number, number> = new Map(
  [...'\u2080\u2081\u2082\u2083\u2084\u2085\u2086\u2087\u2088\u2089'].map((digit, value) => [
    digit.charCodeAt(0),
    value,
  ]),
);

export const FRACTION_SLASH = 0x2044;

/** A full-width ASCII twin as the plain character; every other code unchanged. */
export function plainCode(code: number): number {
  return code >= 0xff01 && code <= 0xff5e ? code - 0xfee0 : code;
}

/** Spaces of any width, line breaks, and the invisible marks that come along with pasted text. */
export function isSpace(code: number): boolean {
  if (code <= 0x20) return true;
  if (code < 0xa0) return code >= 0x7f;
  return (
    code === 0xa0 ||
    code === 0x1680 ||
    (code >= 0x2000 && code <= 0x200f) ||
    (code >= 0x2028 && code <= 0x202f) ||
    (code >= 0x205f && code <= 0x206f) ||
    code === 0x3000 ||
    code === 0xfeff ||
    code === 0xad
  );
}

/** The narrow and no-break spaces that group the digits of a number. */
export function isThinSpace(code: number): boolean {
  return code === 0x2009 || code === 0x202f || code === 0xa0;
}

const LETTER = /^\p{L}$/u;

/** A letter that may stand in a name. */
export function isLetter(code: number): boolean {
  if (code < 0x80) return (code >= 0x61 && code <= 0x7a) || (code >= 0x41 && code <= 0x5a);
  return !SINGLE.has(code) && LETTER.test(String.fromCharCode(code));
}

export function isDigit(code: number): boolean {
  return code >= 0x30 && code <= 0x39;
}
