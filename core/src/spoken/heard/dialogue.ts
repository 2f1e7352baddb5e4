import { corrected } from './corrections.ts';
import { heardEntry, type HeardEntry } from './entry.ts';
import { wordsOf } from './words.ts';

/** What one phrase of a dialogue comes to. */
export interface Turn extends HeardEntry {
  /** The words that it stands for: those of the phrase before where it corrects that. */
  readonly phrase: string;
  /** It takes the place of what was heard before. */
  readonly corrects: boolean;
}

/** Phrases heard one after the other. Nothing is worked out here: what a turn says is shown, or entered, by who asks. */
export class Dialogue {
  #before: readonly string[] | undefined;

  /** @param names of the marks that there are now */
  hear(phrase: string, names: readonly string[]): Turn {
    const words = wordsOf(phrase).map(({ text }) => text);
    const meant = this.#before && corrected(this.#before, words);
    const said = meant?.join(' ') ?? phrase;
    const heard = heardEntry(said, names);
    // What was not understood is not what the next phrase corrects.
    if (heard.entry !== '' && heard.unknown.length === 0) this.#before = meant ?? words;
    return { ...heard, phrase: said, corrects: meant !== undefined };
  }
}
