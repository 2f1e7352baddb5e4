import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { fromStored, Slate } from '@sprell/core';
import { thingsOf, type JobWire, type LineWire } from '@sprell/contract';
import { v5 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '../features/jobs/index.ts';
import { startTestApp, type TestApp } from '../testing/test-app.ts';
import { migrateDatabase } from './migrate.ts';

interface Earlier {
  readonly accountId: string;
  /** The jobs as they were answered then: their entries name the marks. */
  readonly jobs: readonly JobWire[];
}
const at = (file: string) => fileURLToPath(new URL(`../testing/earlier/${file}`, import.meta.url));
const { accountId, jobs } = JSON.parse(readFileSync(at('before-mark-ids.json'), 'utf8')) as Earlier;

let test: TestApp;
const now = new Map<string, JobWire>();
beforeAll(async () => {
  test = await startTestApp();
  const tool = (await import(new URL('../../../tools/lib/backup.mjs', import.meta.url).href)) as {
    restore(url: string, file: string): Promise<void>;
  };
  await tool.restore(test.url, at('before-mark-ids.backup'));
  // Twice: what was done is not done again.
  for (let times = 0; times < 2; times += 1)
    await migrateDatabase(test.url, fileURLToPath(new URL('migrations', import.meta.url)));
  for (const { id } of jobs) now.set(id, (await readJob(test.database.db, accountId, id, -1)) as JobWire);
});
afterAll(() => test.close());

function shownIn({ lines, marks = [] }: Pick<JobWire, 'lines'> & { marks?: JobWire['marks'] }) {
  const numbers = new Map(lines.map(({ id, number }) => [id, number ?? undefined]));
  const names = new Map(marks.map(({ id, name }) => [id, name]));
  return (stored: string) =>
    fromStored(stored, { lineNumber: (id) => numbers.get(id), markName: (id) => names.get(id) });
}
function resultsOf(job: JobWire): readonly unknown[] {
  const shown = shownIn(job);
  const slate = new Slate();
  const standing = job.lines.filter((line): line is LineWire & { number: number } => line.number !== null);
  slate.load(standing.filter(({ deleted }) => !deleted).map((line) => ({ ...line, source: shown(line.source) })));
  return slate.lines().map(({ line, result }) => [line.number, result.ok ? result.outcome : result.issue.code]);
}
const lower = (text: string) => text.toLowerCase();

describe('jobs from before marks had ids', () => {
  it('hold their marks by ids, in lines, deleted ones too, and in setting-outs', () => {
    const all = [...now.values()].flatMap((job) => [...job.lines, ...job.setOuts.flatMap(({ entries }) => entries)]);
    const held = all.filter((one) => (typeof one === 'string' ? one : one.source).includes('@{'));
    expect(held.length).toBeGreaterThan(15);
    const laths =
      now.get(jobs[0]?.id ?? '')?.lines.filter(({ number }) => (number ?? 0) >= (jobs[0]?.nextNumber ?? 0) - 4) ?? [];
    const id = v5('lath', jobs[0]?.id ?? '');
    const sources = new Map(laths.map(({ number, source }) => [number, source]));
    expect([...sources.values()].sort()).toEqual(
      [`@{${id}} = 5'`, `2 @{${id}} + @{${id}} / 2 (rough)`, `@{${id}} += 1"`, `@{${id}} * (2 +`].sort(),
    );
    expect(laths.find(({ deleted }) => deleted)?.source).toBe(`@{${id}} += 1"`);
    // As it was written first.
    expect(now.get(jobs[0]?.id ?? '')?.marks.find((mark) => mark.id === id)?.name).toBe('Lath');
  });

  it.each(jobs.map((job) => [job.title, job] as const))('say and come to the same: %s', (_, before) => {
    const job = now.get(before.id) as JobWire;
    const [shown, shownBefore] = [shownIn(job), shownIn(before)];
    expect(job.lines.map(({ source }) => lower(shown(source)))).toEqual(
      before.lines.map(({ source }) => lower(shownBefore(source))),
    );
    expect(job.setOuts.map(({ entries }) => entries.map((entry) => lower(shown(entry))))).toEqual(
      before.setOuts.map(({ entries }) => entries.map((entry) => lower(shownBefore(entry)))),
    );
    expect(resultsOf(job)).toEqual(resultsOf(before));
  });

  it('are new in their marks alone: what a device has of them, and builds on, stays what it is', () => {
    for (const before of jobs) {
      const job = now.get(before.id) as JobWire;
      const { source: _, ...line } = before.lines[0] as LineWire;
      expect(job.lines.find(({ id }) => id === line.id)).toMatchObject(line);
      expect(job.lines.map(({ revision }) => revision)).toEqual(before.lines.map(({ revision }) => revision));
      expect(job.revision).toBe(before.revision + (job.marks.length > 0 ? 1 : 0));
      const changed = Object.values(thingsOf(job)).flatMap((list) =>
        list.filter((one) => one.revision > before.revision),
      );
      expect(changed.map(({ id }) => id).sort()).toEqual(job.marks.map(({ id }) => id).sort());
    }
  });
});
