import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { aLine } from '../../testing/a-line.ts';
import { startTestApp, type Browser, type Guest, type TestApp } from '../../testing/test-app.ts';

let test: TestApp;
let owner: Guest;
let other: Guest;
let jobId: string;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());
beforeEach(async () => {
  [owner, other] = [await test.guest(), await test.guest()];
  jobId = uuidv7();
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  await send(owner.browser, { id: uuidv7(), kind: 'job.add', title: 'Shed', reading }).expect(200);
});

const send = (browser: Browser, ...changes: readonly object[]) =>
  browser.post(`/api/jobs/${jobId}/changes`).send({ changes });
async function invited(role: 'read' | 'edit'): Promise<string> {
  const { body } = await owner.browser.post(`/api/jobs/${jobId}/invitations`).send({ role }).expect(200);
  return (body as { token: string }).token;
}
const accept = ({ browser }: Guest, token: string) => browser.post('/api/invitations/accept').send({ token });
const codeOf = ({ body }: { body: unknown }) => (body as { code?: string }).code;

describe('a job that others are invited to', () => {
  it('is read by a reader and changed by an editor; both see it in their list', async () => {
    await accept(other, await invited('read')).expect(200, { jobId });
    expect((await other.browser.get('/api/jobs')).body).toMatchObject([{ id: jobId, title: 'Shed', role: 'read' }]);
    const refused = await send(other.browser, aLine(1));
    expect([refused.status, codeOf(refused)]).toEqual([403, 'job.read_only']);
    expect((await other.browser.get(`/api/jobs/${jobId}`)).body).toMatchObject({ role: 'read', lines: [] });

    await accept(other, await invited('edit')).expect(200);
    await send(other.browser, aLine(1)).expect(200);
    // A further link to read makes nobody less.
    await accept(other, await invited('read')).expect(200);
    await send(other.browser, aLine(2)).expect(200);
    expect((await owner.browser.get(`/api/jobs/${jobId}`)).body).toMatchObject({ role: 'own', revision: 3 });
  });

  it('shows its owner the addresses of those who have one', async () => {
    await test.claim(other.browser, 'mate@example.test', 'sharp as a chisel');
    await accept(other, await invited('read')).expect(200);
    const { body } = await owner.browser.get(`/api/jobs/${jobId}/members`).expect(200);
    expect(body).toEqual([{ accountId: other.accountId, email: 'mate@example.test', role: 'read' }]);
  });

  it('is closed at once to a member that is removed, or leaves', async () => {
    await accept(other, await invited('edit')).expect(200);
    const { body } = await owner.browser.get(`/api/jobs/${jobId}/members`).expect(200);
    expect(body).toEqual([{ accountId: other.accountId, email: null, role: 'edit' }]);
    await owner.browser.delete(`/api/jobs/${jobId}/members/${other.accountId}`).expect(200, { done: true });
    expect(codeOf(await send(other.browser, aLine(1)).expect(404))).toBe('job.not_found');
    const link = await invited('edit');
    await accept(other, link).expect(200);
    await other.browser.delete(`/api/jobs/${jobId}/members/${other.accountId}`).expect(200);
    await other.browser.get(`/api/jobs/${jobId}`).expect(404);
    // A member that left may come back by the link; one that was removed may not.
    await accept(other, link).expect(200);
    await owner.browser.delete(`/api/jobs/${jobId}/members/${other.accountId}`).expect(200);
    expect(codeOf(await accept(other, link).expect(404))).toBe('code.unknown');
  });

  it('lets its owner alone invite and take back; for a stranger there is no job', async () => {
    await accept(other, await invited('edit')).expect(200);
    const stranger = await test.guest();
    for (const [guest, status] of [
      [other, 403],
      [stranger, 404],
    ] as const) {
      await guest.browser.get(`/api/jobs/${jobId}/members`).expect(status);
      await guest.browser.post(`/api/jobs/${jobId}/invitations`).send({ role: 'edit' }).expect(status);
      await guest.browser.delete(`/api/jobs/${jobId}/invitations`).expect(status);
      await guest.browser.delete(`/api/jobs/${jobId}/members/${owner.accountId}`).expect(status);
    }
  });

  it('is opened by a link no longer when that is taken back or too old', async () => {
    const withdrawn = await invited('edit');
    await owner.browser.delete(`/api/jobs/${jobId}/invitations`).expect(200, { done: true });
    expect(codeOf(await accept(other, withdrawn).expect(404))).toBe('code.unknown');
    const old = await invited('edit');
    await test.database.pool.query(`update invitation set expires_at = now() - interval '1 second'`);
    await accept(other, old).expect(404);
    expect(JSON.stringify((await test.database.pool.query('select * from invitation')).rows)).not.toContain(old);
  });

  it('goes along when its owner or a member signs in to an account', async () => {
    const email = `crew${Date.now()}@example.test`;
    const account = await test.guest();
    await test.claim(account.browser, email, 'plumb and square');
    await accept(other, await invited('edit')).expect(200);
    await accept(account, await invited('read')).expect(200);
    const signIn = (browser: Browser) =>
      browser.post('/api/account/sign-in').send({ email, password: 'plumb and square' }).expect(200);
    await signIn(owner.browser);
    // Of its own job nobody is a member besides.
    expect((await owner.browser.get(`/api/jobs/${jobId}/members`)).body).toMatchObject([
      { accountId: other.accountId },
    ]);
    await signIn(other.browser);
    expect((await other.browser.get(`/api/jobs/${jobId}`)).body).toMatchObject({ role: 'own' });
    expect((await other.browser.get(`/api/jobs/${jobId}/members`)).body).toEqual([]);
  });
});

describe('a job', () => {
  it('is made once by the first change to it, and is nobody else’s to make again', async () => {
    const reading = { length: 'ft-in', finest: 32, metricStep: '1', rounding: 'up', fractions: 'held' };
    const add = { id: uuidv7(), kind: 'job.add', title: 'Shed again', reading };
    const { body } = await send(owner.browser, add, aLine(1)).expect(200);
    // It stood already, and reads as it did.
    expect(body).toMatchObject({ results: [{ status: 'reads', reading: { length: 'mm' } }, { status: 'applied' }] });
    await send(other.browser, { ...add, id: uuidv7() }).expect(404);
  });
});
