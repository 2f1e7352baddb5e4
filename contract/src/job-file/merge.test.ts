import { describe, expect, it } from 'vitest';
import { NEW_JOB } from '../job-fields.ts';
import type { Thing } from '../kinds/kind.ts';
import { thingsBy } from '../kinds/thing.ts';
import type { LineWire } from '../wire/line.ts';
import type { JobInside } from './job-file-text.ts';
import { mergeOf } from './merge.ts';

const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`;
let made = 0;
const newId = () => `01b00000-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`;
const line = (n: number, number: number | null, source: string, more: Partial<LineWire> = {}): LineWire => ({
  ...{
    id: id(n),
    kind: 'worked',
    number,
    position: `a${n}`,
    source,
    label: null,
    note: '',
    revision: n,
    deleted: false,
  },
  ...more,
});
const thing = (n: number, content: object): Thing => ({ id: id(n), revision: n, deleted: false, ...content });
const job = (lines: readonly LineWire[], things: Readonly<Record<string, readonly Thing[]>> = {}): JobInside => ({
  fields: { ...NEW_JOB, title: 'Shed' },
  reading: { length: 'ft-in', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' },
  lines,
  things: thingsBy((kind) => things[kind] ?? []),
});
const merged = (mine: JobInside, theirs: JobInside) => mergeOf(mine, theirs, 50, newId);

describe('another job that comes into one', () => {
  const mine = job(
    [
      line(1, 1, `12'`, { label: 'long side' }),
      line(2, 2, `#{${id(1)}} / 2`),
      line(3, null, '', { kind: 'heading', label: 'Roof' }),
      line(4, 3, `@{${id(8)}} = 7'`),
    ],
    { mark: [thing(8, { name: 'rail' })], scale: [thing(9, { name: 'Plan', kind: 'ratio', paper: '1', site: '20' })] },
  );

  it('changes nothing where it says the same, under whatever ids', () => {
    const theirs = job(
      [
        line(101, 1, `12'`, { label: 'long side' }),
        line(102, 2, `#{${id(101)}} / 2`),
        line(103, null, '', { kind: 'heading', label: 'Roof', position: 'zz' }),
        line(104, 3, `@{${id(108)}} = 7'`),
      ],
      {
        mark: [thing(108, { name: 'rail' })],
        scale: [thing(109, { name: 'Plan', kind: 'ratio', paper: '1', site: '20' })],
      },
    );
    expect(merged(mine, theirs)).toEqual({
      addedLines: [],
      changedLines: [],
      addedThings: [],
      changedThings: [],
      same: 6,
    });
  });

  it('changes what it says otherwise, and adds what is not here with numbers of this job', () => {
    const theirs = job(
      [
        line(101, 1, `13'`, { label: 'long side' }),
        line(102, 2, `#{${id(101)}} / 2`, { note: 'half' }),
        line(105, 3, `#{${id(102)}} + @{${id(110)}}`, { label: 'new one' }),
        line(106, 9, `#{${id(105)}} * 2`),
        line(107, null, '', { kind: 'note', note: 'ask' }),
        line(120, 12, '4', { deleted: true }),
      ],
      {
        mark: [thing(108, { name: 'rail' }), thing(110, { name: 'post' })],
        scale: [thing(109, { name: 'Plan', kind: 'ratio', paper: '1', site: `@{${id(110)}}` })],
      },
    );
    const { addedLines, changedLines, addedThings, changedThings, same } = merged(mine, theirs);
    expect(changedLines.map(({ before, after }) => [before.id, after.source, after.note])).toEqual([
      [id(1), `13'`, ''],
      [id(2), `#{${id(1)}} / 2`, 'half'],
    ]);
    // Line 3 there is another one than line 3 here.
    const [first, second, words] = addedLines.map(({ line: here }) => here);
    expect(addedLines.map(({ line: { number } }) => number)).toEqual([50, 51, null]);
    const [post] = addedThings;
    expect([post?.kind, post?.content]).toEqual(['mark', { name: 'post' }]);
    expect(first?.source).toBe(`#{${id(2)}} + @{${post?.id}}`);
    expect(second?.source).toBe(`#{${first?.id}} * 2`);
    expect(words).toMatchObject({ kind: 'note', note: 'ask' });
    expect(changedThings).toEqual([
      {
        kind: 'scale',
        before: mine.things['scale']?.[0],
        content: { name: 'Plan', kind: 'ratio', paper: '1', site: `@{${post?.id}}` },
      },
    ]);
    expect(same).toBe(1);
  });

  it('takes a job of somebody else for another one altogether', () => {
    const theirs = job([line(101, 1, `4'`, { label: 'post' }), line(102, 2, '7 * 3')]);
    const { addedLines, changedLines } = merged(mine, theirs);
    expect([addedLines.length, changedLines.length]).toEqual([2, 0]);
  });
});
