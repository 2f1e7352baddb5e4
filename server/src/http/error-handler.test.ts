import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { errorHandler } from './error-handler.ts';

/** What is answered where something throws this. */
async function answerTo(error: unknown) {
  const app = express();
  app.get('/', () => {
    throw error;
  });
  app.use(errorHandler(pino({ level: 'silent' })));
  const { status, body, headers } = await request(app).get('/');
  return [status, (body as { code: string }).code, headers['retry-after']];
}

describe('an error that is answered', () => {
  it.each([
    ['an address that is none', new URIError('x'), [400, 'request.invalid', undefined]],
    ['a file that is not there', { status: 404 }, [404, 'route.not_found', undefined]],
    ['the first of what a request can be blamed for', { status: 400 }, [400, 'request.invalid', undefined]],
    ['the last', { status: 499 }, [400, 'request.invalid', undefined]],
    ['what is no fault of the request', { status: 399 }, [500, 'server.failed', undefined]],
    ['a fault of ours with a status', { status: 500 }, [500, 'server.failed', undefined]],
    ['a status in words', { status: '404' }, [500, 'server.failed', undefined]],
    ['anything else', new Error('spilt'), [500, 'server.failed', undefined]],
    [
      'a database that is away',
      Object.assign(new Error('x'), { code: 'ECONNREFUSED' }),
      [503, 'server.unavailable', '2'],
    ],
  ])('%s', async (_, error, wanted) => {
    expect(await answerTo(error)).toEqual(wanted);
  });
});
