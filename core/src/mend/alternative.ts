import type { Span } from '../base/span.ts';
import { rewrite } from './rewrite.ts';

/** Another way to read the entry, offered next to the one that was taken. */
export interface Alternative extends Span {
  /** What was taken, in a few words. */
  readonly taken: string;
  readonly label: string;
  readonly entry: string;
}

export const textOf = (source: string, { start, end }: Span): string => source.slice(start, end);

/** Letters that a button has room for. */
const ROOM = 22;

/**
 * The entry with a place written differently. The button shows `around` as it would then be written, or says `otherwise`
 * where that is too long for it.
 */
export function instead(
  source: string,
  place: Span,
  text: string,
  taken: string,
  around: Span,
  otherwise: string,
): readonly Alternative[] {
  const shown = `${source.slice(around.start, place.start)}${text}${source.slice(place.end, around.end)}`.trim();
  const label = shown.length > ROOM ? otherwise : shown;
  return [{ start: place.start, end: place.end, taken, label, entry: rewrite(source, place, text) }];
}
