import {
  exactText,
  ledgerOf,
  parse,
  printEntry,
  renamedIn,
  valueForMark,
  withoutAssignment,
  type Ledger,
  type ReadingStyle,
} from '@sprell/core';
import { madeAt } from './made-at.ts';
import { sizeWords, type JobMark } from './marks.ts';
import type { OpenJob } from './open-job.ts';
import { isWorked, withLabel } from './slate-row.ts';
import type { Inverse } from './undo-stack.ts';

/** A line of a mark's ledger, with what a person is shown of it. */
export interface MarkEntry {
  readonly lineId: string;
  readonly number: number;
  /** What stands behind the name and its sign. */
  readonly entry: string;
  readonly label: string | null;
  readonly sign: '=' | '+' | '−';
  readonly amount: string;
  readonly after: string;
  readonly at: number;
  readonly isLive: boolean;
  /** Struck out: it counts for nothing, and can be put back. */
  readonly struck: boolean;
}

/** How a mark came to its value, and what uses it. */
export interface MarkStory {
  readonly mark: JobMark;
  readonly note: string;
  readonly base: MarkEntry | undefined;
  /** In the order they stand; those struck out among them by their time. */
  readonly postings: readonly MarkEntry[];
  readonly before: readonly MarkEntry[];
  readonly users: readonly { readonly id: string; readonly number: number; readonly entry: string }[];
  /** Lines and setting-outs that use it, as a sentence names them. */
  readonly usedBy: readonly string[];
}

const SIGNS = { keep: '=', add: '+', subtract: '−' } as const;

/**
 * How the marks of the open job came to their values, and what can be done with them: each change is one step that can be
 * undone. Apart from the open job, since the bench does without it.
 */
export class MarkStories {
  readonly #job: OpenJob;

  constructor(job: OpenJob) {
    this.#job = job;
  }

  get #style(): ReadingStyle {
    return this.#job.style;
  }

  /** The whole story of a mark; undefined for a name that there is none of. */
  of(name: string): MarkStory | undefined {
    const { slate, marks, held } = this.#job;
    const ledger = ledgerOf(slate.graph, name);
    const mark = marks.named(name);
    if (ledger === undefined || mark === undefined) return undefined;
    const base = ledger.base && this.#entryOf(ledger.base, 'keep');
    const postings = [
      ...ledger.postings.map((posting) => this.#entryOf(posting, posting.operator)),
      ...this.#struckOut(name, base?.at ?? 0),
    ].sort((a, b) => a.at - b.at);
    return {
      mark,
      note: (ledger.base && slate.get(ledger.base.line.id)?.note) ?? '',
      base,
      postings,
      before: ledger.before.map((line) => this.#entryOf(line, 'keep')),
      usedBy: held.usersIn((source) => valueForMark(source, name, '0', this.#style), { mark: name }),
      users: ledger.users.flatMap(({ id, number }) => {
        const line = slate.get(id);
        return line ? [{ id, number, entry: withLabel(line.label, this.#readBackOf(slate.shown(line.source))) }] : [];
      }),
    };
  }

  #entryOf(line: NonNullable<Ledger['base']>, operator: keyof typeof SIGNS): MarkEntry {
    const { id, number, source } = line.line;
    return {
      lineId: id,
      number,
      entry: this.#readBackOf(source),
      label: this.#job.slate.get(id)?.label ?? null,
      sign: SIGNS[operator],
      amount: sizeWords(line.amount, this.#style),
      after: sizeWords(line.after, this.#style),
      at: madeAt(id),
      isLive: line.isLive,
      struck: false,
    };
  }

  /** An entry as it was understood, without the mark in front of it. */
  #readBackOf(source: string): string {
    const { entry } = parse(source, this.#style);
    return entry === undefined ? source : printEntry({ ...entry, assignment: undefined }, this.#style);
  }

  /** Postings that were struck out since the mark was kept. */
  #struckOut(name: string, since: number): readonly MarkEntry[] {
    const { slate } = this.#job;
    return [...slate.all()]
      .filter((line) => line.deleted && madeAt(line.id) >= since)
      .filter(isWorked)
      .flatMap((line): MarkEntry[] => {
        const source = slate.shown(line.source);
        const assignment = parse(source, this.#style).entry?.assignment;
        if (!assignment || assignment.operator === 'keep') return [];
        if (assignment.name.toLowerCase() !== name.toLowerCase()) return [];
        const entry = this.#readBackOf(source);
        return [
          {
            lineId: line.id,
            number: line.number,
            entry,
            label: line.label,
            sign: SIGNS[assignment.operator],
            amount: entry,
            after: '',
            at: madeAt(line.id),
            isLive: false,
            struck: true,
          },
        ];
      });
  }

  /** Strikes a posting out; it can be put back. */
  strike(lineId: string): void {
    const { slate, undoLog } = this.#job;
    const line = slate.get(lineId);
    if (!line || line.deleted) return;
    undoLog.push({ kind: 'restore', lineId, says: `Put the posting #${line.number} back` });
    slate.setDeleted(line, true);
  }
  putBack(lineId: string): void {
    const { slate, undoLog } = this.#job;
    const line = slate.get(lineId);
    if (!line?.deleted) return;
    undoLog.push({ kind: 'delete', lineId, says: `Strike the posting #${line.number} out again` });
    slate.setDeleted(line, false);
  }

  /** Another name for a mark, in every entry that uses it; the name has been found to be free. */
  rename(from: string, to: string): void {
    const { held, marks, slate, things, undoLog, ground } = this.#job;
    if (ground.refusesReader()) return;
    const isHeld = marks.inHand?.name.toLowerCase() === from.toLowerCase();
    const id = slate.makeMark(from);
    const renamed = id === undefined ? undefined : things.write(id, { name: to });
    // What holds the mark by its id shows the new name by that alone; what names it still is written.
    const written = held.rewrite((source) => renamedIn(source, from, to, this.#style), { mark: from });
    const steps = [...written, ...(renamed ? [renamed] : [])];
    if (steps.length > 0) undoLog.push({ kind: 'many', steps, says: `Call ${to} ${from} again` });
    if (isHeld) marks.takeInHand(to);
  }

  /**
   * Takes marks off the stick. The lines that kept them stay on the slate as plain lines; their postings are struck out;
   * with `keepValues` what used them holds their values from now on.
   */
  removeMarks(names: readonly string[], keepValues: boolean): void {
    const steps = names.flatMap((name) => this.#removeOne(name, keepValues));
    const says = names.length === 1 ? `Bring the mark ${names[0]} back` : `Bring all ${names.length} marks back`;
    if (steps.length > 0) this.#job.undoLog.push({ kind: 'many', steps: steps.reverse(), says });
  }

  #removeOne(name: string, keepValues: boolean): Inverse[] {
    const { slate, held } = this.#job;
    const value = keepValues ? this.#exactEntryOf(name) : undefined;
    const steps: Inverse[] =
      value === undefined
        ? []
        : [...held.rewrite((source) => valueForMark(source, name, value, this.#style), { mark: name })];
    for (const { line, operator } of slate.graph.markLines(name)) {
      const standing = slate.get(line.id);
      if (standing === undefined) continue;
      if (operator === 'keep')
        steps.push(...held.rewriteLines([line.id], (source) => withoutAssignment(source, this.#style)));
      else {
        slate.setDeleted(standing, true);
        steps.push({ kind: 'restore', lineId: line.id, says: '' });
      }
    }
    return steps;
  }

  #exactEntryOf(name: string): string | undefined {
    const mark = this.#job.slate.freshGraph.scope().mark(name.toLowerCase());
    return mark?.ok === true ? exactText(mark.quantity, this.#style)?.plain : undefined;
  }

  /** A posting or base that follows other lines, written as the value it has now. */
  freeze(lineId: string): void {
    const { slate, held, undoLog } = this.#job;
    const graph = slate.freshGraph;
    const worked = graph.line(lineId);
    const name = worked?.parsed.entry?.assignment?.name;
    const made = name === undefined ? undefined : graph.markLines(name).find(({ line }) => line.id === lineId);
    if (!made?.amount.ok || made.amount.quantity === undefined) return;
    const value = exactText(made.amount.quantity, this.#style)?.plain;
    if (value === undefined) return;
    const { source, number } = made.line;
    const front = source.slice(0, source.length - withoutAssignment(source, this.#style).length);
    const [step] = held.rewriteLines([lineId], () => `${front}${value}`);
    if (step) undoLog.push({ ...step, says: `Let #${number} follow its sources again` });
  }
}
