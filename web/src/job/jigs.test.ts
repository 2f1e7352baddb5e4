import { contentOf, KIND_WIRES } from '@sprell/contract';
import { readQuantity, Slate, storedJigs } from '@sprell/core';
import { SHIPPED_JIGS, type Jig, type JigSet } from '@sprell/core/jig';
import { SOFTWOOD_TIMBERS, timbersInOrder } from '@sprell/core/tables';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { deviceHere } from '../adapters/device.ts';
import { FakeServer, JOB_ID, newDevice, OTHER_ID } from '../testing/fake-server.ts';
import { Jobs } from './jobs.ts';
import type { OpenJob } from './open-job.ts';

let server: FakeServer;
let jobs: Jobs;
let job: OpenJob;
beforeAll(async () => {
  await Promise.all([import('../adapters/job-server.ts'), import('./account-shelf.ts'), import('./new-job.ts')]);
});
beforeEach(async () => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  newDevice();
  vi.stubGlobal('fetch', server.fetch);
  jobs = new Jobs(deviceHere());
  await jobs.start();
  job = jobs.open;
});
afterEach(async () => {
  await vi.advanceTimersByTimeAsync(50);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const [decking] = SHIPPED_JIGS as readonly [Jig, ...Jig[]];
const set: JigSet = { jig: decking, uses: [] };
const wider: JigSet = {
  jig: {
    ...decking,
    version: 2,
    steps: decking.steps.map((step) => (step.name === 'boards' ? { ...step, entry: `${step.entry} + 1` } : step)),
  },
  uses: [],
};
const readingOf = (row: number) => {
  const worked = job.slate.rows[row];
  if (worked?.kind !== 'worked') return undefined;
  const { result } = worked.worked;
  return result.ok ? result.quantity && readQuantity(result.quantity).text : result.issue.code;
};
const landed = (entry: string) => {
  job.lines.land(entry);
  return job.slate.rows.length - 1;
};

describe('a jig in a job', () => {
  it('is used in entries by its name once it is there, and is kept by its id', () => {
    const before = landed(`decking(width = 12')`);
    expect(readingOf(before)).toBe('entry.side_by_side');
    expect(job.jigs.bring(set)).toBe('decking');
    expect(job.jigs.bring(set)).toBe('decking');
    expect(job.jigs.list.map(({ name, version }) => [name, version])).toEqual([['decking', 1]]);
    // What was written before it came reads by it now.
    expect(readingOf(before)).toBe('26');
    const row = landed(`last_board from decking(width = 12') + #1 * 1"`);
    expect(readingOf(row)).toBe('2′ 5 3⁄8″');
    const { id } = job.jigs.list[0] as { readonly id: string };
    expect(storedJigs(job.slate.rows[row]?.line.source ?? '')).toEqual([id]);
    expect(job.jigs.usersOf(id)).toEqual({ lines: [2], fields: 0 });
    // What the page makes the server takes.
    const kept = job.things.find(id)?.thing;
    expect(kept && KIND_WIRES.find(({ name }) => name === 'jig')?.said.safeParse(contentOf(kept)).success).toBe(true);
  });

  it('stays in the version that was used, until somebody takes another: and says what that changes', () => {
    job.jigs.bring(set);
    landed(`decking(width = 12')`);
    const other = landed(`3' + 2"`);
    const on = landed('#1 * 2');
    job.jigs.bring(wider);
    const [kept] = job.jigs.list;
    expect([kept?.version, readingOf(0)]).toEqual([1, '26']);
    const changed = job.jigs.changedBy(kept?.id ?? '', wider);
    expect(changed.map(({ number, before, after }) => [number, before.ok, after.ok])).toEqual([
      [1, true, true],
      [3, true, true],
    ]);
    const source = job.slate.rows[0]?.line.source ?? '';
    expect(job.jigs.usedBy(source)).toEqual({ jig: decking.id, newer: undefined });
    job.jigs.offer([wider]);
    expect(job.jigs.usedBy(source)).toEqual({ jig: decking.id, newer: 2 });
    expect(job.jigs.usedBy('#1 * 2')).toBeUndefined();
    job.jigs.take(kept?.id ?? '', wider);
    expect(job.jigs.usedBy(source)?.newer).toBeUndefined();
    expect([readingOf(0), readingOf(other), readingOf(on)]).toEqual(['27', '3′ 2″', '54']);
    job.steps.undo();
    expect([readingOf(0), readingOf(on), job.jigs.list[0]?.version]).toEqual(['26', '52', 1]);
  });

  it('that is taken out is missed by what uses it, and comes back with undo', () => {
    job.jigs.bring(set);
    landed(`decking(width = 12')`);
    const { id } = job.jigs.list[0] as { readonly id: string };
    job.jigs.remove(id);
    expect([readingOf(0), job.slate.shown(job.slate.rows[0]?.line.source ?? '')]).toEqual([
      'jig.gone',
      `jig_gone(width = 12')`,
    ]);
    job.steps.undo();
    expect(readingOf(0)).toBe('26');
  });

  it('of a name that another has gets a number behind it', () => {
    job.jigs.bring(set);
    const twin: JigSet = { jig: { ...decking, id: '01a00000-0000-7000-8000-000000000001' }, uses: [] };
    expect(job.jigs.bring(twin)).toBe('decking_2');
    landed(`decking_2(width = 12')`);
    expect(readingOf(0)).toBe('26');
  });

  it('goes into cells and fields of other things, and along with a copy of the job', async () => {
    job.jigs.bring(set);
    landed(`decking(width = 12')`);
    const copy = await jobs.duplicate(job.head?.id ?? '', 'Copy', new Set(['lines']));
    expect([copy, job.head?.title, readingOf(0)]).toEqual([job.head?.id, 'Copy', '26']);
    expect(job.jigs.list).toHaveLength(1);
  });
});

describe('a jig on a thread of its own', () => {
  it('comes to the same as on the page: a heavy slate goes there with its jigs', () => {
    job.jigs.bring(set);
    const options = structuredClone({ ...job.style, jigs: job.ground.jigs });
    const slate = new Slate(options);
    slate.load([{ id: 'a', number: 1, position: 'a0', source: `decking(width = 14')` }]);
    const result = slate.line('a')?.result;
    expect(result?.ok === true && result.quantity && readQuantity(result.quantity).text).toBe('30');
  });
});

describe('the jigs of an account', () => {
  const own: JigSet = {
    jig: { ...decking, id: '01a00000-0000-7000-8000-000000000002', title: 'My decking' },
    uses: [],
  };

  it('are those that ship, and one’s own with every version, in a job that no list shows', async () => {
    const shelf = (await jobs.shelf()).jigs;
    expect(shelf.list.map(({ isShipped }) => isShipped)).toEqual(SHIPPED_JIGS.map(() => true));
    await shelf.save(own);
    const second = await shelf.save({ ...own, jig: { ...own.jig, title: 'My wide decking' } });
    expect(second.jig.version).toBe(2);
    const found = shelf.find(own.jig.id);
    expect([found?.isShipped, found?.set.jig.title, found?.earlier.map(({ jig }) => jig.title)]).toEqual([
      false,
      'My wide decking',
      ['My decking'],
    ]);
    await jobs.look();
    expect(jobs.list.map(({ title }) => title)).toEqual([job.head?.title]);
  });

  it('are deleted with all their versions, and come back', async () => {
    const shelf = (await jobs.shelf()).jigs;
    await shelf.save(own);
    await shelf.save(own);
    const back = await shelf.remove(own.jig.id);
    expect(shelf.find(own.jig.id)).toBeUndefined();
    await back();
    expect(shelf.find(own.jig.id)?.earlier).toHaveLength(1);
  });

  it('are never opened in place of a job, though the server names them first', async () => {
    newDevice();
    localStorage.clear();
    server.jobs = [OTHER_ID, JOB_ID];
    server.shelves = new Set([OTHER_ID]);
    const next = new Jobs(deviceHere());
    await next.start();
    await vi.advanceTimersByTimeAsync(50);
    expect([next.open.head?.id, next.list.map(({ id }) => id)]).toEqual([JOB_ID, [JOB_ID]]);
    next.dispose();

    // And where there is nothing else, a job is made.
    newDevice();
    localStorage.clear();
    server.jobs = [OTHER_ID];
    const first = new Jobs(deviceHere());
    await first.start();
    await vi.advanceTimersByTimeAsync(50);
    expect([first.open.head?.id === OTHER_ID, first.isFirst, first.list.length]).toEqual([false, true, 1]);
    first.dispose();
  });

  it('are there on the next page of this device', async () => {
    await (await jobs.shelf()).jigs.save(own);
    const next = new Jobs(deviceHere());
    await next.start();
    expect((await next.shelf()).jigs.find(own.jig.id)?.set).toEqual(own);
    next.dispose();
  });
});

describe('the timber of an account', () => {
  const scant = { called: '2x4', thick: '1 7/16"', wide: '3 7/16"' };

  it('stands beside its jigs, one size for each name, and is changed, deleted and brought back', async () => {
    const { timbers, jigs } = await jobs.shelf();
    await timbers.saveAll(SOFTWOOD_TIMBERS);
    await timbers.saveAll(SOFTWOOD_TIMBERS);
    expect(timbers.list).toHaveLength(SOFTWOOD_TIMBERS.length);
    expect(jigs.list.every(({ isShipped }) => isShipped)).toBe(true);

    await timbers.save({ ...scant, called: '2X4' });
    const [two] = timbers.list.filter(({ called }) => called.toLowerCase() === '2x4');
    expect(two).toMatchObject({ ...scant, called: '2X4' });
    await timbers.save(scant, two?.id);
    const back = await timbers.remove(two?.id ?? '');
    expect(timbers.list).toHaveLength(SOFTWOOD_TIMBERS.length - 1);
    await back();

    const next = new Jobs(deviceHere());
    await next.start();
    const there = (await next.shelf()).timbers.list;
    expect(there.map(({ called }) => called)).toEqual(timbersInOrder(SOFTWOOD_TIMBERS).map(({ called }) => called));
    expect(there.find(({ called }) => called === '2x4')).toMatchObject(scant);
    // What a page keeps, the server takes.
    const said = KIND_WIRES.find(({ name }) => name === 'timber')?.said;
    expect(there.every(({ head: _head, ...kept }) => said?.safeParse(contentOf(kept)).success === true)).toBe(true);
    expect(said?.safeParse({ ...scant, thick: '3 kg' }).success).toBe(false);
    expect(said?.safeParse({ ...scant, wide: 'rail' }).success).toBe(false);
    next.dispose();
  });
});
