import { expect, it } from 'vitest';
import { namesIn } from './names.ts';

const made = (source: string) => namesIn(source).map(({ name, signEnd }) => [name, signEnd] as const);

it('finds the names in an entry, and which of them is made', () => {
  expect(made('rail = 5')).toEqual([['rail', 6]]);
  expect(made('rail += post * 2')).toEqual([
    ['rail', 7],
    ['post', undefined],
  ]);
  expect(made('x: rail = post')).toEqual([
    ['rail', 9],
    ['post', undefined],
  ]);
});

it('and in one that cannot be read', () => {
  // A sign with nothing behind it is Enter behind the name.
  expect(made('rail =')).toEqual([['rail', undefined]]);
  expect(made('rail = (post')).toEqual([
    ['rail', 6],
    ['post', undefined],
  ]);
  // What stands before the colon is a label, and no name.
  expect(made('post: rail * (')).toEqual([['rail', undefined]]);
  expect(made('5 + rail = 3')).toEqual([['rail', undefined]]);
});
