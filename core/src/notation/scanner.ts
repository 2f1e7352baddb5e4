import { UNIT_WORDS } from '../units/unit-table.ts';
import {
  FRACTION_SLASH,
  isDigit,
  isLetter,
  isSpace,
  isThinSpace,
  plainCode,
  SINGLE,
  SUBSCRIPT_DIGITS,
  SUPERSCRIPT_DIGITS,
  VULGAR,
} from './characters.ts';
import * as T from './token.ts';

export interface ScanOptions {
  /** The job writes 2,5 for two and a half; a comma then never groups or separates. */
  readonly decimalComma?: boolean;
}

const SLASH_CODE = 0x2f;
const DOT = 0x2e;
const COMMA_CODE = 0x2c;
const HASH = 0x23;
const EQUALS_CODE = 0x3d;
const LESS = 0x3c;
const GREATER = 0x3e;
const BANG = 0x21;
const UNDERSCORE = 0x5f;
/** Digits beyond this many may not fit a double's whole numbers; the parser then reads the text itself. */
const FAST_DIGITS = 15;

/** Kinds of the ASCII characters that are one token, by code; 0 elsewhere. */
const ASCII_SINGLE = new Uint8Array(128);
for (const [code, kind] of SINGLE) if (code < 128) ASCII_SINGLE[code] = kind;

/**
 * Cuts an entry into tokens. Never fails: a character it does not know becomes an UNKNOWN token, and every character
 * that is not white space lies in exactly one token.
 */
export function scan(source: string, options: ScanOptions = {}): T.TokenTable {
  return scanInto(T.makeTable(source.length), source, options);
}

/** As `scan`, into a table with room enough that was used before: making five columns anew costs as much as the scanning. */
export function scanInto(table: T.TokenTable, source: string, options: ScanOptions): T.TokenTable {
  table.source = source;
  table.count = 0;
  table.hasColon = false;
  const decimalComma = options.decimalComma === true;
  const length = source.length;
  let at = 0;
  // Two lanes for most of what is typed: digits before a space, a prime or an operator, and a mark before a space or digit.
  const { kinds, starts, ends, values, extras } = table;
  let count = 0;
  while (at < length) {
    const code = source.charCodeAt(at);
    if (code === 0x20) {
      at += 1;
      continue;
    }
    if (isDigit(code)) {
      let value = code - 0x30;
      let end = at + 1;
      let next = -1;
      // Never past the end of the text: asking for a character that is not there takes the slow way for good.
      while (end < length) {
        next = source.charCodeAt(end);
        if (next < 0x30 || next > 0x39) break;
        value = value * 10 + (next - 0x30);
        end += 1;
        next = -1;
      }
      let kind = T.INTEGER;
      let den = 0;
      let numberEnd = end;
      if (next === SLASH_CODE) {
        kind = T.FRACTION;
        numberEnd += 1;
        next = -1;
        while (numberEnd < length) {
          next = source.charCodeAt(numberEnd);
          if (next < 0x30 || next > 0x39) break;
          den = den * 10 + (next - 0x30);
          numberEnd += 1;
          next = -1;
        }
        // No digits, a chain, a decimal: not for this lane.
        if (numberEnd === end + 1 || next === SLASH_CODE || next === DOT || (count > 0 && kinds[count - 1] === T.SLASH)) numberEnd = at + 99;
      }
      if (next < COMMA_CODE && numberEnd - at <= FAST_DIGITS) {
        kinds[count] = kind;
        starts[count] = at;
        ends[count] = numberEnd;
        values[count] = value;
        extras[count] = den;
        count += 1;
        at = numberEnd;
      } else {
        table.count = count;
        at = scanNumber(table, at, decimalComma);
        count = table.count;
      }
      continue;
    }
    const single = code < 128 ? (ASCII_SINGLE[code] as number) : 0;
    if (single === 0) {
      table.count = count;
      at = scanOther(table, at, code, decimalComma);
      count = table.count;
      continue;
    }
    const next = at + 1 < length ? source.charCodeAt(at + 1) : 0x20;
    if ((next === 0x20 || isDigit(next)) && single !== T.COMMA && single !== T.COLON) {
      kinds[count] = single;
      starts[count] = at;
      ends[count] = at + 1;
      count += 1;
      at += 1;
    } else {
      table.count = count;
      at = scanMark(table, at, single, decimalComma);
      count = table.count;
    }
  }
  kinds[count] = T.END;
  kinds[count + 1] = T.END;
  starts[count] = length;
  ends[count] = length;
  table.count = count + 1;
  return table;
}

function push(
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
function pushMark(table: T.TokenTable, kind: T.TokenKind, start: number, end: number): number {
  const at = table.count;
  table.kinds[at] = kind;
  table.starts[at] = start;
  table.ends[at] = end;
  table.count = at + 1;
  return end;
}

/** Code at a place, full-width twins made plain; -1 past the end. */
function codeAt(source: string, at: number): number {
  return at < source.length ? plainCode(source.charCodeAt(at)) : -1;
}

function lastKind(table: T.TokenTable): T.TokenKind {
  return table.count === 0 ? T.END : (table.kinds[table.count - 1] as number);
}

function lastEnd(table: T.TokenTable): number {
  return table.count === 0 ? -1 : (table.ends[table.count - 1] as number);
}

/** A token of one character, or one of the pairs that begin with it (+=, -=, '' and the like). */
function scanMark(table: T.TokenTable, at: number, kind: T.TokenKind, decimalComma: boolean): number {
  const { source } = table;
  const next = codeAt(source, at + 1);
  if (kind === T.COLON) table.hasColon = true;
  if (kind === T.FOOT_MARK && kindOfCode(next) === T.FOOT_MARK) return pushMark(table, T.INCH_MARK, at, at + 2);
  if (next === EQUALS_CODE && codeAt(source, at + 2) !== EQUALS_CODE) {
    if (kind === T.PLUS) return pushMark(table, T.PLUS_EQUALS, at, at + 2);
    if (kind === T.HYPHEN || kind === T.MINUS) return pushMark(table, T.MINUS_EQUALS, at, at + 2);
  }
  if (kind === T.COMMA && decimalComma && isDigit(next)) return scanNumber(table, at, decimalComma);
  if (kind === T.DEGREE) {
    const letter = next | 0x20;
    if ((letter === 0x63 || letter === 0x66) && !isLetter(codeAt(source, at + 2)))
      return pushMark(table, T.WORD, at, at + 2);
  }
  return pushMark(table, kind, at, at + 1);
}

function kindOfCode(code: number): T.TokenKind {
  return SINGLE.get(code) ?? T.UNKNOWN;
}

function scanOther(table: T.TokenTable, at: number, rawCode: number, decimalComma: boolean): number {
  const { source } = table;
  const code = plainCode(rawCode);
  const next = codeAt(source, at + 1);
  if (isSpace(code)) return at + 1;
  if (isDigit(code)) return scanNumber(table, at, decimalComma);
  if (code === DOT) {
    if (isDigit(next)) return scanNumber(table, at, decimalComma);
    return next === DOT ? pushMark(table, T.DOTS, at, at + 2) : pushMark(table, T.UNKNOWN, at, at + 1);
  }
  if (code === HASH) return scanLine(table, at);
  if (code === EQUALS_CODE)
    return next === EQUALS_CODE ? pushMark(table, T.COMPARE, at, at + 2) : pushMark(table, T.EQUALS, at, at + 1);
  if (code === LESS || code === GREATER) return pushMark(table, T.COMPARE, at, next === EQUALS_CODE ? at + 2 : at + 1);
  if (code === BANG && next === EQUALS_CODE) return pushMark(table, T.COMPARE, at, at + 2);
  const vulgar = VULGAR.get(code);
  if (vulgar) return push(table, T.FRACTION, at, at + 1, vulgar[0], vulgar[1]);
  if (SUPERSCRIPT_DIGITS.has(code)) return scanSuperscript(table, at);
  if (code === 0x2103 || code === 0x2109) return pushMark(table, T.WORD, at, at + 1);
  const single = SINGLE.get(code);
  if (single !== undefined) return scanMark(table, at, single, decimalComma);
  if (isLetter(code) || code === 0xb5) return scanWord(table, at, code);
  return push(
    table,
    T.UNKNOWN,
    at,
    at + (rawCode >= 0xd800 && rawCode <= 0xdbff && at + 1 < source.length ? 2 : 1),
    0,
    0,
  );
}

/** First place at or after `at` that is no digit. */
function skipDigits(source: string, at: number): number {
  let end = at;
  while (isDigit(codeAt(source, end))) end += 1;
  return end;
}

/** The digits of a stretch as a number, or -1 when they may not fit. Anything that is no digit is passed over. */
function digitsValue(source: string, start: number, end: number): number {
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

function scanNumber(table: T.TokenTable, start: number, decimalComma: boolean): number {
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
function scanSuperscript(table: T.TokenTable, start: number): number {
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

function scanLine(table: T.TokenTable, start: number): number {
  const end = skipDigits(table.source, start + 1);
  if (end === start + 1) return pushMark(table, T.UNKNOWN, start, end);
  const number = digitsValue(table.source, start + 1, end);
  // No slate has that many lines: a number past all of them stands for any such.
  return push(table, T.LINE, start, end, number === -1 ? Number.MAX_SAFE_INTEGER : number, 0);
}

function isNumberKind(kind: T.TokenKind): boolean {
  return kind === T.INTEGER || kind === T.DECIMAL || kind === T.FRACTION;
}

/** x is the multiplication sign unless letters follow it: x, x2 and the like are no names. */
function isTimesLetter(source: string, at: number): boolean {
  const after = codeAt(source, at + 1);
  return (codeAt(source, at) | 0x20) === 0x78 && !isLetter(after) && after !== UNDERSCORE;
}

function scanWord(table: T.TokenTable, start: number, code: number): number {
  const { source } = table;
  if ((code | 0x20) === 0x78 && isTimesLetter(source, start)) return pushMark(table, T.TIMES, start, start + 1);
  let lettersEnd = start + 1;
  while (isLetter(codeAt(source, lettersEnd))) lettersEnd += 1;
  let end = lettersEnd;
  for (
    let next = codeAt(source, end);
    isLetter(next) || isDigit(next) || next === UNDERSCORE;
    next = codeAt(source, end)
  )
    end += 1;
  if (end > lettersEnd && isNumberKind(lastKind(table))) {
    // 9ft2in, 2m40cm, 4ftx3: behind a number a unit word ends where its letters end.
    const letters = source.slice(start, lettersEnd).toLowerCase();
    if (UNIT_WORDS.has(letters)) end = lettersEnd;
    else if (letters.endsWith('x') && UNIT_WORDS.has(letters.slice(0, -1))) end = lettersEnd - 1;
  }
  const word = pushMark(table, T.WORD, start, end);
  // The point of an abbreviation (9 ft. 7 in.) belongs to the word.
  if (codeAt(source, end) === DOT && isAbbreviationPoint(source, end) && isAbbreviation(source.slice(start, end))) {
    table.ends[table.count - 1] = end + 1;
    return end + 1;
  }
  return word;
}

function isAbbreviationPoint(source: string, at: number): boolean {
  const after = codeAt(source, at + 1);
  return after !== DOT && !isDigit(after);
}

function isAbbreviation(word: string): boolean {
  const lower = word.toLowerCase();
  return UNIT_WORDS.has(lower) || lower === 'sq' || lower === 'cu';
}

/** The tokens as objects, for an editor that shows which part is what. */
export function tokensOf(table: T.TokenTable): readonly T.Token[] {
  return Array.from({ length: table.count }, (_, index) => ({
    kind: table.kinds[index] as number,
    start: table.starts[index] as number,
    end: table.ends[index] as number,
  }));
}
