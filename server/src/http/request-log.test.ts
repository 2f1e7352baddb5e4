import { once } from 'node:events';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it, vi } from 'vitest';
import { requestId } from './error-handler.ts';
import { requestLog } from './request-log.ts';

function anApp(level = 'info') {
  const records: Record<string, unknown>[] = [];
  const log = pino({ level }, { write: (text: string) => records.push(JSON.parse(text) as Record<string, unknown>) });
  const app = express();
  app.use(requestId, requestLog(log));
  app.get('/fine', (_request, response) => {
    response.json({ ok: true });
  });
  app.get('/failed', (_request, response) => {
    response.status(503).json({});
  });
  app.get('/open', (_request, response) => {
    response.write('begun');
  });
  return { app, records };
}

describe('the log of requests', () => {
  it('has one record for each, by its id, and nothing of who asked', async () => {
    const { app, records } = anApp();
    const { headers } = await request(app).get('/fine?a=1').set('Cookie', 'sprell=secret').expect(200);
    await request(app).get('/failed').expect(503);
    await vi.waitFor(() => expect(records).toHaveLength(2));
    expect(records[0]).toMatchObject({
      requestId: headers['x-request-id'],
      req: { method: 'GET', url: '/fine?a=1' },
      res: { statusCode: 200 },
      milliseconds: expect.any(Number) as number,
    });
    expect(records[1]).toMatchObject({ req: { url: '/failed' }, res: { statusCode: 503 } });
    expect(JSON.stringify(records)).not.toMatch(/secret|127\.0\.0\.1|stack/);
  });

  it('distinguishes what was broken off from what was answered', async () => {
    const { app, records } = anApp();
    const server = app.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const asked = get({ host: '127.0.0.1', port: (server.address() as AddressInfo).port, path: '/open' });
    const [answer] = (await once(asked, 'response')) as [NodeJS.ReadableStream & { destroy(): void }];
    answer.destroy();
    await vi.waitFor(() => expect(records).toMatchObject([{ msg: 'request aborted', req: { url: '/open' } }]));
    server.close();
  });

  it('is not written where only failures are', async () => {
    const { app, records } = anApp('error');
    await request(app).get('/fine').expect(200);
    expect(records).toEqual([]);
  });
});
