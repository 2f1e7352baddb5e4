import { LIMITS } from '@sprell/core';
import { expect, it } from 'vitest';
import { sharedText } from './shared-text.ts';

it('what another application shares is one line, no longer than an entry', () => {
  expect(sharedText({ text: ' 3.425 m \n wide ', title: 'x' })).toBe('3.425 m wide');
  expect(sharedText({ title: `5 1/2"` })).toBe(`5 1/2"`);
  expect(sharedText({ text: ['a', 'b'], title: null })).toBe('');
  expect(sharedText({ text: `1${' + 1'.repeat(5000)}` })).toHaveLength(LIMITS.characters);
  expect(sharedText({ text: '1\u0000\u0007\ud800 m' })).toBe('1 m');
});
