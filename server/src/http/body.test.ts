import { BODY_VALUES } from '@sprell/contract';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { codeOf } from '../testing/people.ts';
import { startTestApp, type Guest, type TestApp } from '../testing/test-app.ts';
import { isBounded } from './body.ts';

const bytes = (text: string) => new TextEncoder().encode(text);
const nested = (levels: number) => `${'['.repeat(levels)}${']'.repeat(levels)}`;
const many = (values: number) => JSON.stringify(Array.from({ length: values }, () => 0));

describe('the bounds of a body', () => {
  it('are of depth and of count', () => {
    expect(isBounded(bytes(nested(12)))).toBe(true);
    expect(isBounded(bytes(nested(13)))).toBe(false);
    expect(isBounded(bytes(many(39_000)))).toBe(true);
    expect(isBounded(bytes(many(41_000)))).toBe(false);
    // To the last one, in whatever they stand: the list, and what is in it.
    const lists = (count: number) => `[${Array.from({ length: count }, () => '[]').join('')}]`;
    expect([BODY_VALUES - 1, BODY_VALUES].map((count) => isBounded(bytes(many(count))))).toEqual([true, false]);
    expect([BODY_VALUES - 2, BODY_VALUES - 1].map((count) => isBounded(bytes(lists(count))))).toEqual([true, false]);
  });

  it('count nothing of what stands in a text', () => {
    const texts = [nested(50), ',,,'.repeat(50_000), '\\"[[[[[[[[[[[[[[[', '\\\\', '"', '\\'];
    // Behind an empty text too.
    expect(isBounded(bytes(JSON.stringify({ note: '', text: nested(50) })))).toBe(true);
    for (const text of texts) expect(isBounded(bytes(JSON.stringify({ text, more: [text] })))).toBe(true);
  });

  it('are those of what it is read as, whatever is in it', () => {
    const values = (value: unknown): number =>
      typeof value === 'object' && value !== null
        ? Object.values(value).reduce<number>((sum, one) => sum + values(one), 1)
        : 1;
    const levels = (value: unknown): number =>
      typeof value === 'object' && value !== null ? 1 + Math.max(0, ...Object.values(value).map(levels)) : 0;
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 16 }), (value) => {
        expect(isBounded(bytes(JSON.stringify(value)))).toBe(levels(value) <= 12 && values(value) <= 40_000);
      }),
    );
  });
});

describe('a body that is made to take long', () => {
  let test: TestApp;
  let guest: Guest;
  beforeAll(async () => {
    test = await startTestApp();
    guest = await test.guest();
  });
  afterAll(() => test.close());
  const post = (path: string) => guest.browser.post(path).set('Content-Type', 'application/json');

  it.each([
    ['lists in lists', `{"changes":${nested(1_500_000)}}`],
    ['objects in objects', `{"changes":${'{"a":'.repeat(600_000)}1${'}'.repeat(600_000)}}`],
    ['a million of nothing', `{"changes":[${'{},'.repeat(1_000_000)}{}]}`],
    ['a million keys', `{${Array.from({ length: 250_000 }, (_, n) => `"k${n}":1`).join(',')}}`],
  ])('is refused before anything is made of it: %s', async (_, body) => {
    const answer = await post(`/api/jobs/${uuidv7()}/changes`).send(body).expect(413);
    expect(codeOf(answer)).toBe('request.too_large');
  });

  it('is small where no batch is asked for, and is not read of somebody who may not ask', async () => {
    const long = JSON.stringify({ email: `${'x'.repeat(20_000)}@example.test`, password: 'x' });
    await test.browser().post('/api/account/sign-in').set('Content-Type', 'application/json').send(long).expect(413);
    const nobody = test.browser().post(`/api/jobs/${uuidv7()}/changes`).set('Content-Type', 'application/json');
    expect(codeOf(await nobody.send('{"changes": [').expect(401))).toBe('account.needed');
  });

  it('is not repeated in the answer', async () => {
    const keys = Object.fromEntries(Array.from({ length: 900 }, (_, n) => [`k${n}`, 1]));
    const answer = await post('/api/account/sign-in').send(JSON.stringify(keys)).expect(400);
    expect(codeOf(answer)).toBe('request.invalid');
    expect(answer.body).toMatchObject({
      places: [
        { path: 'body.email', message: 'Invalid input: expected string, received undefined' },
        { path: 'body.password' },
        { path: 'body', message: expect.stringMatching(/^Unrecognized keys: .* …$/) as string },
      ],
    });
    expect(answer.text.length).toBeLessThan(2000);
    const long = { changes: [{ ['k'.repeat(10_000)]: 1 }], [`k${'x'.repeat(10_000)}`]: 1 };
    expect((await post(`/api/jobs/${uuidv7()}/changes`).send(JSON.stringify(long))).text.length).toBeLessThan(2000);
  });

  it('is in the one encoding whose signs are looked at', async () => {
    const answer = await guest.browser
      .post('/api/account/code')
      .set('Content-Type', 'application/json; charset=utf-16')
      .send(Buffer.from('{}', 'utf16le'))
      .expect(400);
    expect(codeOf(answer)).toBe('request.not_json');
  });
});
