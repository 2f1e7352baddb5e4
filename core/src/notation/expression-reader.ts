/** Expressions, from the loosest operator down to a single operand. */
import type { Fix } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import type { Binary, Compare, Expr, Percent } from './ast.ts';
import { STOP, type Cursor } from './cursor.ts';
import { readRun, refuseArguments } from './function-arguments.ts';
import { functionInfo, isFunctionName, JIG_GONE, RESERVED_WORDS, type FunctionName } from './functions.ts';
import { jigCallAt, readJigCall } from './jig-call-reader.ts';
import { refuseRest } from './leftover.ts';
import { isNumberStart, moneyOf, readNumber, readNumberOrMeasure, readUnitsBehind } from './measure-reader.ts';
import { BINARY_OPERATORS, COMPARISONS, LEVEL, LIMITS, type OperatorInfo } from './operators.ts';
import * as T from './token.ts';
import { isUnitWord } from './unit-reader.ts';

/** A whole expression from the cursor on: the loosest level. Undefined when the entry ends before any value. */
export function readWhole(c: Cursor): Expr | undefined {
  const left = startsWithOperator(c) ? readOperators(c, lastResult(c), LEVEL.sum) : readBinary(c, LEVEL.sum);
  if (left === undefined || c.kind !== T.COMPARE) return left;
  const operator = COMPARISONS[c.text().normalize('NFKC')];
  if (operator === undefined) return c.refuse('symbol.unexpected', c.spanOfToken(), { symbol: c.text() });
  const before = c.lastEnd();
  c.advance();
  const right = readBinary(c, LEVEL.sum);
  if (right === undefined) {
    c.stopsShort('a value', before);
    return left;
  }
  return { kind: 'compare', start: left.start, end: right.end, operator, left, right } satisfies Compare;
}

/** An entry that begins with ×, ÷ or ^ goes on from the last result. */
function startsWithOperator(c: Cursor): boolean {
  return c.index === 0 && (c.kind === T.TIMES || c.kind === T.DIVIDE || c.kind === T.SLASH || c.kind === T.CARET);
}

function lastResult(c: Cursor): Expr {
  const last: Expr = { kind: 'last', start: c.start(), end: c.start() };
  return c.kind === T.CARET ? readPower(c, last) : last;
}

/** Reads one operand and every binary operator at `level` or above behind it. */
function readBinary(c: Cursor, level: number): Expr | undefined {
  const left = readSigned(c);
  return left === undefined ? undefined : readOperators(c, left, level);
}

/** Below every level there is: it ends the expression. */
const NO_OPERATOR: OperatorInfo = { operator: 'add', level: 0, written: '', plain: '' };

/** Operators by the kind of the token that writes them and nothing else; undefined where it takes a look around. */
const OPERATOR_OF_KIND: readonly (OperatorInfo | undefined)[] = Array.from({ length: T.UNKNOWN + 1 }, (_, kind) => {
  switch (kind) {
    case T.PLUS:
      return BINARY_OPERATORS.add;
    case T.MINUS:
    case T.HYPHEN:
      return BINARY_OPERATORS.subtract;
    case T.TIMES:
      return BINARY_OPERATORS.multiply;
    case T.DIVIDE:
    case T.SLASH:
      return BINARY_OPERATORS.divide;
    case T.AT:
      return BINARY_OPERATORS.at;
    case T.WORD:
    case T.NAME:
    case T.OPEN:
    case T.ROOT:
    case T.PI:
      return undefined;
    default:
      return NO_OPERATOR;
  }
});

/** The operator at the cursor; multiplication is implied from a number or `)` to a name, a bracket, √ or π. */
function operatorAt(c: Cursor): OperatorInfo {
  return OPERATOR_OF_KIND[c.kind] ?? operatorUnwritten(c);
}

function operatorUnwritten(c: Cursor): OperatorInfo {
  if (c.kind === T.WORD && c.word() === 'of') return BINARY_OPERATORS.of;
  const spoken = spokenOperator(c);
  if (spoken) return spoken;
  const multiplies = c.index === c.multiplierEnd && (c.kind !== T.WORD || startsName(c));
  return multiplies ? BINARY_OPERATORS.multiply : NO_OPERATOR;
}

/** 12' divided by 3: two words, neither of which means anything alone. */
function spokenOperator(c: Cursor): OperatorInfo | undefined {
  if (c.kind !== T.WORD || c.kindAt(c.index + 1) !== T.WORD || c.word(c.index + 1) !== 'by') return undefined;
  const word = c.word();
  if (word === 'divided') return BINARY_OPERATORS.divide;
  return word === 'multiplied' ? BINARY_OPERATORS.multiply : undefined;
}

/** Past the word or words that say an operator; a name multiplies without any. */
function passOperatorWord(c: Cursor, operator: OperatorInfo['operator']): void {
  if (operator === 'of') c.advance();
  else if (spokenOperator(c)) c.moveTo(c.index + 2);
}

/** The word at the cursor is a name or a function, and no word that ends the expression. */
function startsName(c: Cursor): boolean {
  const word = c.word();
  if (word === 'up' || word === 'down') return c.kindAt(c.index + 1) === T.OPEN;
  if (word === 'last' || word === 'pi' || isFunctionName(word)) return true;
  return !RESERVED_WORDS.has(word) && word !== 'per' && word !== 'nearest' && !isUnitWord(word);
}

function readOperators(c: Cursor, first: Expr, level: number): Expr {
  let left = first;
  for (;;) {
    const info = operatorAt(c);
    if (info.level < level) return left;
    const { operator } = info;
    const before = c.lastEnd();
    if (c.kind === T.WORD) passOperatorWord(c, operator);
    else if (operator !== 'multiply' || c.kind === T.TIMES) c.advance();
    const right = readBinary(c, info.level + 1);
    if (right === undefined) {
      c.stopsShort('a value', before);
      return left;
    }
    if (operator === 'add' || operator === 'subtract') {
      const percent = c.table.hasPercent ? stepPercent(c, right) : undefined;
      if (percent) {
        left = { kind: 'percentStep', start: left.start, end: c.lastEnd(), operator, left, percent };
        continue;
      }
    }
    left = { kind: 'binary', start: left.start, end: right.end, operator, left, right } satisfies Binary;
  }
}

/** 10% behind + or −, bare or spelled out as "10% of it", takes the sum so far. In brackets it is a plain number. */
function stepPercent(c: Cursor, right: Expr): Percent | undefined {
  if (right.kind === 'percent' && c.kindAt(c.index - 1) === T.PERCENT) return right;
  return right.kind === 'binary' && right.operator === 'of' && right.left.kind === 'percent' && isIt(right.right)
    ? right.left
    : undefined;
}

function isIt(expr: Expr): boolean {
  return expr.kind === 'mark' && expr.name === 'it';
}

function readSigned(c: Cursor): Expr | undefined {
  if (c.kind === T.HYPHEN || c.kind === T.MINUS || c.kind === T.PLUS) return readSign(c);
  const operand = isNumberStart(c.kind) ? readNumberOrMeasure(c) : readOtherOperand(c);
  return operand !== undefined && STANDS_BEHIND[c.kind] ? readBehind(c, operand) : operand;
}

/** Kinds of tokens that change the operand before them. */
const STANDS_BEHIND = T.kindSet([T.PERCENT, T.CARET, T.SUPERSCRIPT]);

/** The operand with the percent sign and the powers behind it. */
function readBehind(c: Cursor, operand: Expr): Expr {
  const read = c.kind === T.PERCENT && operand.kind === 'number' ? readPercent(c, operand) : operand;
  return readPower(c, read);
}

function readSign(c: Cursor): Expr | undefined {
  const start = c.start();
  const negative = c.kind !== T.PLUS;
  const operand = readSignedBehind(c);
  if (operand === undefined || !negative) return operand;
  // A temperature below zero is a place on its scale, not the opposite of one.
  if (operand.kind === 'measure' && operand.parts.length === 1 && isTemperature(operand))
    return negativeTemperature(operand, start);
  return { kind: 'signed', start, end: operand.end, operand };
}

/** The operand behind the sign, ^ or √ at the cursor, one level deeper; undefined, and said, when the entry stops short of it. */
function readSignedBehind(c: Cursor): Expr | undefined {
  const before = c.lastEnd();
  c.enter();
  c.advance();
  const operand = readSigned(c);
  c.leave();
  if (operand === undefined) c.stopsShort('a value', before);
  return operand;
}

type MeasureExpr = Extract<Expr, { kind: 'measure' }>;

function isTemperature(measure: MeasureExpr): boolean {
  const id = measure.parts[0]?.unit.id;
  return id === 'celsius' || id === 'fahrenheit';
}

function negativeTemperature(measure: MeasureExpr, start: number): Expr {
  const [part] = measure.parts as [MeasureExpr['parts'][number]];
  const { top } = part;
  return { ...measure, start, parts: [{ ...part, top: top === 0 ? 0 : -top }] };
}

/** ^ and raised digits behind `base`, from the right: 2^3^2 is 2^(3^2). */
function readPower(c: Cursor, base: Expr): Expr {
  if (c.kind === T.SUPERSCRIPT) {
    const value = c.value();
    const span = c.spanOfToken();
    if (value === -1) return c.refuse('power.too_large', span, { limit: `${LIMITS.power}` });
    c.advance();
    const power: Expr = {
      kind: 'power',
      start: base.start,
      end: span.end,
      base,
      exponent: { kind: 'number', ...span, top: value, bottom: 1, whole: value, form: 'whole', unit: undefined },
    };
    return c.kind === T.SUPERSCRIPT ? readPower(c, power) : power;
  }
  if (c.kind !== T.CARET) return base;
  const exponent = readSignedBehind(c);
  if (exponent === undefined) return base;
  return { kind: 'power', start: base.start, end: exponent.end, base, exponent };
}

/** An operand that begins with no digit. */
function readOtherOperand(c: Cursor): Expr | undefined {
  switch (c.kind) {
    case T.WORD:
      return readWord(c);
    case T.NAME:
      return readName(c);
    case T.OPEN:
      return readGroup(c);
    case T.LINE: {
      const expr: Expr = { kind: 'line', ...c.spanOfToken(), number: c.value() };
      c.advance();
      return expr;
    }
    case T.PI: {
      const expr: Expr = { kind: 'constant', ...c.spanOfToken(), name: 'pi' };
      c.advance();
      return behindValue(c, expr);
    }
    case T.ROOT:
      return readRoot(c);
    case T.CURRENCY:
      return readMoney(c);
    case T.END:
      return undefined;
    default:
      return refuseAsOperand(c);
  }
}

function readPercent(c: Cursor, operand: Expr): Expr {
  c.advance();
  return { kind: 'percent', start: operand.start, end: c.lastEnd(), operand };
}

/** Behind a bracket or π: units, a percent sign, or an implied multiplication. */
function behindValue(c: Cursor, expr: Expr): Expr {
  if (c.kind === T.PERCENT) return readPercent(c, expr);
  const scaled = readUnitsBehind(c, expr);
  if (scaled) return scaled;
  c.multiplierEnd = c.index;
  return expr;
}

function readMoney(c: Cursor): Expr | undefined {
  const start = c.start();
  const before = c.lastEnd();
  c.advance();
  if (c.kind === T.END) {
    c.stopsShort('an amount', before);
    return undefined;
  }
  if (!isNumberStart(c.kind)) return c.refuse('unit.without_number', { start, end: start + 1 }, { unit: '$' });
  return moneyOf(c, readNumber(c), start);
}

function readRoot(c: Cursor): Expr | undefined {
  const start = c.start();
  const operand = readSignedBehind(c);
  return operand && { kind: 'call', start, end: operand.end, name: 'sqrt', args: [operand] };
}

function readGroup(c: Cursor): Expr | undefined {
  const open = c.index;
  c.enter();
  c.advance();
  if (c.kind === T.CLOSE)
    c.refuse('bracket.empty', { start: c.start(open), end: c.end() }, {}, [without(c, c.start(open), c.end())]);
  const inner = readWhole(c);
  c.leave();
  if (inner === undefined) {
    c.stopsShort('a value', c.start(open));
    return undefined;
  }
  closeBracket(c);
  // The place of what is in brackets takes them in; the node is this reader's own until the tree is handed out.
  const own = inner as { start: number; end: number };
  own.start = c.start(open);
  own.end = c.lastEnd();
  return behindValue(c, inner);
}

/** Takes the closing bracket, or takes it as read at the end of the entry. */
function closeBracket(c: Cursor): void {
  if (c.kind === T.CLOSE) c.advance();
  else if (c.kind === T.END) c.ghost += ')';
  else refuseRest(c);
}

function without(c: Cursor, start: number, end: number): Fix {
  return { label: 'Leave it out', entry: c.rewritten(start, end, '').trim() };
}

function readWord(c: Cursor): Expr {
  const word = c.word();
  const span = c.spanOfToken();
  if (word === 'last') {
    c.advance();
    return { kind: 'last', ...span };
  }
  if (word === 'pi') {
    c.advance();
    return behindValue(c, { kind: 'constant', ...span, name: 'pi' });
  }
  if (word === 'it') {
    // Sound only as "10% of it" behind + or −; the caller above turns that into a step.
    if (c.kindAt(c.index - 1) !== T.WORD || c.kindAt(c.index - 2) !== T.PERCENT) c.refuse('percent.of_it', span, {});
    c.advance();
    return { kind: 'mark', ...span, name: 'it' };
  }
  if (isFunctionName(word)) return readCall(c, word);
  if (isUnitWord(word))
    return c.refuse('unit.without_number', span, { unit: c.text() }, [
      { label: `1 ${c.text()}`, entry: c.rewritten(span.start, span.start, '1 ') },
    ]);
  if (word === JIG_GONE) return c.refuse('jig.gone', span, {});
  if (RESERVED_WORDS.has(word) || word === 'per') return refuseAsOperand(c);
  return readName(c);
}

function readName(c: Cursor): Expr {
  const head = jigCallAt(c);
  if (head) return behindValue(c, readJigCall(c, head, readWhole));
  const expr: Expr = { kind: 'mark', ...c.spanOfToken(), name: c.text() };
  c.advance();
  return expr;
}

/** Signs that an entry has no use for, but that change what a person wrote. */
const MEANS_SOMETHING = /[±∓|\\&?!{}_]/u;

function refuseAsOperand(c: Cursor): never {
  const span = c.spanOfToken();
  const symbol = c.text();
  if (c.kind === T.UNKNOWN)
    return c.refuse(
      'character.unknown',
      span,
      { character: symbol },
      MEANS_SOMETHING.test(symbol) ? [] : [without(c, span.start, span.end)],
    );
  if (c.kind === T.CLOSE) {
    const opened = c.depth > 0;
    if (!opened) return refuseRest(c);
  }
  const isDecimalComma = c.kind === T.COMMA && c.tight(c.index + 1);
  return c.refuse('symbol.unexpected', span, { symbol }, isDecimalComma ? [] : [without(c, span.start, span.end)]);
}

function readCall(c: Cursor, name: FunctionName): Expr {
  const start = c.start();
  const word = c.spanOfToken();
  c.enter();
  c.advance();
  const args = c.kind === T.OPEN ? readArguments(c, name, word) : readBareArgument(c, word);
  c.leave();
  const info = functionInfo(name);
  if (args.length < info.least || args.length > info.most)
    refuseArguments(c, name, { start, end: c.lastEnd() }, args.length);
  const call: Expr = { kind: 'call', start, end: c.lastEnd(), name, args };
  return c.kindAt(c.index - 1) === T.CLOSE ? behindValue(c, call) : call;
}

/** cos 30 * 2 is (cos 30) × 2: without brackets a function takes one operand with its powers. */
function readBareArgument(c: Cursor, word: Span): readonly Expr[] {
  const operand = readSigned(c);
  if (operand) return [operand];
  c.stopsShort('a value', word.start);
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- the parser's own signal, see Cursor.refuse
  throw STOP;
}

function readArguments(c: Cursor, name: FunctionName, word: Span): readonly Expr[] {
  c.advance();
  if (c.kind === T.CLOSE) refuseArguments(c, name, { start: word.start, end: c.end() }, 0);
  const args: Expr[] = [];
  for (;;) {
    const argument = readRun(c, name) ?? readWhole(c);
    if (argument === undefined) {
      c.stopsShort('a value', args.length === 0 ? word.start : (args[args.length - 1] as Expr).end);
      if (args.length >= functionInfo(name).least) break;
      // eslint-disable-next-line @typescript-eslint/only-throw-error -- the parser's own signal, see Cursor.refuse
      throw STOP;
    }
    args.push(argument);
    if (c.kind !== T.SEMICOLON && c.kind !== T.COMMA) break;
    c.advance();
  }
  closeBracket(c);
  return args;
}
