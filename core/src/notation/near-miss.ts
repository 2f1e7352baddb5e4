import { FUNCTIONS } from './functions.ts';

/** How many letters may be wrong in a word before a guess is worth less than silence. */
function allowance(word: string): number {
  return word.length <= 4 ? 1 : word.length <= 7 ? 2 : 3;
}

/**
 * Edits that turn one word into the other: a letter put in, left out, changed, or two neighbours swapped
 * (the restricted Damerau–Levenshtein distance). `limit` bounds the work; anything past it counts as limit + 1.
 */
export function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1;
  const rows: number[][] = [Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const above = rows[i - 1] as number[];
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(
        (above[j] as number) + 1,
        (row[j - 1] as number) + 1,
        (above[j - 1] as number) + (same ? 0 : 1),
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, ((rows[i - 2] as number[])[j - 2] as number) + 1);
      row.push(best);
    }
    rows.push(row);
  }
  return Math.min((rows[a.length] as number[])[b.length] as number, limit + 1);
}

/** The word nearest to `word`, if one is near enough; the first of equals. */
export function nearestOf(word: string, candidates: Iterable<string>): string | undefined {
  const wanted = word.toLowerCase();
  if (wanted.length === 1) return undefined;
  let least = allowance(wanted) + 1;
  let best: string | undefined;
  for (const candidate of candidates) {
    // One letter is never a near miss: that would turn every a into a g.
    if (candidate.length === 1 && wanted.length <= 2) continue;
    const distance = editDistance(wanted, candidate.toLowerCase(), least - 1);
    if (distance < least) {
      least = distance;
      best = candidate;
    }
  }
  return best;
}

/** The function that a word in front of a bracket was most likely meant for. */
export function nearestFunction(word: string): string | undefined {
  return nearestOf(word, Object.keys(FUNCTIONS));
}
