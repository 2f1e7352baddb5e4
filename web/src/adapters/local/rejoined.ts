import {
  contentOf,
  jobFieldsOf,
  kindNamed,
  NO_THINGS,
  THING_KINDS,
  thingsOf,
  type Change,
  type JobWire,
  type LineWire,
  type Thing,
  type Things,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Batch, JobHead, KeptConflict, KeptRefusal, LocalJob, Own, Settlement } from './local-store.ts';
import {
  adoptedHead,
  asHead,
  cameAlong,
  chainsOf,
  changeSubject,
  refusalOf,
  sameWords,
  saysTheSame,
  writtenBy,
} from './settled.ts';

/** A job as this device has it after the server put it back from a backup, or lost it: with what is to be sent again. */
export interface Rejoined {
  readonly head: JobHead;
  readonly lines: readonly LineWire[];
  readonly things: Things;
  readonly waiting: readonly Change[];
  readonly conflicts: readonly KeptConflict[];
  readonly refusals: readonly KeptRefusal[];
  /** As `LocalJob` has it: of what is sent again. */
  readonly own: ReadonlyMap<string, Own>;
}

/**
 * The server counts in another history of the job than this device: it was put back from a backup.
 * @param asked the job as it was here when the server was asked: it never goes back by itself
 */
export function isOtherHistory(head: JobHead, received: JobWire, asked: JobHead | undefined): boolean {
  if (head.history !== undefined && head.history !== received.history) return true;
  return asked?.history === received.history && received.revision < asked.revision;
}

/** The job was put back from a backup while a batch was under way: what it was answered is of what is gone. */
export const isOfAnotherHistory = (batch: Batch, head: JobHead | undefined): boolean =>
  batch.history !== undefined && batch.history !== head?.history;
export const NOTHING_SETTLED: Settlement = { ids: [], apart: [] };

/**
 * What this device has and the server has not, to be sent again: from the state that the server is in now, in changes of
 * their own. What changed on both sides since the backup is kept as two versions.
 * @param received undefined for a job that the server does not have at all
 */
export function rejoined(
  ours: Pick<LocalJob, 'head' | 'lines' | 'things' | 'waiting' | 'own'>,
  received: JobWire | undefined,
): Rejoined {
  const waits = new Set(ours.waiting.map(changeSubject));
  /** Up to here both sides had the same; not at all where they know nothing of each other's history. */
  const common = received === undefined ? -1 : commonRevision(ours.head, received);
  const side = {
    common,
    isReader: received?.role === 'read',
    isOwn: (id: string) => waits.has(id) || ours.own.has(id),
  };
  const lines = meet(ours.lines, received?.lines ?? [], side, saysTheSame);
  const things = THING_KINDS.map((kind) => {
    const theirs = (received && thingsOf(received)[kind]) ?? [];
    const met = meet<Thing>(ours.things[kind] ?? [], theirs, side, saysAllTheSame);
    // Of a thing, the other version is another thing.
    for (const { apart } of [...met.values()]) {
      if (apart === undefined || !side.isOwn(apart.id)) continue;
      const was = met.get(apart.id)?.was;
      const isLast = kindNamed(kind).together === 'last';
      const is = isLast && was ? { ...apart, revision: was.revision } : { ...apart, id: uuidv7(), revision: 0 };
      met.set(is.id, { is, was: isLast ? was : undefined, sends: true });
    }
    return [kind, met] as const;
  });
  const { head } = ours;
  const begin: readonly Change[] =
    received === undefined
      ? [
          { id: uuidv7(), kind: 'job.add', title: head.title, reading: head.reading },
          { id: uuidv7(), kind: 'job.set', fields: jobFieldsOf(asHead(head)) },
        ]
      : [];
  const ofThings = things.flatMap(([kind, met]) =>
    [...met.values()].flatMap(({ is, was, sends }) => (sends ? thingAgain(kind, is, was) : [])),
  );
  const changes = [
    ...begin,
    ...ours.waiting.filter(({ kind }) => kind === 'job.reading' || kind === 'job.set'),
    // Marks come before the lines that name them, which no other device is then shown without.
    ...ofThings.filter(cameAlong),
    ...[...lines.values()]
      .sort(({ is: a }, { is: b }) => (a.number ?? 0) - (b.number ?? 0))
      .flatMap((met) => (met.sends ? lineAgain(met.is, met.was) : [])),
    ...ofThings.filter((change) => !cameAlong(change)),
  ];
  const conflicts = [...[...lines.values()].flatMap(({ apart }) => apart ?? []), ...besides(ours, lines)].map(
    (mine) => {
      return { id: uuidv7(), jobId: head.id, lineId: mine.id, mine, changes: [] };
    },
  );
  if (received?.role === 'read') {
    // Who may only read sends nothing: what they wrote can be copied away, and the server's stands.
    const refusals = changes.map((change) => refusalOf(head.id, change, 'job.read_only'));
    const asReceived = { head: adoptedHead(head, received, waits), lines: received.lines, things: thingsOf(received) };
    return { ...asReceived, waiting: [], conflicts, refusals, own: new Map() };
  }
  return {
    head: received ? adoptedHead(head, received, waits) : { ...head, revision: 0, history: undefined },
    lines: [...lines.values()].map(({ is }) => is),
    things: {
      ...NO_THINGS,
      ...Object.fromEntries(things.map(([kind, met]) => [kind, [...met.values()].map(({ is }) => is)])),
    },
    waiting: changes,
    conflicts,
    refusals: [],
    own: new Map(changes.map((change) => [changeSubject(change), { knew: received?.revision ?? 0, by: change.id }])),
  };
}

function commonRevision({ history }: JobHead, received: JobWire): number {
  if (received.history === history) return received.revision;
  return received.restoredFrom === history ? received.restoredRevision : -1;
}

/** Versions of a line that two pages of this device wrote without knowing of each other, beside the one that stands. */
function besides(
  { lines, waiting }: Pick<LocalJob, 'lines' | 'waiting'>,
  met: ReadonlyMap<string, Met<LineWire>>,
): readonly LineWire[] {
  return lines.flatMap((line) => {
    const changes = waiting.filter((change) => changeSubject(change) === line.id);
    const stands = met.get(line.id)?.is ?? line;
    // The line stands as it was written last.
    const others = chainsOf(changes).filter((chain) => chain.at(-1) !== changes.at(-1));
    const versions = others.map((chain) => chain.reduce(writtenBy, line));
    return versions.filter((version) => !version.deleted && !sameWords(version, stands));
  });
}

/** One line or thing on both sides. */
interface Met<T> {
  /** As it stands here from now on. */
  readonly is: T;
  /** As the server has it. */
  readonly was: T | undefined;
  readonly sends: boolean;
  /** Ours, where theirs stands and both are from after the backup. */
  readonly apart?: T;
}

function meet<T extends LineWire | Thing>(
  ours: readonly T[],
  theirs: readonly T[],
  { common, isReader, isOwn }: { readonly common: number; readonly isReader: boolean; isOwn(id: string): boolean },
  same: (one: T, other: T) => boolean,
): Map<string, Met<T>> {
  const met = new Map<string, Met<T>>(theirs.map((was) => [was.id, { is: was, was, sends: false }]));
  for (const one of ours) {
    const was = met.get(one.id)?.was;
    const isLater = isOwn(one.id) || (one.revision > common && !one.deleted);
    /** Written here, on what the server has. What others wrote they send again themselves, as it was last. */
    const isBuilt = isOwn(one.id) && was !== undefined && was.revision <= common && one.revision >= was.revision;
    if (isReader && !isOwn(one.id)) continue;
    // The device that deleted it sends that: another may have brought it back.
    if (was === undefined && one.deleted && !isOwn(one.id)) continue;
    if (was === undefined) met.set(one.id, { is: { ...one, revision: 0 }, was, sends: true });
    // Also where the server happens to say the same: another device that writes it on what the backup had learns that it was written.
    else if (!isLater || (same(one, was) && !isBuilt)) continue;
    else if (isBuilt) met.set(one.id, { is: { ...one, ...serversOf(was) }, was, sends: true });
    else met.set(one.id, { is: was, was, sends: false, ...(areWords(one, was) ? {} : { apart: one }) });
  }
  return met;
}

/** What the server alone says of a line or thing. */
const serversOf = (was: LineWire | Thing) =>
  isLine(was) ? { revision: was.revision, number: was.number } : { revision: was.revision };
/** A thing may have a place, too, but no label. */
const isLine = (one: LineWire | Thing): one is LineWire => 'label' in one && 'source' in one && 'note' in one;

const areWords = (one: LineWire | Thing, other: LineWire | Thing) =>
  isLine(one) && isLine(other) ? sameWords(one, other) : saysAllTheSame(one, other);

const saysAllTheSame = (one: object, other: object) => said(one) === said(other);
const said = (thing: object) =>
  JSON.stringify(Object.entries({ ...thing, revision: 0 }).sort(([a], [b]) => (a < b ? -1 : 1)));

/** The changes from what the server has of a line to what is here. */
function lineAgain(line: LineWire, was: LineWire | undefined): readonly Change[] {
  const { id: lineId, number, position, source, label, note, deleted } = line;
  const content = { position, source, label, note };
  const changes: Change[] = [];
  const base = () => changes.at(-1)?.id ?? was?.revision ?? 0;
  const id = uuidv7;
  if (was === undefined && number !== null) changes.push({ id: id(), kind: 'line.add', lineId, number, ...content });
  else if (was === undefined)
    changes.push({
      id: id(),
      kind: 'line.words',
      lineId,
      words: line.kind === 'heading' ? 'heading' : 'note',
      ...content,
    });
  else if (was.deleted && !deleted) changes.push({ id: id(), kind: 'line.restore', lineId, base: base() });
  if (was && (!deleted || !saysTheSame({ ...was, deleted }, line)))
    changes.push({ id: id(), kind: 'line.edit', lineId, base: base(), ...content });
  if (deleted && was?.deleted !== true) changes.push({ id: id(), kind: 'line.delete', lineId, base: base() });
  return changes;
}

function thingAgain(of: string, thing: Thing, was: Thing | undefined): readonly Change[] {
  const { id: thingId, deleted } = thing;
  const content = contentOf(thing);
  const changes: Change[] = [];
  const next = () => ({ id: uuidv7(), of, thingId, base: changes.at(-1)?.id ?? was?.revision ?? 0 });
  if (was === undefined) changes.push({ id: uuidv7(), kind: 'thing.add', of, thingId, content });
  else if (was.deleted && !deleted) changes.push({ ...next(), kind: 'thing.restore' });
  if (was && (!deleted || !saysAllTheSame({ ...was, deleted }, thing)))
    changes.push({ ...next(), kind: 'thing.edit', content });
  if (deleted && was?.deleted !== true) changes.push({ ...next(), kind: 'thing.delete' });
  return changes;
}
