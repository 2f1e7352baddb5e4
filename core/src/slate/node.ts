import type { Issue } from '../base/issue.ts';
import type { Outcome } from '../evaluate/evaluate.ts';
import type { Parsed } from '../notation/parser.ts';
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

/** What a line comes to. */
export type LineResult =
  { readonly ok: true; readonly outcome: Outcome } | { readonly ok: false; readonly issue: Issue };

interface GraphNode {
  /** Nodes whose results this one needs. */
  sources: readonly SlateNode[];
  readonly users: Set<SlateNode>;
  result: LineResult;
  /** Number of the recalculation that last met this node, and what it still waits for in it. */
  round: number;
  waiting: number;
  /** Its own text changed, or a source's result did: it has to be worked out again in this recalculation. */
  stale: boolean;
}

export interface LineNode extends GraphNode {
  readonly kind: 'line';
  readonly line: SlateLine;
  readonly parsed: Parsed;
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
