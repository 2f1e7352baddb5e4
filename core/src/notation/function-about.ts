import type { FunctionName } from './functions.ts';

/** A short line about every function, for suggestions, the help and the reference. */
export const ABOUT_FUNCTIONS: Readonly<Record<FunctionName, string>> = {
  sqrt: 'square root',
  abs: 'size without its sign',
  min: 'the smallest',
  max: 'the largest',
  sum: 'all added up',
  mean: 'the sum over the count',
  gcd: 'the longest length that goes into all of them evenly',
  mod: 'what is left of a after taking b away as often as it goes',
  round: 'to the nearest multiple of the step',
  up: 'to the next multiple of the step',
  down: 'to the multiple of the step below',
  hyp: 'the diagonal across two sides at a right angle',
  leg: 'the other side, from the diagonal and one side',
  sin: 'sine; a plain number is degrees',
  cos: 'cosine; a plain number is degrees',
  tan: 'tangent; a plain number is degrees',
  asin: 'the angle whose sine it is',
  acos: 'the angle whose cosine it is',
  atan: 'the angle whose tangent it is',
  ln: 'natural logarithm',
  log: 'logarithm to base ten',
  exp: 'e raised to a',
  if: 'one of two values, by a comparison: the first where it holds',
};
