import type { Span } from '../base/span.ts';
import type { Expr } from '../notation/ast.ts';
import { partsOf } from '../notation/parts.ts';

/** The outermost node that stands at exactly this place, and the one it is a part of; undefined where there is none. */
export function findNode(
  expr: Expr,
  place: Span,
  parent?: Expr,
): { readonly node: Expr; readonly parent: Expr | undefined } | undefined {
  if (expr.start === place.start && expr.end === place.end) return { node: expr, parent };
  for (const part of partsOf(expr)) {
    const found = findNode(part, place, expr);
    if (found) return found;
  }
  return undefined;
}

/** The first node, in the order of the entry, for which this holds. */
export function firstNode(expr: Expr, holds: (node: Expr) => boolean): Expr | undefined {
  if (holds(expr)) return expr;
  for (const part of partsOf(expr)) {
    const found = firstNode(part, holds);
    if (found) return found;
  }
  return undefined;
}
