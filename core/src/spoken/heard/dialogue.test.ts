import { describe, expect, it } from 'vitest';
import { Dialogue } from './dialogue.ts';

/** Phrases of one dialogue with what each comes to; `=` before those that take the place of the one before. */
const DIALOGUES: Readonly<Record<string, readonly (readonly [said: string, comesTo: string])[]>> = {
  'a number by "no"': [
    ['nine foot seven and a quarter', `9' 7 1/4"`],
    ['no, seven and a half', `= 9' 7 1/2"`],
    ['no, eight', `= 9' 8"`],
  ],
  'the size by one with units': [
    ['two foot plus nine foot seven and a quarter', `2' + 9' 7 1/4"`],
    ['no, nine foot six', `= 2' + 9' 6"`],
  ],
  'the parts': [
    ['three and five sixteenths times two', '3 5/16 × 2'],
    ['I said eighths', '= 3 5/8 × 2'],
  ],
  'the operation': [
    ['nine foot plus two foot', `9' + 2'`],
    ['not plus, minus', `= 9' − 2'`],
    ['no, times', `= 9' × 2'`],
  ],
  'the unit': [
    ['ninety centimetres plus ten millimetres', '90 cm + 10 mm'],
    ['not centimetres, millimetres', '= 90 mm + 10 mm'],
    ['I meant inches', `= 90 mm + 10"`],
  ],
  'words behind "not"': [
    ['add nine inches to that', `last + 9"`],
    ['five, not nine', `= last + 5"`],
    ['not five but six', `= last + 6"`],
  ],
  'all of it': [
    ['nine foot plus two foot', `9' + 2'`],
    ['no, divide that by four', '= last ÷ 4'],
  ],
  'a correction of a correction': [
    ['six foot two', `6' 2"`],
    ['no, three', `= 6' 3"`],
    ['no, four', `= 6' 4"`],
    ['and add a foot', `last + 1'`],
    ['make that two feet', `= last + 2'`],
  ],
  'nothing where nothing is alike, or nothing was understood': [
    ['rail times eight', 'rail × 8'],
    ['perhaps', ''],
    ['no, nine', '= rail × 9'],
    ['I said eighths', '= '],
    ['not seven but six', ''],
    ['no, two', '= rail × 2'],
  ],
};

describe('a correction changes', () => {
  it.each(Object.entries(DIALOGUES))('%s', (_, turns) => {
    const dialogue = new Dialogue();
    const heard = turns.map(([said]) => {
      const { entry, corrects, unknown } = dialogue.hear(said, { names: ['rail'] });
      return [said, `${corrects ? '= ' : ''}${unknown.length > 0 ? '' : entry}`];
    });
    expect(heard).toEqual(turns);
  });
});
