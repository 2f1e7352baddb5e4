import type { Expr } from './ast.ts';

/** The parts of a node that are nodes themselves, as they stand in the entry. */
export function partsOf(expr: Expr): readonly Expr[] {
  switch (expr.kind) {
    case 'scaled':
    case 'signed':
    case 'percent':
      return [expr.operand];
    case 'binary':
    case 'compare':
      return [expr.left, expr.right];
    case 'percentStep':
      return [expr.left, expr.percent];
    case 'power':
      return [expr.base, expr.exponent];
    case 'call':
      return expr.args;
    case 'jig':
      return expr.args.map((argument) => argument.expr);
    default:
      return [];
  }
}

/** A node and everything in it, in no order. What a jig does within is not of the entry. */
export function nodesOf(expr: Expr): readonly Expr[] {
  const nodes: Expr[] = [expr];
  for (let at = 0; at < nodes.length; at += 1) nodes.push(...partsOf(nodes[at] as Expr));
  return nodes;
}
