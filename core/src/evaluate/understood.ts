import { reckon, type Reckoned, type ReckonOptions } from './reckon.ts';

/** Times that a piece is taken off an entry before it is given up. */
const TRIES = 4;
/** What stands open at the end of a part: operators, brackets, what separates. */
const OPEN_END = /[\s+\-−–×÷*/^(;:=<>,]+$/u;
const LAST_STEP = /[+\-−–×÷*;(][^+\-−–×÷*;(]*$/u;

/**
 * What comes of an entry as far as it is understood: the part in front of what is wrong with it, its brackets closed.
 * @param now an entry with an issue and without a reading
 * @returns undefined where there is no such part, or nothing is wrong
 * @example understood(reckon("5' 3\" + 2 furlongs")).reading.text // => '5′ 3″'
 */
export function understood(now: Reckoned, options: ReckonOptions = {}): Reckoned | undefined {
  const { issue, parsed, outcome } = now;
  if (issue === undefined || outcome !== undefined) return undefined;
  let part = parsed.source.slice(0, issue.start).replace(OPEN_END, '');
  for (let tries = 0; tries < TRIES && part !== ''; tries += 1) {
    const open = part.split('(').length - part.split(')').length;
    const found = reckon(`${part}${')'.repeat(Math.max(0, open))}`, options);
    if (found.reading !== undefined && found.issue === undefined) return found;
    const shorter = part.replace(LAST_STEP, '').replace(OPEN_END, '');
    if (shorter === part) return undefined;
    part = shorter;
  }
  return undefined;
}
