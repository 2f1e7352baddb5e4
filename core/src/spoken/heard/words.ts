/** One word of what was heard, in lower case, with its place in the phrase. */
export interface HeardWord {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** A number as a recogniser writes it: 9, 7.25, 1,250, 5/16, ½. A prime may stand behind it. */
const FIGURES = String.raw`\d+(?:,\d{3})*(?:\.\d+)?(?:[/⁄]\d+)?|\.\d+|[¼½¾⅛⅜⅝⅞]`;
const WORD = new RegExp(String.raw`${FIGURES}|\p{L}+(?:['’]\p{L}+)?|['′’"″%°$+×÷*/=#]`, 'gu');

/**
 * The words of a phrase. Hyphens, commas and full stops part words and mean nothing.
 * @example wordsOf('three-quarters, please').map(({ text }) => text) // => ['three', 'quarters', 'please']
 */
export function wordsOf(phrase: string): readonly HeardWord[] {
  return Array.from(phrase.matchAll(WORD), ({ 0: text, index }) => ({
    text: text.toLowerCase().replace('’', "'"),
    start: index,
    end: index + text.length,
  }));
}
