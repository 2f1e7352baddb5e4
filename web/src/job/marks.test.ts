import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { deviceHere } from '../adapters/device.ts';
import { FakeServer, newDevice, JOB_ID } from '../testing/fake-server.ts';
import { Jobs } from './jobs.ts';
import type { OpenJob } from './open-job.ts';
import { MarkStories } from './mark-story.ts';

let server: FakeServer;
beforeAll(() => import('../adapters/job-server.ts'));
beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-05-04T09:30:00Z') });
  localStorage.clear();
  server = new FakeServer();
  newDevice();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(async () => {
  await vi.advanceTimersByTimeAsync(50);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

async function aJob(...entries: readonly string[]) {
  const jobs = new Jobs(deviceHere());
  await jobs.start();
  const job = jobs.open;
  for (const entry of entries) {
    vi.setSystemTime(Date.now() + 60_000);
    job.lines.land(entry);
  }
  return { jobs, job, stories: new MarkStories(job) };
}
interface Opened {
  readonly job: OpenJob;
}
const readings = ({ job }: Opened) => Object.fromEntries(job.marks.list.map(({ name, reading }) => [name, reading]));
const entries = ({ job }: Opened) => job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : row.words));

describe('the mark in hand', () => {
  it('is the one changed last until one is taken, and is remembered for the job', async () => {
    const { job, stories } = await aJob(`rail = 5'`, `post = 9'`, 'rail += 2"');
    expect(job.marks.inHand?.name).toBe('rail');
    job.marks.takeInHand('post');
    expect(job.marks.inHand?.name).toBe('post');
    expect(localStorage.getItem(`sprell.in-hand.${JOB_ID}`)).toBe('"post"');
    stories.removeMarks(['post'], false);
    expect(job.marks.inHand?.name).toBe('rail');
  });
});

describe('the story of a mark', () => {
  it('lists every posting with source and time, strikes them out, and puts them back', async () => {
    const { job, stories } = await aJob(`5'`, 'cut: rail = #1 * 2', 'rail += 2"', 'rail -= #1', 'rail * 3');
    const story = stories.of('RAIL');
    expect(story?.base).toMatchObject({
      number: 2,
      sign: '=',
      amount: '10′',
      entry: '#1 × 2',
      label: 'cut',
      isLive: true,
    });
    expect(story?.postings).toMatchObject([
      { number: 3, sign: '+', amount: '2″', after: '10′ 2″', isLive: false, struck: false },
      { number: 4, sign: '−', amount: '5′', after: '5′ 2″', entry: '#1', isLive: true },
    ]);
    expect(story?.postings[0]?.at).toBe(new Date('2026-05-04T09:33:00Z').getTime());
    expect(story?.users.map(({ number }) => number)).toEqual([5]);
    const posting = story?.postings[0]?.lineId ?? '';
    stories.strike(posting);
    expect(readings({ job })).toEqual({ rail: '5′' });
    expect(stories.of('rail')?.postings).toMatchObject([{ number: 3, struck: true, amount: '2″' }, { number: 4 }]);
    stories.putBack(posting);
    expect(readings({ job })).toEqual({ rail: '5′ 2″' });
    expect(job.steps.undoSays).toBe('Strike the posting #3 out again');
    job.steps.undo();
    expect(readings({ job })).toEqual({ rail: '5′' });
    job.steps.undo();
    expect(readings({ job })).toEqual({ rail: '5′ 2″' });
  });

  it('follows its sources until it is held', async () => {
    const { job, stories } = await aJob(`5'`, 'rail = #1', 'rail += #1 / 3');
    const [source] = job.slate.rows;
    job.lines.edit(source?.line.id ?? '', `6'`);
    expect(readings({ job })).toEqual({ rail: '8′' });
    for (const { lineId } of [stories.of('rail')?.base, ...(stories.of('rail')?.postings ?? [])].flatMap(
      (one) => one ?? [],
    ))
      stories.freeze(lineId);
    job.lines.edit(source?.line.id ?? '', `90'`);
    expect(readings({ job })).toEqual({ rail: '8′' });
    expect(entries({ job })).toEqual([`90'`, 'rail = 72"', 'rail += 24"']);
  });

  it('shows what was written over, and goes back', async () => {
    const { job, stories } = await aJob(`rail = 5'`, 'rail += 2"');
    job.lines.land(`rail = 7'`, undefined, 'Put rail back to 5′ 2″');
    expect(readings({ job })).toEqual({ rail: '7′' });
    expect(stories.of('rail')?.before).toMatchObject([{ number: 1, amount: '5′' }]);
    expect(stories.of('rail')?.postings).toEqual([]);
    expect(job.steps.undoSays).toBe('Put rail back to 5′ 2″');
    job.steps.undo();
    expect(readings({ job })).toEqual({ rail: '5′ 2″' });
  });

  it('takes its own name as the value it has now', async () => {
    const { job } = await aJob(`rail = 5'`, 'rail += 2"');
    job.lines.land('rail += Rail / 2 + 1"');
    expect(entries({ job })[2]).toBe('rail += (62") / 2 + 1"');
    expect(readings({ job })).toEqual({ rail: '7′ 10″' });
    job.lines.land('half: rail = rail / 2');
    expect(entries({ job })[3]).toBe('half: rail = (94") / 2');
    expect(readings({ job })).toEqual({ rail: '3′ 11″' });
    job.lines.land('none = none * 2');
    expect(readings({ job })['none']).toBe('needs mending');
  });

  it('says what is wrong with it, and still stands on the stick', async () => {
    const { job, stories } = await aJob(`rail = 5'`, 'rail += 2 sq ft');
    expect(job.marks.list).toMatchObject([{ name: 'rail', reading: 'needs mending', quantity: undefined }]);
    expect(job.marks.list[0]?.problem).toContain('only values of one kind add up');
    expect(stories.of('rail')?.postings).toMatchObject([{ amount: '2 sq ft', after: 'needs mending' }]);
  });
});

describe('names', () => {
  it('change in every entry that uses them, in one step', async () => {
    const { job, stories } = await aJob(`rail = 5'`, 'rail += 2"', '2 Rail', 'top rail: post = rail', 'railing = 3"');
    // However it is typed, it is shown as it is called.
    expect(entries({ job })[2]).toBe('2 rail');
    job.marks.takeInHand('rail');
    stories.rename('rail', 'stile');
    expect(entries({ job })).toEqual([
      `stile = 5'`,
      'stile += 2"',
      '2 stile',
      'top rail: post = stile',
      'railing = 3"',
    ]);
    expect(readings({ job })).toEqual({ stile: '5′ 2″', post: '5′ 2″', railing: '3″' });
    expect(job.marks.inHand?.name).toBe('stile');
    expect(job.steps.undoSays).toBe('Call stile rail again');
    job.steps.undo();
    expect(entries({ job })[2]).toBe('2 rail');
    expect(Object.keys(readings({ job })).sort()).toEqual(['post', 'rail', 'railing']);
  });
});

describe('marks that go', () => {
  it('leave their line on the slate and, if wanted, their value where they were used', async () => {
    const before = [`cut: rail = 5'`, 'rail += 2"', 'rail * 2'];
    const { job, stories } = await aJob(...before);
    stories.removeMarks(['rail'], true);
    expect(entries({ job })).toEqual([`cut: 5'`, '(62") * 2']);
    expect(readings({ job })).toEqual({});
    job.steps.undo();
    expect(entries({ job })).toEqual(before);
    expect(readings({ job })).toEqual({ rail: '5′ 2″' });
  });

  it('go all at once, with one way back', async () => {
    const before = [`a1 = 5'`, 'b1 = a1 * 2', 'b1 + a1', 'a1 -= 1"'];
    const { jobs, job, stories } = await aJob(...before);
    stories.removeMarks(
      job.marks.list.map(({ name }) => name),
      true,
    );
    expect(entries({ job })).toEqual([`5'`, '(59") * 2', '(118") + (59")']);
    expect(job.steps.undoSays).toBe('Bring all 2 marks back');
    job.steps.undo();
    expect(entries({ job })).toEqual(before);
    await vi.advanceTimersByTimeAsync(50);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
    expect(job.conflicts.list).toEqual([]);
    expect([...server.lines.values()].filter(({ deleted }) => deleted)).toEqual([]);
  });
});

describe('drawing scales', () => {
  const quarter = { kind: 'sizes', paper: '1/4"', site: `1'`, name: null } as const;

  it('are added, taken in hand, edited and deleted, each with undo', async () => {
    const { job } = await aJob();
    job.scales.add(quarter);
    expect(job.scales.inHand).toMatchObject({ title: '1⁄4″ = 1′', says: '1⁄4″ = 1′' });
    const id = job.scales.inHand?.id ?? '';
    job.scales.setSide('site');
    job.scales.edit(id, { kind: 'ratio', paper: '1', site: '20', name: ' Shoes ' });
    expect(job.scales.inHand).toMatchObject({ title: 'Shoes', says: '1:20' });
    job.scales.remove(id);
    expect([job.scales.list, job.scales.inHand]).toEqual([[], undefined]);
    job.steps.undo();
    expect(job.scales.inHand?.title).toBe('Shoes');
    job.steps.undo();
    expect(job.scales.inHand?.title).toBe('1⁄4″ = 1′');
    await vi.advanceTimersByTimeAsync(50);
    expect([...server.things.values()]).toMatchObject([{ thing: { ...quarter, deleted: false } }]);
    const { scales } = (await aJob()).job;
    expect([scales.inHand?.title, scales.side]).toEqual(['1⁄4″ = 1′', 'site']);
  });

  it('do not follow the marks they were worked out with', async () => {
    const { job } = await aJob(`strip = 2 1/2"`);
    job.scales.add({ kind: 'copy', paper: 'strip', site: `10'`, name: null });
    expect(job.scales.list).toMatchObject([{ content: { paper: '2.5"' } }]);
    expect(job.scales.issueOf({ kind: 'sizes', paper: 'strip - strip', site: `1'` })).toMatchObject({
      side: 'paper',
      issue: { code: 'scale.zero' },
    });
  });

  it('changed elsewhere meanwhile stand as they are there', async () => {
    const { job } = await aJob();
    job.scales.add(quarter);
    await vi.advanceTimersByTimeAsync(50);
    const id = job.scales.inHand?.id ?? '';
    server.things.set(id, { kind: 'scale', thing: { id, ...quarter, site: `2'`, revision: 99, deleted: false } });
    job.scales.edit(id, { ...quarter, site: `3'` });
    await vi.advanceTimersByTimeAsync(50);
    expect(job.scales.inHand?.says).toBe('1⁄4″ = 2′');
    expect(job.failure).toContain('was changed elsewhere');
  });
});
