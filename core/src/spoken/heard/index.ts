/** Phrases that were heard, as the entries they are meant for. */
export { Dialogue, type Goes, type SaidField, type Surroundings, type Turn } from './dialogue.ts';
export { heardEntry, type HeardEntry } from './entry.ts';
export type { Order, PlainOrder } from './orders.ts';
export { asEntries, rankHeard, type Alternative, type RankOptions, type Taken } from './rank.ts';
export type { HeardWord } from './words.ts';
