/**
 * Many people at one server: 40 devices on one job, each with its stream open, reading what is announced and adding a line
 * a second; and 200 users with a job each, adding a line every two seconds. How long an added line takes to be answered.
 * `--seconds 150` for as long as asked; without it, 30. `--users 800 --processes 2` for more of them at several processes.
 */
import { setTimeout as wait } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import { share } from './application.ts';
import { startServers } from './servers.ts';

function given(name: string, usual: number): number {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
}
const SECONDS = given('seconds', 30);
const DEVICES = given('devices', 40);
const USERS = given('users', 200);
const PROCESSES = given('processes', 1);

interface Person {
  readonly cookie: string;
  readonly address: string;
}
const took: number[] = [];
const refused = new Map<number, number>();

async function ask(person: Person, path: string, body?: object): Promise<Response> {
  const { address, cookie } = person;
  return fetch(`${address}${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    headers: { 'Content-Type': 'application/json', Origin: address, Cookie: cookie },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
}

async function somebody(address: string): Promise<Person> {
  const made = await ask({ address, cookie: '' }, '/api/account/guest', {});
  return { address, cookie: made.headers.get('set-cookie')?.split(';')[0] ?? '' };
}

/** The same account on another device. */
async function besides(person: Person): Promise<Person> {
  const code = (await (await ask(person, '/api/account/code', {})).json()) as { code: string };
  const made = await ask({ ...person, cookie: '' }, '/api/account/code/use', { code: code.code });
  return { ...person, cookie: made.headers.get('set-cookie')?.split(';')[0] ?? '' };
}

async function aJob(person: Person): Promise<string> {
  const id = uuidv7();
  const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const made = await ask(person, `/api/jobs/${id}/changes`, {
    changes: [{ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }],
  });
  if (!made.ok) throw new Error(`The job was not made: ${made.status}`);
  return id;
}

async function addLine(person: Person, jobId: string, number: number): Promise<void> {
  const begun = performance.now();
  const change = {
    id: uuidv7(),
    kind: 'line.add',
    lineId: uuidv7(),
    number,
    position: `b${number.toString(36).padStart(8, '0')}V`,
    source: `rise of the steps: (12' 4 1/2" + ${number}") / 3`,
    label: null,
    note: '',
  };
  const answer = await ask(person, `/api/jobs/${jobId}/changes`, { changes: [change] });
  await answer.text();
  took.push(performance.now() - begun);
  if (!answer.ok) refused.set(answer.status, (refused.get(answer.status) ?? 0) + 1);
}

/** As a page does: when a revision is announced, it reads what it does not know, one reading at a time. */
async function follow(person: Person, jobId: string, ends: AbortSignal, read: () => void): Promise<void> {
  const stream = await fetch(`${person.address}/api/jobs/${jobId}/events`, {
    headers: { Cookie: person.cookie },
    signal: ends,
  });
  let [known, latest] = [0, 0];
  let isReading = false;
  const catchUp = async () => {
    if (isReading) return;
    isReading = true;
    while (known < latest) {
      const answer = await ask(person, `/api/jobs/${jobId}/since/${known}`);
      known = Math.max(known, ((await answer.json()) as { revision?: number }).revision ?? latest);
      read();
    }
    isReading = false;
  };
  const reader = stream.body?.pipeThrough(new TextDecoderStream());
  for await (const text of reader ?? []) {
    for (const [, revision] of text.matchAll(/"revision":(\d+)/g)) latest = Math.max(latest, Number(revision));
    void catchUp().catch(() => undefined);
  }
}

/** Everybody at a moment of their own within the pace. */
async function keepOn(everySeconds: number, act: (turn: number) => Promise<void>): Promise<void> {
  const ends = performance.now() + SECONDS * 1000;
  await wait(Math.random() * everySeconds * 1000);
  for (let turn = 1; performance.now() < ends; turn += 1) {
    const next = performance.now() + everySeconds * 1000;
    await act(turn);
    await wait(Math.max(0, next - performance.now()));
  }
}

function say(title: string, more = ''): void {
  took.sort((a, b) => a - b);
  const at = (part: number) => share(took, part).toFixed(1);
  console.log(`\n${title}, ${SECONDS} s`);
  console.log(
    `  ${took.length} lines: half within ${at(0.5)} ms, 95 % within ${at(0.95)} ms, 99 % within ${at(0.99)} ms, ` +
      `the longest ${at(1)} ms; refused ${JSON.stringify(Object.fromEntries(refused))}${more}`,
  );
  took.length = 0;
  refused.clear();
}

const servers = await startServers(PROCESSES);
try {
  let turn = 0;
  /** Of each of them by turns, as a proxy would. */
  const address = () => servers.addresses[(turn += 1) % PROCESSES] ?? '';
  const owner = await somebody(address());
  const jobId = await aJob(owner);
  const devices = [owner];
  while (devices.length < DEVICES) devices.push({ ...(await besides(owner)), address: address() });
  const ends = new AbortController();
  let readings = 0;
  for (const device of devices) void follow(device, jobId, ends.signal, () => (readings += 1)).catch(() => undefined);
  await Promise.all(
    devices.map((device, n) => keepOn(1, (turn) => addLine(device, jobId, n + 1 + (turn - 1) * DEVICES))),
  );
  say(`${DEVICES} devices on one job, a line a second each`, `; ${(readings / SECONDS).toFixed(0)} readings a second`);
  ends.abort();

  const users = await Promise.all(
    Array.from({ length: USERS }, async () => {
      const person = await somebody(address());
      return { person, jobId: await aJob(person) };
    }),
  );
  took.length = 0;
  await Promise.all(users.map((user) => keepOn(2, (turn) => addLine(user.person, user.jobId, turn))));
  say(`${USERS} users with a job each, a line every two seconds`);
} finally {
  await servers.stop();
}
process.exit(0);
