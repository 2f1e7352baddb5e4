import { describe, expect, it } from 'vitest';
import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { Slate } from '../slate/slate.ts';
import { renamedIn, valueForMark, withoutAssignment } from '../stick/rewrite-names.ts';
import { namesIn } from './names.ts';
import { parse } from './parser.ts';
import { printEntry } from './printer.ts';
import { rolesOf } from './token-roles.ts';

/** A job with marks called yd, hyp and pt, from before the language knew any of these words. */
const JOB = { names: new Set(['yd', 'hyp', 'pt']) };
const style = { ...DEFAULT_STYLE, ...JOB };
const readBack = (source: string) => {
  const { entry, issues } = parse(source, JOB);
  return issues.length === 0 && entry ? printEntry(entry, style) : issues[0]?.code;
};

describe('a mark that is called by a word which the language learned later', () => {
  it.each([
    ['yd', 'yd'],
    ['YD * 2', 'YD × 2'],
    // Where a name can stand the mark wins, and the read-back says so.
    ['2 yd', '2 × yd'],
    ['2yd', '2 × yd'],
    ['3(yd + 2")', '3 × (yd + 2″)'],
    ['12 yd 2', 'entry.side_by_side'],
    ["5' / yd", '5′ ÷ yd'],
    ['yd = 4\' 2"', 'yd = 4′ 2″'],
    ['yd += hyp / 2', 'yd += hyp ÷ 2'],
    ['yd: 4\' 2" * hyp', 'yd: 4′ 2″ × hyp'],
    // Where no name can stand the word is the language's.
    ["5' to yd", '5′ to yd'],
    ["5' in yd", '5′ to yd'],
    ['4 sq yd', '4 yd²'],
    ["hyp(3'; 4')", 'hyp(3′; 4′)'],
  ])('%s reads %s', (entry, says) => {
    expect(readBack(entry)).toBe(says);
  });

  it('is worked out as the mark on the slate, in the entry, and in what follows', () => {
    const slate = new Slate(JOB);
    slate.load(
      ["yd = 5'", '2 yd', '#2 + yd', 'yd += 1"'].map((source, nth) => {
        return { id: `l${nth}`, number: nth + 1, position: `${nth}`, source };
      }),
    );
    const reading = (source: string) => reckon(source, { scope: slate.scope(), style }).reading?.text;
    expect(['#2', '#3', 'yd', '2 yd', "5' to yd"].map(reading)).toEqual([
      '10′ 2″',
      '15′ 3″',
      '5′ 1″',
      '10′ 2″',
      '1.6667 yd',
    ]);
    expect(slate.usersOfMark('yd').map(({ number }) => number)).toEqual([2, 3]);
    // Nowhere else does the word change.
    expect(reckon('2 yd', { scope: EMPTY_SCOPE }).reading?.text).toBe('6′');
  });

  it('is renamed, replaced and deleted where it is the mark, and nowhere else', () => {
    const entry = 'yd += 2 yd to yd';
    expect(renamedIn(entry, 'yd', 'post', JOB)).toBe('post += 2 post to yd');
    expect(valueForMark(entry, 'yd', '3"', JOB)).toBe('yd += 2 (3") to yd');
    expect(withoutAssignment(entry, JOB)).toBe('2 yd to yd');
    expect(namesIn('hyp + hyp(3; 4) * (', JOB).map(({ start }) => start)).toEqual([0]);
    expect(rolesOf('2 yd to yd', JOB).map(({ role }) => role)).toEqual(['number', 'name', 'word', 'unit']);
  });
});
