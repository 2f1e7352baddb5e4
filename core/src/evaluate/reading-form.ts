import { makeIssue, type Issue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import type { Directive, DirectiveTarget } from '../notation/ast.ts';
import { literalValue } from '../notation/literal.ts';
import { printUnits } from '../notation/printer.ts';
import { multiplyRational, type Rational } from '../number/rational.ts';
import { ANGLE, kindOf, LENGTH, PLAIN, SLOPE, TEMPERATURE, type Dimension } from '../units/dimension.ts';
import { unitById, type Unit } from '../units/unit-table.ts';
import type { ReadingForm } from '../reading/style.ts';

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/**
 * What a line's own `to …` asks of its reading, or the issue that the value cannot be read that way. Later directives
 * add to earlier ones: `to mm to 5 mm`.
 * @param dimension of the line's value
 */
export function readingForm(
  directives: readonly Directive[],
  dimension: Dimension,
): Result<ReadingForm | undefined, Issue> {
  if (directives.length === 0) return ok(undefined);
  const form: Mutable<ReadingForm> = {};
  for (const directive of directives) {
    if (directive.direction !== undefined) form.rounding = directive.direction;
    const unlike = applyTarget(directive.target, dimension, form);
    if (unlike !== undefined)
      return fail(makeIssue('directive.kind', directive, { target: unlike, kind: kindOf(dimension) }));
  }
  return ok(form);
}

const INCH = unitById('in');

/** Adds one target to the form; the target's name when the kind does not fit it. */
function applyTarget(target: DirectiveTarget, dimension: Dimension, form: Mutable<ReadingForm>): string | undefined {
  switch (target.kind) {
    case 'units': {
      if (dimensionOfUnits(target.units) !== dimension) return printUnits(target.units);
      form.units = target.units.map(({ unit, power }) => ({ unit: unit.id, power }));
      return undefined;
    }
    case 'form':
      if (!formFits(target.form, dimension)) return target.form;
      form.form = target.form;
      return undefined;
    case 'step': {
      const unit: Unit | undefined = target.unit ?? (dimension === LENGTH ? INCH : undefined);
      if (
        unit === undefined
          ? dimension !== PLAIN
          : unit.dimension !== dimension || unit.timesPi || dimension === TEMPERATURE
      )
        return target.unit?.symbol ?? 'that step';
      form.step = unit === undefined ? literalValue(target.amount) : stepIn(literalValue(target.amount), unit);
      if (unit !== undefined && unit !== INCH && unit.id !== 'ft') form.units ??= [{ unit: unit.id, power: 1 }];
      return undefined;
    }
    case 'decimals':
      form.decimals = target.count;
      return undefined;
  }
}

function stepIn(amount: Rational, unit: Unit): Rational {
  return multiplyRational(amount, unit.factor);
}

function dimensionOfUnits(units: Extract<DirectiveTarget, { kind: 'units' }>['units']): Dimension {
  return units.reduce((sum, { unit, power }) => sum + unit.dimension * power, 0);
}

type Form = Extract<DirectiveTarget, { kind: 'form' }>['form'];

function formFits(form: Form, dimension: Dimension): boolean {
  if (form === 'ft-in' || form === 'in-dec') return dimension === LENGTH;
  if (form === 'mixed') return dimension === PLAIN;
  return dimension === ANGLE || dimension === SLOPE;
}

/**
 * The angle of a slope or the slope of an angle, when the line asks for the other of the two; undefined when there is
 * nothing to convert.
 */
export function convertsAngle(
  form: ReadingForm | undefined,
  dimension: Dimension,
): 'to-angle' | 'to-slope' | undefined {
  if (form?.form === 'slope') return dimension === ANGLE ? 'to-slope' : undefined;
  const asksAngle = form?.form === 'degrees' || form?.form === 'degrees-minutes';
  return asksAngle && dimension === SLOPE ? 'to-angle' : undefined;
}
