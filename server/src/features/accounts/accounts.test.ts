import type { AccountWire, JobSummary } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { anAddress, claimed, codeOf, PASSWORD, signIn } from '../../testing/people.ts';
import { startTestApp, tokenFor, tokensFor, type Browser, type TestApp } from '../../testing/test-app.ts';

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

const READING = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };

async function aJob({ browser }: { readonly browser: Browser }, title: string): Promise<string> {
  const jobId = uuidv7();
  const changes = [{ id: uuidv7(), kind: 'job.add', title, reading: READING }];
  await browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
  return jobId;
}
const titles = async (browser: Browser) =>
  ((await browser.get('/api/jobs').expect(200)).body as JobSummary[]).map(({ title }) => title).sort();
const resetToken = (email: string) => tokenFor(test.mail, email, 'new-password');

describe('a guest', () => {
  it('has an account of its own, the same one for as long as the browser knows it', async () => {
    const { browser, accountId } = await test.guest();
    expect((await browser.post('/api/account/guest').send({})).body).toEqual({ id: accountId, email: null, key: null });
    expect((await browser.get('/api/account')).body).toEqual({ id: accountId, email: null, waitsFor: null });
    expect(codeOf(await test.browser().get('/api/account').expect(401))).toBe('account.needed');
  });

  it('is given its jobs along with it where it wants them, the first of them whole, and packed on the way', async () => {
    const guest = await test.guest();
    const jobId = await aJob(guest, 'Barn');
    const there = await guest.browser.post('/api/account/guest').send({ wants: 'jobs' }).expect(200);
    const job = (await guest.browser.get(`/api/jobs/${jobId}`)).body as object;
    expect(there.body).toMatchObject({ id: guest.accountId, jobs: [{ id: jobId, title: 'Barn' }], first: job });
    const { body: none } = await test.browser().post('/api/account/guest').send({ wants: 'jobs' }).expect(200);
    expect(none).toMatchObject({ jobs: [] });
    expect(none).not.toHaveProperty('first');
    const long = 'x'.repeat(1900);
    const line = {
      kind: 'line.add',
      lineId: uuidv7(),
      number: 1,
      position: 'a0',
      source: '1',
      label: null,
      note: long,
    };
    await guest.browser
      .post(`/api/jobs/${jobId}/changes`)
      .send({ changes: [{ id: uuidv7(), ...line }] })
      .expect(200);
    const packed = await guest.browser
      .post('/api/account/guest')
      .set('Accept-Encoding', 'gzip')
      .send({ wants: 'jobs' });
    expect(packed.headers['content-encoding']).toBe('gzip');
  });

  it('that lost its cookie comes back by its key, for as long as it is a guest', async () => {
    const browser = test.browser();
    const { body } = await browser.post('/api/account/guest').send({});
    const { id, key } = body as { id: string; key: string };
    const { rows } = await test.database.pool.query('select hash from guest_key where account_id = $1', [id]);
    expect((rows[0] as { hash: string }).hash).not.toContain(key);
    const again = test.browser();
    await again.post('/api/account/guest').send({ key }).expect(200, { id, email: null, key });
    await again.get('/api/jobs').expect(200);
    await test.claim(again, anAddress(), PASSWORD);
    expect(codeOf(await test.browser().post('/api/account/guest').send({ key }).expect(404))).toBe('code.unknown');
  });

  it('is known by a cookie that no script reads and no other site sends', async () => {
    const answer = await test.browser().post('/api/account/guest').send({});
    const [cookie] = answer.headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/^sprell=.*; Path=\/; Expires=.*; HttpOnly; SameSite=Lax$/);
    const behindTls = await test
      .browser()
      .post('/api/account/guest')
      .set('X-Forwarded-Proto', 'https')
      .set('Origin', 'https://sprell.test')
      .send({});
    expect(behindTls.headers['set-cookie']?.[0]).toContain('; Secure');
  });
});

describe('signing in', () => {
  it('says the same of a wrong password and of an address that is unknown', async () => {
    const { email } = await claimed(test);
    const wrong = await signIn(test.browser(), email, 'out of plumb');
    const unknown = await signIn(test.browser(), anAddress());
    expect([wrong.status, codeOf(wrong)]).toEqual([401, 'account.wrong']);
    expect({ ...(unknown.body as object), requestId: '' }).toEqual({ ...(wrong.body as object), requestId: '' });
  });

  it("brings what the browser's guest made along, on its other devices too", async () => {
    const owner = await claimed(test);
    await aJob(owner, 'Porch');
    const guest = await test.guest();
    const jobId = await aJob(guest, 'Gate');
    const { body } = await guest.browser.post('/api/account/code').send({}).expect(200);
    const phone = test.browser();
    await phone
      .post('/api/account/code/use')
      .send({ code: (body as { code: string }).code })
      .expect(200);
    const { body: account } = await signIn(guest.browser, owner.email).expect(200);
    expect((account as AccountWire).id).toBe(owner.accountId);
    for (const browser of [guest.browser, phone, owner.browser])
      expect(await titles(browser)).toEqual(['Gate', 'Porch']);
    // What the guest had sent is known of the account: sent again, it is done once.
    await phone.get(`/api/jobs/${jobId}`).expect(200);
  });

  it('opens a session with another id, so that one known before opens nothing', async () => {
    const { email } = await claimed(test);
    const browser = test.browser();
    const made = await browser.post('/api/account/guest').send({});
    const before = made.headers['set-cookie']?.[0]?.split(';')[0] as string;
    await test.browser().get('/api/account').set('Cookie', before).expect(200);
    await signIn(browser, email).expect(200);
    await test.browser().get('/api/account').set('Cookie', before).expect(401);
  });

  it('is written once a day, and not at every request', async () => {
    const { browser } = await test.guest();
    const written = async () =>
      (await test.database.pool.query<{ xmin: string }>('select xmin::text from session order by 1')).rows;
    await browser.get('/api/jobs').expect(200);
    const before = await written();
    for (let n = 0; n < 3; n += 1) await browser.get('/api/jobs').expect(200);
    expect(await written()).toEqual(before);
  });

  it('ends here, or everywhere at once', async () => {
    const { browser, email } = await claimed(test);
    const [second, third] = [test.browser(), test.browser()];
    await signIn(second, email).expect(200);
    await signIn(third, email).expect(200);
    await second.post('/api/account/sign-out').send({ everywhere: false }).expect(200);
    await second.get('/api/jobs').expect(401);
    await third.get('/api/jobs').expect(200);
    await third.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    for (const one of [browser, third]) await one.get('/api/jobs').expect(401);
  });

  it('takes codes, links and keys along when it ends everywhere', async () => {
    const { browser, email } = await claimed(test);
    const codes: string[] = [];
    const aCode = async (from: Browser) => {
      const { body } = await from.post('/api/account/code').send({}).expect(200);
      codes.push((body as { code: string }).code);
    };
    const useAll = async () => {
      for (const code of codes.splice(0))
        expect(codeOf(await test.browser().post('/api/account/code/use').send({ code }).expect(404))).toBe(
          'code.unknown',
        );
    };
    await aCode(browser);
    await browser.post('/api/account/password').send({ current: PASSWORD, password: 'level and true' }).expect(200);
    await useAll();
    await aCode(browser);
    await browser.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    await useAll();

    await test.browser().post('/api/account/reset').send({ email }).expect(200);
    await test.browser().post('/api/account/reset').send({ email }).expect(200);
    await vi.waitFor(() => expect(tokensFor(test.mail, email, 'new-password')).toHaveLength(2));
    const tokens = tokensFor(test.mail, email, 'new-password');
    const use = (token: string | undefined) =>
      test.browser().post('/api/account/reset/use').send({ token, password: 'sharp as a chisel' });
    expect(new Set(tokens).size).toBe(2);
    await use(tokens[1]).expect(200);
    expect(codeOf(await use(tokens[0]).expect(404))).toBe('code.unknown');

    const guest = test.browser();
    const { key } = (await guest.post('/api/account/guest').send({})).body as { key: string };
    await guest.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    expect(codeOf(await test.browser().post('/api/account/guest').send({ key }).expect(404))).toBe('code.unknown');
  });

  it('is ended though a request of it was under way, first thing that day', async () => {
    const { browser, email } = await claimed(test);
    const other = test.browser();
    await signIn(other, email).expect(200);
    await test.database.pool.query(`update session set sess = jsonb_set(sess::jsonb, '{day}', '"2001-01-01"')::json`);
    // Each of them writes the day at its end, behind the sign-out that overtakes it or ahead of it.
    const underWay = Array.from({ length: 20 }, () => other.get('/api/account'));
    await Promise.all([browser.post('/api/account/sign-out').send({ everywhere: true }), ...underWay]);
    await other.get('/api/account').expect(401);
  });

  it('lives on from the day that it was last used', async () => {
    const { browser } = await test.guest();
    await test.database.pool.query(
      `update session set expire = now() + interval '1 day', sess = jsonb_set(sess::jsonb, '{day}', '"2001-01-01"')::json`,
    );
    const { headers } = await browser.get('/api/account').expect(200);
    expect(headers['set-cookie']?.[0]).toMatch(/^sprell=/);
    const { rows } = await test.database.pool.query(
      `select count(*)::int as renewed from session where expire > now() + interval '180 days'`,
    );
    expect(rows).toEqual([{ renewed: 1 }]);
    expect((await browser.get('/api/account').expect(200)).headers['set-cookie']).toBeUndefined();
  });

  it('takes a new password where the old one is known, and ends every other session', async () => {
    const { browser, email } = await claimed(test);
    const other = test.browser();
    await signIn(other, email).expect(200);
    const change = (current: string) =>
      browser.post('/api/account/password').send({ current, password: 'level and true' });
    expect(codeOf(await change('not it').expect(401))).toBe('account.wrong');
    await change(PASSWORD).expect(200);
    await browser.get('/api/jobs').expect(200);
    await other.get('/api/jobs').expect(401);
    await signIn(other, email).expect(401);
    await signIn(other, email, 'level and true').expect(200);
  });

  it('keeps passwords by a hash that costs memory, and codes by a hash', async () => {
    const { accountId, browser } = await claimed(test);
    const { body } = await browser.post('/api/account/code').send({});
    const { rows } = await test.database.pool.query('select * from account where id = $1', [accountId]);
    expect((rows[0] as { password_hash: string }).password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const codes = JSON.stringify((await test.database.pool.query('select * from one_time_code')).rows);
    expect(codes).not.toContain((body as { code: string }).code.replace('-', ''));
  });
});

describe('a code for another device', () => {
  it('is good once, however it is written', async () => {
    const guest = await test.guest();
    await aJob(guest, 'Stair');
    const { body } = await guest.browser.post('/api/account/code').send({});
    const { code } = body as { code: string };
    expect(code).toMatch(/^[2-9A-HJKMNP-TW-ZV]{5}-[2-9A-HJKMNP-TW-ZV]{5}$/);
    const phone = test.browser();
    const use = (browser: Browser, text: string) => browser.post('/api/account/code/use').send({ code: text });
    const entered = await use(phone, ` ${code.toLowerCase().replace('-', ' ')} `).expect(200);
    // It has a key of its own, should its cookie be lost.
    const { key } = entered.body as { key: string };
    const again = test.browser();
    await again.post('/api/account/guest').send({ key }).expect(200, { id: guest.accountId, email: null, key });
    expect(await titles(again)).toEqual(['Stair']);
    expect(await titles(phone)).toEqual(['Stair']);
    expect(codeOf(await use(test.browser(), code).expect(404))).toBe('code.unknown');
    // Each has its own session: one that signs out takes the other nowhere.
    await phone.post('/api/account/sign-out').send({ everywhere: false }).expect(200);
    await guest.browser.get('/api/jobs').expect(200);
  });

  it('is too old after a quarter of an hour', async () => {
    const guest = await test.guest();
    const { body } = await guest.browser.post('/api/account/code').send({});
    const { rows } = await test.database.pool.query<{ minutes: string }>(
      `select extract(epoch from max(expires_at) - now()) / 60 as minutes from one_time_code where account_id = $1`,
      [guest.accountId],
    );
    expect(Math.ceil(Number(rows[0]?.minutes))).toBe(15);
    await test.database.pool.query(`update one_time_code set expires_at = now() - interval '1 second'`);
    await test
      .browser()
      .post('/api/account/code/use')
      .send(body as object)
      .expect(400);
    const { code } = body as { code: string };
    await test.browser().post('/api/account/code/use').send({ code }).expect(404);
  });
});

describe('a forgotten password', () => {
  it('is reset by a link that goes to the address, is good once, and ends every session', async () => {
    const { browser, email } = await claimed(test);
    await test.browser().post('/api/account/reset').send({ email }).expect(200);
    const token = await resetToken(email);
    const fresh = test.browser();
    const set = () => fresh.post('/api/account/reset/use').send({ token, password: 'sharp as a chisel' });
    await set().expect(200);
    await browser.get('/api/jobs').expect(401);
    await fresh.get('/api/jobs').expect(200);
    expect(codeOf(await set().expect(404))).toBe('code.unknown');
    await signIn(test.browser(), email, 'sharp as a chisel').expect(200);
  });

  it('answers alike for an address that nobody has, and writes to nobody', async () => {
    const before = test.mail.sent().length;
    const { body } = await test.browser().post('/api/account/reset').send({ email: anAddress() }).expect(200);
    expect(body).toEqual({ done: true });
    expect(test.mail.sent()).toHaveLength(before);
  });

  it('is written of only when the link in the letter is good', async () => {
    const { email } = await claimed(test);
    const send = vi.spyOn(test.mail, 'send').mockImplementation(async ({ text }) => {
      const token = /new-password#(\S+)/.exec(text)?.[1];
      // The holder of the letter gets in at the same time.
      await test.browser().post('/api/account/reset/use').send({ token, password: 'sharp as a chisel' }).expect(200);
    });
    await test.browser().post('/api/account/reset').send({ email }).expect(200);
    await vi.waitFor(() => expect(send).toHaveBeenCalledOnce());
    await (send.mock.results[0]?.value as Promise<void>);
    send.mockRestore();
    await signIn(test.browser(), email, 'sharp as a chisel').expect(200);
  });

  it('answers alike where mail is slow or does not go, and does not reveal who has an account', async () => {
    const { email } = await claimed(test);
    const never = vi.spyOn(test.mail, 'send').mockReturnValue(new Promise(() => undefined));
    await test.browser().post('/api/account/reset').send({ email }).expect(200, { done: true });
    await vi.waitFor(() => expect(never).toHaveBeenCalledOnce());
    never.mockRejectedValue(new Error('The mail server is away.'));
    await test.browser().post('/api/account/reset').send({ email }).expect(200, { done: true });
    await vi.waitFor(() => expect(never).toHaveBeenCalledTimes(2));
    never.mockRestore();
  });
});

describe('what was sent', () => {
  it('can be looked at with the demo alone, as text', async () => {
    await test.browser().get('/outbox').expect(404);
    const demo = await startTestApp({ demo: true });
    await demo.mail.send({ to: 'a@example.test', subject: '<script>', text: 'see http://x.test/a?b=1&c' });
    const page = await demo.browser().get('/outbox').expect(200);
    expect(page.text).toContain('&lt;script&gt;');
    expect(page.text).toContain('<a href="http://x.test/a?b=1&amp;c">');
    await demo.close();
  });
});

describe('the door', () => {
  it('takes no write from a page of another origin', async () => {
    const { browser } = await test.guest();
    for (const origin of ['http://elsewhere.test', 'null', 'http://sprell.test:8080']) {
      const answer = await browser.post('/api/account/code').set('Origin', origin).send({});
      expect([answer.status, codeOf(answer)]).toEqual([403, 'request.foreign']);
    }
  });

  it('is open to so many requests a minute', async () => {
    const small = await startTestApp({ limits: { requestsAMinute: 30, guessesAQuarterHour: 3 } });
    const browser = small.browser();
    const statuses = [];
    for (let tries = 0; tries < 32; tries += 1) statuses.push((await browser.get('/api/account')).status);
    expect(statuses.slice(-2)).toEqual([429, 429]);
    await small.close();
  });
});
