import { reckon, type Reckoned, type ReckonOptions } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { asRead } from './as-read.ts';
import type { Alternative } from './alternative.ts';
import { nearMeanings } from './near-meanings.ts';
import { sameOutcome } from './same-outcome.ts';

/** No more than have room beneath an entry on a phone. */
const MOST = 2;

/**
 * Other ways to read an entry where two meanings are near, each worked out first: none is in error, and none comes to
 * what the entry comes to already. For the entry in hand, once typing rests.
 * @example otherReadings(reckon('-3^2'))[0].entry // => '(-3)^2'
 */
export function otherReadings({ parsed, outcome }: Reckoned, options: ReckonOptions = {}): readonly Alternative[] {
  const { entry, source } = parsed;
  if (entry === undefined || outcome === undefined) return [];
  const others = nearMeanings(entry, source, options.style?.currency ?? DEFAULT_STYLE.currency).filter((other) => {
    const worked = reckon(other.entry, options);
    return worked.issue === undefined && worked.outcome !== undefined && !sameOutcome(worked.outcome, outcome);
  });
  return others.slice(0, MOST).map((other) => ({ ...other, label: asRead(other.label, options.style) }));
}
