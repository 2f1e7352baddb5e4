import type { Change, ChangeResult, KeptThing, LineWire } from '@sprell/contract';
import type { JobHead, KeptConflict, LocalJob, LocalWrite, Own, Settlement, Written } from './local-store.ts';
import {
  asWritten,
  besideIt,
  changeSubject,
  isWritten,
  metOf,
  neverThere,
  ownAfter,
  ownOf,
  resultSubject,
  settled,
  settlement,
  type Settled,
} from './settled.ts';

type Part = Omit<LocalJob, 'head' | 'refusals'>;

/**
 * The part of a job that changes or their answers speak of, in memory, and what becomes of it. The one place where that is
 * worked out: a store brings the part here, has the work done, and keeps what was touched, all at once.
 */
export class JobPart {
  readonly #jobId: string;
  readonly #lines: Map<string, LineWire>;
  readonly #things = new Map<string, KeptThing>();
  readonly #own: Map<string, Own>;
  readonly #waiting = new Map<string, Change[]>();
  readonly #conflicts = new Map<string, KeptConflict[]>();
  #head: JobHead | undefined;
  readonly #touched = {
    head: false,
    lines: new Set<string>(),
    things: new Set<string>(),
    removed: new Set<string>(),
    added: [] as Change[],
    absorbed: new Set<string>(),
    conflicts: new Map<string, KeptConflict | undefined>(),
  };

  constructor(jobId: string, head: JobHead | undefined, { lines, things, own, waiting, conflicts }: Part) {
    this.#jobId = jobId;
    this.#head = head;
    this.#lines = new Map(lines.map((line) => [line.id, line]));
    for (const [kind, list] of Object.entries(things))
      for (const thing of list) this.#things.set(thing.id, { kind, thing });
    this.#own = new Map(own);
    for (const change of waiting) this.#wait(change);
    for (const conflict of conflicts)
      this.#conflicts.set(conflict.lineId, [...(this.#conflicts.get(conflict.lineId) ?? []), conflict]);
  }

  /** What was touched, for the store to keep: `own` says what is this device's own of a row. */
  get touched() {
    const { head, lines, things, removed, added, absorbed, conflicts } = this.#touched;
    return {
      head: head ? this.#head : undefined,
      lines: [...lines].flatMap((id) => this.#lines.get(id) ?? []),
      things: [...things].flatMap((id) => this.#things.get(id) ?? []),
      /** Ids of lines and things that are not there any more. */
      removed: [...removed],
      own: this.#own as ReadonlyMap<string, Own>,
      /** Changes that wait from now on, in order. */
      added,
      /** Ids of changes that wait no more, those among them that were added. */
      absorbed: absorbed as ReadonlySet<string>,
      /** Versions by their id; undefined for one that is none any more. */
      conflicts: conflicts as ReadonlyMap<string, KeptConflict | undefined>,
    };
  }

  /** Writes changes down, one after the other. */
  write(whats: readonly LocalWrite[]): readonly Written[] {
    return whats.map((what) => this.#write(what));
  }

  #write(what: LocalWrite): Written {
    const subject = changeSubject(what.change);
    const head = this.#head;
    const line = what.line && this.#lines.get(what.line.id);
    const thing = what.thing && this.#things.get(what.thing.thing.id)?.thing;
    const written = asWritten(what, { head, line, thing });
    const own = (line ?? thing) ? this.#own.get(subject) : undefined;
    const waiting = this.#waitingFor(subject);
    const conflicts = this.#conflicts.get(subject) ?? [];
    if (isWritten(what, line ?? thing, { own, waiting, conflicts })) return { ...written, apart: [subject] };
    const isSameHistory = (what.head?.history ?? head?.history) === head?.history;
    const beside = besideIt(this.#jobId, written, { line, thing, own, isSameHistory, waiting, conflicts });
    if (beside?.conflict) this.#putConflict(beside.conflict);
    if (beside?.agreed !== undefined) this.#dropConflict(subject, beside.agreed);
    if (beside?.beside) {
      const other = this.#write(beside.beside);
      return { ...other, apart: [subject, changeSubject(other.change)] };
    }
    if (beside && !beside.rebased) return { ...written, apart: [subject] };
    const change = beside?.rebased ?? written.change;
    const owned = ownOf({ ...what, change }, { head });
    this.#wait(change);
    this.#touched.added.push(change);
    this.#put(written, owned);
    return { ...written, apart: [] };
  }

  /**
   * Takes the server's word on changes that wait no more.
   * @param results what became of each of `sent`
   */
  settle(sent: readonly Change[], results: readonly ChangeResult[]): Settlement {
    for (const id of neverThere(this.#jobId, sent, results)) {
      const row = this.#lines.get(id) ?? this.#things.get(id)?.thing;
      if (row?.revision !== 0) continue;
      this.#lines.delete(id);
      this.#things.delete(id);
      this.#touched.removed.add(id);
    }
    const met = metOf(results);
    const all = results.flatMap((result) => {
      const subject = resultSubject(result);
      if (subject === undefined) return [];
      const made = settled(this.#jobId, result, {
        head: this.#head,
        line: this.#lines.get(subject),
        thing: 'thing' in result ? this.#things.get(subject)?.thing : undefined,
        conflicts: this.#conflicts.get(subject) ?? [],
        waiting: this.#waitingFor(subject),
        sent,
        met,
      });
      this.#take(subject, made, ownAfter(result, this.#own.get(subject)));
      return [made];
    });
    return settlement(sent, results, all);
  }

  #take(subject: string, made: Settled, own: Own | undefined): void {
    this.#put(made, own);
    if (made.conflict) this.#putConflict(made.conflict);
    if (made.agreed !== undefined) this.#dropConflict(subject, made.agreed);
    if (made.absorbed?.length) {
      for (const id of made.absorbed) this.#touched.absorbed.add(id);
      this.#waiting.set(
        subject,
        this.#waitingFor(subject).filter(({ id }) => made.absorbed?.includes(id) !== true),
      );
    }
    if (made.beside) this.#write(made.beside);
  }

  #put({ head, line, thing }: Pick<LocalWrite, 'head' | 'line' | 'thing'>, own: Own | undefined): void {
    if (head) {
      this.#head = head;
      this.#touched.head = true;
    }
    if (line) {
      this.#lines.set(line.id, line);
      this.#touched.lines.add(line.id);
    }
    if (thing) {
      this.#things.set(thing.thing.id, thing);
      this.#touched.things.add(thing.thing.id);
    }
    for (const id of [line?.id, thing?.thing.id])
      if (id !== undefined && own !== undefined) this.#own.set(id, own);
      else if (id !== undefined) this.#own.delete(id);
  }

  #wait(change: Change): void {
    const subject = changeSubject(change);
    this.#waiting.set(subject, [...this.#waitingFor(subject), change]);
  }

  #waitingFor(subject: string): readonly Change[] {
    return this.#waiting.get(subject) ?? [];
  }

  #putConflict(conflict: KeptConflict): void {
    const { id, lineId } = conflict;
    const others = (this.#conflicts.get(lineId) ?? []).filter((one) => one.id !== id);
    this.#conflicts.set(lineId, [...others, conflict]);
    this.#touched.conflicts.set(id, conflict);
  }

  #dropConflict(lineId: string, id: string): void {
    this.#conflicts.set(
      lineId,
      (this.#conflicts.get(lineId) ?? []).filter((one) => one.id !== id),
    );
    this.#touched.conflicts.set(id, undefined);
  }
}
