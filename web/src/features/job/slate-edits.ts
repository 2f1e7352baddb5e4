import type { LineWire } from '@sprell/contract';
import { exactText, valueForLine, valueForMark } from '@sprell/core';
import type { JobLines } from './job-marks.ts';
import { placeAt } from './position-at.ts';
import { asKept, isWorked, nameOf, splitLabel, wordsAsKept, type WorkedRow } from './slate-row.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

/** Changes to lines that stand on the slate: each is one step that can be undone. */
export function useSlateEdits(job: JobLines) {
  /**
   * Writes a line anew.
   * @param begun the line as it stood when that was begun: where somebody else wrote it meanwhile, both versions stand
   */
  function edit(lineId: string, entry: string, begun?: LineWire): void {
    const line = job.lines().get(lineId);
    if (!line) return;
    const { label, source } = splitLabel(entry);
    rewrite(line, { source: job.stored(source), label }, begun);
  }

  /** Writes words among the lines anew. */
  function editWords(lineId: string, words: string, begun?: LineWire): void {
    const line = job.lines().get(lineId);
    if (line === undefined || isWorked(line)) return;
    const text = wordsAsKept(line.kind, words);
    if (text !== '') rewrite(line, line.kind === 'heading' ? { label: text } : { note: text }, begun);
  }

  /** The note that stands under a line; empty for none. */
  function setNote(lineId: string, note: string, begun?: LineWire): void {
    const line = job.lines().get(lineId);
    if (line) rewrite(line, { note: note.trim() }, begun);
  }

  /** One step that can be undone: a line with other words, nothing where they are the same. */
  function rewrite(line: LineWire, changes: Partial<LineContent>, begun = line): void {
    const { position, source, label, note } = line;
    const before: LineContent = { position, source, label, note };
    const after = asKept<LineContent>({ ...before, ...changes });
    const keys = Object.keys(changes) as (keyof LineContent)[];
    if (keys.every((key) => after[key] === before[key]) && !line.deleted) return;
    const isOther = line.deleted || keys.some((key) => begun[key] !== before[key]);
    if (isOther) {
      job.keepBoth(line.id, { ...line, ...after, deleted: false });
      return;
    }
    job.pushUndo({ kind: 'write', lineId: line.id, content: before, says: `Undo the change to ${nameOf(line)}` });
    job.write(line, after);
  }

  function remove(lineId: string): void {
    const line = job.lines().get(lineId);
    if (!line) return;
    job.pushUndo({ kind: 'restore', lineId, says: `Bring ${nameOf(line)} back` });
    job.setDeleted(line, true);
  }

  /** Takes every line off the slate, as one step. */
  function clear(): void {
    // As they are now: a row holds its line as it was drawn, and the server may have answered since.
    const gone = job.rows().flatMap(({ line }) => job.lines().get(line.id) ?? []);
    if (gone.length === 0) return;
    job.pushUndo({
      kind: 'many',
      steps: gone.map(({ id }) => ({ kind: 'restore', lineId: id, says: '' })),
      says: `Bring all ${gone.length} lines back`,
    });
    // From the foot up, so that no line is left without what it uses.
    job.together(() => {
      for (const line of gone.reverse()) job.setDeleted(line, true);
    });
  }

  /** Puts a line at another place on the slate: `to` counts the lines that then stand above it. */
  function move(lineId: string, to: number): void {
    const line = job.lines().get(lineId);
    const others = job.rows().filter((row) => row.line.id !== lineId);
    if (!line || job.rows()[to]?.line.id === lineId) return;
    const { position, source, label, note } = line;
    job.pushUndo({
      kind: 'write',
      lineId,
      content: { position, source, label, note },
      says: `Put ${nameOf(line)} back`,
    });
    const place = placeAt(others, others[to]?.line.id);
    job.makeRoom(place);
    job.write(line, { position: place.position, source, label, note });
  }

  /** A sentence that names the lines and setting-outs using a line; undefined when none does. */
  function usersOf(lineId: string): string | undefined {
    const line = job.lines().get(lineId);
    if (!line || !isWorked(line)) return undefined;
    const users = [
      ...job
        .slate()
        .usersOf(lineId)
        .map(({ number }) => `#${number}`),
      ...job.setOutsWith(withoutLine(line, '0')),
    ];
    if (users.length === 0) return undefined;
    const names = users.length > 4 ? `${users.slice(0, 3).join(', ')} and ${users.length - 3} more` : users.join(', ');
    return `${nameOf(line)} is used by ${names}.`;
  }

  /** The line has an exact value that can stand where it is used. One of several lines that make a mark has none by itself. */
  function canKeepValue(lineId: string): boolean {
    return exactEntry(lineId, job.slate()) !== undefined;
  }

  /** @param slate the one that is shown, or the one with every change worked out where the value is written down */
  function exactEntry(lineId: string, slate = job.freshSlate()): string | undefined {
    const worked = slate.line(lineId);
    if (!worked?.result.ok || worked.result.outcome.kind !== 'quantity') return undefined;
    const mark = worked.parsed.entry?.assignment?.name;
    if (mark !== undefined && slate.markLines(mark).length > 1) return undefined;
    return exactText(worked.result.outcome.quantity, job.style())?.plain;
  }

  /** Writes a value in place of a line, and of the mark that it alone makes. */
  function withoutLine({ id, number }: WorkedRow['line'], value: string): (source: string) => string {
    const order = job
      .slate()
      .lines()
      .map(({ line }) => line.number);
    const mark = job.slate().line(id)?.parsed.entry?.assignment?.name;
    const isAlone = mark !== undefined && job.slate().markLines(mark).length === 1;
    return (source) => {
      const written = valueForLine(source, { number, value, order }, job.style());
      return isAlone ? valueForMark(written, mark, value, job.style()) : written;
    };
  }

  /** Takes a line off, its value written wherever it is used; one step to undo. */
  function removeKeepingValue(lineId: string): void {
    const line = job.lines().get(lineId);
    const value = exactEntry(lineId);
    if (!line || !isWorked(line) || value === undefined) return;
    const without = withoutLine(line, value);
    const users = job
      .slate()
      .usersOf(lineId)
      .flatMap(({ id }) => job.lines().get(id) ?? []);
    const setOutSteps = job.rewriteSetOuts(without);
    job.pushUndo({
      kind: 'many',
      says: `Bring ${nameOf(line)} back`,
      steps: [
        { kind: 'restore', lineId, says: '' },
        ...setOutSteps,
        ...users.map(({ id, position, source, label, note }): Inverse => {
          return { kind: 'write', lineId: id, content: { position, source, label, note }, says: '' };
        }),
      ],
    });
    for (const user of users) {
      const { position, label, note } = user;
      job.write(user, { position, label, note, source: job.stored(without(job.shownSource(user))) });
    }
    job.setDeleted(line, true);
  }

  return { edit, editWords, setNote, remove, clear, move, usersOf, canKeepValue, removeKeepingValue };
}
