import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { Slate } from '../slate/slate.ts';
import { afterPosting } from './after-posting.ts';
import { reckon } from './reckon.ts';

function after(entry: string): string | undefined {
  const slate = new Slate();
  slate.load([{ id: 'a', number: 1, position: 'a0', source: `rail = 10'` }]);
  const options = { scope: slate.scope(), style: DEFAULT_STYLE };
  return afterPosting(reckon(entry, options), options).reading?.text;
}

describe('a posting as it is shown large', () => {
  it.each([
    [`rail += 2"`, '10′ 2″'],
    [`rail -= 1' 6"`, '8′ 6″'],
    // What stores a size, or is none, is read as it is.
    [`rail = 4'`, '4′'],
    [`3' + 2"`, '3′ 2″'],
    [`sill += 2"`, '2″'],
    ['rail += 2 sq ft', '2 sq ft'],
  ])('%s', (entry, reading) => {
    expect(after(entry)).toBe(reading);
  });

  it('keeps the way of reading that the entry asks for', () => {
    expect(after(`rail += 2" to in`)).toBe('122″');
  });
});
