import { corrected } from './corrections.ts';
import { heardEntry, type HeardEntry } from './entry.ts';
import { readHeardNumber } from './numbers.ts';
import { orderOf, type Order } from './orders.ts';
import { BETWEEN, phraseAt, type Words } from './phrases.ts';
import { wordsOf, type HeardWord } from './words.ts';

/** A field that can be filled by its name. */
export interface SaidField {
  readonly id: string;
  /** What it is called, in words; any of them will do. */
  readonly names: readonly string[];
}

/** What there is to name, where a phrase is said. */
export interface Surroundings {
  /** Of the marks. */
  readonly names: readonly string[];
  /** Of the screen. */
  readonly fields?: readonly SaidField[];
}

/** Where an entry is meant to go. */
export type Goes =
  | { readonly to: 'slate' }
  /** In the place of the entry of a line. */
  | { readonly to: 'line'; readonly number: number }
  | { readonly to: 'field'; readonly id: string };

/** What one phrase of a dialogue comes to. */
export interface Turn extends HeardEntry {
  /** The words that it stands for: those of the phrase before where it corrects that. */
  readonly phrase: string;
  /** It takes the place of what was heard before. */
  readonly corrects: boolean;
  readonly goes: Goes;
  /** It asks for something, and is no entry. */
  readonly order?: Order | undefined;
}

const ON_SLATE: Goes = { to: 'slate' };

/** Phrases heard one after the other. Nothing is worked out here: what a turn says is shown, or entered, by who asks. */
export class Dialogue {
  #before: readonly string[] | undefined;

  hear(phrase: string, surroundings: Surroundings): Turn {
    const { turn, words } = this.#turn(phrase, surroundings);
    // What was not understood is not what the next phrase corrects.
    if (turn.entry !== '' && turn.unknown.length === 0) this.#before = words;
    return turn;
  }

  /** What a phrase would come to. */
  wouldHear(phrase: string, surroundings: Surroundings): Turn {
    return this.#turn(phrase, surroundings).turn;
  }

  #turn(phrase: string, { names, fields = [] }: Surroundings): { readonly turn: Turn; readonly words: Words } {
    const heard = wordsOf(phrase);
    const words = heard.map(({ text }) => text);
    const order = orderOf(phrase, heard);
    if (order !== undefined)
      return { turn: { entry: '', unknown: [], phrase, corrects: false, goes: ON_SLATE, order }, words };
    const meant = this.#before && corrected(this.#before, words);
    const said = meant?.join(' ') ?? phrase;
    const place = placeOf(meant ?? words, fields);
    const turn = { ...this.#entry(said, place, names), phrase: said, corrects: meant !== undefined };
    return { turn, words: meant ?? words };
  }

  /** What was said last is not to be corrected any more: it was deleted, or left. */
  forget(): void {
    this.#before = undefined;
  }

  #entry(said: string, place: Place | undefined, names: readonly string[]): HeardEntry & { readonly goes: Goes } {
    if (place !== undefined) {
      const heard = wordsOf(said);
      const from = heard[place.next]?.start ?? said.length;
      const inPlace = heardEntry(said.slice(from), names);
      const isMeant = inPlace.entry !== '' && phraseAt(wordsIn(heard, place.next), 0, BETWEEN) === undefined;
      if (isMeant) return { entry: inPlace.entry, unknown: shifted(inPlace.unknown, from), goes: place.goes };
    }
    return { ...heardEntry(said, names), goes: ON_SLATE };
  }
}

const wordsIn = (heard: readonly HeardWord[], from: number): Words => heard.slice(from).map(({ text }) => text);
const shifted = (words: readonly HeardWord[], by: number): readonly HeardWord[] =>
  words.map(({ text, start, end }) => ({ text, start: start + by, end: end + by }));

interface Place {
  readonly goes: Goes;
  /** Where what is to go there begins. */
  readonly next: number;
}

/** "Change line four to eight foot two", "the run is fourteen foot eight", "run fourteen foot eight". */
function placeOf(words: Words, fields: readonly SaidField[]): Place | undefined {
  const isChange = /^(change|make|set)$/.test(words[0] ?? '');
  const start = isChange ? 1 : 0;
  const at = words[start] === 'the' ? start + 1 : start;
  if (isChange && words[at] === 'line') {
    const number = readHeardNumber(words, at + 1);
    if (number?.form !== 'whole') return undefined;
    return { goes: { to: 'line', number: Number(number.text) }, next: behindIs(words, number.next) };
  }
  const field = longestField(words, at, fields);
  return field && { goes: { to: 'field', id: field.id }, next: behindIs(words, field.next) };
}

function behindIs(words: Words, at: number): number {
  return /^(is|to|as|of|at|equals|=)$/.test(words[at] ?? '') ? at + 1 : at;
}

/** The field with the longest name that stands at a place. */
function longestField(words: Words, at: number, fields: readonly SaidField[]) {
  let found: { readonly id: string; readonly next: number } | undefined;
  for (const { id, names } of fields)
    for (const name of names) {
      const next = phraseAt(words, at, [[name, id]])?.next;
      if (next !== undefined && next > (found?.next ?? 0)) found = { id, next };
    }
  return found;
}
