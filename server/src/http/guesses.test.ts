import type { Express } from 'express';
import request from 'supertest';
import { describe, expect, it, vi } from 'vitest';
import { createApp } from '../app.ts';
import { anAddress, codeOf, PASSWORD, signIn } from '../testing/people.ts';
import { appParts, startTestApp } from '../testing/test-app.ts';

describe('how often something is tried', () => {
  it('is counted by account too, from wherever it comes, and by every server process', async () => {
    const small = await startTestApp({ limits: { passwordsAQuarterHour: 5 } });
    const other = createApp({
      ...appParts(small.database),
      limits: { ...appParts(small.database).limits, passwordsAQuarterHour: 5 },
    });
    const guest = await small.guest();
    const email = anAddress();
    await small.claim(guest.browser, email, PASSWORD);
    const from = (app: Express, network: number, password: string, address = email) =>
      request(app)
        .post('/api/account/sign-in')
        .set('X-Forwarded-For', `10.0.0.${network}`)
        .send({ email: address, password });
    // The right one wipes out what was wrong before it.
    for (let tries = 0; tries < 3; tries += 1) await from(small.app, tries, 'out of plumb').expect(401);
    await from(other, 9, PASSWORD).expect(200);
    const statuses = [];
    for (let tries = 0; tries < 8; tries += 1)
      statuses.push((await from(tries % 2 === 0 ? small.app : other, tries, 'out of plumb')).status);
    expect(statuses).toEqual([401, 401, 401, 401, 401, 429, 429, 429]);
    const refused = await from(other, 77, PASSWORD).expect(429);
    expect(Number(refused.headers['retry-after'])).toBeGreaterThan(800);
    expect((refused.body as { message: string }).message).toMatch(/again in 1[45] minutes/);
    // An address that nobody has is counted alike.
    const unknown = [];
    for (let tries = 0; tries < 6; tries += 1)
      unknown.push((await from(small.app, tries, 'x', 'nobody@example.test')).status);
    expect(unknown).toEqual([401, 401, 401, 401, 401, 429]);
    const { rows } = await small.database.pool.query<{ key: string }>('select key from guess_count');
    expect(JSON.stringify(rows)).not.toMatch(/example|10\.0\.0/);
    await small.close();
  });

  it('sends an address so many letters an hour, and says nothing of that', async () => {
    const small = await startTestApp({ limits: { lettersAnHour: 3 } });
    const guest = await small.guest();
    const email = anAddress();
    await small.claim(guest.browser, email, PASSWORD);
    for (let tries = 0; tries < 10; tries += 1)
      await small.browser().post('/api/account/reset').send({ email }).expect(200, { done: true });
    const other = await small.guest();
    for (let tries = 0; tries < 10; tries += 1)
      await other.browser.post('/api/account/claim').send({ email, password: PASSWORD }).expect(200);
    await vi.waitFor(async () => {
      const { rows } = await small.database.pool.query(`select points from guess_count where key like 'letter:%'`);
      expect(rows).toEqual([{ points: 21 }]);
    });
    expect(small.mail.sent().filter(({ to }) => to === email)).toHaveLength(3);
    await small.close();
  });

  it('lets passwords and codes be guessed at only so often', async () => {
    const small = await startTestApp({ limits: { requestsAMinute: 30, guessesAQuarterHour: 3 } });
    const browser = small.browser();
    for (let tries = 0; tries < 3; tries += 1) await signIn(browser, 'a@example.test').expect(401);
    const answer = await signIn(browser, 'a@example.test');
    expect([answer.status, codeOf(answer)]).toEqual([429, 'request.too_many']);
    expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
    await small.close();
  });

  it('counts each try once', async () => {
    const small = await startTestApp({ limits: { requestsAMinute: 100, guessesAQuarterHour: 3 } });
    const use = () =>
      small
        .browser()
        .post('/api/account/reset/use')
        .send({ token: 'x'.repeat(43), password: PASSWORD });
    const statuses = [];
    for (let tries = 0; tries < 4; tries += 1) statuses.push((await use()).status);
    expect(statuses).toEqual([404, 404, 404, 429]);
    await small.close();
  });
});
