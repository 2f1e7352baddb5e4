import { DEFAULT_STYLE, fromStored, readScale, Session, Slate, type ScaleDefinition } from '@sprell/core';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type TestApp } from '../../testing/test-app.ts';
import { DEMO_JOBS } from './demo-jobs.ts';
import { loadDemo } from './load-demo.ts';

let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
  await loadDemo(test.database.db, test.accountId);
});
afterAll(() => test.close());

interface Line {
  readonly id: string;
  readonly kind: string;
  readonly label: string | null;
  readonly number: number;
  readonly position: string;
  readonly source: string;
}

describe('the demo', () => {
  it('holds a slate of forty lines or more, every one of them reckoned', () => {
    expect(DEMO_JOBS[0]?.lines.length).toBeGreaterThanOrEqual(40);
    for (const { title, lines, length } of DEMO_JOBS) {
      const session = new Session({ ...DEFAULT_STYLE, length });
      for (const [label, source] of lines) expect(session.enter(source).issue, `${title}: ${label}`).toBeUndefined();
    }
  });

  it('is stored with references by id, and reads the same from there', async () => {
    const { body: jobs } = await request(test.app).get('/api/jobs');
    const [bandstand] = jobs as { id: string; title: string; lines: number }[];
    const headings = Object.values(DEMO_JOBS[0]?.headings ?? {});
    expect(bandstand).toMatchObject({ title: 'Bandstand, Quill Park', lines: DEMO_JOBS[0]?.lines.length });
    const { body } = await request(test.app).get(`/api/jobs/${bandstand?.id}`);
    const { lines: all, scales } = body as { lines: Line[]; scales: ScaleDefinition[] };
    expect(scales).toHaveLength(3);
    for (const scale of scales) expect(readScale(scale).ok).toBe(true);
    expect(all.filter(({ kind }) => kind === 'heading').map(({ label }) => label)).toEqual(headings);
    expect(all[0]?.kind).toBe('heading');
    const lines = all.filter(({ kind }) => kind === 'worked');
    expect(lines[1]?.source).toBe(`#{${lines[0]?.id}} * (sqrt(2) - 1)`);
    const numbers = new Map(lines.map(({ id, number }) => [id, number]));
    const slate = new Slate();
    slate.load(lines.map((line) => ({ ...line, source: fromStored(line.source, (id) => numbers.get(id)) })));
    expect(slate.lines().filter(({ result }) => !result.ok)).toEqual([]);
    expect(slate.marks().length).toBeGreaterThanOrEqual(12);
  });

  it('is loaded into a new database only', async () => {
    await loadDemo(test.database.db, test.accountId);
    const { body } = await request(test.app).get('/api/jobs');
    expect(body).toHaveLength(DEMO_JOBS.length);
  });
});
