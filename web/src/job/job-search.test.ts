import { SHIPPED_JIGS } from '@sprell/core/jig';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { deviceHere } from '../adapters/device.ts';
import type { HeavyWork } from '../adapters/heavy-work.ts';
import { newDevice } from '../testing/fake-server.ts';
import { findSizes, type SizeFinder } from './find-sizes.ts';
import { Jobs } from './jobs.ts';
import { JobSearch } from './job-search.ts';
import { firstReading } from './reading.ts';

/** The thread's work, done here. */
const beside = {
  ask: async (what) => what({ find: findSizes } as never, () => undefined),
  dispose: () => undefined,
} as HeavyWork<SizeFinder>;

beforeEach(() => {
  localStorage.clear();
  newDevice();
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
});

describe('looking for a job', () => {
  it('finds it by its title, its tags, and what stands in it, with no signal', async () => {
    const jobs = new Jobs(deviceHere());
    const reading = firstReading(['en-US']);
    const shed = await jobs.make({ title: 'Shed', reading, fields: { tags: ['Harlow Road'] } });
    jobs.open.lines.land(`top rail: 7' 6 1/2"`);
    jobs.open.lines.land('post = #1 * 2');
    jobs.open.lines.landWords('note', 'ask about the gate');
    const deck = await jobs.make({ title: 'Deck', reading });
    jobs.open.lines.land(`joist: 12'`);
    const [decking] = SHIPPED_JIGS;
    if (decking) jobs.open.jigs.bring({ jig: decking, uses: [] });
    jobs.open.lines.land(`boards: 1000 * decking(14')`);
    await jobs.here(deck);
    const search = new JobSearch(deviceHere(), beside);
    const found = async (words: string) =>
      Object.fromEntries(await search.find(jobs.list, words, new AbortController().signal));
    expect(await found('SHED')).toEqual({ [shed]: [] });
    expect(await found('harlow')).toEqual({ [shed]: [] });
    expect(await found('rail')).toEqual({ [shed]: ['top rail: 7′ 6 1⁄2″'] });
    expect(await found('gate')).toEqual({ [shed]: ['ask about the gate'] });
    expect(await found('post')).toEqual({ [shed]: ['post'] });
    expect(await found('90 1/2"')).toEqual({ [shed]: ['top rail: 7′ 6 1⁄2″'] });
    expect(await found(`15' 1"`)).toEqual({ [shed]: ['post = #1 × 2'] });
    expect(await found('144')).toEqual({ [deck]: ['joist: 12′'] });
    expect(await found('rafter')).toEqual({});
    // A jig is called by its name, and what comes of it is found.
    expect(await found('30000')).toEqual({ [deck]: [`boards: 1000 × decking(width = 14′)`] });
    search.dispose();
    jobs.dispose();
  });
});
