import { spawnSync } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { anId, expectAll, SendingDevice } from '../fixtures/sending-device.ts';

/** What was tried against a server once and did harm, or might have: again and again, with nothing lost and nobody let in. */
interface Running {
  readonly port: number;
  readonly child: { kill(signal: string): void; readonly pid: number };
  readonly exited: Promise<unknown>;
  stop(): Promise<void>;
}
interface Cluster {
  readonly url: string;
  isRunning(): boolean;
  revive(): boolean;
}
interface Tools {
  startServer(options: object): Promise<Running>;
  startCluster(home: string, settings?: object): Promise<Cluster>;
  removeCluster(home: string): Promise<void>;
}
let tools: Tools;
const root = mkdtempSync(join(tmpdir(), 'sprell-attacks-'));
// PostgreSQL runs as a user of its own.
chmodSync(root, 0o755);
// A disk of its own, which only root may mount and not everywhere.
const disk = join(root, 'disk');
mkdirSync(disk);
const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=220m,mode=755', 'tmpfs', disk]).status === 0;
const secret = 'a secret that outlives a server that is killed';
const limits = { SPRELL_REQUESTS_A_MINUTE: '1000000', SPRELL_GUESSES_A_QUARTER_HOUR: '1000000' };
beforeAll(async () => {
  const tool = async (file: string) =>
    (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as Partial<Tools>;
  tools = { ...(await tool('server-process.mjs')), ...(await tool('cluster.mjs')) } as Tools;
  Object.assign(process.env, limits);
});
afterAll(() => {
  if (mounted) spawnSync('umount', [disk]);
  rmSync(root, { recursive: true, force: true });
});

let homes = 0;
/** A database that is as careful as in real use, and servers on it. */
async function withServers(count: number, act: (servers: Running[], cluster: Cluster) => Promise<void>): Promise<void> {
  const home = join(root, `home${(homes += 1)}`);
  const cluster = await tools.startCluster(home);
  const servers: Running[] = [];
  try {
    for (let n = 0; n < count; n += 1) servers.push(await serve(cluster));
    await act(servers, cluster);
  } finally {
    for (const server of servers) await server.stop();
    await tools.removeCluster(home);
  }
}
const serve = (cluster: Cluster, port = 0) =>
  tools.startServer({ databaseUrl: cluster.url, port, demo: false, secret, log: 'silent' });
const addressOf = ({ port }: Running) => `http://127.0.0.1:${port}`;

async function post(address: string, path: string, body: string | object, headers: Record<string, string> = {}) {
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  return fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: address, ...headers },
    body: text,
  });
}
const cookieOf = (answer: Response) => answer.headers.get('set-cookie')?.split(';')[0] ?? '';
const READING = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
const aLine = (number: number) => {
  const position = `b${number.toString(36).padStart(6, '0')}V`;
  return { id: anId(), kind: 'line.add', lineId: anId(), number, position, source: '5', label: null, note: '' };
};

describe('many', () => {
  it('on one job are all answered, at two servers, and every line is there once', async () => {
    await withServers(2, async (servers) => {
      const [first] = servers as [Running, ...Running[]];
      const owner = { Cookie: cookieOf(await post(addressOf(first), '/api/account/guest', {})) };
      const jobId = anId();
      const job = { id: anId(), kind: 'job.add', title: 'Shed', reading: READING };
      await post(addressOf(first), `/api/jobs/${jobId}/changes`, { changes: [job] }, owner);
      const statuses = new Map<number, number>();
      await Promise.all(
        Array.from({ length: 40 }, async (_, device) => {
          const address = addressOf(servers[device % servers.length] as Running);
          const streams = new AbortController();
          void fetch(`${address}/api/jobs/${jobId}/events`, { headers: owner, signal: streams.signal })
            .then((answer) => answer.text())
            .catch(() => undefined);
          for (let number = 1; number <= 30; number += 1) {
            const { status } = await post(address, `/api/jobs/${jobId}/changes`, { changes: [aLine(number)] }, owner);
            statuses.set(status, (statuses.get(status) ?? 0) + 1);
            await fetch(`${address}/api/jobs/${jobId}/since/${number}`, { headers: owner }).then((one) => one.text());
          }
          streams.abort();
        }),
      );
      expect([...statuses]).toEqual([[200, 1200]]);
      const answer = await fetch(`${addressOf(first)}/api/jobs/${jobId}`, { headers: owner });
      const { lines, revision } = (await answer.json()) as { lines: { number: number }[]; revision: number };
      expect(new Set(lines.map(({ number }) => number)).size).toBe(1200);
      expect(revision).toBe(1201);
    });
  });

  it('who guess at one account from everywhere get their few tries in all, at two servers at once', async () => {
    await withServers(2, async (servers) => {
      const [first] = servers as [Running, ...Running[]];
      const email = `crew${anId()}@example.test`;
      const owner = { Cookie: cookieOf(await post(addressOf(first), '/api/account/guest', {})) };
      await post(addressOf(first), '/api/account/claim', { email, password: 'plumb and square' }, owner);
      const statuses = await Promise.all(
        Array.from({ length: 150 }, async (_, n) => {
          const from = { 'X-Forwarded-For': `10.1.${n}.${randomInt(255)}` };
          const address = addressOf(servers[n % servers.length] as Running);
          return (await post(address, '/api/account/sign-in', { email, password: `guess ${n}` }, from)).status;
        }),
      );
      expect(statuses.filter((status) => status === 401)).toHaveLength(20);
      expect(statuses.filter((status) => status === 429)).toHaveLength(130);
    });
  });
});

describe('bodies that are made to take long', () => {
  it('are refused, and others keep writing meanwhile', async () => {
    await withServers(1, async ([server]) => {
      const address = addressOf(server as Running);
      const device = new SendingDevice(() => address);
      await device.begin();
      const writing = device.write();
      const guest = { Cookie: cookieOf(await post(address, '/api/account/guest', {})) };
      const path = `/api/jobs/${anId()}/changes`;
      const bodies = [
        `{"changes":${'['.repeat(1_900_000)}${']'.repeat(1_900_000)}}`,
        `{"changes":[${'{},'.repeat(1_000_000)}{}]}`,
        `{${Array.from({ length: 250_000 }, (_, n) => `"k${n}":1`).join(',')}}`,
        JSON.stringify({ changes: Array.from({ length: 30_000 }, () => 'x'.repeat(100)) }),
      ];
      for (let round = 0; round < 25; round += 1)
        for (const body of bodies) {
          const known = await post(address, path, body, guest);
          expect([400, 413]).toContain(known.status);
          expect((await known.text()).length).toBeLessThan(3000);
          expect([413]).toContain((await post(address, '/api/account/sign-in', body)).status);
        }
      device.off();
      await writing;
      await expectAll(device);
      expect(device.acknowledged.size).toBeGreaterThan(200);
    });
  });
});

describe('what was acknowledged', () => {
  it('by servers that are killed under eight people, 30 times, is there once', async () => {
    await withServers(1, async (servers, cluster) => {
      const [{ port }] = servers as [Running];
      const devices = Array.from({ length: 8 }, () => new SendingDevice(() => `http://127.0.0.1:${port}`));
      for (const device of devices) await device.begin();
      const writing = devices.map((device) => device.write());
      for (let round = 0; round < 30; round += 1) {
        await wait(100 + randomInt(200));
        const [server] = servers.splice(0, 1) as [Running];
        server.child.kill('SIGKILL');
        await server.exited;
        servers.push(await serve(cluster, port));
      }
      for (const device of devices) device.off();
      await Promise.all(writing);
      for (const device of devices) await expectAll(device);
    });
  });

  it('is there once after power cuts: database and server killed together, 5 times', async () => {
    const home = join(root, `home${(homes += 1)}`);
    let cluster = await tools.startCluster(home);
    let server = await serve(cluster);
    const { port } = server;
    const device = new SendingDevice(() => `http://127.0.0.1:${port}`);
    try {
      await device.begin();
      const writing = device.write();
      for (let round = 0; round < 5; round += 1) {
        const before = device.acknowledged.size;
        while (device.acknowledged.size < before + 40) await wait(5);
        const postmaster = Number(readFileSync(join(home, 'cluster', 'postmaster.pid'), 'utf8').split('\n')[0]);
        process.kill(postmaster, 'SIGKILL');
        server.child.kill('SIGKILL');
        await server.exited;
        cluster = await tools.startCluster(home);
        server = await serve(cluster, port);
      }
      device.off();
      await writing;
      await expectAll(device);
    } finally {
      device.off({ givesUp: true });
      await server.stop();
      await tools.removeCluster(home);
    }
  });

  it.skipIf(!mounted)('is there once after the disk was full, and it goes on when there is room', async () => {
    const home = join(disk, 'home');
    const cluster = await tools.startCluster(home, { max_wal_size: '48MB', min_wal_size: '32MB' });
    const server = await serve(cluster);
    const device = new SendingDevice(() => addressOf(server));
    // As the start command does.
    const keeping = setInterval(() => cluster.isRunning() || cluster.revive(), 1000);
    try {
      await device.begin();
      const writing = device.write();
      for (let round = 0; round < 3; round += 1) {
        const filler = join(disk, 'filler');
        try {
          writeFileSync(filler, Buffer.alloc(400 << 20));
        } catch {
          // It is as large as there is room for.
        }
        for (let before = -1; before !== device.acknowledged.size; await wait(2000)) before = device.acknowledged.size;
        rmSync(filler);
        const stood = device.acknowledged.size;
        while (device.acknowledged.size < stood + 100) await wait(20);
      }
      device.off();
      await writing;
      await expectAll(device);
    } finally {
      clearInterval(keeping);
      device.off({ givesUp: true });
      await server.stop();
      await tools.removeCluster(home);
    }
  });
});
