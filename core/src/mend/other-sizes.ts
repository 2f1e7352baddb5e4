import { otherBareUnits } from '../bare/bare-numbers.ts';
import { reckonTyped, type TypedOptions } from '../bare/reckon-typed.ts';
import { reckon } from '../evaluate/reckon.ts';
import type { Alternative } from './alternative.ts';
import { sameOutcome } from './same-outcome.ts';

/**
 * What is typed with its bare numbers as sizes where they were counts, or the other way round; each is worked out first, and
 * comes to something else.
 * @example otherSizes('2400 * 1200', { bare: 'mm' })[0].entry // => '2400 mm * 1200 ea'
 */
export function otherSizes(typed: string, options: TypedOptions): readonly Alternative[] {
  const now = reckonTyped(typed, options);
  const { outcome: taken } = now;
  if (taken === undefined || now.issue !== undefined) return [];
  return otherBareUnits(typed, options).flatMap((entry) => {
    const { outcome, issue, readBack = entry } = reckon(entry, options);
    if (issue !== undefined || outcome === undefined || sameOutcome(outcome, taken)) return [];
    return [{ start: 0, end: typed.length, entry, label: readBack, taken: `Read as ${now.readBack ?? typed}` }];
  });
}
