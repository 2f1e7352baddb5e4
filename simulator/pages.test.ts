import { readQuantity } from '@sprell/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { OpenJob } from '../web/src/job/index.ts';
import { MarkStories } from '../web/src/job/mark-story.ts';
import { v7 as uuidv7 } from 'uuid';
import { Random } from './random.ts';
import { SimDevice, type SimPage } from './sim-device.ts';
import { SimServer } from './sim-server.ts';

let server: SimServer;
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new SimServer(uuidv7());
});
afterEach(() => {
  for (const device of devices.splice(0)) for (const page of [...device.pages]) device.kill(page);
  vi.useRealTimers();
});

const devices: SimDevice[] = [];
async function pass(milliseconds = 3000): Promise<void> {
  await vi.advanceTimersByTimeAsync(milliseconds);
  if (milliseconds === 0) return;
  // What is loaded when it is wanted comes in its own time.
  await vi.dynamicImportSettled();
  await vi.advanceTimersByTimeAsync(milliseconds);
}

function aDevice(role: 'own' | 'edit' | 'read' = 'own'): SimDevice {
  const device = new SimDevice(`D${devices.length}`, { role, server, random: new Random(devices.length) });
  devices.push(device);
  return device;
}
async function aPage(device: SimDevice): Promise<SimPage> {
  const opened = device.openPage();
  await pass();
  return opened;
}
async function online(device: SimDevice, isOnline: boolean): Promise<void> {
  device.isOnline = isOnline;
  if (isOnline) window.dispatchEvent(new Event('online'));
  await pass();
}

const says = (job: OpenJob) => job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : row.words));
const numbers = (job: OpenJob) => job.slate.rows.map(({ line }) => line.number);
const sizes = (job: OpenJob) =>
  job.slate.rows.map((row) =>
    row.kind === 'worked' && row.worked.result.ok && row.worked.result.outcome.kind === 'quantity'
      ? readQuantity(row.worked.result.outcome.quantity).text
      : undefined,
  );
const idOf = (job: OpenJob, nth: number) => job.slate.rows[nth]?.line.id as string;
const versions = (job: OpenJob) => job.conflicts.list.map(({ mineSays, theirsSays }) => [mineSays, theirsSays]);

describe('two pages of one browser', () => {
  it('show what the other did at once, also where there is no signal, and undo it', async () => {
    const device = aDevice();
    const [one, other] = [await aPage(device), await aPage(device)];
    await online(device, false);
    one.job.lines.land(`rail: 5'`);
    await pass(0);
    expect(says(other.job)).toEqual([`rail: 5'`]);
    other.job.lines.edit(idOf(other.job, 0), `rail: 6'`);
    await pass(0);
    expect(says(one.job)).toEqual([`rail: 6'`]);
    one.job.steps.undo();
    await pass(0);
    expect(says(other.job)).toEqual([`rail: 5'`]);
    expect(other.job.steps.undoSays).toBe('Remove #1');
  });

  it('give each number once, and nothing is said to be renumbered', async () => {
    const device = aDevice();
    const [one, other] = [await aPage(device), await aPage(device)];
    await online(device, false);
    for (let times = 0; times < 3; times += 1) {
      // Neither has heard of the other's.
      one.job.lines.land(`1'`);
      other.job.lines.land(`2'`);
      other.job.lines.land('* 2');
      await pass(0);
    }
    await online(device, true);
    for (const { job } of [one, other]) {
      expect([...numbers(job)].sort((a, b) => Number(a) - Number(b))).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
      expect(job.slate.renumbered).toEqual([]);
      // What goes on from a line goes on from that one, whatever its number is.
      expect(sizes(job).filter((size) => size === '4′')).toHaveLength(3);
    }
  });

  it('lose no version of a line that both wrote at once, and show the same ones until one is chosen', async () => {
    const device = aDevice();
    const [one, other] = [await aPage(device), await aPage(device)];
    one.job.lines.land(`5'`);
    await pass();
    await online(device, false);
    one.job.lines.edit(idOf(one.job, 0), `6'`);
    other.job.lines.edit(idOf(other.job, 0), `7'`);
    await pass(0);
    await online(device, true);
    expect(versions(one.job)).toEqual([[`7'`, `6'`]]);
    expect(versions(other.job)).toEqual([[`7'`, `6'`]]);
    const again = await aPage(device);
    expect(versions(again.job)).toEqual([[`7'`, `6'`]]);
    one.job.conflicts.resolve(one.job.conflicts.list[0] as never, 'mine');
    await pass(0);
    expect([says(one.job), says(other.job)]).toEqual([[`7'`], [`7'`]]);
    expect([versions(one.job), versions(other.job)]).toEqual([[], []]);
  });
});

describe('a line that is being written', () => {
  it('while somebody else writes it is kept in both versions, and is not lost where it was deleted', async () => {
    const [mine, theirs] = [await aPage(aDevice()), await aPage(aDevice('edit'))];
    mine.job.lines.land(`5'`);
    mine.job.lines.land(`8'`);
    await pass();
    const begun = mine.job.slate.rows.map(({ line }) => line);
    theirs.job.lines.edit(idOf(theirs.job, 0), `6'`);
    theirs.job.lines.remove(idOf(theirs.job, 1));
    await pass();
    mine.job.lines.edit(begun[0]?.id as string, `7'`, begun[0]);
    mine.job.lines.edit(begun[1]?.id as string, `9'`, begun[1]);
    await pass();
    expect(says(mine.job)).toEqual([`6'`]);
    expect(versions(mine.job)).toEqual([
      [`7'`, `6'`],
      [`9'`, undefined],
    ]);
    // Nobody wrote this one meanwhile.
    const now = mine.job.slate.rows[0]?.line;
    mine.job.lines.edit(now?.id as string, `10'`, now);
    expect(says(mine.job)).toEqual([`10'`]);
  });
});

describe('versions of a line', () => {
  it('stay all of them where it is written again before one is chosen', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    mine.job.lines.land(`1' 0"`);
    await pass();
    for (const [ours, other] of [
      [`1' 9"`, `1' 10"`],
      [`1' 3"`, `1' 4"`],
    ] as const) {
      await online(a, false);
      mine.job.lines.edit(idOf(mine.job, 0), ours);
      theirs.job.lines.edit(idOf(theirs.job, 0), other);
      await pass();
      await online(a, true);
    }
    expect(says(mine.job)).toEqual([`1' 4"`]);
    expect(versions(mine.job)).toEqual([
      [`1' 9"`, `1' 4"`],
      [`1' 3"`, `1' 4"`],
    ]);
  });

  it('that say the same are no question', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    mine.job.lines.land(`5'`);
    await pass();
    await online(a, false);
    mine.job.lines.edit(idOf(mine.job, 0), `6'`);
    theirs.job.lines.edit(idOf(theirs.job, 0), `6'`);
    await pass();
    await online(a, true);
    expect([versions(mine.job), says(mine.job), mine.jobs.keepState.kind]).toEqual([[], [`6'`], 'kept']);
  });
});

describe('marks of one name', () => {
  it('renamed apart to it both stand, no size changes, and it is said', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    for (const entry of [`alpha = 5'`, `beta = 6'`, `alpha + 1"`, `beta + 1"`]) mine.job.lines.land(entry);
    await pass();
    await online(a, false);
    await online(b, false);
    const rename = (page: SimPage, from: string) => {
      new MarkStories(page.job).rename(from, 'gamma');
    };
    rename(mine, 'alpha');
    rename(theirs, 'beta');
    await pass();
    await online(a, true);
    await online(b, true);
    await pass();
    for (const { job } of [mine, theirs]) {
      expect(job.marks.list.map(({ name, reading }) => [name, reading])).toEqual([
        ['gamma', '5′'],
        ['gamma_2', '6′'],
      ]);
      expect(sizes(job)).toEqual(['5′', '6′', '5′ 1″', '6′ 1″']);
    }
    // The later one is notified, also after a reload.
    expect(mine.job.marksApart.met).toEqual([]);
    const again = await aPage(b);
    expect(again.job.marksApart.met).toMatchObject([{ name: 'gamma', mineIs: 'gamma_2' }]);
    again.job.marksApart.see();
    expect((await aPage(b)).job.marksApart.met).toEqual([]);
  });

  it('stored apart under a new name both stand, with the lines that were written on each', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    await online(a, false);
    await online(b, false);
    for (const entry of [`rail = 5'`, 'rail * 2']) mine.job.lines.land(entry);
    for (const entry of [`rail = 6'`, 'rail += 1"', 'rail * 3']) theirs.job.lines.land(entry);
    await pass();
    await online(a, true);
    await online(b, true);
    for (const { job } of [mine, theirs]) {
      expect(job.marks.list.map(({ name, reading }) => [name, reading]).sort()).toEqual([
        ['rail', '5′'],
        ['rail_2', '6′ 1″'],
      ]);
      expect([...sizes(job)].sort()).toEqual(['10′', '18′ 3″', '5′', '6′', '6′ 1″']);
    }
  });

  it('stored again apart is one mark still, and that is said; stored again by somebody who knows it is not', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    mine.job.lines.land(`rail = 5'`);
    await pass();
    theirs.job.lines.land(`rail = 5' 6"`);
    await pass();
    expect([mine.job.marksApart.met, theirs.job.marksApart.met]).toEqual([[], []]);
    await online(b, false);
    mine.job.lines.land(`rail = 6'`);
    theirs.job.lines.land(`rail = 7'`);
    await pass();
    await online(b, true);
    expect(theirs.job.marks.list).toHaveLength(1);
    expect(theirs.job.marksApart.met.map(({ name, mineIs }) => [name, mineIs])).toEqual([['rail', undefined]]);
    expect(mine.job.marksApart.met).toEqual([]);
  });
});

describe('a mark that is renamed', () => {
  it('is so in what others wrote with it meanwhile, and of two new names the later stands', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    for (const entry of [`rail = 5'`, 'rail * 2']) mine.job.lines.land(entry);
    await pass();
    await online(b, false);
    new MarkStories(mine.job).rename('rail', 'stile');
    theirs.job.lines.land('rail * 3');
    theirs.job.lines.land('rail += 1"');
    await pass();
    await online(b, true);
    for (const { job } of [mine, theirs]) {
      expect(says(job)).toEqual([`stile = 5'`, 'stile * 2', 'stile * 3', 'stile += 1"']);
      expect(sizes(job)).toEqual(['5′', '10′ 2″', '15′ 3″', '5′ 1″']);
      expect(versions(job)).toEqual([]);
    }
    await online(b, false);
    new MarkStories(mine.job).rename('stile', 'post');
    new MarkStories(theirs.job).rename('stile', 'jamb');
    await pass();
    await online(b, true);
    for (const { job, jobs } of [mine, theirs]) {
      expect(job.marks.list.map(({ name, reading }) => [name, reading])).toEqual([['jamb', '5′ 1″']]);
      expect(says(job)[1]).toBe('jamb * 2');
      expect([job.things.list('mark').length, jobs.keepState.kind]).toEqual([1, 'kept']);
    }
    // What somebody else named since is not undone by the one who named it before.
    mine.job.steps.undo();
    expect(mine.job.failure).toBe('The mark jamb was changed elsewhere since. It stands as it is there.');
    theirs.job.steps.undo();
    await pass();
    expect(mine.job.marks.list.map(({ name }) => name)).toEqual(['stile']);
  });
});

describe('after a backup was put back', () => {
  it('a device sends again what the server lacks, and keeps what was changed on both sides', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    for (const entry of [`one: 1'`, `two: 2'`]) mine.job.lines.land(entry);
    mine.job.scales.add({ kind: 'ratio', paper: '1', site: '20', name: 'Plan' });
    await pass();
    server.backUp();
    mine.job.lines.land(`three: 3'`);
    mine.job.lines.edit(idOf(mine.job, 0), `one: 1' 1"`);
    mine.job.lines.remove(idOf(mine.job, 1));
    mine.job.scales.add({ kind: 'ratio', paper: '1', site: '50', name: 'Detail' });
    await pass();
    await online(b, false);
    server.restore();
    theirs.job.lines.land(`four: 4'`);
    await pass();
    await online(b, true);
    await pass(10_000);
    for (const { job, jobs } of [mine, theirs]) {
      expect([...says(job)].sort()).toEqual([`four: 4'`, `one: 1' 1"`, `three: 3'`]);
      expect(job.scales.list.map(({ title }) => title)).toEqual(['Plan', 'Detail']);
      expect(job.conflicts.list).toEqual([]);
      expect(jobs.keepState.kind).toBe('kept');
    }
    expect(server.read('own', -1).lines.filter(({ deleted }) => !deleted)).toHaveLength(3);
  });
});

describe('somebody who may only read', () => {
  it('is informed before anything is written, and what they work out is not lost', async () => {
    const mine = await aPage(aDevice());
    mine.job.lines.land(`5'`);
    await pass();
    const reader = await aPage(aDevice('read'));
    reader.job.lines.land(`6'`);
    reader.job.lines.edit(idOf(reader.job, 0), `7'`);
    reader.job.lines.remove(idOf(reader.job, 0));
    reader.job.steps.undo();
    reader.job.scales.add({ kind: 'ratio', paper: '1', site: '20', name: null });
    reader.job.reading.set({ finest: 8 });
    await pass();
    expect(says(reader.job)).toEqual([`5'`]);
    expect([reader.job.isReader, reader.job.steps.undoSays, reader.jobs.keepState.kind]).toEqual([
      true,
      undefined,
      'kept',
    ]);
    expect(reader.job.failure).toContain('This job is yours to read');
  });

  it('only since what they wrote with no signal can copy that away, and drops it', async () => {
    const [a, b] = [aDevice(), aDevice('edit')];
    const [mine, theirs] = [await aPage(a), await aPage(b)];
    mine.job.lines.land(`5'`);
    await pass();
    await online(b, false);
    theirs.job.lines.land(`post: 6'`);
    theirs.job.lines.edit(idOf(theirs.job, 0), `7'`);
    await pass();
    b.role = 'read';
    await online(b, true);
    await pass(10_000);
    expect(says(theirs.job)).toEqual([`5'`]);
    expect(theirs.job.refusals.list.map((one) => one.says).sort()).toEqual([`7'`, `post: 6'`]);
    expect(theirs.job.refusals.list[0]?.why).toContain('yours to read');
    expect(theirs.jobs.keepState.kind).toBe('kept');
    const again = await aPage(b);
    void again.job.refusals.drop(again.job.refusals.list);
    await pass();
    expect([again.job.refusals.list, theirs.job.refusals.list]).toEqual([[], []]);
  });
});
