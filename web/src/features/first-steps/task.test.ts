import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { beginPractice } from '../../adapters/practice-device.ts';
import { deviceHere, useDevice } from '../../adapters/device.ts';
import { useLocalStore } from '../../adapters/local/local-store-loader.ts';
import { MemoryStore } from '../../adapters/local/memory-store.ts';
import { remember, rememberApart } from '../../adapters/local-memory.ts';
import { Jobs, type OpenJob } from '../../job/index.ts';
import { makePractice } from './practice-job.ts';
import { doneOn, lastReads, stepsFor } from './task.ts';

let store: MemoryStore;
let jobs: Jobs;
const fetched = vi.fn();
beforeAll(() => import('../../job/new-job.ts'));
beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal('fetch', fetched);
  beginPractice();
  store = new MemoryStore();
  useLocalStore(store);
  jobs = new Jobs(deviceHere());
});
afterEach(() => {
  jobs.dispose();
  useDevice(undefined);
  rememberApart('');
  vi.unstubAllGlobals();
});

async function practice(units: string, ...entries: readonly string[]): Promise<OpenJob> {
  await makePractice(jobs, units);
  for (const entry of entries) jobs.open.lines.land(entry);
  return jobs.open;
}
const bench = (job: OpenJob) => ({ rows: job.slate.rows, marks: job.marks.list, style: job.style });
const done = (job: OpenJob, metric = false) => [...doneOn(bench(job), metric)];

describe('the task of the first steps', () => {
  it('is done step by step, in feet and inches', async () => {
    const job = await practice('feet', `4' 7 3/8" - 2 * 1/8"`);
    expect(done(job)).toEqual(['sum']);
    // A sixteenth is not a 32nd.
    job.lines.land('#1 / 5');
    expect(done(job)).toEqual(['sum']);
    job.lines.land('#1 / 5 to 1/32"');
    expect(lastReads(bench(job))).toEqual({ number: 3, text: '11 1⁄32″' });
    expect(done(job)).toEqual(['sum', 'rounding']);
    job.lines.land('bay = #3');
    job.lines.land(`4 * 11.025"`);
    expect(done(job)).toEqual(['sum', 'rounding', 'storing']);
    job.lines.land('4 * bay');
    expect(done(job)).toEqual(['sum', 'rounding', 'storing', 'using']);
    job.lines.edit(job.slate.rows[0]?.line.id ?? '', `4' 7 1/2" - 2 * 1/8"`, undefined);
    expect(done(job)).toContain('correcting');
  });

  it('is done the same in millimetres, whatever the sum is written like', async () => {
    const job = await practice('metres', '1.41 m - 6 mm', '#1 / 5 to 0.1 mm', 'fach = #2', 'fach * 4');
    expect(done(job, true)).toEqual(['sum', 'rounding', 'storing', 'using']);
    job.lines.edit(job.slate.rows[0]?.line.id ?? '', '1418 mm - 6 mm', undefined);
    expect(done(job, true)).toContain('correcting');
    expect(done(job, false)).toEqual([]);
  });

  it('a line that only keeps the mark does not use it, and a new shelf without a corrected line corrects nothing', async () => {
    const job = await practice('feet', `4' 7 3/8" - 1/4"`, '#1 / 5', 'a = #2', `x: a = #2`);
    expect(done(job)).not.toContain('using');
    job.lines.land(`4' 7 1/2" - 1/4"`);
    expect(done(job)).not.toContain('correcting');
  });

  it('says in both measures what is to be done, never in those of the other', () => {
    const words = (metric: boolean) => JSON.stringify(stepsFor(metric));
    expect(stepsFor(true).map(({ name }) => name)).toEqual(stepsFor(false).map(({ name }) => name));
    expect(words(true)).not.toMatch(/[′″]|inch/);
    expect(words(false)).not.toContain('mm');
  });
});

describe('a device for practice', () => {
  it('asks no server, and remembers nothing where the jobs of the device are', async () => {
    localStorage.setItem('sprell.entry', '"mine"');
    await practice('feet', `4' 7"`);
    remember('entry', 'of the steps');
    await jobs.start();
    expect(fetched).not.toHaveBeenCalled();
    expect(localStorage.getItem('sprell.entry')).toBe('"mine"');
    expect(Object.keys(localStorage).filter((key) => !key.startsWith('sprell.practice.'))).toEqual(['sprell.entry']);
  });

  it('a new practice takes the place of the one before', async () => {
    const first = await practice('feet', `4' 7"`);
    const before = first.head?.id;
    await makePractice(jobs, 'metres');
    expect(jobs.current.map(({ id }) => id)).not.toContain(before);
    expect(jobs.current).toHaveLength(1);
    expect(jobs.open.style.length).toBe('mm');
    expect(jobs.open.slate.rows).toEqual([]);
  });
});
