import { RATE_WORDS, UNIT_WORDS, unitById, type Unit } from '../units/unit-table.ts';
import type { UnitPower } from './ast.ts';
import type { Cursor } from './cursor.ts';
import * as T from './token.ts';

/** Abbreviations of the trade for a unit to a power. */
const POWER_WORDS: ReadonlyMap<string, UnitPower> = new Map([
  ['sf', { unit: unitById('ft'), power: 2 }],
  ['sy', { unit: unitById('yd'), power: 2 }],
  ['cf', { unit: unitById('ft'), power: 3 }],
  ['cy', { unit: unitById('yd'), power: 3 }],
  ['lf', { unit: unitById('ft'), power: 1 }],
]);

const PREFIX_POWERS: ReadonlyMap<string, number> = new Map([
  ['sq', 2],
  ['square', 2],
  ['cu', 3],
  ['cubic', 3],
]);

export const FOOT = unitById('ft');
export const INCH = unitById('in');
const BOARD_FOOT = unitById('bf');
const ONE_FOOT: UnitPower = { unit: FOOT, power: 1 };
const ONE_INCH: UnitPower = { unit: INCH, power: 1 };
export const MONEY_UNIT = unitById('money');
export const DEGREE_UNIT = unitById('deg');

/** A single word that names a unit, perhaps to a power: ft, ft2, sqft, sf. Undefined for anything else. */
export function unitOfWord(word: string): UnitPower | undefined {
  const unit = UNIT_WORDS.get(word);
  if (unit) return { unit, power: 1 };
  if (word === '\u2103') return { unit: unitById('celsius'), power: 1 };
  if (word === '\u2109') return { unit: unitById('fahrenheit'), power: 1 };
  const powered = POWER_WORDS.get(word);
  if (powered) return powered;
  const last = word.charCodeAt(word.length - 1);
  if (last === 0x32 || last === 0x33) {
    const base = UNIT_WORDS.get(word.slice(0, -1));
    if (base?.powers) return { unit: base, power: last - 0x30 };
  }
  if (word.startsWith('sq') || word.startsWith('cu')) {
    const base = UNIT_WORDS.get(word.slice(2));
    if (base?.powers) return { unit: base, power: word.startsWith('sq') ? 2 : 3 };
  }
  return undefined;
}

/** Whether a word may not be a mark's name because it names a unit. */
export function isUnitWord(word: string): boolean {
  return unitOfWord(word) !== undefined || RATE_WORDS.has(word);
}

/** Whether the word token at `index` begins a unit in the place behind a number. `min(` is the function. */
export function startsUnit(c: Cursor, index: number): boolean {
  const kind = c.kindAt(index);
  if (kind === T.FOOT_MARK || kind === T.INCH_MARK || kind === T.DEGREE || kind === T.CURRENCY) return true;
  return kind === T.WORD && readUnitWord(c, index) !== undefined;
}

/** A unit read from one or two words, and the index of the token behind it. */
interface ReadUnit {
  readonly power: UnitPower;
  readonly next: number;
}

function readUnitWord(c: Cursor, index: number): ReadUnit | undefined {
  const word = c.word(index);
  const unit = UNIT_WORDS.get(word);
  // "square" is a unit of its own and a prefix of others; no other unit word is.
  if (unit !== undefined && word !== 'square') {
    if (word === 'min' && c.kindAt(index + 1) === T.OPEN) return undefined;
    return { power: { unit, power: 1 }, next: index + 1 };
  }
  const prefix = PREFIX_POWERS.get(word);
  if (prefix !== undefined && c.kindAt(index + 1) === T.WORD) {
    const base = UNIT_WORDS.get(c.word(index + 1));
    if (base?.powers) return { power: { unit: base, power: prefix }, next: index + 2 };
  }
  const spoken = readSpokenUnit(c, index, word);
  if (spoken) return spoken;
  const power = unitOfWord(word);
  return power === undefined ? undefined : { power, next: index + 1 };
}

/** Units of two words: board feet, linear feet. Neither first word means anything alone, so that a mark may be called it. */
function readSpokenUnit(c: Cursor, index: number, word: string): ReadUnit | undefined {
  const isLinear = word === 'linear' || word === 'lineal' || word === 'running';
  if ((!isLinear && word !== 'board') || c.kindAt(index + 1) !== T.WORD) return undefined;
  const base = UNIT_WORDS.get(c.word(index + 1));
  if (isLinear) return base?.powers ? { power: { unit: base, power: 1 }, next: index + 2 } : undefined;
  return base === FOOT ? { power: { unit: BOARD_FOOT, power: 1 }, next: index + 2 } : undefined;
}

/**
 * Reads one unit at the cursor, with a power written behind a unit word (ft^2, ft², ft2), and moves past it. A prime
 * takes no power here: 5'^2 raises the length. `mayPower` is false where a 2 or 3 begins the next part (9ft2in).
 */
export function readUnit(c: Cursor, mayPower: (c: Cursor, unit: Unit) => boolean): UnitPower | undefined {
  const { kind } = c;
  if (kind !== T.FOOT_MARK && kind !== T.INCH_MARK) return readOtherUnit(c, mayPower);
  c.advance();
  return kind === T.FOOT_MARK ? ONE_FOOT : ONE_INCH;
}

function readOtherUnit(c: Cursor, mayPower: (c: Cursor, unit: Unit) => boolean): UnitPower | undefined {
  switch (c.kind) {
    case T.DEGREE:
      c.advance();
      return { unit: readScale(c) ?? DEGREE_UNIT, power: 1 };
    case T.CURRENCY:
      c.advance();
      return { unit: MONEY_UNIT, power: 1 };
    case T.WORD: {
      const read = readUnitWord(c, c.index);
      if (read === undefined) return undefined;
      c.moveTo(read.next);
      const { unit, power } = read.power;
      if (power !== 1) return read.power;
      if (unit === DEGREE_UNIT) return { unit: readScale(c) ?? unit, power };
      if (c.kind === T.SUPERSCRIPT) {
        const raised = c.value();
        c.advance();
        return { unit, power: raised };
      }
      if (c.kind === T.INTEGER && c.tight(c.index) && unit.powers && isTwoOrThree(c) && mayPower(c, unit)) {
        const raised = c.value();
        c.advance();
        return { unit, power: raised };
      }
      return { unit, power: readCaretPower(c) };
    }
    default:
      return undefined;
  }
}

/** The F of 68 degrees F, which says of what scale the degrees are, and past it. */
function readScale(c: Cursor): Unit | undefined {
  const scale = c.kind === T.WORD ? SCALES.get(c.word()) : undefined;
  if (scale) c.advance();
  return scale;
}

const SCALES: ReadonlyMap<string, Unit> = new Map([
  ['c', unitById('celsius')],
  ['celsius', unitById('celsius')],
  ['centigrade', unitById('celsius')],
  ['f', unitById('fahrenheit')],
  ['fahrenheit', unitById('fahrenheit')],
]);

function isTwoOrThree(c: Cursor): boolean {
  const value = c.value();
  return (value === 2 || value === 3) && c.end() - c.start() === 1;
}

/** ^2 or ^-1 behind a unit word; 1 when there is none. */
function readCaretPower(c: Cursor): number {
  if (c.kind !== T.CARET) return 1;
  const next = c.kindAt(c.index + 1);
  const signed = next === T.HYPHEN || next === T.MINUS;
  const at = signed ? c.index + 2 : c.index + 1;
  if (c.kindAt(at) !== T.INTEGER) return 1;
  const size = c.value(at);
  c.moveTo(at + 1);
  return signed ? -size : size;
}

/**
 * Goes on from a unit already read: /h, per m, ·m, each with its power. Returns all of them. A slash counts only before
 * a unit word, which can be no name; a rate word (mph) is read by `readRate`.
 */
export function readFurtherUnits(c: Cursor, first: readonly UnitPower[]): readonly UnitPower[] {
  let units = first;
  for (;;) {
    const isPer = c.kind === T.SLASH || (c.kind === T.WORD && c.word() === 'per');
    const isDot = c.kind === T.TIMES && c.tight(c.index) && c.tight(c.index + 1) && c.text() === '·';
    if (!isPer && !isDot) return units;
    const at = c.index + 1;
    const money = c.kindAt(at) === T.CURRENCY && c.kindAt(at + 1) !== T.INTEGER && c.kindAt(at + 1) !== T.DECIMAL;
    if (!money && !(c.kindAt(at) === T.WORD && readUnitWord(c, at) !== undefined)) return units;
    c.advance();
    const next = readUnit(c, () => true) as UnitPower;
    units = [...units, isPer ? { unit: next.unit, power: -next.power } : next];
  }
}

/** Whether the word token at `index` is a rate word. */
export function startsRate(c: Cursor, index: number): boolean {
  return RATE_WORDS.has(c.word(index));
}

/** A rate word at the cursor: mph, kmh. */
export function readRate(c: Cursor): readonly UnitPower[] | undefined {
  // Rate words have three letters.
  if (c.kind !== T.WORD || c.end() - c.start() !== 3) return undefined;
  const rate = RATE_WORDS.get(c.word());
  if (rate === undefined) return undefined;
  c.advance();
  return [
    { unit: unitById(rate[0]), power: 1 },
    { unit: unitById(rate[1]), power: -1 },
  ];
}
