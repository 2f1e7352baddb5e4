import type { JobWire } from '@sprell/contract';
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
