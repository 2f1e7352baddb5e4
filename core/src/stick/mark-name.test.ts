import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { reckon } from '../evaluate/reckon.ts';
import { freeNames, nameFromLabel, nameIssue } from './mark-name.ts';

describe('the name of a mark', () => {
  it.each(['A', 'rail', 'top_rail', 'post2', 'Größe', 'é1', 'A_1', 'x3'])('may be %s', (name) => {
    expect(nameIssue(name)).toBeUndefined();
  });

  it.each([
    ['', 'name.shape', undefined],
    ['2post', 'name.shape', 'post'],
    ['top rail', 'name.shape', 'top_rail'],
    ['rail!', 'name.shape', 'rail_3'],
    ['_a', 'name.shape', 'a'],
    ['---', 'name.shape', undefined],
    ['r'.repeat(41), 'name.too_long', 'r'.repeat(37)],
    ['feet', 'name.taken', 'feet_2'],
    ['MM', 'name.taken', 'MM_2'],
    ['sqrt', 'name.taken', 'sqrt_2'],
    ['last', 'name.taken', 'last_2'],
    ['RAIL', 'name.in_use', 'RAIL_3'],
  ])('cannot be "%s", which is reported with a name that can', (name, code, mended) => {
    const issue = nameIssue(name, ['rail', 'Rail_2']);
    expect(issue?.code).toBe(code);
    expect(issue?.fixes[0]?.entry).toBe(mended);
    if (mended !== undefined) expect(nameIssue(mended, ['rail', 'Rail_2'])).toBeUndefined();
    expect(issue && describeIssue(issue)).toMatch(/^\p{Lu}?.*\.$/u);
  });

  it('is offered: the next free letters, none of them a unit, and letters with a number behind them', () => {
    expect(freeNames([], 3)).toEqual(['A', 'B', 'C']);
    expect(freeNames(['a', 'C'], 3)).toEqual(['B', 'D', 'F']);
    const many = freeNames([], 60);
    expect(new Set(many).size).toBe(60);
    for (const name of many) {
      expect(nameIssue(name)).toBeUndefined();
      const { parsed } = reckon(`${name} = 5'`);
      expect([parsed.entry?.assignment?.name, parsed.issues]).toEqual([name, []]);
    }
  });

  it.each([
    ['top rail', 'top_rail'],
    ['2 posts, cut', 'posts_cut'],
    ['rail', 'rail_2'],
    ['12', undefined],
    ['', undefined],
    ['Länge (außen)', 'Länge_außen'],
    ['ft', 'ft_2'],
    ['a label that goes on and on without an end in sight', 'a_label_that_goes_on_and_on_without_a'],
  ])('comes of the label "%s"', (label, name) => {
    expect(nameFromLabel(label, ['RAIL'])).toBe(name);
    if (name !== undefined) expect(nameIssue(name, ['RAIL'])).toBeUndefined();
  });
});
