import { JIG_GONE } from '../notation/functions.ts';
import { jigsNamedIn, namesIn } from '../notation/names.ts';
import { withPlaces } from '../notation/rewrite.ts';
import { scan, tokensOf, type ScanOptions } from '../notation/scanner.ts';
import { LINE } from '../notation/token.ts';

/**
 * A stored entry holds what it refers to by ids: a line as #{id}, so that one that is renumbered is still the one meant, and
 * a mark as @{id}, so that one that is renamed is, and a jig as %{id}. A person sees and types #4, rail and decking(…). A name
 * that no mark has is stored as it was typed; entries stored before marks had ids hold names.
 */
const STORED = /([#@%])\{([0-9a-f-]{36})\}/g;
const STORED_LINE = /#\{([0-9a-f-]{36})\}/g;
const STORED_JIG = /%\{([0-9a-f-]{36})\}/g;
/** In front of a stored entry: the mark that it makes or posts to. */
const STORED_MADE = /^\s*@\{([0-9a-f-]{36})\}\s*(?:[+\u2212-]?=)(?!=)/;

/** The ids of what an entry refers to, by what a person calls it; undefined for what there is not. */
export interface ReferenceIds {
  lineId(number: number): string | undefined;
  markId(name: string): string | undefined;
  jigId?(name: string): string | undefined;
}

/** What a person calls what an entry refers to, by its id; undefined for what there is not any more. */
export interface ReferenceNames {
  lineNumber(id: string): number | undefined;
  markName(id: string): string | undefined;
  jigName?(id: string): string | undefined;
}

/**
 * The entry as it is stored. A number that no line has, and a name that no mark has, are left as they were typed.
 * @example toStored('#4 + rail', { lineId: () => undefined, markId: () => undefined }) // => '#4 + rail'
 */
export function toStored(source: string, { lineId, markId, jigId }: ReferenceIds, options: ScanOptions = {}): string {
  const lines = source.includes('#')
    ? tokensOf(scan(source, options))
        .filter(({ kind }) => kind === LINE)
        .map(({ start, end }) => ({ start, end, sign: '#', id: lineId(Number(source.slice(start + 1, end))) }))
    : [];
  const marks = namesIn(source, options).map(({ start, end, name }) => ({ start, end, sign: '@', id: markId(name) }));
  const jigs = jigId
    ? jigsNamedIn(source, options).map(({ start, end, name }) => ({ start, end, sign: '%', id: jigId(name) }))
    : [];
  const places = [...lines, ...marks, ...jigs].sort((a, b) => a.start - b.start);
  return withPlaces(source, places, ({ sign, id }) => (id === undefined ? undefined : `${sign}{${id}}`));
}

/** The entry as it is shown. A line that is gone altogether is shown as #0, which no line is; a mark as `mark_gone` and a jig as `jig_gone`, which none is called. */
export function fromStored(stored: string, { lineNumber, markName, jigName }: ReferenceNames): string {
  if (!stored.includes('{')) return stored;
  return stored.replace(STORED, (_, sign: string, id: string) => {
    if (sign === '#') return `#${lineNumber(id) ?? 0}`;
    return sign === '@' ? (markName(id) ?? 'mark_gone') : (jigName?.(id) ?? JIG_GONE);
  });
}

/** Ids of the lines that a stored entry refers to, in order. */
export function storedIds(stored: string): readonly string[] {
  return [...stored.matchAll(STORED_LINE)].map((match) => match[1] as string);
}

/** Ids of the jigs that a stored entry uses, in order. */
export function storedJigs(stored: string): readonly string[] {
  return [...stored.matchAll(STORED_JIG)].map((match) => match[1] as string);
}

/** Id of the mark that a stored entry makes or posts to; undefined where it makes none, or names it still. */
export function storedMade(stored: string): string | undefined {
  return STORED_MADE.exec(stored)?.[1];
}

/** A stored entry with other ids in place of its own, those of lines and of marks: for a copy of a job. */
export function withOtherIds(stored: string, otherId: (id: string) => string): string {
  return stored.replace(STORED, (_, sign: string, id: string) => `${sign}{${otherId(id)}}`);
}
