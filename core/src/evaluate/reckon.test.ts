import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { reckon } from './reckon.ts';

const read = (entry: string) => reckon(entry).reading?.text;

describe('an entry worked out', () => {
  it.each([
    [`9'-7 1/4" + 2' 9 3/8"`, '12′ 4 5⁄8″'],
    [`(12' 3 5/8" - 2 * 3 1/2") / 7`, '1′ 8 1⁄16″'],
    [`11 31/32"`, '1′'],
    [`1' / 3 * 3`, '1′'],
    [`-9' 7"`, '−9′ 7″'],
    [`2400 mm + 2.4 m - 240 cm`, '7′ 10 1⁄2″'],
  ])('%s reads %s', (entry, reading) => {
    expect(read(entry)).toBe(reading);
  });

  it('says on which side of the mark the true size lies', () => {
    expect(reckon(`(12' 3 5/8" - 2 * 3 1/2") / 7`).reading?.rounding).toBe('full');
    expect(reckon(`1' / 13`).reading?.rounding).toBe('shy');
    expect(reckon(`1' / 8`).reading?.rounding).toBe('exact');
  });

  it('reads the same value in the style of a metric tape', () => {
    expect(reckon(`9' 7 1/4"`, { style: { ...DEFAULT_STYLE, length: 'mm' } }).reading?.text).toBe('2927 mm');
  });

  it('refuses with a place and a sentence', () => {
    const { issue } = reckon(`5' + 3`);
    expect(issue).toMatchObject({ code: 'kind.add_plain', start: 5, end: 6 });
    expect(issue && describeIssue(issue)).toMatch(/unit/);
  });
});
