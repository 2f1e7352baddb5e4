/** decking(12'; board = 5 1/2") and gap from decking(12'): a jig run from an entry. */
import type { Span } from '../base/span.ts';
import type { Expr, JigArgument, JigCall } from './ast.ts';
import { STOP, type Cursor } from './cursor.ts';
import type { JigProgram, ProgramInput } from './ast.ts';
import { nearestOf } from './near-miss.ts';
import * as T from './token.ts';

/** Where the call of a jig begins at the cursor: its program, and which of its answers is asked for by name. */
interface CallHead {
  readonly program: JigProgram;
  /** Index of the token that names the answer; undefined for the first of them. */
  readonly answerAt: number | undefined;
  /** Index of the opening bracket. */
  readonly open: number;
}

/** The call that begins at the cursor; undefined where the word there is no jig's. */
export function jigCallAt(c: Cursor): CallHead | undefined {
  if (c.jigs === undefined) return undefined;
  const at = c.index;
  const own = programAt(c, at);
  if (own) return { program: own, answerAt: undefined, open: at + 1 };
  if (c.kindAt(at + 1) !== T.WORD || c.word(at + 1) !== 'from') return undefined;
  const other = programAt(c, at + 2);
  return other && { program: other, answerAt: at, open: at + 3 };
}

function programAt(c: Cursor, index: number): JigProgram | undefined {
  const kind = c.kindAt(index);
  return (kind === T.WORD || kind === T.NAME) && c.kindAt(index + 1) === T.OPEN
    ? c.jigs?.get(c.word(index))
    : undefined;
}

/** @param readValue reads one value from the cursor on */
export function readJigCall(
  c: Cursor,
  { program, answerAt, open }: CallHead,
  readValue: (c: Cursor) => Expr | undefined,
): JigCall {
  const start = c.start();
  const answer = answerAt === undefined ? (program.answers[0] as number) : answerNamed(c, program, answerAt);
  c.enter();
  c.moveTo(open + 1);
  const args = readInputs(c, program, readValue);
  c.leave();
  return { kind: 'jig', start, end: c.lastEnd(), program, answer, args };
}

function answerNamed(c: Cursor, program: JigProgram, index: number): number {
  const word = c.word(index);
  const found = program.answers.find((step) => program.steps[step]?.name.toLowerCase() === word);
  if (found !== undefined) return found;
  const span = c.spanOfToken(index);
  const names = program.answers.map((step) => program.steps[step]?.name ?? '');
  return c.refuse(
    'jig.answer_unknown',
    span,
    { jig: program.name, answer: c.text(index), answers: names.join(', ') },
    names.slice(0, 3).map((name) => ({ label: name, entry: c.rewritten(span.start, span.end, name) })),
  );
}

function readInputs(
  c: Cursor,
  program: JigProgram,
  readValue: (c: Cursor) => Expr | undefined,
): readonly JigArgument[] {
  const args: JigArgument[] = [];
  let soundEnd = c.lastEnd();
  while (c.kind !== T.CLOSE) {
    const input = inputAt(c, program, args);
    const expr = readValue(c);
    if (expr === undefined) {
      c.stopsShort(`“${(program.inputs[input] as ProgramInput).name}”`, soundEnd);
      break;
    }
    args.push({ input, expr });
    soundEnd = expr.end;
    if (c.kind !== T.SEMICOLON && c.kind !== T.COMMA) break;
    c.advance();
  }
  if (c.kind === T.CLOSE) c.advance();
  else if (c.kind === T.END) endShort(c, program, args, soundEnd);
  else c.refuse('symbol.unexpected', c.spanOfToken(), { symbol: c.text() });
  return args;
}

/** The entry ends within the brackets: they count as closed where nothing is missing, and it is still being written where something is. */
function endShort(c: Cursor, program: JigProgram, args: readonly JigArgument[], soundEnd: number): void {
  const missing = program.inputs.find(
    ({ usual }, place) => usual === undefined && !args.some(({ input }) => input === place),
  );
  if (missing === undefined) {
    c.ghost += ')';
    return;
  }
  c.stopsShort(`“${missing.name}”`, soundEnd);
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- the parser's own signal, see Cursor.refuse
  throw STOP;
}

/** Place of the input that the value at the cursor is for: the one that it names, or the first that has none yet. */
function inputAt(c: Cursor, program: JigProgram, args: readonly JigArgument[]): number {
  const isGiven = (place: number) => args.some(({ input }) => input === place);
  const isNamed = (c.kind === T.WORD || c.kind === T.NAME) && c.kindAt(c.index + 1) === T.EQUALS;
  if (!isNamed) {
    const next = program.inputs.findIndex((_, place) => !isGiven(place));
    if (next === -1) refuseMore(c, program);
    return next;
  }
  const word = c.word();
  const place = program.inputs.findIndex(({ name }) => name.toLowerCase() === word);
  const span = c.spanOfToken();
  if (place === -1) refuseInput(c, program, span);
  if (isGiven(place)) c.refuse('jig.input_twice', span, { input: c.text() });
  c.moveTo(c.index + 2);
  return place;
}

function refuseMore(c: Cursor, program: JigProgram): never {
  const takes = program.inputs.map(({ name }) => name).join('; ');
  return c.refuse('jig.input_more', c.spanOfToken(), { jig: program.name, takes: takes === '' ? 'nothing' : takes });
}

function refuseInput(c: Cursor, program: JigProgram, span: Span): never {
  const names = program.inputs.map(({ name }) => name);
  const near = nearestOf(c.text(), names) ?? names[0];
  return c.refuse(
    'jig.input_unknown',
    span,
    { jig: program.name, input: c.text(), takes: names.join(', ') },
    near === undefined ? [] : [{ label: near, entry: c.rewritten(span.start, span.end, near) }],
  );
}
