import { FUNCTION_WORDS, type SpokenFunction } from '../function-words.ts';

/** Ways of saying what an entry writes by signs, and finding them among words. */

export type Words = readonly string[];
/** What a rule makes of the words from a place on. */
export interface Read {
  readonly text: string;
  /** The first word that is no part of it. */
  readonly next: number;
}
/** Words that belong together, and what they stand for. */
export type Phrases<Kind> = readonly (readonly [words: string, kind: Kind])[];

/** The first of several phrases that stands at a place. */
export function phraseAt<Kind>(
  words: Words,
  at: number,
  phrases: Phrases<Kind>,
): { readonly kind: Kind; readonly next: number } | undefined {
  const first = words[at];
  if (first === undefined) return undefined;
  for (const { wanted, kind } of byFirstWord(phrases).get(first) ?? [])
    if (wanted.every((word, n) => words[at + n] === word)) return { kind: kind as Kind, next: at + wanted.length };
  return undefined;
}

type ByFirstWord = ReadonlyMap<string, readonly { readonly wanted: Words; readonly kind: unknown }[]>;
/** Each table taken apart once: phrases are looked for at every word. */
const TAKEN_APART = new WeakMap<Phrases<unknown>, ByFirstWord>();
function byFirstWord(phrases: Phrases<unknown>): ByFirstWord {
  const known = TAKEN_APART.get(phrases);
  if (known !== undefined) return known;
  const made = new Map<string, { readonly wanted: Words; readonly kind: unknown }[]>();
  for (const [phrase, kind] of phrases) {
    const wanted = phrase.split(' ');
    const [first = ''] = wanted;
    made.set(first, [...(made.get(first) ?? []), { wanted, kind }]);
  }
  TAKEN_APART.set(phrases, made);
  return made;
}

/** Operations between two values, the longest first. */
export const BETWEEN: Phrases<'+' | '−' | '×' | '÷' | 'of'> = [
  ['multiplied by', '×'],
  ['multiply by', '×'],
  ['times by', '×'],
  ['divided by', '÷'],
  ['divide by', '÷'],
  ['added to', '+'],
  ['together with', '+'],
  ['take away', '−'],
  ['takeaway', '−'],
  ['mine us', '−'],
  ['plus', '+'],
  ['add', '+'],
  ['minus', '−'],
  ['less', '−'],
  ['subtract', '−'],
  ['times', '×'],
  ['by', '×'],
  ['over', '÷'],
  ['divide', '÷'],
  ['of', 'of'],
  ['+', '+'],
  ['−', '−'],
  ['×', '×'],
  ['*', '×'],
  ['x', '×'],
  ['÷', '÷'],
  ['/', '÷'],
];

/** What is done to the result before when it is named behind the word. */
export const DONE_TO: ReadonlyMap<string, (of: string) => string> = new Map([
  ['square', (of: string) => `${of}²`],
  ['cube', (of: string) => `${of}³`],
  ['double', (of: string) => `${of} × 2`],
  ['twice', (of: string) => `${of} × 2`],
  ['triple', (of: string) => `${of} × 3`],
  ['halve', (of: string) => `${of} ÷ 2`],
]);

/** Where an amount goes, or comes from: "add two to rail", "take three off that". */
export const TOWARDS: Phrases<'+' | '−'> = [
  ['on to', '+'],
  ['onto', '+'],
  ['to', '+'],
  ['away from', '−'],
  ['out of', '−'],
  ['off of', '−'],
  ['off', '−'],
  ['from', '−'],
];

/** Functions by what they are called, the longest first. */
export const CALLED: Phrases<SpokenFunction> = [
  ...(Object.entries(FUNCTION_WORDS) as [SpokenFunction, string][]).map(([name, words]) => [words, name] as const),
  ['square root of', 'sqrt'],
  ['square root', 'sqrt'],
  ['root of', 'sqrt'],
  ['hypotenuse of', 'hyp'],
  ['diagonal of', 'hyp'],
  ['sum of', 'sum'],
  ['total of', 'sum'],
  ['average of', 'mean'],
  ['mean of', 'mean'],
  ['smallest of', 'min'],
  ['largest of', 'max'],
  ['sine of', 'sin'],
  ['cosine of', 'cos'],
  ['tangent of', 'tan'],
  ['sine', 'sin'],
  ['cosine', 'cos'],
  ['tangent', 'tan'],
];

/** Brackets, a per cent, a power. */
export const OPENED: Phrases<'('> = ['open bracket', 'open brackets', 'brackets', 'bracket'].map((words) => [words, '('] as const); // prettier-ignore
export const CLOSED: Phrases<')'> = ['close bracket', 'close brackets', 'closed bracket'].map((words) => [words, ')'] as const); // prettier-ignore
export const PERCENT: Phrases<'%'> = ['per cent', 'percent', '%'].map((words) => [words, '%'] as const);
export const OF_IT: Phrases<'it'> = [['of it', 'it']];
export const TO_THE_POWER: Phrases<'^'> = [['to the power of', '^'], ['to the power', '^']]; // prettier-ignore

/** Forms that a result can be read in, besides units. */
export const FORMS: Phrases<string> = [
  ['feet and inches', 'ft in'],
  ['foot and inches', 'ft in'],
  ['feet inches', 'ft in'],
  ['decimal feet', 'ft'],
  ['metric', 'm'],
  ['a slope', 'slope'],
  ['slope', 'slope'],
  ['degrees', 'degrees'],
];

/** What stands behind their count. */
export const DECIMALS: Phrases<'decimals'> = ['decimal places', 'decimal place', 'places of decimals', 'decimals', 'decimal', 'places'].map(
  (words) => [words, 'decimals'] as const,
); // prettier-ignore

/** Names for the result before. */
export const LAST: Phrases<'last'> = [
  ['the last one', 'last'],
  ['the last line', 'last'],
  ['the last', 'last'],
  ['last one', 'last'],
  ['last line', 'last'],
  ['that', 'last'],
  ['last', 'last'],
  ['it', 'last'],
  ['this', 'last'],
];

/** Said before an entry, and no part of it, the longest first. */
export const ASKING: Phrases<'aside'> = [
  ...['what is', 'what are', 'what does', 'how much is', 'how much', 'how many is', 'how many are', 'how many', 'show me', 'tell me', 'give me', 'work out'],
  ...["what's", 'whats', 'what', 'calculate', 'please', 'um', 'umm', 'uh', 'er', 'erm', 'ok', 'okay', 'so', 'now', 'well', 'right'],
].map((words) => [words, 'aside'] as const); // prettier-ignore

/** Said behind an entry. */
export const ENDING: Phrases<'aside'> = [
  'comes to',
  'make',
  'makes',
  'equals',
  'is',
  'please',
  'then',
  'altogether',
  '=',
].map((words) => [words, 'aside'] as const);
