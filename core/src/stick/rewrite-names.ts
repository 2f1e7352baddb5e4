import { labelColon } from '../notation/label.ts';
import { scan, type ScanOptions } from '../notation/scanner.ts';
import { ASSIGNMENT_SIGNS, END, WORD, type TokenTable } from '../notation/token.ts';

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
  const table = scan(source, options);
  const { count, starts, ends } = table;
  const label = labelEnd(source);
  for (let at = 0; at < count; at += 1) {
    if ((starts[at] as number) < label) continue;
    if (!makesMark(table, at)) return source;
    const rest = source.slice(ends[at + 1]).trim();
    return `${source.slice(0, label)} ${rest}`.trim();
  }
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
  const table = scan(source, options);
  const { count, kinds, starts, ends } = table;
  const label = labelEnd(source);
  let text = '';
  let done = 0;
  for (let at = 0; at < count; at += 1) {
    const [start, end] = [starts[at] as number, ends[at] as number];
    if (kinds[at] !== WORD || start < label || source.slice(start, end).toLowerCase() !== wanted) continue;
    const word = written(makesMark(table, at));
    if (word === undefined) continue;
    text += source.slice(done, start) + word;
    done = end;
  }
  return text + source.slice(done);
}

/** Where what follows the label begins. */
function labelEnd(source: string): number {
  return (labelColon(source) ?? -1) + 1;
}

/** Whether a word is a mark being made or posted to. `rail =` alone is Enter behind a name. */
function makesMark({ kinds }: TokenTable, at: number): boolean {
  return kinds[at] === WORD && ASSIGNMENT_SIGNS.has(kinds[at + 1] as number) && kinds[at + 2] !== END;
}
