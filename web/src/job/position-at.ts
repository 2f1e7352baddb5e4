import { positionBetween, positionsBetween, type LineWire } from '@sprell/contract';
import type { SlateRow } from './slate-row.ts';

/** A place on the slate, and the lines that have to move a little for it. */
export interface Place {
  readonly position: string;
  readonly moved: readonly { readonly line: LineWire; readonly position: string }[];
}

/** Longest key of a place: the server accepts no longer one, and it should not cost more than the line itself. */
const LONGEST = 100;

/**
 * The place above a line, or at the foot. Where there is none, since two devices that were apart gave one to two lines, or
 * where it would be long, after a thousand lines went in at one spot, the lines around get new places: as few as will do.
 */
export function placeAt(rows: readonly SlateRow[], beforeId: string | undefined): Place {
  const index = rows.findIndex(({ line }) => line.id === beforeId);
  const at = index === -1 ? rows.length : index;
  const placeOf = (nth: number) => rows[nth]?.line.position;
  const between = isBetween(placeOf(at - 1), placeOf(at)) ? positionBetween(placeOf(at - 1), placeOf(at)) : undefined;
  if (between !== undefined && between.length <= LONGEST) return { position: between, moved: [] };
  for (let reach = 1; ; reach *= 2) {
    const [from, to] = [Math.max(0, at - reach), Math.min(rows.length, at + reach)];
    if (!isBetween(placeOf(from - 1), placeOf(to))) continue;
    const places = positionsBetween(placeOf(from - 1), placeOf(to), to - from + 1);
    if (to - from < rows.length && places.some(({ length }) => length > LONGEST / 2)) continue;
    const [position] = places.splice(at - from, 1) as [string];
    return {
      position,
      moved: rows.slice(from, to).map(({ line }, nth) => ({ line, position: places[nth] as string })),
    };
  }
}

const isBetween = (before: string | undefined, after: string | undefined) =>
  before === undefined || after === undefined || before < after;
