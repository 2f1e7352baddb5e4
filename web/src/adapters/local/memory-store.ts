import {
  THING_KINDS,
  type Change,
  type ChangeResult,
  type JobWire,
  type KeptThing,
  type LineWire,
  type ThingWire,
} from '@sprell/contract';
import type {
  Batch,
  JobHead,
  KeptConflict,
  KeptRefusal,
  LocalJob,
  LocalStore,
  LocalWrite,
  Settlement,
  Things,
} from './local-store.ts';
import {
  adopted,
  adoptedHead,
  asWritten,
  changeSubject,
  isDone,
  makes,
  NO_THINGS,
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
  /** As `LocalJob` has it. */
  knew: ReadonlyMap<string, number>;
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
        knew: new Map(askedOf([...shelf.knew].map(([id, knew]) => ({ id, knew }))).map(({ id, knew }) => [id, knew])),
      },
    );
  }

  #waiting(jobId: string): readonly Change[] {
    return this.#outbox.filter((one) => one.jobId === jobId).map(({ change }) => change);
  }
  #subjects(jobId: string): ReadonlySet<string> {
    return new Set(this.#waiting(jobId).map(changeSubject));
  }

  write(jobId: string, what: LocalWrite): Promise<LocalWrite> {
    const shelf = this.#jobs.get(jobId);
    const written = asWritten(what, {
      head: shelf?.head,
      line: shelf?.lines.find(({ id }) => id === what.line?.id),
      thing: shelf && thingOf(shelf, what.thing?.thing.id),
    });
    const { change } = written;
    this.#place += 1;
    this.#outbox = [...this.#outbox, { place: this.#place, jobId, change }];
    this.#put(jobId, written, what.head?.revision ?? shelf?.head.revision);
    return Promise.resolve(written);
  }

  /** @param knew of what is put: undefined for what somebody else wrote */
  #put(
    jobId: string,
    { head, line, thing }: { head?: JobHead | undefined; line?: LineWire | undefined; thing?: KeptThing | undefined },
    knew: number | undefined,
  ): void {
    const before =
      this.#jobs.get(jobId) ?? (head && { head, lines: [], things: NO_THINGS, knew: new Map<string, number>() });
    if (before === undefined) return;
    const known = new Map(before.knew);
    for (const id of [line?.id, thing?.thing.id])
      if (id !== undefined && knew !== undefined) known.set(id, knew);
      else if (id !== undefined) known.delete(id);
    this.#jobs.set(jobId, {
      head: head ?? before.head,
      lines: line ? [...before.lines.filter(({ id }) => id !== line.id), line] : before.lines,
      things: thing ? withThing(before.things, thing) : before.things,
      knew: known,
    });
  }

  adopt(job: JobWire, extent: 'all' | 'changes'): Promise<void> {
    const before = this.#jobs.get(job.id);
    const waiting = this.#subjects(job.id);
    const told = { extent, revision: job.revision };
    const lines = adopted(before?.lines ?? [], job.lines, waiting, told);
    const things = thingsBy((kind) =>
      adopted<ThingWire>(before?.things[kind] ?? [], thingsOf(job)[kind], waiting, told),
    );
    const revisions = new Map(rowsOf({ lines, things }).map(({ id, revision }) => [id, revision]));
    const ours = before ? rowsOf(before).filter(({ id, revision }) => revisions.get(id) === revision) : [];
    this.#jobs.set(job.id, {
      head: adoptedHead(before?.head, job, waiting),
      lines,
      things,
      knew: new Map(ours.flatMap(({ id }) => [[id, before?.knew.get(id)] as const]).filter(isKnown)),
    });
    return Promise.resolve();
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
    });
  }

  async settle({ jobId, places, changes: sent }: Batch, results: readonly ChangeResult[]): Promise<Settlement> {
    this.#outbox = this.#outbox.filter(({ place }) => !places.includes(place));
    for (const refusal of refusalsOf(jobId, sent, results)) this.#refusals.set(refusal.id, refusal);
    const all: Settled[] = [];
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
      });
      all.push(made);
      this.#put(jobId, made, isDone(result) ? shelf?.knew.get(subject) : undefined);
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
const isKnown = (entry: readonly [string, number | undefined]): entry is readonly [string, number] =>
  entry[1] !== undefined;

function withThing(things: Things, { kind, thing }: KeptThing): Things {
  return { ...things, [kind]: [...things[kind].filter(({ id }) => id !== thing.id), thing] };
}
