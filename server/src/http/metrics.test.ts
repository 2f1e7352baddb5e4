import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { JobFeed } from '../features/feed/index.ts';
import { aLine } from '../testing/a-line.ts';
import { appParts, browserOf, startTestApp } from '../testing/test-app.ts';
import { makeMetrics, serveMetrics } from './metrics.ts';

it('serves what is to be watched in the format of Prometheus, and nothing of anybody', async () => {
  const test = await startTestApp();
  const feed = new JobFeed(test.url, pino({ level: 'silent' }));
  const metrics = makeMetrics(test.database.pool, () => feed.size);
  const browser = browserOf(createApp({ ...appParts(test.database), feed, metrics }));
  const jobId = uuidv7();
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const job = { id: uuidv7(), kind: 'job.add', title: 'Nobody but us', reading };
  await browser.post('/api/account/guest').send({}).expect(200);
  await browser
    .post(`/api/jobs/${jobId}/changes`)
    .send({ changes: [job, aLine(1)] })
    .expect(200);
  const edit = { id: uuidv7(), kind: 'line.delete', lineId: uuidv7(), base: 1 };
  await browser
    .post(`/api/jobs/${jobId}/changes`)
    .send({ changes: [edit] })
    .expect(200);
  await browser.get(`/api/jobs/${jobId}`).expect(200);
  await browser.get('/api/none').expect(404);

  const server = serveMetrics(metrics, 0);
  await once(server, 'listening');
  const { address, port } = server.address() as AddressInfo;
  expect(address).toBe('127.0.0.1');
  const answer = await fetch(`http://127.0.0.1:${port}/metrics`);
  const text = await answer.text();
  expect(answer.headers.get('content-type')).toMatch(/^text\/plain; version=0\.0\.4/);
  for (const line of [
    'sprell_request_seconds_count{method="POST",route="/api/jobs/:jobId/changes",status="200"} 2',
    'sprell_request_seconds_count{method="GET",route="/api/jobs/:jobId",status="200"} 1',
    'sprell_changes_total{status="applied"} 1',
    'sprell_changes_total{status="refused"} 1',
    'sprell_streams_open 0',
    'sprell_database_connections{state="waited for"} 0',
  ])
    expect(text.split('\n')).toContain(line);
  expect(text).toContain('nodejs_eventloop_lag_p99_seconds');
  expect(text).not.toMatch(new RegExp(`${jobId}|Nobody but us`));
  expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(404);
  server.close();
  await test.close();
});
