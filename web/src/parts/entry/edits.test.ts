import { describe, expect, it } from 'vitest';
import { reckon } from '@sprell/core';
import { backspace, figureAt, fraction, insert, mark, operator, reference, unit, type EntryText } from './edits.ts';

/** An entry with its cursor written as |, or what is selected between two of them. */
function typed(text: string): EntryText {
  const [before = '', between, behind] = text.split('|');
  return behind === undefined
    ? { text: before + (between ?? ''), from: before.length, to: before.length }
    : { text: before + (between ?? '') + behind, from: before.length, to: before.length + (between ?? '').length };
}
const shown = ({ text, from }: EntryText): string => `${text.slice(0, from)}|${text.slice(from)}`;

describe('keys on an entry', () => {
  it.each([
    ['digits go in at the cursor', insert(typed('1|2'), '5'), '15|2'],
    ['replaces what is selected', insert(typed('1|23|4'), '9'), '19|4'],
    ['an operator writes its spaces', operator(typed(`5′|`), '+', true), '5′ + |'],
    ['an operator in an empty entry goes on from the last result', operator(typed('|'), '×', true), 'last × |'],
    ['and where all that is written is selected', operator(typed('|5′|'), '×', true), 'last × |'],
    ['and is a sign where there is none', operator(typed('|'), '−', false), '−|'],
    ['an operator takes the place of another', operator(typed('5′ + |'), '÷', true), '5′ ÷ |'],
    ['a minus behind × is a sign', operator(typed('5′ × |'), '−', true), '5′ × −|'],
    ['a minus behind a bracket is a sign', operator(typed('(|'), '−', true), '(−|'],
    ['a power stands tight', operator(typed('3|'), '^', true), '3^|'],
    ['a fraction joins whole inches', fraction(typed('5′ 3|'), 3, 16), '5′ 3 3/16″|'],
    ['a fraction behind feet', fraction(typed('5′|'), 3, 16), '5′ 3/16″|'],
    ['a fraction alone', fraction(typed('5′ + |'), 1, 2), '5′ + 1/2″|'],
    ['a fraction takes the place of the one there', fraction(typed('5′ 3 3/16″|'), 1, 4), '5′ 3 1/4″|'],
    ['a fraction behind marked inches takes their mark over', fraction(typed('7″|'), 1, 4), '7 1/4″|'],
    ['a fraction in the place of one has no second mark', fraction(typed(`4' 7 |3/8|" − 2`), 1, 2), `4' 7 1/2″| − 2`],
    ['a mark in front of the same is that one', mark(typed('7 3/8|″ − 2'), '″'), '7 3/8″| − 2'],
    ['but two primes are inches', mark(typed('7|′'), '′'), '7′|′'],
    ['a prime stands tight', mark(typed('5 |'), '′'), '5′|'],
    ['a unit word stands apart', unit(typed('2400|'), 'mm'), '2400 mm|'],
    ['a line stands apart from figures', reference(typed('8|'), '#4'), '8 #4|'],
    ['a name stands apart from a name', reference(typed('2 × |rail'), 'post'), '2 × post| rail'],
    ['backspace takes one character', backspace(typed('123|')), '12|'],
    ['backspace takes what is selected', backspace(typed('1|23|4')), '1|4'],
    ['backspace takes an operator with its spaces', backspace(typed('5′ + |')), '5′|'],
    ['backspace takes a whole fraction', backspace(typed('5′ 3 3/16″|')), '5′ 3|'],
    ['backspace takes the last result away and leaves the operator', backspace(typed('last − |')), '−|'],
    ['backspace takes a unit that a key wrote', backspace(typed('2400 mm|')), '2400|'],
    ['backspace at the start does nothing', backspace(typed('|5')), '|5'],
  ])('%s', (_, entry, expected) => {
    expect(shown(entry)).toBe(expected);
  });

  it('make entries that read as they were meant', () => {
    let entry = typed('|');
    for (const key of ['3', '4']) entry = insert(entry, key);
    entry = fraction(insert(mark(entry, '′'), ' 5'), 3, 16);
    entry = mark(insert(mark(insert(operator(entry, '+', true), '21'), '′'), ' 9'), '″');
    expect(reckon(entry.text).reading?.text).toBe('56′ 2 3⁄16″');
  });
});

describe('the figure under a finger', () => {
  it.each([
    [`12' 5 3/16"`, 0, '12'],
    [`12' 5 3/16"`, 2, '12'],
    [`12' 5 3/16"`, 4, '5'],
    [`12' 5 3/16"`, 8, '3/16'],
    [`rail 2: 12.5`, 10, '12.5'],
    [`rail * #4`, 2, undefined],
    ['', 0, undefined],
  ])('of %s at %i is %s', (text, place, figure) => {
    const found = figureAt(text, place);
    expect(found && text.slice(found.start, found.end)).toBe(figure);
  });
});
