import { assertNever } from '../base/invariant.ts';
import type { Issue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import type { Span } from '../base/span.ts';
import type {
  Binary,
  Call,
  Compare,
  Entry,
  Expr,
  LineReference,
  LineRun,
  Measure,
  MeasurePart,
  PercentStep,
  Scaled,
  UnitPower,
} from '../notation/ast.ts';
import { COUNT_WORDS } from '../notation/functions.ts';
import type { JigProgram } from '../notation/ast.ts';
import { literalValue } from '../notation/literal.ts';
import type { Comparison } from '../notation/operators.ts';
import { PI } from '../number/radical.ts';
import {
  addRational,
  divideRational,
  makeRational,
  multiplyRational,
  ONE,
  signOfRational,
  type Rational,
} from '../number/rational.ts';
import {
  addValue,
  compareValue,
  divideValue,
  multiplyValue,
  negateValue,
  subtractValue,
  type Value,
} from '../number/value.ts';
import { kindOf, MONEY, PLAIN, SLOPE, TEMPERATURE } from '../units/dimension.ts';
import { unitValue, type Quantity } from '../units/quantity.ts';
import { KELVIN_AT_ZERO, type Unit } from '../units/unit-table.ts';
import { checkSize, divideQuantities, multiplyQuantities, raise } from './arithmetic.ts';
import { callFunction, type Argument } from './call-function.ts';
import type { Outcome } from './outcome.ts';
import { quickQuantity } from './quick.ts';
import { refuse, Refusal } from './refuse.ts';
import { answerOfCall, inputValue, runProgram, type JigRun } from './run-program.ts';
import { EMPTY_SCOPE, type Scope } from './scope.ts';

export type { Outcome } from './outcome.ts';
export type Evaluated = Result<Outcome, Issue>;

/**
 * Reckons a tree in a scope. Never throws; the first thing that cannot be reckoned is the issue, without fixes: `reckon`
 * adds those, which need the text.
 */
export function evaluate(entry: Entry, scope: Scope = EMPTY_SCOPE): Evaluated {
  const { expr } = entry;
  const quick = quickQuantity(expr);
  return quick === undefined ? walk(entry, scope) : ok({ kind: 'quantity', quantity: quick });
}

function walk({ expr, assignment }: Entry, scope: Scope): Evaluated {
  try {
    if (expr.kind === 'compare') {
      if (assignment) return refuse('answer.kept', expr, { name: assignment.name });
      return ok(compareSides(expr, scope));
    }
    return ok({ kind: 'quantity', quantity: quantityOf(expr, scope) });
  } catch (thrown) {
    if (thrown instanceof Refusal) return fail(thrown.issue);
    throw thrown;
  }
}

function quantityOf(expr: Expr, scope: Scope): Quantity {
  switch (expr.kind) {
    case 'known':
      return expr.quantity;
    case 'number':
      return { value: literalValue(expr), dimension: PLAIN };
    case 'measure':
      return measureOf(expr);
    case 'binary':
      return binaryOf(expr, scope);
    case 'scaled':
      return scaledOf(expr, scope);
    case 'slope':
      return { value: divideRational(literalValue(expr.rise), literalValue(expr.run)), dimension: SLOPE };
    case 'percent': {
      const { value, dimension } = quantityOf(expr.operand, scope);
      if (dimension !== PLAIN)
        return refuse('kind.function', expr, { name: '%', kind: kindOf(dimension), wanted: 'plain number' });
      return { value: divideValue(value, HUNDRED), dimension };
    }
    case 'constant':
      return { value: PI, dimension: PLAIN };
    case 'mark':
      return markOf(expr.name, expr, scope);
    case 'line':
      return lineOf(expr, scope);
    case 'run':
      return refuse('run.misplaced', expr, {});
    case 'last':
      return lastOf(expr, scope);
    case 'signed': {
      const { value, dimension } = quantityOf(expr.operand, scope);
      if (dimension === TEMPERATURE) return refuse('kind.temperature', expr, {});
      return { value: negateValue(value), dimension };
    }
    case 'percentStep':
      return percentStepOf(expr, scope);
    case 'power':
      return raise(quantityOf(expr.base, scope), quantityOf(expr.exponent, scope), expr, expr.exponent);
    case 'jig':
      return answerOfCall(expr, scope, outcomeOf);
    case 'call': {
      if (expr.name === 'if') return chosen(expr, scope);
      const args = argumentsOf(expr.args, scope);
      if (args.length === 0) return refuse('run.empty', expr, {});
      const result = callFunction(expr.name, args as [Argument, ...Argument[]], expr);
      checkSize(result.value, expr);
      return result;
    }
    case 'compare':
      return refuse('kind.answer', expr, {});
    default:
      return assertNever(expr);
  }
}

/** An expression on its own, where a comparison may stand as well. */
function outcomeOf(expr: Expr, scope: Scope): Outcome {
  const quick = quickQuantity(expr);
  if (quick !== undefined) return { kind: 'quantity', quantity: quick };
  return expr.kind === 'compare' ? compareSides(expr, scope) : { kind: 'quantity', quantity: quantityOf(expr, scope) };
}

/**
 * if(a < b; x; y): x where the comparison holds, else y. The other is worked out as well, so that a slip of kind is said at
 * once; where it cannot be, it is what the comparison keeps from being reckoned.
 */
function chosen(expr: Call, scope: Scope): Quantity {
  const [question, one, two] = expr.args as [Expr, Expr, Expr];
  if (question.kind !== 'compare') return refuse('if.question', question, {});
  const { yes } = compareSides(question, scope);
  const [taken, other] = yes ? [one, two] : [two, one];
  const quantity = quantityOf(taken, scope);
  const beside = quantityIfAny(other, scope);
  if (beside !== undefined && beside.dimension !== quantity.dimension)
    return refuse('if.kinds', expr, { left: kindOf(quantity.dimension), right: kindOf(beside.dimension) });
  return quantity;
}

function quantityIfAny(expr: Expr, scope: Scope): Quantity | undefined {
  try {
    return quantityOf(expr, scope);
  } catch (thrown) {
    if (thrown instanceof Refusal) return undefined;
    throw thrown;
  }
}

/**
 * Runs a jig with these values for its inputs, each undefined where its usual one is to be taken. Never throws; what is in the
 * way of a step is said with the steps before it.
 * @param wanted steps whose outcomes are wanted; all of them where it is undefined
 * @returns the run, or the issue of an input: missing, of another kind, out of its limits
 */
export function runJig(
  program: JigProgram,
  given: readonly (Quantity | undefined)[],
  wanted?: readonly number[],
): Result<JigRun, Issue> {
  const span = { start: 0, end: 0 };
  try {
    const inputs = program.inputs.map((input, place) => {
      const quantity = given[place];
      return quantity && inputValue(program, input, quantity, span);
    });
    return ok(runProgram(program, inputs, outcomeOf, span, wanted));
  } catch (thrown) {
    if (thrown instanceof Refusal) return fail(thrown.issue);
    throw thrown;
  }
}

const HUNDRED = makeRational(100);

function measureOf(measure: Measure): Quantity {
  const { parts } = measure;
  const first = parts[0] as MeasurePart;
  const { dimension } = first.unit;
  if (dimension === TEMPERATURE) return { value: temperatureOf(literalValue(first), first.unit, measure), dimension };
  let sum: Rational = multiplyRational(literalValue(first), first.unit.factor);
  for (const part of parts.slice(1)) sum = addRational(sum, multiplyRational(literalValue(part), part.unit.factor));
  return { value: checkSize(first.unit.timesPi ? multiplyValue(sum, PI) : sum, measure), dimension };
}

/** Kelvin from a scale with its own zero. */
function temperatureOf(degrees: Rational, unit: Unit, span: Span): Rational {
  const kelvin = addRational(
    KELVIN_AT_ZERO[unit.id as keyof typeof KELVIN_AT_ZERO],
    multiplyRational(degrees, unit.factor),
  );
  return signOfRational(kelvin) < 0 ? refuse('range.temperature', span, {}) : kelvin;
}

function scaledOf(scaled: Scaled, scope: Scope): Quantity {
  const base = quantityOf(scaled.operand, scope);
  if (base.dimension !== PLAIN && (scaled.units[0]?.power ?? 0) > 0)
    return refuse('kind.unit_on_quantity', scaled, { kind: kindOf(base.dimension) });
  const [only] = scaled.units as [UnitPower];
  if (only.unit.dimension === TEMPERATURE && scaled.units.length === 1 && only.power === 1) {
    if (base.value.kind !== 'rational') return refuse('kind.temperature', scaled, {});
    return { value: temperatureOf(base.value, only.unit, scaled), dimension: TEMPERATURE };
  }
  let quantity = base;
  for (const { unit, power } of scaled.units) {
    const one: Quantity = { value: unitValue(unit), dimension: unit.dimension };
    const powered = power === 1 ? one : raise(one, { value: makeRational(power), dimension: PLAIN }, scaled, scaled);
    if (unit.dimension === TEMPERATURE) return refuse('kind.temperature', scaled, {});
    quantity = multiplyQuantities(quantity, powered, scaled);
  }
  return quantity;
}

function binaryOf(expr: Binary, scope: Scope): Quantity {
  const left = quantityOf(expr.left, scope);
  const right = quantityOf(expr.right, scope);
  switch (expr.operator) {
    case 'add':
    case 'subtract': {
      if (left.dimension !== right.dimension) return refuseUnlike(expr, left, right);
      if (left.dimension === TEMPERATURE) return refuse('kind.temperature', expr, {});
      const value =
        expr.operator === 'add' ? addValue(left.value, right.value) : subtractValue(left.value, right.value);
      return { value: checkSize(value, expr), dimension: left.dimension };
    }
    case 'multiply':
    case 'of':
      return multiplyQuantities(left, right, expr);
    case 'divide':
      return divideQuantities(left, right, expr, expr.right);
    case 'at':
      return countAt(expr, left, right);
    default:
      return assertNever(expr.operator);
  }
}

/** 3 @ 4′ is three of them; 24′ @ 16″ is how many such spacings the length holds; 30 sq ft @ $2/sq ft is a price. */
function countAt(expr: Binary, left: Quantity, right: Quantity): Quantity {
  if (left.dimension === PLAIN || left.dimension + right.dimension === MONEY)
    return multiplyQuantities(left, right, expr);
  if (left.dimension === right.dimension) return divideQuantities(left, right, expr, expr.right);
  return refuse('kind.function', expr.right, {
    name: '@',
    kind: kindOf(right.dimension),
    wanted: kindOf(left.dimension),
  });
}

function refuseUnlike(expr: Binary, left: Quantity, right: Quantity): never {
  const names = { left: kindOf(left.dimension), right: kindOf(right.dimension) };
  const plain = left.dimension === PLAIN ? expr.left : right.dimension === PLAIN ? expr.right : undefined;
  return plain === undefined ? refuse('kind.add', expr, names) : refuse('kind.add_plain', plain, names);
}

function percentStepOf(expr: PercentStep, scope: Scope): Quantity {
  const left = quantityOf(expr.left, scope);
  if (left.dimension === TEMPERATURE) return refuse('kind.temperature', expr, {});
  const part = quantityOf(expr.percent, scope);
  const factor: Value = expr.operator === 'add' ? addValue(ONE, part.value) : subtractValue(ONE, part.value);
  return { value: checkSize(multiplyValue(left.value, factor), expr), dimension: left.dimension };
}

function lineOf(expr: LineReference, scope: Scope): Quantity {
  const found = scope.line(expr.number);
  if (found?.ok) return found.quantity;
  return found === undefined
    ? refuse('line.unknown', expr, { line: numbered(expr.number) })
    : refuse('line.failed', expr, { line: `Line #${expr.number}` });
}

function lastOf(span: Span, scope: Scope): Quantity {
  const found = scope.last();
  if (found === undefined) return refuse('last.none', span, {});
  return found.ok ? found.quantity : refuse('line.failed', span, { line: lineName(found.line) });
}

/** A number past all that a slate may have stands for any such, see the scanner. */
function numbered(line: number): string {
  return line === Number.MAX_SAFE_INTEGER ? 'of so high a number' : `#${line}`;
}

function lineName(line: number | undefined): string {
  return line === undefined ? 'The last line' : `Line #${line}`;
}

function markOf(name: string, span: Span, scope: Scope): Quantity {
  if (name === 'it') return refuse('percent.of_it', span, {});
  const found = scope.mark(name.toLowerCase());
  if (found === undefined)
    return COUNT_WORDS.has(name.toLowerCase())
      ? { value: ONE, dimension: PLAIN }
      : refuse('name.unknown', span, { name });
  return found.ok ? found.quantity : refuse('mark.failed', span, { name });
}

function argumentsOf(exprs: readonly Expr[], scope: Scope): Argument[] {
  const args: Argument[] = [];
  for (const expr of exprs) {
    if (expr.kind === 'run') args.push(...linesOfRun(expr, scope));
    else args.push({ quantity: quantityOf(expr, scope), span: expr });
  }
  return args;
}

/** A run stands for as many arguments as it has lines. */
function linesOfRun(expr: LineRun, scope: Scope): readonly Argument[] {
  const { from, to } = expr;
  const lines = scope.run(from, to);
  if (lines === undefined) {
    const missing = [from, to].find((number) => scope.line(number) === undefined);
    return missing === undefined
      ? refuse('run.backwards', expr, { from: `#${from}`, to: `#${to}` })
      : refuse('line.unknown', expr, { line: numbered(missing) });
  }
  return lines.map((line) => ({
    quantity: line.ok ? line.quantity : refuse('line.failed', expr, { line: lineName(line.line) }),
    span: expr,
  }));
}

const HOLDS: Readonly<Record<Comparison, (order: -1 | 0 | 1) => boolean>> = {
  '==': (order) => order === 0,
  '!=': (order) => order !== 0,
  '<': (order) => order < 0,
  '<=': (order) => order <= 0,
  '>': (order) => order > 0,
  '>=': (order) => order >= 0,
};

function compareSides(expr: Compare, scope: Scope): Outcome & { readonly kind: 'answer' } {
  const left = quantityOf(expr.left, scope);
  const right = quantityOf(expr.right, scope);
  if (left.dimension !== right.dimension)
    return refuse('kind.compare', expr, { left: kindOf(left.dimension), right: kindOf(right.dimension) });
  const yes = HOLDS[expr.operator](compareValue(left.value, right.value));
  const difference = { value: subtractValue(left.value, right.value), dimension: left.dimension };
  return { kind: 'answer', yes, difference };
}
