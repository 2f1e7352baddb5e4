import { scan, type ScanOptions } from '../notation/scanner.ts';
import { LINE } from '../notation/token.ts';

/**
 * A stored entry holds each reference to a line as #{id}, so that a line that is renumbered is still the one meant. A
 * person sees and types #4.
 */
const STORED = /#\{([0-9a-f-]{36})\}/g;

/** The entry as it is stored. A number that no line has is left as it was typed. */
export function toStored(
  source: string,
  idOf: (number: number) => string | undefined,
  options: ScanOptions = {},
): string {
  if (!source.includes('#')) return source;
  const { count, kinds, starts, ends, values } = scan(source, options);
  let stored = '';
  let done = 0;
  for (let index = 0; index < count; index += 1) {
    const id = kinds[index] === LINE ? idOf(values[index] as number) : undefined;
    if (id === undefined) continue;
    stored += `${source.slice(done, starts[index])}#{${id}}`;
    done = ends[index] as number;
  }
  return stored + source.slice(done);
}

/** The entry as it is shown. A line that is gone altogether is shown as #0, which no line is. */
export function fromStored(stored: string, numberOf: (id: string) => number | undefined): string {
  return stored.replace(STORED, (_, id: string) => `#${numberOf(id) ?? 0}`);
}

/** Ids that a stored entry refers to, in order. */
export function storedIds(stored: string): readonly string[] {
  return [...stored.matchAll(STORED)].map((match) => match[1] as string);
}
