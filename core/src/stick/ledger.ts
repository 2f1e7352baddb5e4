import type { Assignment } from '../notation/ast.ts';
import type { LineResult, SlateLine } from '../slate/node.ts';
import { referencesOf } from '../slate/references.ts';
import type { MarkLine, Slate } from '../slate/slate.ts';

/** What a mark holds came of lines: this is one of them. */
export interface LedgerLine {
  readonly line: SlateLine;
  /** What the line itself comes to. */
  readonly amount: LineResult;
  /** What the mark came to with it. */
  readonly after: LineResult;
  /** It follows other lines or marks; a plain value stays. */
  readonly isLive: boolean;
}

export interface Posting extends LedgerLine {
  readonly operator: Exclude<Assignment['operator'], 'keep'>;
}

/** How a mark came to its value. */
export interface Ledger {
  /** As first written. */
  readonly name: string;
  readonly result: LineResult;
  /** The line that kept it last; undefined where postings alone are left. */
  readonly base: LedgerLine | undefined;
  /** Added on or knocked off since, in the order they stand. */
  readonly postings: readonly Posting[];
  /** Lines that kept it before, newest last: what was written over. */
  readonly before: readonly LedgerLine[];
  /** Lines that use the mark. */
  readonly users: readonly SlateLine[];
}

/** The ledger of a mark; undefined for a name that no line keeps or posts to. Name in any case. */
export function ledgerOf(slate: Slate, name: string): Ledger | undefined {
  const lines = slate.markLines(name);
  const last = lines[lines.length - 1];
  if (last === undefined) return undefined;
  const baseAt = lines.findLastIndex(({ operator }) => operator === 'keep');
  const base = lines[baseAt];
  return {
    name: lines[0]?.parsed.entry?.assignment?.name ?? name,
    result: last.result,
    base: base && toLedgerLine(base),
    postings: lines
      .slice(baseAt + 1)
      .map((line) => ({ ...toLedgerLine(line), operator: line.operator as Posting['operator'] })),
    before: lines
      .slice(0, Math.max(0, baseAt))
      .filter(({ operator }) => operator === 'keep')
      .map(toLedgerLine),
    users: slate.usersOfMark(name),
  };
}

function toLedgerLine({ line, parsed, amount, result }: MarkLine): LedgerLine {
  const { lines, runs, marks } = referencesOf(parsed.entry);
  return { line, amount, after: result, isLive: lines.length + runs.length + marks.length > 0 };
}
