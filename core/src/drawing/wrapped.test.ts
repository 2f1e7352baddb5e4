import { expect, it } from 'vitest';
import { fittingSize, wrapped } from './wrapped.ts';

it('breaks words over lines, and a word that is longer than a line', () => {
  expect(wrapped('Decking boards, grooved', 32, 3.2)).toEqual(['Decking boards,', 'grooved']);
  expect(wrapped('x'.repeat(25), 16, 3.2)).toEqual(['xxxxxxxxxx', 'xxxxxxxxxx', 'xxxxx']);
  expect(wrapped('', 16, 3.2)).toEqual([]);
});

it('sets words smaller that would not stand on one line', () => {
  expect(fittingSize('Deck', 80, 4)).toBe(4);
  expect(fittingSize('x'.repeat(100), 80, 4)).toBeCloseTo(1.6, 9);
  expect(fittingSize('', 80, 4)).toBe(4);
});
