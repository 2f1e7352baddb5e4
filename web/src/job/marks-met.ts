import { nameFromLabel, renamedIn } from '@sprell/core';
import type { Ground } from './ground.ts';
import type { HeldEntries } from './held-entries.ts';
import type { SlateLines } from './slate-lines.ts';

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
  readonly held: HeldEntries;
}

/**
 * Marks that met: stored here, and on another device before what was stored here came to the server, with neither knowing
 * of the other. Nobody meant the one by the name of the other.
 */
export function marksMet({ ground, slate }: JobWhereMarksMeet): readonly Omit<MarksMet, 'mineIs'>[] {
  return slate.graph.marks().flatMap(({ name, madeBy }) => {
    const keepers = madeBy.filter(({ operator }) => operator === 'keep').map(({ id }) => id);
    if (keepers.length < 2) return [];
    for (const mine of keepers) {
      const own = ground.own(mine);
      if (own === undefined) continue;
      const revisionOf = (id: string) => slate.get(id)?.revision ?? 0;
      const theirs = keepers.find((id) => {
        if (id === mine || ground.own(id) !== undefined || revisionOf(id) <= own.knew) return false;
        return ground.isPending(mine) || revisionOf(id) < revisionOf(mine);
      });
      if (theirs !== undefined) return [{ name, mine, theirs }];
    }
    return [];
  });
}

/**
 * Gives our mark another name in what was written here, where the name was new on both sides: the sizes here and there
 * stay what they were.
 * @returns the name, or undefined where the mark was there before and is one still
 */
export function setApart(
  { ground, slate, held }: JobWhereMarksMeet,
  { name, mine, theirs }: Omit<MarksMet, 'mineIs'>,
): string | undefined {
  if (ground.own(mine)?.named !== true) return undefined;
  const names = slate.graph.marks().map((mark) => mark.name);
  const to = nameFromLabel(name, names);
  if (to === undefined) return undefined;
  const met = slate.get(theirs)?.revision ?? 0;
  const isMeant = (id: string) => (ground.own(id)?.knew ?? Infinity) < met;
  held.rewrite((entry) => renamedIn(entry, name, to, ground.reading.style), { isMeant, deletedToo: true });
  return to;
}
