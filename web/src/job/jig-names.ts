import type { ThingWire } from '@sprell/contract';
import { isTaken, nameFromLabel, type JigProgram, type JigPrograms } from '@sprell/core';
import { readJig, type JigSet } from '@sprell/core/jig';
import { jigOfFile } from './jig-of-file.ts';

/** A jig of the job, made ready. */
interface Known {
  readonly file: string;
  readonly set: JigSet;
  readonly program: JigProgram | undefined;
}

/**
 * The jigs of the open job: what entries call them, and their programs. Entries hold a jig by the id of its thing. Where two
 * have one name, the one that came to the job later shows a number behind it.
 */
export class JigNames {
  #nameOf: ReadonlyMap<string, string> = new Map();
  #idOf: ReadonlyMap<string, string> = new Map();
  #known = new Map<string, Known>();
  #programs: JigPrograms = new Map();
  #said = '';

  /** @returns whether any of them is another than before */
  update(jigs: readonly ThingWire<'jig'>[]): boolean {
    const said = JSON.stringify(jigs.map(({ id, name, file }) => [id, name, file]));
    if (said === this.#said) return false;
    this.#said = said;
    const nameOf = new Map<string, string>();
    const idOf = new Map<string, string>();
    const programs = new Map<string, JigProgram>();
    for (const { id, name, file } of [...jigs].sort((a, b) => (a.revision || LAST) - (b.revision || LAST))) {
      const isFree = !idOf.has(name.toLowerCase()) && !isTaken(name);
      const free = isFree ? name : (nameFromLabel(name, [...idOf.keys()]) ?? name);
      nameOf.set(id, free);
      idOf.set(free.toLowerCase(), id);
      const program = this.#read(id, file)?.program;
      if (program) programs.set(free.toLowerCase(), program.name === free ? program : { ...program, name: free });
    }
    this.#nameOf = nameOf;
    this.#idOf = idOf;
    this.#programs = programs;
    return true;
  }

  /** By the names that entries of the job have for them, in lower case. */
  get programs(): JigPrograms {
    return this.#programs;
  }
  get names(): readonly string[] {
    return [...this.#nameOf.values()];
  }
  nameOf(id: string): string | undefined {
    return this.#nameOf.get(id);
  }
  idOf(name: string): string | undefined {
    return this.#idOf.get(name.toLowerCase());
  }
  setOf(id: string): JigSet | undefined {
    return this.#known.get(id)?.set;
  }

  #read(id: string, file: string): Known | undefined {
    const before = this.#known.get(id);
    if (before?.file === file) return before;
    const set = jigOfFile(file);
    if (set === undefined) return undefined;
    const known = { file, set, program: readJig(set).program };
    this.#known.set(id, known);
    return known;
  }
}

const LAST = Number.MAX_SAFE_INTEGER;
