import type { ScanOptions } from './scanner.ts';
import { scan, tokensOf } from './scanner.ts';
import * as T from './token.ts';

/** A line that goes, and what takes its place. */
export interface GoneLine {
  readonly number: number;
  /** An entry of its exact value. */
  readonly value: string;
  /** Numbers of the lines as they stand on the slate, the one that goes among them. */
  readonly order: readonly number[];
}

/**
 * An entry with a value in place of a line that goes, so that its result stays: `#4 * 3` becomes `(4' 2") * 3`, and
 * `sum(#3..#9)` without #9 becomes `sum(#3..#8; (4' 2"))`. An entry that does not name the line, alone or within a run,
 * comes back as it is.
 * @example valueForLine('#4 * 3', { number: 4, value: `4' 2"`, order: [4] }) // => `(4' 2") * 3`
 */
export function valueForLine(source: string, gone: GoneLine, options: ScanOptions = {}): string {
  const tokens = tokensOf(scan(source, options));
  const value = `(${gone.value})`;
  const lineAt = (index: number) => {
    const token = tokens[index];
    return token?.kind === T.LINE ? Number(source.slice(token.start + 1, token.end)) : undefined;
  };
  let text = '';
  let done = 0;
  for (let at = 0; at < tokens.length; at += 1) {
    const first = lineAt(at);
    if (first === undefined) continue;
    const last = tokens[at + 1]?.kind === T.DOTS ? lineAt(at + 2) : undefined;
    const written = last === undefined ? (first === gone.number ? value : undefined) : runWithout(first, last);
    const end = tokens[last === undefined ? at : at + 2]?.end ?? source.length;
    if (written !== undefined) {
      text += source.slice(done, tokens[at]?.start) + written;
      done = end;
    }
    if (last !== undefined) at += 2;
  }
  return text + source.slice(done);

  /** The run of what is left, and the value behind it; undefined for a run that the line is not in. */
  function runWithout(first: number, last: number): string | undefined {
    const run = gone.order.slice(gone.order.indexOf(first), gone.order.indexOf(last) + 1);
    if (!run.includes(gone.number)) return undefined;
    const left = run.filter((number) => number !== gone.number);
    if (left.length === 0) return value;
    return left.length === 1 ? `#${left[0]}; ${value}` : `#${left[0]}..#${left[left.length - 1]}; ${value}`;
  }
}
