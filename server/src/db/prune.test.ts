import { DELETED_KEPT_DAYS } from '@sprell/contract';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aLine } from '../testing/a-line.ts';
import { startTestApp, type Guest, type TestApp } from '../testing/test-app.ts';
import { CHANGES_KEPT_DAYS, prune } from './prune.ts';
import { OF_A_JOB } from './schema.ts';

let test: TestApp;
let guest: Guest;
const jobId = uuidv7();
beforeAll(async () => {
  test = await startTestApp();
  guest = await test.guest();
});
afterAll(() => test.close());

interface Answer {
  readonly body: { readonly results: readonly { readonly status: string; readonly line?: object }[] };
}
const send = (...changes: readonly object[]): PromiseLike<Answer> =>
  guest.browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
const age = (days: number) =>
  test.database.pool.query(`update change set created_at = now() - make_interval(days => $1)`, [days]);

describe('what nothing needs any more', () => {
  it('is taken out: changes that nobody sends again, codes and links past their time', async () => {
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const [kept, edited] = [aLine(1), aLine(2)];
    const edit = {
      ...{ id: uuidv7(), kind: 'line.edit', lineId: edited.lineId, base: 3 },
      ...{ position: 'a0', source: '7', label: null, note: '' },
    };
    await send({ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }, kept, edited, edit);
    await guest.browser.post('/api/account/code').send({}).expect(200);
    await guest.browser.post(`/api/jobs/${jobId}/invitations`).send({ role: 'read' }).expect(200);
    await age(CHANGES_KEPT_DAYS - 1);
    expect(await prune(test.database.pool)).toEqual({ job: 0, change: 0, one_time_code: 0, invitation: 0, claim: 0 });
    await age(CHANGES_KEPT_DAYS + 400);
    const later = aLine(3);
    await send(later);
    const inAMonth = new Date(Date.now() + 30 * 86_400_000);
    expect(await prune(test.database.pool, inAMonth)).toEqual({
      job: 0,
      change: 4,
      one_time_code: 1,
      invitation: 1,
      claim: 0,
    });
    expect(await prune(test.database.pool, inAMonth)).toEqual({
      job: 0,
      change: 0,
      one_time_code: 0,
      invitation: 0,
      claim: 0,
    });

    // All lines are there; what is sent again all the same makes no second one and undoes nothing.
    const again = await send(kept, edit, later);
    expect(again.body.results).toMatchObject([
      { status: 'applied', line: { number: 1, revision: 2 } },
      { status: 'conflict', line: { number: 2, source: '7' } },
      { status: 'applied', line: { number: 3 } },
    ]);
    const { body } = await guest.browser.get(`/api/jobs/${jobId}`).expect(200);
    expect((body as { lines: object[] }).lines).toHaveLength(3);
  });

  it('is a job that was deleted a month ago, with all that belongs to it, and no other', async () => {
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const jobs = [uuidv7(), uuidv7(), uuidv7()] as const;
    const [gone, back, kept] = jobs;
    const scale = { kind: 'ratio', paper: '1', site: '20', name: null };
    for (const id of jobs) {
      const add = { id: uuidv7(), kind: 'job.add', title: 'Barn', reading };
      const thing = { id: uuidv7(), kind: 'thing.add', of: 'scale', thingId: uuidv7(), content: scale };
      const off = { id: uuidv7(), kind: 'job.set', fields: { deleted: id !== kept } };
      const changes = [add, aLine(1), thing, off];
      await guest.browser.post(`/api/jobs/${id}/changes`).send({ changes }).expect(200);
    }
    const changes = [{ id: uuidv7(), kind: 'job.set', fields: { deleted: false } }];
    await guest.browser.post(`/api/jobs/${back}/changes`).send({ changes }).expect(200);
    const { pool } = test.database;
    const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);
    expect(await prune(pool, inDays(DELETED_KEPT_DAYS - 1))).toMatchObject({ job: 0 });
    expect(await prune(pool, inDays(DELETED_KEPT_DAYS + 1))).toMatchObject({ job: 1 });
    await guest.browser.get(`/api/jobs/${gone}`).expect(404);
    for (const id of [back, kept]) {
      const { body } = await guest.browser.get(`/api/jobs/${id}`).expect(200);
      expect(body).toMatchObject({ lines: [{ number: 1 }], scales: [{ site: '20' }] });
    }
    // By another connection: what was not committed is gone for its own alone.
    const client = new pg.Client({ connectionString: test.url });
    await client.connect();
    for (const [table, column] of Object.entries(OF_A_JOB)) {
      const { rowCount } = await client.query(`select 1 from ${table} where ${column} = $1`, [gone]);
      expect([table, rowCount]).toEqual([table, 0]);
    }
    await client.end();
  });
});
