import { once } from 'node:events';
import { createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { createApp } from '../../app.ts';
import { aLine } from '../../testing/a-line.ts';
import { appParts, startTestApp, type Guest, type TestApp } from '../../testing/test-app.ts';
import type { JobsService } from '../jobs/index.ts';
import { feedRoutes } from './feed.routes.ts';
import { JobFeed, type Listener } from './job-feed.ts';

let test: TestApp;
let server: Server;
let owner: Guest;
let jobId: string;
beforeAll(async () => {
  test = await startTestApp();
  server = createServer(test.app).listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterAll(async () => {
  await test.close();
  server.close();
});
beforeEach(async () => {
  owner = await test.guest();
  jobId = uuidv7();
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  await send(owner, { id: uuidv7(), kind: 'job.add', title: 'Shed', reading });
});

const send = (guest: Guest, ...changes: readonly object[]) =>
  guest.browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);

interface Stream {
  readonly answer: IncomingMessage;
  readonly said: number[];
  readonly ended: Promise<unknown>;
  next(revision: number): Promise<void>;
}
/** Listens to a job as a page does. */
async function listen(guest: Guest, at: Server = server, first?: () => Promise<unknown>): Promise<Stream> {
  const { request: asked } = await guest.browser.get('/api/account');
  const cookie = (asked as unknown as { getHeader?: (name: string) => string; cookies?: string }).cookies ?? '';
  await first?.();
  const { port } = at.address() as AddressInfo;
  const answer = await new Promise<IncomingMessage>((resolve, reject) =>
    get({ host: '127.0.0.1', port, path: `/api/jobs/${jobId}/events`, headers: { cookie } }, resolve).once(
      'error',
      reject,
    ),
  );
  const said: number[] = [];
  const waiting: (() => void)[] = [];
  answer.setEncoding('utf8');
  answer.on('data', (text: string) => {
    for (const [, revision] of text.matchAll(/^data: \{"revision":(\d+)\}$/gm)) said.push(Number(revision));
    for (const wake of waiting.splice(0)) wake();
  });
  return {
    answer,
    said,
    ended: once(answer, 'close'),
    next: async (revision) => {
      while (said.at(-1) !== revision) await new Promise<void>((resolve) => waiting.push(resolve));
    },
  };
}

describe('the stream of a job', () => {
  it('says where the job stands, and every revision after that', async () => {
    const stream = await listen(owner);
    expect(stream.answer.headers['content-type']).toContain('text/event-stream');
    await stream.next(1);
    await send(owner, aLine(1), aLine(2));
    await stream.next(3);
    expect(stream.said).toEqual([1, 3]);
    const since = await owner.browser.get(`/api/jobs/${jobId}/since/2`).expect(200);
    expect(since.body).toMatchObject({ revision: 3, lines: [{ number: 2 }], scales: [] });
    stream.answer.destroy();
  });

  it('says nothing before its head is sent, and then what came meanwhile', async () => {
    const listening: Listener[] = [];
    const feed = {
      isListening: () => true,
      listen: (one: Listener) => {
        listening.push(one);
        return () => undefined;
      },
    } as unknown as JobFeed;
    const jobs = {
      revision: () => {
        listening[0]?.changed(8);
        // Once what came of this has been said.
        setImmediate(() => listening[0]?.shut());
        return Promise.resolve(7);
      },
    } as unknown as JobsService;
    const app = express();
    app.use((request, _response, next) => {
      Object.assign(request, { session: { accountId: owner.accountId } });
      next();
    });
    app.use(feedRoutes({ feed, jobs }));
    const answer = await request(app).get(`/jobs/${jobId}/events`).expect(200);
    expect(answer.headers['content-type']).toBe('text/event-stream; charset=utf-8');
    expect(answer.text).toBe('data: {"revision":7}\n\ndata: {"revision":8}\n\n');
  });

  it('begins where the database is away as soon as that is there', async () => {
    const name = `late_${uuidv7().replaceAll('-', '')}`;
    const late = new JobFeed(test.url.replace(/\/[^/]*$/, `/${name}`), pino({ level: 'silent' }));
    await late.start();
    expect(late.isListening()).toBe(false);
    await test.database.pool.query(`create database ${name}`);
    await vi.waitFor(() => expect(late.isListening()).toBe(true), { timeout: 20_000 });
    await late.close();
  });

  it('lets nobody in any more once it ends, and ends those who listen', async () => {
    const feed = new JobFeed(test.url, pino({ level: 'silent' }));
    await feed.start();
    expect(feed.isListening()).toBe(true);
    let isShut = false;
    feed.listen({
      jobId,
      accountId: owner.accountId,
      changed: () => undefined,
      shut: () => {
        isShut = true;
      },
    } as unknown as Listener);
    feed.endAll();
    expect([feed.isListening(), isShut]).toEqual([false, true]);
    await feed.close();
  });

  it('waits for no database any more once it is closed', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
      const feed = new JobFeed('postgres://127.0.0.1:1/nobody', pino({ level: 'silent' }));
      await feed.start();
      expect(vi.getTimerCount()).toBe(1);
      await feed.close();
      expect(vi.getTimerCount()).toBe(0);
    } finally {
      vi.useRealTimers();
    }
  });

  it('notifies a crowd less often than one, and everybody of the last revision', async () => {
    const feed = new JobFeed(test.url, pino({ level: 'silent' }));
    await feed.start();
    const heard = Array.from({ length: 40 }, () => [] as number[]);
    const stops = heard.map((said) =>
      feed.listen({ jobId, accountId: owner.accountId, changed: (one) => said.push(one), shut: () => undefined }),
    );
    expect(feed.size).toBe(40);
    for (let revision = 1; revision <= 12; revision += 1) {
      feed.changed(jobId, revision);
      await new Promise((resolve) => setTimeout(resolve, 60));
    }
    await vi.waitFor(() => expect(new Set(heard.map((said) => said.at(-1)))).toEqual(new Set([12])));
    for (const said of heard) expect(said.length).toBeLessThan(8);
    for (const stop of stops) stop();
    expect(feed.size).toBe(0);
    await feed.close();
  });

  it('goes on for a listener that came when another one had left, however often that one says so', async () => {
    const feed = new JobFeed(test.url, pino({ level: 'silent' }));
    await feed.start();
    const listen = (said: number[]) =>
      feed.listen({ jobId, accountId: owner.accountId, changed: (one) => said.push(one), shut: () => undefined });
    const [first, second]: [number[], number[]] = [[], []];
    const leave = listen(first);
    leave();
    const stay = listen(second);
    leave();
    expect(feed.size).toBe(1);
    feed.changed(jobId, 4);
    await vi.waitFor(() => expect(second.at(-1)).toBe(4));
    expect(first).toEqual([]);
    stay();
    await feed.close();
  });

  it('comes from whichever server process the change was made in', async () => {
    const feed = new JobFeed(test.url, pino({ level: 'silent' }));
    await feed.start();
    const second = createServer(createApp({ ...appParts(test.database), feed })).listen(0, '127.0.0.1');
    await once(second, 'listening');
    const stream = await listen(owner, second);
    await stream.next(1);
    await send(owner, aLine(1));
    await stream.next(2);
    const listening = async () =>
      (
        await test.database.pool.query(
          `select 1 from pg_stat_activity where datname = current_database() and query ilike 'listen%'`,
        )
      ).rowCount;
    const before = (await listening()) ?? 0;
    await feed.close();
    await stream.ended;
    expect(stream.said).toEqual([1, 2]);
    // No connection stays behind.
    await vi.waitFor(async () => expect(await listening()).toBe(before - 1));
    second.close();
  });

  it('finds by itself what a process changed that ended before it announced it', async () => {
    const feed = new JobFeed(test.url, pino({ level: 'silent' }));
    await feed.start();
    const other = createServer(createApp({ ...appParts(test.database), feed })).listen(0, '127.0.0.1');
    await once(other, 'listening');
    const stream = await listen(owner, other);
    await stream.next(1);
    await test.database.pool.query('update job set revision = 9 where id = $1', [jobId]);
    await feed.look();
    await feed.look();
    await stream.next(9);
    expect(stream.said).toEqual([1, 9]);
    await feed.close();
    other.close();
  });

  it('is opened for those alone who may see the job, and ends at once when that is taken back', async () => {
    const other = await test.guest();
    expect((await listen(other)).answer.statusCode).toBe(404);
    await test.browser().get(`/api/jobs/${jobId}/events`).expect(401);
    await owner.browser.get('/api/jobs/nonsense/events').expect(400);
    const { body } = await owner.browser.post(`/api/jobs/${jobId}/invitations`).send({ role: 'read' });
    await other.browser
      .post('/api/invitations/accept')
      .send({ token: (body as { token: string }).token })
      .expect(200);
    const [theirs, ours] = [await listen(other), await listen(owner)];
    await theirs.next(1);
    await owner.browser.delete(`/api/jobs/${jobId}/members/${other.accountId}`).expect(200);
    await theirs.ended;
    await send(owner, aLine(1));
    await ours.next(2);
    expect(theirs.said).toEqual([1]);
    await owner.browser.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    await ours.ended;
  });

  it('brings no session back that was ended while it was open, though it was opened first thing that day', async () => {
    const nightGoesBy = () =>
      test.database.pool.query(
        `update session set sess = jsonb_set(sess::jsonb, '{day}', '"2001-01-01"')::json where sess ->> 'accountId' = $1`,
        [owner.accountId],
      );
    const stream = await listen(owner, server, nightGoesBy);
    await stream.next(1);
    await owner.browser.post('/api/account/sign-out').send({ everywhere: true }).expect(200);
    await stream.ended;
    const left = async () =>
      (await test.database.pool.query(`select sid from session where sess ->> 'accountId' = $1`, [owner.accountId]))
        .rows;
    for (let looks = 0; looks < 10; looks += 1) {
      expect(await left()).toEqual([]);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  });

  it('ends when the database is lost, so that nothing is missed, and is there again with it', async () => {
    const stream = await listen(owner);
    await stream.next(1);
    const admin = new pg.Client({ connectionString: test.url });
    await admin.connect();
    await admin.query(`select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'sprell feed'
      and datname = current_database()`);
    await admin.end();
    await stream.ended;
    let again = await listen(owner);
    while (again.answer.statusCode === 503) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      again = await listen(owner);
    }
    await again.next(1);
    expect([stream.said, again.said]).toEqual([[1], [1]]);
    again.answer.destroy();
  });
});
