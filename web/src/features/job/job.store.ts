import {
  comparePlaces,
  positionBetween,
  type Change,
  type ChangeResult,
  type JobWire,
  type LineChange,
  type LineWire,
  type ScaleChange,
  type ScaleWire,
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
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { jobServer } from '../../adapters/job-server-loader.ts';
import type { JobHead, KeptConflict, LocalJob, LocalWrite } from '../../adapters/local/local-store.ts';
import { localStore } from '../../adapters/local/local-store-loader.ts';
import { changeSubject, resultSubject, settled } from '../../adapters/local/settled.ts';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';
import { useScales } from './job-scales.ts';
import { useMarks, type JobLines } from './job-marks.ts';
import { firstReading, useJobReading } from './job-reading.ts';
import { Outbox, type KeepState } from './outbox.ts';
import { SlateKeeper } from './slate-keeper.ts';
import { isWorked, nameOf, splitLabel, withLabel, wordsOf, type SlateRow, type WorkedRow } from './slate-row.ts';
import { UndoStack, type Inverse, type LineContent } from './undo-stack.ts';

/** A change of one's own that met another's: both are kept until one is chosen. */
export interface Conflict {
  readonly line: LineWire;
  readonly mine: LineWire | undefined;
  /** Both as a person reads them; undefined for a line taken off the slate. */
  readonly mineSays: string | undefined;
  readonly theirsSays: string | undefined;
}

/** The open job: its lines, their results, and every change to them. */
export const useJobStore = defineStore('job', () => {
  const jobs = shallowRef<readonly Pick<JobHead, 'id' | 'title'>[]>([]);
  const job = shallowRef<JobHead>();
  const rows = shallowRef<readonly SlateRow[]>([]);
  const failure = ref<string>();
  const conflicts = shallowRef<readonly Conflict[]>([]);
  const undoSays = ref<string>();
  /** Ids of lines whose result changed with the last change. */
  const changed = shallowRef<ReadonlySet<string>>(new Set());
  const outbox = new Outbox(localStore, (jobId, results) => {
    if (jobId === job.value?.id) for (const result of results) settle(result);
  });
  // A signal again, or a page that was put aside: what waits goes, and what was missed comes.
  const lookAgain = () => {
    if (document.visibilityState === 'visible' && job.value) void catchUp().catch(() => undefined);
  };
  useEventListener(window, 'online', lookAgain);
  useEventListener(document, 'visibilitychange', lookAgain);
  const keepState = computed<KeepState>(() => outbox.state.value);
  const { style, forGood, setReading, setReadingForGood } = useJobReading(
    () => job.value?.reading,
    (reading) => {
      if (!job.value) return;
      job.value = { ...job.value, reading };
      const change: Change = { id: uuidv7(), kind: 'job.reading', reading };
      pendingChange.set('job', change.id);
      keepHere({ change });
    },
  );

  let keeper = new SlateKeeper(DEFAULT_STYLE, () => undefined);
  let lines = new Map<string, LineWire>();
  /** The change of ours that a line's stored state comes from, while its revision is not known yet. */
  const pendingChange = new Map<string, string>();
  let undoStack = new UndoStack('none');
  let nextNumber = 1;

  /** Opens what this device has, at once; what the server has beyond that comes behind it. */
  async function start(): Promise<void> {
    await guarded(async () => {
      const local = await localStore();
      await listHere();
      const open = remembered<string>('job') ?? jobs.value[0]?.id;
      const here = open === undefined ? undefined : await local.open(open);
      if (here) show(here);
      const caughtUp = catchUp();
      if (job.value === undefined) {
        await caughtUp;
        await openFirst();
      } else void caughtUp.catch(() => undefined);
    });
  }

  /** The first of the jobs; where there is none yet, a new one. */
  async function openFirst(): Promise<void> {
    if (job.value !== undefined) return;
    const [first] = jobs.value;
    const here = first && (await (await localStore()).open(first.id));
    if (here) show(here);
    else makeJob('First job');
  }

  async function listHere(): Promise<void> {
    const heads = await (await localStore()).heads();
    jobs.value = byAge(heads);
  }

  /** Sends what waits, and takes over what the server has. Resolves when the job that is to be open is up to date. */
  async function catchUp(): Promise<void> {
    await outbox.retry();
    const local = await localStore();
    try {
      const listed = await (await jobServer()).list();
      const heads = await local.heads();
      jobs.value = byAge([...heads.filter(({ id }) => !listed.some((one) => one.id === id)), ...listed]);
      const revisions = new Map(heads.map(({ id, revision }) => [id, revision]));
      const open = job.value?.id ?? remembered<string>('job');
      const [first, ...others] = listed
        .filter(({ id, revision }) => revisions.get(id) !== revision)
        .sort((a, b) => Number(b.id === open) - Number(a.id === open));
      if (first) await takeOver(first.id);
      const theirs = new Set(listed.map(({ id }) => id));
      // Every job, so that each can be opened where there is no signal.
      const rest = (async () => {
        for (const { id } of others) await takeOver(id);
        for (const { id } of heads) if (!theirs.has(id) && id !== job.value?.id) await local.forget(id);
        await listHere();
      })();
      void rest.catch(() => undefined);
    } catch (error) {
      // What is here is here; the outbox says that the server is away.
      if (!(error instanceof RequestFailure)) throw error;
    }
  }

  /** One job as the server has it, but for what waits here. */
  async function takeOver(jobId: string): Promise<void> {
    const theirs = await (await jobServer()).open(jobId);
    await (await localStore()).adopt(theirs, 'all');
    if ((wanted ?? job.value?.id ?? jobId) === jobId) await showHere(jobId);
  }

  /** Changes that were made here, and the last of them being written down. */
  let edits = 0;
  let writing: Promise<unknown> = Promise.resolve();

  /** Shows a job as this device has it; what is written meanwhile is in it. */
  async function showHere(jobId: string): Promise<void> {
    const local = await localStore();
    for (;;) {
      await writing;
      const before = edits;
      const here = await local.open(jobId);
      if (edits !== before) continue;
      if (here) show(here);
      return;
    }
  }

  /** The job that was asked for last. */
  let wanted: string | undefined;

  async function open(jobId: string): Promise<void> {
    wanted = jobId;
    await guarded(async () => {
      await showHere(jobId);
      try {
        await takeOver(jobId);
      } catch (error) {
        // Where the server is away, the job is open as it is here.
        if (!(error instanceof RequestFailure) || job.value?.id !== jobId) throw error;
      }
    });
  }

  /** Stops listening to the job that was open before. */
  let stopListening: (() => void) | undefined;
  let listensTo: string | undefined;
  /** What happens to the open job on other devices comes by itself. */
  function listenTo(jobId: string): void {
    if (listensTo === jobId) return;
    stopListening?.();
    stopListening = undefined;
    listensTo = jobId;
    void jobServer()
      .then((server) => {
        if (listensTo === jobId && typeof EventSource !== 'undefined')
          stopListening = server.listen(jobId, (revision) => void readOn(jobId, revision).catch(() => undefined));
      })
      .catch(() => undefined);
  }

  let reading: Promise<void> = Promise.resolve();
  /** Takes over what changed since this device read the job last; one reading follows the other. */
  function readOn(jobId: string, revision: number): Promise<void> {
    reading = reading
      .catch(() => undefined)
      .then(async () => {
        const head = job.value;
        if (head?.id !== jobId || revision <= head.revision) return;
        const theirs = await (await jobServer()).since(jobId, head.revision);
        await (await localStore()).adopt(theirs, 'changes');
        if (job.value?.id === jobId) merge(theirs);
      });
    return reading;
  }

  /** Changes of other devices, in what is shown; what has changes of our own waiting stays as it is. */
  function merge({ lines: told, scales, ...head }: JobWire): void {
    const nextThere = Math.max(nextNumber, head.nextNumber);
    job.value = pendingChange.has('job') && job.value ? { ...job.value, revision: head.revision } : head;
    nextNumber = nextThere;
    for (const scale of scales) if (!pendingChange.has(scale.id)) drawn.inner.put(scale);
    for (const line of told) {
      if (pendingChange.has(line.id)) continue;
      const before = lines.get(line.id);
      if (before === undefined || before.number !== line.number || !says(before, line)) place(line);
      else lines.set(line.id, line);
    }
  }

  /** A job of one's own: here at once, on the server with its first change. */
  function makeJob(title: string): void {
    const id = uuidv7();
    const reading = firstReading();
    const head: JobHead = { id, title, reading, revision: 0, role: 'own', nextNumber: 1 };
    show({ head, lines: [], scales: [], waiting: [], conflicts: [] });
    jobs.value = [...jobs.value, head];
    keepHere({ change: { id: uuidv7(), kind: 'job.add', title, reading } });
  }

  function show({ head, lines: loaded, scales, waiting, conflicts: kept }: LocalJob): void {
    const isSame = job.value?.id === head.id;
    job.value = head;
    drawn.inner.showScales(scales);
    remember('job', head.id);
    nextNumber = Math.max(head.nextNumber, ...loaded.map(({ number }) => (number ?? 0) + 1));
    lines = new Map(loaded.map((line) => [line.id, line]));
    keeper = new SlateKeeper(style.value, showChanged);
    pendingChange.clear();
    for (const change of waiting) pendingChange.set(changeSubject(change), change.id);
    if (!isSame) undoStack = new UndoStack(head.id);
    undoSays.value = undoStack.top()?.says;
    conflicts.value = kept.map(toConflict);
    changed.value = new Set();
    keeper.load(
      loaded
        .filter((line) => !line.deleted)
        .filter(isWorked)
        .map(toSlateLine),
    );
    showRows();
    listenTo(head.id);
  }

  async function guarded(work: () => Promise<void>): Promise<void> {
    failure.value = undefined;
    try {
      await work();
    } catch (error) {
      failure.value = error instanceof RequestFailure ? error.message : 'Something failed while opening the job.';
    }
  }

  /** Writes a change down on this device with what it leaves behind; from there it is sent. */
  function keepHere(written: LocalWrite): void {
    const head = job.value;
    if (head === undefined) return;
    edits += 1;
    const kept = localStore()
      .then((local) => local.write(head.id, { ...written, head: { ...head, nextNumber } }))
      .catch(() => {
        failure.value = 'This device could not keep the change: its store is full or closed. Free some room.';
      });
    writing = kept;
    void outbox.after(kept);
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

  function send(change: LineChange | ScaleChange, scale?: ScaleWire): void {
    const subject = changeSubject(change);
    pendingChange.set(subject, change.id);
    const line = lines.get(subject);
    keepHere({ change, ...(line ? { line } : {}), ...(scale ? { scale } : {}) });
  }

  const baseOf = ({ id, revision }: { readonly id: string; readonly revision: number }) =>
    pendingChange.get(id) ?? revision;

  /** What came of a change: revisions and numbers from the server, or a conflict to be shown. */
  function settle(result: ChangeResult): void {
    if (result.status === 'refused') {
      failure.value = 'The server refused a change; open the job anew to see what it holds.';
      return;
    }
    const subject = resultSubject(result) ?? '';
    const isLatest = pendingChange.get(subject) === result.id;
    if (isLatest) pendingChange.delete(subject);
    const before = lines.get(subject);
    const kept = conflicts.value.find(({ line }) => line.id === subject);
    const made = settled(job.value?.id ?? '', result, {
      head: job.value,
      line: before,
      scale: drawn.inner.scaleOf(subject),
      conflict: kept && { lineId: subject, jobId: '', mine: kept.mine, theirs: kept.line },
      isOvertaken: pendingChange.has(subject),
    });
    if (made.head) job.value = made.head;
    if (made.scale) drawn.inner.put(made.scale);
    if (result.status === 'scale.conflict')
      failure.value = `The scale ${drawn.inner.titleOf(result.scale)} was changed elsewhere; it stands as it is there.`;
    if (made.conflict)
      conflicts.value = [...conflicts.value.filter(({ line }) => line.id !== subject), toConflict(made.conflict)];
    if (made.line === undefined) return;
    // A line that is as it was is not worked out again.
    const isOther = before === undefined || before.number !== made.line.number || !says(before, made.line);
    if (isOther) place(made.line);
    else lines.set(made.line.id, made.line);
  }

  /** Two states of a line say the same. */
  function says(one: LineWire, other: LineWire): boolean {
    return (['source', 'label', 'note', 'position', 'deleted'] as const).every((key) => one[key] === other[key]);
  }

  function toConflict({ mine, theirs }: KeptConflict): Conflict {
    return {
      line: theirs,
      mine,
      mineSays: mine && whatItSays(mine),
      theirsSays: theirs.deleted ? undefined : whatItSays(theirs),
    };
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
    void localStore().then((local) => local.dropConflict(conflict.line.id));
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

/** Ids of version 7 follow the time they were made at. */
function byAge<Job extends { readonly id: string }>(jobs: readonly Job[]): readonly Job[] {
  return [...jobs].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** The place above a line, or at the foot. */
function positionAt(rows: readonly SlateRow[], beforeId: string | undefined): string {
  const index = rows.findIndex(({ line }) => line.id === beforeId);
  const at = index === -1 ? rows.length : index;
  return positionBetween(rows[at - 1]?.line.position, rows[at]?.line.position);
}
