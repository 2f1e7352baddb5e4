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
  Things,
} from './local-store.ts';
import {
  adopted,
  adoptedHead,
  changeSubject,
  makes,
  NO_THINGS,
  refusalsOf,
  resultSubject,
  settled,
  thingsOf,
} from './settled.ts';

interface Shelf {
  head: JobHead;
  lines: readonly LineWire[];
  things: Things;
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

  open(jobId: string): Promise<LocalJob | undefined> {
    const shelf = this.#jobs.get(jobId);
    const conflicts = [...this.#conflicts.values()].filter((one) => one.jobId === jobId);
    const refusals = [...this.#refusals.values()].filter((one) => one.jobId === jobId);
    return Promise.resolve(shelf && { ...shelf, waiting: this.#waiting(jobId), conflicts, refusals });
  }

  #waiting(jobId: string): readonly Change[] {
    return this.#outbox.filter((one) => one.jobId === jobId).map(({ change }) => change);
  }
  #subjects(jobId: string): ReadonlySet<string> {
    return new Set(this.#waiting(jobId).map(changeSubject));
  }

  write(jobId: string, { change, head, line, thing }: LocalWrite): Promise<void> {
    this.#place += 1;
    this.#outbox = [...this.#outbox, { place: this.#place, jobId, change }];
    this.#put(jobId, { head, line, thing });
    return Promise.resolve();
  }

  #put(
    jobId: string,
    { head, line, thing }: { head?: JobHead | undefined; line?: LineWire | undefined; thing?: KeptThing | undefined },
  ): void {
    const before = this.#jobs.get(jobId) ?? (head && { head, lines: [], things: NO_THINGS });
    if (before === undefined) return;
    this.#jobs.set(jobId, {
      head: head ?? before.head,
      lines: line ? [...before.lines.filter(({ id }) => id !== line.id), line] : before.lines,
      things: thing ? withThing(before.things, thing) : before.things,
    });
  }

  adopt(job: JobWire, extent: 'all' | 'changes'): Promise<void> {
    const before = this.#jobs.get(job.id);
    const waiting = this.#subjects(job.id);
    const told = { extent, revision: job.revision };
    this.#jobs.set(job.id, {
      head: adoptedHead(before?.head, job, waiting),
      lines: adopted(before?.lines ?? [], job.lines, waiting, told),
      things: Object.fromEntries(
        THING_KINDS.map((kind) => [
          kind,
          adopted<ThingWire>(before?.things[kind] ?? [], thingsOf(job)[kind], waiting, told),
        ]),
      ) as unknown as Things,
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

  async settle({ jobId, places, changes: sent }: Batch, results: readonly ChangeResult[]): Promise<void> {
    this.#outbox = this.#outbox.filter(({ place }) => !places.includes(place));
    for (const refusal of refusalsOf(jobId, sent, results)) this.#refusals.set(refusal.id, refusal);
    const waiting = this.#subjects(jobId);
    for (const result of results) {
      const subject = resultSubject(result);
      const shelf = this.#jobs.get(jobId);
      const made = settled(jobId, result, {
        head: shelf?.head,
        line: shelf?.lines.find(({ id }) => id === subject),
        thing: shelf && THING_KINDS.flatMap((kind) => [...shelf.things[kind]]).find(({ id }) => id === subject),
        conflict: subject === undefined ? undefined : this.#conflicts.get(subject),
        isOvertaken: subject !== undefined && waiting.has(subject),
        sent,
      });
      this.#put(jobId, made);
      if (made.conflict) this.#conflicts.set(made.conflict.lineId, made.conflict);
      if (made.beside) await this.write(jobId, made.beside);
    }
  }

  countWaiting(): Promise<number> {
    return Promise.resolve(this.#outbox.length);
  }

  keepConflict(conflict: KeptConflict): Promise<void> {
    this.#conflicts.set(conflict.lineId, conflict);
    return Promise.resolve();
  }

  dropConflict(lineId: string): Promise<void> {
    this.#conflicts.delete(lineId);
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

function withThing(things: Things, { kind, thing }: KeptThing): Things {
  return { ...things, [kind]: [...things[kind].filter(({ id }) => id !== thing.id), thing] };
}
