import type { JobSummary } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { anAddress, claimed, codeOf, PASSWORD, signIn } from '../../testing/people.ts';
import { findAccount, giveAddress } from './accounts.repository.ts';
import { startTestApp, tokenFor, tokensFor, type Browser, type TestApp } from '../../testing/test-app.ts';

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

const READING = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
const titles = async (browser: Browser) =>
  ((await browser.get('/api/jobs').expect(200)).body as JobSummary[]).map(({ title }) => title);

describe('an address of one’s own', () => {
  const claim = (browser: Browser, email: string, password = PASSWORD) =>
    browser.post('/api/account/claim').send({ email, password });
  const confirm = (browser: Browser, token: string, password?: string) =>
    browser.post('/api/account/claim/confirm').send({ token, password });
  const confirmToken = (email: string) => tokenFor(test.mail, email, 'confirm');

  it('is the account’s once the link was opened that goes to it, with what was made', async () => {
    const guest = await test.guest();
    const changes = [{ id: uuidv7(), kind: 'job.add', title: 'Shed', reading: READING }];
    await guest.browser.post(`/api/jobs/${uuidv7()}/changes`).send({ changes }).expect(200);
    const email = anAddress();
    const asked = await claim(guest.browser, ` ${email.toUpperCase()} `).expect(200);
    expect(asked.body).toEqual({ id: guest.accountId, email: null, waitsFor: email });
    expect((await guest.browser.get('/api/account')).body).toEqual(asked.body);
    await signIn(test.browser(), email).expect(401);
    const answer = await confirm(guest.browser, await confirmToken(email)).expect(200);
    expect(answer.body).toEqual({ id: guest.accountId, email });
    // In a session of its own: a cookie of the guest that somebody saw opens nothing of the account.
    expect(answer.headers['set-cookie']?.[0]).toMatch(/^sprell=/);
    expect(codeOf(await confirm(guest.browser, await confirmToken(email)).expect(404))).toBe('code.unknown');
    expect(codeOf(await claim(guest.browser, anAddress()).expect(409))).toBe('account.claimed');
    const elsewhere = test.browser();
    await signIn(elsewhere, email).expect(200);
    expect(await titles(elsewhere)).toEqual(['Shed']);
  });

  it('is claimed alike whether or not somebody has it; its owner gets a letter', async () => {
    const { email } = await claimed(test);
    const guest = await test.guest();
    const taken = await claim(guest.browser, email).expect(200);
    expect(taken.body).toEqual({ id: guest.accountId, email: null, waitsFor: email });
    await vi.waitFor(() => expect(test.mail.sent()[0]).toMatchObject({ to: email, subject: 'Your account at Sprell' }));
    expect(tokensFor(test.mail, email, 'confirm')).toHaveLength(1);
  });

  it('is not somebody else’s to give: on another device the link wants the password', async () => {
    const guest = await test.guest();
    const email = anAddress();
    await claim(guest.browser, email).expect(200);
    const token = await confirmToken(email);
    const stranger = await test.guest();
    expect(codeOf(await confirm(stranger.browser, token).expect(409))).toBe('password.needed');
    expect(codeOf(await confirm(stranger.browser, token, 'out of plumb').expect(401))).toBe('account.wrong');
    const phone = test.browser();
    expect((await confirm(phone, token, PASSWORD).expect(200)).body).toEqual({ id: guest.accountId, email });
  });

  it('takes what was made on the device along where the letter is opened on another one', async () => {
    const [desk, phone] = [await test.guest(), await test.guest()];
    for (const [{ browser }, title] of [
      [desk, 'Shed'],
      [phone, 'Gate'],
    ] as const) {
      const changes = [{ id: uuidv7(), kind: 'job.add', title, reading: READING }];
      await browser.post(`/api/jobs/${uuidv7()}/changes`).send({ changes }).expect(200);
    }
    const email = anAddress();
    await claim(desk.browser, email).expect(200);
    await confirm(phone.browser, await confirmToken(email), PASSWORD).expect(200);
    for (const { browser } of [desk, phone]) expect((await titles(browser)).sort()).toEqual(['Gate', 'Shed']);
  });

  it('is no one’s when the claim is too old, was taken back by another or ended with all else', async () => {
    const guest = await test.guest();
    const [first, second] = [anAddress(), anAddress()];
    await claim(guest.browser, first).expect(200);
    const replaced = await confirmToken(first);
    await claim(guest.browser, second).expect(200);
    await confirm(guest.browser, replaced).expect(404);
    const { pool } = test.database;
    await pool.query(`update claim set expires_at = now() - interval '1 second' where email = $1`, [second]);
    await confirm(guest.browser, await confirmToken(second)).expect(404);
    const third = anAddress();
    await claim(guest.browser, third).expect(200);
    const ended = await confirmToken(third);
    await guest.browser.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    await confirm(test.browser(), ended, PASSWORD).expect(404);
  });

  it('goes to one of those who claim it, regardless of who opens the link first', async () => {
    const email = anAddress();
    const guests = await Promise.all([test.guest(), test.guest(), test.guest()]);
    for (const { browser } of guests) await claim(browser, email).expect(200);
    await vi.waitFor(() => expect(tokensFor(test.mail, email, 'confirm')).toHaveLength(3));
    const tokens = tokensFor(test.mail, email, 'confirm');
    const answers = await Promise.all(tokens.map((token) => confirm(test.browser(), token, PASSWORD)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });

  it('is not given to an account that has one, whoever asks in the same moment', async () => {
    const guest = await test.guest();
    const [first, second] = [anAddress(), anAddress()];
    expect(await giveAddress(test.database.db, guest.accountId, first, 'hash')).toBe(true);
    expect(await giveAddress(test.database.db, guest.accountId, second, 'hash')).toBe(false);
    expect(await findAccount(test.database.db, guest.accountId)).toMatchObject({ email: first });
  });

  it('is the account’s at once where the server sends no mail', async () => {
    const silent = await startTestApp({ sends: false });
    const [first, second] = [await silent.guest(), await silent.guest()];
    const email = anAddress();
    const { body } = await claim(first.browser, email).expect(200);
    expect(body).toEqual({ id: first.accountId, email, waitsFor: null });
    expect(codeOf(await claim(second.browser, email).expect(409))).toBe('account.email_taken');
    await silent.close();
  });
});

describe('a password', () => {
  it.each(['aaaaaaaaaa', '1234567890', 'password123', 'Qwertyuiop1', 'P@ssw0rd12', 'iloveyou2026', 'Carpenter1'])(
    'is not one that everybody tries: %s',
    async (password) => {
      const { browser, email } = await claimed(test);
      const guest = await test.guest();
      await browser.post('/api/account/reset').send({ email }).expect(200);
      const token = await tokenFor(test.mail, email, 'new-password');
      for (const asked of [
        guest.browser.post('/api/account/claim').send({ email: anAddress(), password }),
        browser.post('/api/account/password').send({ current: PASSWORD, password }),
        browser.post('/api/account/reset/use').send({ token, password }),
      ])
        expect(codeOf(await asked.expect(400))).toBe('password.weak');
      // The link was not used up.
      await browser.post('/api/account/reset/use').send({ token, password: 'sharp as a chisel' }).expect(200);
    },
  );

  it('is not the address it goes with', async () => {
    const guest = await test.guest();
    const email = 'rafter.wright@example.test';
    for (const password of [email, 'rafter.wright', 'Rafter.Wright1'])
      expect(codeOf(await guest.browser.post('/api/account/claim').send({ email, password }).expect(400))).toBe(
        'password.weak',
      );
  });
});
