/** What is offered above the letters for the word being written: a touch writes the rest of it. */
import { insert, type EntryText } from './edits.ts';
import { allNames, namings, type NamedMark, type Suggestion } from './suggestions.ts';

export interface Offer {
  readonly label: string;
  /** The size of a mark. */
  readonly reading?: string | undefined;
  /** What it is, for who hears it. */
  readonly about: string;
  readonly take: (entry: EntryText) => EntryText;
}

const MOST = 12;
const WORD = /\p{L}[\p{L}\p{N}_]*$/u;

/** Offers for what stands before the cursor; where no word is begun, the marks and the words of the notation. */
export function offersFor(entry: EntryText, marks: readonly NamedMark[], labels: readonly string[]): readonly Offer[] {
  const said = entry.text.slice(0, entry.from);
  const begun = WORD.exec(said)?.[0] ?? '';
  const typed = begun.toLowerCase();
  const words = allNames(marks).filter((word) => isFoundBy(word, typed) && word.label !== begun);
  return [
    ...words.slice(0, MOST).map((word) => offer(word, begun.length)),
    ...namings(entry.text, entry.from, labels).map((name) => offer(name, said.trimStart().length)),
  ];
}

/** A word that is shown otherwise than it is found, a jig, is found by any of its words. */
function isFoundBy({ label, displayLabel }: Suggestion, typed: string): boolean {
  const words = displayLabel === undefined ? [label] : typed === '' ? [] : label.split(' ');
  return words.some((word) => word.toLowerCase().startsWith(typed));
}

function offer({ label: foundBy, displayLabel, reading, info, apply }: Suggestion, replaces: number): Offer {
  const label = displayLabel ?? foundBy;
  const written = typeof apply === 'string' ? apply : label;
  const take = ({ text, from, to }: EntryText) => insert({ text, from: from - replaces, to }, written);
  return { label, reading, about: typeof info === 'string' ? info : '', take };
}
