import {
  FRACTION_SLASH,
  isDigit,
  isLetter,
  isThinSpace,
  plainCode,
  SUBSCRIPT_DIGITS,
  SUPERSCRIPT_DIGITS,
} from './characters.ts';
import * as T from './token.ts';

/** Numbers of every kind that an entry may hold, with all that may stand before, in and behind their digits. */

const SLASH_CODE = 0x2f;
const DOT = 0x2e;
const COMMA_CODE = 0x2c;
/** Digits beyond this many may not fit a double's whole numbers; the parser then reads the text itself. */
export const FAST_DIGITS = 15;

export function push(
  table: T.TokenTable,
  kind: T.TokenKind,
  start: number,
  end: number,
  value: number,
  extra: number,
): number {
  const at = table.count;
  table.kinds[at] = kind;
  table.starts[at] = start;
  table.ends[at] = end;
  table.values[at] = value;
  table.extras[at] = extra;
  table.count = at + 1;
  return end;
}

/** A token that is no number: its columns for digits are left as they are, and nobody reads them. */
export function pushMark(table: T.TokenTable, kind: T.TokenKind, start: number, end: number): number {
  const at = table.count;
  table.kinds[at] = kind;
  table.starts[at] = start;
  table.ends[at] = end;
  table.count = at + 1;
  return end;
}

/** Code at a place, full-width twins made plain; -1 past the end. */
export function codeAt(source: string, at: number): number {
  return at < source.length ? plainCode(source.charCodeAt(at)) : -1;
}

export function lastKind(table: T.TokenTable): T.TokenKind {
  return table.count === 0 ? T.END : (table.kinds[table.count - 1] as number);
}

function lastEnd(table: T.TokenTable): number {
  return table.count === 0 ? -1 : (table.ends[table.count - 1] as number);
}

/** First place at or after `at` that is no digit. */
export function skipDigits(source: string, at: number): number {
  let end = at;
  while (isDigit(codeAt(source, end))) end += 1;
  return end;
}

/** The digits of a stretch as a number, or -1 when they may not fit. Anything that is no digit is passed over. */
export function digitsValue(source: string, start: number, end: number): number {
  let value = 0;
  let count = 0;
  for (let at = start; at < end; at += 1) {
    const digit = codeAt(source, at) - 0x30;
    if (digit < 0 || digit > 9) continue;
    value = value * 10 + digit;
    if (value !== 0) count += 1;
  }
  return count > FAST_DIGITS ? -1 : value;
}

/** Whether exactly three digits, not led by more of the number, begin at `at`. */
function isGroup(source: string, at: number): boolean {
  return (
    isDigit(codeAt(source, at)) &&
    isDigit(codeAt(source, at + 1)) &&
    isDigit(codeAt(source, at + 2)) &&
    !isDigit(codeAt(source, at + 3))
  );
}

export function scanNumber(table: T.TokenTable, start: number, decimalComma: boolean): number {
  const { source } = table;
  const { length } = source;
  let end = start;
  let value = 0;
  let code = -1;
  // Never past the end of the text: asking for a character that is not there takes the slow way for good.
  while (end < length) {
    code = source.charCodeAt(end);
    if (code < 0x30 || code > 0x39) break;
    value = value * 10 + (code - 0x30);
    end += 1;
    code = -1;
  }
  // Full-width digits, which are rare, on their own path.
  if (code >= 0x80) {
    end = skipDigits(source, end);
    value = digitsValue(source, start, end);
    code = codeAt(source, end);
  }
  const whole = end - start;
  if (whole > FAST_DIGITS) value = digitsValue(source, start, end);
  if (code === SLASH_CODE || code === FRACTION_SLASH) {
    const fraction = scanFraction(table, start, end, value, code);
    return fraction === -1 ? push(table, T.INTEGER, start, end, value, 0) : fraction;
  }
  // What most often ends a number ends it here: a space, a prime, an operator, a bracket.
  if (code < COMMA_CODE || code === -1)
    return whole === 0
      ? scanDecimals(table, start, end, 0, decimalComma)
      : push(table, T.INTEGER, start, end, value, 0);
  if (code === COMMA_CODE || isThinSpace(code)) {
    const grouped = whole <= 3 && value !== 0 ? skipGroups(source, end, decimalComma) : end;
    if (grouped > end) {
      end = grouped;
      value = digitsValue(source, start, end);
    }
  }
  return scanDecimals(table, start, end, value, decimalComma);
}

/** Past groups of three: 1,250 and 1 250 with a thin space. 0,250 is more likely a decimal from elsewhere and is never asked for here. */
function skipGroups(source: string, start: number, decimalComma: boolean): number {
  let end = start;
  for (;;) {
    const code = codeAt(source, end);
    const groups = (code === COMMA_CODE && !decimalComma) || isThinSpace(code);
    if (!groups || !isGroup(source, end + 1)) return end;
    end += 4;
  }
}

/** Behind the whole digits of a number: a decimal mark with digits, an exponent, or nothing. */
function scanDecimals(table: T.TokenTable, start: number, end: number, value: number, decimalComma: boolean): number {
  const { source } = table;
  const code = codeAt(source, end);
  const isPoint = code === DOT || (decimalComma && code === COMMA_CODE);
  const afterPoint = isPoint ? codeAt(source, end + 1) : -1;
  const endsInPoint = code === DOT && end > start && afterPoint !== DOT && !isLetter(afterPoint);
  if (isPoint && (isDigit(afterPoint) || endsInPoint)) {
    const decimalsEnd = skipDigits(source, end + 1);
    const decimals = decimalsEnd - end - 1;
    return scanExponent(table, start, decimalsEnd, digitsValue(source, start, decimalsEnd), decimals);
  }
  if ((code | 0x20) === 0x65) return scanExponent(table, start, end, value, 0);
  return push(table, T.INTEGER, start, end, value, 0);
}

/** After the digits: e, a sign or none, and digits make an exponent; anything else is left alone. */
function scanExponent(table: T.TokenTable, start: number, end: number, value: number, decimals: number): number {
  const { source } = table;
  if ((codeAt(source, end) | 0x20) === 0x65) {
    const sign = codeAt(source, end + 1);
    const signed = sign === 0x2b || sign === 0x2d || sign === 0x2212;
    const first = signed ? end + 2 : end + 1;
    if (isDigit(codeAt(source, first))) {
      const exponentEnd = skipDigits(source, first);
      const size = digitsValue(source, first, exponentEnd);
      const exponent = size === -1 ? Number.MAX_SAFE_INTEGER : size;
      return push(
        table,
        T.DECIMAL,
        start,
        exponentEnd,
        value,
        decimals - (signed && sign !== 0x2b ? -exponent : exponent),
      );
    }
  }
  return push(
    table,
    decimals === 0 && end - start > 0 && codeAt(source, end - 1) !== DOT ? T.INTEGER : T.DECIMAL,
    start,
    end,
    value,
    decimals,
  );
}

/**
 * A slash tight between two whole numbers is a fraction, unless it is part of a longer tight chain (144/3/4), which
 * divides from left to right. The fraction slash ⁄ needs no such care. Returns -1 when there is no fraction here.
 */
function scanFraction(table: T.TokenTable, start: number, end: number, value: number, slash: number): number {
  const { source } = table;
  const denStart = end + 1;
  let denEnd = denStart;
  let den = 0;
  for (let code = codeAt(source, denEnd); isDigit(code); code = codeAt(source, denEnd)) {
    den = den * 10 + (code - 0x30);
    denEnd += 1;
  }
  if (denEnd - denStart > FAST_DIGITS) den = digitsValue(source, denStart, denEnd);
  if (denEnd === denStart) {
    while (SUBSCRIPT_DIGITS.has(codeAt(source, denEnd))) {
      den = den * 10 + (SUBSCRIPT_DIGITS.get(codeAt(source, denEnd)) as number);
      denEnd += 1;
    }
    if (denEnd === denStart) return -1;
  }
  if (slash === SLASH_CODE) {
    if (lastKind(table) === T.SLASH && lastEnd(table) === start) return -1;
    const after = codeAt(source, denEnd);
    if (after === SLASH_CODE && isDigit(codeAt(source, denEnd + 1))) return -1;
    if (after === DOT && isDigit(codeAt(source, denEnd + 1))) return -1;
  }
  return push(table, T.FRACTION, start, denEnd, value, den);
}

/** ² and ³ as powers; ⁵⁄₈ as a fraction. */
export function scanSuperscript(table: T.TokenTable, start: number): number {
  const { source } = table;
  let end = start;
  let value = 0;
  while (SUPERSCRIPT_DIGITS.has(codeAt(source, end))) {
    value = value * 10 + (SUPERSCRIPT_DIGITS.get(codeAt(source, end)) as number);
    end += 1;
  }
  const slash = codeAt(source, end);
  if (slash === FRACTION_SLASH || slash === SLASH_CODE) {
    const fraction = scanFraction(table, start, end, value, FRACTION_SLASH);
    if (fraction !== -1) return fraction;
  }
  return push(table, T.SUPERSCRIPT, start, end, end - start > FAST_DIGITS ? -1 : value, 0);
}
