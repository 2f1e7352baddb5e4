import { randomInt } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

/** Five times in the usual check; `bin/test stress` makes it fifty. */
const ROUNDS = Number(process.env['SPRELL_STRESS_ROUNDS'] ?? 5);
const BATCH = 20;

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

let made = 0;
/** Ids as the application makes them: version 7. */
function anId(): string {
  made += 1;
  return `0190000${randomInt(10)}-0000-7000-8000-${made.toString(16).padStart(12, '0')}`;
}

/** A device that sends as the outbox does: each batch again and again until it is answered. */
class Device {
  readonly jobId = anId();
  readonly acknowledged = new Set<string>();
  sent = 0;
  #headers: Record<string, string> = {};
  #isOn = true;
  #givesUp = false;
  readonly #address: () => string;

  constructor(address: () => string) {
    this.#address = address;
  }

  async #post(path: string, body: object): Promise<Response | undefined> {
    const address = this.#address();
    const headers = { 'Content-Type': 'application/json', Origin: address, ...this.#headers };
    return fetch(`${address}${path}`, { method: 'POST', headers, body: JSON.stringify(body) }).catch(() => undefined);
  }

  async begin(): Promise<void> {
    const answer = await this.#post('/api/account/guest', {});
    this.#headers = { Cookie: answer?.headers.get('set-cookie')?.split(';')[0] ?? '' };
    const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
    const changes = [{ id: anId(), kind: 'job.add', title: 'Shed', reading }];
    expect((await this.#post(`/api/jobs/${this.jobId}/changes`, { changes }))?.status).toBe(200);
  }

  /** Opens the stream of the job. @returns once it is open, what is settled when it ends */
  async listen(): Promise<{ readonly ended: Promise<unknown> }> {
    const answer = await fetch(`${this.#address()}/api/jobs/${this.jobId}/events`, { headers: this.#headers });
    return { ended: answer.text() };
  }

  async write(): Promise<void> {
    for (let number = 1; this.#isOn; number += BATCH) {
      const changes = Array.from({ length: BATCH }, (_, n) => ({
        id: anId(),
        kind: 'line.add',
        lineId: anId(),
        number: number + n,
        position: `b${(number + n).toString(36).padStart(6, '0')}V`,
        source: '5',
        label: null,
        note: '',
      }));
      this.sent += BATCH;
      for (;;) {
        const answer = await this.#post(`/api/jobs/${this.jobId}/changes`, { changes });
        const text = answer?.ok === true ? await answer.text().catch(() => undefined) : undefined;
        if (text !== undefined) {
          const { results } = JSON.parse(text) as { results: { status: string; line: { id: string } }[] };
          expect(results.every(({ status }) => status === 'applied')).toBe(true);
          for (const { line } of results) this.acknowledged.add(line.id);
          break;
        }
        if (this.#givesUp) {
          this.sent -= BATCH;
          return;
        }
        // What is refused for good would never come through.
        if (answer !== undefined && answer.status < 500) throw new Error(`${answer.status} ${await answer.text()}`);
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    }
  }
  /** Sends no more; `givesUp` on what is not answered as well, which otherwise is sent until it is. */
  off({ givesUp = false } = {}): void {
    this.#isOn = false;
    this.#givesUp = givesUp;
  }

  async stored(): Promise<{
    readonly lines: readonly { id: string; number: number; revision: number }[];
    readonly revision: number;
  }> {
    const answer = await fetch(`${this.#address()}/api/jobs/${this.jobId}`, { headers: this.#headers });
    return (await answer.json()) as never;
  }
}

async function expectAll(device: Device): Promise<void> {
  const { lines, revision } = await device.stored();
  expect(device.acknowledged.size).toBe(device.sent);
  expect(new Set(lines.map(({ id }) => id))).toEqual(device.acknowledged);
  expect(lines).toHaveLength(device.sent);
  expect(new Set(lines.map(({ number }) => number)).size).toBe(device.sent);
  // One revision for each change, none twice and none left out: the first was the job's own.
  expect(lines.map((line) => line.revision).sort((a, b) => a - b)).toEqual(
    Array.from({ length: device.sent }, (_, n) => n + 2),
  );
  expect(revision).toBe(device.sent + 1);
}

describe('a server that is told to stop', () => {
  it('answers what it accepted, ends its streams, and goes', async () => {
    for (let round = 0; round < 3; round += 1) {
      const server = await serve();
      const devices = Array.from({ length: 8 }, () => new Device(() => `http://127.0.0.1:${server.port}`));
      for (const device of devices) await device.begin();
      const stream = await (devices[0] as Device).listen();
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
    const device = new Device(() => `http://127.0.0.1:${port}`);
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

  it('is there once after the database was started anew under load, with two servers on it', async () => {
    const servers = [await serve(), await serve()] as const;
    const devices = servers.map(({ port }) => new Device(() => `http://127.0.0.1:${port}`));
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
