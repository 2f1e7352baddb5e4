import {
  allThings,
  contentOf,
  jobFieldsOf,
  kindNamed,
  namedFields,
  KINDS,
  NEW_JOB,
  NO_THINGS,
  thingsOf,
  type Change,
  type ChangeResult,
  type Content,
  type JobFields,
  type JobWire,
  type KeptThing,
  type LineWire,
  type Thing,
  type ThingLists,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type {
  JobCounts,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalWrite,
  Own,
  Settlement,
} from './local-store.ts';

/** What is here of what a result speaks of. */
export interface Here {
  readonly head: JobHead | undefined;
  readonly line: LineWire | undefined;
  readonly thing: Thing | undefined;
  /** Versions of the line that were written here and wait for somebody to choose. */
  readonly conflicts: readonly KeptConflict[];
  /** Later changes of ours to the same line or thing, in order. */
  readonly waiting: readonly Change[];
  /** The batch that is answered. */
  readonly sent: readonly Change[];
  /** Ids of those of its changes that met another's. */
  readonly met: ReadonlySet<string>;
}

/** What is to be written here for it. */
export interface Settled {
  readonly head?: JobHead;
  readonly line?: LineWire;
  readonly thing?: KeptThing;
  readonly conflict?: KeptConflict;
  /** The id of a conflict that is none any more. */
  readonly agreed?: string;
  /** Ids of changes that wait no more: they were built on one that was not done. */
  readonly absorbed?: readonly string[];
  /** A version of ours that goes beside theirs as a thing of its own, and to the server. */
  readonly beside?: LocalWrite & { readonly thing: KeptThing };
}

/**
 * What the server's word on one change makes of what is here. Its revision and number are taken over always; the rest
 * where nothing of ours came after. Of a conflict both versions stay: theirs in the place, ours beside it.
 */
export function settled(jobId: string, result: ChangeResult, here: Here): Settled {
  if ('thing' in result) return settledThing(result, here);
  const isOvertaken = here.waiting.length > 0;
  switch (result.status) {
    case 'applied': {
      const { line: theirs } = result;
      const { line: ours } = here;
      return {
        line: ours && isOvertaken ? { ...ours, revision: theirs.revision, number: theirs.number } : theirs,
      };
    }
    case 'conflict': {
      const { line: theirs } = result;
      const change = here.sent.find(({ id }) => id === result.id);
      return { line: theirs, ...(change ? versionOf(jobId, change, theirs, here) : {}) };
    }
    case 'reads':
    case 'job':
      return here.head && !isOvertaken ? { head: { ...here.head, ...result.job, reading: result.reading } } : {};
    default:
      return {};
  }
}

/**
 * A change that was not done, as the version of the line that it was to make. Those built on it would not be done either:
 * they make one version with it, also those that wait still, so that what is written from now on is built on what stands.
 */
function versionOf(
  jobId: string,
  change: Change,
  theirs: LineWire,
  { conflicts, waiting, sent, met }: Pick<Here, 'conflicts' | 'waiting' | 'sent' | 'met'>,
): Pick<Settled, 'conflict' | 'agreed' | 'absorbed'> {
  const notDone = sent.filter((one) => met.has(one.id) && changeSubject(one) === theirs.id);
  const chain = chainsOf([...notDone, ...waiting]).find((one) => one.some(({ id }) => id === change.id)) ?? [change];
  // All of it was done with its first.
  if (chain[0]?.id !== change.id) return {};
  const before = conflicts.find(({ changes }) => changes.at(-1) === baseOf(change));
  const mine = chain.reduce(writtenBy, before?.mine ?? theirs);
  const id = before?.id ?? change.id;
  const absorbed = chain.filter((one) => waiting.includes(one)).map((one) => one.id);
  if (sameWords(mine, theirs)) return { absorbed, ...(before ? { agreed: id } : {}) };
  const changes = [...(before?.changes ?? []), ...chain.map((one) => one.id)];
  return { absorbed, conflict: { id, jobId, lineId: theirs.id, mine, changes } };
}

/** Changes of one line, those that were built on one another together. */
export function chainsOf(changes: readonly Change[]): readonly (readonly Change[])[] {
  const chains: Change[][] = [];
  for (const change of changes) {
    const chain = chains.find((ids) => ids.at(-1)?.id === baseOf(change));
    if (chain) chain.push(change);
    else chains.push([change]);
  }
  return chains;
}

/** Ids of the changes of a batch that met another's. */
export const metOf = (results: readonly ChangeResult[]): ReadonlySet<string> =>
  new Set(results.flatMap(({ id, status }) => (status.endsWith('conflict') ? [id] : [])));

/** What a change was built on, as text. */
export const baseOf = (change: Change): string => ('base' in change ? String(change.base) : '');

/** A line with a change done to it. */
export function writtenBy(line: LineWire, change: Change): LineWire {
  if (!('source' in change)) return { ...line, deleted: change.kind === 'line.delete' };
  const { position, source, label, note } = change;
  return { ...line, position, source, label, note, deleted: false };
}

/** Two states of a line read the same, wherever they stand. */
export function sameWords(one: LineWire, other: LineWire): boolean {
  if (one.deleted || other.deleted) return one.deleted === other.deleted;
  return (['source', 'label', 'note'] as const).every((key) => one[key] === other[key]);
}

/**
 * Whether a change is here already: a page that was left while it wrote it down cannot know, and by now it may have been
 * sent, answered and built upon.
 * @param before what it changes, as it is here
 */
export function isWritten(
  { change, again = false }: LocalWrite,
  before: LineWire | Thing | undefined,
  { own, waiting, conflicts }: Pick<Here, 'waiting' | 'conflicts'> & { readonly own: Own | undefined },
): boolean {
  if (own?.by === change.id || waiting.some(({ id }) => id === change.id)) return true;
  // It conflicts with another's, and is kept next to that with what was built on it.
  if (conflicts.some(({ changes }) => changes.includes(change.id))) return true;
  return again && makes(change) && before !== undefined;
}

/**
 * A change as it is written down on this device, where another page may have written meanwhile: a number is given once,
 * and what the server said of the line or thing stays.
 */
export function asWritten(
  { change, head, line, thing, isNumbered = false }: LocalWrite,
  here: Pick<Here, 'head' | 'line' | 'thing'>,
): LocalWrite {
  const next = Math.max(head?.nextNumber ?? 1, here.head?.nextNumber ?? 1);
  const isTaken =
    !isNumbered &&
    change.kind === 'line.add' &&
    here.line === undefined &&
    change.number < (here.head?.nextNumber ?? 1);
  const number = isTaken ? next : (here.line?.number ?? line?.number ?? null);
  return {
    change: change.kind === 'line.add' ? { ...change, number: number ?? change.number } : change,
    ...(head && {
      head: {
        ...head,
        ...saidOfJob(change, here.head ?? head),
        history: here.head?.history,
        revision: (here.head ?? head).revision,
        nextNumber: Math.max(next, (number ?? 0) + 1),
        ...countedWith(change, here),
      },
    }),
    ...(line && { line: { ...line, number, revision: here.line?.revision ?? 0 } }),
    ...(thing && {
      thing: {
        kind: thing.kind,
        thing: { ...thing.thing, revision: here.thing?.revision ?? 0 },
      },
    }),
  };
}

/** A head as it was kept: those from before jobs said more of themselves lack some of it. */
export const asHead = (kept: JobHead): JobHead => ({ ...NEW_JOB, ...kept });

/** What a job says of itself, and how it reads, once a change is written down: another page may have changed the rest. */
function saidOfJob(change: Change, head: JobHead): JobFields & Pick<JobHead, 'reading'> {
  const reading = change.kind === 'job.reading' ? change.reading : head.reading;
  return { ...jobFieldsOf(asHead(head)), ...(change.kind === 'job.set' ? namedFields(change.fields) : {}), reading };
}

/** What the list of jobs says of it, once a change is written down. */
function countedWith(change: Change, { head, line }: Pick<Here, 'head' | 'line'>): JobCounts {
  const isWorked = change.kind === 'line.add' || line?.kind === 'worked';
  const by = !isWorked || !('lineId' in change) ? 0 : line?.deleted !== false && change.kind !== 'line.delete' ? 1 : 0;
  const less = isWorked && change.kind === 'line.delete' && line?.deleted === false ? 1 : 0;
  return {
    lineCount: (head?.lineCount ?? 0) + by - less,
    people: head?.people ?? 1,
    changedAt: new Date().toISOString(),
  };
}

/** Two states of a line say the same. */
export function saysTheSame(one: LineWire, other: LineWire): boolean {
  return (['source', 'label', 'note', 'position', 'deleted'] as const).every((key) => one[key] === other[key]);
}

type ThingResult = Extract<ChangeResult, { status: 'thing' | 'thing.conflict' }>;

/**
 * A thing that was written here and elsewhere: theirs stays in its place, ours becomes another, as it was written last, so
 * that neither is lost.
 */
function settledThing({ id, of: kind, thing: theirs }: ThingResult, here: Here): Settled {
  const { thing: ours, sent, waiting, met } = here;
  const answered = sent.filter((change) => changeSubject(change) === theirs.id);
  const isLast = answered.at(-1)?.id === id;
  const isApart = answered.some((change) => met.has(change.id));
  // As it was written last: what was written before that is in it.
  if (isApart && !isLast) return {};
  if (!isApart) {
    const thing = ours && (waiting.length > 0 || !isLast) ? { ...ours, revision: theirs.revision } : theirs;
    return { thing: { kind, thing } };
  }
  const absorbed = waiting.map((change) => change.id);
  const isTakenOff = (waiting.at(-1) ?? answered.at(-1))?.kind === 'thing.delete';
  const standsBeside = ours !== undefined && !isTakenOff && kindNamed(kind).together !== 'last';
  const beside = standsBeside ? { beside: another(kind, contentOf(ours)) } : {};
  return { thing: { kind, thing: theirs }, absorbed, ...beside };
}

/** What came of a batch, for those who show it. */
export function settlement(
  sent: readonly Change[],
  results: readonly ChangeResult[],
  made: readonly Settled[],
): Settlement {
  const ids = new Set([...sent.map(changeSubject), ...made.flatMap(({ beside }) => beside?.thing.thing.id ?? [])]);
  const apart = results.flatMap((result) => {
    return result.status === 'thing.conflict' ? [{ kind: result.of, thing: result.thing }] : [];
  });
  return { ids: [...ids], apart };
}

/** What is this device's own of what is written. */
export function ownOf({ change, head }: LocalWrite, here: Pick<Here, 'head'>): Own {
  return { knew: (head ?? here.head)?.revision ?? 0, by: change.id };
}

/** What is this device's own of a line or thing after its change was answered. */
export function ownAfter({ id, status }: ChangeResult, own: Own | undefined): Own | undefined {
  if (status.endsWith('conflict') || status === 'refused') return undefined;
  return own && { ...own, by: id };
}

/** A line or a thing, or a row that holds one. */
interface Standing {
  readonly id: string;
  readonly revision: number;
}

/** Rows that were taken over, with what is this device's own of them. */
export function ownStill<T extends Standing & { readonly own?: Own | undefined }>(
  before: readonly T[],
  after: readonly T[],
): readonly T[] {
  const ours = new Map(before.map((one) => [one.id, one]));
  return after.map((one) => {
    const was = ours.get(one.id);
    return was?.own === undefined || was === one || was.revision !== one.revision ? one : { ...one, own: was.own };
  });
}

/**
 * A change that was not made on the line or thing as it stands here: another page of this browser wrote it meanwhile, or
 * what came from elsewhere. It does not replace that, but is kept next to it.
 */
export function besideIt(
  jobId: string,
  { change, line, thing }: LocalWrite,
  here: Pick<Here, 'line' | 'thing' | 'waiting' | 'conflicts'> & {
    readonly own: Own | undefined;
    /** The revisions that it speaks of are those of the job as it is here. */
    readonly isSameHistory: boolean;
  },
): (Pick<Settled, 'conflict' | 'agreed' | 'beside'> & { readonly rebased?: Change }) | undefined {
  const stands = here.line ?? here.thing;
  if (stands === undefined || !('base' in change)) return undefined;
  const last = here.waiting.at(-1)?.id;
  const isBuilt =
    last === undefined
      ? (here.isSameHistory && change.base === stands.revision) || change.base === here.own?.by
      : change.base === last;
  if (isBuilt) return undefined;
  const rebased = { ...change, base: last ?? stands.revision };
  // It says the same: written on that, so that a device that wrote something else meanwhile learns of it.
  if (line && here.line && sameWords(line, here.line)) return { rebased };
  if (thing && kindNamed(thing.kind).together === 'last') return { rebased };
  if (line && here.line)
    return versionOf(jobId, change, here.line, { conflicts: here.conflicts, waiting: [], sent: [], met: new Set() });
  return thing && !thing.thing.deleted ? { beside: another(thing.kind, contentOf(thing.thing)) } : {};
}

/** A thing of its own, to be added. */
function another(kind: string, content: Content): LocalWrite & { readonly thing: KeptThing } {
  const id = uuidv7();
  return {
    change: { id: uuidv7(), kind: 'thing.add', of: kind, thingId: id, content },
    thing: { kind, thing: { ...content, id, revision: 0, deleted: false } },
  };
}

/** A change that will not be done, for the same reason as all that wait with it. */
export const refusalOf = (jobId: string, change: Change, code: KeptRefusal['code']): KeptRefusal => ({
  id: change.id,
  jobId,
  change,
  code,
  problem: undefined,
});

/** The changes of a batch that were not done. */
export function refusalsOf(jobId: string, sent: readonly Change[], results: readonly ChangeResult[]): KeptRefusal[] {
  const changes = new Map(sent.map((change) => [change.id, change]));
  return results.flatMap((result) => {
    const change = changes.get(result.id);
    if (result.status !== 'refused' || change === undefined) return [];
    return [{ ...refusalOf(jobId, change, result.code), problem: result.problem }];
  });
}

/** Ids of what the server says it never had: it stands in what was refused, and not on the slate. */
export const neverThere = (
  jobId: string,
  sent: readonly Change[],
  results: readonly ChangeResult[],
): readonly string[] =>
  refusalsOf(jobId, sent, results)
    .filter(({ code }) => code.endsWith('.not_found'))
    .map(({ change }) => changeSubject(change));

/** It came along with another change, and nobody counts it. */
export const cameAlong = (change: Change): boolean =>
  change.kind === 'thing.add' && kindNamed(change.of).comesAlong === true;

/** How often each of some words is among them. */
export function countedBy(words: readonly string[]): ReadonlyMap<string, number> {
  const counted = new Map<string, number>();
  for (const word of words) counted.set(word, (counted.get(word) ?? 0) + 1);
  return counted;
}

/** The change was to make what it speaks of. */
export const makes = ({ kind }: Change): boolean => kind === 'line.words' || kind.endsWith('.add');

/** What has to be at hand to write a change down. */
export const spokenOf = ({ change, line, thing }: LocalWrite): readonly string[] =>
  [changeSubject(change), line?.id, thing?.thing.id].flatMap((id) => id ?? []);

/** What has to be at hand to take the server's word on a batch. */
export const answered = (sent: readonly Change[], results: readonly ChangeResult[]): readonly string[] => [
  ...new Set([...sent.map(changeSubject), ...results.flatMap((result) => resultSubject(result) ?? [])]),
];

/** What a change is made to: a line, a thing, or the job itself. */
export function changeSubject(change: Change): string {
  if ('lineId' in change) return change.lineId;
  return 'thingId' in change ? change.thingId : 'job';
}

/** What a result speaks of; undefined for a refusal, which speaks of nothing that there is. */
export function resultSubject(result: ChangeResult): string | undefined {
  if ('line' in result) return result.line.id;
  if ('thing' in result) return result.thing.id;
  return 'reading' in result ? 'job' : undefined;
}

/**
 * Lines or things as they are after the server's were taken over: its own, but for what has changes waiting here, for
 * what is here from later than it was read, and for what it leaves out where it holds changes alone.
 */
export function adopted<T extends Standing>(
  ours: readonly T[],
  theirs: readonly T[],
  waiting: ReadonlySet<string>,
  { extent, revision }: { readonly extent: 'all' | 'changes'; readonly revision: number },
): readonly T[] {
  const received = new Map(theirs.map((one) => [one.id, one]));
  const held = ours.filter((one) => {
    const other = received.get(one.id);
    if (waiting.has(one.id)) return true;
    return other === undefined ? extent === 'changes' || one.revision > revision : one.revision > other.revision;
  });
  const kept = new Set(held.map(({ id }) => id));
  return [...theirs.filter(({ id }) => !kept.has(id)), ...held];
}

/** Lines and things of every kind that the server sent. */
export const receivedRows = (job: JobWire): readonly (LineWire | Thing)[] => [
  ...job.lines,
  ...allThings(thingsOf(job)),
];

/** A job that is not here. */
export const NOTHING: Omit<LocalJob, 'head' | 'refusals'> = {
  lines: [],
  things: NO_THINGS,
  waiting: [],
  conflicts: [],
  own: new Map(),
};

/**
 * How far a job has been read, now that this was received: not beyond what was passed over because changes of ours wait
 * there, so that it is read again when they are answered.
 * @param ours what is here of what was received
 */
export function readUpTo(
  job: JobWire,
  ours: readonly Standing[],
  waiting: ReadonlySet<string>,
  { head, asked }: { readonly head: JobHead | undefined; readonly asked: JobHead | undefined },
): number {
  const known = new Map(ours.map(({ id, revision }) => [id, revision]));
  const passedOver = receivedRows(job)
    .filter(({ id, revision }) => waiting.has(id) && revision > (known.get(id) ?? 0))
    .map(({ revision }) => revision - 1);
  // What was asked for begins after something that is still to be read.
  const gap = head && asked && head.history === asked.history && head.revision < asked.revision ? [head.revision] : [];
  return Math.min(job.revision, ...passedOver, ...gap);
}

const LISTS = new Set(KINDS.map(({ list }) => list));
function withoutLists<Received extends object>(received: Received): Omit<Received, keyof ThingLists> {
  return Object.fromEntries(Object.entries(received).filter(([name]) => !LISTS.has(name))) as Omit<
    Received,
    keyof ThingLists
  >;
}

/** The head of a job as the server has it; numbers that were given here already are not given again. */
export function adoptedHead(
  ours: JobHead | undefined,
  received: JobWire,
  waiting: ReadonlySet<string>,
  revision = received.revision,
): JobHead {
  const { lines: _lines, restoredFrom: _from, restoredRevision: _at, ...rest } = received;
  const theirs = { ...ours, ...withoutLists(rest) };
  const nextNumber = Math.max(theirs.nextNumber, ours?.nextNumber ?? 0);
  return ours && waiting.has('job')
    ? { ...ours, revision, history: theirs.history, role: theirs.role, nextNumber }
    : { ...theirs, revision, nextNumber };
}
