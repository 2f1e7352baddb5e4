import type { Issue } from '../base/issue.ts';
import type { Outcome } from '../evaluate/evaluate.ts';
import type { Entry } from '../notation/ast.ts';
import type { Parsed } from '../notation/parser.ts';
import type { Quantity } from '../units/quantity.ts';
import type { References } from './references.ts';

/** A line as the slate is given it. */
export interface SlateLine {
  readonly id: string;
  readonly number: number;
  /** Key of its place; lines stand in the order of their keys, compared as text. */
  readonly position: string;
  /** The entry as shown, with #n references. */
  readonly source: string;
}

/**
 * An entry that is kept beside the slate, in a field of something else of the job: it reads lines and marks as a line does,
 * and is recalculated with them. It has no number and no place, so no entry can name it.
 */
export interface HeldEntry {
  readonly id: string;
  /** The entry as shown, with #n references. */
  readonly source: string;
}

/** What a line comes to. One that holds a quantity is at the same time what an entry that uses the line is given. */
export type LineResult =
  | { readonly ok: true; readonly outcome: Outcome; readonly quantity: Quantity | undefined }
  | { readonly ok: false; readonly issue: Issue };

export function lineResult(outcome: Outcome): LineResult {
  return { ok: true, outcome, quantity: outcome.kind === 'quantity' ? outcome.quantity : undefined };
}

interface GraphNode {
  /** Nodes whose results this one needs. */
  sources: readonly SlateNode[];
  /** Nodes that have this one among their sources, each once. */
  readonly users: SlateNode[];
  /** Where its value stands in the columns, when it is small and rational. */
  readonly slot: number;
  /** The result as an object. Behind the columns while `isMade` is false: they are worked on, and objects made when asked for. */
  result: LineResult;
  isMade: boolean;
  /** Number of the recalculation that last met this node, and what it still waits for in it. */
  round: number;
  waiting: number;
  /** Its own text changed, or a source's result did: it has to be worked out again in this recalculation. */
  stale: boolean;
}

/** Whether a line compares: it answers yes or no, and has no result to go on from or to add up. */
export function isComparison({ parsed }: LineNode): boolean {
  return parsed.entry?.expr.kind === 'compare';
}

export interface LineNode extends GraphNode {
  readonly kind: 'line';
  readonly line: SlateLine;
  /** It is a held entry: in no order, and of no number. */
  readonly isHeld: boolean;
  readonly parsed: Parsed;
  /** The entry with its fixed parts worked out; what is evaluated. Undefined when the line is in error as it stands. */
  readonly folded: Entry | undefined;
  readonly references: References;
  /** Place in the order of the slate. */
  index: number;
  /** Set while the line would use its own result: the issue that says so. It then has no sources. */
  circle: Issue | undefined;
}

/** A mark made by lines: it has the value of the last line, in the order of the slate, that keeps it or posts to it. */
export interface MarkNode extends GraphNode {
  readonly kind: 'mark';
  /** As first written. */
  readonly name: string;
  /** In the order of the slate. */
  assignments: readonly LineNode[];
}

export type SlateNode = LineNode | MarkNode;
