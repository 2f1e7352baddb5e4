/** The application as it is served, and a browser that it is used with: what benchmarks of screens share. */
import { existsSync } from 'node:fs';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';

export interface Running {
  /** Of each of its server processes; they share one database. */
  readonly addresses: readonly string[];
  stop(): Promise<void>;
}

export async function startApplication(processes = 1): Promise<Running> {
  const tool = async <T>(file: string) => (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as T;
  const { buildServer, buildWeb } = await tool<{ buildServer(): Promise<void>; buildWeb(): Promise<void> }>(
    'build.mjs',
  );
  const { throwawayCluster } = await tool<{ throwawayCluster(): Promise<{ url: string; remove(): Promise<void> }> }>(
    'cluster.mjs',
  );
  const { startServer } = await tool<{
    startServer(options: object): Promise<{ port: number; stop(): Promise<void> }>;
  }>('server-process.mjs');
  await buildServer();
  await buildWeb();
  const cluster = await throwawayCluster();
  // One secret: a session of one is known to all.
  const options = {
    databaseUrl: cluster.url,
    port: 0,
    demo: true,
    log: 'error',
    secret: 'a secret that all of them sign their cookies with',
  };
  const servers: Awaited<ReturnType<typeof startServer>>[] = [];
  for (let n = 0; n < processes; n += 1) servers.push(await startServer(options));
  return {
    addresses: servers.map(({ port }) => `http://127.0.0.1:${port}`),
    async stop() {
      for (const server of servers) await server.stop();
      await cluster.remove();
    },
  };
}

let made = 0;
/** Ids as the application makes them: version 7. */
export function anId(): string {
  made += 1;
  return `01900000-0000-7000-8000-${made.toString(16).padStart(12, '0')}`;
}

/** Asks the server as the guest of a page. */
export function ask(page: Page, path: string, body?: object): Promise<unknown> {
  return page.evaluate(
    async (where, said) => {
      const headers = { 'Content-Type': 'application/json' };
      const init = said === undefined ? {} : { method: 'POST', headers, body: JSON.stringify(said) };
      const answer = await fetch(where, init);
      if (!answer.ok) throw new Error(await answer.text());
      return (await answer.json()) as unknown;
    },
    path,
    body,
  );
}

export const launch = (): Promise<Browser> =>
  puppeteer.launch({
    executablePath: ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path)) ?? 'chromium',
    headless: true,
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
  });

export const share = (sorted: readonly number[], part: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] as number;

/** Half of the times are within the first, 95 % within the second. */
export function spread(times: readonly number[]): readonly [half: number, most: number] {
  const sorted = [...times].sort((a, b) => a - b);
  return [share(sorted, 0.5), share(sorted, 0.95)];
}
