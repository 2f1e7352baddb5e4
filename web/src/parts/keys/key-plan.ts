/** Which keys there are, and what each does to the entry. */
import { backspace, insert, mark, operator, unit, type EntryText, type Operator } from '../entry/edits.ts';

export interface Key {
  /** What stands on the key. */
  readonly face: string;
  /** What it is called, where the face does not say it. */
  readonly name: string;
  /** `figure` keys are the digits; `join` keys say how values are joined; `mark` keys say what a figure is. */
  readonly kind: 'figure' | 'join' | 'mark' | 'more' | 'word' | 'enter';
  readonly press: (entry: EntryText, hasLast: boolean) => EntryText;
}

const figure = (face: string, name = face, kind: Key['kind'] = 'figure'): Key => ({
  face,
  name,
  kind,
  press: (entry) => insert(entry, face),
});
const join = (face: Operator, name: string): Key => ({
  face,
  name,
  kind: 'join',
  press: (entry, hasLast) => operator(entry, face, hasLast),
});
const prime = (face: string, name: string): Key => ({ face, name, kind: 'mark', press: (entry) => mark(entry, face) });
const word = (face: string, name: string): Key => ({ face, name, kind: 'mark', press: (entry) => unit(entry, face) });
const more = (face: string, name: string, piece = face): Key => ({
  face,
  name,
  kind: 'more',
  press: (entry) => insert(entry, piece),
});

/** Digits in two rows, in the order they stand on a tape. */
export const FIGURES: readonly Key[] = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'].map((digit) => figure(digit));
export const POINT = figure('.', 'decimal point', 'join');
export const COMMA = figure(',', 'decimal comma', 'join');

export const JOINS: readonly Key[] = [
  join('+', 'plus'),
  join('−', 'minus'),
  join('×', 'times'),
  join('÷', 'divided by'),
];

export const FEET_AND_INCHES: readonly Key[] = [prime('′', 'feet'), prime('″', 'inches')];
export const METRIC_UNITS: readonly Key[] = [word('mm', 'millimetres'), word('cm', 'centimetres'), word('m', 'metres')];

/** Beside the digits of a metric job: sizes in millimetres end in zeros, and waste is a part of a hundred. */
export const METRIC_SIDE: readonly Key[] = [
  figure('00', 'double zero', 'mark'),
  { ...more('%', 'per cent'), kind: 'mark' },
];

export const OPEN: Key = more('(', 'open bracket');
export const CLOSE: Key = more(')', 'close bracket');

/** What is wanted now and then, behind one more touch. */
export const MORE_KEYS: readonly Key[] = [
  { face: 'a²', name: 'squared', kind: 'more', press: (entry) => insert(entry, '^2') },
  { face: 'aⁿ', name: 'to the power', kind: 'more', press: (entry) => insert(entry, '^') },
  more('√', 'square root', '√'),
  more('π', 'pi'),
  more('%', 'per cent'),
  prime('°', 'degrees'),
  more(';', 'next argument', '; '),
  more(':', 'slope, rise to run'),
  more('of', 'of', ' of '),
  more('to', 'read as', ' to '),
  more('a/b', 'fraction', '/'),
  word('sq ft', 'square feet'),
];

export const BACKSPACE: Key = { face: 'back', name: 'Backspace', kind: 'more', press: backspace };
