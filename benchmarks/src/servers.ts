/** Server processes on one database that is as careful as in real use: what is answered has reached the disk. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';

interface Running {
  readonly port: number;
  stop(): Promise<void>;
}

export interface Servers {
  readonly addresses: readonly string[];
  readonly databaseUrl: string;
  /** Another one on the same database, of this bundle. */
  start(bundle: string): Promise<string>;
  stop(): Promise<void>;
}

export const tool = async <T>(file: string) =>
  (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as T;

export async function startServers(processes: number): Promise<Servers> {
  const { buildServer, buildWeb } = await tool<{ buildServer(): Promise<void>; buildWeb(): Promise<void> }>(
    'build.mjs',
  );
  const { startCluster, removeCluster } = await tool<{
    startCluster(home: string): Promise<{ readonly url: string }>;
    removeCluster(home: string): Promise<void>;
  }>('cluster.mjs');
  const { startServer } = await tool<{ startServer(options: object): Promise<Running> }>('server-process.mjs');
  await buildServer();
  await buildWeb();
  const home = join(tmpdir(), `sprell-bench-${process.pid}`);
  const cluster = await startCluster(home);
  process.env['SPRELL_REQUESTS_A_MINUTE'] = '100000000';
  process.env['SPRELL_GUESSES_A_QUARTER_HOUR'] = '100000';
  const secret = 'a secret for as long as this is measured';
  const running: Running[] = [];
  const start = async (more: object = {}) => {
    const server = await startServer({ databaseUrl: cluster.url, port: 0, demo: false, secret, log: 'warn', ...more });
    running.push(server);
    return `http://127.0.0.1:${server.port}`;
  };
  const addresses: string[] = [];
  for (let n = 0; n < processes; n += 1) addresses.push(await start());
  return {
    addresses,
    databaseUrl: cluster.url,
    start: (bundle) => start({ bundle }),
    stop: async () => {
      for (const server of running) await server.stop();
      await removeCluster(home);
    },
  };
}
