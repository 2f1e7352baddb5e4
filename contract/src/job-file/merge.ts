import { withOtherIds } from '@sprell/core';
import type { LineWire } from '../wire/line.ts';
import type { Content, Kind, Thing } from '../kinds/kind.ts';
import { eachText } from '../kinds/each-text.ts';
import { KINDS } from '../kinds/registry.ts';
import { contentOf, isSameContent } from '../kinds/thing.ts';
import type { JobInside } from './job-file-text.ts';
import { Keys } from './keys.ts';

/** A line that is only in the other job. */
export interface AddedLine {
  /** As it stands there. */
  readonly from: LineWire;
  /** As it would stand here. */
  readonly line: LineWire;
}
/** A line that says something else in the other job. */
export interface ChangedLine {
  readonly from: LineWire;
  readonly before: LineWire;
  readonly after: Pick<LineWire, 'label' | 'source' | 'note'>;
}
export interface AddedThing {
  readonly kind: string;
  readonly id: string;
  readonly content: Content;
}
export interface ChangedThing {
  readonly kind: string;
  readonly before: Thing;
  readonly content: Content;
}

/** What another job would bring into one: by the ids that it would have there. What only this one has stays as it is. */
export interface Merge {
  /** In their order, with the numbers that they would get. */
  readonly addedLines: readonly AddedLine[];
  readonly changedLines: readonly ChangedLine[];
  readonly addedThings: readonly AddedThing[];
  readonly changedThings: readonly ChangedThing[];
  /** How many lines and things are in both, and say the same. */
  readonly same: number;
}

/**
 * Compares another job with one. A line is the same line where it has the number and either the label or the entry; a thing,
 * where it has the kind and the name. What is in both and differs is changed to what the other one says.
 * @param nextNumber of the lines that are added
 * @param newId gives an id of version 7, a later one each time
 */
export function mergeOf(mine: JobInside, theirs: JobInside, nextNumber: number, newId: () => string): Merge {
  return new Merger(mine, theirs, newId).merge(nextNumber);
}

class Merger {
  readonly #mine: JobInside;
  readonly #theirs: JobInside;
  readonly #newId: () => string;
  /** By the ids of the other job. */
  readonly #ids = new Map<string, string>();
  readonly #lines = new Map<string, LineWire>();
  readonly #things = new Map<string, Thing>();

  constructor(mine: JobInside, theirs: JobInside, newId: () => string) {
    this.#mine = mine;
    this.#theirs = theirs;
    this.#newId = newId;
  }

  merge(nextNumber: number): Merge {
    this.#pairThings();
    this.#pairLines();
    const [addedLines, changedLines] = [[] as AddedLine[], [] as ChangedLine[]];
    const [addedThings, changedThings] = [[] as AddedThing[], [] as ChangedThing[]];
    let same = 0;
    for (const kind of KINDS)
      for (const thing of standing(this.#theirs.things[kind.name] ?? [])) {
        const content = this.#contentHere(kind, thing);
        const before = this.#things.get(thing.id);
        if (before === undefined) addedThings.push({ kind: kind.name, id: this.#idHere(thing.id), content });
        else if (isSameContent(withoutPlace(contentOf(before)), content)) same += 1;
        else changedThings.push({ kind: kind.name, before, content });
      }
    let number = nextNumber;
    for (const line of standing(this.#theirs.lines)) {
      const before = this.#lines.get(line.id);
      const after = { label: line.label, source: this.#here(line.source), note: line.note };
      if (before === undefined) {
        const id = this.#idHere(line.id);
        addedLines.push({ from: line, line: { ...line, ...after, id, number: line.number === null ? null : number } });
        if (line.number !== null) number += 1;
      } else if (before.label === after.label && before.source === after.source && before.note === after.note)
        same += 1;
      else changedLines.push({ from: line, before, after });
    }
    return { addedLines, changedLines, addedThings, changedThings, same };
  }

  /** The id that something of the other job has here. */
  #idHere(id: string): string {
    const known = this.#ids.get(id) ?? this.#newId();
    this.#ids.set(id, known);
    return known;
  }
  readonly #here = (entry: string): string => withOtherIds(entry, (id) => this.#idHere(id));

  #contentHere({ entries, refers = [] }: Kind, thing: Thing): Content {
    const content = withoutPlace(contentOf(thing));
    return {
      ...content,
      ...Object.fromEntries(entries.map((field) => [field, eachText(content[field], this.#here)])),
      ...Object.fromEntries(refers.map((field) => [field, eachText(content[field], (id) => this.#idHere(id))])),
    };
  }

  #pairThings(): void {
    const [mine, theirs] = [this.#mine, this.#theirs].map(({ lines, things }) => new Keys(lines, things).things);
    for (const { name } of KINDS) {
      const here = new Map(mine?.get(name)?.map(({ key, thing }) => [key, thing]));
      for (const { key, thing } of theirs?.get(name) ?? []) {
        const found = here.get(key);
        if (found === undefined) continue;
        this.#ids.set(thing.id, found.id);
        this.#things.set(thing.id, found);
      }
    }
  }

  #pairLines(): void {
    const numbered = new Map(
      standing(this.#mine.lines).flatMap((line) => (line.number === null ? [] : [[line.number, line]])),
    );
    const words = standing(this.#mine.lines).filter(({ number }) => number === null);
    const likely = new Map(this.#ids);
    for (const { id, number } of standing(this.#theirs.lines)) {
      const found = number === null ? undefined : numbered.get(number);
      if (found) likely.set(id, found.id);
    }
    const asLikely = (entry: string) => withOtherIds(entry, (id) => likely.get(id) ?? id);
    for (const line of standing(this.#theirs.lines)) {
      const { id, number, label, source } = line;
      if (number === null) {
        const at = words.findIndex((one) => one.kind === line.kind && one.label === label && one.note === line.note);
        const [found] = at === -1 ? [] : words.splice(at, 1);
        if (found) this.#pair(id, found);
        continue;
      }
      const found = numbered.get(number);
      if (found && ((label !== null && label === found.label) || asLikely(source) === found.source))
        this.#pair(id, found);
    }
  }
  #pair(id: string, found: LineWire): void {
    this.#ids.set(id, found.id);
    this.#lines.set(id, found);
  }
}

const standing = <One extends { readonly deleted: boolean }>(list: readonly One[]): readonly One[] =>
  list.filter(({ deleted }) => !deleted);

/** Where it stands in a list is each job's own. */
function withoutPlace({ position: _position, ...content }: Content): Content {
  return content;
}
