import type { Entry, Expr } from '../notation/ast.ts';
import type { Quantity } from '../units/quantity.ts';
import { evaluate } from './evaluate.ts';

/**
 * The entry with every part that refers to nothing worked out beforehand: 12' 3 5/8" in a line is reckoned when the
 * line is written, not each time that a line it uses changes. It comes to the same in every scope, issues and their
 * places too: a part that is in error is left as it is.
 */
export function foldEntry(entry: Entry): Entry {
  const expr = fold(entry.expr);
  return expr === entry.expr ? entry : { ...entry, expr };
}

/** Kinds that stand for something outside of the entry, or mean something only where they stand. */
function isFixed(expr: Expr): boolean {
  switch (expr.kind) {
    case 'number':
    case 'measure':
    case 'slope':
    case 'constant':
    case 'known':
      return true;
    case 'scaled':
    case 'signed':
      return isFixed(expr.operand);
    case 'binary':
      return isFixed(expr.left) && isFixed(expr.right);
    case 'power':
      return isFixed(expr.base) && isFixed(expr.exponent);
    case 'call':
      return expr.args.every(isFixed);
    default:
      return false;
  }
}

function fold(expr: Expr): Expr {
  if (isFixed(expr)) {
    const quantity = known(expr);
    return quantity ? { kind: 'known', start: expr.start, end: expr.end, quantity } : expr;
  }
  switch (expr.kind) {
    case 'binary':
    case 'compare':
      return { ...expr, left: fold(expr.left), right: fold(expr.right) };
    case 'percentStep':
      return { ...expr, left: fold(expr.left) };
    case 'power':
      return { ...expr, base: fold(expr.base), exponent: fold(expr.exponent) };
    case 'call':
      return { ...expr, args: expr.args.map((argument) => fold(argument)) };
    case 'jig':
      return { ...expr, args: expr.args.map(({ input, expr: given }) => ({ input, expr: fold(given) })) };
    default:
      return expr;
  }
}

function known(expr: Expr): Quantity | undefined {
  const result = evaluate({ label: undefined, assignment: undefined, expr, directives: [] });
  return result.ok && result.value.kind === 'quantity' ? result.value.quantity : undefined;
}
