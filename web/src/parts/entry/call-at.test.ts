import { describe, expect, it } from 'vitest';
import { callAt, showCall } from './call-at.ts';
import { callNow } from './call-now.ts';

describe('the call around the cursor', () => {
  it.each([
    ['round(|', 'round', 0],
    ['round(5.3 m; |', 'round', 1],
    ['min(3; 4; |5)', 'min', 2],
    ['2 × Round (|)', 'round', 0],
    // The innermost one, and its own arguments alone.
    ['min(3; max(1; 2; |', 'max', 2],
    ['min(3; max(1; 2); |', 'min', 2],
    ['round((3 + |', 'round', 0],
    ['round(2; (3 + |', 'round', 1],
    ['round(min(1; 2)|', 'round', 0],
  ])('%s', (written, name, argument) => {
    const at = written.indexOf('|');
    expect(callAt(written.replace('|', ''), at)).toEqual({ name, argument });
  });

  it.each(['|round(3)', 'round(3)|', '(3 + |', '3|', ''])('is none in %s', (written) => {
    expect(callAt(written.replace('|', ''), Math.max(0, written.indexOf('|')))).toBeUndefined();
  });

  it('is the same value as long as it is the same call', () => {
    showCall({ name: 'hyp', argument: 1 });
    const before = callNow.value;
    showCall({ name: 'hyp', argument: 1 });
    expect(callNow.value).toBe(before);
    showCall(undefined);
    expect(callNow.value).toBeUndefined();
  });
});
