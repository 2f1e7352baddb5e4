import type { Quantity } from '../units/quantity.ts';
import type { ReadingStyle } from '../reading/style.ts';
import type { Issue } from '../base/issue.ts';
import type { Outcome } from '../evaluate/evaluate.ts';
import { mended } from '../mend/mend.ts';
import { posted } from '../evaluate/posting.ts';
import { readOutcome, reckon, type Reckoned } from '../evaluate/reckon.ts';
import type { Resolved, Scope } from '../evaluate/scope.ts';

/**
 * Entries worked out one after the other, as a script has them: each may use the lines and marks before it. Lines are
 * numbered from 1, those in error too. A mark holds what was last kept in it and the postings since.
 */
export class Session {
  readonly #style: ReadingStyle;
  /** Undefined for a comparison. */
  readonly #lines: (Resolved | undefined)[] = [];
  readonly #marks = new Map<string, Quantity>();
  readonly #names = new Map<string, string>();

  constructor(style: ReadingStyle) {
    this.#style = style;
  }

  /** Works out the next entry. What it posts to a mark, or keeps, later entries see. */
  enter(source: string): Reckoned {
    const options = { scope: this.#scope(), style: this.#style };
    const worked = reckon(source, options);
    const reckoned = worked.issue ? { ...worked, issue: mended(worked, options) } : this.#settle(worked);
    const { issue, outcome } = reckoned;
    this.#lines.push(resolvedLine(outcome, issue, this.#lines.length + 1));
    return reckoned;
  }

  /** Counts an entry that could not be worked out at all, so that the numbers of those after it are right. */
  skip(): void {
    this.#lines.push({ ok: false, line: this.#lines.length + 1 });
  }

  /** Applies an assignment: the result of `rail += 2"` is what rail comes to. */
  #settle(reckoned: Reckoned): Reckoned {
    const { entry } = reckoned.parsed;
    const assignment = entry?.assignment;
    if (
      entry === undefined ||
      assignment === undefined ||
      reckoned.issue !== undefined ||
      reckoned.outcome?.kind !== 'quantity'
    )
      return reckoned;
    const name = assignment.name.toLowerCase();
    if (assignment.operator === 'keep') {
      this.#marks.set(name, reckoned.outcome.quantity);
      this.#names.set(name, assignment.name);
      return reckoned;
    }
    const made = posted(assignment, entry.expr, this.#marks.get(name), reckoned.outcome.quantity);
    if (!made.ok) return { ...reckoned, outcome: undefined, reading: undefined, issue: made.issue };
    const { quantity } = made;
    this.#marks.set(name, quantity);
    const read = readOutcome(entry, quantity, this.#style);
    return { ...reckoned, outcome: { kind: 'quantity', quantity }, reading: read.reading, issue: read.issue };
  }

  #scope(): Scope {
    return {
      mark: (name) => {
        const quantity = this.#marks.get(name);
        return quantity && { ok: true, quantity };
      },
      line: (number) => this.#lines[number - 1],
      run: (from, to) =>
        from > to || to > this.#lines.length
          ? undefined
          : this.#lines.slice(from - 1, to).filter((line): line is Resolved => line !== undefined),
      last: () => this.#lines.findLast((line) => line !== undefined),
      names: () => [...this.#names.values()],
    };
  }
}

/** What later entries are given of one; a comparison has nothing to give. */
function resolvedLine(outcome: Outcome | undefined, issue: Issue | undefined, line: number): Resolved | undefined {
  if (issue !== undefined || outcome === undefined) return { ok: false, line };
  return outcome.kind === 'quantity' ? { ok: true, quantity: outcome.quantity } : undefined;
}
