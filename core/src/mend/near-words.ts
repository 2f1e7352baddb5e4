import { FUNCTIONS } from '../notation/functions.ts';
import { nearestFunction, nearestOf } from '../notation/near-miss.ts';
import { UNIT_WORDS } from '../units/unit-table.ts';

/** Words that people know for a function, and its name. */
const KNOWN_AS: ReadonlyMap<string, string> = new Map([
  ['average', 'mean'],
  ['total', 'sum'],
  ['largest', 'max'],
  ['biggest', 'max'],
  ['smallest', 'min'],
  ['squareroot', 'sqrt'],
  ['root', 'sqrt'],
  ['diagonal', 'hyp'],
  ['hypotenuse', 'hyp'],
  ['remainder', 'mod'],
]);

/** The known name, unit or function that an unknown word was most likely meant for; names of the job win a tie. */
export function nearestName(word: string, names: readonly string[]): string | undefined {
  return nearestOf(word, [...names, ...Object.keys(FUNCTIONS), ...UNIT_WORDS.keys()]);
}

/** The unit, or of some other names, that an unknown word behind a number was most likely meant for: 5 fet, 68 F. */
export function nearestUnit(word: string, names: readonly string[] = []): string | undefined {
  if (/^[cf]$/i.test(word)) return `°${word.toUpperCase()}`;
  return nearestOf(word, [...names, ...UNIT_WORDS.keys()]);
}

/** The function that a word in front of its value was most likely meant for: sqr, or cosine spelled out. */
export function nearestCall(word: string): string | undefined {
  const known = KNOWN_AS.get(word.toLowerCase());
  if (known !== undefined) return known;
  const begun = Object.keys(FUNCTIONS).find((name) => name.length > 2 && word.toLowerCase().startsWith(name));
  return nearestFunction(word) ?? begun;
}
