import type { LineWire, ThingWire } from '@sprell/contract';
import { nameFromLabel, storedMade } from '@sprell/core';
import type { Ground } from './ground.ts';
import type { SlateLines } from './slate-lines.ts';
import type { JobThings } from './things.ts';

/** A mark that was stored on two devices that did not know of each other's. */
export interface MarksMet {
  /** The lines that store it: ours and the other's. */
  readonly mine: string;
  readonly theirs: string;
  readonly name: string;
  /** What ours is called now; undefined where both stored a mark that there was before, which is one still. */
  readonly mineIs: string | undefined;
}

/** What of the open job marks meet in. */
export interface JobWhereMarksMeet {
  readonly ground: Ground;
  readonly slate: SlateLines;
  readonly things: JobThings;
}

/**
 * Gives our mark another name where one of another device, which did not know of it, came to the server first with the same:
 * sizes and entries here and there stay what they were. And finds marks that both stored, knowing it as one.
 */
export function marksMet(job: JobWhereMarksMeet): readonly MarksMet[] {
  return [...setApart(job), ...storedTwice(job)];
}

function setApart({ ground, slate, things }: JobWhereMarksMeet): readonly MarksMet[] {
  const marks = things.list('mark');
  return twinsAmong(marks).flatMap((twins) => {
    const mine = twins.find(({ id }) => ground.own(id) !== undefined);
    const theirs = mine && twins.find((mark) => isFirst(mark, mine, ground));
    const lines = [mine, theirs].map((mark) => mark && keeperOf(mark.id, slate)?.id);
    if (mine === undefined || lines[0] === undefined || lines[1] === undefined) return [];
    const mineIs = nameFromLabel(
      mine.name,
      marks.map(({ name }) => name),
    );
    if (mineIs === undefined) return [];
    things.write(mine.id, { name: mineIs });
    return [{ name: mine.name, mine: lines[0], theirs: lines[1], mineIs }];
  });
}

/** Marks that were given one name, together. */
function twinsAmong(marks: readonly ThingWire<'mark'>[]): readonly (readonly ThingWire<'mark'>[])[] {
  const byName = new Map<string, ThingWire<'mark'>[]>();
  for (const mark of marks) {
    const key = mark.name.toLowerCase();
    byName.set(key, [...(byName.get(key) ?? []), mark]);
  }
  return [...byName.values()].filter(({ length }) => length > 1);
}

/** The line that stores a mark. */
function keeperOf(markId: string, slate: SlateLines): LineWire | undefined {
  return [...slate.all()].find(({ source, deleted }) => !deleted && storedMade(source) === markId);
}

/** Somebody else's came to the server after what this device knew when it wrote its own, and before that. */
function isFirst(
  theirs: { readonly id: string; readonly revision: number },
  mine: { readonly id: string; readonly revision: number },
  ground: Ground,
): boolean {
  const own = ground.own(mine.id);
  if (own === undefined || theirs.id === mine.id || ground.own(theirs.id) !== undefined) return false;
  if (theirs.revision <= own.knew) return false;
  return ground.isPending(mine.id) || theirs.revision < mine.revision;
}

/** One mark, stored by lines of two devices that did not know of each other's. */
function storedTwice({ ground, slate }: JobWhereMarksMeet): readonly MarksMet[] {
  return slate.graph.marks().flatMap(({ name, madeBy }): readonly MarksMet[] => {
    const keepers = madeBy.filter(({ operator }) => operator === 'keep').flatMap(({ id }) => slate.get(id) ?? []);
    for (const mine of keepers) {
      const theirs = keepers.find((line) => isFirst(line, mine, ground));
      if (theirs) return [{ name, mine: mine.id, theirs: theirs.id, mineIs: undefined }];
    }
    return [];
  });
}
