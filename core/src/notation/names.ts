import type { Span } from '../base/span.ts';
import type { Entry, MarkReference } from './ast.ts';
import { labelColon } from './label.ts';
import { isTaken, parse } from './parser.ts';
import { nodesOf } from './parts.ts';
import { scan, type ScanOptions } from './scanner.ts';
import { ASSIGNMENT_SIGNS, END, NAME, OPEN, WORD } from './token.ts';

/** A word of an entry that stands as the name of a mark, whether there is one or not. */
export interface NamedPlace extends Span {
  readonly name: string;
  /** In front, as the mark that the entry makes or posts to: the end of the sign behind it. Undefined for a source. */
  readonly signEnd: number | undefined;
}

/**
 * The names in an entry, in the order they stand; its label has none.
 * @example namesIn('rail += 2 post').map(({ name }) => name) // => ['rail', 'post']
 */
export function namesIn(source: string, options: ScanOptions = {}): readonly NamedPlace[] {
  if (!/\p{L}/u.test(source)) return [];
  const { entry, issues } = parse(source, options);
  return entry !== undefined && issues.length === 0 ? namesRead(source, entry) : namesSeen(source, options);
}

/** As the reader reads them. */
function namesRead(source: string, { assignment, expr }: Entry): readonly NamedPlace[] {
  const places: NamedPlace[] = [];
  if (assignment) {
    const { start, end, name } = assignment;
    places.push({ start, end: start + name.length, name, signEnd: end });
  }
  for (const node of nodesOf(expr)) if (node.kind === 'mark') places.push(placeOf(source, node));
  return places.sort((a, b) => a.start - b.start);
}

/** The place of a mark takes in the brackets around it. */
function placeOf(source: string, { start, name }: MarkReference): NamedPlace {
  const at = source.indexOf(name, start);
  return { start: at, end: at + name.length, name, signEnd: undefined };
}

/** In an entry that cannot be read: every word that could be a name. `rail =` alone is Enter behind one. */
function namesSeen(source: string, options: ScanOptions): readonly NamedPlace[] {
  const { count, kinds, starts, ends } = scan(source, options);
  const label = (labelColon(source) ?? -1) + 1;
  const places: NamedPlace[] = [];
  let isFirst = true;
  for (let at = 0; at < count; at += 1) {
    const [start, end] = [starts[at] as number, ends[at] as number];
    if (start < label) continue;
    const name = source.slice(start, end);
    const isMade = isFirst && ASSIGNMENT_SIGNS.has(kinds[at + 1] as number) && kinds[at + 2] !== END;
    if (kinds[at + 1] === OPEN && options.jigs?.get(name.toLowerCase())) continue;
    if (kinds[at] === NAME || (kinds[at] === WORD && !isTaken(name.replace(/\.$/, ''))))
      places.push({ start, end, name, signEnd: isMade ? ends[at + 1] : undefined });
    isFirst = false;
  }
  return places;
}

/** Where an entry names a jig: the word before the bracket. Of an entry that cannot be read as well. */
export function jigsNamedIn(source: string, options: ScanOptions): readonly (Span & { readonly name: string })[] {
  if (!options.jigs?.size || !source.includes('(')) return [];
  const { count, kinds, starts, ends } = scan(source, options);
  const places: (Span & { readonly name: string })[] = [];
  for (let at = 0; at + 1 < count; at += 1) {
    if ((kinds[at] !== WORD && kinds[at] !== NAME) || kinds[at + 1] !== OPEN) continue;
    const [start, end] = [starts[at] as number, ends[at] as number];
    const name = source.slice(start, end);
    if (options.jigs.get(name.toLowerCase())) places.push({ start, end, name });
  }
  return places;
}
