/**
 * Requests a second and the 99th percentile of the server's write and read paths, as ratios to bare Express routes on
 * the same tables in the same run: 16 connections, each with a job of its own, taken in turns so that what else the
 * machine does falls on both alike.
 */
import autocannon from 'autocannon';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { startServers, tool } from './servers.ts';

const CONNECTIONS = 16;
const SECONDS = 2;
const ROUNDS = 15;
/** Lines of a job that is read: as many as the demo's bench holds. */
const LINES = 50;
/** Jobs and lines that are there besides, as after some weeks, and counted by PostgreSQL as they are within minutes. */
const [OTHER_JOBS, OTHER_LINES, BATCH] = [32, 600, 200];

async function startBoth() {
  const { bundleForNode } = await tool<{ bundleForNode(entry: string, to: string, external: string[]): Promise<void> }>(
    'bundle.mjs',
  );
  const bundle = new URL('bare-server.mjs', import.meta.url).pathname;
  await bundleForNode(new URL('../../benchmarks/src/bare-server.ts', import.meta.url).pathname, bundle, ['pg-native']);
  const servers = await startServers(1);
  const [ours = ''] = servers.addresses;
  return { ours, bare: await servers.start(bundle), databaseUrl: servers.databaseUrl, stop: servers.stop };
}
type Both = Awaited<ReturnType<typeof startBoth>>;

interface Job {
  readonly id: string;
  readonly cookie: string;
  /** Of the line that is added next. */
  next: number;
}

const addedLine = (job: Job) => {
  const number = (job.next += 1);
  return {
    id: uuidv7(),
    kind: 'line.add',
    lineId: uuidv7(),
    number,
    position: `b${number.toString(36).padStart(8, '0')}V`,
    source: `rise of the steps: (12' 4 1/2" + #${number}) / 3`,
    label: null,
    note: '',
  };
};

async function makeJob(address: string, lines: number): Promise<Job> {
  const ask = (path: string, body: object, cookie = '') =>
    fetch(`${address}${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Origin: address, Cookie: cookie },
      body: JSON.stringify(body),
    });
  const guest = await ask('/api/account/guest', {});
  const cookie = guest.headers.get('set-cookie')?.split(';')[0] ?? '';
  const job: Job = { id: uuidv7(), cookie, next: 0 };
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const changes: object[] = [{ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }];
  for (let line = 0; line < lines; line += 1) changes.push(addedLine(job));
  for (let at = 0; at < changes.length; at += BATCH) {
    const made = await ask(`/api/jobs/${job.id}/changes`, { changes: changes.slice(at, at + BATCH) }, cookie);
    if (!made.ok) throw new Error(`The job was not made: ${made.status} ${await made.text()}`);
  }
  return job;
}

async function fill({ ours, databaseUrl }: Both): Promise<void> {
  for (let job = 0; job < OTHER_JOBS; job += 1) await makeJob(ours, OTHER_LINES);
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  await client.query('analyze');
  await client.end();
}

type RequestFor = (job: Job) => autocannon.Request;

const adding: RequestFor = (job) => ({
  method: 'POST',
  path: `/api/jobs/${job.id}/changes`,
  setupRequest: (request) => ({ ...request, body: JSON.stringify({ changes: [addedLine(job)] }) }),
});
const reading: RequestFor = (job) => ({ method: 'GET', path: `/api/jobs/${job.id}` });

interface Load {
  /** Requests a second. */
  readonly rate: number;
  /** Milliseconds within which 99 % were answered. */
  readonly p99: number;
}

async function load(url: string, jobs: readonly Job[], requestFor: RequestFor, encoding: string): Promise<Load> {
  const waiting = [...jobs];
  const result = await autocannon({
    url,
    connections: CONNECTIONS,
    duration: SECONDS,
    setupClient: (client) => {
      const job = waiting.pop() as Job;
      const headers = {
        cookie: job.cookie,
        origin: url,
        'content-type': 'application/json',
        'accept-encoding': encoding,
      };
      client.setRequests([{ ...requestFor(job), headers }]);
    },
  });
  if (result.non2xx > 0 || result.errors > 0) throw new Error(`${result.non2xx} refused, ${result.errors} failed`);
  return { rate: result['2xx'] / result.duration, p99: result.latency.p99 };
}

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number;
const quartiles = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b);
  return (
    ((sorted[Math.floor(sorted.length * 0.75)] as number) - (sorted[Math.floor(sorted.length * 0.25)] as number)) / 2
  );
};

async function compareLoads(title: string, servers: Both, requestFor: RequestFor, encoding = 'identity') {
  const jobs = await Promise.all(Array.from({ length: CONNECTIONS }, () => makeJob(servers.ours, LINES)));
  const ours: Load[] = [];
  const bare: Load[] = [];
  // The first round warms both up and is thrown away.
  for (let round = -1; round < ROUNDS; round += 1) {
    const [one, other] = [
      await load(servers.ours, jobs, requestFor, encoding),
      await load(servers.bare, jobs, requestFor, encoding),
    ];
    if (round < 0) continue;
    ours.push(one);
    bare.push(other);
  }
  const ratios = ours.map(({ rate }, round) => rate / (bare[round] as Load).rate);
  const of = (loads: readonly Load[], what: keyof Load) => median(loads.map((one) => one[what]));
  const line = (name: string, loads: readonly Load[]) =>
    `  ${name.padEnd(6)} ${of(loads, 'rate').toFixed(0).padStart(6)} requests a second, 99 % within ${of(loads, 'p99').toFixed(0).padStart(3)} ms`;
  console.log(`\n${title}`);
  console.log(line('bare', bare));
  console.log(line('ours', ours));
  console.log(
    `  ours as a ratio to bare: requests ${median(ratios).toFixed(2)} ±${((quartiles(ratios) / median(ratios)) * 100).toFixed(0)} %, ` +
      `99th percentile ${(of(ours, 'p99') / of(bare, 'p99')).toFixed(2)}`,
  );
}

const servers = await startBoth();
try {
  await fill(servers);
  await compareLoads('A line added, 16 connections, a job each', servers, adding);
  await compareLoads(`A job of ${LINES} lines read, 16 connections`, servers, reading);
  await compareLoads('The same, compressed as for a browser (the bare route does not)', servers, reading, 'br, gzip');
} finally {
  await servers.stop();
}
