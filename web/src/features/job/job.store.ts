import {
  allThings,
  contentOf,
  kindNamed,
  type Change,
  type KeptThing,
  type LineChange,
  type LineWire,
  type ThingChange,
} from '@sprell/contract';
import {
  bindLast,
  DEFAULT_STYLE,
  exactText,
  fromStored,
  parse,
  toStored,
  valueForMark,
  type Scope,
  type Slate,
  type WorkedLine,
} from '@sprell/core';
import { defineStore } from 'pinia';
import { v7 as uuidv7 } from 'uuid';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { deviceHere } from '../../adapters/device.ts';
import type { JobHead, LocalJob, Own } from '../../adapters/local/local-store.ts';
import { changeSubject, saysTheSame } from '../../adapters/local/settled.ts';
import { definitionText, useScales } from './job-scales.ts';
import { useSetOuts } from './job-set-outs.ts';
import { JobThings } from './job-things.ts';
import { useMarks, type JobLines } from './job-marks.ts';
import { useMarksApart } from './marks-apart.ts';
import { useJobReading } from './job-reading.ts';
import { useJobSync, type Taken } from './job-sync.ts';
import { Outbox, type KeepState } from './outbox.ts';
import { placeAt, type Place } from './position-at.ts';
import { useRefusals } from './refusals.ts';
import { RowsInOrder } from './rows-in-order.ts';
import { useSlateEdits } from './slate-edits.ts';
import { SlateKeeper } from './slate-keeper.ts';
import {
  asKept,
  isWorked,
  nameOf,
  splitLabel,
  withLabel,
  wordsAsKept,
  wordsOf,
  type SlateRow,
  type WorkedRow,
} from './slate-row.ts';
import { useStepsBack } from './steps-back.ts';
import type { Inverse, LineContent, ScaleContent } from './undo-stack.ts';

/** The open job: its lines, their results, and every change to them. */
export const useJobStore = defineStore('job', () => {
  const device = deviceHere();
  const jobs = shallowRef<readonly Pick<JobHead, 'id' | 'title'>[]>([]);
  const job = shallowRef<JobHead>();
  const rows = shallowRef<readonly SlateRow[]>([]);
  const failure = ref<string>();
  /** Lines of this device that got another number, since one of another device had it: was, is. */
  const renumbered = ref<readonly (readonly [number, number])[]>([]);
  /** Ids of lines whose result changed with the last change. */
  const changed = shallowRef<ReadonlySet<string>>(new Set());
  const outbox = new Outbox(
    device,
    (jobId, { ids, apart }) => {
      void sync.lookAt(jobId, ids).then(() => sync.readTheRest());
      if (jobId === job.value?.id) for (const thing of apart) tellApart(thing);
    },
    (jobId, code) => void sync.seeTo(jobId, code).catch(() => undefined),
  );
  const keepState = computed<KeepState>(() => outbox.state.value);
  const { style, forGood, setReading, setReadingForGood } = useJobReading(
    () => job.value?.reading,
    (reading) => {
      if (!job.value || onlyReads()) return;
      job.value = { ...job.value, reading };
      const change: Change = { id: uuidv7(), kind: 'job.reading', reading };
      pendingChange.set('job', change.id);
      sync.keepHere({ change });
    },
  );

  const { undoSays, canRedo, openSteps, pushUndo, undo, redo, ...apart } = useStepsBack({
    device,
    failure,
    jobId: () => job.value?.id,
    isReader: () => job.value?.role === 'read',
    onlyReads,
    rows: () => rows.value,
    lines: () => lines,
    things: () => things,
    whatItSays,
    write,
    setDeleted,
    together,
    landAgain: (line) => {
      if (isWorked(line)) land(withLabel(line.label, shownSource(line)));
      else landWords(line.kind === 'heading' ? 'heading' : 'note', wordsOf(line));
    },
  });
  const { conflicts, showConflicts, keepBoth, resolveConflict } = apart;
  let keeper = new SlateKeeper(DEFAULT_STYLE, () => undefined);
  let lines = new Map<string, LineWire>();
  /** The change of ours that a line's stored state comes from, while its revision is not known yet. */
  const pendingChange = new Map<string, string>();
  /** What this device wrote last, and what it knew then. */
  let own = new Map<string, Own>();
  let nextNumber = 1;
  /** What landed from here is what the next entry goes on from, whatever others put on the slate meanwhile. */
  let landedHere: string | undefined;

  const { refusals, showRefusals, dropRefusals } = useRefusals({
    device,
    line: (id) => lines.get(id),
    whatItSays,
    lookAt: (ids) => sync.lookAt(job.value?.id ?? '', ids),
    takeOver: () => sync.takeOver(job.value?.id ?? '').catch(() => undefined),
  });

  function show(here: LocalJob): void {
    const { head, lines: loaded, things: kinds, waiting, conflicts: kept, refusals: refused, own: ours } = here;
    const isSame = job.value?.id === head.id;
    job.value = head;
    things.show(kinds);
    drawn.showScaleInHand();
    device.memory.remember('job', head.id);
    nextNumber = Math.max(head.nextNumber, ...loaded.map(({ number }) => (number ?? 0) + 1));
    lines = new Map(loaded.map((line) => [line.id, line]));
    if (!isSame) landedHere = undefined;
    keeper.dispose();
    keeper = new SlateKeeper(style.value, showChanged);
    keeper.slate.goOnFrom(landedHere);
    pendingChange.clear();
    for (const change of waiting) pendingChange.set(changeSubject(change), change.id);
    own = new Map(ours);
    if (!isSame) openSteps(head.id);
    showConflicts(kept);
    showRefusals(refused);
    changed.value = new Set();
    keeper.load(
      loaded
        .filter((line) => !line.deleted)
        .filter(isWorked)
        .map(toSlateLine),
    );
    inOrder.allChanged();
    showRows();
    setMarksApart();
    sync.listenTo(head.id);
    for (const landing of early.splice(0)) landing();
  }
  /** What was entered while no job was open yet: it lands as soon as one is. */
  const early: (() => void)[] = [];

  /** The slate with every change worked out, also where a worker is still at it: for a value that is written down. */
  function freshSlate(): Slate {
    keeper.catchUp();
    return keeper.slate;
  }

  const numberOf = (id: string) => lines.get(id)?.number ?? undefined;
  const shownSource = (line: LineWire) => fromStored(line.source, numberOf);
  /** A line that landed here keeps its number until the server says otherwise, though one from elsewhere has it too. */
  const stored = (source: string) => {
    const here = landedHere === undefined ? undefined : lines.get(landedHere);
    const idOf = (number: number) =>
      here?.deleted === false && here.number === number ? here.id : keeper.slate.lineNumbered(number)?.line.id;
    return toStored(source, idOf, style.value);
  };

  /** A line in a person's words, its note among them. */
  function whatItSays(line: LineWire): string {
    if (!isWorked(line)) return wordsOf(line);
    const entry = withLabel(line.label, shownSource(line));
    return line.note === '' ? entry : `${entry} (${line.note})`;
  }

  function toSlateLine(line: WorkedRow['line']) {
    return { id: line.id, number: line.number, position: line.position, source: shownSource(line) };
  }

  let isDrawing = true;
  /** Many changes, drawn once. Nothing among them finds a place by what is drawn. */
  function together(work: () => void): void {
    if (!isDrawing) {
      work();
      return;
    }
    isDrawing = false;
    try {
      work();
    } finally {
      isDrawing = true;
      showRows();
    }
  }

  function showRows(): void {
    if (isDrawing) rows.value = inOrder.of(lines);
  }
  const inOrder = new RowsInOrder(toRow);

  function toRow(line: LineWire): SlateRow {
    if (!isWorked(line)) return { kind: line.kind === 'heading' ? 'heading' : 'note', line, words: wordsOf(line) };
    const worked = keeper.slate.line(line.id) as WorkedLine;
    return { kind: 'worked', line, entry: withLabel(line.label, shownSource(line)), worked };
  }

  function showChanged(ids: readonly string[]): void {
    changed.value = new Set(ids);
    for (const id of ids) inOrder.changed(id);
    showRows();
  }

  /** Puts a line in its new state everywhere at once: store, slate and rows. */
  function place(line: LineWire): void {
    const renumbered = lines.get(line.id) !== undefined && lines.get(line.id)?.number !== line.number;
    lines.set(line.id, line);
    inOrder.changed(line.id);
    if (renumbered) inOrder.allChanged();
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

  /** @param named the line stores a mark under a name that there was none of */
  function send(
    change: LineChange | ThingChange,
    { thing, named = false }: { thing?: KeptThing; named?: boolean } = {},
  ): void {
    const subject = changeSubject(change);
    const wasNamed = pendingChange.has(subject) && own.get(subject)?.named === true;
    own.set(subject, { knew: job.value?.revision ?? 0, by: change.id, named: named || wasNamed });
    pendingChange.set(subject, change.id);
    const line = lines.get(subject);
    sync.keepHere({ change, named, ...(line ? { line } : {}), ...(thing ? { thing } : {}) });
  }

  /** A line that is about to be put in its place stores a mark under a name that there is none of. */
  function namesAnew(line: LineWire): boolean {
    if (!isWorked(line)) return false;
    const made = parse(shownSource(line), style.value).entry?.assignment;
    if (made?.operator !== 'keep') return false;
    return !keeper.slate.markLines(made.name).some(({ operator }) => operator === 'keep');
  }

  const baseOf = ({ id, revision }: { readonly id: string; readonly revision: number }) =>
    pendingChange.get(id) ?? revision;

  /** What other devices, other pages of this one, and the server did. What this page has of a later state stays. */
  function take({
    head,
    lines: told,
    things: kinds,
    waiting,
    conflicts: kept,
    refusals: refused,
    own: ours,
    ids,
    loose,
  }: Taken): void {
    const latest = new Map(waiting.map((change) => [changeSubject(change), change.id]));
    for (const id of ids) {
      if (loose.has(id)) continue;
      const mine = ours.get(id);
      if (mine === undefined) own.delete(id);
      else own.set(id, mine);
      const waits = latest.get(id);
      if (waits === undefined) pendingChange.delete(id);
      else pendingChange.set(id, waits);
    }
    job.value = job.value && loose.has('job') ? { ...head, reading: job.value.reading } : head;
    nextNumber = Math.max(nextNumber, head.nextNumber);
    for (const [kind, list] of Object.entries(kinds))
      for (const thing of list) if (!loose.has(thing.id)) things.put({ kind, thing });
    const thingIds = new Set(allThings(kinds).map(({ id }) => id));
    const lineIds = new Set(told.map(({ id }) => id));
    together(() => {
      for (const line of told) takeLine(line, loose.has(line.id));
      for (const id of ids) if (!loose.has(id) && !lineIds.has(id) && !thingIds.has(id)) takeOff(id);
    });
    showConflicts(kept);
    showRefusals(refused);
    setMarksApart();
  }

  function takeLine(told: LineWire, isLoose: boolean): void {
    const before = lines.get(told.id);
    const line = before && isLoose ? { ...before, revision: told.revision, number: told.number } : told;
    if (before && isWorked(before) && isWorked(line) && before.number !== line.number)
      renumbered.value = [...renumbered.value, [before.number, line.number]];
    // A line that is as it was is not worked out again.
    if (before === undefined || before.number !== line.number || !saysTheSame(before, line)) place(line);
    else {
      lines.set(line.id, line);
      inOrder.changed(line.id);
    }
  }

  /** What this device has no more: the server never had it, and somebody saw to that. */
  function takeOff(id: string): void {
    things.forget(id);
    if (!lines.delete(id)) return;
    // Entries that speak of it show another number now.
    inOrder.allChanged();
    keeper.remove(id);
    showRows();
  }

  function tellApart(thing: KeptThing): void {
    failure.value = things.changedElsewhere(thing);
  }

  /** Whoever only reads a job is told so, and nothing is changed. */
  function onlyReads(): boolean {
    if (job.value?.role !== 'read') return false;
    failure.value = ONLY_READS;
    return true;
  }

  function write(line: LineWire, content: LineContent): void {
    if (onlyReads()) return;
    const { position, source, label, note } = asKept(content);
    const base = baseOf(line);
    const written = { ...line, position, source, label, note };
    const named = namesAnew(written);
    place(written);
    send({ id: uuidv7(), kind: 'line.edit', lineId: line.id, base, position, source, label, note }, { named });
  }

  function setDeleted(line: LineWire, deleted: boolean): void {
    if (onlyReads()) return;
    const base = baseOf(line);
    place({ ...line, deleted });
    send({ id: uuidv7(), kind: deleted ? 'line.delete' : 'line.restore', lineId: line.id, base });
  }

  /**
   * Puts an entry on the slate: at its foot, or above a line.
   * @param undoSays what undoing it is called, where that is more than taking the line off
   */
  function land(entry: string, beforeId?: string, undoSays?: string): void {
    if (job.value === undefined) {
      early.push(() => {
        land(entry, beforeId, undoSays);
      });
      return;
    }
    if (onlyReads()) return;
    const line = putOn(entry, beforeId);
    pushUndo({ kind: 'delete', lineId: line.id, says: undoSays ?? `Take ${nameOf(line)} off again` });
  }

  /**
   * Puts several entries on the slate, one after the other, as one step.
   * @param entries each made when those before it have landed: it is told their numbers
   */
  function landAll(entries: readonly ((landed: readonly number[]) => string)[], undoSays: string): void {
    if (onlyReads()) return;
    const landed: LineWire[] = [];
    for (const entry of entries) landed.push(putOn(entry(landed.map(({ number }) => number ?? 0)), undefined));
    const steps = [...landed].reverse().map(({ id }): Inverse => ({ kind: 'delete', lineId: id, says: '' }));
    if (steps.length > 0) pushUndo({ kind: 'many', steps, says: undoSays });
  }

  function putOn(entry: string, beforeId: string | undefined): LineWire {
    const lastNumber = keeper.slate.lastLine()?.number;
    const { label, source } = splitLabel(lastNumber === undefined ? entry : bindLast(entry, lastNumber, style.value));
    // `rail = rail / 2` means the rail as it was before.
    const made = parse(source, style.value).entry?.assignment?.name;
    const landing = made === undefined ? source : withoutItself(made, source);
    const line = newLine({ kind: 'worked', number: nextNumber, source: stored(landing), label }, beforeId);
    landedHere = line.id;
    keeper.slate.goOnFrom(landedHere);
    const named = namesAnew(line);
    place(line);
    if (made !== undefined) stick.takeInHand(made);
    const { id: lineId, number, position, note } = line;
    const said = { source: line.source, label: line.label };
    send({ id: uuidv7(), kind: 'line.add', lineId, number: number as number, position, note, ...said }, { named });
    return line;
  }

  /** Puts a heading or a plain note on the slate: at its foot, or above a line. */
  function landWords(kind: 'heading' | 'note', words: string, beforeId?: string): void {
    const text = wordsAsKept(kind, words);
    if (text === '' || onlyReads()) return;
    const line = newLine(kind === 'heading' ? { kind, label: text } : { kind, note: text }, beforeId);
    place(line);
    const { position, source, label, note } = line;
    send({ id: uuidv7(), kind: 'line.words', lineId: line.id, words: kind, position, source, label, note });
    pushUndo({ kind: 'delete', lineId: line.id, says: `Take ${nameOf(line)} off again` });
  }

  function makeRoom({ moved }: Place): void {
    for (const { line, position } of moved) {
      const now = lines.get(line.id);
      if (now) write(now, { ...now, position });
    }
  }

  function newLine(content: Partial<LineWire> & Pick<LineWire, 'kind'>, beforeId: string | undefined): LineWire {
    const place = placeAt(rows.value, beforeId);
    makeRoom(place);
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

  /** What an entry may refer to; while a line is edited it does not see itself. */
  function scope(editedLineId?: string): Scope {
    return keeper.slate.scope(editedLineId);
  }

  const sync = useJobSync({
    device,
    jobs,
    job,
    failure,
    outbox,
    head: () => job.value && { ...job.value, nextNumber },
    show,
    take,
    tellApart,
    renumber: ({ id, number }) => {
      const line = lines.get(id);
      if (line) place({ ...line, number });
    },
    ids: () => [...lines.keys(), ...things.ids()],
  });
  const things = new JobThings({
    onlyReads,
    baseOf,
    send: (change, thing) => {
      send(change, { thing });
    },
    pushUndo,
    fail: (sentence) => {
      failure.value = sentence;
    },
    // A scale without a name is told by its sizes.
    nameOf: ({ kind, thing }) =>
      kind === 'scale' && thing['name'] === null
        ? `the scale ${definitionText(contentOf(thing) as ScaleContent, style.value)}`
        : kindNamed(kind).called(contentOf(thing)),
  });
  const drawn = useScales({
    style,
    jobId: () => job.value?.id,
    scope: () => scope(),
    freshScope: () => freshSlate().scope(),
    things,
  });
  const { showScaleInHand: _, ...scaleDoor } = drawn;
  const { inner: setOutUses, ...setOutDoor } = useSetOuts({
    things,
    stored,
    shown: (source) => fromStored(source, numberOf),
  });
  /** What works on marks as a whole is given of the job. */
  const jobLines = markRaw<JobLines>({
    rows: () => rows.value,
    style: () => style.value,
    jobId: () => job.value?.id,
    slate: () => keeper.slate,
    freshSlate,
    lines: () => lines,
    shownSource,
    stored,
    write,
    makeRoom,
    setDeleted,
    keepBoth,
    pushUndo,
    together,
    ...setOutUses,
  });
  const { met, seeMet, setMarksApart } = useMarksApart(jobLines, {
    memory: device.memory,
    isReader: () => job.value?.role === 'read',
    own: (id) => own.get(id),
    isPending: (id) => pendingChange.has(id),
  });
  const edits = useSlateEdits(jobLines);
  const stick = useMarks(jobLines);
  /** An entry that is kept as a mark or posted to it, with the value the mark has now in place of its own name. */
  function withoutItself(name: string, entry: string): string {
    const mark = freshSlate().scope().mark(name.toLowerCase());
    const value = mark?.ok === true ? exactText(mark.quantity, style.value)?.plain : undefined;
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
    refusals,
    dropRefusals,
    keepState,
    undoSays,
    canRedo,
    lastLine: () => keeper.slate.lastLine(),
    renumbered,
    met,
    seeMet,
    start: () => sync.start(),
    open: (jobId: string) => sync.open(jobId),
    /** What is worked out cannot be put on the slate. */
    isReader: computed(() => job.value?.role === 'read'),
    land,
    landAll,
    landWords,
    setReading,
    setReadingForGood,
    forGood,
    ...edits,
    ...stick,
    jobLines,
    things: markRaw(things),
    ...scaleDoor,
    ...setOutDoor,
    undo,
    redo,
    resolveConflict,
    scope,
  };
});

const ONLY_READS =
  'This job is yours to read, not to change. What you work out stays in the entry: copy it, or use it in a job of your own.';
