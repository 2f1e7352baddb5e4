import { BATCH_LIMIT } from '@sprell/contract';
import { ENDPOINTS } from '@sprell/contract/openapi';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aLine } from './testing/a-line.ts';
import { startTestApp, type Browser, type Guest, type TestApp } from './testing/test-app.ts';

let test: TestApp;
let owner: Guest;
let reader: Guest;
let stranger: Guest;
let jobId: string;
beforeAll(async () => {
  test = await startTestApp();
  [owner, reader, stranger] = [await test.guest(), await test.guest(), await test.guest()];
  jobId = uuidv7();
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const changes = [{ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }];
  await owner.browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
  const { body } = await owner.browser.post(`/api/jobs/${jobId}/invitations`).send({ role: 'read' });
  await reader.browser
    .post('/api/invitations/accept')
    .send({ token: (body as { token: string }).token })
    .expect(200);
});
afterAll(() => test.close());

/** A body that each address takes, so that it is refused for who asks and for nothing else. */
const BODIES: Readonly<Record<string, () => object>> = {
  sendChanges: () => ({ changes: [aLine(1)] }),
  invite: () => ({ role: 'edit' }),
  acceptInvitation: () => ({ token: 'x'.repeat(43) }),
  claimAccount: () => ({ email: 'a@example.test', password: 'plumb and square' }),
  changePassword: () => ({ current: 'x', password: 'plumb and square' }),
};
const pathOf = (path: string) =>
  path.replace(':jobId', jobId).replace(':accountId', owner.accountId).replace(':revision', '0');
const ask = (browser: Browser, name: string, method: string, path: string) => {
  const asked = browser[method as 'get'](pathOf(path));
  return method === 'get' || method === 'delete' ? asked : asked.send(BODIES[name]?.() ?? {});
};
const codeOf = ({ body }: { body: unknown }) => (body as { code?: string }).code;
const OF_A_JOB = ENDPOINTS.filter(([, { path }]) => path.includes(':jobId'));

describe('every address', () => {
  it.each(ENDPOINTS.filter(([, { access }]) => access === 'account'))(
    '%s answers no one with 401',
    async (name, { method, path }) => {
      const answer = await ask(test.browser(), name, method, path);
      expect([answer.status, codeOf(answer)]).toEqual([401, 'account.needed']);
    },
  );

  it.each(OF_A_JOB)('%s answers a stranger as if the job did not exist', async (name, { method, path }) => {
    const foreign = await ask(stranger.browser, name, method, path);
    const none = await ask(stranger.browser, name, method, path.replace(':jobId', uuidv7()));
    expect([foreign.status, codeOf(foreign)]).toEqual([404, 'job.not_found']);
    expect({ ...(foreign.body as object), requestId: '' }).toEqual({ ...(none.body as object), requestId: '' });
  });

  it.each(OF_A_JOB.filter(([, { method }]) => method !== 'get'))(
    '%s is not a reader’s',
    async (name, { method, path }) => {
      const answer = await ask(reader.browser, name, method, path);
      expect([answer.status, codeOf(answer)?.startsWith('job.')]).toEqual([403, true]);
    },
  );

  it('is found by its method alone', async () => {
    for (const [, { method, path }] of ENDPOINTS) {
      const others = (['get', 'post', 'put', 'delete'] as const).filter(
        (one) => !ENDPOINTS.some(([, other]) => other.method === one && other.path === path) && one !== method,
      );
      for (const other of others) expect((await owner.browser[other](pathOf(path))).status).toBe(404);
    }
  });
});

const HOSTILE: readonly (readonly [string, unknown])[] = [
  ['a number', 7],
  ['a text', 'drop table line'],
  ['null', null],
  ['changes that are no list', { changes: { length: 1 } }],
  ['no changes', { changes: [] }],
  ['too many changes', { changes: Array.from({ length: BATCH_LIMIT + 1 }, () => aLine(1)) }],
  ['a field of its own', { changes: [aLine(1)], admin: true }],
  ['a prototype', JSON.parse('{"__proto__": {"changes": []}, "changes": [{"__proto__": {"id": "x"}}]}')],
  ['an id that is SQL', { changes: [aLine(1, { lineId: "' or 1=1; --" })] }],
  ['a position that is SQL', { changes: [aLine(1, { position: "a0'; drop table line; --" })] }],
  ['a null character', { changes: [aLine(1, { note: 'a\u0000b' })] }],
  ['half a character', { changes: [aLine(1, { label: '\ud800' })] }],
  ['a number past all lines', { changes: [aLine(1, { number: 1e308 })] }],
  ['a number that is a text', { changes: [aLine(1, { number: '1' })] }],
  ['a label as long as a book', { changes: [aLine(1, { label: 'x'.repeat(100_000) })] }],
  ['an entry as long as a book', { changes: [aLine(1, { source: '1'.repeat(100_000) })] }],
  ['a list for a text', { changes: [aLine(1, { source: ['5'] })] }],
];

describe('what is sent to do harm', () => {
  const stored = async () =>
    (await test.database.pool.query('select count(*)::int as lines from line')).rows[0] as object;

  it.each(HOSTILE)('is refused with nothing stored: %s', async (_, body) => {
    const before = await stored();
    const answer = await owner.browser
      .post(`/api/jobs/${jobId}/changes`)
      .set('Content-Type', 'application/json')
      .send(JSON.stringify(body));
    // Refused as a whole, or, where one change alone is none, by itself.
    const [result] = (answer.body as { results?: { status: string; code: string }[] }).results ?? [];
    if (result) expect([answer.status, result.status, result.code]).toEqual([200, 'refused', 'change.unfit']);
    else expect([answer.status, codeOf(answer)?.startsWith('request.')]).toEqual([400, true]);
    expect(JSON.stringify(answer.body)).not.toMatch(/node_modules|at .*\.ts|select |insert /);
    expect(await stored()).toEqual(before);
  });

  it('is too large, or no JSON, or a text that is stored as nothing but a text', async () => {
    const post = () => owner.browser.post(`/api/jobs/${jobId}/changes`).set('Content-Type', 'application/json');
    expect((await post().send(`{"changes":"${'x'.repeat(5_000_000)}"}`)).status).toBe(413);
    expect(codeOf(await post().send('{"changes": [').expect(400))).toBe('request.not_json');
    const depth = 100_000;
    const { status } = await post().send(`{"changes":${'['.repeat(depth)}${']'.repeat(depth)}}`);
    expect([400, 413]).toContain(status);
    const script = `<script>alert(1)</script>'; drop table line; --`;
    await post()
      .send({ changes: [aLine(1, { note: script, label: script })] })
      .expect(200);
    const { body } = await owner.browser.get(`/api/jobs/${jobId}`);
    expect((body as { lines: object[] }).lines.at(-1)).toMatchObject({ note: script, label: script });
  });

  it('names no address of the application', async () => {
    for (const path of [
      '/api/jobs/%00',
      '/api/jobs/..%2f..%2fetc',
      '/api/jobs/%E0%A4%A',
      `/api/jobs/${'9'.repeat(5000)}`,
    ])
      expect((await owner.browser.get(path)).status).toBeGreaterThanOrEqual(400);
  });
});
