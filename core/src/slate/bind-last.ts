import type { Entry, Expr } from '../notation/ast.ts';
import { parse } from '../notation/parser.ts';
import type { ScanOptions } from '../notation/scanner.ts';

/**
 * The entry as it lands: `last`, spelled out or meant by a leading ×, ÷ or ^, is bound to the line it stood for and
 * written as #n.
 */
export function bindLast(source: string, number: number, options: ScanOptions = {}): string {
  const { entry } = parse(source, options);
  if (entry === undefined) return source;
  // From the end, so that earlier places stay where they are.
  return lastPlaces(entry)
    .sort((a, b) => b.start - a.start)
    .reduce(
      (text, { start, end }) => `${text.slice(0, start)}#${number}${start === end ? ' ' : ''}${text.slice(end)}`,
      source,
    );
}

function lastPlaces(entry: Entry): Expr[] {
  const places: Expr[] = [];
  const pending: unknown[] = [entry.expr];
  for (let next = pending.pop(); next !== undefined; next = pending.pop()) {
    if (Array.isArray(next)) pending.push(...(next as unknown[]));
    else if (typeof next === 'object' && next !== null) {
      if ((next as Expr).kind === 'last') places.push(next as Expr);
      else pending.push(...Object.values(next as object).filter((part) => typeof part === 'object' && part !== null));
    }
  }
  return places;
}
