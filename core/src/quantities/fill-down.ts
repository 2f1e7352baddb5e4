import { namesIn } from '../notation/names.ts';
import { withPlaces } from '../notation/rewrite.ts';
import type { ScanOptions } from '../notation/scanner.ts';

/**
 * A cell as it is filled into another row: other rows that it names are those as far from that row as they are from its own, so
 * that "half of the row above" is half of the row above everywhere. Marks, lines and rows that would lie outside of the list
 * stay.
 * @param names of the rows, as they stand; undefined for one that entries cannot name
 * @param from index of the row that the cell is of
 * @param to index of the row that it is filled into
 * @example filledDown('boards / 2', ['boards', 'joists', 'posts'], 1, 2) // => 'joists / 2'
 */
export function filledDown(
  source: string,
  names: readonly (string | undefined)[],
  from: number,
  to: number,
  options: ScanOptions = {},
): string {
  const indexOf = new Map(names.flatMap((name, at) => (name === undefined ? [] : [[name.toLowerCase(), at] as const])));
  return withPlaces(source, namesIn(source, options), ({ name }) => {
    const at = indexOf.get(name.toLowerCase());
    return at === undefined ? undefined : names[at + to - from];
  });
}
