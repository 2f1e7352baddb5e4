import { makeIssue } from '../base/issue.ts';
import { inLowestTerms } from '../number/rational.ts';
import type { Quantity } from '../units/quantity.ts';
import { lineResult, type LineResult, type SlateNode } from './node.ts';
import { Columns } from '../evaluate/columns.ts';
import { sameResult } from './recalculate.ts';

/** What a line comes to before it was worked out. */
export const NOT_YET: LineResult = { ok: false, issue: makeIssue('entry.empty', { start: 0, end: 0 }, {}) };

/** Results of nodes: small rational ones stand in columns, and become objects when somebody asks. */
export class NodeResults {
  readonly columns = new Columns();

  /**
   * Gives a node its result. One that comes to the same leaves the old object in place: a holder of it sees that
   * nothing changed. Returns whether it differed.
   */
  set(node: SlateNode, result: LineResult): boolean {
    const before = this.of(node);
    if (result === before || sameResult(before, result)) return false;
    node.result = result;
    const { slot } = node;
    const value = result.ok ? result.quantity?.value : undefined;
    if (result.ok && value?.kind === 'rational' && typeof value.num === 'number' && typeof value.den === 'number')
      this.columns.put(slot, value.num, value.den, (result.quantity as Quantity).dimension);
    else this.columns.isSmall[slot] = 0;
    return true;
  }

  of(node: SlateNode): LineResult {
    if (node.isMade) return node.result;
    const { num, den, dimension } = this.columns;
    const value = inLowestTerms(num[node.slot] as number, den[node.slot] as number);
    node.result = lineResult({ kind: 'quantity', quantity: { value, dimension: dimension[node.slot] as number } });
    node.isMade = true;
    return node.result;
  }
}
