import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const START = fileURLToPath(new URL('../../bin/start', import.meta.url));
/** Entered by the user that runs the database too. */
const data = mkdtempSync(join(tmpdir(), 'sprell-start-'));
const children: ChildProcess[] = [];

interface Started {
  readonly child: ChildProcess;
  readonly address: string;
  readonly said: () => string;
  readonly ended: Promise<number | null>;
}

/** Runs bin/start on a data folder of its own until it says where it is, or ends. */
function start(...args: string[]): Promise<Started> {
  const child = spawn(START, args, { env: { ...process.env, SPRELL_DATA: data, DATABASE_URL: '', PORT: '' } });
  children.push(child);
  let said = '';
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  return new Promise((resolve, reject) => {
    const hear = (text: Buffer) => {
      said += text.toString();
      const address = /Sprell is at (\S+)/.exec(said)?.[1];
      if (address) resolve({ child, address, said: () => said, ended });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void ended.then((code) => reject(new Error(`bin/start ended with ${code}: ${said}`)));
  });
}

/** A browser's cookie and where it comes from. */
type Guest = Readonly<Record<string, string>>;
async function aGuest(address: string): Promise<Guest> {
  const headers = { 'Content-Type': 'application/json', Origin: new URL(address).origin };
  const answer = await fetch(`${address}api/account/guest`, { method: 'POST', headers, body: '{}' });
  return { ...headers, Cookie: answer.headers.get('set-cookie')?.split(';')[0] ?? '' };
}
const jobs = async (address: string, headers: Guest) =>
  (await (await fetch(`${address}api/jobs`, { headers })).json()) as { title: string; lines: number; id: string }[];
const answers = (address: string) =>
  fetch(address).then(
    () => true,
    () => false,
  );

interface ClusterTool {
  clusterHome(wanted: string): string;
  removeCluster(home: string): Promise<void>;
}
const cluster = async () => (await import(new URL('../../tools/lib/cluster.mjs', import.meta.url).href)) as ClusterTool;
const later = () => new Promise((resolve) => setTimeout(resolve, 200));

afterAll(async () => {
  for (const child of children) child.kill('SIGKILL');
  const { clusterHome, removeCluster } = await cluster();
  for (const kind of ['demo', 'real']) await removeCluster(clusterHome(join(data, kind)));
  rmSync(data, { recursive: true, force: true });
});

describe('bin/start', () => {
  it('serves the demo, keeps what is written, recovers after kill -9, and stops all it started', async () => {
    const first = await start();
    const guest = await aGuest(first.address);
    const [bandstand] = await jobs(first.address, guest);
    expect(bandstand).toMatchObject({ title: 'Bandstand, Quill Park', lines: 46 });
    expect(await (await fetch(first.address)).text()).toContain('<div id="app">');
    await expect(start()).rejects.toThrow(/running already at http/);
    const change = {
      id: '01900000-0000-7000-8000-00000000c0de',
      kind: 'line.add',
      lineId: '01900000-0000-7000-8000-00000000beef',
      number: 43,
      position: 'bzz',
      source: '5',
      label: null,
      note: '',
    };
    const written = await fetch(`${first.address}api/jobs/${bandstand?.id}/changes`, {
      method: 'POST',
      headers: guest,
      body: JSON.stringify({ changes: [change] }),
    });
    expect(await written.json()).toMatchObject({ results: [{ status: 'applied' }] });

    first.child.kill('SIGKILL');
    await first.ended;
    const second = await start();
    expect(second.said()).toContain('still running');
    // Known again after a start, wherever that listens.
    const again = { ...guest, Origin: new URL(second.address).origin };
    expect((await jobs(second.address, again))[0]).toMatchObject({ lines: 47 });
    second.child.kill('SIGTERM');
    expect(await second.ended).toBe(0);
    expect(second.said()).toContain('Stopped.');
    expect(await answers(second.address)).toBe(false);
    expect(() => readFileSync(join(data, 'demo', 'cluster', 'postmaster.pid'))).toThrow();
  });

  it('brings its database back when that dies, and starts after a power cut', async () => {
    const one = await start();
    const guest = await aGuest(one.address);
    const home = (await cluster()).clusterHome(join(data, 'demo'));
    const note = join(home, 'cluster', 'postmaster.pid');
    const kill = () => {
      process.kill(Number(readFileSync(note, 'utf8').split('\n')[0]), 'SIGKILL');
    };
    kill();
    while (!one.said().includes('The database is back')) await later();
    while ((await fetch(`${one.address}api/ready`)).status !== 200) await later();
    expect((await jobs(one.address, guest))[0]?.title).toBe('Bandstand, Quill Park');

    one.child.kill('SIGKILL');
    await one.ended;
    kill();
    // By now the numbers are those of other processes.
    const [, ...rest] = readFileSync(note, 'utf8').split('\n');
    writeFileSync(note, [process.pid, ...rest].join('\n'));
    writeFileSync(join(data, 'demo.lock'), `${process.pid}\n${one.address}\n4711 another start of the machine\n`);
    const two = await start();
    expect((await jobs(two.address, { ...guest, Origin: new URL(two.address).origin }))[0]?.lines).toBeGreaterThan(40);
    two.child.kill('SIGTERM');
    expect(await two.ended).toBe(0);
  });

  it('starts over with --fresh, and for real use with nothing of the demo', async () => {
    const fresh = await start('--fresh');
    expect((await jobs(fresh.address, await aGuest(fresh.address)))[0]).toMatchObject({ lines: 46 });
    const real = await start('--real');
    expect(await jobs(real.address, await aGuest(real.address))).toEqual([]);
    expect((await fetch(`${fresh.address}outbox`)).headers.get('content-type')).toContain('text/html');
    expect(await (await fetch(`${fresh.address}outbox`)).text()).toContain('Mail that was not sent');
    expect(await (await fetch(`${real.address}outbox`)).text()).not.toContain('Mail that was not sent');
    for (const { child, ended } of [fresh, real]) {
      child.kill('SIGINT');
      expect(await ended).toBe(0);
    }
  });

  it('says at once what it does not know', async () => {
    await expect(start('--nonsense')).rejects.toThrow(/There is no option --nonsense/);
  });
});
