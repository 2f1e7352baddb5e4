import { expect, it } from 'vitest';
import { isTaken } from './is-taken.ts';

const refused = (code: string, cause?: Error) => Object.assign(new Error('refused', { cause }), { code });

it.each([
  ['a unique value that another row has', refused('23505'), true],
  ['the same, under what the library says of it', new Error('query failed', { cause: refused('23505') }), true],
  ['a row that something else needs', refused('23503'), false],
  ['the same, under what the library says of it', new Error('query failed', { cause: refused('23503') }), false],
  ['a lost connection', new Error('lost'), false],
  ['no error', '23505', false],
])('a value is taken or not: %s', (_, error, wanted) => {
  expect(isTaken(error)).toBe(wanted);
});
