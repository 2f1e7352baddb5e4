import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer, newDevice, JOB_ID } from '../../testing/fake-server.ts';
import { useJobStore } from './job.store.ts';
import { useMarkStory } from './mark-story.ts';

let server: FakeServer;
beforeAll(() => import('../../adapters/job-server.ts'));
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
  setActivePinia(createPinia());
  const store = useJobStore();
  await store.start();
  for (const entry of entries) {
    vi.setSystemTime(Date.now() + 60_000);
    store.land(entry);
  }
  return Object.assign(store, useMarkStory());
}
type Store = Awaited<ReturnType<typeof aJob>>;
const readings = (store: Store) => Object.fromEntries(store.marks.map(({ name, reading }) => [name, reading]));
const entries = (store: Store) => store.rows.map((row) => (row.kind === 'worked' ? row.entry : row.words));

describe('the mark in hand', () => {
  it('is the one changed last until one is taken, and is remembered for the job', async () => {
    const store = await aJob(`rail = 5'`, `post = 9'`, 'rail += 2"');
    expect(store.inHand?.name).toBe('rail');
    store.takeInHand('post');
    expect(store.inHand?.name).toBe('post');
    expect(localStorage.getItem(`sprell.in-hand.${JOB_ID}`)).toBe('"post"');
    store.removeMarks(['post'], false);
    expect(store.inHand?.name).toBe('rail');
  });
});

describe('the story of a mark', () => {
  it('lists every posting with source and time, strikes them out, and puts them back', async () => {
    const store = await aJob(`5'`, 'cut: rail = #1 * 2', 'rail += 2"', 'rail -= #1', 'rail * 3');
    const story = store.story('RAIL');
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
    store.strike(posting);
    expect(readings(store)).toEqual({ rail: '5′' });
    expect(store.story('rail')?.postings).toMatchObject([{ number: 3, struck: true, amount: '2″' }, { number: 4 }]);
    store.putBack(posting);
    expect(readings(store)).toEqual({ rail: '5′ 2″' });
    expect(store.undoSays).toBe('Strike the posting #3 out again');
    store.undo();
    expect(readings(store)).toEqual({ rail: '5′' });
    store.undo();
    expect(readings(store)).toEqual({ rail: '5′ 2″' });
  });

  it('follows its sources until it is held', async () => {
    const store = await aJob(`5'`, 'rail = #1', 'rail += #1 / 3');
    const [source] = store.rows;
    store.edit(source?.line.id ?? '', `6'`);
    expect(readings(store)).toEqual({ rail: '8′' });
    for (const { lineId } of [store.story('rail')?.base, ...(store.story('rail')?.postings ?? [])].flatMap(
      (one) => one ?? [],
    ))
      store.freeze(lineId);
    store.edit(source?.line.id ?? '', `90'`);
    expect(readings(store)).toEqual({ rail: '8′' });
    expect(entries(store)).toEqual([`90'`, 'rail = 72"', 'rail += 24"']);
  });

  it('shows what was written over, and goes back', async () => {
    const store = await aJob(`rail = 5'`, 'rail += 2"');
    store.land(`rail = 7'`, undefined, 'Put rail back to 5′ 2″');
    expect(readings(store)).toEqual({ rail: '7′' });
    expect(store.story('rail')?.before).toMatchObject([{ number: 1, amount: '5′' }]);
    expect(store.story('rail')?.postings).toEqual([]);
    expect(store.undoSays).toBe('Put rail back to 5′ 2″');
    store.undo();
    expect(readings(store)).toEqual({ rail: '5′ 2″' });
  });

  it('takes its own name as the value it has now', async () => {
    const store = await aJob(`rail = 5'`, 'rail += 2"');
    store.land('rail += Rail / 2 + 1"');
    expect(entries(store)[2]).toBe('rail += (62") / 2 + 1"');
    expect(readings(store)).toEqual({ rail: '7′ 10″' });
    store.land('half: rail = rail / 2');
    expect(entries(store)[3]).toBe('half: rail = (94") / 2');
    expect(readings(store)).toEqual({ rail: '3′ 11″' });
    store.land('none = none * 2');
    expect(readings(store)['none']).toBe('needs mending');
  });

  it('says what is wrong with it, and still stands on the stick', async () => {
    const store = await aJob(`rail = 5'`, 'rail += 2 sq ft');
    expect(store.marks).toMatchObject([{ name: 'rail', reading: 'needs mending', quantity: undefined }]);
    expect(store.marks[0]?.problem).toContain('only values of one kind add up');
    expect(store.story('rail')?.postings).toMatchObject([{ amount: '2 sq ft', after: 'needs mending' }]);
  });
});

describe('names', () => {
  it('change in every entry that uses them, in one step', async () => {
    const store = await aJob(`rail = 5'`, 'rail += 2"', '2 Rail', 'top rail: post = rail', 'railing = 3"');
    store.takeInHand('rail');
    store.rename('rail', 'stile');
    expect(entries(store)).toEqual([`stile = 5'`, 'stile += 2"', '2 stile', 'top rail: post = stile', 'railing = 3"']);
    expect(readings(store)).toEqual({ stile: '5′ 2″', post: '5′ 2″', railing: '3″' });
    expect(store.inHand?.name).toBe('stile');
    expect(store.undoSays).toBe('Call stile rail again');
    store.undo();
    expect(entries(store)[2]).toBe('2 Rail');
    expect(Object.keys(readings(store)).sort()).toEqual(['post', 'rail', 'railing']);
  });
});

describe('marks that go', () => {
  it('leave their line on the slate and, if wanted, their value where they were used', async () => {
    const before = [`cut: rail = 5'`, 'rail += 2"', 'rail * 2'];
    const store = await aJob(...before);
    store.removeMarks(['rail'], true);
    expect(entries(store)).toEqual([`cut: 5'`, '(62") * 2']);
    expect(readings(store)).toEqual({});
    store.undo();
    expect(entries(store)).toEqual(before);
    expect(readings(store)).toEqual({ rail: '5′ 2″' });
  });

  it('go all at once, with one way back', async () => {
    const before = [`a1 = 5'`, 'b1 = a1 * 2', 'b1 + a1', 'a1 -= 1"'];
    const store = await aJob(...before);
    store.removeMarks(
      store.marks.map(({ name }) => name),
      true,
    );
    expect(entries(store)).toEqual([`5'`, '(59") * 2', '(118") + (59")']);
    expect(store.undoSays).toBe('Bring all 2 marks back');
    store.undo();
    expect(entries(store)).toEqual(before);
    await vi.advanceTimersByTimeAsync(50);
    expect(store.keepState).toEqual({ kind: 'kept' });
    expect(store.conflicts).toEqual([]);
    expect([...server.lines.values()].filter(({ deleted }) => deleted)).toEqual([]);
  });
});

describe('drawing scales', () => {
  const quarter = { kind: 'sizes', paper: '1/4"', site: `1'`, name: null } as const;

  it('are added, taken in hand, written anew and taken off, each with a way back', async () => {
    const store = await aJob();
    store.addScale(quarter);
    expect(store.scaleInHand).toMatchObject({ title: '1⁄4″ = 1′', says: '1⁄4″ = 1′' });
    const id = store.scaleInHand?.id ?? '';
    store.setScaleSide('site');
    store.editScale(id, { kind: 'ratio', paper: '1', site: '20', name: ' Shoes ' });
    expect(store.scaleInHand).toMatchObject({ title: 'Shoes', says: '1:20' });
    store.removeScale(id);
    expect([store.scales, store.scaleInHand]).toEqual([[], undefined]);
    store.undo();
    expect(store.scaleInHand?.title).toBe('Shoes');
    store.undo();
    expect(store.scaleInHand?.title).toBe('1⁄4″ = 1′');
    await vi.advanceTimersByTimeAsync(50);
    expect([...server.things.values()]).toMatchObject([{ thing: { ...quarter, deleted: false } }]);
    const again = await aJob();
    expect([again.scaleInHand?.title, again.scaleSide]).toEqual(['1⁄4″ = 1′', 'site']);
  });

  it('do not follow the marks they were worked out with', async () => {
    const store = await aJob(`bar = 2 1/2"`);
    store.addScale({ kind: 'copy', paper: 'bar', site: `10'`, name: null });
    expect(store.scales).toMatchObject([{ content: { paper: '2.5"' } }]);
    expect(store.scaleIssue({ kind: 'sizes', paper: 'bar - bar', site: `1'` })).toMatchObject({
      side: 'paper',
      issue: { code: 'scale.zero' },
    });
  });

  it('changed elsewhere meanwhile stand as they are there', async () => {
    const store = await aJob();
    store.addScale(quarter);
    await vi.advanceTimersByTimeAsync(50);
    const id = store.scaleInHand?.id ?? '';
    server.things.set(id, { kind: 'scale', thing: { id, ...quarter, site: `2'`, revision: 99, deleted: false } });
    store.editScale(id, { ...quarter, site: `3'` });
    await vi.advanceTimersByTimeAsync(50);
    expect(store.scaleInHand?.says).toBe('1⁄4″ = 2′');
    expect(store.failure).toContain('was changed elsewhere');
  });
});
