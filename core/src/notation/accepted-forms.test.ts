import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { ACCEPTED_FORMS } from './accepted-forms.ts';
import { isTaken } from './parser.ts';

describe.each(ACCEPTED_FORMS.map(({ title, forms }) => [title, forms] as const))('accepted forms: %s', (_, forms) => {
  it.each(forms.map(({ entry, readBack, reads }) => [entry, readBack, reads] as const))(
    '%s',
    (entry, readBack, reads) => {
      const reckoned = reckon(entry);
      expect([reckoned.readBack, reckoned.reading?.text, reckoned.issue]).toEqual([readBack, reads, undefined]);
    },
  );
});

describe('names', () => {
  it.each(['rail', 'post_3', 'Éperon', 'x1a', 'inner', 'total', 'height2', 'lasts', 'a'])('%s is free', (name) => {
    expect(isTaken(name)).toBe(false);
  });
  it.each(['m', 'FT', 'ft2', 'sqft', 'sqrt', 'x', 'e', 'to', 'in', 'of', 'it', 'last', 'pi', 'Mph', 'squares', 'per'])(
    '%s is taken',
    (name) => {
      expect(isTaken(name)).toBe(true);
    },
  );
});
