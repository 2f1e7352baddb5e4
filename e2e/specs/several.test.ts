import pg from 'pg';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { Bench, DESKTOP, launchBrowser } from '../fixtures/browser.ts';
import { startProxy, type Proxy } from '../fixtures/proxy.ts';

/** Two server processes behind a proxy, on one database behind PgBouncer in transaction mode. */
interface Running {
  readonly port: number;
  readonly child: { kill(signal: string): void };
  readonly exited: Promise<unknown>;
  stop(): Promise<void>;
}
let cluster: { readonly url: string; remove(): Promise<void> };
let pooler: { readonly url: string; stop(): Promise<void> };
let servers: Running[];
let proxy: Proxy;
let browser: Browser;
let serve: () => Promise<Running>;
beforeAll(async () => {
  const tool = async <T>(file: string) => (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as T;
  const { startServer } = await tool<{ startServer(options: object): Promise<Running> }>('server-process.mjs');
  cluster = await (await tool<{ throwawayCluster(): Promise<typeof cluster> }>('cluster.mjs')).throwawayCluster();
  pooler = await (
    await tool<{ startPooler(url: string, options: object): Promise<typeof pooler> }>('pooler.mjs')
  ).startPooler(cluster.url, { connections: 4 });
  const secret = 'one secret for all of them, so that a session is known to each';
  serve = () =>
    startServer({ databaseUrl: pooler.url, directUrl: cluster.url, port: 0, demo: true, secret, log: 'error' });
  // Together: only one of them may bring the tables up to date at a time.
  servers = await Promise.all([serve(), serve()]);
  proxy = await startProxy(servers.map(({ port }) => port));
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
  proxy.close();
  for (const server of servers) await server.stop();
  await pooler.stop();
  await cluster.remove();
});

let made = 0;
function anId(): string {
  made += 1;
  return `01900000-0000-7000-8000-${made.toString(16).padStart(12, '0')}`;
}
class Person {
  #cookie = '';

  async ask<T>(path: string, body?: object, expected = 200): Promise<T> {
    const answer = await fetch(`${proxy.address}${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { 'Content-Type': 'application/json', Origin: proxy.address, Cookie: this.#cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    this.#cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? this.#cookie;
    expect([path, answer.status, expected === answer.status ? '' : await answer.text()]).toEqual([path, expected, '']);
    return (await answer.json()) as T;
  }

  /** Opens the stream of a job. @returns the last revision it announced, and what is settled when it ends */
  async listen(jobId: string): Promise<{ last(): number; readonly ended: Promise<void> }> {
    let last = 0;
    const answer = await fetch(`${proxy.address}/api/jobs/${jobId}/events`, { headers: { Cookie: this.#cookie } });
    const read = async () => {
      for await (const text of answer.body?.pipeThrough(new TextDecoderStream()) ?? [])
        for (const [, revision] of text.matchAll(/"revision":(\d+)/g)) last = Number(revision);
    };
    return { last: () => last, ended: read().catch(() => undefined) };
  }
}
async function besides(person: Person): Promise<Person> {
  const { code } = await person.ask<{ code: string }>('/api/account/code', {});
  const other = new Person();
  await other.ask('/api/account/code/use', { code });
  return other;
}
const aLine = (number: number) => {
  const position = `b${number.toString(36).padStart(6, '0')}V`;
  return { id: anId(), kind: 'line.add', lineId: anId(), number, position, source: '5', label: null, note: '' };
};

describe('several server processes', () => {
  it('behave as one: sessions, numbers, news and limits are shared', async () => {
    const owner = new Person();
    await owner.ask('/api/account/guest', {});
    const jobId = anId();
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const job = { id: anId(), kind: 'job.add', title: 'Shed', reading };
    await owner.ask(`/api/jobs/${jobId}/changes`, { changes: [job] });
    const crew = [owner, ...(await Promise.all(Array.from({ length: 7 }, () => besides(owner))))];
    const streams = await Promise.all(crew.map((one) => one.listen(jobId)));
    // All of them take the same numbers, at both servers at once.
    await Promise.all(
      crew.map(async (one) => {
        for (let number = 1; number <= 15; number += 1)
          await one.ask(`/api/jobs/${jobId}/changes`, { changes: [aLine(number)] });
      }),
    );
    const { lines, revision } = await owner.ask<{ lines: { number: number }[]; revision: number }>(
      `/api/jobs/${jobId}`,
    );
    // The job itself is a change too.
    expect(revision).toBe(121);
    expect(lines.map(({ number }) => number).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 120 }, (_, n) => n + 1),
    );
    await vi.waitFor(() => expect(new Set(streams.map((stream) => stream.last()))).toEqual(new Set([121])), 5000);

    // They are shut wherever they are open when the account signs out everywhere.
    await owner.ask('/api/account/sign-out', { everywhere: true });
    await Promise.all(streams.map(({ ended }) => ended));
    for (const one of crew) await one.ask('/api/account', undefined, 401);

    const stranger = new Person();
    const statuses: number[] = [];
    for (let tries = 0; tries < 24; tries += 1) {
      const body = { email: 'nobody@example.test', password: 'not it' };
      const { code } = await stranger
        .ask<{ code: string }>('/api/account/sign-in', body, tries < 20 ? 401 : 429)
        .catch((error: unknown) => Promise.reject(new Error(`try ${tries}`, { cause: error })));
      statuses.push(code === 'account.wrong' ? 401 : 429);
    }
    expect(statuses.filter((status) => status === 401)).toHaveLength(20);
  });

  it('share few connections, and none is left in the middle of something', async () => {
    const client = new pg.Client({ connectionString: cluster.url });
    await client.connect();
    const { rows } = await client.query<{ name: string; count: number }>(
      `select application_name as name, count(*)::int as count from pg_stat_activity
       where usename = current_user and pid <> pg_backend_pid() group by 1`,
    );
    const of = (name: string) => rows.find((row) => row.name === name)?.count ?? 0;
    expect(of('sprell feed')).toBe(2);
    expect(of('sprell')).toBeGreaterThan(0);
    expect(of('sprell')).toBeLessThanOrEqual(4);
    const { rows: settings } = await client.query<{ setconfig: string[] }>(
      'select setconfig from pg_db_role_setting join pg_roles on pg_roles.oid = setrole where rolname = current_user',
    );
    expect(settings[0]?.setconfig).toContain('statement_timeout=15s');
    await client.end();
  });

  it('are one to a page, and go on without the one that is killed', async () => {
    const open = async () => {
      const page = await (await browser.createBrowserContext()).newPage();
      await page.setViewport(DESKTOP);
      return new Bench(page);
    };
    const [one, other] = [await open(), await open()];
    await one.page.goto(proxy.address);
    await one.page.waitForSelector('[data-line]');
    await one.kept();
    const { code } = await one.ask<{ code: string }>('/api/account/code', {});
    await other.page.goto(`${proxy.address}/mark.svg`);
    await other.ask('/api/account/code/use', { code });
    await other.page.goto(proxy.address);
    await other.page.waitForSelector('[data-line="46"]');
    await one.type(`lintel: 4' 2"`);
    await one.press('Enter');
    await other.page.waitForSelector('[data-line="47"]');

    const [killed] = servers.splice(0, 1);
    killed?.child.kill('SIGKILL');
    await killed?.exited;
    await other.type(`sill: 3' 9"`);
    await other.press('Enter');
    await other.kept();
    await one.page.waitForSelector('[data-line="48"]');
    expect(await one.result(48)).toBe('3′ 9″');
    servers.push(await serve());
    proxy.behind.splice(0, 2, ...servers.map(({ port }) => port));
  });
});
