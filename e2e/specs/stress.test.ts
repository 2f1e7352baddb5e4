import { randomInt } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BATCH, expectAll, SendingDevice } from '../fixtures/sending-device.ts';

/** Five times in the usual check; `bin/test stress` makes it fifty. */
const ROUNDS = Number(process.env['SPRELL_STRESS_ROUNDS'] ?? 5);

interface Running {
  readonly port: number;
  readonly child: { kill(signal: string): void; readonly exitCode: number | null };
  readonly exited: Promise<unknown>;
  stop(): Promise<void>;
}
interface Cluster {
  readonly url: string;
  restart(): { readonly ok: boolean };
  remove(): Promise<void>;
}

let cluster: Cluster;
let start: (options: object) => Promise<Running>;
const secret = 'a secret that outlives a server that is killed';
beforeAll(async () => {
  const tool = async <T>(file: string) => (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as T;
  ({ startServer: start } = await tool<{ startServer: typeof start }>('server-process.mjs'));
  cluster = await (await tool<{ throwawayCluster(): Promise<Cluster> }>('cluster.mjs')).throwawayCluster();
});
afterAll(() => cluster.remove());

const serve = (port = 0) => start({ databaseUrl: cluster.url, port, demo: false, secret, log: 'silent' });

describe('a server that is asked to stop', () => {
  it('answers what it accepted, ends its streams, and goes', async () => {
    for (let round = 0; round < 3; round += 1) {
      const server = await serve();
      const devices = Array.from({ length: 8 }, () => new SendingDevice(() => `http://127.0.0.1:${server.port}`));
      for (const device of devices) await device.begin();
      const stream = await (devices[0] as SendingDevice).listen();
      const writing = devices.map((device) => device.write());
      while (devices.some(({ acknowledged }) => acknowledged.size < 2 * BATCH))
        await new Promise((resolve) => setTimeout(resolve, 5));
      for (const device of devices) device.off({ givesUp: true });
      await server.stop();
      expect(server.child.exitCode).toBe(0);
      await Promise.all(writing);
      await stream.ended;
      // Nothing is there that was not answered, and all that was.
      const again = await serve(server.port);
      for (const device of devices) await expectAll(device);
      await again.stop();
    }
  });
});

describe('what was acknowledged', () => {
  it(`is there once after the server was killed in the middle of a batch, ${ROUNDS} times`, async () => {
    let server = await serve();
    const { port } = server;
    const device = new SendingDevice(() => `http://127.0.0.1:${port}`);
    await device.begin();
    const writing = device.write();
    for (let round = 0; round < ROUNDS; round += 1) {
      const before = device.acknowledged.size;
      while (device.acknowledged.size === before) await new Promise((resolve) => setTimeout(resolve, 5));
      await new Promise((resolve) => setTimeout(resolve, randomInt(60)));
      server.child.kill('SIGKILL');
      await server.exited;
      server = await serve(port);
    }
    device.off();
    await writing;
    await expectAll(device);
    await server.stop();
  });

  it('is there once after the database was restarted under load, with two servers on it', async () => {
    const servers = [await serve(), await serve()] as const;
    const devices = servers.map(({ port }) => new SendingDevice(() => `http://127.0.0.1:${port}`));
    for (const device of devices) await device.begin();
    const writing = devices.map((device) => device.write());
    for (let round = 0; round < Math.min(ROUNDS, 5); round += 1) {
      const before = devices.map(({ acknowledged }) => acknowledged.size);
      while (devices.some(({ acknowledged }, at) => acknowledged.size === before[at]))
        await new Promise((resolve) => setTimeout(resolve, 5));
      expect(cluster.restart().ok).toBe(true);
    }
    for (const device of devices) device.off();
    await Promise.all(writing);
    for (const device of devices) await expectAll(device);
    for (const server of servers) await server.stop();
  });
});
