import { assertNever, InvariantError } from '../base/invariant.ts';
import { exactDecimal } from '../number/decimal.ts';
import { rationalToText } from '../number/rational.ts';
import { LENGTH, MONEY } from '../units/dimension.ts';
import type {
  Binary,
  Directive,
  DirectiveTarget,
  Entry,
  Expr,
  JigCall,
  MarkReference,
  Measure,
  NumberLiteral,
  Scaled,
  UnitPower,
} from './ast.ts';
import { COUNT_WORDS, type FunctionName } from './functions.ts';
import { literalValue, typedNumerator } from './literal.ts';
import { BINARY_OPERATORS, LEVEL, type BinaryOperator, type Comparison } from './operators.ts';

export interface PrintOptions {
  readonly decimalComma?: boolean;
  /** Sign of the job's currency. */
  readonly currency?: string;
  /** What stands in place of a name: the figure that it holds. Such text is for the eye, and no entry. */
  readonly figure?: (name: string) => string | undefined;
}

const COMPARISON_SIGNS: Readonly<Record<Comparison, string>> = {
  '==': '==',
  '!=': '≠',
  '<': '<',
  '<=': '≤',
  '>': '>',
  '>=': '≥',
};
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/**
 * The read-back: the tree as an entry with every grouping visible. Law, kept by property tests: it parses to the same
 * value, and printing that again gives the same text.
 * @example printEntry(parse('5+6*4').entry).slice(4) // => '(6 × 4)'
 */
export function printEntry(entry: Entry, options: PrintOptions = {}): string {
  const label = entry.label === undefined ? '' : `${entry.label}: `;
  const sign = { keep: '=', add: '+=', subtract: '-=' } as const;
  const assignment = entry.assignment ? `${entry.assignment.name} ${sign[entry.assignment.operator]} ` : '';
  const directives = entry.directives.map((directive) => ` ${printDirective(directive, options)}`).join('');
  return `${label}${assignment}${printExpr(entry.expr, options)}${directives}`;
}

/** One expression, as `printEntry` writes it. */
export function printExpr(expr: Expr, options: PrintOptions = {}): string {
  switch (expr.kind) {
    case 'number':
      return printNumber(expr, options);
    case 'measure':
      return printMeasure(expr, options);
    case 'scaled':
      return printScaled(expr, options);
    case 'slope':
      return `${printSlopePart(expr.rise, options)}:${printSlopePart(expr.run, options)}`;
    case 'percent':
      return `${expr.operand.kind === 'number' ? printNumber(expr.operand, options) : `(${printExpr(expr.operand, options)})`}%`;
    case 'constant':
      return 'π';
    case 'mark':
      return options.figure?.(expr.name) ?? expr.name;
    case 'line':
      return `#${expr.number}`;
    case 'run':
      return `#${expr.from}..#${expr.to}`;
    case 'last':
      return 'last';
    case 'signed':
      return `−${bracketUnless(isAtomic(expr.operand), expr.operand, options)}`;
    case 'binary': {
      if (isCounted(expr))
        return `${bracketUnless(standsOnLeft(expr.left, 'multiply'), expr.left, options)} ${expr.right.name}`;
      const operator = plainOperator(expr);
      const { written, level } = BINARY_OPERATORS[operator];
      const left = bracketUnless(standsOnLeft(expr.left, operator), expr.left, options);
      const right = bracketUnless(standsOnRight(expr.right, level), expr.right, options);
      return `${left} ${written} ${right}`;
    }
    case 'percentStep':
      return `${bracketUnless(isAtomic(expr.left), expr.left, options)} ${expr.operator === 'add' ? '+' : '−'} ${printExpr(expr.percent, options)} of it`;
    case 'power':
      return `${bracketUnless(isPowerBase(expr.base), expr.base, options)}${printExponent(expr.exponent, options)}`;
    case 'call':
      if (expr.name === 'sqrt') return printRoot(expr.args[0] as Expr, options);
      return `${expr.name}(${expr.args.map((argument) => printArgument(expr.name, argument, options)).join('; ')})`;
    case 'jig':
      return printJigCall(expr, options);
    case 'compare':
      return `${bracketUnless(expr.left.kind !== 'compare', expr.left, options)} ${COMPARISON_SIGNS[expr.operator]} ${bracketUnless(expr.right.kind !== 'compare', expr.right, options)}`;
    case 'known':
      throw new InvariantError('a tree with parts worked out is not printed');
    default:
      return assertNever(expr);
  }
}

/** With the name of every input that is given, and of the answer where it is not the first. */
function printJigCall({ program, answer, args }: JigCall, options: PrintOptions): string {
  const given = args.map(({ input, expr }) => `${program.inputs[input]?.name ?? ''} = ${printExpr(expr, options)}`);
  const from = answer === program.answers[0] ? '' : `${program.steps[answer]?.name ?? ''} from `;
  return `${from}${program.name}(${given.join('; ')})`;
}

/** 2 ea: a word that only says what is counted stays behind its number. */
function isCounted(expr: Binary): expr is Binary & { readonly right: MarkReference } {
  return expr.operator === 'multiply' && expr.right.kind === 'mark' && COUNT_WORDS.has(expr.right.name.toLowerCase());
}

/** What @ comes to where the entry itself says it: three of them is ×, a spacing in a length is ÷. */
function plainOperator({ operator, left, right }: Binary): BinaryOperator {
  if (operator !== 'at') return operator;
  if (left.kind === 'number') return 'multiply';
  return isLength(left) && isLength(right) ? 'divide' : operator;
}

function isLength(expr: Expr): boolean {
  return expr.kind === 'measure' && expr.parts[0]?.unit.dimension === LENGTH;
}

function bracketUnless(bare: boolean, expr: Expr, options: PrintOptions): string {
  const text = printExpr(expr, options);
  return bare ? text : `(${text})`;
}

/** Nothing inside it could be grouped in another way. */
function isAtomic(expr: Expr): boolean {
  switch (expr.kind) {
    case 'number':
    case 'measure':
    case 'scaled':
    case 'slope':
    case 'percent':
    case 'constant':
    case 'mark':
    case 'line':
    case 'last':
    case 'call':
    case 'jig':
      return !isNegativeMeasure(expr);
    default:
      return false;
  }
}

function isNegativeMeasure(expr: Expr): boolean {
  return expr.kind === 'measure' && (expr.parts[0]?.top ?? 0) < 0;
}

/** Sums and pure products run on without brackets; every mixture shows its grouping. */
function standsOnLeft(expr: Expr, operator: keyof typeof BINARY_OPERATORS): boolean {
  if (expr.kind === 'power' || isNegativeMeasure(expr)) return true;
  if (expr.kind !== 'binary')
    return isAtomic(expr) || (expr.kind === 'signed' && BINARY_OPERATORS[operator].level === LEVEL.sum);
  const isSum = BINARY_OPERATORS[operator].level === LEVEL.sum;
  return isSum
    ? BINARY_OPERATORS[expr.operator].level === LEVEL.sum
    : operator === 'multiply' && plainOperator(expr) === 'multiply';
}

function standsOnRight(expr: Expr, level: number): boolean {
  // A bare percent behind + or − would take the sum so far; in brackets it is a number.
  if (expr.kind === 'percent') return level !== LEVEL.sum;
  return expr.kind === 'power' || isAtomic(expr);
}

function isPowerBase(expr: Expr): boolean {
  switch (expr.kind) {
    case 'number':
      return expr.form !== 'fraction';
    case 'constant':
    case 'mark':
    case 'line':
    case 'last':
      return true;
    case 'call':
      // √2² would be the root of 2².
      return expr.name !== 'sqrt';
    default:
      return false;
  }
}

/** A plain number given to sin, cos or tan is in degrees, and the read-back says so. */
function printArgument(name: FunctionName, argument: Expr, options: PrintOptions): string {
  const text = printExpr(argument, options);
  if ((name !== 'sin' && name !== 'cos' && name !== 'tan') || !isPlainNumber(argument)) return text;
  return argument.kind === 'number' || argument.kind === 'constant' ? `${text}°` : `(${text})°`;
}

/** Whether an expression is a plain number whatever the scope: made of numbers and π alone. */
function isPlainNumber(expr: Expr): boolean {
  switch (expr.kind) {
    case 'number':
    case 'constant':
      return true;
    case 'signed':
      return isPlainNumber(expr.operand);
    case 'percent':
      return isPlainNumber(expr.operand);
    case 'binary':
      return isPlainNumber(expr.left) && isPlainNumber(expr.right);
    case 'percentStep':
      return isPlainNumber(expr.left);
    case 'power':
      return isPlainNumber(expr.base) && isPlainNumber(expr.exponent);
    default:
      return false;
  }
}

/** √2, √rail, √(2 + 3). */
function printRoot(operand: Expr, options: PrintOptions): string {
  const bare =
    operand.kind === 'number'
      ? operand.form !== 'fraction'
      : operand.kind === 'mark' || operand.kind === 'line' || operand.kind === 'constant';
  return `√${bracketUnless(bare, operand, options)}`;
}

function printExponent(exponent: Expr, options: PrintOptions): string {
  if (exponent.kind === 'number' && exponent.form !== 'fraction') {
    const { num, den } = literalValue(exponent);
    if (den === 1 && num < 1000) return raised(`${num}`);
  }
  return `^${exponent.kind === 'number' && exponent.form !== 'fraction' ? printNumber(exponent, options) : `(${printExpr(exponent, options)})`}`;
}

function raised(digits: string): string {
  return digits.replace(/\d/g, (digit) => RAISED[Number(digit)] as string);
}

function printNumber(literal: NumberLiteral, options: PrintOptions): string {
  if (literal.form === 'fraction') {
    const front = literal.whole === 0 ? '' : `${literal.whole} `;
    return `${literal.top < 0 ? '−' : ''}${front}${typedNumerator(literal)}⁄${literal.bottom}`;
  }
  if (literal.form === 'whole' && typeof literal.top === 'number') return `${literal.top}`.replace('-', '−');
  const value = literalValue(literal);
  const text = exactDecimal(value, options.decimalComma ? ',' : '.') ?? rationalToText(value);
  return text.replace('-', '−').replace('e−', 'e-');
}

/** Tight digits, so that 6 1/2:12 stays one slope. */
function printSlopePart(literal: NumberLiteral, options: PrintOptions): string {
  return printNumber(literal, options);
}

function printMeasure(measure: Measure, options: PrintOptions): string {
  return `${printParts(measure, options)}${printNote(measure.note)}`;
}

function printNote(note: string | undefined): string {
  return note === undefined ? '' : ` (${note})`;
}

function printParts(measure: Measure, options: PrintOptions): string {
  return measure.parts
    .map((part) => {
      const number = printNumber(part, options);
      const { unit } = part;
      return `${number}${printUnitBehind(number === '1' ? unit.one : unit.symbol, unit.dimension === MONEY, options)}`;
    })
    .join(' ');
}

/** Marks stand tight behind the figure, words behind a space. */
function printUnitBehind(symbol: string, isMoney: boolean, options: PrintOptions): string {
  const written = isMoney ? (options.currency ?? '$') : symbol;
  return /^[′″°]/.test(written) ? written : ` ${written}`;
}

function printScaled(scaled: Scaled, options: PrintOptions): string {
  const { operand } = scaled;
  const onlyDivides = (scaled.units[0] as UnitPower).power < 0;
  const bare =
    operand.kind === 'number' ||
    operand.kind === 'constant' ||
    (operand.kind === 'measure' && onlyDivides && !isNegativeMeasure(operand));
  const value = bracketUnless(bare, operand, options);
  // Units that only divide ((9′)/h, 5′/ft) follow the value at once.
  const units = printUnits(scaled.units, options);
  const gap = units.startsWith('/') || units.startsWith('°') ? '' : ' ';
  return `${value}${gap}${units}${printNote(scaled.note)}`;
}

/** ft², km/h, $/m: unit words, never primes, except for a lone inch or foot mark. */
export function printUnits(units: readonly UnitPower[], options: PrintOptions = {}): string {
  let text = '';
  for (const { unit, power } of units) {
    const word = unit.dimension === MONEY ? (options.currency ?? '$') : wordOf(unit, power < 0);
    const size = Math.abs(power);
    const powered = size === 1 ? word : `${word}${raised(`${size}`)}`;
    text += power < 0 ? `/${powered}` : text === '' ? powered : `·${powered}`;
  }
  return text;
}

function wordOf(unit: UnitPower['unit'], isOne: boolean): string {
  if (/^[′″]/.test(unit.symbol)) return unit.words.find((word) => /^[a-z]/.test(word)) ?? unit.symbol;
  return isOne ? unit.one : unit.symbol;
}

const FORM_WORDS = {
  'ft-in': 'ft in',
  'in-dec': 'dec in',
  slope: 'slope',
  degrees: 'degrees',
  'degrees-minutes': 'degrees minutes',
  mixed: 'fraction',
} as const;

function printDirective(directive: Directive, options: PrintOptions): string {
  const { direction, target } = directive;
  const introduction = direction === undefined ? 'to' : direction === 'nearest' ? 'to nearest' : `${direction} to`;
  return `${introduction} ${printTarget(target, options)}`;
}

/** What stands behind `to`: a unit, a form, a step, or a count of decimals. */
export function printTarget(target: DirectiveTarget, options: PrintOptions = {}): string {
  switch (target.kind) {
    case 'units':
      return printUnits(target.units, options);
    case 'form':
      return FORM_WORDS[target.form];
    case 'step':
      return printStep(target, options);
    case 'decimals':
      return target.count === 1 ? '1 decimal' : `${target.count} decimals`;
    default:
      return assertNever(target);
  }
}

function printStep({ amount, units }: Extract<DirectiveTarget, { kind: 'step' }>, options: PrintOptions): string {
  const number = printNumber(amount, options);
  const [only] = units;
  if (only === undefined) return number;
  if (units.length > 1 || only.power !== 1) return `${number} ${printUnits(units, options)}`;
  const { unit } = only;
  return `${number}${printUnitBehind(number === '1' ? unit.one : unit.symbol, unit.dimension === MONEY, options)}`;
}
