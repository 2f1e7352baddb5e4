import { describe, expect, it } from 'vitest';
import { reckon } from './reckon.ts';
import { understood } from './understood.ts';

const part = (entry: string) => understood(reckon(entry))?.reading?.text;

describe('an entry in error, as far as it is understood', () => {
  it.each([
    [`5' + 3`, '5′'],
    [`5' 3" + 2 furlongs`, '5′ 3″'],
    [`9' 7 1/4" + 2' 9 3/8" + zzz * 2`, '12′ 4 5⁄8″'],
    [`(5' + 3') * 2 sq ft + zzz`, '16 cu ft'],
    [`2 * (5' + zzz)`, '10′'],
    [`hyp(3'; zzz)`, undefined],
    ['zzz + 3', undefined],
    // Nothing is wrong, or there is something to show already.
    [`5' + 3'`, undefined],
    [`5' +`, undefined],
  ])('%s', (entry, reading) => {
    expect(part(entry)).toBe(reading);
  });
});
