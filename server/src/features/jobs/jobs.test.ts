import {
  copyOfJob,
  jobFieldsOf,
  jobFileOf,
  jobOfFile,
  thingsOf,
  type JobSummary,
  type JobWire,
} from '@sprell/contract';
import request from 'supertest';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aLine } from '../../testing/a-line.ts';
import { startTestApp, type Guest, type TestApp } from '../../testing/test-app.ts';

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

const READING = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };

/** A job with one of everything, under the name of the job. */
async function aFullJob({ browser }: Guest, title: string): Promise<string> {
  const jobId = uuidv7();
  const scale = { kind: 'sizes', paper: '1/4"', site: `1'`, name: title };
  const setOut = { name: title, shape: 'circle', answer: '', fields: [], entries: [] };
  const changes = [
    { id: uuidv7(), kind: 'job.add', title, reading: READING },
    aLine(1, { label: title }),
    { id: uuidv7(), kind: 'thing.add', of: 'scale', thingId: uuidv7(), content: scale },
    { id: uuidv7(), kind: 'thing.add', of: 'setout', thingId: uuidv7(), content: setOut },
  ];
  await browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(200);
  return jobId;
}
const namesIn = ({ lines, scales, setOuts }: JobWire) => [
  ...lines.map(({ label }) => label),
  ...scales.map(({ name }) => name),
  ...setOuts.map(({ name }) => name),
];

describe('a job', () => {
  it('holds what is its own in each of its lists, and nothing of another, one’s own or not', async () => {
    const [one, other] = [await test.guest(), await test.guest()];
    const jobs = [await aFullJob(one, 'Shed'), await aFullJob(one, 'Gate')];
    await aFullJob(other, 'Theirs');
    const [shed, gate] = jobs;
    for (const [jobId, title] of [
      [shed, 'Shed'],
      [gate, 'Gate'],
    ] as const)
      for (const path of ['', '/since/0']) {
        const { body } = await one.browser.get(`/api/jobs/${jobId}${path}`).expect(200);
        expect([path, namesIn(body as JobWire)]).toEqual([path, [title, title, title]]);
      }
    // Since its last revision nothing: not even what is new in the other.
    const { body } = await one.browser.get(`/api/jobs/${shed}/since/4`).expect(200);
    expect(namesIn(body as JobWire)).toEqual([]);
    const { body: listed } = await one.browser.get('/api/jobs').expect(200);
    expect(listed).toMatchObject([
      { title: 'Shed', lines: 1 },
      { title: 'Gate', lines: 1 },
    ]);
  });
});

describe('what a job says of itself', () => {
  const set = (fields: object) => ({ id: uuidv7(), kind: 'job.set', fields });
  const send = ({ browser }: Guest, jobId: string, changes: readonly object[], status = 200) =>
    browser.post(`/api/jobs/${jobId}/changes`).send({ changes }).expect(status);
  const listed = async ({ browser }: Guest) => {
    const { body } = await browser.get('/api/jobs').expect(200);
    return body as JobSummary[];
  };

  it('is changed field by field, the later choice holds, and it is sent again without being done twice', async () => {
    const guest = await test.guest();
    const jobId = await aFullJob(guest, 'Shed');
    const first = set({ title: 'Shed, Orchard Lane', tags: ['roof', 'Harlow Road'] });
    const second = set({ archived: true, decimalComma: true, thousands: true, currency: '€', moneyRounded: 'total' });
    const { body } = await send(guest, jobId, [first, second]);
    const said = {
      ...{ title: 'Shed, Orchard Lane', tags: ['roof', 'Harlow Road'], archived: true, deleted: false },
      ...{ decimalComma: true, thousands: true, currency: '€', moneyRounded: 'total' },
    };
    expect(body).toMatchObject({
      revision: 6,
      results: [{ status: 'job' }, { status: 'job', job: said, reading: READING }],
    });
    await send(guest, jobId, [set({ title: 'Shed' })]);
    const { body: again } = await send(guest, jobId, [first]);
    expect(again).toMatchObject({ revision: 7, results: [{ status: 'job', job: { ...said, title: 'Shed' } }] });
    expect((await guest.browser.get(`/api/jobs/${jobId}`).expect(200)).body).toMatchObject({ ...said, title: 'Shed' });
    expect(await listed(guest)).toMatchObject([{ ...said, title: 'Shed', lines: 1, people: 1, deletedAt: null }]);
  });

  it.each([
    ['no field', {}],
    ['an empty title', { title: ' ' }],
    ['a title of two lines', { title: 'a\nb' }],
    ['too many tags', { tags: Array.from({ length: 13 }, (_, n) => `t${n}`) }],
    ['a long tag', { tags: ['x'.repeat(41)] }],
    ['a sign that is no money', { currency: 'ft' }],
    ['a field that there is not', { owner: 'me' }],
  ])('is refused with %s, and what is beside it is done', async (_, fields) => {
    const guest = await test.guest();
    const jobId = await aFullJob(guest, 'Shed');
    const { body } = await send(guest, jobId, [set(fields), set({ title: 'Barn' })]);
    expect(body).toMatchObject({
      results: [
        { status: 'refused', code: 'change.unfit' },
        { status: 'job', job: { title: 'Barn' } },
      ],
    });
  });

  it('is deleted by its owner alone, who still sees it and can bring it back; nobody else does', async () => {
    const [guest, mate] = [await test.guest(), await test.guest()];
    const jobId = await aFullJob(guest, 'Shed');
    const { body: invitation } = await guest.browser.post(`/api/jobs/${jobId}/invitations`).send({ role: 'edit' });
    const { token } = invitation as { token: string };
    await mate.browser.post('/api/invitations/accept').send({ token }).expect(200);
    expect(await listed(mate)).toMatchObject([{ role: 'edit', people: 2 }]);
    const { body } = await send(mate, jobId, [set({ deleted: true }), set({ title: 'Ours' })]);
    expect(body).toMatchObject({
      results: [
        { status: 'refused', code: 'job.not_yours' },
        { status: 'job', job: { title: 'Ours', deleted: false } },
      ],
    });
    await send(guest, jobId, [set({ deleted: true })]);
    expect(await listed(mate)).toEqual([]);
    await mate.browser.get(`/api/jobs/${jobId}`).expect(404);
    const [there] = await listed(guest);
    expect(there).toMatchObject({ id: jobId, deleted: true });
    expect(Date.parse(there?.deletedAt ?? '')).toBeGreaterThan(Date.now() - 60_000);
    // Deleted again it keeps the time that it was deleted at.
    await send(guest, jobId, [set({ deleted: true })]);
    expect((await listed(guest))[0]?.deletedAt).toBe(there?.deletedAt);
    await send(guest, jobId, [set({ deleted: false })]);
    expect(await listed(mate)).toMatchObject([{ id: jobId, title: 'Ours', deleted: false, deletedAt: null }]);
  });
});

describe('job files', () => {
  it('make the same job in another account, byte for byte', async () => {
    const demo = await startTestApp({ demo: true });
    const [from, to] = [await demo.guest(), await demo.guest()];
    const fileAt = async ({ browser }: Guest, jobId: string) => {
      const job = (await browser.get(`/api/jobs/${jobId}`)).body as JobWire;
      const { reading, lines } = job;
      return jobFileOf({ fields: jobFieldsOf(job), reading, lines, things: thingsOf(job) });
    };
    const jobs = (await from.browser.get('/api/jobs')).body as JobSummary[];
    expect(jobs).toHaveLength(3);
    for (const { id, title } of jobs) {
      const text = await fileAt(from, id);
      const read = jobOfFile(text, uuidv7);
      if (!read.ok) throw new Error(read.problem.sentence);
      const made = uuidv7();
      const changes = copyOfJob(read.value, title, uuidv7);
      await to.browser.post(`/api/jobs/${made}/changes`).send({ changes }).expect(200);
      expect(await fileAt(to, made)).toBe(text);
    }
    await demo.close();
  });

  it.each(['job-file', 'jig-file'])('have a schema that anybody can ask for: %s', async (name) => {
    const { body, type } = await request(test.app).get(`/api/${name}.schema.json`);
    expect(type).toBe('application/schema+json');
    expect(body).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema', type: 'object' });
  });
});
