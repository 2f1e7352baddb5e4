import type { LineWire } from '@sprell/contract';
import {
  exactText,
  ledgerOf,
  parse,
  printEntry,
  renamedIn,
  valueForMark,
  withoutAssignment,
  type Ledger,
} from '@sprell/core';
import { sizeWords, type JobMark } from './job-marks.ts';
import { useJobStore } from './job.store.ts';
import { madeAt } from './made-at.ts';
import { isWorked, withLabel, type WorkedRow } from './slate-row.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

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
 * undone. Apart from the store, since the bench does without it.
 */
export function useMarkStory() {
  const store = useJobStore();
  const job = store.jobLines;

  /** The whole story of a mark; undefined for a name that there is none of. */
  function story(name: string): MarkStory | undefined {
    const ledger = ledgerOf(job.slate(), name);
    const mark = store.marks.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (ledger === undefined || mark === undefined) return undefined;
    const base = ledger.base && entryOf(ledger.base, 'keep');
    const postings = [
      ...ledger.postings.map((posting) => entryOf(posting, posting.operator)),
      ...struckOut(name, base?.at ?? 0),
    ].sort((a, b) => a.at - b.at);
    return {
      mark,
      note: (ledger.base && job.lines().get(ledger.base.line.id)?.note) ?? '',
      base,
      postings,
      before: ledger.before.map((line) => entryOf(line, 'keep')),
      usedBy: [
        ...ledger.users.map(({ number }) => `#${number}`),
        ...job.setOutsWith((source) => valueForMark(source, name, '0', job.style())),
      ],
      users: ledger.users.flatMap(({ id, number }) => {
        const line = job.lines().get(id);
        return line ? [{ id, number, entry: withLabel(line.label, readBackOf(job.shownSource(line))) }] : [];
      }),
    };
  }

  function entryOf(line: NonNullable<Ledger['base']>, operator: keyof typeof SIGNS): MarkEntry {
    const { id, number, source } = line.line;
    return {
      lineId: id,
      number,
      entry: readBackOf(source),
      label: job.lines().get(id)?.label ?? null,
      sign: SIGNS[operator],
      amount: sizeWords(line.amount, job.style()),
      after: sizeWords(line.after, job.style()),
      at: madeAt(id),
      isLive: line.isLive,
      struck: false,
    };
  }

  /** An entry as it was understood, without the mark in front of it. */
  function readBackOf(source: string): string {
    const { entry } = parse(source, job.style());
    return entry === undefined ? source : printEntry({ ...entry, assignment: undefined }, job.style());
  }

  /** Postings that were taken off since the mark was kept. */
  function struckOut(name: string, since: number): readonly MarkEntry[] {
    return [...job.lines().values()]
      .filter((line) => line.deleted && madeAt(line.id) >= since)
      .filter(isWorked)
      .flatMap((line): MarkEntry[] => {
        const source = job.shownSource(line);
        const assignment = parse(source, job.style()).entry?.assignment;
        if (!assignment || assignment.operator === 'keep') return [];
        if (assignment.name.toLowerCase() !== name.toLowerCase()) return [];
        const entry = readBackOf(source);
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

  /** Takes a posting off the mark; it can be put back. */
  function strike(lineId: string): void {
    const line = job.lines().get(lineId);
    if (!line || line.deleted) return;
    job.pushUndo({ kind: 'restore', lineId, says: `Put the posting #${line.number} back` });
    job.setDeleted(line, true);
  }
  function putBack(lineId: string): void {
    const line = job.lines().get(lineId);
    if (!line?.deleted) return;
    job.pushUndo({ kind: 'delete', lineId, says: `Strike the posting #${line.number} out again` });
    job.setDeleted(line, false);
  }

  /** Another name for a mark, in every entry that uses it; the name has been found to be free. */
  function rename(from: string, to: string): void {
    const isHeld = store.inHand?.name.toLowerCase() === from.toLowerCase();
    const steps = rewriteAll([...job.lines().values()], (source) => renamedIn(source, from, to, job.style()));
    steps.push(...job.rewriteSetOuts((source) => renamedIn(source, from, to, job.style())));
    if (steps.length > 0) job.pushUndo({ kind: 'many', steps, says: `Call ${to} ${from} again` });
    if (isHeld) store.takeInHand(to);
  }

  /** Writes lines anew where they come out otherwise. @returns how to take that back */
  function rewriteAll(lines: readonly LineWire[], change: (source: string) => string): Inverse[] {
    return lines.filter(isWorked).flatMap((line: WorkedRow['line']): Inverse[] => {
      const { position, label, note } = line;
      const before = job.shownSource(line);
      const after = change(before);
      if (after === before) return [];
      const content: LineContent = { position, source: line.source, label, note };
      job.write(line, { ...content, source: job.stored(after) });
      return [{ kind: 'write', lineId: line.id, content, says: '' }];
    });
  }

  /**
   * Takes marks off the stick. The lines that kept them stay on the slate as plain lines; their postings are struck out;
   * with `keepValues` what used them holds their values from now on.
   */
  function removeMarks(names: readonly string[], keepValues: boolean): void {
    const steps = names.flatMap((name) => removeOne(name, keepValues));
    const says = names.length === 1 ? `Bring the mark ${names[0]} back` : `Bring all ${names.length} marks back`;
    if (steps.length > 0) job.pushUndo({ kind: 'many', steps: steps.reverse(), says });
  }

  function removeOne(name: string, keepValues: boolean): Inverse[] {
    const slate = job.slate();
    const lineOf = (id: string) => job.lines().get(id);
    const steps: Inverse[] = [];
    const value = keepValues ? exactEntryOf(name) : undefined;
    if (value !== undefined)
      steps.push(
        ...rewriteAll(
          slate.usersOfMark(name).flatMap(({ id }) => lineOf(id) ?? []),
          (source) => valueForMark(source, name, value, job.style()),
        ),
      );
    if (value !== undefined)
      steps.push(...job.rewriteSetOuts((source) => valueForMark(source, name, value, job.style())));
    for (const { line, operator } of slate.markLines(name)) {
      const held = lineOf(line.id);
      if (held === undefined) continue;
      if (operator === 'keep') steps.push(...rewriteAll([held], (source) => withoutAssignment(source, job.style())));
      else {
        job.setDeleted(held, true);
        steps.push({ kind: 'restore', lineId: held.id, says: '' });
      }
    }
    return steps;
  }

  function exactEntryOf(name: string): string | undefined {
    const mark = job.freshSlate().scope().mark(name.toLowerCase());
    return mark?.ok === true ? exactText(mark.quantity, job.style())?.plain : undefined;
  }

  /** A posting or base that follows other lines, written as the value it has now. */
  function freeze(lineId: string): void {
    const line = job.lines().get(lineId);
    const name = line && parse(job.shownSource(line), job.style()).entry?.assignment?.name;
    const made =
      name === undefined
        ? undefined
        : job
            .freshSlate()
            .markLines(name)
            .find((one) => one.line.id === lineId);
    if (!line || !made?.amount.ok || made.amount.quantity === undefined) return;
    const value = exactText(made.amount.quantity, job.style())?.plain;
    if (value === undefined) return;
    const source = job.shownSource(line);
    const front = source.slice(0, source.length - withoutAssignment(source, job.style()).length);
    const steps = rewriteAll([line], () => `${front}${value}`);
    const [step] = steps;
    if (step) job.pushUndo({ ...step, says: `Let #${line.number} follow its sources again` });
  }

  return { story, strike, putBack, rename, removeMarks, freeze };
}
