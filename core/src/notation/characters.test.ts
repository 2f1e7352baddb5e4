import { describe, expect, it } from 'vitest';
import { isSpace, isThinSpace } from './characters.ts';
import { parse } from './parser.ts';

/** Both ends of every stretch of white space and invisible marks (Unicode, White_Space and Default_Ignorable). */
const SPACES = [
  0x09, 0x0a, 0x0d, 0x20, 0x7f, 0x9f, 0xa0, 0xad, 0x1680, 0x2000, 0x200f, 0x2028, 0x202f, 0x205f, 0x206f, 0x3000,
  0xfeff,
];
const NONE = [
  0x21, 0x7e, 0xa1, 0xac, 0xae, 0x167f, 0x1681, 0x1fff, 0x2010, 0x2027, 0x2030, 0x205e, 0x2070, 0x2fff, 0x3001,
];

describe('white space', () => {
  it('is what separates and what nobody sees, and nothing else', () => {
    for (const code of SPACES) expect([code.toString(16), isSpace(code)]).toEqual([code.toString(16), true]);
    for (const code of NONE) expect([code.toString(16), isSpace(code)]).toEqual([code.toString(16), false]);
    expect([0x2009, 0x202f, 0xa0, 0x20, 0x2008].map(isThinSpace)).toEqual([true, true, true, false, false]);
  });

  it('changes nothing between the parts of an entry', () => {
    for (const code of SPACES) {
      const space = String.fromCharCode(code);
      expect(parse(`5'${space}+${space}3"`).issues, code.toString(16)).toEqual([]);
    }
  });
});
