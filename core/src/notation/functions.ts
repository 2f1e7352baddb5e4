/** The functions of an entry: how many arguments, and a line that says what they are. */
export interface FunctionInfo {
  readonly least: number;
  readonly most: number;
  readonly args: string;
  readonly about: string;
  /** Takes runs of lines: sum(#3..#9). */
  readonly runs?: true;
}

const MANY = 100;

export const FUNCTIONS = {
  sqrt: { least: 1, most: 1, args: 'a', about: 'square root' },
  abs: { least: 1, most: 1, args: 'a', about: 'size without its sign' },
  min: { least: 1, most: MANY, args: 'a; b; …', about: 'the smallest', runs: true },
  max: { least: 1, most: MANY, args: 'a; b; …', about: 'the largest', runs: true },
  sum: { least: 1, most: MANY, args: 'a; b; … or #3..#9', about: 'all added up', runs: true },
  mean: { least: 1, most: MANY, args: 'a; b; … or #3..#9', about: 'the sum over the count', runs: true },
  gcd: { least: 2, most: MANY, args: 'a; b; …', about: 'the longest length that goes into all of them evenly' },
  mod: { least: 2, most: 2, args: 'a; b', about: 'what is left of a after taking b away as often as it goes' },
  round: { least: 1, most: 2, args: 'a; step', about: 'to the nearest multiple of the step' },
  up: { least: 1, most: 2, args: 'a; step', about: 'to the next multiple of the step' },
  down: { least: 1, most: 2, args: 'a; step', about: 'to the multiple of the step below' },
  hyp: { least: 2, most: 2, args: 'a; b', about: 'the diagonal across two sides at a right angle' },
  leg: { least: 2, most: 2, args: 'c; a', about: 'the other side, from the diagonal and one side' },
  sin: { least: 1, most: 1, args: 'angle', about: 'sine; a plain number is degrees' },
  cos: { least: 1, most: 1, args: 'angle', about: 'cosine; a plain number is degrees' },
  tan: { least: 1, most: 1, args: 'angle', about: 'tangent; a plain number is degrees' },
  asin: { least: 1, most: 1, args: 'ratio', about: 'the angle whose sine it is' },
  acos: { least: 1, most: 1, args: 'ratio', about: 'the angle whose cosine it is' },
  atan: { least: 1, most: 1, args: 'ratio or slope', about: 'the angle whose tangent it is' },
  ln: { least: 1, most: 1, args: 'a', about: 'natural logarithm' },
  log: { least: 1, most: 1, args: 'a', about: 'logarithm to base ten' },
  exp: { least: 1, most: 1, args: 'a', about: 'e raised to a' },
} as const satisfies Record<string, FunctionInfo>;

export type FunctionName = keyof typeof FUNCTIONS;

export function isFunctionName(word: string): word is FunctionName {
  return Object.hasOwn(FUNCTIONS, word);
}

/** What one function takes, typed alike for all. */
export function functionInfo(name: FunctionName): FunctionInfo {
  return FUNCTIONS[name];
}

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
]);
