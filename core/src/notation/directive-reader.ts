import type { Directive, DirectiveTarget, UnitPower } from './ast.ts';
import type { Cursor } from './cursor.ts';
import { isTypedWhole } from './literal.ts';
import { isNumberStart, readNumber } from './measure-reader.ts';
import * as T from './token.ts';
import { readFurtherUnits, readRate, readUnit, startsUnit } from './unit-reader.ts';

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
    directives.push({ start, end: c.lastEnd(), direction: direction === 'plain' ? undefined : direction, target });
    if (c.kind !== T.WORD) return directives;
  }
}

/** `to`, `up to`, `down to`, `to the nearest`, or `in` before a unit; undefined when none of them stands at the cursor. */
function readIntroduction(c: Cursor): 'up' | 'down' | 'nearest' | 'plain' | undefined {
  if (c.kind !== T.WORD) return undefined;
  const word = c.word();
  if (word === 'to') {
    c.advance();
    if (c.kind === T.WORD && c.word() === 'the') c.advance();
    if (c.kind !== T.WORD || c.word() !== 'nearest') return 'plain';
    c.advance();
    return 'nearest';
  }
  if ((word === 'up' || word === 'down') && c.kindAt(c.index + 1) === T.WORD && c.word(c.index + 1) === 'to') {
    c.moveTo(c.index + 2);
    return word;
  }
  // Behind a complete value `in` before a unit stands for `to`: 12' in mm.
  if (word === 'in' && c.kindAt(c.index + 1) === T.WORD && startsUnit(c, c.index + 1)) {
    c.advance();
    return 'plain';
  }
  return undefined;
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
    const mark = startsUnit(c, c.index) ? readUnit(c, () => false) : undefined;
    if (mark && mark.power !== 1) return refuseTarget(c);
    if (amount.top === 0) return refuseTarget(c);
    return { kind: 'step', amount, unit: mark?.unit };
  }
  if (c.kind === T.WORD) {
    const word = c.word();
    const form = FORMS.get(word);
    if (form) {
      c.advance();
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
    const rate = readRate(c);
    if (rate) return { kind: 'units', units: rate };
  }
  const first: UnitPower | undefined = readUnit(c, () => true);
  if (first === undefined) return refuseTarget(c);
  if (first.unit.id === 'ft' && first.power === 1 && startsUnit(c, c.index)) {
    const behind = c.index;
    const second = readUnit(c, () => false);
    if (second?.unit.id === 'in' && second.power === 1) return { kind: 'form', form: 'ft-in' };
    c.moveTo(behind);
  }
  return { kind: 'units', units: readFurtherUnits(c, [first]) };
}

function refuseTarget(c: Cursor): never {
  const target = c.kind === T.END ? c.text(c.index - 1) : c.text();
  const span = c.kind === T.END ? c.spanOfToken(c.index - 1) : c.spanOfToken();
  return c.refuse('directive.unknown', span, { target }, [
    { label: 'Leave it out', entry: c.source.slice(0, c.start(c.index - 1)).trimEnd() },
  ]);
}
