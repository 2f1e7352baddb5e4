import { namesIn } from '../notation/names.ts';
import { withPlaces } from '../notation/rewrite.ts';
import type { ScanOptions } from '../notation/scanner.ts';

/**
 * An entry with a mark called otherwise, wherever the entry names it: as a source, and in front as the mark it makes.
 * The label stays as it is.
 * @example renamedIn('rail += 2 post', 'post', 'stud') // => 'rail += 2 stud'
 */
export function renamedIn(source: string, from: string, to: string, options: ScanOptions = {}): string {
  return rewritten(source, from, options, () => to);
}

/**
 * An entry with the value of a mark in place of its name, so that its result stays when the mark goes. A line that
 * itself makes the mark or posts to it keeps the name in front.
 * @param value an entry of the exact value
 * @example valueForMark('2 * rail', 'rail', `4' 2"`) // => `2 * (4' 2")`
 */
export function valueForMark(source: string, name: string, value: string, options: ScanOptions = {}): string {
  return rewritten(source, name, options, (isMade) => (isMade ? undefined : `(${value})`));
}

/** A line that makes a mark or posts to it, without that: `rail = 4' 2"` is `4' 2"`. Any other entry stays as it is. */
export function withoutAssignment(source: string, options: ScanOptions = {}): string {
  for (const { start, signEnd } of namesIn(source, options))
    if (signEnd !== undefined) return `${source.slice(0, start).trim()} ${source.slice(signEnd).trim()}`.trim();
  return source;
}

function rewritten(
  source: string,
  name: string,
  options: ScanOptions,
  written: (isMade: boolean) => string | undefined,
): string {
  const wanted = name.toLowerCase();
  if (!source.toLowerCase().includes(wanted)) return source;
  const places = namesIn(source, options).filter((place) => place.name.toLowerCase() === wanted);
  return withPlaces(source, places, ({ signEnd }) => written(signEnd !== undefined));
}
