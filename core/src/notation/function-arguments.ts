/** What is special about the arguments of a function: runs of lines, and how many of them there may be. */
import type { Fix } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import type { Expr, LineRun } from './ast.ts';
import { STOP, type Cursor } from './cursor.ts';
import { functionInfo, type FunctionName } from './functions.ts';
import * as T from './token.ts';

/** #3..#9 as an argument; undefined when there is none at the cursor. */
export function readRun(c: Cursor, name: FunctionName): Expr | undefined {
  if (c.kind !== T.LINE || c.kindAt(c.index + 1) !== T.DOTS) return undefined;
  const first = c.index;
  const last = first + 2;
  if (c.kindAt(last) !== T.LINE) {
    if (c.kindAt(last) !== T.END) c.refuse('symbol.unexpected', c.spanOfToken(first + 1), { symbol: '..' });
    c.stopsShort('the last line of the run', c.end(first));
    // eslint-disable-next-line @typescript-eslint/only-throw-error -- the parser's own signal, see Cursor.refuse
    throw STOP;
  }
  const run: LineRun = {
    kind: 'run',
    start: c.start(first),
    end: c.end(last),
    from: c.value(first),
    to: c.value(last),
  };
  if (functionInfo(name).runs !== true)
    c.refuse('run.misplaced', run, {}, [
      { label: 'Add them up', entry: c.rewritten(run.start, run.end, `sum(${c.source.slice(run.start, run.end)})`) },
    ]);
  c.moveTo(last + 1);
  return run;
}

/** A comma that grouped digits inside a function's brackets might have been meant to separate: max(1,250). */
function splitOf(c: Cursor, span: Span): Fix | undefined {
  const text = c.source.slice(span.start, span.end);
  const comma = text.search(/\d,\d{3}(?!\d)/);
  if (comma === -1) return undefined;
  const at = span.start + comma + 1;
  return { label: 'Two values', entry: c.rewritten(at, at + 1, '; ') };
}

export function refuseArguments(c: Cursor, name: FunctionName, span: Span, given: number): never {
  const { least, most, args } = functionInfo(name);
  const expected = least === most ? `${least}` : most > 9 ? `${least} or more` : `${least} or ${most}`;
  const split = splitOf(c, span);
  return c.refuse(
    'call.arguments',
    span,
    { name: `${name}(${args})`, expected, given: `${given}` },
    split ? [split] : [],
  );
}
