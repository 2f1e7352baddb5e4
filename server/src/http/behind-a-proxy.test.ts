import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codeOf } from '../testing/people.ts';
import { startTestApp, type TestApp } from '../testing/test-app.ts';

describe('behind a proxy with TLS', () => {
  let test: TestApp;
  beforeAll(async () => {
    test = await startTestApp();
  });
  afterAll(() => test.close());
  const asGuest = (headers: Readonly<Record<string, string>>) =>
    request(test.app)
      .post('/api/account/guest')
      .set({ Host: '127.0.0.1:4600', Cookie: 'a=b', ...headers })
      .send({});

  it('pages come over TLS from then on; elsewhere nothing is said of it', async () => {
    const plain = await request(test.app).get('/api/health');
    expect(plain.headers['strict-transport-security']).toBeUndefined();
    const { headers } = await request(test.app).get('/api/health').set('X-Forwarded-Proto', 'https');
    expect(headers['strict-transport-security']).toBe('max-age=15768000');
  });

  it('a page that came without TLS writes nothing', async () => {
    const tls = { 'X-Forwarded-Proto': 'https', 'X-Forwarded-Host': 'sprell.test' };
    expect(codeOf(await asGuest({ ...tls, Origin: 'http://sprell.test' }).expect(403))).toBe('request.foreign');
    await asGuest({ ...tls, Origin: 'https://sprell.test' }).expect(200);
    await asGuest({ ...tls, Origin: 'https://sprell.test:8443' }).expect(403);
  });

  it('the host is the one that the browser asked, by the word of a proxy that is trusted', async () => {
    await asGuest({ 'X-Forwarded-Host': 'sprell.test', Origin: 'http://sprell.test' }).expect(200);
    await asGuest({ Origin: 'http://sprell.test' }).expect(403);
  });
});
