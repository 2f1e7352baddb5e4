import {
  comparePlaces,
  listJobs,
  openJob,
  positionBetween,
  type Change,
  type ChangeResult,
  type JobSummary,
  type JobWire,
  type LineWire,
} from '@sprell/contract';
import {
  bindLast,
  DEFAULT_STYLE,
  fromStored,
  parse,
  parseRational,
  toStored,
  type ReadingStyle,
  type Scope,
  type WorkedLine,
} from '@sprell/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { call, RequestFailure } from '../../adapters/api-client.ts';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { Outbox, type KeepState } from './outbox.ts';
import { SlateKeeper } from './slate-keeper.ts';
import { UndoStack, type Inverse, type LineContent } from './undo-stack.ts';

/** A line as it stands on the slate: what is stored, as shown, worked out. */
export interface SlateRow {
  readonly line: LineWire;
  /** The whole entry as a person edits it, label in front, references as #n. */
  readonly entry: string;
  readonly worked: WorkedLine;
}

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
  const job = shallowRef<Omit<JobWire, 'lines'>>();
  const rows = shallowRef<readonly SlateRow[]>([]);
  const failure = ref<string>();
  const conflicts = shallowRef<readonly Conflict[]>([]);
  const undoSays = ref<string>();
  /** Ids of lines whose result changed with the last change. */
  const changed = shallowRef<ReadonlySet<string>>(new Set());
  const keepState = computed<KeepState>(() => outbox.value?.state.value ?? { kind: 'kept' });
  const style = computed<ReadingStyle>(() => styleOf(job.value));

  let keeper = new SlateKeeper(DEFAULT_STYLE, () => undefined);
  let lines = new Map<string, LineWire>();
  /** The change of ours that a line's stored state comes from, while its revision is not known yet. */
  const pendingChange = new Map<string, string>();
  const outbox = shallowRef<Outbox>();
  let undoStack = new UndoStack('none');
  let nextNumber = 1;

  /** Loads the list of jobs and opens the one that was open last, or the first. */
  async function start(): Promise<void> {
    await guarded(async () => {
      jobs.value = await call(listJobs, {});
      const last = remembered<string>('job');
      const chosen = jobs.value.find(({ id }) => id === last) ?? jobs.value[0];
      if (chosen) await open(chosen.id);
    });
  }

  async function open(jobId: string): Promise<void> {
    await guarded(async () => {
      const { lines: loaded, ...rest } = await call(openJob, { jobId });
      job.value = rest;
      remember('job', jobId);
      nextNumber = rest.nextNumber;
      lines = new Map(loaded.map((line) => [line.id, line]));
      keeper = new SlateKeeper(styleOf(rest), showChanged);
      pendingChange.clear();
      outbox.value = new Outbox(jobId, settle);
      undoStack = new UndoStack(jobId);
      undoSays.value = undoStack.top()?.says;
      conflicts.value = [];
      changed.value = new Set();
      keeper.load(loaded.filter((line) => !line.deleted).map(toSlateLine));
      showRows();
    });
  }

  async function guarded(work: () => Promise<void>): Promise<void> {
    failure.value = undefined;
    try {
      await work();
    } catch (error) {
      failure.value = error instanceof RequestFailure ? error.message : 'Something failed while opening the job.';
    }
  }

  const numberOf = (id: string) => lines.get(id)?.number;
  const shownSource = (line: LineWire) => fromStored(line.source, numberOf);
  const stored = (source: string) =>
    toStored(source, (number) => keeper.slate.lineNumbered(number)?.line.id, style.value);

  function toSlateLine(line: LineWire) {
    return { id: line.id, number: line.number, position: line.position, source: shownSource(line) };
  }

  function showRows(): void {
    rows.value = [...lines.values()]
      .filter((line) => !line.deleted)
      .sort(comparePlaces)
      .map((line) => ({
        line,
        entry: withLabel(line.label, shownSource(line)),
        worked: keeper.slate.line(line.id) as WorkedLine,
      }));
  }

  function showChanged(ids: readonly string[]): void {
    changed.value = new Set(ids);
    showRows();
  }

  /** Puts a line in its new state everywhere at once: store, slate and rows. */
  function place(line: LineWire): void {
    const renumbered = lines.get(line.id) !== undefined && lines.get(line.id)?.number !== line.number;
    lines.set(line.id, line);
    nextNumber = Math.max(nextNumber, line.number + 1);
    // A line that got another number is written so in every entry that uses it.
    if (renumbered) keeper.load([...lines.values()].filter((one) => !one.deleted).map(toSlateLine));
    else if (line.deleted) keeper.remove(line.id);
    else keeper.put(toSlateLine(line));
    showRows();
  }

  function send(change: Change): void {
    pendingChange.set(change.lineId, change.id);
    outbox.value?.add(change);
  }

  const baseOf = (line: LineWire) => pendingChange.get(line.id) ?? line.revision;

  /** What came of a change: revisions and numbers from the server, or a conflict to be shown. */
  function settle(result: ChangeResult): void {
    if (result.status === 'refused') {
      failure.value = 'The server refused a change; open the job anew to see what it holds.';
      return;
    }
    const { line } = result;
    const ours = lines.get(line.id);
    const isLatest = pendingChange.get(line.id) === result.id;
    if (isLatest) pendingChange.delete(line.id);
    if (result.status === 'conflict') {
      const mine = ours && !ours.deleted ? ours : undefined;
      const says = (one: LineWire | undefined) => one && withLabel(one.label, shownSource(one));
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

  /** Puts an entry on the slate, at its foot. */
  function land(entry: string): void {
    const lastNumber = keeper.slate.lastNumber();
    const { label, source } = splitLabel(
      lastNumber === undefined ? entry : bindLast(entry, lastNumber, style.value),
      style.value,
    );
    const last = rows.value[rows.value.length - 1];
    const line: LineWire = {
      id: uuidv7(),
      number: nextNumber,
      position: positionBetween(last?.line.position, undefined),
      source: stored(source),
      label,
      note: '',
      revision: 0,
      deleted: false,
    };
    place(line);
    const { number, position, note } = line;
    send({ id: uuidv7(), kind: 'line.add', lineId: line.id, number, position, source: line.source, label, note });
    pushUndo({ kind: 'delete', lineId: line.id, says: `Take #${number} off again` });
  }

  /** Writes a line anew. */
  function edit(lineId: string, entry: string): void {
    const line = lines.get(lineId);
    if (!line) return;
    const { label, source } = splitLabel(entry, style.value);
    if (label === line.label && stored(source) === line.source) return;
    const { position, note } = line;
    pushUndo({
      kind: 'write',
      lineId,
      content: { position, note, source: line.source, label: line.label },
      says: `Undo the change to #${line.number}`,
    });
    write(line, { position, note, source: stored(source), label });
  }

  function remove(lineId: string): void {
    const line = lines.get(lineId);
    if (!line) return;
    pushUndo({ kind: 'restore', lineId, says: `Bring #${line.number} back` });
    setDeleted(line, true);
  }

  /** Takes the last step of this device back. */
  function undo(): void {
    const step = undoStack.pop();
    undoSays.value = undoStack.top()?.says;
    const line = step && lines.get(step.lineId);
    if (step === undefined || line === undefined) return;
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
    edit,
    remove,
    undo,
    resolveConflict,
    scope,
  };
});

function styleOf(job: Omit<JobWire, 'lines'> | undefined): ReadingStyle {
  if (!job) return DEFAULT_STYLE;
  const { length, finest, metricStep, rounding } = job.reading;
  return {
    ...DEFAULT_STYLE,
    length,
    finest,
    rounding,
    metricStep: parseRational(metricStep) ?? DEFAULT_STYLE.metricStep,
  };
}

function withLabel(label: string | null, source: string): string {
  return label === null ? source : `${label}: ${source}`;
}

/** "top rail: 4' 2"" as its label and the rest. */
function splitLabel(entry: string, style: ReadingStyle): { readonly label: string | null; readonly source: string } {
  const label = parse(entry, style).entry?.label;
  if (label === undefined) return { label: null, source: entry.trim() };
  return { label, source: entry.slice(entry.search(/[:\uff1a]/u) + 1).trim() };
}
