/** Phrases that were heard, as the entries they are meant for. */
export { Dialogue, type Turn } from './dialogue.ts';
export { heardEntry, type HeardEntry } from './entry.ts';
export { rankHeard, type Alternative, type RankOptions, type Taken } from './rank.ts';
export type { HeardWord } from './words.ts';
