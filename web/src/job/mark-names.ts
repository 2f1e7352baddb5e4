import type { ThingWire } from '@sprell/contract';
import { isTaken, nameFromLabel, namesIn, type ReadingStyle } from '@sprell/core';
import { v5, v7 } from 'uuid';

/** What the names of marks are taken from. */
export interface Named {
  readonly marks: readonly ThingWire<'mark'>[];
  /** Those of them that a line makes, which is not deleted. */
  isMade(id: string): boolean;
}

/**
 * What the marks of the open job are called. Entries hold a mark by its id, and show its name. Where two marks were given the
 * same name, on devices that did not know of each other, the one that came to the server later shows a number behind it.
 */
export class MarkNames {
  #byId: ReadonlyMap<string, string> = new Map();
  #byName: ReadonlyMap<string, string> = new Map();
  #hasOldOnes = false;
  #hasTwins = false;

  /** @returns ids of marks that are called otherwise than before, new ones among them */
  update({ marks, isMade }: Named): ReadonlySet<string> {
    const byId = new Map<string, string>();
    const byName = new Map<string, string>();
    for (const { id, name } of [...marks].sort(inTurn(isMade))) {
      const free = byName.has(name.toLowerCase()) ? (nameFromLabel(name, [...byName.keys()]) ?? name) : name;
      byId.set(id, free);
      byName.set(free.toLowerCase(), id);
    }
    const before = this.#byId;
    this.#byId = byId;
    this.#byName = byName;
    this.#hasOldOnes = marks.some(({ id }) => isOldMark(id));
    this.#hasTwins = new Set(marks.map(({ name }) => name.toLowerCase())).size < marks.length;
    return new Set([...byId].filter(([id, name]) => before.get(id) !== name).map(([id]) => id));
  }

  /** Two marks were given the same name. */
  get hasTwins(): boolean {
    return this.#hasTwins;
  }

  nameOf(id: string): string | undefined {
    return this.#byId.get(id);
  }
  /** The mark of a name, however it is written. */
  idOf(name: string): string | undefined {
    return this.#byName.get(name.toLowerCase());
  }

  /** Names that are words of the language as well, which learned them later; in lower case. */
  get words(): readonly string[] {
    return [...this.#byName.keys()].filter(isTaken);
  }

  /** An entry from before marks had ids, with its marks as they are called now. */
  today(entry: string, jobId: string | undefined, style: ReadingStyle): string {
    if (!this.#hasOldOnes || jobId === undefined) return entry;
    // The language may have learned a word that was the name of one then.
    const names = { size: 1, has: (word: string) => this.#byId.has(oldMarkId(jobId, word)) };
    let text = entry;
    for (const { start, end, name } of [...namesIn(entry, { ...style, names })].reverse()) {
      const now = this.#byId.get(oldMarkId(jobId, name));
      if (now !== undefined && now.toLowerCase() !== name.toLowerCase())
        text = text.slice(0, start) + now + text.slice(end);
    }
    return text;
  }
}

const LAST = Number.MAX_SAFE_INTEGER;
/** Marks that lines make first, then in the order they came to the server; those that are not there yet last. */
const inTurn = (isMade: (id: string) => boolean) => (a: ThingWire<'mark'>, b: ThingWire<'mark'>) =>
  Number(isMade(b.id)) - Number(isMade(a.id)) || (a.revision || LAST) - (b.revision || LAST) || (a.id < b.id ? -1 : 1);

/** An id for a mark of its own. */
export const newMarkId = (): string => v7();

/**
 * The id of a mark that lines name still, from before marks had ids: the same on every device and on the server, whichever
 * gives it first (a version 5 id, RFC 9562, 5.5).
 */
export const oldMarkId = (jobId: string, name: string): string => v5(name.toLowerCase(), jobId);
export const isOldMark = (id: string): boolean => id[14] === '5';
