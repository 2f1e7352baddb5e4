import { FUNCTIONS, isFunctionName, type FunctionName } from '../notation/functions.ts';
import { nearestFunction, nearestOf } from '../notation/near-miss.ts';
import { UNIT_WORDS } from '../units/unit-table.ts';

/** Words that people know for a function, and its name. */
const KNOWN_AS: ReadonlyMap<string, FunctionName> = new Map([
  ['average', 'mean'],
  ['avg', 'mean'],
  ['total', 'sum'],
  ['largest', 'max'],
  ['biggest', 'max'],
  ['maximum', 'max'],
  ['smallest', 'min'],
  ['minimum', 'min'],
  ['squareroot', 'sqrt'],
  ['root', 'sqrt'],
  ['diagonal', 'hyp'],
  ['hypotenuse', 'hyp'],
  ['remainder', 'mod'],
  ['sine', 'sin'],
  ['cosine', 'cos'],
  ['tangent', 'tan'],
  ['arcsin', 'asin'],
  ['arccos', 'acos'],
  ['arctan', 'atan'],
]);

/** Units under names that the table does not have, as they are then written. */
const UNITS_KNOWN_AS: ReadonlyMap<string, string> = new Map([
  ['fet', 'ft'],
  ['lm', 'm'],
  ['rm', 'm'],
  ['qm', 'm²'],
  ['cbm', 'm³'],
  ['lft', 'ft'],
  ['lnft', 'ft'],
  ['metrs', 'metres'],
  ['inc', 'in'],
  ['yrd', 'yd'],
  ['yrds', 'yd'],
  ['mms', 'mm'],
  ['cms', 'cm'],
  ['kms', 'km'],
]);

/** Words of the trade that are counted, and only look like units. */
const OF_THE_TRADE: ReadonlySet<string> = new Set(['lite', 'lites']);

/**
 * Whether two words are one slip of the hand apart: a letter left out or two swapped, and, with `doubled`, one too many. A
 * letter that is another one is no such slip: rods are not rads and crs are not hrs.
 */
function isSlip(typed: string, word: string, doubled: boolean): boolean {
  if (word.length === typed.length + 1) return isShorterBy(word, typed);
  if (doubled && typed.length === word.length + 1) return isShorterBy(typed, word);
  if (word.length !== typed.length || word === typed) return false;
  const at = [...word].findIndex((letter, index) => letter !== typed[index]);
  return word === `${typed.slice(0, at)}${typed[at + 1] ?? ''}${typed[at] ?? ''}${typed.slice(at + 2)}`;
}

/** Whether `short` is `long` without one of its letters. */
function isShorterBy(long: string, short: string): boolean {
  return [...long].some((_, at) => long.slice(0, at) + long.slice(at + 1) === short);
}

/** The mark that a word was most likely meant for. Its figures are no slips: post1 is not post2. */
function nearestMark(word: string, names: readonly string[]): string | undefined {
  const figures = (name: string) => name.replace(/\D+/g, ' ').trim();
  return nearestOf(
    word,
    names.filter((name) => figures(name) === figures(word)),
  );
}

/** The known name or function that an unknown word was most likely meant for; names of the job win a tie. */
export function nearestName(word: string, names: readonly string[]): string | undefined {
  return nearestMark(word, names) ?? nearestCall(word);
}

/**
 * The unit, or of some other names, that an unknown word behind a number was most likely meant for: 5 fet, 12 inchs. Never
 * a guess at a short word, and none where two units are as near.
 */
export function nearestUnit(word: string, names: readonly string[] = []): string | undefined {
  if (/^[cf]$/i.test(word)) return `°${word.toUpperCase()}`;
  const lower = word.toLowerCase();
  const known = UNITS_KNOWN_AS.get(lower) ?? nearestMark(word, names);
  if (known !== undefined || lower.length < 3) return known;
  if (OF_THE_TRADE.has(lower)) return undefined;
  const slips = [...UNIT_WORDS].filter(([unit]) => unit.length > 2 && isSlip(lower, unit, true));
  const near = slips.length > 0 || lower.length < 7 ? slips : unitsNear(lower);
  const isOne = new Set(near.map(([, unit]) => unit)).size === 1;
  return isOne ? near.find(([unit]) => unit.length > 3)?.[0] : undefined;
}

/** A long word may have two letters wrong. */
function unitsNear(word: string): readonly (readonly [string, unknown])[] {
  const near = nearestOf(
    word,
    [...UNIT_WORDS.keys()].filter((unit) => unit.length > 5),
  );
  return near === undefined ? [] : [[near, UNIT_WORDS.get(near)]];
}

/** The function that a word in front of its value was most likely meant for: sqr, or cosine spelled out. */
export function nearestCall(word: string): FunctionName | undefined {
  const lower = word.toLowerCase();
  const known = KNOWN_AS.get(lower);
  if (known !== undefined || lower.length < 3) return known;
  return Object.keys(FUNCTIONS).find(
    (name): name is FunctionName => isFunctionName(name) && isSlip(lower, name, false),
  );
}

/** The function that a word with brackets behind it was meant for: no mark takes any, so that a guess costs less. */
export function nearestBracketed(word: string): string | undefined {
  return KNOWN_AS.get(word.toLowerCase()) ?? nearestFunction(word);
}
