import { describe, expect, it } from 'vitest';
import { KINDS } from './registry.ts';
import { allThings, contentOf, isSameContent, kindNamed, listsOf, thingsOf } from './thing.ts';

const called = (kind: string, content: object) => kindNamed(kind).called({ ...content });

describe('things of a job', () => {
  const one = { id: 'a', revision: 1, deleted: false, name: 'Plan' };
  const lists = Object.fromEntries(KINDS.map(({ list }, at) => [list, [{ ...one, id: String(at) }]]));

  it('come by their lists, and go by them', () => {
    const things = thingsOf(lists as never);
    expect(Object.keys(things)).toEqual(KINDS.map(({ name }) => name));
    expect(listsOf(things)).toEqual(lists);
    expect(allThings(things).map(({ id }) => id)).toEqual(KINDS.map((_, at) => String(at)));
    // A list that is not there has nothing in it: a server of before knew no such kind.
    expect(allThings(thingsOf({} as never))).toEqual([]);
  });

  it('say what they say without what is the same for all, and the same in any order', () => {
    expect(contentOf(one)).toEqual({ name: 'Plan' });
    expect(isSameContent({ a: 1, b: [2] }, { b: [2], a: 1 })).toBe(true);
    expect(isSameContent({ a: 1 }, { a: 1, b: 2 })).toBe(false);
    expect(isSameContent({ a: [1] }, { a: [2] })).toBe(false);
  });

  it('are called by their name, or by what they are', () => {
    const scale = { name: null, paper: '1/4"', site: `1'` };
    expect(called('scale', { ...scale, name: 'Old drawings', kind: 'sizes' })).toBe('the scale Old drawings');
    expect(called('scale', { ...scale, kind: 'sizes' })).toBe('the scale 1⁄4″ = 1′');
    expect(called('scale', { ...scale, kind: 'ratio', paper: '1', site: '20' })).toBe('the scale 1:20');
    expect(called('scale', { ...scale, kind: 'copy' })).toBe('the scale 1⁄4″ is 1′');
    expect(called('scale', { ...scale, kind: 'unknown' })).toBe('the scale');
    expect(called('mark', { name: 'rail' })).toBe('the mark rail');
    expect(called('mark', {})).toBe('the mark');
    expect(called('setout', { name: 'Gable' })).toBe('the setting-out Gable');
    expect(called('setout', {})).toBe('the setting-out');
    expect(called('item', { name: 'Decking' })).toBe('the row Decking');
    expect(called('section', { name: 'Roof' })).toBe('the section Roof');
    expect(called('version', { name: 'with oak' })).toBe('the version with oak');
    expect(called('tax', { name: 'sales tax' })).toBe('the tax sales tax');
    // A mark is made along with a line, a jig comes with it, and timber is no part of a job: a person did one thing.
    expect(KINDS.flatMap(({ name, comesAlong }) => (comesAlong === true ? [name] : []))).toEqual([
      'mark',
      'jig',
      'timber',
    ]);
    expect(() => kindNamed('unknown')).toThrow('unknown');
  });
});
