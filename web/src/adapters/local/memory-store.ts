import {
  allThings,
  batchSize,
  NO_THINGS,
  thingsBy,
  thingsOf,
  type Change,
  type ChangeResult,
  type JobWire,
  type LineWire,
  type Thing,
  type Things,
} from '@sprell/contract';
import { JobPart } from './job-part.ts';
import { isOfAnotherHistory, isOtherHistory, NOTHING_SETTLED, rejoined } from './rejoined.ts';
import type {
  Batch,
  JobCounts,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Own,
  Settlement,
  Written,
} from './local-store.ts';
import {
  adopted,
  adoptedHead,
  answered,
  cameAlong,
  countedBy,
  changeSubject,
  makes,
  NOTHING,
  readUpTo,
  refusalOf,
  refusalsOf,
  spokenOf,
} from './settled.ts';

interface Shelf {
  head: JobHead;
  lines: readonly LineWire[];
  things: Things;
  own: ReadonlyMap<string, Own>;
}

/** The jobs for as long as the page is open: where a browser has no database, and in tests. */
export class MemoryStore implements LocalStore {
  readonly lasts: boolean;
  readonly #jobs = new Map<string, Shelf>();
  readonly #conflicts = new Map<string, KeptConflict>();
  readonly #refusals = new Map<string, KeptRefusal>();
  readonly #notes = new Map<string, unknown>();
  #outbox: readonly { readonly place: number; readonly jobId: string; readonly change: Change }[] = [];
  #place = 0;

  /** @param lasts called with it: a test's stands for a database */
  constructor(lasts = false) {
    this.lasts = lasts;
  }

  heads(): Promise<readonly JobHead[]> {
    return Promise.resolve([...this.#jobs.values()].map(({ head }) => head));
  }

  count(counts: readonly (JobCounts & { readonly id: string })[]): Promise<void> {
    for (const { id, ...counted } of counts) {
      const shelf = this.#jobs.get(id);
      if (shelf) shelf.head = { ...shelf.head, ...counted };
    }
    return Promise.resolve();
  }

  open(jobId: string, only?: readonly string[]): Promise<LocalJob | undefined> {
    return Promise.resolve(this.#here(jobId, only));
  }

  #here(jobId: string, only?: readonly string[]): LocalJob | undefined {
    const shelf = this.#jobs.get(jobId);
    const asked = new Set(only);
    const askedOf = <T extends { readonly id: string }>(list: readonly T[]) =>
      only === undefined ? list : list.filter(({ id }) => asked.has(id));
    return (
      shelf && {
        head: shelf.head,
        lines: askedOf(shelf.lines),
        things: thingsBy((kind) => askedOf(shelf.things[kind] ?? [])),
        waiting: this.#waiting(jobId).filter((change) => only === undefined || asked.has(changeSubject(change))),
        conflicts: [...this.#conflicts.values()].filter((one) => one.jobId === jobId),
        refusals: [...this.#refusals.values()].filter((one) => one.jobId === jobId),
        own: new Map([...shelf.own].filter(([id]) => only === undefined || asked.has(id))),
      }
    );
  }

  #waiting(jobId: string): readonly Change[] {
    return this.#outbox.filter((one) => one.jobId === jobId).map(({ change }) => change);
  }
  #subjects(jobId: string): ReadonlySet<string> {
    return new Set(this.#waiting(jobId).map(changeSubject));
  }

  write(jobId: string, ...whats: readonly LocalWrite[]): Promise<readonly Written[]> {
    const part = this.#partOf(jobId, whats.flatMap(spokenOf));
    const written = part.write(whats);
    this.#keep(jobId, part);
    return Promise.resolve(written);
  }

  #partOf(jobId: string, ids: readonly string[]): JobPart {
    const here = this.#here(jobId, ids);
    return new JobPart(jobId, here?.head, here ?? NOTHING);
  }

  #keep(jobId: string, { touched }: JobPart): void {
    const { head, lines, things, removed, own, added, absorbed, conflicts } = touched;
    for (const change of added) this.#send(jobId, change);
    this.#outbox = this.#outbox.filter(({ change }) => !absorbed.has(change.id));
    for (const [id, conflict] of conflicts)
      if (conflict) this.#conflicts.set(id, conflict);
      else this.#conflicts.delete(id);
    const before =
      this.#jobs.get(jobId) ?? (head && { head, lines: [], things: NO_THINGS, own: new Map<string, Own>() });
    if (before === undefined) return;
    const gone = new Set([...removed, ...lines.map(({ id }) => id), ...things.map(({ thing }) => thing.id)]);
    const others = <T extends { readonly id: string }>(list: readonly T[]) => list.filter(({ id }) => !gone.has(id));
    const known = new Map([...before.own].filter(([id]) => !gone.has(id)));
    for (const id of gone) {
      const owned = own.get(id);
      if (owned) known.set(id, owned);
    }
    this.#jobs.set(jobId, {
      head: head ?? before.head,
      lines: [...others(before.lines), ...lines],
      things: thingsBy((kind) => [
        ...others(before.things[kind] ?? []),
        ...things.filter((one) => one.kind === kind).map(({ thing }) => thing),
      ]),
      own: known,
    });
  }

  adopt(job: JobWire, extent: 'all' | 'changes', asked?: JobHead): Promise<boolean> {
    const before = this.#jobs.get(job.id);
    if (extent === 'changes' && asked && asked.history !== job.history) return Promise.resolve(false);
    if (before && isOtherHistory(before.head, job, asked)) {
      if (extent === 'all') this.#rejoin(before, job);
      return Promise.resolve(extent === 'all');
    }
    const waiting = this.#subjects(job.id);
    const received = { extent, revision: job.revision };
    const upTo = readUpTo(job, before ? rowsOf(before) : [], waiting, {
      head: before?.head,
      asked: extent === 'changes' ? asked : undefined,
    });
    const lines = adopted(before?.lines ?? [], job.lines, waiting, received);
    const things = thingsBy((kind) =>
      adopted(before?.things[kind] ?? [], thingsOf(job)[kind] ?? [], waiting, received),
    );
    const revisions = new Map(rowsOf({ lines, things }).map(({ id, revision }) => [id, revision]));
    const ours = before ? rowsOf(before).filter(({ id, revision }) => revisions.get(id) === revision) : [];
    this.#jobs.set(job.id, {
      head: adoptedHead(before?.head, job, waiting, upTo),
      lines,
      things,
      own: new Map(ours.flatMap(({ id }) => [[id, before?.own.get(id)] as const]).filter(isKnown)),
    });
    return Promise.resolve(true);
  }

  sendAgain(jobId: string): Promise<void> {
    const shelf = this.#jobs.get(jobId);
    if (shelf) this.#rejoin(shelf, undefined);
    return Promise.resolve();
  }

  #rejoin(shelf: Shelf, received: JobWire | undefined): void {
    const jobId = shelf.head.id;
    const { waiting, conflicts, refusals, ...shelved } = rejoined(
      { ...shelf, waiting: this.#waiting(jobId) },
      received,
    );
    this.#jobs.set(jobId, shelved);
    this.#outbox = this.#outbox.filter((one) => one.jobId !== jobId);
    for (const change of waiting) this.#send(jobId, change);
    for (const conflict of conflicts) this.#conflicts.set(conflict.id, conflict);
    for (const refusal of refusals) this.#refusals.set(refusal.id, refusal);
  }

  refuse(jobId: string, code: KeptRefusal['code']): Promise<void> {
    for (const change of this.#waiting(jobId)) this.#refusals.set(change.id, refusalOf(jobId, change, code));
    this.#outbox = this.#outbox.filter((one) => one.jobId !== jobId);
    // What the server never had goes; what it has is read again, all of it.
    this.#keepOnly(jobId, ({ revision }) => revision > 0);
    const shelf = this.#jobs.get(jobId);
    if (shelf) this.#jobs.set(jobId, { ...shelf, head: { ...shelf.head, revision: 0 } });
    return Promise.resolve();
  }

  #keepOnly(jobId: string, stays: (one: LineWire | Thing) => boolean): void {
    const shelf = this.#jobs.get(jobId);
    if (!shelf) return;
    const things = thingsBy((kind) => (shelf.things[kind] ?? []).filter(stays));
    this.#jobs.set(jobId, { ...shelf, lines: shelf.lines.filter(stays), things });
  }

  #send(jobId: string, change: Change): void {
    this.#place += 1;
    this.#outbox = [...this.#outbox, { place: this.#place, jobId, change }];
  }

  batch(held: ReadonlySet<string>): Promise<Batch | undefined> {
    const first = this.#outbox.find(({ jobId }) => !held.has(jobId));
    if (first === undefined) return Promise.resolve(undefined);
    const { jobId } = first;
    const waiting = this.#outbox.filter((one) => one.jobId === jobId);
    const rows = waiting.slice(0, batchSize(waiting.map(({ change }) => change)));
    return Promise.resolve({
      jobId,
      places: rows.map(({ place }) => place),
      changes: rows.map(({ change }) => change),
      history: this.#jobs.get(jobId)?.head.history,
    });
  }

  settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    const { jobId, places, changes: sent } = batch;
    if (isOfAnotherHistory(batch, this.#jobs.get(jobId)?.head)) return Promise.resolve(NOTHING_SETTLED);
    this.#outbox = this.#outbox.filter(({ place }) => !places.includes(place));
    for (const refusal of refusalsOf(jobId, sent, results)) this.#refusals.set(refusal.id, refusal);
    const part = this.#partOf(jobId, answered(sent, results));
    const made = part.settle(sent, results);
    this.#keep(jobId, part);
    return Promise.resolve(made);
  }

  waitingByJob(): Promise<ReadonlyMap<string, number>> {
    return Promise.resolve(
      countedBy(this.#outbox.filter(({ change }) => !cameAlong(change)).map(({ jobId }) => jobId)),
    );
  }

  countWaiting(): Promise<number> {
    return Promise.resolve(this.#outbox.filter(({ change }) => !cameAlong(change)).length);
  }

  keepConflict(conflict: KeptConflict): Promise<void> {
    this.#conflicts.set(conflict.id, conflict);
    return Promise.resolve();
  }

  dropConflict({ id }: KeptConflict): Promise<void> {
    this.#conflicts.delete(id);
    return Promise.resolve();
  }

  dropRefusal({ id, jobId, change }: KeptRefusal): Promise<void> {
    this.#refusals.delete(id);
    const shelf = this.#jobs.get(jobId);
    const subject = changeSubject(change);
    const others = <T extends { readonly id: string }>(list: readonly T[]) => list.filter((one) => one.id !== subject);
    if (shelf && makes(change))
      this.#jobs.set(jobId, {
        ...shelf,
        lines: others(shelf.lines),
        things: thingsBy((kind) => others(shelf.things[kind] ?? [])),
      });
    return Promise.resolve();
  }

  forget(jobId: string): Promise<void> {
    if (this.#waiting(jobId).length === 0) this.#jobs.delete(jobId);
    return Promise.resolve();
  }

  note(key: string): Promise<unknown> {
    return Promise.resolve(this.#notes.get(key));
  }

  setNote(key: string, value: unknown): Promise<void> {
    this.#notes.set(key, value);
    return Promise.resolve();
  }

  clear(): Promise<void> {
    for (const map of [this.#jobs, this.#conflicts, this.#refusals, this.#notes]) map.clear();
    this.#outbox = [];
    return Promise.resolve();
  }
}

const rowsOf = ({ lines, things }: Pick<Shelf, 'lines' | 'things'>): readonly (LineWire | Thing)[] => [
  ...lines,
  ...allThings(things),
];
const isKnown = (entry: readonly [string, Own | undefined]): entry is readonly [string, Own] => entry[1] !== undefined;
