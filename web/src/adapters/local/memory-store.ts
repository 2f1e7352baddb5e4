import {
  THING_KINDS,
  type Change,
  type ChangeResult,
  type JobWire,
  type KeptThing,
  type LineWire,
  type ThingWire,
} from '@sprell/contract';
import { isOfAnotherHistory, isOtherHistory, NOTHING_SETTLED, rejoined } from './rejoined.ts';
import type {
  Batch,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Own,
  Settlement,
  Things,
  Written,
} from './local-store.ts';
import {
  adopted,
  adoptedHead,
  asWritten,
  isWritten,
  besideIt,
  changeSubject,
  makes,
  metOf,
  neverThere,
  NO_THINGS,
  ownAfter,
  ownOf,
  readUpTo,
  refusalOf,
  refusalsOf,
  resultSubject,
  settled,
  settlement,
  thingsOf,
  type Settled,
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

  /** @param lasts told of it: a test's stands for a database */
  constructor(lasts = false) {
    this.lasts = lasts;
  }

  heads(): Promise<readonly JobHead[]> {
    return Promise.resolve([...this.#jobs.values()].map(({ head }) => head));
  }

  open(jobId: string, only?: readonly string[]): Promise<LocalJob | undefined> {
    const shelf = this.#jobs.get(jobId);
    const asked = new Set(only);
    const askedOf = <T extends { readonly id: string }>(list: readonly T[]) =>
      only === undefined ? list : list.filter(({ id }) => asked.has(id));
    return Promise.resolve(
      shelf && {
        head: shelf.head,
        lines: askedOf(shelf.lines),
        things: thingsBy((kind) => askedOf<ThingWire>(shelf.things[kind])),
        waiting: this.#waiting(jobId).filter((change) => only === undefined || asked.has(changeSubject(change))),
        conflicts: [...this.#conflicts.values()].filter((one) => one.jobId === jobId),
        refusals: [...this.#refusals.values()].filter((one) => one.jobId === jobId),
        own: new Map([...shelf.own].filter(([id]) => only === undefined || asked.has(id))),
      },
    );
  }

  #waiting(jobId: string): readonly Change[] {
    return this.#outbox.filter((one) => one.jobId === jobId).map(({ change }) => change);
  }
  #subjects(jobId: string): ReadonlySet<string> {
    return new Set(this.#waiting(jobId).map(changeSubject));
  }

  async write(jobId: string, what: LocalWrite): Promise<Written> {
    const shelf = this.#jobs.get(jobId);
    const subject = changeSubject(what.change);
    const line = shelf?.lines.find(({ id }) => id === what.line?.id);
    const thing = shelf && thingOf(shelf, what.thing?.thing.id);
    const written = asWritten(what, { head: shelf?.head, line, thing });
    const waiting = this.#waiting(jobId).filter((change) => changeSubject(change) === subject);
    const conflicts = [...this.#conflicts.values()].filter(({ lineId }) => lineId === subject);
    const own = shelf?.own.get(subject);
    if (isWritten(what, line ?? thing, { own, waiting, conflicts })) return { ...written, apart: [subject] };
    const beside = besideIt(jobId, written, {
      line,
      thing,
      own,
      isSameHistory: (what.head?.history ?? shelf?.head.history) === shelf?.head.history,
      waiting,
      conflicts,
    });
    if (beside?.conflict) this.#conflicts.set(beside.conflict.id, beside.conflict);
    if (beside?.agreed) this.#conflicts.delete(beside.agreed);
    if (beside?.beside) {
      const other = await this.write(jobId, beside.beside);
      return { ...other, apart: [subject, changeSubject(other.change)] };
    }
    if (beside && !beside.rebased) return { ...written, apart: [subject] };
    const change = beside?.rebased ?? written.change;
    this.#send(jobId, change);
    const here = { head: shelf?.head, own, waiting };
    this.#put(jobId, written, ownOf({ ...what, change }, here));
    return { ...written, apart: [] };
  }

  /** @param own of what is put: undefined for what somebody else wrote */
  #put(
    jobId: string,
    { head, line, thing }: { head?: JobHead | undefined; line?: LineWire | undefined; thing?: KeptThing | undefined },
    own: Own | undefined,
  ): void {
    const before =
      this.#jobs.get(jobId) ?? (head && { head, lines: [], things: NO_THINGS, own: new Map<string, Own>() });
    if (before === undefined) return;
    const known = new Map(before.own);
    for (const id of [line?.id, thing?.thing.id])
      if (id !== undefined && own !== undefined) known.set(id, own);
      else if (id !== undefined) known.delete(id);
    this.#jobs.set(jobId, {
      head: head ?? before.head,
      lines: line ? [...before.lines.filter(({ id }) => id !== line.id), line] : before.lines,
      things: thing ? withThing(before.things, thing) : before.things,
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
    const told = { extent, revision: job.revision };
    const upTo = readUpTo(job, before ? rowsOf(before) : [], waiting, {
      head: before?.head,
      asked: extent === 'changes' ? asked : undefined,
    });
    const lines = adopted(before?.lines ?? [], job.lines, waiting, told);
    const things = thingsBy((kind) =>
      adopted<ThingWire>(before?.things[kind] ?? [], thingsOf(job)[kind], waiting, told),
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

  #rejoin(shelf: Shelf, told: JobWire | undefined): void {
    const jobId = shelf.head.id;
    const { waiting, conflicts, refusals, ...shelved } = rejoined({ ...shelf, waiting: this.#waiting(jobId) }, told);
    this.#jobs.set(jobId, shelved);
    this.#outbox = this.#outbox.filter((one) => one.jobId !== jobId);
    for (const change of waiting) this.#send(jobId, change);
    for (const conflict of conflicts) this.#conflicts.set(conflict.id, conflict);
    for (const refusal of refusals) this.#refusals.set(refusal.id, refusal);
  }

  refuse(jobId: string, code: KeptRefusal['code']): Promise<void> {
    for (const change of this.#waiting(jobId)) this.#refusals.set(change.id, refusalOf(jobId, change, code));
    this.#outbox = this.#outbox.filter((one) => one.jobId !== jobId);
    // What the server never had goes; what it has is read anew, all of it.
    this.#keepOnly(jobId, ({ revision }) => revision > 0);
    const shelf = this.#jobs.get(jobId);
    if (shelf) this.#jobs.set(jobId, { ...shelf, head: { ...shelf.head, revision: 0 } });
    return Promise.resolve();
  }

  #keepOnly(jobId: string, stays: (one: LineWire | ThingWire) => boolean): void {
    const shelf = this.#jobs.get(jobId);
    if (!shelf) return;
    const things = thingsBy((kind) => (shelf.things[kind] as readonly ThingWire[]).filter(stays));
    this.#jobs.set(jobId, { ...shelf, lines: shelf.lines.filter(stays), things });
  }

  #send(jobId: string, change: Change): void {
    this.#place += 1;
    this.#outbox = [...this.#outbox, { place: this.#place, jobId, change }];
  }

  batch(limit: number, held: ReadonlySet<string>): Promise<Batch | undefined> {
    const first = this.#outbox.find(({ jobId }) => !held.has(jobId));
    if (first === undefined) return Promise.resolve(undefined);
    const { jobId } = first;
    const rows = this.#outbox.filter((one) => one.jobId === jobId).slice(0, limit);
    return Promise.resolve({
      jobId,
      places: rows.map(({ place }) => place),
      changes: rows.map(({ change }) => change),
      history: this.#jobs.get(jobId)?.head.history,
    });
  }

  async settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    const { jobId, places, changes: sent } = batch;
    if (isOfAnotherHistory(batch, this.#jobs.get(jobId)?.head)) return NOTHING_SETTLED;
    this.#outbox = this.#outbox.filter(({ place }) => !places.includes(place));
    for (const refusal of refusalsOf(jobId, sent, results)) this.#refusals.set(refusal.id, refusal);
    const never = new Set(neverThere(jobId, sent, results));
    this.#keepOnly(jobId, ({ id, revision }) => revision > 0 || !never.has(id));
    const all: Settled[] = [];
    const met = metOf(results);
    for (const result of results) {
      const subject = resultSubject(result);
      if (subject === undefined) continue;
      const shelf = this.#jobs.get(jobId);
      const made = settled(jobId, result, {
        head: shelf?.head,
        line: shelf?.lines.find(({ id }) => id === subject),
        thing: shelf && thingOf(shelf, subject),
        conflicts: [...this.#conflicts.values()].filter(({ lineId }) => lineId === subject),
        waiting: this.#waiting(jobId).filter((change) => changeSubject(change) === subject),
        sent,
        met,
      });
      all.push(made);
      this.#put(jobId, made, ownAfter(result, shelf?.own.get(subject)));
      if (made.conflict) this.#conflicts.set(made.conflict.id, made.conflict);
      if (made.agreed) this.#conflicts.delete(made.agreed);
      this.#outbox = this.#outbox.filter(({ change }) => made.absorbed?.includes(change.id) !== true);
      if (made.beside) await this.write(jobId, made.beside);
    }
    return settlement(sent, results, all);
  }

  countWaiting(): Promise<number> {
    return Promise.resolve(this.#outbox.length);
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
        things: { scale: others(shelf.things.scale), setout: others(shelf.things.setout) },
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

const thingsBy = (of: (kind: (typeof THING_KINDS)[number]) => readonly ThingWire[]): Things =>
  Object.fromEntries(THING_KINDS.map((kind) => [kind, of(kind)])) as unknown as Things;

const thingOf = ({ things }: Shelf, id: string | undefined): ThingWire | undefined =>
  THING_KINDS.flatMap((kind): readonly ThingWire[] => things[kind]).find((one) => one.id === id);

const rowsOf = ({ lines, things }: Pick<Shelf, 'lines' | 'things'>): readonly (LineWire | ThingWire)[] => [
  ...lines,
  ...THING_KINDS.flatMap((kind): readonly ThingWire[] => things[kind]),
];
const isKnown = (entry: readonly [string, Own | undefined]): entry is readonly [string, Own] => entry[1] !== undefined;

function withThing(things: Things, { kind, thing }: KeptThing): Things {
  return { ...things, [kind]: [...things[kind].filter(({ id }) => id !== thing.id), thing] };
}
