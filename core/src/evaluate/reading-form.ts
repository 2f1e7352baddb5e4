import { makeIssue, type Issue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import type { Directive, DirectiveTarget } from '../notation/ast.ts';
import { literalValue } from '../notation/literal.ts';
import { printTarget } from '../notation/printer.ts';
import { compareRational, makeRational, multiplyRational } from '../number/rational.ts';
import { isInchDivision } from '../reading/read-inches.ts';
import { ANGLE, isOrdinary, kindOf, LENGTH, PLAIN, SLOPE, type Dimension } from '../units/dimension.ts';
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
    const issue = applyTarget(directive, dimension, form);
    if (issue !== undefined) return fail(issue);
  }
  return ok(form);
}

/** A step finer than this, in its unit, would be shown by more figures than anybody reads. */
const FINEST_STEP = makeRational(1, 10n ** 30n);

/** Adds one target to the form. Nothing when that went well, else the issue. */
function applyTarget(directive: Directive, dimension: Dimension, form: Mutable<ReadingForm>): Issue | undefined {
  const { target } = directive;
  if (!targetFits(target, dimension))
    return makeIssue('directive.kind', directive, { target: printTarget(target), kind: kindOf(dimension) });
  switch (target.kind) {
    case 'units':
      form.units = target.units.map(({ unit, power }) => ({ unit: unit.id, power }));
      return undefined;
    case 'form':
      form.form = target.form;
      return undefined;
    case 'step':
      if (compareRational(literalValue(target.amount), FINEST_STEP) < 0)
        return makeIssue('directive.too_fine', directive, {});
      applyStep(target, dimension, form);
      return undefined;
    case 'decimals':
      form.decimals = target.count;
      return undefined;
  }
}

/** A step in feet or inches that is a division of an inch reads on a tape; any other in the units it is given in. */
function applyStep({ amount, units }: StepTarget, dimension: Dimension, form: Mutable<ReadingForm>): void {
  const step = literalValue(amount);
  const [first] = units;
  const inInches =
    units.length === 1 && first?.power === 1 && first.unit.family === 'foot' && first.unit.id !== 'yd'
      ? multiplyRational(step, makeRational(first.unit.share))
      : undefined;
  if (inInches !== undefined && (first?.unit.id === 'in' || isInchDivision(inInches))) {
    form.step = inInches;
    return;
  }
  form.step = step;
  if (units.length > 0) form.units = units.map(({ unit, power }) => ({ unit: unit.id, power }));
  else if (dimension === PLAIN && amount.form === 'fraction') form.form = 'mixed';
}

type StepTarget = Extract<DirectiveTarget, { kind: 'step' }>;

function targetFits(target: DirectiveTarget, dimension: Dimension): boolean {
  switch (target.kind) {
    case 'units':
      return dimensionOfUnits(target.units) === dimension;
    case 'form':
      return formFits(target.form, dimension);
    case 'step':
      return target.units.length === 0
        ? dimension === LENGTH || dimension === PLAIN
        : dimensionOfUnits(target.units) === dimension;
    case 'decimals':
      return true;
  }
}

function dimensionOfUnits(units: Extract<DirectiveTarget, { kind: 'units' }>['units']): Dimension {
  return units.reduce((sum, { unit, power }) => sum + unit.dimension * power, 0);
}

type Form = Extract<DirectiveTarget, { kind: 'form' }>['form'];

function formFits(form: Form, dimension: Dimension): boolean {
  if (form === 'ft-in' || form === 'in-dec') return dimension === LENGTH;
  if (form === 'mixed') return isOrdinary(dimension);
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
