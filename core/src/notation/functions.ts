/** The functions of an entry: how many arguments, and what they are. */
export interface FunctionInfo {
  readonly least: number;
  readonly most: number;
  readonly args: string;
  /** Takes runs of lines: sum(#3..#9). */
  readonly runs?: true;
}

const MANY = 100;

export const FUNCTIONS = {
  sqrt: { least: 1, most: 1, args: 'a' },
  abs: { least: 1, most: 1, args: 'a' },
  min: { least: 1, most: MANY, args: 'a; b; …', runs: true },
  max: { least: 1, most: MANY, args: 'a; b; …', runs: true },
  sum: { least: 1, most: MANY, args: 'a; b; … or #3..#9', runs: true },
  mean: { least: 1, most: MANY, args: 'a; b; … or #3..#9', runs: true },
  gcd: { least: 2, most: MANY, args: 'a; b; …' },
  mod: { least: 2, most: 2, args: 'a; b' },
  round: { least: 1, most: 2, args: 'a; step' },
  up: { least: 1, most: 2, args: 'a; step' },
  down: { least: 1, most: 2, args: 'a; step' },
  hyp: { least: 2, most: 2, args: 'a; b' },
  leg: { least: 2, most: 2, args: 'c; a' },
  sin: { least: 1, most: 1, args: 'angle' },
  cos: { least: 1, most: 1, args: 'angle' },
  tan: { least: 1, most: 1, args: 'angle' },
  asin: { least: 1, most: 1, args: 'ratio' },
  acos: { least: 1, most: 1, args: 'ratio' },
  atan: { least: 1, most: 1, args: 'ratio or slope' },
  ln: { least: 1, most: 1, args: 'a' },
  log: { least: 1, most: 1, args: 'a' },
  exp: { least: 1, most: 1, args: 'a' },
  if: { least: 3, most: 3, args: 'a < b; then; otherwise' },
} as const satisfies Record<string, FunctionInfo>;

export type FunctionName = keyof typeof FUNCTIONS;

export function isFunctionName(word: string): word is FunctionName {
  return Object.hasOwn(FUNCTIONS, word);
}

/** What one function takes, typed alike for all. */
export function functionInfo(name: FunctionName): FunctionInfo {
  return FUNCTIONS[name];
}

/** Words that only say what a number counts: 2 ea. A mark of the job that is called so wins. */
export const COUNT_WORDS: ReadonlySet<string> = new Set(['ea', 'each', 'pc', 'pcs', 'piece', 'pieces']);

/** What is shown of a jig that is not in the job any more. */
export const JIG_GONE = 'jig_gone';

/** Words with a meaning of their own, which no mark may take as a name. Units and functions are taken besides. */
export const RESERVED_WORDS: ReadonlySet<string> = new Set([
  'x',
  'x2',
  'e',
  'to',
  'in',
  'of',
  'it',
  'last',
  'pi',
  'sq',
  'cu',
  'cubic',
  'yes',
  'no',
  // What is shown of a mark that is not there any more.
  'mark_gone',
  JIG_GONE,
]);
