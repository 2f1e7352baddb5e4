import { listJobs, openJob, sendChanges } from '@sprell/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { call } from './api-client.ts';
import { remember, remembered } from './local-memory.ts';

afterEach(() => {
  vi.unstubAllGlobals();
  localStorage.clear();
});

const answering = (answer: Response | Error) => {
  const fetched = vi.fn(() => (answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)));
  vi.stubGlobal('fetch', fetched);
  return fetched;
};

describe('calling an endpoint', () => {
  it('fills the path, sends JSON, and gives back what the schema reads', async () => {
    const fetched = answering(Response.json({ revision: 3, results: [] }));
    expect(await call(sendChanges, { jobId: 'a/b' }, { changes: [] as never })).toEqual({ revision: 3, results: [] });
    expect(fetched).toHaveBeenCalledWith(
      '/api/jobs/a%2Fb/changes',
      expect.objectContaining({ method: 'POST', body: '{"changes":[]}' }),
    );
  });

  it.each([
    [
      'a problem by its code',
      Response.json({ code: 'job.not_found', message: 'There is no such job.', requestId: 'r' }, { status: 404 }),
      'job.not_found',
    ],
    ['a gateway that knows no JSON', new Response('<html>', { status: 502 }), 'server.unavailable'],
    ['anything else', new Response('?', { status: 418 }), 'server.failed'],
    ['no network', new TypeError('failed'), 'offline'],
  ])('fails with %s', async (_, answer, code) => {
    answering(answer);
    await expect(call(listJobs, {})).rejects.toMatchObject({ code });
  });

  it('does not take an answer that is not what was agreed', async () => {
    answering(Response.json({ id: 'no job' }));
    await expect(call(openJob, { jobId: 'x' })).rejects.toThrow();
  });
});

describe('what this browser remembers', () => {
  it('comes back, goes away, and is forgotten rather than failing', () => {
    remember('entry', `5' 3"`);
    expect(remembered('entry')).toBe(`5' 3"`);
    remember('entry', undefined);
    expect(remembered('entry')).toBeUndefined();
    localStorage.setItem('sprell.entry', '{broken');
    expect(remembered('entry')).toBeUndefined();
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('forbidden');
      },
      setItem: () => {
        throw new Error('full');
      },
    });
    remember('entry', 1);
    expect(remembered('entry')).toBeUndefined();
    vi.unstubAllGlobals();
  });
});
