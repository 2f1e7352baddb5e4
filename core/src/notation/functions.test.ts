import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { FUNCTIONS } from './functions.ts';

const issueOf = (entry: string) => reckon(entry).issue;

describe('a function', () => {
  it.each(Object.entries(FUNCTIONS))('takes neither too few arguments nor too many: %s', (name, { least, most }) => {
    const call = (count: number) => `${name}(${Array.from({ length: count }, () => '1').join('; ')})`;
    for (const count of [least, Math.min(most, 12)]) expect(issueOf(call(count))?.code).not.toBe('call.arguments');
    for (const count of [least - 1, most + 1])
      expect([call(count), issueOf(call(count)) !== undefined]).toEqual([call(count), true]);
    expect(issueOf(call(most + 1))).toMatchObject({ code: 'call.arguments' });
  });
});
