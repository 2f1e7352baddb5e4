/** What helps with an entry in hand once typing rests: apart from the rest, so that a page can load it later. */
export { mended } from './mend.ts';
export { otherSizes } from './other-sizes.ts';
export { otherReadings } from './other-readings.ts';
export type { Alternative } from './alternative.ts';
