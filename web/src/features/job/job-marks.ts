import type { LineWire } from '@sprell/contract';
import {
  describeIssue,
  exactText,
  ledgerOf,
  parse,
  printEntry,
  readQuantity,
  renamedIn,
  valueForMark,
  withoutAssignment,
  type Ledger,
  type LineResult,
  type Quantity,
  type ReadingStyle,
  type Slate,
} from '@sprell/core';
import { computed, ref, type Ref } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { isWorked, withLabel, type WorkedRow } from './slate-row.ts';
import { madeAt } from './made-at.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

/** A mark on the story stick, as it reads. */
export interface JobMark {
  readonly name: string;
  /** Its value, or words that it has none. */
  readonly reading: string;
  /** Undefined while the lines that make it are in error. */
  readonly quantity: Quantity | undefined;
  readonly problem: string | undefined;
  /** When it was kept, in milliseconds since 1970. */
  readonly keptAt: number;
  /** The number of the line that changed it last. */
  readonly changedBy: number;
}

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
}

/** What the marks need of the open job. */
export interface JobLines {
  /** The rows, to follow when they change. */
  readonly rows: Readonly<Ref<unknown>>;
  readonly style: Readonly<Ref<ReadingStyle>>;
  jobId(): string | undefined;
  slate(): Slate;
  lines(): ReadonlyMap<string, LineWire>;
  shownSource(line: LineWire): string;
  /** Source as it is stored. */
  stored(source: string): string;
  write(line: LineWire, content: LineContent): void;
  setDeleted(line: LineWire, deleted: boolean): void;
  pushUndo(step: Inverse): void;
}

const SIGNS = { keep: '=', add: '+', subtract: '−' } as const;

/** The marks of the open job: their values, what made them, and every change to them as one step that can be undone. */
export function useMarks(job: JobLines) {
  const chosen = ref<string>();
  const chosenIn = ref<string>();

  const marks = computed<readonly JobMark[]>(() => {
    void job.rows.value;
    const slate = job.slate();
    return slate.marks().map(({ name, result, madeBy }): JobMark => {
      const base = madeBy.findLast(({ operator }) => operator === 'keep') ?? madeBy[0];
      return {
        name,
        reading: says(result),
        quantity: result.ok ? result.quantity : undefined,
        problem: result.ok ? undefined : describeIssue(result.issue),
        keptAt: base ? madeAt(base.id) : 0,
        changedBy: madeBy.reduce((latest, { number }) => Math.max(latest, number), 0),
      };
    });
  });

  /** The mark that add-ons and knock-offs go to: the one chosen, or else the one that was changed last. */
  const inHand = computed<JobMark | undefined>(() => {
    const id = job.jobId();
    const wanted = (chosenIn.value === id ? chosen.value : remembered<string>(`in-hand.${id}`))?.toLowerCase();
    const last = marks.value.reduce<JobMark | undefined>(
      (latest, mark) => (latest === undefined || mark.changedBy > latest.changedBy ? mark : latest),
      undefined,
    );
    return marks.value.find(({ name }) => name.toLowerCase() === wanted) ?? last;
  });

  function takeInHand(name: string): void {
    const id = job.jobId();
    chosen.value = name;
    chosenIn.value = id;
    remember(`in-hand.${id}`, name);
  }

  function says(result: LineResult): string {
    if (!result.ok) return 'needs mending';
    return result.quantity === undefined ? '' : readQuantity(result.quantity, job.style.value).text;
  }

  /** The whole story of a mark; undefined for a name that there is none of. */
  function story(name: string): MarkStory | undefined {
    const ledger = ledgerOf(job.slate(), name);
    const mark = marks.value.find((one) => one.name.toLowerCase() === name.toLowerCase());
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
      amount: says(line.amount),
      after: says(line.after),
      at: madeAt(id),
      isLive: line.isLive,
      struck: false,
    };
  }

  /** An entry as it was understood, without the mark in front of it. */
  function readBackOf(source: string): string {
    const { entry } = parse(source, job.style.value);
    return entry === undefined ? source : printEntry({ ...entry, assignment: undefined }, job.style.value);
  }

  /** Postings that were taken off since the mark was kept. */
  function struckOut(name: string, since: number): readonly MarkEntry[] {
    return [...job.lines().values()]
      .filter((line) => line.deleted && madeAt(line.id) >= since)
      .filter(isWorked)
      .flatMap((line): MarkEntry[] => {
        const source = job.shownSource(line);
        const assignment = parse(source, job.style.value).entry?.assignment;
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
    const isHeld = inHand.value?.name.toLowerCase() === from.toLowerCase();
    const steps = rewriteAll([...job.lines().values()], (source) => renamedIn(source, from, to, job.style.value));
    if (steps.length > 0) job.pushUndo({ kind: 'many', steps, says: `Call ${to} ${from} again` });
    if (isHeld) takeInHand(to);
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
          (source) => valueForMark(source, name, value, job.style.value),
        ),
      );
    for (const { line, operator } of slate.markLines(name)) {
      const held = lineOf(line.id);
      if (held === undefined) continue;
      if (operator === 'keep')
        steps.push(...rewriteAll([held], (source) => withoutAssignment(source, job.style.value)));
      else {
        job.setDeleted(held, true);
        steps.push({ kind: 'restore', lineId: held.id, says: '' });
      }
    }
    return steps;
  }

  function exactEntryOf(name: string): string | undefined {
    const mark = marks.value.find((one) => one.name.toLowerCase() === name.toLowerCase());
    return mark?.quantity && exactText(mark.quantity, job.style.value)?.plain;
  }

  /** A posting or base that follows other lines, written as the value it has now. */
  function freeze(lineId: string): void {
    const line = job.lines().get(lineId);
    const name = line && parse(job.shownSource(line), job.style.value).entry?.assignment?.name;
    const made =
      name === undefined
        ? undefined
        : job
            .slate()
            .markLines(name)
            .find((one) => one.line.id === lineId);
    if (!line || !made?.amount.ok || made.amount.quantity === undefined) return;
    const value = exactText(made.amount.quantity, job.style.value)?.plain;
    if (value === undefined) return;
    const source = job.shownSource(line);
    const front = source.slice(0, source.length - withoutAssignment(source, job.style.value).length);
    const steps = rewriteAll([line], () => `${front}${value}`);
    const [step] = steps;
    if (step) job.pushUndo({ ...step, says: `Let #${line.number} follow its sources again` });
  }

  return { marks, inHand, takeInHand, story, strike, putBack, rename, removeMarks, freeze };
}
