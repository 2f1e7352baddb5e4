import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { readQuantity } from '@sprell/core';
import { UNIT_WORDS, unitById, type Unit } from '../../../core/src/units/unit-table.ts';
import { deviceHere } from '../adapters/device.ts';
import { FakeServer, JOB_ID, newDevice } from '../testing/fake-server.ts';
import { Jobs } from './jobs.ts';
import { oldMarkId } from './mark-names.ts';
import { MarkStories } from './mark-story.ts';
import type { OpenJob } from './open-job.ts';

/** What the language learns by the next version: the words of a unit. */
const learn = (word: string, unit: Unit) => (UNIT_WORDS as Map<string, Unit>).set(word, unit);

let server: FakeServer;
beforeAll(() => import('../adapters/job-server.ts'));
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  newDevice();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(async () => {
  await vi.advanceTimersByTimeAsync(50);
  for (const word of ['rail', 'lath']) (UNIT_WORDS as Map<string, Unit>).delete(word);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

async function openJob(): Promise<OpenJob> {
  newDevice();
  const jobs = new Jobs(deviceHere());
  await jobs.start();
  await vi.advanceTimersByTimeAsync(50);
  return jobs.open;
}
const entries = (job: OpenJob) => job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : row.words));
const sizes = (job: OpenJob) =>
  job.slate.rows.map((row) => {
    if (row.kind !== 'worked' || !row.worked.result.ok) return 'needs mending';
    const { quantity } = row.worked.result;
    return quantity && readQuantity(quantity).text;
  });

/** A mark, a label and a formula with a word that no language knows yet. */
const BEFORE = [`rail = 5'`, 'rail: 2 rail + 1"', 'rail += 3"', '(#2 + rail) / 2', `rail * 2 to ft`];
const SIZES = ['5′', '10′ 7″', '5′ 3″', '7′ 11″', '10′ 6″'];

describe('a word that the language learns', () => {
  it('changes nothing in a job that has it as a mark, as a label and in a formula', async () => {
    const before = await openJob();
    for (const entry of BEFORE) before.lines.land(entry);
    before.setOuts.add({ name: 'Gate', shape: 'circle', answer: '', givens: [['radius', '2 rail']] });
    await vi.advanceTimersByTimeAsync(50);
    expect([entries(before), sizes(before)]).toEqual([BEFORE, SIZES]);
    learn('rail', unitById('yd'));
    const job = await openJob();
    expect([entries(job), sizes(job)]).toEqual([BEFORE, SIZES]);
    expect(job.setOuts.list[0]?.givens).toEqual([['radius', '2 rail']]);
    // It goes on so: what is typed, changed, renamed and taken back.
    job.lines.land('3 rail');
    expect([entries(job).at(-1), sizes(job).at(-1)]).toEqual(['3 rail', '15′ 9″']);
    job.lines.edit(job.slate.rows[0]?.line.id ?? '', `rail = 6'`);
    expect(sizes(job)[1]).toBe('12′ 7″');
    new MarkStories(job).rename('rail', 'stile');
    expect(entries(job)).toEqual([
      `stile = 6'`,
      'rail: 2 stile + 1"',
      'stile += 3"',
      '(#2 + stile) / 2',
      'stile * 2 to ft',
      '3 stile',
    ]);
    // No mark has the word any more: it is the language's.
    job.lines.land('3 rail');
    expect(sizes(job).at(-1)).toBe('9′');
    job.steps.undo();
    job.steps.undo();
    expect([entries(job)[1], sizes(job)[1]]).toEqual(['rail: 2 rail + 1"', '12′ 7″']);
    await vi.advanceTimersByTimeAsync(50);
    expect(sizes(await openJob())).toEqual(sizes(job));
  });

  it('changes nothing either where this device has lines from before marks had ids', async () => {
    const before = await openJob();
    for (const entry of BEFORE) before.lines.land(entry);
    await vi.advanceTimersByTimeAsync(50);
    // The server has given it an id; this device has the lines from before that.
    const id = oldMarkId(JOB_ID, 'lath');
    server.things.set(id, { kind: 'mark', thing: { id, name: 'lath', revision: 1, deleted: false } });
    for (const [other, { thing }] of server.things) if (thing['name'] === 'rail') server.things.delete(other);
    for (const [lineId, line] of server.lines)
      server.lines.set(lineId, { ...line, source: line.source.replace(/@\{[^}]*\}/g, 'lath') });
    const named = BEFORE.map((entry) => entry.replaceAll('rail', 'lath').replace('lath: 2', 'rail: 2'));
    learn('lath', unitById('yd'));
    const job = await openJob();
    expect([entries(job), sizes(job)]).toEqual([named, SIZES]);
    job.lines.land('lath += 1"');
    new MarkStories(job).rename('lath', 'post');
    await vi.advanceTimersByTimeAsync(50);
    expect([...server.things.values()]).toMatchObject([{ kind: 'mark', thing: { id, name: 'post' } }]);
    expect(
      [...server.lines.values()].map(({ source }) => source).filter((source) => source.includes('lath')),
    ).toHaveLength(5);
    for (const one of [job, await openJob()])
      expect(entries(one)).toEqual([...named.map((entry) => entry.replaceAll('lath', 'post')), 'post += 1"']);
    expect(sizes(await openJob())).toEqual(['5′', '10′ 9″', '5′ 3″', '8′ 1⁄2″', '10′ 8″', '5′ 4″']);
  });
});
