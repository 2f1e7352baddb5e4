// @vitest-environment node
import { copyOfJob, thingsOf, type Change } from '@sprell/contract';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { makeChangesService } from '../server/src/features/changes/index.ts';
import { readJob } from '../server/src/features/jobs/index.ts';
import { startTestApp, type TestApp } from '../server/src/testing/test-app.ts';
import type {} from '../server/src/testing/throwaway-cluster.ts';

vi.mock('../contract/src/kinds/registry.ts', async (load) =>
  (await import('./made-up-kind.ts')).inRegistry(await load()),
);
vi.mock('../contract/src/kinds/wires.ts', async (load) => (await import('./made-up-kind.ts')).inWires(await load()));
vi.mock('../server/src/db/schema.ts', async (load) => (await import('./made-up-kind.ts')).inSchema(await load()));

const BOARD = { name: 'ash', length: `4' 2"`, count: 2, note: null };

describe('a kind of thing that this version does not know, on a real database', () => {
  let test: TestApp;
  const folder = mkdtempSync(join(tmpdir(), 'sprell-kind-'));
  beforeAll(async () => {
    test = await startTestApp();
    const { generateDrizzleJson, generateMigration } = await import('drizzle-kit/api');
    const { offcut: _, ...before } = (await import('../server/src/db/schema.ts')) as Record<string, unknown>;
    const { offcut } = (await import('../server/src/db/schema.ts')) as Record<string, unknown>;
    // As the next version's migration makes it.
    for (const statement of await generateMigration(
      generateDrizzleJson(before),
      generateDrizzleJson({ ...before, offcut }),
    ))
      await test.database.pool.query(statement);
  });
  afterAll(async () => {
    await test.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('is kept, refused by its own limits, copied with its job, backed up and put back', async () => {
    const { accountId } = await test.guest();
    const service = makeChangesService(test.database, { changed: () => undefined } as never, { inc: () => undefined });
    const [jobId, lineId, thingId] = [uuidv7(), uuidv7(), uuidv7()];
    const reading = { length: 'ft-in', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' } as const;
    const line = { number: 1, position: 'a0', source: `12'`, label: 'board', note: '' };
    const content = { ...BOARD, length: `#{${lineId}} / 2`, position: 'a0' };
    const add = (more: object = {}): Change => {
      return { id: uuidv7(), kind: 'thing.add', of: 'offcut', thingId: uuidv7(), content, ...more };
    };
    const send = async (job: string, changes: readonly Change[]) =>
      (await service.apply(accountId, job, { changes })).results.map((one) =>
        one.status === 'refused' ? one.code : one.status,
      );
    const first = add({ thingId });
    const made = await send(jobId, [
      { id: uuidv7(), kind: 'job.add', title: 'Barn', reading },
      { id: uuidv7(), kind: 'line.add', lineId, ...line },
      first,
      {
        id: uuidv7(),
        kind: 'thing.set',
        of: 'offcut',
        thingId,
        base: first.id,
        fields: { count: 9 },
        was: { count: 2 },
      },
      { id: uuidv7(), kind: 'thing.move', of: 'offcut', thingId, base: 1, position: 'a7' },
      first,
    ]);
    expect(made).toEqual(['reads', 'applied', 'thing', 'thing', 'thing', 'thing']);
    const offcuts = async (id: string) => {
      const job = await readJob(test.database.db, accountId, id, -1);
      return { job, things: (job && thingsOf(job)['offcut']) ?? [] };
    };
    const { job, things } = await offcuts(jobId);
    expect(things).toEqual([{ id: thingId, ...content, count: 9, position: 'a7', revision: 5, deleted: false }]);
    expect(
      await send(
        jobId,
        Array.from({ length: 40 }, () => add()),
      ),
    ).toEqual([...Array<string>(39).fill('thing'), 'thing.too_many']);

    const copyId = uuidv7();
    await send(copyId, copyOfJob(job as never, 'Barn, again', uuidv7));
    const copy = await offcuts(copyId);
    expect(copy.things).toMatchObject([{ name: 'ash', count: 9, length: `#{${copy.job?.lines[0]?.id}} / 2` }]);
    expect(copy.job?.lines).toMatchObject([{ number: 1, source: `12'`, label: 'board' }]);
    expect([lineId, thingId]).not.toContain(copy.things[0]?.id);

    const tool = (await import(new URL('../tools/lib/backup.mjs', import.meta.url).href)) as {
      backup(url: string, file: string): Promise<void>;
      restore(url: string, file: string): Promise<void>;
    };
    const file = join(folder, 'sprell.backup');
    await tool.backup(test.url, file);
    await send(jobId, [{ id: uuidv7(), kind: 'thing.delete', of: 'offcut', thingId, base: 5 }]);
    expect((await offcuts(jobId)).things.find(({ id }) => id === thingId)?.deleted).toBe(true);
    await tool.restore(test.url, file);
    const back = await vi.waitFor(() => offcuts(jobId));
    expect(back.things.find(({ id }) => id === thingId)?.deleted).toBe(false);
    expect(back.things).toHaveLength(40);
  });
});
