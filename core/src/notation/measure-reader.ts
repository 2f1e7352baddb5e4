import { TEMPERATURE } from '../units/dimension.ts';
import { unitById, type Unit } from '../units/unit-table.ts';
import type { Expr, Measure, MeasurePart, NumberLiteral, Scaled, SlopeLiteral, UnitPower } from './ast.ts';
import type { Cursor } from './cursor.ts';
import { isTypedWhole } from './literal.ts';
import { readNote } from './note-reader.ts';
import { readTape } from './tape-reader.ts';
import * as T from './token.ts';
import { FOOT, INCH, MONEY_UNIT, readFurtherUnits, readRate, readUnit, startsUnit } from './unit-reader.ts';

const CENTIMETRE = unitById('cm');
const MILLIMETRE = unitById('mm');
const MINUTE = unitById('min');
/** A decimal exponent past this is beyond the limit on the size of values. */
const EXPONENT_LIMIT = 4932;
const TENS = Array.from({ length: 16 }, (_, power) => 10 ** power);

export function isNumberStart(kind: T.TokenKind): boolean {
  return kind === T.INTEGER || kind === T.DECIMAL || kind === T.FRACTION;
}

/** The digits of a token that did not fit its column, read from the text. */
function bigDigits(text: string): bigint {
  return BigInt(text.normalize('NFKC').replace(/[^0-9]/g, ''));
}

function decimalLiteral(c: Cursor, index: number): NumberLiteral {
  const mantissa = c.value(index);
  const decimals = c.extra(index);
  const { start, end } = c.spanOfToken(index);
  if (Math.abs(decimals) > EXPONENT_LIMIT) c.refuse('number.too_large', { start, end }, {});
  if (mantissa !== -1 && decimals >= 0 && decimals <= 15)
    return {
      kind: 'number',
      start,
      end,
      top: mantissa,
      bottom: TENS[decimals] as number,
      whole: 0,
      form: 'decimal',
      unit: undefined,
    };
  const digits = mantissa === -1 ? bigDigits(c.text(index).split(/[eE]/)[0] as string) : BigInt(mantissa);
  const [top, bottom] = decimals >= 0 ? [digits, 10n ** BigInt(decimals)] : [digits * 10n ** BigInt(-decimals), 1n];
  return { kind: 'number', start, end, top, bottom, whole: 0, form: 'decimal', unit: undefined };
}

function wholeOf(c: Cursor, index: number): number | bigint {
  const value = c.value(index);
  return value === -1 ? bigDigits(c.text(index)) : value;
}

interface FractionParts {
  readonly num: number | bigint;
  readonly den: number | bigint;
}

function fractionAt(c: Cursor, index: number): FractionParts {
  let num: number | bigint = c.value(index);
  let den: number | bigint = c.extra(index);
  if (num === -1 || den === -1) {
    const [numText, denText] = c.text(index).split(/[/\u2044]/) as [string, string];
    num = bigDigits(numText);
    den = bigDigits(denText);
  }
  if (den === 0 || den === 0n) c.refuse('number.zero_denominator', c.spanOfToken(index), {});
  return { num, den };
}

function isProper(c: Cursor, index: number): boolean {
  const value = c.value(index);
  const extra = c.extra(index);
  if (value !== -1 && extra > 0) return value < extra;
  const { num, den } = fractionAt(c, index);
  return num < den;
}

function mixedLiteral(start: number, end: number, whole: number | bigint, { num, den }: FractionParts): NumberLiteral {
  const fits =
    typeof whole === 'number' && typeof num === 'number' && typeof den === 'number' && whole < 1e9 && den < 1e6;
  const top = fits ? whole * den + num : BigInt(whole) * BigInt(den) + BigInt(num);
  return { kind: 'number', start, end, top, bottom: den, whole, form: 'fraction', unit: undefined };
}

/**
 * Reads one number at the cursor, a mixed one too (4 3/8, 4⅜, and 4-3/8 where a unit follows), and moves past it.
 * The cursor stands on a number.
 */
export function readNumber(c: Cursor): NumberLiteral {
  if (c.kind !== T.INTEGER) return readFractionOrDecimal(c);
  const first = c.index;
  c.advance();
  const mixed = c.kind === T.FRACTION || c.kind === T.HYPHEN ? readMixed(c, first) : undefined;
  if (mixed !== undefined) return mixed;
  const whole = wholeOf(c, first);
  return {
    kind: 'number',
    start: c.start(first),
    end: c.end(first),
    top: whole,
    bottom: 1,
    whole,
    form: 'whole',
    unit: undefined,
  };
}

function readFractionOrDecimal(c: Cursor): NumberLiteral {
  const first = c.index;
  const isFraction = c.kind === T.FRACTION;
  c.advance();
  return isFraction ? mixedLiteral(c.start(first), c.end(first), 0, fractionAt(c, first)) : decimalLiteral(c, first);
}

/** The proper fraction behind the whole number at `first`, joined to it; undefined, and nothing consumed, when there is none. */
function readMixed(c: Cursor, first: number): NumberLiteral | undefined {
  const fraction = c.kind === T.FRACTION ? c.index : joinsFraction(c, c.index) ? c.index + 1 : -1;
  if (fraction === -1 || !isProper(c, fraction)) return undefined;
  c.moveTo(fraction + 1);
  return mixedLiteral(c.start(first), c.end(fraction), wholeOf(c, first), fractionAt(c, fraction));
}

/** A number just read, as a part of a measure. The node is this reader's own until the tree is handed out. */
function asPart(amount: NumberLiteral, unit: Unit): MeasurePart {
  (amount as { unit: Unit }).unit = unit;
  return amount as MeasurePart;
}

/** 4-3/8": the hyphen at `index`, tight on both sides, joins a whole number to a proper fraction that carries a length unit. */
function joinsFraction(c: Cursor, index: number): boolean {
  return (
    c.kindAt(index + 1) === T.FRACTION &&
    c.tight(index) &&
    c.tight(index + 1) &&
    isProper(c, index + 1) &&
    startsUnit(c, index + 2) &&
    c.kindAt(index + 2) !== T.CURRENCY
  );
}

/** A number behind which nothing multiplies or scales it, so that it can be the bare inches of 9' 7. */
function standsAlone(c: Cursor): boolean {
  return c.kind !== T.PERCENT && c.kind !== T.COLON;
}

/** As `standsAlone`, and no name, bracket, root or unit follows: what 9'-7 asks before it joins. */
function endsMeasure(c: Cursor): boolean {
  if (c.kind === T.WORD) {
    const word = c.word();
    return word === 'to' || word === 'of' || word === 'in' || word === 'up' || word === 'down';
  }
  return (
    standsAlone(c) &&
    c.kind !== T.OPEN &&
    c.kind !== T.ROOT &&
    c.kind !== T.PI &&
    c.kind !== T.CURRENCY &&
    c.kind !== T.DEGREE
  );
}

/** 9'-7 1/4", 9'-7, 16'-4-3/8": the hyphen at the cursor joins whole feet to whole inches under 12, if it does. */
function readJoinedInches(c: Cursor, feet: NumberLiteral): MeasurePart | undefined {
  const hyphen = c.index;
  if (c.kindAt(hyphen + 1) !== T.INTEGER || !c.tight(hyphen) || !c.tight(hyphen + 1) || !isTypedWhole(feet))
    return undefined;
  if (c.value(hyphen + 1) >= 12 || c.value(hyphen + 1) === -1) return undefined;
  c.advance();
  const amount = readNumber(c);
  const behind = c.index;
  const unit = startsUnit(c, behind) ? readUnit(c, () => false) : undefined;
  const joins = unit ? unit.unit === INCH && unit.power === 1 : endsMeasure(c);
  if (!joins) {
    c.moveTo(hyphen);
    return undefined;
  }
  return asPart(amount, INCH);
}

const ARC_MINUTE = unitById('arcmin');
const ARC_SECOND = unitById('arcsec');
/** What a mark or word means behind degrees: minutes and seconds of arc. */
const BEHIND_DEGREES: ReadonlyMap<Unit, Unit> = new Map([
  [FOOT, ARC_MINUTE],
  [INCH, ARC_SECOND],
  [unitById('min'), ARC_MINUTE],
  [unitById('s'), ARC_SECOND],
]);

function partUnit(unit: Unit, previous: Unit): Unit {
  return previous.family === 'degree' ? (BEHIND_DEGREES.get(unit) ?? unit) : unit;
}

function descends(from: Unit, to: Unit): boolean {
  return from.family !== undefined && from.family === to.family && to.rank < from.rank;
}

/** Reads the next part of a measure whose last part is `previous`; undefined, and nothing consumed, when there is none. */
function readNextPart(c: Cursor, previous: MeasurePart): MeasurePart | undefined {
  if (c.kind === T.HYPHEN) return previous.unit === FOOT ? readJoinedInches(c, previous) : undefined;
  if (!isNumberStart(c.kind)) return undefined;
  const first = c.index;
  const isFraction = c.kind === T.FRACTION;
  const isInteger = c.kind === T.INTEGER;
  const amount = readNumber(c);
  const mark = readUnit(c, powersUnlessPartFollows);
  if (mark !== undefined) {
    const unit = partUnit(mark.unit, previous.unit);
    if (mark.power === 1 && descends(previous.unit, unit)) return asPart(amount, unit);
  } else if (standsAlone(c)) {
    if (previous.unit === FOOT && !isTightInteger(c, first)) return asPart(amount, INCH);
    if (previous.unit.id === 'm' && isInteger && isTypedWhole(amount)) {
      const digits = c.end(first) - c.start(first);
      if (digits === 2) return asPart(amount, CENTIMETRE);
      if (digits === 3) return asPart(amount, MILLIMETRE);
    }
    // 1 h 30 and 1h30: two bare digits under 60 behind hours.
    if (previous.unit.id === 'h' && isInteger && c.end(first) - c.start(first) === 2 && amount.top < 60)
      return asPart(amount, MINUTE);
    if (previous.unit === INCH && isFraction && isTypedWhole(previous) && amount.top < amount.bottom)
      return asPart(amount, INCH);
  }
  c.moveTo(first);
  return undefined;
}

/** A whole number tight behind a unit word was weighed as its power already; behind a prime it is inches. */
function isTightInteger(c: Cursor, index: number): boolean {
  return (
    c.kindAt(index) === T.INTEGER && c.tight(index) && c.kindAt(index - 1) === T.WORD && /^[23]$/.test(c.text(index))
  );
}

/** Whether the number at the cursor begins a further part below `unit`: the 2 of 9ft2in does, the 2 of 9ft2 does not. */
function partFollows(c: Cursor, unit: Unit): boolean {
  const first = c.index;
  readNumber(c);
  const mark = startsUnit(c, c.index) ? readUnit(c, () => true) : undefined;
  const follows = mark !== undefined && mark.power === 1 && descends(unit, mark.unit);
  c.moveTo(first);
  return follows;
}

const powersUnlessPartFollows = (c: Cursor, unit: Unit): boolean => !partFollows(c, unit);

/** The parts of a measure whose first has been read: at most as many as its family has units. */
function readParts(c: Cursor, first: MeasurePart): readonly MeasurePart[] {
  let next = first.unit.family === undefined ? undefined : readNextPart(c, first);
  if (next === undefined) return [first];
  // Most have two, and a list made at its length is quicker than one that grows.
  let parts: readonly MeasurePart[] = first.unit === next.unit ? [joined(first, next)] : [first, next];
  for (;;) {
    const last = parts[parts.length - 1] as MeasurePart;
    next = readNextPart(c, last);
    if (next === undefined) return parts;
    parts = last.unit === next.unit ? [...parts.slice(0, -1), joined(last, next)] : [...parts, next];
  }
}

/** 7" 1/4 is one amount of inches. */
function joined(inches: MeasurePart, next: MeasurePart): MeasurePart {
  const fraction = { num: next.top, den: next.bottom };
  return asPart(mixedLiteral(inches.start, next.end, inches.whole, fraction), inches.unit);
}

/** 6:12, 6 in 12 or 6 on 12: the run of a slope whose rise has just been read; undefined, and nothing consumed, when there is none. */
function readRun(c: Cursor): NumberLiteral | undefined {
  const first = c.index;
  if (c.kind === T.COLON && c.tight(first) && c.tight(first + 1) && isNumberStart(c.kindAt(first + 1))) {
    c.advance();
    return readNumber(c);
  }
  // 3 in2 is an area: a tight digit behind a unit word is its power.
  if (c.kind === T.WORD && isNumberStart(c.kindAt(first + 1)) && !c.tight(first + 1) && /^[io]n$/.test(c.word())) {
    const next = c.kindAt(first + 1);
    if (next === T.INTEGER || next === T.DECIMAL) {
      c.advance();
      const run = readNumber(c);
      if (!startsUnit(c, c.index) && standsAlone(c)) return run;
      c.moveTo(first);
    }
  }
  return undefined;
}

/** A slope whose rise, or whose fraction of 12 (6/12 pitch), has just been read. */
function readSlope(c: Cursor, amount: NumberLiteral): SlopeLiteral | undefined {
  const run = readRun(c);
  if (run) {
    if (run.top === 0) c.refuse('number.zero_denominator', run, {});
    if (isPitchWord(c)) c.advance();
    return { kind: 'slope', start: amount.start, end: c.lastEnd(), rise: amount, run };
  }
  if (!isPitchWord(c) || amount.form !== 'fraction' || amount.whole !== 0 || amount.bottom !== 12) return undefined;
  c.advance();
  const part = (top: number | bigint): NumberLiteral => ({ ...amount, top, bottom: 1, whole: top, form: 'whole' });
  return { kind: 'slope', start: amount.start, end: c.lastEnd(), rise: part(amount.top), run: part(12) };
}

const PITCH = 'pitch';

function isPitchWord(c: Cursor): boolean {
  return c.kind === T.WORD && c.end() - c.start() === PITCH.length && c.word() === PITCH;
}

/**
 * The F of 68F to C: a letter, which may be a mark's name as well, is a scale of temperature where the entry goes on to
 * one. Undefined, and nothing consumed, where it does not.
 */
function readTemperatureLetter(c: Cursor): Unit | undefined {
  if (c.kind !== T.WORD || c.end() - c.start() !== 1) return undefined;
  const unit = LETTER_SCALES.get(c.word());
  if (unit === undefined || c.kindAt(c.index + 1) !== T.WORD || !/^(?:in|to)$/.test(c.word(c.index + 1)))
    return undefined;
  if (!SCALE_WORD.test(c.source.slice(c.start(c.index + 2)))) return undefined;
  c.advance();
  return unit;
}

const LETTER_SCALES: ReadonlyMap<string, Unit> = new Map([
  ['f', unitById('fahrenheit')],
  ['c', unitById('celsius')],
]);
const SCALE_WORD = /^(?:(?:°|º|deg|degrees?)\s*)?(?:[cf]|celsius|centigrade|fahrenheit|℃|℉)\s*$/iu;

/** 12-6" and 8-0": whole feet and whole inches under 12 with a hyphen between and the mark of inches behind. */
function readFeetHyphenInches(c: Cursor): readonly [MeasurePart, MeasurePart] | undefined {
  const first = c.index;
  const hyphen = first + 1;
  const isChain = c.kindAt(first - 1) === T.HYPHEN && c.tight(first);
  if (c.kind !== T.INTEGER || c.kindAt(hyphen + 1) !== T.INTEGER || isChain) return undefined;
  if (!c.tight(hyphen) || !c.tight(hyphen + 1) || c.value(hyphen + 1) >= 12) return undefined;
  c.moveTo(hyphen + 1);
  const inches = readNumber(c);
  if (c.kind !== T.INCH_MARK) {
    c.moveTo(first);
    return undefined;
  }
  c.advance();
  const whole = wholeOf(c, first);
  const feet: NumberLiteral = {
    kind: 'number',
    ...c.spanOfToken(first),
    top: whole,
    bottom: 1,
    whole,
    form: 'whole',
    unit: undefined,
  };
  return [asPart(feet, FOOT), asPart(inches, INCH)];
}

/**
 * Reads whatever begins with a number at the cursor: a plain number, a measure, a slope, a quantity with units. Leaves
 * `multiplierEnd` behind a plain number, where multiplication may be implied.
 */
export function readNumberOrMeasure(c: Cursor): Expr {
  const tape = readTape(c);
  if (tape !== undefined) return tape;
  const hyphened = c.kindAt(c.index + 1) === T.HYPHEN ? readFeetHyphenInches(c) : undefined;
  if (hyphened) return measure(c, hyphened[0].start, hyphened);
  const amount = readNumber(c);
  if (c.kind === T.COLON || c.kind === T.WORD) {
    const slope = readSlope(c, amount);
    if (slope) return slope;
    const rate = readRate(c);
    if (rate) return scaled(c, amount, rate);
    const temperature = readTemperatureLetter(c);
    if (temperature) return measure(c, amount.start, [asPart(amount, temperature)]);
  }
  const mark = readUnit(c, powersUnlessPartFollows);
  if (mark === undefined) {
    // 5/m: units that only divide.
    const units = c.kind === T.SLASH ? readFurtherUnits(c, []) : [];
    if (units.length > 0) return scaled(c, amount, units);
    c.multiplierEnd = c.index;
    return amount;
  }
  if (mark.power !== 1 || mark.unit === MONEY_UNIT) {
    return mark.unit === MONEY_UNIT ? moneyOf(c, amount, amount.start) : scaled(c, amount, readFurtherUnits(c, [mark]));
  }
  const parts = readParts(c, asPart(amount, mark.unit));
  if (c.kind === T.SLASH || c.kind === T.WORD || (c.kind === T.TIMES && parts.length === 1)) {
    const units = readFurtherUnits(c, [mark]);
    if (units.length > 1)
      return parts.length === 1 && mark.unit.dimension !== TEMPERATURE
        ? scaled(c, amount, units)
        : scaled(c, measure(c, amount.start, parts), units.slice(1));
  }
  return measure(c, amount.start, parts);
}

function measure(c: Cursor, start: number, parts: readonly MeasurePart[]): Measure {
  const end = c.lastEnd();
  return { kind: 'measure', start, end, parts, note: readNote(c) };
}

function scaled(c: Cursor, operand: Expr, units: readonly UnitPower[]): Scaled {
  const end = c.lastEnd();
  return { kind: 'scaled', start: operand.start, end, operand, units, note: readNote(c) };
}

/** An amount of money, alone or per unit. The currency sign has been read. */
export function moneyOf(c: Cursor, amount: NumberLiteral, start: number): Expr {
  const units = readFurtherUnits(c, [{ unit: MONEY_UNIT, power: 1 }]);
  if (units.length > 1) return { ...scaled(c, amount, units), start };
  return measure(c, start, [asPart(amount, MONEY_UNIT)]);
}

/**
 * Units behind a closing bracket or π: (3/8)", (4 + 2) ft, (8 ft²)/h. Undefined when none follow. A number in brackets
 * with one unit is the same measure as without them.
 */
export function readUnitsBehind(c: Cursor, operand: Expr): Expr | undefined {
  const rate = readRate(c);
  if (rate) return scaled(c, operand, rate);
  if (c.kind === T.WORD && c.word() === 'in' && c.kindAt(c.index + 1) === T.WORD && startsUnit(c, c.index + 1))
    return undefined;
  if (c.kind === T.CURRENCY && isNumberStart(c.kindAt(c.index + 1))) return undefined;
  const mark = readUnit(c, () => true);
  const units = readFurtherUnits(c, mark === undefined ? [] : [mark]);
  if (units.length === 0) return undefined;
  if (operand.kind === 'number' && units.length === 1 && mark?.power === 1)
    return measure(c, operand.start, [asPart(operand, mark.unit)]);
  return scaled(c, operand, units);
}
