import {
  comparePlaces,
  positionBetween,
  type ChangeResult,
  type JobSummary,
  type JobWire,
  type LineChange,
  type LineWire,
  type ScaleChange,
} from '@sprell/contract';
import {
  bindLast,
  DEFAULT_STYLE,
  exactText,
  fromStored,
  parse,
  toStored,
  valueForLine,
  valueForMark,
  type Scope,
  type WorkedLine,
} from '@sprell/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { jobServer } from '../../adapters/job-server-loader.ts';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';
import { useScales } from './job-scales.ts';
import { useMarks, type JobLines } from './job-marks.ts';
import { useJobReading } from './job-reading.ts';
import { Outbox, type KeepState } from './outbox.ts';
import { SlateKeeper } from './slate-keeper.ts';
import { isWorked, nameOf, splitLabel, withLabel, wordsOf, type SlateRow, type WorkedRow } from './slate-row.ts';
import { UndoStack, type Inverse, type LineContent } from './undo-stack.ts';

/** A change of one's own that met another's: both are kept until one is chosen. */
export interface Conflict {
  readonly line: LineWire;
  readonly mine: LineContent | undefined;
  /** Both as a person reads them; undefined for a line taken off the slate. */
  readonly mineSays: string | undefined;
  readonly theirsSays: string | undefined;
}

/** The open job: its lines, their results, and every change to them. */
export const useJobStore = defineStore('job', () => {
  const jobs = ref<readonly JobSummary[]>([]);
  const job = shallowRef<Omit<JobWire, 'lines' | 'scales'>>();
  const rows = shallowRef<readonly SlateRow[]>([]);
  const failure = ref<string>();
  const conflicts = shallowRef<readonly Conflict[]>([]);
  const undoSays = ref<string>();
  /** Ids of lines whose result changed with the last change. */
  const changed = shallowRef<ReadonlySet<string>>(new Set());
  const keepState = computed<KeepState>(() => outbox.value?.state.value ?? { kind: 'kept' });
  const { style, forGood, setReading, setReadingForGood } = useJobReading(
    () => job.value?.reading,
    (reading) => {
      if (!job.value) return;
      job.value = { ...job.value, reading };
      outbox.value?.add({ id: uuidv7(), kind: 'job.reading', reading });
    },
  );

  let keeper = new SlateKeeper(DEFAULT_STYLE, () => undefined);
  let lines = new Map<string, LineWire>();
  /** The change of ours that a line's stored state comes from, while its revision is not known yet. */
  const pendingChange = new Map<string, string>();
  const outbox = shallowRef<Outbox>();
  let undoStack = new UndoStack('none');
  let nextNumber = 1;

  /** Loads the list of jobs, and the one that was open last beside it; where that one has gone, the first. */
  async function start(): Promise<void> {
    await guarded(async () => {
      const server = await jobServer();
      const last = remembered<string>('job');
      const [listed, loaded] = await Promise.all([
        server.list(),
        last === undefined ? undefined : server.open(last).catch(() => undefined),
      ]);
      jobs.value = listed;
      const [first] = listed;
      if (loaded) show(loaded);
      else if (first) show(await server.open(first.id));
    });
  }

  async function open(jobId: string): Promise<void> {
    await guarded(async () => show(await (await jobServer()).open(jobId)));
  }

  function show({ lines: loaded, scales, ...rest }: JobWire): void {
    job.value = rest;
    drawn.inner.showScales(scales);
    remember('job', rest.id);
    nextNumber = rest.nextNumber;
    lines = new Map(loaded.map((line) => [line.id, line]));
    keeper = new SlateKeeper(style.value, showChanged);
    pendingChange.clear();
    outbox.value = new Outbox(rest.id, settle);
    undoStack = new UndoStack(rest.id);
    undoSays.value = undoStack.top()?.says;
    conflicts.value = [];
    changed.value = new Set();
    keeper.load(
      loaded
        .filter((line) => !line.deleted)
        .filter(isWorked)
        .map(toSlateLine),
    );
    showRows();
  }

  async function guarded(work: () => Promise<void>): Promise<void> {
    failure.value = undefined;
    try {
      await work();
    } catch (error) {
      failure.value = error instanceof RequestFailure ? error.message : 'Something failed while opening the job.';
    }
  }

  const numberOf = (id: string) => lines.get(id)?.number ?? undefined;
  const shownSource = (line: LineWire) => fromStored(line.source, numberOf);
  const stored = (source: string) =>
    toStored(source, (number) => keeper.slate.lineNumbered(number)?.line.id, style.value);

  /** A line in a person's words, its note among them. */
  function whatItSays(line: LineWire): string {
    if (!isWorked(line)) return wordsOf(line);
    const entry = withLabel(line.label, shownSource(line));
    return line.note === '' ? entry : `${entry} (${line.note})`;
  }

  function toSlateLine(line: WorkedRow['line']) {
    return { id: line.id, number: line.number, position: line.position, source: shownSource(line) };
  }

  function showRows(): void {
    rows.value = [...lines.values()]
      .filter((line) => !line.deleted)
      .sort(comparePlaces)
      .map(toRow);
  }

  function toRow(line: LineWire): SlateRow {
    if (!isWorked(line)) return { kind: line.kind === 'heading' ? 'heading' : 'note', line, words: wordsOf(line) };
    const worked = keeper.slate.line(line.id) as WorkedLine;
    return { kind: 'worked', line, entry: withLabel(line.label, shownSource(line)), worked };
  }

  function showChanged(ids: readonly string[]): void {
    changed.value = new Set(ids);
    showRows();
  }

  /** Puts a line in its new state everywhere at once: store, slate and rows. */
  function place(line: LineWire): void {
    const renumbered = lines.get(line.id) !== undefined && lines.get(line.id)?.number !== line.number;
    lines.set(line.id, line);
    if (isWorked(line)) {
      nextNumber = Math.max(nextNumber, line.number + 1);
      // A line that got another number is written so in every entry that uses it.
      if (renumbered)
        keeper.load(
          [...lines.values()]
            .filter((one) => !one.deleted)
            .filter(isWorked)
            .map(toSlateLine),
        );
      else if (line.deleted) keeper.remove(line.id);
      else keeper.put(toSlateLine(line));
    }
    showRows();
  }

  function send(change: LineChange | ScaleChange): void {
    pendingChange.set('lineId' in change ? change.lineId : change.scaleId, change.id);
    outbox.value?.add(change);
  }

  const baseOf = ({ id, revision }: { readonly id: string; readonly revision: number }) =>
    pendingChange.get(id) ?? revision;

  /** What came of a change: revisions and numbers from the server, or a conflict to be shown. */
  function settle(result: ChangeResult): void {
    if (result.status === 'refused') {
      failure.value = 'The server refused a change; open the job anew to see what it holds.';
      return;
    }
    if (result.status === 'reads') {
      if (job.value && outbox.value?.isEmpty() !== false) job.value = { ...job.value, reading: result.reading };
      return;
    }
    if (result.status === 'scale' || result.status === 'scale.conflict') {
      const { scale } = result;
      const isTheirs = result.status === 'scale.conflict';
      if (pendingChange.get(scale.id) === result.id) pendingChange.delete(scale.id);
      drawn.inner.settleScale(scale, isTheirs);
      if (isTheirs)
        failure.value = `The scale ${drawn.inner.titleOf(scale)} was changed elsewhere; it stands as it is there.`;
      return;
    }
    const { line } = result;
    const ours = lines.get(line.id);
    const isLatest = pendingChange.get(line.id) === result.id;
    if (isLatest) pendingChange.delete(line.id);
    if (result.status === 'conflict') {
      const mine = ours && !ours.deleted ? ours : undefined;
      const says = (one: LineWire | undefined) => one && whatItSays(one);
      const conflict = { line, mine, mineSays: says(mine), theirsSays: line.deleted ? undefined : says(line) };
      conflicts.value = [...conflicts.value.filter((one) => one.line.id !== line.id), conflict];
      place(line);
    } else if (isLatest && (ours === undefined || ours.number !== line.number)) place(line);
    else if (ours) lines.set(line.id, { ...ours, revision: line.revision, number: line.number });
  }

  function write(line: LineWire, content: LineContent): void {
    const { position, source, label, note } = content;
    const base = baseOf(line);
    place({ ...line, position, source, label, note });
    send({ id: uuidv7(), kind: 'line.edit', lineId: line.id, base, position, source, label, note });
  }

  function setDeleted(line: LineWire, deleted: boolean): void {
    const base = baseOf(line);
    place({ ...line, deleted });
    send({ id: uuidv7(), kind: deleted ? 'line.delete' : 'line.restore', lineId: line.id, base });
  }

  function pushUndo(step: Inverse): void {
    undoStack.push(step);
    undoSays.value = step.says;
  }

  /**
   * Puts an entry on the slate: at its foot, or above a line.
   * @param undoSays what undoing it is called, where that is more than taking the line off
   */
  function land(entry: string, beforeId?: string, undoSays?: string): void {
    const line = putOn(entry, beforeId);
    pushUndo({ kind: 'delete', lineId: line.id, says: undoSays ?? `Take ${nameOf(line)} off again` });
  }

  /**
   * Puts several entries on the slate, one after the other, as one step.
   * @param entries each made when those before it have landed: it is told their numbers
   */
  function landAll(entries: readonly ((landed: readonly number[]) => string)[], undoSays: string): void {
    const landed: LineWire[] = [];
    for (const entry of entries) landed.push(putOn(entry(landed.map(({ number }) => number ?? 0)), undefined));
    const steps = [...landed].reverse().map(({ id }): Inverse => ({ kind: 'delete', lineId: id, says: '' }));
    if (steps.length > 0) pushUndo({ kind: 'many', steps, says: undoSays });
  }

  function putOn(entry: string, beforeId: string | undefined): LineWire {
    const lastNumber = keeper.slate.lastNumber();
    const { label, source } = splitLabel(lastNumber === undefined ? entry : bindLast(entry, lastNumber, style.value));
    // `rail = rail / 2` means the rail as it was before.
    const made = parse(source, style.value).entry?.assignment?.name;
    const landing = made === undefined ? source : withoutItself(made, source);
    const line = newLine({ kind: 'worked', number: nextNumber, source: stored(landing), label }, beforeId);
    place(line);
    const { position, note } = line;
    const number = nextNumber - 1;
    send({ id: uuidv7(), kind: 'line.add', lineId: line.id, number, position, source: line.source, label, note });
    return line;
  }

  /** Puts a heading or a plain note on the slate: at its foot, or above a line. */
  function landWords(kind: 'heading' | 'note', words: string, beforeId?: string): void {
    const text = words.trim();
    if (text === '') return;
    const line = newLine(kind === 'heading' ? { kind, label: text } : { kind, note: text }, beforeId);
    place(line);
    const { position, source, label, note } = line;
    send({ id: uuidv7(), kind: 'line.words', lineId: line.id, words: kind, position, source, label, note });
    pushUndo({ kind: 'delete', lineId: line.id, says: `Take ${nameOf(line)} off again` });
  }

  function newLine(content: Partial<LineWire> & Pick<LineWire, 'kind'>, beforeId: string | undefined): LineWire {
    const position = positionAt(rows.value, beforeId);
    return {
      id: uuidv7(),
      number: null,
      position,
      source: '',
      label: null,
      note: '',
      revision: 0,
      deleted: false,
      ...content,
    };
  }

  /** Writes a line anew. */
  function edit(lineId: string, entry: string): void {
    const line = lines.get(lineId);
    if (!line) return;
    const { label, source } = splitLabel(entry);
    rewrite(line, { source: stored(source), label });
  }

  /** Writes words among the lines anew. */
  function editWords(lineId: string, words: string): void {
    const line = lines.get(lineId);
    const text = words.trim();
    if (line && text !== '') rewrite(line, line.kind === 'heading' ? { label: text } : { note: text });
  }

  /** The note that stands under a line; empty for none. */
  function setNote(lineId: string, note: string): void {
    const line = lines.get(lineId);
    if (line) rewrite(line, { note: note.trim() });
  }

  /** One step that can be undone: a line with other words, nothing where they are the same. */
  function rewrite(line: LineWire, changes: Partial<LineContent>): void {
    const { position, source, label, note } = line;
    const before: LineContent = { position, source, label, note };
    const after: LineContent = { ...before, ...changes };
    if ((Object.keys(after) as (keyof LineContent)[]).every((key) => after[key] === before[key])) return;
    pushUndo({ kind: 'write', lineId: line.id, content: before, says: `Undo the change to ${nameOf(line)}` });
    write(line, after);
  }

  function remove(lineId: string): void {
    const line = lines.get(lineId);
    if (!line) return;
    pushUndo({ kind: 'restore', lineId, says: `Bring ${nameOf(line)} back` });
    setDeleted(line, true);
  }

  /** Takes every line off the slate, as one step. */
  function clear(): void {
    // As they are now: a row holds its line as it was drawn, and the server may have answered since.
    const gone = rows.value.flatMap(({ line }) => lines.get(line.id) ?? []);
    if (gone.length === 0) return;
    pushUndo({
      kind: 'many',
      steps: gone.map((line) => ({ kind: 'restore', lineId: line.id, says: `Bring ${nameOf(line)} back` })),
      says: `Bring all ${gone.length} lines back`,
    });
    // From the foot up, so that no line is left without what it uses.
    for (const line of gone.reverse()) setDeleted(line, true);
  }

  /** Puts a line at another place on the slate: `to` counts the lines that then stand above it. */
  function move(lineId: string, to: number): void {
    const line = lines.get(lineId);
    const others = rows.value.filter((row) => row.line.id !== lineId);
    if (!line || rows.value[to]?.line.id === lineId) return;
    const { position, source, label, note } = line;
    pushUndo({ kind: 'write', lineId, content: { position, source, label, note }, says: `Put ${nameOf(line)} back` });
    write(line, { position: positionAt(others, others[to]?.line.id), source, label, note });
  }

  /** A sentence that names the lines using a line; undefined when none does. */
  function usersOf(lineId: string): string | undefined {
    const users = keeper.slate.usersOf(lineId).map(({ number }) => `#${number}`);
    const line = lines.get(lineId);
    if (users.length === 0 || !line) return undefined;
    const names = users.length > 4 ? `${users.slice(0, 3).join(', ')} and ${users.length - 3} more` : users.join(', ');
    return `${nameOf(line)} is used by ${names}.`;
  }

  /** The line has an exact value that can stand where it is used. One of several lines that make a mark has none by itself. */
  function canKeepValue(lineId: string): boolean {
    return exactEntry(lineId) !== undefined;
  }

  function exactEntry(lineId: string): string | undefined {
    const worked = keeper.slate.line(lineId);
    if (!worked?.result.ok || worked.result.outcome.kind !== 'quantity') return undefined;
    const mark = worked.parsed.entry?.assignment?.name;
    if (mark !== undefined && keeper.slate.markLines(mark).length > 1) return undefined;
    return exactText(worked.result.outcome.quantity, style.value)?.plain;
  }

  /** Takes a line off, its value written wherever it is used; one step to undo. */
  function removeKeepingValue(lineId: string): void {
    const line = lines.get(lineId);
    const value = exactEntry(lineId);
    if (!line || !isWorked(line) || value === undefined) return;
    const order = keeper.slate.lines().map(({ line: { number } }) => number);
    const gone = { number: line.number, value, order };
    const mark = keeper.slate.line(lineId)?.parsed.entry?.assignment?.name;
    const without = (source: string) => {
      const written = valueForLine(source, gone, style.value);
      return mark === undefined ? written : valueForMark(written, mark, value, style.value);
    };
    const users = keeper.slate.usersOf(lineId).flatMap(({ id }) => lines.get(id) ?? []);
    pushUndo({
      kind: 'many',
      says: `Bring ${nameOf(line)} back`,
      steps: [
        { kind: 'restore', lineId, says: '' },
        ...users.map(({ id, position, source, label, note }): Inverse => {
          return { kind: 'write', lineId: id, content: { position, source, label, note }, says: '' };
        }),
      ],
    });
    for (const user of users) {
      const { position, label, note } = user;
      write(user, { position, label, note, source: stored(without(shownSource(user))) });
    }
    setDeleted(line, true);
  }

  /** Takes the last step of this device back. */
  function undo(): void {
    const step = undoStack.pop();
    undoSays.value = undoStack.top()?.says;
    if (step) takeBack(step);
  }

  function takeBack(step: Inverse): void {
    if (step.kind === 'many') {
      for (const one of step.steps) takeBack(one);
      return;
    }
    if ('scaleId' in step) {
      drawn.inner.takeScaleBack(step);
      return;
    }
    const line = lines.get(step.lineId);
    if (line === undefined) return;
    if (step.kind === 'write') write(line, step.content);
    else setDeleted(line, step.kind === 'delete');
  }

  /** Settles a conflict: with one's own words, or by leaving the line as it is now. */
  function resolveConflict(conflict: Conflict, keep: 'mine' | 'theirs'): void {
    conflicts.value = conflicts.value.filter((one) => one !== conflict);
    const line = lines.get(conflict.line.id);
    if (keep === 'mine' && line && conflict.mine) {
      if (line.deleted) setDeleted(line, false);
      write(lines.get(line.id) as LineWire, conflict.mine);
    }
  }

  /** What an entry may refer to; while a line is edited it does not see itself. */
  function scope(editedLineId?: string): Scope {
    return keeper.slate.scope(editedLineId);
  }

  const drawn = useScales({ style, jobId: () => job.value?.id, scope: () => scope(), baseOf, send, pushUndo });
  const { inner: _, ...scaleDoor } = drawn;
  /** What works on marks as a whole is given of the job. */
  const jobLines = markRaw<JobLines>({
    rows: () => rows.value,
    style: () => style.value,
    jobId: () => job.value?.id,
    slate: () => keeper.slate,
    lines: () => lines,
    shownSource,
    stored,
    write,
    setDeleted,
    pushUndo,
  });
  const stick = useMarks(jobLines);
  /** An entry that is kept as a mark or posted to it, with the value the mark has now in place of its own name. */
  function withoutItself(name: string, entry: string): string {
    const mark = stick.marks.value.find((one) => one.name.toLowerCase() === name.toLowerCase());
    const value = mark?.quantity && exactText(mark.quantity, style.value)?.plain;
    return value === undefined ? entry : valueForMark(entry, name, value, style.value);
  }

  return {
    jobs,
    job,
    rows,
    style,
    changed,
    failure,
    conflicts,
    keepState,
    undoSays,
    start,
    open,
    land,
    landAll,
    landWords,
    edit,
    editWords,
    setNote,
    remove,
    removeKeepingValue,
    canKeepValue,
    clear,
    move,
    usersOf,
    setReading,
    setReadingForGood,
    forGood,
    ...stick,
    jobLines,
    ...scaleDoor,
    undo,
    resolveConflict,
    scope,
  };
});

/** The place above a line, or at the foot. */
function positionAt(rows: readonly SlateRow[], beforeId: string | undefined): string {
  const index = rows.findIndex(({ line }) => line.id === beforeId);
  const at = index === -1 ? rows.length : index;
  return positionBetween(rows[at - 1]?.line.position, rows[at]?.line.position);
}
