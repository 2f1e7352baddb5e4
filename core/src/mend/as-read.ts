import { parse } from '../notation/parser.ts';
import { printEntry, type PrintOptions } from '../notation/printer.ts';

/** What a button says: a piece of an entry as its read-back writes it, with real fractions; any other words as they are. */
export function asRead(words: string, options: PrintOptions = {}): string {
  const { entry, issues } = parse(words, options);
  return entry === undefined || issues.length > 0 ? words : printEntry(entry, options);
}
