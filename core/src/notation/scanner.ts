import { UNIT_WORDS } from '../units/unit-table.ts';
import { isDigit, isLetter, isSpace, plainCode, SINGLE, SUPERSCRIPT_DIGITS, VULGAR } from './characters.ts';
import {
  codeAt,
  digitsValue,
  FAST_DIGITS,
  lastKind,
  push,
  pushMark,
  scanNumber,
  scanSuperscript,
  skipDigits,
} from './number-scanner.ts';
import type { JigPrograms } from './ast.ts';
import * as T from './token.ts';

/** Words, in lower case; what is asked of a set, so that others can answer too. */
export type NameSet = Pick<ReadonlySet<string>, 'has' | 'size'>;

export interface ScanOptions {
  /** The job writes 2,5 for two and a half; a comma then never groups or separates. */
  readonly decimalComma?: boolean;
  /**
   * Names of marks, in lower case, that are words of the language as well: it learned them after the marks were stored.
   * Where a name can stand the mark wins.
   */
  readonly names?: NameSet | undefined;
  /** Jigs that the entry may use. */
  readonly jigs?: JigPrograms | undefined;
}

const DOT = 0x2e;
const SLASH = 0x2f;
const COMMA = 0x2c;
const HASH = 0x23;
const EQUAL_SIGN = 0x3d;
const LESS = 0x3c;
const GREATER = 0x3e;
const BANG = 0x21;
const UNDERSCORE = 0x5f;
const OPEN_BRACKET = 0x28;
const TENS = Array.from({ length: FAST_DIGITS }, (_, power) => 10 ** power);

/** Marks that are one token with certain characters behind them: += and ''. */
const PAIRING: ReadonlySet<T.TokenKind> = new Set([T.PLUS, T.HYPHEN, T.FOOT_MARK]);
const MAY_PAIR = 0x80;
const KIND_BITS = 0x7f;

/** Kinds of the ASCII characters that are one token, by code, with MAY_PAIR on those of PAIRING; 0 elsewhere, and where it takes a longer look. */
const ASCII_SINGLE = new Uint8Array(128);
for (const [code, kind] of SINGLE)
  if (code < 128 && kind !== T.COMMA && kind !== T.COLON && kind !== T.PERCENT)
    ASCII_SINGLE[code] = PAIRING.has(kind) ? kind | MAY_PAIR : kind;

/**
 * Cuts an entry into tokens. Never fails: a character it does not know becomes an UNKNOWN token, and every character
 * that is not white space lies in exactly one token.
 */
export function scan(source: string, options: ScanOptions = {}): T.TokenTable {
  return scanInto(T.makeTable(source.length), source, options);
}

/** As `scan`, into a table with room enough that was used before: making five columns again costs as much as the scanning. */
export function scanInto(table: T.TokenTable, source: string, options: ScanOptions): T.TokenTable {
  table.source = source;
  table.count = 0;
  table.hasColon = false;
  table.hasPercent = false;
  const decimalComma = options.decimalComma === true;
  const names = options.names?.size ? options.names : undefined;
  const { length } = source;
  let at = scanPlain(table, 0);
  while (at < length) at = scanPlain(table, scanRare(table, at, decimalComma, names));

  const { kinds, starts, ends, count } = table;
  kinds[count] = T.END;
  kinds[count + 1] = T.END;
  starts[count] = length;
  ends[count] = length;
  table.count = count + 1;
  return table;
}

/**
 * The lane for most of what is typed: numbers before a space, a prime or an operator, and marks that nothing behind them
 * changes. Stops before anything else. It calls nothing, so that what compiled code knows of the columns holds throughout.
 */
function scanPlain(table: T.TokenTable, start: number): number {
  const { source, kinds, starts, ends, values, extras } = table;
  const { length } = source;
  let { count } = table;
  let at = start;
  // Never past the end of the text: asking for a character that is not there takes the slow way for good.
  let next = at < length ? source.charCodeAt(at) : -1;
  while (at < length) {
    const code = next;
    let end = at + 1;
    next = end < length ? source.charCodeAt(end) : -1;
    if (code === 0x20) {
      at = end;
      continue;
    }
    if (!isDigit(code)) {
      const single = code < 128 ? (ASCII_SINGLE[code] as number) : 0;
      if (single === 0 || (single >= MAY_PAIR && next > 0x20 && !isDigit(next))) break;
      kinds[count] = single & KIND_BITS;
      starts[count] = at;
      ends[count] = end;
      count += 1;
      at = end;
      continue;
    }
    let kind = T.INTEGER;
    let value = code - 0x30;
    let extra = 0;
    while (isDigit(next)) {
      value = value * 10 + (next - 0x30);
      end += 1;
      next = end < length ? source.charCodeAt(end) : -1;
    }
    if (next === SLASH || next === DOT) {
      const mark = end;
      let behind = 0;
      kind = next === SLASH ? T.FRACTION : T.DECIMAL;
      end += 1;
      next = end < length ? source.charCodeAt(end) : -1;
      while (isDigit(next)) {
        behind = behind * 10 + (next - 0x30);
        end += 1;
        next = end < length ? source.charCodeAt(end) : -1;
      }
      // A point that ends its number, or one of a chain of slashes.
      if (end === mark + 1 || (kind === T.FRACTION && count > 0 && kinds[count - 1] === T.SLASH)) break;
      extra = behind;
      if (kind === T.DECIMAL) {
        extra = end - mark - 1;
        value = value * (TENS[extra] ?? 0) + behind;
      }
    }
    if (next >= COMMA || end - at > FAST_DIGITS) break;
    kinds[count] = kind;
    starts[count] = at;
    ends[count] = end;
    values[count] = value;
    extras[count] = extra;
    count += 1;
    at = end;
  }
  table.count = count;
  return at;
}

/** The token at `at`, where the lane has stopped; past it. */
function scanRare(table: T.TokenTable, at: number, decimalComma: boolean, names: ScanOptions['names']): number {
  const code = table.source.charCodeAt(at);
  if (isDigit(code)) return scanNumber(table, at, decimalComma);
  if (isLetterCode(code)) return scanWord(table, at, code, names);
  const single = code < 128 ? (ASCII_SINGLE[code] as number) : 0;
  return single === 0
    ? scanOther(table, at, code, decimalComma, names)
    : scanMark(table, at, single & KIND_BITS, decimalComma);
}

function isLetterCode(code: number): boolean {
  return (code | 0x20) >= 0x61 && (code | 0x20) <= 0x7a;
}

/** A token of one character, or one of the pairs that begin with it (+=, -=, '' and the like). */
function scanMark(table: T.TokenTable, at: number, kind: T.TokenKind, decimalComma: boolean): number {
  const { source } = table;
  const next = codeAt(source, at + 1);
  if (kind === T.COLON) table.hasColon = true;
  if (kind === T.PERCENT) table.hasPercent = true;
  if (kind === T.FOOT_MARK && kindOfCode(next) === T.FOOT_MARK) return pushMark(table, T.INCH_MARK, at, at + 2);
  if (next === EQUAL_SIGN && codeAt(source, at + 2) !== EQUAL_SIGN) {
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

function scanOther(
  table: T.TokenTable,
  at: number,
  rawCode: number,
  decimalComma: boolean,
  names: ScanOptions['names'],
): number {
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
  if (code === EQUAL_SIGN)
    return next === EQUAL_SIGN ? pushMark(table, T.COMPARE, at, at + 2) : pushMark(table, T.EQUALS, at, at + 1);
  if (code === LESS || code === GREATER) return pushMark(table, T.COMPARE, at, next === EQUAL_SIGN ? at + 2 : at + 1);
  if (code === BANG && next === EQUAL_SIGN) return pushMark(table, T.COMPARE, at, at + 2);
  const vulgar = VULGAR.get(code);
  if (vulgar) return push(table, T.FRACTION, at, at + 1, vulgar[0], vulgar[1]);
  if (SUPERSCRIPT_DIGITS.has(code)) return scanSuperscript(table, at);
  if (code === 0x2103 || code === 0x2109) return pushMark(table, T.WORD, at, at + 1);
  const single = SINGLE.get(code);
  if (single !== undefined) return scanMark(table, at, single, decimalComma);
  if (isLetter(code) || code === 0xb5) return scanWord(table, at, code, names);
  return push(
    table,
    T.UNKNOWN,
    at,
    at + (rawCode >= 0xd800 && rawCode <= 0xdbff && at + 1 < source.length ? 2 : 1),
    0,
    0,
  );
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

function scanWord(table: T.TokenTable, start: number, code: number, names: ScanOptions['names']): number {
  const { source } = table;
  if (names !== undefined) {
    const end = nameEnd(table, start, names);
    if (end > start) return pushMark(table, T.NAME, start, end);
  }
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
  if ((code | 0x20) === 0x70 && isNumberKind(lastKind(table))) {
    const percentEnd = percentWordEnd(source, start, end);
    if (percentEnd > start) {
      table.hasPercent = true;
      return pushMark(table, T.PERCENT, start, percentEnd);
    }
  }
  if (end < source.length && codeAt(source, end) === DOT) return scanAbbreviation(table, start, end);
  return pushMark(table, T.WORD, start, end);
}

/** Words behind which a unit stands, and no name. */
const BEFORE_UNIT: ReadonlySet<string> = new Set(['to', 'in', 'the', 'nearest', 'per', 'sq', 'square', 'cu', 'cubic']);

/** End of the mark's name at `start`, where there is one; else `start`. */
function nameEnd(table: T.TokenTable, start: number, names: NameSet): number {
  const { source, count, starts, ends } = table;
  let end = start + 1;
  for (
    let next = codeAt(source, end);
    isLetter(next) || isDigit(next) || next === UNDERSCORE;
    next = codeAt(source, end)
  )
    end += 1;
  // A function has its bracket right behind it, which a name never has.
  if (codeAt(source, end) === OPEN_BRACKET || !names.has(source.slice(start, end).toLowerCase())) return start;
  const before = count > 0 && lastKind(table) === T.WORD ? source.slice(starts[count - 1], ends[count - 1]) : '';
  return BEFORE_UNIT.has(before.toLowerCase().replace(/\.$/, '')) ? start : end;
}

/** A word with a point behind it, which belongs to it where it is an abbreviation: 9 ft. 7 in. */
function scanAbbreviation(table: T.TokenTable, start: number, end: number): number {
  const { source } = table;
  const joins = isNumberKind(lastKind(table)) && JOINING.has(source.slice(start, end).toLowerCase());
  const word = pushMark(table, T.WORD, start, end);
  if (!isAbbreviationPoint(source, end, joins) || !isAbbreviation(source.slice(start, end))) return word;
  table.ends[table.count - 1] = end + 1;
  return end + 1;
}

/** Units that a smaller one follows tight, as in 9ft.7in: the point then ends the word and begins no decimals. */
const JOINING: ReadonlySet<string> = new Set(['yd', 'ft', 'lb', 'lbs', 'hr', 'hrs']);

function isAbbreviationPoint(source: string, at: number, joins: boolean): boolean {
  const after = codeAt(source, at + 1);
  return after !== DOT && (joins || !isDigit(after));
}

/** End of the word at `start` where it says percent, of both words of "per cent"; `start` itself where it does not. */
function percentWordEnd(source: string, start: number, end: number): number {
  const word = source.slice(start, end).toLowerCase();
  if (word === 'percent' || word === 'pct') return end;
  return word === 'per'
    ? end + (/^\s+cent(?![\p{L}\p{N}_])/iu.exec(source.slice(end))?.[0].length ?? start - end)
    : start;
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
