import { CONFUSIONS } from './confusions.ts';
import { heardEntry, type HeardEntry } from './entry.ts';
import type { Words } from './phrases.ts';
import { wordsOf } from './words.ts';

/** One of the ways in which a recogniser took what was said. */
export interface Alternative {
  readonly text: string;
  /** From 0 to 1, as far as it says. */
  readonly confidence?: number | undefined;
}

/** A way to take what was said, with the words that it stands for. */
export interface Taken extends HeardEntry {
  readonly phrase: string;
  /** Words that were taken for others. */
  readonly changes: number;
}

/** A phrase as it is read, and what tells it from others that come to the same. */
export interface ReadPhrase extends HeardEntry {
  readonly key: string;
  /** It asks for something, and is no entry: that makes sense by itself. */
  readonly isOrder: boolean;
}

export interface RankOptions<Phrase extends ReadPhrase = ReadPhrase> {
  readonly read: (phrase: string) => Phrase;
  /** Whether the entry of a phrase makes sense here: it works out, of kinds that go together. */
  readonly makesSense: (phrase: Phrase) => boolean;
}

/** Phrases read as entries alone. */
export const asEntries =
  (names: readonly string[]): RankOptions['read'] =>
  (phrase) => {
    const heard = heardEntry(phrase, names);
    return { ...heard, key: heard.entry, isOrder: false };
  };

/** Ways that are looked at of one alternative, and how many words may be taken for others. */
const [MOST_WAYS, MOST_CHANGES] = [160, 2];

/**
 * Ways to take what was said, the likeliest first: those that make an entry that makes sense, with as few words as can be taken
 * for others; then those with words that say nothing. Nothing is chosen here.
 */
export function rankHeard<Phrase extends ReadPhrase>(
  alternatives: readonly Alternative[],
  options: RankOptions<Phrase>,
): readonly Taken[] {
  const found = new Map<string, { readonly taken: Taken; readonly cost: number }>();
  for (const [place, { text, confidence = 1 }] of alternatives.entries()) {
    for (const { words, changes } of waysOf(wordsOf(text).map((word) => word.text))) {
      // As it was heard, where nothing is changed: words of a heading keep their capitals.
      const phrase = changes === 0 ? text : words.join(' ');
      const heard = options.read(phrase);
      const cost = changes + place * LATER + (1 - confidence) + costOf(heard, options);
      const before = found.get(heard.key);
      if (before === undefined || cost < before.cost)
        found.set(heard.key, { taken: { ...heard, phrase, changes }, cost });
    }
  }
  return [...found.values()].sort((a, b) => a.cost - b.cost).map(({ taken }) => taken);
}
/** What an alternative is held back by for each that the recogniser put before it. */
const LATER = 0.4;

/** How far an entry is from one that counts. */
function costOf<Phrase extends ReadPhrase>(heard: Phrase, { makesSense }: RankOptions<Phrase>): number {
  const { entry, unknown, isOrder } = heard;
  if (isOrder) return 0;
  if (entry === '') return NOTHING;
  if (unknown.length > 0) return unknown.length * LOST;
  return (makesSense(heard) ? 0 : SENSELESS) + (isOfATape(entry) ? 0 : NO_TAPE);
}
const [NOTHING, LOST, SENSELESS, NO_TAPE] = [40, 8, 6, 2.5];

/** A tape has halves to sixty-fourths, and they are proper. */
function isOfATape(entry: string): boolean {
  return Array.from(entry.matchAll(/(?<num>\d+)\/(?<den>\d+)/g)).every(({ groups }) => {
    const [num, den] = [Number(groups?.['num']), Number(groups?.['den'])];
    return num < den && [2, 3, 4, 8, 10, 16, 32, 64].includes(den);
  });
}

interface Way {
  readonly words: Words;
  readonly changes: number;
}

/** The words as they are, and with up to two of them taken for what they sound like. */
function waysOf(words: Words): readonly Way[] {
  const ways: Way[] = [{ words, changes: 0 }];
  const known = new Set([words.join(' ')]);
  for (let at = 0; at < ways.length && ways.length < MOST_WAYS; at += 1) {
    const way = ways[at] as Way;
    if (way.changes >= MOST_CHANGES) break;
    for (const next of changed(way.words)) {
      const phrase = next.join(' ');
      if (known.has(phrase) || ways.length >= MOST_WAYS) continue;
      known.add(phrase);
      ways.push({ words: next, changes: way.changes + 1 });
    }
  }
  return ways;
}

interface Confusion {
  readonly heard: Words;
  readonly said: Words;
}
/** By the first word that is heard. */
const BY_FIRST: ReadonlyMap<string, readonly Confusion[]> = CONFUSIONS.reduce((all, [heard, said]) => {
  const words = heard.split(' ');
  const first = words[0] ?? '';
  return all.set(first, [...(all.get(first) ?? []), { heard: words, said: said.split(' ') }]);
}, new Map<string, readonly Confusion[]>());

function* changed(words: Words): Generator<Words> {
  for (const [at, word] of words.entries()) {
    for (const { heard, said } of BY_FIRST.get(word) ?? [])
      if (heard.every((one, n) => words[at + n] === one))
        yield [...words.slice(0, at), ...said, ...words.slice(at + heard.length)];
    // "5 16" for five sixteenths.
    const over = words[at + 1] ?? '';
    if (/^\d+$/.test(word) && /^(2|4|8|16|32|64)$/.test(over) && Number(word) < Number(over))
      yield [...words.slice(0, at), `${word}/${over}`, ...words.slice(at + 2)];
  }
}
