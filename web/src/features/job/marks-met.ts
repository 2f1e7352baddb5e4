import { nameFromLabel, renamedIn, type Slate } from '@sprell/core';
import type { Own } from '../../adapters/local/local-store.ts';
import type { JobLines } from './job-marks.ts';

/** A mark that was stored on two devices that did not know of each other's. */
export interface MarksMet {
  /** The lines that store it: ours and the other's. */
  readonly mine: string;
  readonly theirs: string;
  readonly name: string;
  /** What ours is called now; undefined where both stored a mark that there was before, which is one still. */
  readonly mineIs: string | undefined;
}

/** What the marks of the open job are looked through with. */
export interface OwnLines {
  own(id: string): Own | undefined;
  /** A change of ours to it was not answered yet. */
  isPending(id: string): boolean;
}

/**
 * Marks that met: stored here, and on another device before what was stored here came to the server, with neither knowing
 * of the other. Nobody meant the one by the name of the other.
 */
export function marksMet(job: Pick<JobLines, 'slate' | 'lines'>, ours: OwnLines): readonly Omit<MarksMet, 'mineIs'>[] {
  const slate: Slate = job.slate();
  return slate.marks().flatMap(({ name, madeBy }) => {
    const keepers = madeBy.filter(({ operator }) => operator === 'keep').map(({ id }) => id);
    if (keepers.length < 2) return [];
    for (const mine of keepers) {
      const own = ours.own(mine);
      if (own === undefined) continue;
      const revisionOf = (id: string) => job.lines().get(id)?.revision ?? 0;
      const theirs = keepers.find((id) => {
        if (id === mine || ours.own(id) !== undefined || revisionOf(id) <= own.knew) return false;
        return ours.isPending(mine) || revisionOf(id) < revisionOf(mine);
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
  job: JobLines,
  ours: OwnLines,
  { name, mine, theirs }: Omit<MarksMet, 'mineIs'>,
): string | undefined {
  if (ours.own(mine)?.named !== true) return undefined;
  const names = job
    .slate()
    .marks()
    .map((mark) => mark.name);
  const to = nameFromLabel(name, names);
  if (to === undefined) return undefined;
  const met = job.lines().get(theirs)?.revision ?? 0;
  const isOurs = (id: string) => (ours.own(id)?.knew ?? Infinity) < met;
  const rename = (source: string) => renamedIn(source, name, to, job.style());
  for (const line of [...job.lines().values()]) {
    if (line.number === null || !isOurs(line.id)) continue;
    const before = job.shownSource(line);
    const after = rename(before);
    if (after !== before) job.write(line, { ...line, source: job.stored(after) });
  }
  job.rewriteSetOuts((entry) => rename(entry), isOurs);
  return to;
}
