import { unitById } from '../units/unit-table.ts';
import type { Directive, DirectiveTarget, NumberLiteral, UnitPower } from './ast.ts';
import type { Cursor } from './cursor.ts';
import { isTypedWhole } from './literal.ts';
import { isNumberStart, readNumber } from './measure-reader.ts';
import * as T from './token.ts';
import { MONEY_UNIT, readFurtherUnits, readRate, readUnit, startsRate, startsUnit } from './unit-reader.ts';

/** Words behind `to` that name a form rather than a unit. */
const FORMS: ReadonlyMap<string, Extract<DirectiveTarget, { kind: 'form' }>['form']> = new Map([
  ['slope', 'slope'],
  ['degrees', 'degrees'],
  ['degree', 'degrees'],
  ['deg', 'degrees'],
  ['fraction', 'mixed'],
  ['mixed', 'mixed'],
]);

/** Reads every `to …` at the end of an entry. The cursor stands on a word. */
export function readDirectives(c: Cursor): readonly Directive[] {
  const directives: Directive[] = [];
  for (;;) {
    const start = c.start();
    const direction = readIntroduction(c);
    if (direction === undefined) return directives;
    const target = readTarget(c);
    if (target === undefined) return directives;
    const rounding = direction === 'plain' ? undefined : direction;
    directives.push({ start, end: c.lastEnd(), direction: rounding, target: rounding ? wholeUnits(target) : target });
    if (c.kind !== T.WORD) return directives;
  }
}

/** "To the nearest inch" and "up to squares" round to one of that unit. */
function wholeUnits(target: DirectiveTarget): DirectiveTarget {
  if (target.kind !== 'units') return target;
  const amount: NumberLiteral = {
    kind: 'number',
    start: 0,
    end: 0,
    top: 1,
    bottom: 1,
    whole: 1,
    form: 'whole',
    unit: undefined,
  };
  return { kind: 'step', amount, units: target.units };
}

/** `to`, `up to`, `down to`, `to the nearest`, or `in` before a unit; undefined when none of them stands at the cursor. */
function readIntroduction(c: Cursor): 'up' | 'down' | 'nearest' | 'plain' | undefined {
  if (c.kind !== T.WORD) return undefined;
  const word = c.word();
  if (word === 'to') {
    c.advance();
    return readNearest(c) ? 'nearest' : 'plain';
  }
  if ((word === 'up' || word === 'down') && c.kindAt(c.index + 1) === T.WORD && c.word(c.index + 1) === 'to') {
    c.moveTo(c.index + 2);
    readNearest(c);
    return word;
  }
  // Behind a complete value `in` before a unit stands for `to`: 12' in mm.
  if (word === 'in' && namesTarget(c, c.index + 1)) {
    c.advance();
    return 'plain';
  }
  return undefined;
}

/** Past "the", "nearest" or both; whether "nearest" was there. */
function readNearest(c: Cursor): boolean {
  if (c.kind === T.WORD && c.word() === 'the') c.advance();
  if (c.kind !== T.WORD || c.word() !== 'nearest') return false;
  c.advance();
  return true;
}

/** Whether a unit, a mark of one, a rate or a scale of temperature stands at `index`. */
function namesTarget(c: Cursor, index: number): boolean {
  const kind = c.kindAt(index);
  if (kind === T.FOOT_MARK || kind === T.INCH_MARK) return true;
  if (kind !== T.WORD) return false;
  return startsUnit(c, index) || startsRate(c, index) || TEMPERATURE_LETTERS.has(c.word(index));
}

function readTarget(c: Cursor): DirectiveTarget | undefined {
  if (c.kind === T.END) {
    c.stopsShort('a unit or a fraction', c.start(c.index - 1));
    return undefined;
  }
  if (isNumberStart(c.kind)) {
    const amount = readNumber(c);
    if (
      c.kind === T.WORD &&
      (c.word() === 'decimals' || c.word() === 'decimal' || c.word() === 'places') &&
      isTypedWhole(amount)
    ) {
      c.advance();
      return { kind: 'decimals', count: Math.min(Number(amount.top), 30) };
    }
    if (amount.top === 0) return refuseTarget(c);
    return { kind: 'step', amount, units: readTargetUnits(c) ?? [] };
  }
  if (c.kind === T.CURRENCY && isNumberStart(c.kindAt(c.index + 1))) {
    c.advance();
    const amount = readNumber(c);
    return amount.top === 0 ? refuseTarget(c) : { kind: 'step', amount, units: [{ unit: MONEY_UNIT, power: 1 }] };
  }
  if (c.kind === T.WORD) {
    const word = c.word();
    const form = FORMS.get(word);
    if (form) {
      c.advance();
      const scale = form === 'degrees' ? readTargetScale(c) : undefined;
      if (scale) return { kind: 'units', units: [scale] };
      if (form === 'degrees' && c.kind === T.WORD && /^min(ute)?s?$/.test(c.word())) {
        c.advance();
        return { kind: 'form', form: 'degrees-minutes' };
      }
      return { kind: 'form', form };
    }
    if (word === 'dec' || word === 'decimal') {
      const next = c.kindAt(c.index + 1) === T.WORD ? c.word(c.index + 1) : '';
      if (/^in(ch(es)?)?$/.test(next)) {
        c.moveTo(c.index + 2);
        return { kind: 'form', form: 'in-dec' };
      }
    }
  }
  const units = readTargetUnits(c);
  if (units === undefined) return refuseTarget(c);
  const [first] = units;
  if (units.length === 1 && first?.unit.id === 'ft' && first.power === 1 && startsUnit(c, c.index)) {
    const behind = c.index;
    const second = readUnit(c, () => false);
    if (second?.unit.id === 'in' && second.power === 1) return { kind: 'form', form: 'ft-in' };
    c.moveTo(behind);
  }
  return { kind: 'units', units };
}

/** Behind `to`, and only there, F and C name a scale of temperature: a mark may be called that. */
const TEMPERATURE_LETTERS: ReadonlyMap<string, UnitPower> = new Map([
  ['f', { unit: unitById('fahrenheit'), power: 1 }],
  ['c', { unit: unitById('celsius'), power: 1 }],
]);

function readTargetScale(c: Cursor): UnitPower | undefined {
  const word = c.kind === T.WORD ? c.word() : '';
  const scale = TEMPERATURE_LETTERS.get(/^(?:fahrenheit|celsius|centigrade)$/.test(word) ? (word[0] as string) : word);
  if (scale) c.advance();
  return scale;
}

/** The units at the cursor: one, a rate, or several with their powers; undefined, and nothing consumed, where there are none. */
function readTargetUnits(c: Cursor): readonly UnitPower[] | undefined {
  const scale = readTargetScale(c);
  if (scale) return [scale];
  const rate = readRate(c);
  if (rate) return rate;
  const first = startsUnit(c, c.index) ? readUnit(c, () => true) : undefined;
  return first && readFurtherUnits(c, [first]);
}

function refuseTarget(c: Cursor): never {
  const target = c.kind === T.END ? c.text(c.index - 1) : c.text();
  const span = c.kind === T.END ? c.spanOfToken(c.index - 1) : c.spanOfToken();
  return c.refuse('directive.unknown', span, { target }, [
    { label: 'Leave it out', entry: c.source.slice(0, c.start(c.index - 1)).trimEnd() },
  ]);
}
