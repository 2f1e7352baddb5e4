import type { LineWire } from '@sprell/contract';
import { bindLast, exactText, parse, valueForLine, valueForMark } from '@sprell/core';
import { v7 as uuidv7 } from 'uuid';
import type { Conflicts } from './conflicts.ts';
import type { Ground } from './ground.ts';
import type { HeldEntries, Rewrite } from './held-entries.ts';
import type { Marks } from './marks.ts';
import { placeAt, type Place } from './position-at.ts';
import type { SlateLines } from './slate-lines.ts';
import { asKept, isWorked, nameOf, splitLabel, wordsAsKept, type WorkedRow } from './slate-row.ts';
import type { UndoLog } from './undo-log.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

/** What lines are edited in. */
interface JobWithLines {
  readonly ground: Ground;
  readonly undoLog: UndoLog;
  readonly slate: SlateLines;
  readonly marks: Marks;
  readonly held: HeldEntries;
  readonly conflicts: Conflicts;
}

/** What a person does to the lines of the slate: each is one step that can be undone. */
export class LineEdits {
  readonly #job: JobWithLines;
  /** What was entered while no job was open yet: it lands as soon as one is. */
  readonly #early: (() => void)[] = [];

  constructor(job: JobWithLines) {
    this.#job = job;
  }

  /** A job is open: what was entered before lands in it. */
  open(): void {
    for (const landing of this.#early.splice(0)) landing();
  }

  /**
   * Puts an entry on the slate: at its foot, or above a line.
   * @param undoSays what undoing it is called, where that is more than deleting the line
   * @returns the number of its line; undefined where nothing landed, or not yet
   */
  land(entry: string, beforeId?: string, undoSays?: string): number | undefined {
    const { ground, undoLog } = this.#job;
    if (ground.head === undefined) {
      this.#early.push(() => {
        this.land(entry, beforeId, undoSays);
      });
      return undefined;
    }
    if (ground.refusesReader()) return undefined;
    const line = this.#add(entry, beforeId);
    undoLog.push({ kind: 'delete', lineId: line.id, says: undoSays ?? `Remove ${nameOf(line)}` });
    return line.number ?? undefined;
  }

  /**
   * Puts several entries on the slate, one after the other, as one step.
   * @param entries each made when those before it have landed, from their numbers
   */
  landAll(entries: readonly ((landed: readonly number[]) => string)[], undoSays: string): void {
    const { ground, undoLog } = this.#job;
    if (ground.refusesReader()) return;
    const landed: LineWire[] = [];
    for (const entry of entries) landed.push(this.#add(entry(landed.map(({ number }) => number ?? 0)), undefined));
    const steps = [...landed].reverse().map(({ id }): Inverse => ({ kind: 'delete', lineId: id, says: '' }));
    if (steps.length > 0) undoLog.push({ kind: 'many', steps, says: undoSays });
  }

  /** Puts lines that came from elsewhere at the foot, headings and notes with them, as one step. */
  landPasted(
    lines: readonly { readonly kind: 'entry' | 'heading' | 'note'; readonly text: string; readonly note: string }[],
  ): void {
    const { ground, undoLog, slate } = this.#job;
    if (ground.refusesReader() || lines.length === 0) return;
    const landed = lines.flatMap(({ kind, text, note }) => {
      if (kind === 'entry') return [this.#add(text, undefined, note)];
      const words = wordsAsKept(kind, text);
      if (words === '') return [];
      const line = this.#newLine(kind === 'heading' ? { kind, label: words } : { kind, note: words }, undefined);
      slate.add(line, false);
      return [line];
    });
    const steps = [...landed].reverse().map(({ id }): Inverse => ({ kind: 'delete', lineId: id, says: '' }));
    undoLog.push({ kind: 'many', steps, says: `Remove the ${landed.length} pasted lines` });
  }

  #add(entry: string, beforeId: string | undefined, note = ''): LineWire {
    const { ground, slate, marks } = this.#job;
    const { style } = ground.reading;
    const lastNumber = slate.graph.lastLine()?.number;
    const { label, source } = splitLabel(lastNumber === undefined ? entry : bindLast(entry, lastNumber, style));
    // `rail = rail / 2` means the rail as it was before.
    const made = parse(source, style).entry?.assignment?.name;
    const landing = made === undefined ? source : this.#withoutItself(made, source);
    if (made !== undefined) slate.makeMark(made);
    const number = slate.nextNumber;
    const line = this.#newLine({ kind: 'worked', number, source: slate.stored(landing), label, note }, beforeId);
    slate.add(line, true);
    if (made !== undefined) marks.takeInHand(made);
    return line;
  }

  /** An entry that is kept as a mark or posted to it, with the value the mark has now in place of its own name. */
  #withoutItself(name: string, entry: string): string {
    const { style } = this.#job.ground.reading;
    const mark = this.#job.slate.freshGraph.scope().mark(name.toLowerCase());
    const value = mark?.ok === true ? exactText(mark.quantity, style)?.plain : undefined;
    return value === undefined ? entry : valueForMark(entry, name, value, style);
  }

  /** Puts a heading or a plain note on the slate: at its foot, or above a line. */
  landWords(kind: 'heading' | 'note', words: string, beforeId?: string): void {
    const { ground, slate, undoLog } = this.#job;
    const text = wordsAsKept(kind, words);
    if (text === '' || ground.refusesReader()) return;
    const line = this.#newLine(kind === 'heading' ? { kind, label: text } : { kind, note: text }, beforeId);
    slate.add(line, false);
    undoLog.push({ kind: 'delete', lineId: line.id, says: `Remove ${nameOf(line)}` });
  }

  /** Gives positions of their own to lines that stand in the way of a place. */
  #makeRoom({ moved }: Place): void {
    const { slate } = this.#job;
    for (const { line, position } of moved) {
      const now = slate.get(line.id);
      if (now) slate.write(now, { ...now, position });
    }
  }

  #newLine(content: Partial<LineWire> & Pick<LineWire, 'kind'>, beforeId: string | undefined): LineWire {
    const place = placeAt(this.#job.slate.rows, beforeId);
    this.#makeRoom(place);
    return {
      id: uuidv7(),
      number: null,
      position: place.position,
      source: '',
      label: null,
      note: '',
      revision: 0,
      deleted: false,
      ...asKept(content),
    };
  }

  /**
   * Edits an entry.
   * @param begun the line as it stood when that was begun: where somebody else wrote it meanwhile, both versions stand
   */
  edit(lineId: string, entry: string, begun?: LineWire): void {
    const line = this.#job.slate.get(lineId);
    if (!line) return;
    const { label, source } = splitLabel(entry);
    const made = parse(source, this.#job.ground.reading.style).entry?.assignment?.name;
    if (made !== undefined && !this.#job.ground.isReader) this.#job.slate.makeMark(made);
    this.#rewrite(line, { source: this.#job.slate.stored(source), label }, begun);
  }

  /** Edits words among the lines. */
  editWords(lineId: string, words: string, begun?: LineWire): void {
    const line = this.#job.slate.get(lineId);
    if (line === undefined || isWorked(line)) return;
    const text = wordsAsKept(line.kind, words);
    if (text !== '') this.#rewrite(line, line.kind === 'heading' ? { label: text } : { note: text }, begun);
  }

  /** The note that stands under a line; empty for none. */
  setNote(lineId: string, note: string, begun?: LineWire): void {
    const line = this.#job.slate.get(lineId);
    if (line) this.#rewrite(line, { note: note.trim() }, begun);
  }

  /** One step that can be undone: a line with other words, nothing where they are the same. */
  #rewrite(line: LineWire, changes: Partial<LineContent>, begun = line): void {
    const { slate, undoLog, conflicts } = this.#job;
    const { position, source, label, note } = line;
    const before: LineContent = { position, source, label, note };
    const after = asKept<LineContent>({ ...before, ...changes });
    const keys = Object.keys(changes) as (keyof LineContent)[];
    if (keys.every((key) => after[key] === before[key]) && !line.deleted) return;
    const isOther = line.deleted || keys.some((key) => begun[key] !== before[key]);
    if (isOther) {
      conflicts.keepBoth(line.id, { ...line, ...after, deleted: false });
      return;
    }
    undoLog.push({ kind: 'write', lineId: line.id, content: before, says: `Undo the change to ${nameOf(line)}` });
    slate.write(line, after);
  }

  remove(lineId: string): void {
    const { slate, undoLog } = this.#job;
    const line = slate.get(lineId);
    if (!line) return;
    undoLog.push({ kind: 'restore', lineId, says: `Bring ${nameOf(line)} back` });
    slate.setDeleted(line, true);
  }

  /**
   * Deletes lines, as one step.
   * @param chosen the lines that go; all of them where it is left out
   */
  clear(chosen?: ReadonlySet<string>): void {
    const { slate, undoLog } = this.#job;
    // As they are now: a row holds its line as it was drawn, and the server may have answered since.
    const gone = slate.rows.flatMap(({ line }) =>
      chosen === undefined || chosen.has(line.id) ? (slate.get(line.id) ?? []) : [],
    );
    if (gone.length === 0) return;
    undoLog.push({
      kind: 'many',
      steps: gone.map(({ id }) => ({ kind: 'restore', lineId: id, says: '' })),
      says:
        gone.length === 1
          ? 'Bring the line back'
          : chosen === undefined
            ? `Bring all ${gone.length} lines back`
            : `Bring ${gone.length} lines back`,
    });
    // From the foot up, so that no line is left without what it uses.
    slate.together(() => {
      for (const line of gone.reverse()) slate.setDeleted(line, true);
    });
  }

  /** Puts a line at another place on the slate: `to` counts the lines that then stand above it. */
  move(lineId: string, to: number): void {
    const { slate, undoLog } = this.#job;
    const line = slate.get(lineId);
    const others = slate.rows.filter((row) => row.line.id !== lineId);
    if (!line || slate.rows[to]?.line.id === lineId) return;
    const { position, source, label, note } = line;
    const content = { position, source, label, note };
    undoLog.push({ kind: 'write', lineId, content, says: `Put ${nameOf(line)} back` });
    const place = placeAt(others, others[to]?.line.id);
    this.#makeRoom(place);
    slate.write(line, { ...content, position: place.position });
  }

  /**
   * Puts lines together at another place, in the order in which they stand, as one step.
   * @param beforeId the line that they stand above then; undefined for the foot
   * @param heading words for a heading of their own
   */
  gather(chosen: ReadonlySet<string>, beforeId: string | undefined, heading?: string): void {
    const { ground, slate, undoLog } = this.#job;
    const words = heading === undefined ? undefined : wordsAsKept('heading', heading);
    const going = slate.rows.flatMap(({ line }) => (chosen.has(line.id) ? [line.id] : []));
    if (going.length === 0 || words === '' || ground.refusesReader()) return;
    const behind = slate.rows.slice(beforeId === undefined ? slate.rows.length : this.#placeOf(beforeId));
    // Above a line that goes along is above the first one behind it that stays.
    const before = behind.find(({ line }) => !chosen.has(line.id))?.line.id;
    const steps: Inverse[] = [];
    if (words !== undefined) {
      const line = this.#newLine({ kind: 'heading', label: words }, before);
      slate.add(line, false);
      steps.push({ kind: 'delete', lineId: line.id, says: '' });
    }
    for (const lineId of going) steps.push(...this.#putAbove(lineId, before));
    const lines = `${going.length} ${going.length === 1 ? 'line' : 'lines'}`;
    const says = words === undefined ? `Put ${lines} back` : `Remove the heading ${words}, and put ${lines} back`;
    undoLog.push({ kind: 'many', steps: steps.reverse(), says });
  }

  #placeOf(lineId: string): number {
    return this.#job.slate.rows.findIndex(({ line }) => line.id === lineId);
  }

  /** @returns what takes it back */
  #putAbove(lineId: string, beforeId: string | undefined): readonly Inverse[] {
    const { slate } = this.#job;
    const line = slate.get(lineId);
    if (!line) return [];
    const { position, source, label, note } = line;
    const content = { position, source, label, note };
    const place = placeAt(
      slate.rows.filter((row) => row.line.id !== lineId),
      beforeId,
    );
    this.#makeRoom(place);
    slate.write(line, { ...content, position: place.position });
    return [{ kind: 'write', lineId, content, says: '' }];
  }

  /** A sentence that names what uses a line, also by a mark that it makes; undefined when nothing does. */
  usersOf(lineId: string): string | undefined {
    const line = this.#job.slate.get(lineId);
    if (!line || !isWorked(line)) return undefined;
    const mark = this.#markMadeBy(lineId);
    const users = this.#job.held.usersIn(this.#without(line, '0', mark), { number: line.number, mark }, lineId);
    if (users.length === 0) return undefined;
    const names = users.length > 4 ? `${users.slice(0, 3).join(', ')} and ${users.length - 3} more` : users.join(', ');
    return `${nameOf(line)} is used by ${names}.`;
  }

  /** The line has an exact value that can stand where it is used. One of several lines that make a mark has none by itself. */
  canKeepValue(lineId: string): boolean {
    return this.#exactEntry(lineId, this.#job.slate.graph) !== undefined;
  }

  /** @param graph the one that is shown, or the one with every change worked out where the value is written down */
  #exactEntry(lineId: string, graph = this.#job.slate.freshGraph): string | undefined {
    const worked = graph.line(lineId);
    if (!worked?.result.ok || worked.result.outcome.kind !== 'quantity') return undefined;
    if (this.#markMadeBy(lineId) !== this.#markOnlyBy(lineId)) return undefined;
    return exactText(worked.result.outcome.quantity, this.#job.ground.reading.style)?.plain;
  }

  #markMadeBy(lineId: string): string | undefined {
    return this.#job.slate.graph.line(lineId)?.parsed.entry?.assignment?.name;
  }
  /** The mark that no other line makes or posts to. */
  #markOnlyBy(lineId: string): string | undefined {
    const mark = this.#markMadeBy(lineId);
    return mark !== undefined && this.#job.slate.graph.markLines(mark).length === 1 ? mark : undefined;
  }

  /** Writes a value in place of a line, and of a mark. */
  #without({ number }: WorkedRow['line'], value: string, mark: string | undefined): Rewrite {
    const { style } = this.#job.ground.reading;
    const order = this.#job.slate.graph.lines().map(({ line }) => line.number);
    return (source) => {
      const written = valueForLine(source, { number, value, order }, style);
      return mark === undefined ? written : valueForMark(written, mark, value, style);
    };
  }

  /** Deletes a line, its value written wherever it is used; one step to undo. */
  removeKeepingValue(lineId: string): void {
    const { slate, held, undoLog } = this.#job;
    const line = slate.get(lineId);
    const value = this.#exactEntry(lineId);
    if (!line || !isWorked(line) || value === undefined) return;
    const mark = this.#markOnlyBy(lineId);
    const steps = held.rewrite(this.#without(line, value, mark), { number: line.number, mark }, lineId);
    undoLog.push({
      kind: 'many',
      says: `Bring ${nameOf(line)} back`,
      steps: [{ kind: 'restore', lineId, says: '' }, ...steps],
    });
    slate.setDeleted(line, true);
  }
}
