import type { Entry, Expr } from '../notation/ast.ts';

/** What an entry refers to, each once, in the order met. Names are in lower case. */
export interface References {
  readonly lines: readonly number[];
  readonly runs: readonly (readonly [from: number, to: number])[];
  readonly marks: readonly string[];
}

const NONE: References = { lines: [], runs: [], marks: [] };

/** Collects what an entry refers to. */
export function referencesOf(entry: Entry | undefined): References {
  if (entry === undefined) return NONE;
  const lines = new Set<number>();
  const marks = new Set<string>();
  const runs: (readonly [number, number])[] = [];
  const pending: Expr[] = [entry.expr];
  for (let expr = pending.pop(); expr !== undefined; expr = pending.pop()) {
    switch (expr.kind) {
      case 'line':
        lines.add(expr.number);
        break;
      case 'mark':
        marks.add(expr.name.toLowerCase());
        break;
      case 'run':
        runs.push([expr.from, expr.to]);
        break;
      case 'binary':
      case 'compare':
        pending.push(expr.right, expr.left);
        break;
      case 'percentStep':
        pending.push(expr.percent, expr.left);
        break;
      case 'power':
        pending.push(expr.exponent, expr.base);
        break;
      case 'signed':
      case 'percent':
      case 'scaled':
        pending.push(expr.operand);
        break;
      case 'call':
        pending.push(...expr.args);
        break;
      case 'jig':
        pending.push(...expr.args.map((argument) => argument.expr));
        break;
      default:
      // Numbers, measures, slopes, π and `last` refer to nothing that has a name.
    }
  }
  if (lines.size === 0 && marks.size === 0 && runs.length === 0) return NONE;
  return { lines: [...lines], runs, marks: [...marks] };
}
