import { jigFileOf } from '@sprell/contract';
import { sameResult, Slate, storedJigs, type JigProgram, type LineResult } from '@sprell/core';
import { readJig, type JigSet } from '@sprell/core/jig';
import type { Ground, JigAtHand } from './ground.ts';
import type { SlateLines } from './slate-lines.ts';
import { isWorked } from './slate-row.ts';
import type { JobThings } from './things.ts';

/** A jig that the open job has: the one version that its entries use. */
export interface KeptJig {
  readonly id: string;
  /** What entries of this job call it. */
  readonly name: string;
  readonly title: string;
  /** The jig, the same for all of its versions. */
  readonly jig: string;
  readonly version: number;
  readonly set: JigSet | undefined;
}

/** What a line comes to now, and what it would come to by another version of a jig. */
export interface ChangedLine {
  readonly number: number;
  readonly entry: string;
  readonly before: LineResult;
  readonly after: LineResult;
}

/** The jigs of the open job. Each is there because something in the job uses it, in the version that it was used in first. */
export class JobJigs {
  readonly #ground: Ground;
  readonly #slate: SlateLines;
  readonly #things: JobThings;
  readonly #list: { readonly value: readonly KeptJig[] };

  constructor(ground: Ground, slate: SlateLines, things: JobThings) {
    this.#ground = ground;
    this.#slate = slate;
    this.#things = things;
    this.#list = ground.holder.derived(() => {
      // What entries call them is another where the jigs are others.
      void ground.jigs;
      return things.list('jig').map(({ id, name, title, jig, version }) => ({
        ...{ id, title, jig, version },
        name: slate.jigName(id) ?? name,
        set: slate.jigSet(id),
      }));
    });
  }

  get list(): readonly KeptJig[] {
    return this.#list.value;
  }

  /**
   * Makes sure that the job has a jig: entries of it may then use it.
   * @returns what they call it; undefined where it could not be added
   */
  bring(set: JigSet): string | undefined {
    const { jig } = set;
    const here = this.list.find((one) => one.jig === jig.id);
    if (here) return here.name;
    return this.#ground.refusesReader() ? undefined : this.#slate.addJig(set);
  }

  /** Those that the job has not got, and entries may name all the same. */
  get atHand(): readonly { readonly name: string; readonly title: string; readonly set: JigSet }[] {
    return [...this.#ground.jigsAtHand.values()].map(({ set }) => ({ name: set.jig.name, title: set.jig.title, set }));
  }

  /** Jigs that entries of any job may name from now on: those of the account. */
  offer(sets: readonly JigSet[]): void {
    const atHand = new Map<string, JigAtHand>();
    for (const set of sets) {
      const name = set.jig.name.toLowerCase();
      const program = atHand.has(name) ? undefined : readJig(set).program;
      if (program) atHand.set(name, { set, program });
    }
    this.#ground.jigsAtHand = atHand;
  }

  /** Takes another version of a jig for everything in the job that uses it, as one step that can be undone. */
  take(id: string, set: JigSet): void {
    const { version, title } = set.jig;
    this.#things.edit(id, { version, title, file: jigFileOf(set) });
  }

  /** The jig that an entry uses, the first of several, and the version that the account has where that is a newer one. */
  usedBy(source: string): { readonly jig: string; readonly newer: number | undefined } | undefined {
    const [id] = storedJigs(source);
    const kept = id === undefined ? undefined : this.list.find((one) => one.id === id);
    if (kept === undefined) return undefined;
    const own = this.atHand.find(({ set }) => set.jig.id === kept.jig)?.set.jig.version ?? 0;
    return { jig: kept.jig, newer: own > kept.version ? own : undefined };
  }

  /** What would change on the slate if the job took another version of a jig. */
  changedBy(id: string, set: JigSet): readonly ChangedLine[] {
    const name = this.#slate.jigName(id);
    const { program } = readJig(set);
    if (name === undefined || program === undefined) return [];
    const { style } = this.#ground.reading;
    const own = this.#ground.jigs;
    const jigs = new Map(Array.from(own.keys(), (known) => [known, own.get(known) as JigProgram] as const));
    jigs.set(name.toLowerCase(), { ...program, name });
    const other = new Slate({ ...style, jigs });
    const now = this.#slate.freshGraph;
    other.load(now.lines().map(({ line }) => line));
    return now.lines().flatMap(({ line, result }) => {
      const after = other.line(line.id)?.result;
      return after === undefined || sameResult(result, after)
        ? []
        : [{ number: line.number, entry: line.source, before: result, after }];
    });
  }

  /** Numbers of the lines that use a jig of the job, and how many fields of other things do. */
  usersOf(id: string): { readonly lines: readonly number[]; readonly fields: number } {
    const uses = (source: string) => storedJigs(source).includes(id);
    const lines = [...this.#slate.all()]
      .filter((line) => !line.deleted && uses(line.source))
      .filter(isWorked)
      .map(({ number }) => number)
      .sort((a, b) => a - b);
    return { lines, fields: this.#things.entries().filter(({ source }) => uses(source)).length };
  }

  /** Takes a jig out of the job. What still uses it says so. */
  remove(id: string): void {
    this.#things.remove(id);
  }
}
